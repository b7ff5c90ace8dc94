import { stream } from "../quantity/seeded";
import type { Reach } from "./reach-schema";

/** Was any of a reach's bed guessed? */
export const isGuessed = (reach: Reach | undefined): boolean =>
  reach?.bed.kind === "grid" && reach.bed.deviation !== undefined;

/** Waves that a bed's error is made of. */
const WAVES = 24;
/** No place is further off than so many standard deviations. */
const MOST = 2.5;
/** Errors go together over so many widths of the water along, and across. As the bed was drawn (depth-kriging.ts). */
const RANGE = { along: 1, across: 0.4 };

/** The ends stay as they are over so many widths: an error that closes the inlet says nothing of the reach. */
const ENDS = 0.25;

/**
 * A reach whose bed is off by its own uncertainty, in the way of one member of an ensemble: a smooth random field
 * (spectral sampling of a Gaussian covariance, Shinozuka 1971) times the standard deviation at each place. Members go
 * in pairs of opposite errors, so that together they are off by nothing. A bed that was measured throughout stays.
 */
export function guessedBed(reach: Reach, member: number): Reach {
  const { bed } = reach;
  if (bed.kind !== "grid" || !bed.deviation) return reach;
  const { nx, cell, deviation } = bed;
  const wet = deviation.reduce<number>((sum, one) => sum + (one === null ? 0 : 1), 0);
  const width = Math.max(cell, (wet * cell) / nx);
  const random = stream(101 + Math.floor(member / 2));
  const sign = member % 2 === 0 ? 1 : -1;
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const waves = Array.from({ length: WAVES }, () => ({
    x: gauss() / (RANGE.along * width),
    y: gauss() / (RANGE.across * width),
    phase: 2 * Math.PI * random(),
  }));
  const z = bed.z.map((height, k) => {
    const spread = deviation[k] ?? null;
    if (spread === null) return height;
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const sum = waves.reduce((total, one) => total + Math.cos(one.x * x + one.y * y + one.phase), 0);
    const off = Math.max(-MOST, Math.min(MOST, sum * Math.sqrt(2 / WAVES)));
    const end = Math.min(1, Math.min(x, nx * cell - x) / (ENDS * width));
    return height + sign * off * spread * end;
  });
  return { ...reach, bed: { ...bed, z } };
}
