import type { Channel } from "./channel";

/** A depth that was taken, by its place in the channel. */
export interface TakenDepth {
  s: number;
  across: number;
  /** Logarithm of it over the depth that the outline gave there. */
  ratio: number;
  /** Its standard deviation, where it is less sure than a reading. */
  spread?: number;
}

/**
 * Kriging of ln(depth taken / depth by the outline) in coordinates along and across the channel (Cressie 1993,
 * Statistics for Spatial Data, chapter 3). What the outline does not know is a sum of independent parts, each with its
 * spread and its ranges: the reach's mean, that of each section, which side is deeper, and humps and holes. Spreads
 * and ranges: own choice, held by docs/own-river.md.
 */
export const KRIGING = {
  /** Spread of ln depth of a whole reach: roughness and slope are guessed. */
  mean: 0.2,
  /** Of a section's mean, with its range along, in widths. */
  section: { spread: 0.25, along: 1 },
  /** From the middle to one bank, with its range along. */
  tilt: { spread: 0.35, along: 1.5 },
  /** Of humps and holes, with their ranges along, in widths, and across, in shares. */
  local: { spread: 0.2, along: 0.5, across: 0.3 },
  /** Of one reading. */
  reading: 0.05,
};

/** Mean and standard deviation of the logarithm at a place. */
export type RatioAt = (s: number, across: number) => { mean: number; deviation: number };

type At = Pick<TakenDepth, "s" | "across">;

const bell = (distance: number) => Math.exp(-(distance ** 2) / 2);

/** Covariance of ln depth at two places, for a channel so wide, m. */
const covarianceFor = (width: number) => {
  const { mean, section, tilt, local } = KRIGING;
  return (a: At, b: At): number => {
    const along = (a.s - b.s) / width;
    return (
      mean ** 2 +
      section.spread ** 2 * bell(along / section.along) +
      tilt.spread ** 2 * (2 * a.across - 1) * (2 * b.across - 1) * bell(along / tilt.along) +
      local.spread ** 2 * bell(Math.hypot(along / local.along, (a.across - b.across) / local.across))
    );
  };
};

export function krige({ meanWidth }: Pick<Channel, "meanWidth">, taken: readonly TakenDepth[]): RatioAt {
  const covariance = covarianceFor(meanWidth);
  const matrix = taken.map((a, i) =>
    taken.map((b, j) => covariance(a, b) + (i === j ? (a.spread ?? KRIGING.reading) ** 2 : 0)),
  );
  const factor = cholesky(matrix);
  const weights = solve(
    factor,
    taken.map(({ ratio }) => ratio),
  );
  return (s, across) => {
    const at = { s, across };
    const k = taken.map((one) => covariance(at, one));
    const known = forward(factor, k).reduce((sum, one) => sum + one * one, 0);
    return {
      mean: k.reduce((sum, one, i) => sum + one * weights[i]!, 0),
      deviation: Math.sqrt(Math.max(0, covariance(at, at) - known)),
    };
  };
}

/** Lower triangle L with L L' = A, for a symmetric, positive definite A. */
function cholesky(a: readonly (readonly number[])[]): number[][] {
  const l = a.map(() => new Array<number>(a.length).fill(0));
  for (let i = 0; i < a.length; i++)
    for (let j = 0; j <= i; j++) {
      let sum = a[i]![j]!;
      for (let k = 0; k < j; k++) sum -= l[i]![k]! * l[j]![k]!;
      l[i]![j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / l[j]![j]!;
    }
  return l;
}

/** x of L x = b. */
function forward(l: readonly (readonly number[])[], b: readonly number[]): number[] {
  const x: number[] = [];
  for (let i = 0; i < b.length; i++) {
    let sum = b[i]!;
    for (let k = 0; k < i; k++) sum -= l[i]![k]! * x[k]!;
    x.push(sum / l[i]![i]!);
  }
  return x;
}

function solve(l: readonly (readonly number[])[], b: readonly number[]): number[] {
  const y = forward(l, b);
  const x = new Array<number>(b.length).fill(0);
  for (let i = b.length - 1; i >= 0; i--) {
    let sum = y[i]!;
    for (let k = i + 1; k < b.length; k++) sum -= l[k]![i]! * x[k]!;
    x[i] = sum / l[i]![i]!;
  }
  return x;
}
