import { calibrate, type Calibration, misfitOf } from "./calibrate";
import { fitBed } from "./fit-bed";
import { isGuessed } from "./guessed-bed";
import type { Reach, WaterReading } from "./reach-schema";
import { telling } from "./steps";

/** A calibration that may have moved the bed too. */
export interface ReachFit extends Omit<Calibration, "fitted"> {
  fitted: (Calibration["fitted"][number] | "bed")[];
  /** Furthest that the bed was moved, m, up or down; null where it was not. */
  bedMoved: number | null;
}

const bedKept = (fit: Calibration): ReachFit => ({ ...fit, bedMoved: null });

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
  if (!isGuessed(reach)) return bedKept(yield* calibrate(reach, readings, cell));
  const bed = yield* telling(fitBed(reach, readings), (done) => FIRST * done);
  const misfit = bed && { before: misfitOf(readings, bed.before), after: misfitOf(readings, bed.after) };
  if (!bed || !misfit || misfit.after > NEARER * misfit.before)
    return bedKept(yield* telling(calibrate(reach, readings, cell), (done) => FIRST + (1 - FIRST) * done));
  const told = (after: readonly (number | null)[]) =>
    readings.map(({ value }, k) => ({ reading: k, measured: value, before: bed.before[k]!, after: after[k]! }));
  const along = readings.map(({ x }) => x);
  if (Math.max(...along) - Math.min(...along) < SPREAD * bed.width)
    return {
      fitted: ["bed"],
      why: null,
      reach: bed.reach,
      bedMoved: bed.moved,
      roughness: null,
      outlet: null,
      residuals: told(bed.after),
      misfit,
    };
  const rest = yield* telling(calibrate(bed.reach, readings, cell), (done) => FIRST + (1 - FIRST) * done);
  return {
    ...rest,
    bedMoved: bed.moved,
    fitted: ["bed", ...rest.fitted],
    why: rest.fitted.length > 0 ? rest.why : null,
    residuals: told(rest.residuals.map(({ after }) => after)),
    misfit: { before: misfit.before, after: rest.misfit.after },
  };
}
