import type { Field } from "../flow/grid";
import { castFault, type CastWays } from "../approach/cast-line";
import type { MainCurrent } from "../water/main-current";
import { mainHeading } from "../water/main-current";
import { streamline } from "../water/streamline";
import type { Behaviour } from "./behaviour";
import { type Drift, type DriftOptions, driftPath, STEP } from "./drift-path";
import { placeWater } from "./place";
import type { StrikeZone } from "./strike-zone";
import { type Fish, inZone } from "./zones";

/** Seconds that a drift keeps the bait where the fish takes it. */
export function secondsNear({ path }: Drift, zone: StrikeZone, fish: Fish): number {
  let seconds = 0;
  for (let k = 0; k < path.length; k++) {
    const { x, y, z, bed, t } = path[k]!;
    if (inZone(zone, fish, x, y, z - bed)) seconds += (path[k + 1]?.t ?? t + STEP) - t;
  }
  return seconds;
}

export interface CastQuestion {
  field: Field;
  fish: Fish;
  zone: StrikeZone;
  from: readonly [number, number];
  ways: CastWays;
  main: MainCurrent;
  rodReach: number;
  mends: number;
  /** How the rig goes at a change of its setting, m, and a hold-back; once for a rig that has neither. */
  behaviours: readonly { behaviour: Behaviour; setting?: number; holdBack?: number }[];
  /** How far can be cast, and seen, m. */
  range: number;
}

export interface SolvedCast {
  landing: [number, number];
  setting: number | undefined;
  holdBack: number | undefined;
  behaviour: Behaviour;
  /** Seconds near the fish: as the water is, and the least with all speeds a fifth slower or faster. */
  seconds: number;
  robust: number;
  /** The same for a cast at the fish itself. */
  atLie: number;
  mends: number;
  drift: Drift;
}

/** Speeds may be out by a fifth either way. */
const PACES = [0.8, 1, 1.2] as const;
/** Landings looked at: up the current of the fish, m, and to the sides of that line, m. */
const UP = [0, 0.7, 1.4, 2.1, 2.8, 3.6, 4.5, 5.5, 6.5, 8, 9.5, 11, 13];
const SIDE = [0, -0.4, 0.4, -0.9, 0.9, -1.6, 1.6];
/** Lures on a tight line are also thrown across and beyond. */
const BEYOND = [2.5, -2.5, 4, -4];
const FINE = [-0.35, 0, 0.35];
/** What a mend, and a second of a float that drags, take off, s. Common practice, no source. */
const A_MEND = 0.1;
const DRAGGED = 0.4;
/** Nearer than this nobody casts, m. */
const AT_HAND = 2;

type Place = [number, number];

/**
 * The landing, and of a float the setting and hold-back, that keep the bait longest where the fish takes it, whether
 * the water is a fifth slower or faster: half for the worst of three, half for their mean. Every line is clear of wood,
 * dry ground and nearer fish. Undefined where no line is.
 */
export function solveCast(question: CastQuestion): SolvedCast | undefined {
  const { field, fish, from, ways, range } = question;
  const can = ([x, y]: Place): boolean => {
    const away = Math.hypot(x - from[0], y - from[1]);
    return (
      away >= AT_HAND &&
      away <= range &&
      placeWater(field, x, y).depth > 0.12 &&
      castFault(ways, from, [x, y]) === undefined
    );
  };
  const swum = question.behaviours[0]!.behaviour.kind === "swum";
  const places = landingsFor(question, swum ? [...SIDE, ...BEYOND] : SIDE).filter(can);
  let best: (SolvedCast & { score: number }) | undefined;
  const look = (places: readonly Place[], which: readonly CastQuestion["behaviours"][number][]) => {
    for (const one of which)
      for (const landing of places) {
        const tried = tryCast(question, one, landing);
        if (!best || tried.score > best.score + 1e-9) best = tried;
      }
  };
  look(places, question.behaviours.slice(0, 1));
  if (!best) return undefined;
  look([best.landing], question.behaviours.slice(1));
  const [bx, by] = best.landing;
  const chosen = best;
  const near = FINE.flatMap((dx) => FINE.map((dy): Place => [bx + dx, by + dy])).filter(can);
  look(
    near,
    question.behaviours.filter(({ behaviour }) => behaviour === chosen.behaviour),
  );
  const { score, ...solved } = best;
  const direct = driftPath(field, options(question, solved.behaviour, [fish.x, fish.y], 1));
  return { ...solved, atLie: secondsNear(direct, question.zone, fish) };
}

/** Places up the main current of the fish, and beside that line. */
function landingsFor({ main, fish }: CastQuestion, sides: readonly number[]): Place[] {
  const way = streamline(main, fish.x, fish.y, UP.at(-1)! + 0.5, -1);
  const places: Place[] = [];
  let [gone, k] = [0, 0];
  for (const up of UP) {
    while (k < way.length - 1 && gone < up) {
      gone += Math.hypot(way[k + 1]![0] - way[k]![0], way[k + 1]![1] - way[k]![1]);
      k++;
    }
    if (gone < up - 0.5) break;
    const [x, y] = way[k]!;
    const [tx, ty] = mainHeading(main, x, y);
    for (const side of sides) places.push([x - ty * side, y + tx * side]);
  }
  return places;
}

function options(
  { from, rodReach, mends }: CastQuestion,
  behaviour: Behaviour,
  landing: readonly [number, number],
  pace: number,
): DriftOptions {
  // What lies still is followed for half a minute: longer says nothing more of the cast.
  const shortened = behaviour.kind === "bottom" && behaviour.stays > 30 ? { ...behaviour, stays: 30 } : behaviour;
  return { behaviour: shortened, landing, from, rodReach, mends, pace, longest: 40 };
}

function tryCast(
  question: CastQuestion,
  { behaviour, setting, holdBack }: CastQuestion["behaviours"][number],
  landing: Place,
): SolvedCast & { score: number } {
  const { field, zone, fish } = question;
  const drifts = PACES.map((pace) => driftPath(field, options(question, behaviour, landing, pace)));
  const seconds = drifts.map((drift) => secondsNear(drift, zone, fish));
  const worst = Math.min(...seconds);
  const mean = seconds.reduce((sum, one) => sum + one, 0) / seconds.length;
  const drift = drifts[1]!;
  // A mend can go wrong, and a float that drags where that was not wanted is worth less.
  const dragged = behaviour.kind === "float" ? DRAGGED * drift.path.reduce((sum, one) => sum + one.touch, 0) * STEP : 0;
  const score = 0.5 * (worst + mean) - A_MEND * drift.mends - dragged;
  return {
    landing,
    setting,
    holdBack,
    behaviour,
    seconds: seconds[1]!,
    robust: worst,
    atLie: 0,
    mends: drift.mends,
    drift,
    score,
  };
}
