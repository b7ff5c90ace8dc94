import { InputError } from "../src/core/errors";
import { readField } from "../src/core/formats/field-file";
import { readReach } from "../src/core/flow/reach";
import { lightAt } from "../src/core/lies/light";
import { readWater } from "../src/core/lies/read";
import { tellReason } from "../src/core/lies/reasons";
import { SPECIES } from "../src/core/lies/species-list";
import { speciesById } from "../src/core/lies/species";
import { standsFor } from "../src/core/lies/stands";
import { instantOption, numberOption, only, readText } from "./arguments";
import type { Command } from "./commands";
import { cellOption, solveReach } from "./flow";

/** Height of the angler, m. */
const ANGLER = 1.75;
/** Middling water, for when nothing is said. */
const DEFAULTS = { clarity: 1, temperature: 12, roughness: 0.035 };

export const read: Command = {
  usage: "REACH.json --discharge Q --species S [--clarity M] [--temperature C] [--at ISO] [--cell M] [--field FIELD.json]",
  about: `Reads a reach at a discharge: seams, eddies, lies in order of rank with their reasons, and wading areas in m2.
--clarity is the visible depth in m (1), --temperature in degrees C (12), --at sets the light where the reach gives latitude and longitude
(daylight otherwise). --field takes a field that heron flow has written, instead of solving again.
slowSide is left or right looking down-current. Species: ${SPECIES.map(({ id }) => id).join(", ")}.
factors are those of the species' model; the score is their product.`,
  options: { discharge: true, species: true, clarity: true, temperature: true, at: true, cell: true, field: true },
  run: (args) => {
    const file = only(args, "a reach file");
    const reach = readReach(readText(file), file);
    const species = speciesById(args.values.species ?? missing("species"));
    const visibleDepth = between(numberOption(args, "clarity", DEFAULTS.clarity), 0.02, 20, "clarity");
    const temperature = between(numberOption(args, "temperature", DEFAULTS.temperature), -1, 35, "temperature");
    const at = instantOption(args, "at");
    const fieldFile = args.values.field;
    const discharge = fieldFile && args.values.discharge === undefined ? undefined : numberOption(args, "discharge");
    const roughness = typeof reach.roughness === "number" ? reach.roughness : DEFAULTS.roughness;
    const field = fieldFile ? readField(readText(fieldFile), roughness, fieldFile) : solveReach(reach, discharge!, cellOption(args), args);
    if (fieldFile && discharge !== undefined && Math.abs(field.discharge / discharge - 1) > 0.01) {
      throw new InputError("other-discharge", `The field was solved at ${field.discharge} m3/s, and ${discharge} was asked for.`, { file: fieldFile, path: "discharge" });
    }
    const light = at !== undefined && reach.latitude !== undefined && reach.longitude !== undefined ? lightAt(at, reach.latitude, reach.longitude) : "day";
    const reading = readWater(field, { species, visibleDepth, temperature, light, features: reach.features });
    return {
      discharge: field.discharge, light, verdict: field.verdict, massError: field.massError, medianScore: reading.medianScore,
      seams: reading.seams,
      eddies: reading.eddies.map(({ x, y, area, returnSpeed }) => ({ x, y, area, returnSpeed })),
      lies: reading.lies.map((lie) => ({ ...lie, reasons: lie.reasons.map((reason) => tellReason(reason, "metric")) })),
      // Where to stand for the first lie, by school.
      stands: reading.lies[0] ? standsFor(field, { ...reading.lies[0], eyeDepth: Math.max(0.05, reading.lies[0].depth - reading.lies[0].focalHeight), visibleDepth, height: ANGLER }) : [],
      wading: { safe: reading.wading.safe, caution: reading.wading.caution, stayOut: reading.wading.stayOut },
    };
  },
};

function missing(option: string): never {
  throw new InputError("missing-option", `--${option} must be given.`, { path: `--${option}` });
}

function between(value: number, low: number, high: number, name: string): number {
  if (value < low || value > high) throw new InputError("out-of-range", `--${name} must be from ${low} to ${high}; it is ${value}.`, { path: `--${name}` });
  return value;
}
