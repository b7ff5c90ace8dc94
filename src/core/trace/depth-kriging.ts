import { cholesky, forward } from "../quantity/cholesky";
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
  local: { spread: 0.2, along: 0.35, across: 0.2 },
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

/** Place in the channel, and what readings say of it: products of such vectors are the covariance they explain. */
interface Explained {
  at: At;
  known: readonly number[];
}

function conditioned({ meanWidth }: Pick<Channel, "meanWidth">, taken: readonly TakenDepth[]) {
  const covariance = covarianceFor(meanWidth);
  const matrix = taken.map((a, i) =>
    taken.map((b, j) => covariance(a, b) + (i === j ? (a.spread ?? KRIGING.reading) ** 2 : 0)),
  );
  const factor = cholesky(matrix);
  const explain = (at: At): Explained => ({
    at,
    known: forward(
      factor,
      taken.map((one) => covariance(at, one)),
    ),
  });
  return { factor, explain, left: (a: Explained, b: Explained) => covariance(a.at, b.at) - dot(a.known, b.known) };
}

export function krige(channel: Pick<Channel, "meanWidth">, taken: readonly TakenDepth[]): RatioAt {
  const { factor, explain, left } = conditioned(channel, taken);
  const said = forward(
    factor,
    taken.map(({ ratio }) => ratio),
  );
  return (s, across) => {
    const place = explain({ s, across });
    return { mean: dot(place.known, said), deviation: Math.sqrt(Math.max(0, left(place, place))) };
  };
}

/** A place whose depth matters: its weight, in the square of what a share of error there counts. */
export interface Target extends At {
  weight: number;
}

/** Readings that would help most, by index of the candidate, and the weighted mean square error before and after. */
export interface Design {
  chosen: number[];
  before: number;
  after: number;
}

/**
 * Where readings would help most: one after another, each where it takes most off the weighted mean square error of
 * the targets, given those before it. What a reading takes off a place's variance does not hang on what it reads:
 * cov(place, reading)^2 / (var(reading) + its error^2) (optimal spatial sampling: McBratney, Webster & Burgess 1981,
 * Computers & Geosciences 7, 331-334; Cressie 1993, section 5.6.1).
 */
export function bestReadings(
  channel: Pick<Channel, "meanWidth">,
  taken: readonly TakenDepth[],
  { targets, candidates, count }: { targets: readonly Target[]; candidates: readonly At[]; count: number },
): Design {
  const { explain, left } = conditioned(channel, taken);
  const total = targets.reduce((sum, one) => sum + one.weight, 0);
  let wanted = targets.map(explain);
  let open = candidates.map((one) => explain(one));
  const error = () =>
    wanted.reduce((sum, one, k) => sum + targets[k]!.weight * Math.max(0, left(one, one)), 0) / Math.max(1e-12, total);
  const before = error();
  const chosen: number[] = [];
  while (chosen.length < Math.min(count, candidates.length)) {
    const gains = open.map(
      (one) =>
        wanted.reduce((sum, target, k) => sum + targets[k]!.weight * left(target, one) ** 2, 0) /
        (left(one, one) + KRIGING.reading ** 2),
    );
    const best = gains.reduce((most, gain, k) => (gain > gains[most]! ? k : most), 0);
    if (!(gains[best]! > 0)) break;
    chosen.push(best);
    const own = open[best]!;
    const scale = Math.sqrt(left(own, own) + KRIGING.reading ** 2);
    const learnt = (one: Explained): Explained => ({ ...one, known: [...one.known, left(one, own) / scale] });
    [wanted, open] = [wanted.map(learnt), open.map(learnt)];
  }
  return { chosen, before, after: error() };
}

const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, one, k) => sum + one * b[k]!, 0);
