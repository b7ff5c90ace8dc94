import { InputError } from "../src/core/quantity/fault";
import { readField } from "../src/core/formats/field-file";
import type { Field } from "../src/core/flow/grid";
import { type Reach, readReach } from "../src/core/flow/reach";
import { boatFor } from "../src/core/approach/boat";
import { lightAt } from "../src/core/gauge/light";
import { type Reading, readWater } from "../src/core/fish/read";
import { tellReason } from "../src/core/fish/reasons";
import { SPECIES } from "../src/core/fish/species-list";
import { fishedFor, inSeason, turningOf, wayIn, wayOf } from "../src/core/fish/season";
import { sunOver } from "../src/core/approach/shadow";
import { PHASES, type SeasonalWay, type Species, speciesById } from "../src/core/fish/species";
import { type Approach, standsFor } from "../src/core/approach/stands";
import { type Style, timeFor } from "../src/core/tactics/time";
import { instantOption, numberOption, only, readText } from "./arguments";
import type { Command } from "./commands";
import { cellOption, solveReach } from "./flow";

/** Height of the angler, m. */
const ANGLER = 1.75;
/** Middling water, for when nothing is said. */
const DEFAULTS = { clarity: 1, temperature: 12, roughness: 0.035 };

export const read: Command = {
  usage:
    "REACH.json --discharge Q --species S [--clarity M] [--temperature C] [--at ISO] [--season PHASE] [--style rove|wait] [--cell M] [--field FIELD.json]",
  about: `Reads a reach at a discharge: seams, eddies, lies in order of rank with their reasons, and wading areas in m2.
--clarity is the visible depth in m (1), --temperature in degrees C (12), --at sets the light where the reach gives latitude and longitude
(daylight otherwise). --field takes a field that heron flow has written, instead of solving again.
slowSide is left or right looking down-current. Species: ${SPECIES.map(({ id }) => id).join(", ")}.
factors are those of the species' model; the score is their product. --at with the reach's latitude also sets the time of the fish's year; --season says
it outright: usual, ${PHASES.join(", ")}. stands, boat and timing are for the first lie; shadows need the reach's latitude, longitude and bearing.`,
  options: {
    discharge: true,
    species: true,
    clarity: true,
    temperature: true,
    at: true,
    season: true,
    style: true,
    cell: true,
    field: true,
  },
  run: (args) => {
    const file = only(args, "a reach file");
    const reach = readReach(readText(file), file);
    const known = speciesById(args.values.species ?? missing("species"));
    const visibleDepth = between(numberOption(args, "clarity", DEFAULTS.clarity), 0.02, 20, "clarity");
    const temperature = between(numberOption(args, "temperature", DEFAULTS.temperature), -1, 35, "temperature");
    const at = instantOption(args, "at");
    const fieldFile = args.values.field;
    const discharge = fieldFile && args.values.discharge === undefined ? undefined : numberOption(args, "discharge");
    const roughness = typeof reach.roughness === "number" ? reach.roughness : DEFAULTS.roughness;
    const field = fieldFile
      ? readField(readText(fieldFile), roughness, fieldFile)
      : solveReach(reach, discharge!, cellOption(args), args);
    if (fieldFile && discharge !== undefined && Math.abs(field.discharge / discharge - 1) > 0.01) {
      throw new InputError(
        "other-discharge",
        `The field was solved at ${field.discharge} m3/s, and ${discharge} was asked for.`,
        { file: fieldFile, path: "discharge" },
      );
    }
    const light =
      at !== undefined && reach.latitude !== undefined && reach.longitude !== undefined
        ? lightAt(at, reach.latitude, reach.longitude)
        : "day";
    const way = wayAsked(known, args.values.season, temperature, at, reach.latitude);
    const species = args.values.season === undefined ? fishedFor(known, way) : inSeason(known, way);
    const style = args.values.style ?? "rove";
    if (style !== "rove" && style !== "wait")
      throw new InputError("bad-style", `--style is rove or wait; it is “${style}”.`, { path: "--style" });
    const reading = readWater(field, { species, visibleDepth, temperature, light, features: reach.features });
    return {
      discharge: field.discharge,
      light,
      verdict: field.verdict,
      massError: field.massError,
      medianScore: reading.medianScore,
      seams: reading.seams,
      eddies: reading.eddies,
      structure: reading.structure,
      season: way ? { phase: way.phase, words: way.words, leaveAlone: way.leaveAlone ?? false } : null,
      lies: reading.lies.map((lie) => ({ ...lie, reasons: lie.reasons.map((reason) => tellReason(reason, "metric")) })),
      ...forFirstLie(field, reading, reach, { species, visibleDepth, temperature, style, at }),
      wading: { safe: reading.wading.safe, caution: reading.wading.caution, stayOut: reading.wading.stayOut },
    };
  },
};

/** Where to stand by school, where to anchor, and how long to give it: for the first lie. */
function forFirstLie(
  field: Field,
  reading: Reading,
  reach: Reach,
  {
    species,
    visibleDepth,
    temperature,
    style,
    at,
  }: { species: Species; visibleDepth: number; temperature: number; style: Style; at: number | undefined },
) {
  const [lie] = reading.lies;
  if (!lie) return { stands: [], boat: null, timing: null };
  const timing = timeFor(lie, { visibleDepth, temperature, style, species });
  const { latitude, longitude, bearing, features } = reach;
  const sun =
    at !== undefined && latitude !== undefined && longitude !== undefined && bearing !== undefined
      ? sunOver(at, latitude, longitude, bearing)
      : undefined;
  const approach: Approach = {
    x: lie.x,
    y: lie.y,
    upCurrent: lie.upCurrent,
    eyeDepth: Math.max(0.05, lie.depth - lie.focalHeight),
    lureHeight: Math.min(lie.focalHeight, 0.5 * lie.depth),
    visibleDepth,
    height: ANGLER,
    casts: timing.castsEach,
    seams: reading.seams,
    features,
    sun,
  };
  return {
    stands: standsFor(field, approach),
    boat: boatFor(field, approach, reading.structure.ledges) ?? null,
    timing,
  };
}

/** The way the fish lives: as asked, or by temperature and date; undefined: as in the rest of the year. */
function wayAsked(
  species: Species,
  season: string | undefined,
  temperature: number,
  at: number | undefined,
  latitude: number | undefined,
): SeasonalWay | undefined {
  if (season === undefined)
    return wayOf(
      species,
      temperature,
      at === undefined || latitude === undefined ? undefined : turningOf(at, latitude),
    );
  if (season === "usual") return undefined;
  const phase = PHASES.find((one) => one === season);
  const way = phase && wayIn(species, phase);
  if (!way)
    throw new InputError(
      "unknown-season",
      `“${season}” is no time of the year of ${species.name.toLowerCase()}. Known: usual${(species.seasons ?? []).map((one) => `, ${one.phase}`).join("")}.`,
      { path: "--season" },
    );
  return way;
}

function missing(option: string): never {
  throw new InputError("missing-option", `--${option} must be given.`, { path: `--${option}` });
}

function between(value: number, low: number, high: number, name: string): number {
  if (value < low || value > high)
    throw new InputError("out-of-range", `--${name} must be from ${low} to ${high}; it is ${value}.`, {
      path: `--${name}`,
    });
  return value;
}
