import { stream } from "../quantity/seeded";
import type { Reach } from "./reach-schema";

/** Was any of a reach's bed guessed? */
export const isGuessed = (reach: Reach | undefined): boolean =>
  reach?.bed.kind === "grid" && reach.bed.deviation !== undefined;

/** Fewer readings at one flow say nothing of a guessed bed (fit-bed.ts). Own choice. */
export const LEAST_READINGS = 6;

/** Waves that a bed's error is made of. */
const WAVES = 24;
/** No place is further off than so many standard deviations. */
const MOST = 2.5;
/** Errors go together over so many widths of the water along, and across. As the bed was drawn (depth-kriging.ts). */
const RANGE = { along: 1, across: 0.4 };

/** The ends stay as they are over so many widths: an error that closes the inlet says nothing of the reach. */
const ENDS = 0.25;

/** A bed that was guessed, with how far each height may be off. */
export type GuessedBed = Extract<Reach["bed"], { kind: "grid" }> & { deviation: (number | null)[] };

/** Mean width of the water that was guessed, m. */
export const widthOf = ({ nx, cell, deviation }: Pick<GuessedBed, "nx" | "cell" | "deviation">): number =>
  Math.max(cell, (deviation.reduce<number>((sum, one) => sum + (one === null ? 0 : 1), 0) * cell) / nx);

/**
 * How far off the bed is in the way of one member of an ensemble, m: a smooth random field (spectral sampling of a
 * Gaussian covariance, Shinozuka 1971) times the standard deviation at each place; 0 where it is known. Members go in
 * pairs of opposite errors, so that together they are off by nothing.
 */
export function guessedErrors({ nx, cell, deviation }: GuessedBed, member: number): Float64Array {
  const width = widthOf({ nx, cell, deviation });
  const random = stream(101 + Math.floor(member / 2));
  const sign = member % 2 === 0 ? 1 : -1;
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const waves = Array.from({ length: WAVES }, () => ({
    x: gauss() / (RANGE.along * width),
    y: gauss() / (RANGE.across * width),
    phase: 2 * Math.PI * random(),
  }));
  return Float64Array.from(deviation, (spread, k) => {
    if (spread === null) return 0;
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const sum = waves.reduce((total, one) => total + Math.cos(one.x * x + one.y * y + one.phase), 0);
    const off = Math.max(-MOST, Math.min(MOST, sum * Math.sqrt(2 / WAVES)));
    const end = Math.min(1, Math.min(x, nx * cell - x) / (ENDS * width));
    return sign * off * spread * end;
  });
}

/** A reach with its bed off as in one member (guessedErrors); one that was measured throughout stays. */
export function guessedBed(reach: Reach, member: number): Reach {
  const { bed } = reach;
  if (bed.kind !== "grid" || !bed.deviation) return reach;
  const off = guessedErrors({ ...bed, deviation: bed.deviation }, member);
  return { ...reach, bed: { ...bed, z: bed.z.map((height, k) => height + off[k]!) } };
}
