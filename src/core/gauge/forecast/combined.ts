import { betweenLeads } from "./leads";
import { middleOf } from "./middle";
import type { Trials } from "./trials";

/**
 * Ways combined (Bates & Granger 1969, Oper. Res. Q. 20, 451): at each lead the one, or the two by halves, that erred
 * least in the trials, by the mean and by the middle of the errors alike; between leads their weights run straight.
 */

export interface Weights {
  /** Steps ahead of each lead that the grid has, in order. */
  leads: number[];
  /** For each lead, a weight for each way; they sum to 1. */
  of: number[][];
}

/** Fewest trials that weights are told from. Common practice, no source. */
export const LEAST_TRIALS = 60;
/** Fewest that are alike, as with rain to come. Own choice: those are rare, and of different events. */
const LEAST_ALIKE = 24;
/** How much better than one way two must be, and others than those of the lead before. Own choice. */
const FOR_TWO = 0.02;
const FOR_OTHERS = 0.06;
/** And others than those of all trials, where some are weighed apart: those are few. */
const FOR_APART = 0.2;

/** The weights without rain to come, and with it; alike where too little is known of it. */
export interface Weighing {
  dry: Weights;
  wet: Weights;
}

/** Null with too few trials. `known`: only trials before this one count. */
export function weighingOf(trials: Trials, leads: readonly number[], known: number): Weighing | null {
  const { rain } = trials;
  const dry = weightsOf(trials, leads, known, rain && ((n, h) => h < rain.from[n]!));
  const wet = rain ? weightsOf(trials, leads, known, (n, h) => h >= rain.from[n]!) : dry;
  return dry && wet && { dry, wet };
}

/**
 * Null with too few trials.
 * @param counts which trials count at a step ahead, where enough of them do; null: all of the first `known`
 */
export function weightsOf(
  trials: Trials,
  leads: readonly number[],
  known: number,
  counts: ((n: number, h: number) => boolean) | null = null,
): Weights | null {
  const all = Array.from({ length: known }, (_, n) => n);
  const of: number[][] = [];
  for (const lead of leads) {
    const h = lead - 1;
    const whole = weightsAt(trials, h, all, LEAST_TRIALS, { before: of.at(-1) });
    const some = counts && whole && all.filter((n) => counts(n, h));
    const weights = (some && weightsAt(trials, h, some, LEAST_ALIKE, { before: of.at(-1), usual: whole })) ?? whole;
    if (!weights) return null;
    of.push(weights);
  }
  return { leads: [...leads], of: of.map((own, l) => smoothed(own, of[l - 1] ?? own, of[l + 1] ?? own)) };
}

/** With a quarter of the weights of the leads beside it: a forecast has no kink where another way takes over. */
const smoothed = (own: readonly number[], before: readonly number[], after: readonly number[]): number[] =>
  own.map((share, way) => share / 2 + (before[way]! + after[way]!) / 4);

/** A way with itself, or two by halves, and how they erred. */
interface Option {
  a: number;
  b: number;
  mean: number;
  middle: number;
}

function weightsAt(
  { names, said, came, ahead }: Trials,
  h: number,
  among: readonly number[],
  least: number,
  { before, usual }: { before?: readonly number[]; usual?: readonly number[] },
): number[] | null {
  const all = among.map((n) => n * ahead + h).filter((at) => !Number.isNaN(came[at]!));
  // A way that mostly cannot tell does not keep the others from being weighed.
  const able = [...names.keys()].filter(
    (way) => all.filter((at) => !Number.isNaN(said[way]![at]!)).length > all.length / 2,
  );
  const common = all.filter((at) => able.every((way) => !Number.isNaN(said[way]![at]!)));
  if (common.length < least) return null;
  const errors = able.map((way) => Float64Array.from(common, (at) => said[way]![at]! - came[at]!));
  const off = new Float64Array(common.length);
  /** One way, or two by halves. */
  const tried = (a: number, b: number): Option => {
    const [one, other] = [errors[a]!, errors[b]!];
    let sum = 0;
    for (let n = 0; n < off.length; n++) {
      off[n] = Math.abs((one[n]! + other[n]!) / 2);
      sum += off[n]!;
    }
    return { a, b, mean: sum / off.length, middle: middleOf(off, off.length, 1) };
  };
  const options = able.flatMap((_, a) => able.slice(a).map((_, more) => tried(a, a + more)));
  const [mean, middle] = [Math.min(...options.map((one) => one.mean)), Math.min(...options.map((one) => one.middle))];
  const weightsBy = ({ a, b }: Option) =>
    names.map((_, way) => (able[a] === way ? 0.5 : 0) + (able[b] === way ? 0.5 : 0));
  const isOther = (one: Option, than: readonly number[] | undefined) =>
    than !== undefined && weightsBy(one).some((share, way) => share !== than[way]);
  const cost = (one: Option) =>
    one.mean / (mean || 1) +
    one.middle / (middle || 1) +
    (one.a === one.b ? 0 : FOR_TWO) +
    (isOther(one, before) ? FOR_OTHERS : 0) +
    (isOther(one, usual) ? FOR_APART : 0);
  const best = options.reduce((one, other) => (cost(other) < cost(one) ? other : one));
  return weightsBy(best);
}

/** The weight of each way at a number of steps ahead. */
export const weightsAhead = ({ leads, of }: Weights, steps: number): number[] =>
  of[0]!.map((_, way) => betweenLeads(leads, steps, (lead) => of[lead]![way]!));

/**
 * What the ways make together by weights, from what each says: forecasts of `ahead` steps behind one another. A way
 * that says nothing leaves its weight to the others; NaN where none can.
 */
export function mixed(said: readonly ArrayLike<number>[], weights: Weights, ahead: number): Float32Array {
  const out = new Float32Array(said[0]!.length);
  for (let h = 0; h < ahead; h++) {
    const shares = weightsAhead(weights, h + 1);
    const used = said.flatMap((own, way) => (shares[way]! > 0 ? [{ own, share: shares[way]! }] : []));
    for (let k = h; k < out.length; k += ahead) {
      let [sum, whole] = [0, 0];
      for (const { own, share } of used) {
        if (Number.isNaN(own[k]!)) continue;
        sum += share * own[k]!;
        whole += share;
      }
      out[k] = whole > 0 ? sum / whole : NaN;
    }
  }
  return out;
}
