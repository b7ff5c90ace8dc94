import { solvePositive } from "../quantity/cholesky";
import { InputError } from "../quantity/fault";
import { modelled } from "./calibrate";
import type { Field } from "./grid";
import { type GuessedBed, guessedErrors, LEAST_READINGS, widthOf } from "./guessed-bed";
import { rasteriseReach } from "./rasterise";
import type { Reach, WaterReading } from "./reach-schema";
import { steadyFlow } from "./steady";
import { telling } from "./steps";

/**
 * Heights of a guessed bed from readings of the water, by an ensemble: beds that are off as the guess may be are
 * solved, how the water at each reading goes with the bed around it is taken from them, and the bed is moved as the
 * readings ask (ensemble Kalman smoother: Evensen 2003, Ocean Dyn. 53; from speeds in a river: Wilson & Ozkan-Haller
 * 2012, J. Atmos. Ocean. Technol. 29). In several turns, the readings' error variance times their number in each, since
 * the water does not answer in straight lines (Emerick & Reynolds 2013, Comput. Geosci. 55).
 */

/** Turns and members. Own choice, held by docs/own-river.md: more are no better and slower. */
const TURNS = 2;
const MEMBERS = 16;
/** Flows within such a share of each other are one. */
const SAME_FLOW = 0.02;
/**
 * Of a speed and of a depth, readings and model together: share and least, m/s; m. The model's part is larger: it is
 * solved on coarse cells. Own choice, held by docs/own-river.md.
 */
const ERROR = { share: 0.15, speed: 0.03, depth: 0.08 };
/** Further off than some widths what goes together does so by chance (localisation: Houtekamer & Mitchell 2001). */
const FELT = 0.7;
const NEGLIGIBLE = 0.01;
/** Water is never made shallower or deeper by more than such a share of its depth in one turn. */
const MOST_OF_DEPTH = 0.7;
/** Cells that a member is solved on, at most. */
const MOST_CELLS = 2500;

type GuessedReach = Reach & { bed: GuessedBed };

const guessedReach = (reach: Reach): GuessedReach | undefined =>
  reach.bed.kind === "grid" && reach.bed.deviation ? (reach as GuessedReach) : undefined;

/** The reach with its bed fitted; what the model has at each reading before and after, null where its bed is dry. */
export interface FittedBed {
  reach: Reach;
  before: (number | null)[];
  after: (number | null)[];
  /** Furthest that it was moved, m, up or down. */
  moved: number;
  /** Mean width of the water, m. */
  width: number;
}

/**
 * Fits the heights of a guessed bed to the readings of the flow at which most were taken. A generator: each value is
 * how far it has come, 0 to 1.
 * @returns undefined where the bed was not guessed, or too few readings were taken at one flow
 */
export function* fitBed(asked: Reach, all: readonly WaterReading[]): Generator<number, FittedBed | undefined> {
  const start = guessedReach(asked);
  const readings = atOneFlow(all);
  if (!start || readings.length < LEAST_READINGS) return undefined;
  const { discharge } = readings[0]!;
  const { nx, ny, cell } = start.bed;
  const coarse = Math.max(cell, cell * Math.sqrt((nx * ny) / MOST_CELLS));
  const solves = TURNS * (MEMBERS + 1) + 1;
  let done = 0;
  const solve = function* (reach: Reach, near?: Field): Generator<number, Field> {
    const work = steadyFlow(rasteriseReach(reach, coarse), { discharge, downstream: reach.downstream, near });
    const field = yield* telling(work, (step) => Math.min(0.99, (done + step.done) / solves));
    done++;
    return field;
  };
  const errorsOf = Array.from({ length: MEMBERS }, (_, k) => guessedErrors(start.bed, k));
  let now = start;
  let field = yield* solve(now);
  const before = all.map((one) => modelled(field, one));
  for (let turn = 0; turn < TURNS; turn++) {
    const members: Member[] = [];
    for (const errors of errorsOf) {
      try {
        const off = yield* solve(moved(now, errors), field);
        members.push({ errors, water: readings.map((one) => modelled(off, one) ?? 0) });
      } catch (error) {
        // A bed that closes the river says nothing.
        if (!(error instanceof InputError)) throw error;
        done++;
      }
    }
    if (members.length < MEMBERS / 2) return undefined;
    now = moved(now, correction(now.bed, readings, members, field));
    field = yield* solve(now, field);
  }
  const bed = { ...now.bed, z: now.bed.z.map((one) => Number(one.toFixed(3))) };
  const last = field;
  return {
    reach: { ...asked, bed },
    before,
    after: all.map((one) => modelled(last, one)),
    moved: bed.z.reduce((most, one, k) => Math.max(most, Math.abs(one - start.bed.z[k]!)), 0),
    width: widthOf(start.bed),
  };
}

/** Readings of the flow at which most were taken. */
function atOneFlow(readings: readonly WaterReading[]): WaterReading[] {
  const near = ({ discharge }: WaterReading) =>
    readings.filter((one) => Math.abs(one.discharge / discharge - 1) <= SAME_FLOW);
  return readings.map(near).reduce<WaterReading[]>((most, one) => (one.length > most.length ? one : most), []);
}

/** How far the bed is off, m by cell, and the water at each reading then. */
interface Member {
  errors: Float64Array;
  water: number[];
}

const moved = (reach: GuessedReach, by: Float64Array): GuessedReach => ({
  ...reach,
  bed: { ...reach.bed, z: reach.bed.z.map((height, k) => height + by[k]!) },
});

const errorOf = ({ kind, value }: WaterReading): number =>
  kind === "depth" ? ERROR.depth : Math.max(ERROR.speed, ERROR.share * value);

/** How far the bed is to be moved, m by cell. */
function correction(
  { nx, cell, deviation }: Pick<GuessedBed, "nx" | "cell" | "deviation">,
  readings: readonly WaterReading[],
  members: readonly Member[],
  central: Field,
): Float64Array {
  const count = members.length;
  const mean = readings.map((_, i) => members.reduce((sum, { water }) => sum + water[i]!, 0) / count);
  const off = members.map(({ water }) => water.map((value, i) => value - mean[i]!));
  const felt = FELT * widthOf({ nx, cell, deviation });
  const taper = (x: number, y: number, to: WaterReading) =>
    Math.exp(-0.5 * (Math.hypot(x - to.x, y - to.y) / felt) ** 2);
  const covariance = readings.map((a, i) =>
    readings.map((b, j) => {
      const together = off.reduce((sum, one) => sum + one[i]! * one[j]!, 0) / (count - 1);
      return together * taper(a.x, a.y, b) + (i === j ? TURNS * errorOf(a) ** 2 : 0);
    }),
  );
  const short = readings.map((one) => one.value - (modelled(central, one) ?? 0));
  const weights = solvePositive(covariance, short);
  return Float64Array.from(deviation, (spread, k) => {
    if (spread === null) return 0;
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    let move = 0;
    readings.forEach((reading, i) => {
      const near = taper(x, y, reading);
      if (near < NEGLIGIBLE) return;
      const together = members.reduce((sum, { errors }, m) => sum + errors[k]! * off[m]![i]!, 0) / (count - 1);
      move += near * together * weights[i]!;
    });
    const i = Math.min(central.nx - 1, Math.floor(x / central.cell));
    const j = Math.min(central.ny - 1, Math.floor(y / central.cell));
    const most = MOST_OF_DEPTH * central.depth[j * central.nx + i]!;
    return Math.max(-most, Math.min(most, move));
  });
}
