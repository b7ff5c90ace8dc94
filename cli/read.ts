import type { Field, Grid } from "../src/core/flow/grid";
import { rasteriseReach } from "../src/core/flow/rasterise";
import { readReach } from "../src/core/flow/reach";
import { finish } from "../src/core/flow/steps";
import type { Reach } from "../src/core/flow/reach-schema";
import { seasonalHabitsIn } from "../src/core/fish/season";
import { speciesById } from "../src/core/fish/species";
import { SPECIES } from "../src/core/fish/species-list";
import { PHASES } from "../src/core/fish/phases";
import type { Species } from "../src/core/fish/species-schema";
import { readField } from "../src/core/formats/field-file";
import { InputError } from "../src/core/quantity/fault";
import { positionOf, USUAL_ANGLER } from "../src/scenario/approach";
import { type Conditions, conditionsOf, USUAL } from "../src/scenario/conditions";
import type { SeasonChoice } from "../src/scenario/fish";
import { readingRequest } from "../src/scenario/reading";
import { flowBandOf, type Robustness } from "../src/scenario/robustness";
import { robustness } from "../src/scenario/sightings";
import { runScenario, type Scenario } from "../src/scenario/scenario";
import { messageText } from "../src/words/messages";
import { placeWords } from "../src/words/place";
import { reasonText } from "../src/words/reasons";
import { wayWords } from "../src/words/species";
import "../src/words/timing";
import {
  type Arguments,
  boundedOption,
  choiceOption,
  demandOption,
  instantOption,
  numberOption,
  only,
  readText,
} from "./arguments";
import type { Command } from "./command";
import { rigTold } from "./rig";
import { cellOption, solveReach } from "./solve";

/** Manning's n of a field file that gives none, where the reach gives no single one. */
const ROUGHNESS = 0.035;

export const read: Command = {
  usage:
    "REACH.json --discharge Q --species S [--clarity M] [--temperature C] [--at ISO] [--season PHASE] " +
    "[--style rove|wait] [--light day|twilight|night] [--cell M] [--field FIELD.json] [--sure]",
  about: `Reads a reach at a discharge: seams, eddies, lies in order of rank with their reasons, and wading areas in m2.
--clarity is the visible depth in m (${USUAL.visibleDepth}), --temperature in degrees C (${USUAL.temperature}).
--at sets the light if the reach has latitude and longitude, unless --light is given (at night, daylight is used).
--field reads a field written by heron flow instead of solving again.
slowSide is left or right looking downstream. Species: ${SPECIES.map(({ id }) => id).join(", ")}.
factors are those of the species' model; the score is their product. --at with the reach's latitude also sets the
season; --season sets it directly: usual, ${PHASES.join(", ")}.
--sure solves ten more times with varied roughness, flow, outlet level and cells. Each lie and seam then has
holds {found, of}, and tiedWith, the rank of the better lie it can swap with.
stands, boat, timing, ways and rig are for the first lie; shadows need the reach's latitude, longitude and bearing.`,
  options: {
    discharge: true,
    species: true,
    clarity: true,
    temperature: true,
    at: true,
    season: true,
    style: true,
    light: true,
    cell: true,
    field: true,
    sure: false,
  },
  run: (args) => {
    const file = only(args, "a reach file");
    const reach = readReach(readText(file), file);
    const species = speciesById(demandOption(args, "species"));
    const asked = conditionsAsked(args, reach);
    const field = fieldAsked(args, reach, asked.discharge);
    const conditions: Conditions = { ...asked, discharge: field.discharge };
    const scenario = runScenario(field, {
      reach,
      conditions,
      species,
      season: seasonAsked(args, species),
      angler: { ...USUAL_ANGLER, style: choiceOption(args, "style", ["rove", "wait"], "rove") },
      tackle: {},
      leave: false,
    });
    return {
      discharge: field.discharge,
      light: conditions.light,
      verdict: field.verdict,
      massError: field.massError,
      ...told(scenario, species, args.flags.has("sure") ? surenessOf(reach, field, scenario, conditions) : undefined),
    };
  },
};

