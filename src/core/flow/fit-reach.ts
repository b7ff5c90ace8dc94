import { calibrate, type Calibration, misfitOf, WORST_MISFIT } from "./calibrate";
import { fitBed } from "./fit-bed";
import type { Reach, WaterReading } from "./reach-schema";
import { message } from "../quantity/message";
import { telling } from "./steps";

/** A calibration that may have moved the bed too. */
export interface ReachFit extends Omit<Calibration, "fitted"> {
  fitted: (Calibration["fitted"][number] | "bed")[];
  /** Furthest that the bed was moved, m, up or down; null where it was not. */
  bedMoved: number | null;
}

/** Share of the work that the bed is, where it is fitted too. */
const FIRST = 0.6;
/** The bed is moved where the readings are then so much nearer, share of the misfit. Own choice. */
const NEARER = 0.9;
/** Readings say something of the roughness of a whole guessed reach where they lie over so many widths. Own choice. */
const SPREAD = 3;

/**
 * Fits a reach to its readings: the heights of a bed that was guessed, where enough readings ask for it, then roughness
 * and outlet by what is left. The other way round one place's bed would pass for the roughness of the whole reach; and
 * where all readings are of one place, roughness and outlet stay. A generator: each value is how far it has come, 0 to
 * 1.
 */
export function* fitReach(reach: Reach, readings: readonly WaterReading[], cell: number): Generator<number, ReachFit> {
  let sofar = 0;
  const bed = yield* telling(fitBed(reach, readings), (done) => (sofar = FIRST * done));
  const calibrated = (from: Reach) => telling(calibrate(from, readings, cell), (done) => sofar + (1 - sofar) * done);
  const before = bed && misfitOf(readings, bed.before);
  if (!bed || !before || misfitOf(readings, bed.after) > NEARER * before)
    return { ...(yield* calibrated(reach)), bedMoved: null };
  const along = readings.map(({ x }) => x);
  const isOnePlace = Math.max(...along) - Math.min(...along) < SPREAD * bed.width;
  const tried = isOnePlace ? null : yield* calibrated(bed.reach);
  const rest = tried && tried.fitted.length > 0 ? tried : null;
  const after = rest ? rest.residuals.map((one) => one.after) : bed.after;
  const misfit = { before, after: misfitOf(readings, after) };
  return {
    fitted: ["bed", ...(rest?.fitted ?? [])],
    bedMoved: bed.moved,
    why: misfit.after > WORST_MISFIT ? message("readings-contradict", { after: misfit.after }) : (rest?.why ?? null),
    reach: rest?.reach ?? bed.reach,
    roughness: rest?.roughness ?? null,
    outlet: rest?.outlet ?? null,
    residuals: readings.map(({ value }, k) => ({
      reading: k,
      measured: value,
      before: bed.before[k]!,
      after: after[k]!,
    })),
    misfit,
  };
}