/** How sure the lies and seams are, the flow within a tenth. */
function surenessOf(reach: Reach, field: Field, { fish, reading }: Scenario, conditions: Conditions): Robustness {
  const { discharge } = field;
  const request = readingRequest(fish.species, conditions, reach.features);
  return finish(
    robustness({ discharge, reach, band: flowBandOf(discharge, undefined), reading: request }, reading, field),
  );
}

/** What was found, by the names of the contract. */
function told({ fish, reading, approach, ways, rig }: Scenario, species: Species, sure: Robustness | undefined) {
  const { way } = fish;
  const { seams, eddies, structure, medianScore, lies, wading } = reading;
  return {
    medianScore,
    seams: seams.map((seam, k) => ({ ...seam, ...(sure && { holds: sure.seams[k] }) })),
    eddies,
    structure,
    season: way && { phase: way.phase, words: wayWords(species.id, way), leaveAlone: way.leaveAlone ?? false },
    lies: lies.map((lie, k) => ({
      ...lie,
      ...(sure && { holds: sure.lies[k], tiedWith: sure.tied[k] === null ? null : lies[sure.tied[k]!]!.rank }),
      place: placeWords(lie.place),
      reasons: lie.reasons.map((reason) => reasonText(reason, "metric")),
    })),
    stands: approach?.stands ?? [],
    boat: approach?.boat ?? null,
    timing: approach && { ...approach.timing, reasons: approach.timing.reasons.map((one) => messageText(one)) },
    ways: (ways?.ways ?? []).map(({ method, school, cast, snags, touch }) => ({
      method,
      school,
      seconds: cast.seconds,
      robust: cast.robust,
      landing: cast.landing,
      touch,
      snags,
    })),
    rig: rig && rigTold(rig),
    wading: { safe: wading.safe, caution: wading.caution, stayOut: wading.stayOut },
  };
}

function conditionsAsked(args: Arguments, reach: Reach): Conditions {
  const given = args.values.field !== undefined && args.values.discharge === undefined;
  const conditions = conditionsOf(undefined, instantOption(args, "at"), positionOf(reach), {
    discharge: given ? null : numberOption(args, "discharge"),
    light: choiceOption(args, "light", ["auto", "day", "twilight", "night"], "auto"),
  });
  return {
    ...conditions,
    visibleDepth: boundedOption(args, "clarity", 0.02, 20, USUAL.visibleDepth),
    temperature: boundedOption(args, "temperature", -1, 35, USUAL.temperature),
  };
}

/** The field of a file, checked against the discharge, or one solved now. */
function fieldAsked(args: Arguments, reach: Reach, discharge: number) {
  const file = args.values.field;
  if (file === undefined) return solveReach({ reach, discharge, cell: cellOption(args) }, args);
  const roughness = typeof reach.roughness === "number" ? reach.roughness : ROUGHNESS;
  const field = readField(readText(file), roughness, file);
  if (args.values.discharge !== undefined && Math.abs(field.discharge / discharge - 1) > 0.01)
    throw new InputError("other-discharge", { solved: field.discharge, asked: discharge }, { file, path: "discharge" });
  if (!isOf(field, rasteriseReach(reach, field.cell))) throw new InputError("other-field", {}, { file });
  return field;
}

/** Is a field on the cells and the bed of a grid, within what files round? */
const isOf = (field: Field, { nx, ny, z }: Grid): boolean =>
  field.nx === nx &&
  field.ny === ny &&
  field.bed.every((height, k) => Math.abs(height - z[k]!) < 1e-3 * (1 + Math.abs(height)));

function seasonAsked(args: Arguments, species: Species): SeasonChoice {
  const season = args.values.season;
  if (season === undefined) return "auto";
  if (season === "usual") return "usual";
  const phase = PHASES.find((one) => one === season);
  if (!phase || !seasonalHabitsIn(species, phase)) {
    const known = ["usual", ...(species.seasons ?? []).map((one) => one.phase)];
    throw new InputError("unknown-season", { season: season.slice(0, 100), known }, { path: "--season" });
  }
  return phase;
}
