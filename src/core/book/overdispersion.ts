import { FROM_MEMORY, sourced } from "../quantity/provenance";

/**
 * Fish come in bunches: one day gives six, four give none. A rate that is taken from sessions therefore has a
 * negative-binomial count in each: the session's own rate is gamma about the mean, with the variance `dispersion` times
 * the mean squared (Hilbe 2011, Negative Binomial Regression, NB2; from memory). Dispersion 0 is Poisson.
 */

/** Fishing in one session, in one class: the sessions are what is independent, not the fish. */
export interface Bout {
  hours: number;
  events: number;
}

/** Gamma prior of a rate: shape, and rate in hours. */
export interface Prior {
  shape: number;
  hours: number;
}

/** Where nothing else is known (Jeffreys' prior of a Poisson rate). */
export const JEFFREYS: Prior = { shape: 0.5, hours: 1e-6 };

/**
 * Dispersions that are weighed against each other, from none to strong, each as likely before anything was seen.
 * Counts of anglers' fish by outing lie mostly between 0.3 and 2.
 */
export const DISPERSIONS = sourced([0, 0.1, 0.25, 0.5, 1, 2, 4], "variance over mean squared", FROM_MEMORY);

/** ln rate runs this far under and over a first guess, in this step. */
const UNDER = 9;
const OVER = 4.5;
const STEP = 0.1;

/** A rate's posterior on a grid, for each dispersion by itself: the masses of all of them add up to 1. */
export interface Posterior {
  rates: Float64Array;
  masses: Float64Array[];
}

/** ln of the negative-binomial probability of a count, but for what does not hang on mean and dispersion. */
export const logLikelihood = (events: number, mean: number, dispersion: number): number =>
  inBunches(events, dispersion) + (events > 0 ? events * Math.log(mean) : 0) - thinned(events, mean, dispersion);

/** The part of it that does not hang on the mean. */
function inBunches(events: number, dispersion: number): number {
  let sum = 0;
  for (let k = 1; k < events; k++) sum += Math.log1p(dispersion * k);
  return sum;
}

/** (y + 1/d) ln(1 + d m), and its limit m. */
const thinned = (events: number, mean: number, dispersion: number): number =>
  dispersion === 0 ? mean : (events + 1 / dispersion) * Math.log1p(dispersion * mean);

/** Grid of rates about what was counted. */
function gridOf(bouts: readonly Bout[], prior: Prior): Float64Array {
  const events = bouts.reduce((sum, bout) => sum + bout.events, 0);
  const hours = bouts.reduce((sum, bout) => sum + bout.hours, 0);
  const guess = Math.log((events + prior.shape + 0.25) / (hours + prior.hours));
  return Float64Array.from({ length: Math.round((UNDER + OVER) / STEP) + 1 }, (_, k) =>
    Math.exp(guess - UNDER + k * STEP),
  );
}

/**
 * ln of prior times likelihood over a grid, one row a dispersion; in ln rate, whence the shape without its 1. What does
 * not hang on the rate is added up once a row, and what hangs on neither (the hours of each fish) is left out.
 */
function logJoint(bouts: readonly Bout[], prior: Prior, rates: Float64Array): Float64Array[] {
  const own = bouts.filter((bout) => bout.hours > 0);
  const events = own.reduce((sum, bout) => sum + bout.events, 0);
  return DISPERSIONS.value.map((dispersion) => {
    const fixed = own.reduce((sum, bout) => sum + inBunches(bout.events, dispersion), 0);
    return rates.map((rate) => {
      let sum = fixed + (prior.shape + events) * Math.log(rate) - prior.hours * rate;
      for (const bout of own) sum -= thinned(bout.events, rate * bout.hours, dispersion);
      return sum;
    });
  });
}

/** ln of how likely the bouts are under each dispersion, whatever the rate; but for what is the same for all. */
export function evidenceOf(bouts: readonly Bout[]): number[] {
  const rates = gridOf(bouts, JEFFREYS);
  return logJoint(bouts, JEFFREYS, rates).map((row) => logSum(row));
}

/** No evidence from elsewhere. */
export const NO_EVIDENCE: readonly number[] = DISPERSIONS.value.map(() => 0);
/** Poisson alone: what the intervals become where fish do not come in bunches. */
export const POISSON_ALONE: readonly number[] = DISPERSIONS.value.map((one) => (one === 0 ? 0 : -Infinity));

/**
 * Posterior of the mean rate of some bouts. Their own counts are used once: the prior, and what others say of the
 * dispersion, must come from elsewhere.
 * @param elsewhere ln weight of each dispersion by other bouts
 */
export function posteriorOf(bouts: readonly Bout[], prior: Prior, elsewhere: readonly number[]): Posterior {
  const rates = gridOf(bouts, prior);
  const rows = logJoint(bouts, prior, rates).map((row, d) => row.map((value) => value + elsewhere[d]!));
  const total = logSum(rows.map((row) => logSum(row)));
  return { rates, masses: rows.map((row) => row.map((value) => Math.exp(value - total))) };
}

function logSum(values: ArrayLike<number>): number {
  let most = -Infinity;
  for (let k = 0; k < values.length; k++) most = Math.max(most, values[k]!);
  if (most === -Infinity) return most;
  let sum = 0;
  for (let k = 0; k < values.length; k++) sum += Math.exp(values[k]! - most);
  return most + Math.log(sum);
}

/** Mass of each rate, whatever the dispersion. */
const marginal = ({ rates, masses }: Posterior): Float64Array =>
  rates.map((_, k) => masses.reduce((sum, row) => sum + row[k]!, 0));

export const meanOf = (posterior: Posterior): number =>
  marginal(posterior).reduce((sum, mass, k) => sum + mass * posterior.rates[k]!, 0);

/** The rate under which a share of the posterior lies: masses are those of the grid's cells, about their middles. */
export function quantileOf(posterior: Posterior, share: number): number {
  const masses = marginal(posterior);
  let below = 0;
  for (let k = 0; k < masses.length; k++) {
    const mass = masses[k]!;
    if (below + mass >= share && mass > 0) return posterior.rates[k]! * Math.exp(STEP * ((share - below) / mass - 0.5));
    below += mass;
  }
  return posterior.rates.at(-1)!;
}

/** Interval that holds a share of the posterior, as much of it under as over. */
export const intervalOf = (posterior: Posterior, level: number): [number, number] => [
  quantileOf(posterior, (1 - level) / 2),
  quantileOf(posterior, (1 + level) / 2),
];

/** Weight of each dispersion after all that was seen. */
export const dispersionWeights = ({ masses }: Posterior): number[] =>
  masses.map((row) => row.reduce((sum, mass) => sum + mass, 0));

/** Chance that one rate is above another, given that both come under the same dispersion. */
export function chanceAbove(one: Posterior, other: Posterior, weights: readonly number[]): number {
  const parts = one.masses.map((row, d) => {
    const [own, others] = [sumOf(row), sumOf(other.masses[d]!)];
    if (own <= 0 || others <= 0) return { weight: 0, chance: 0 };
    let [k, below, chance] = [0, 0, 0];
    for (let i = 0; i < row.length; i++) {
      while (k < other.rates.length && other.rates[k]! < one.rates[i]!) below += other.masses[d]![k++]!;
      // Of the cell that both share half is below.
      const shared = other.rates[k] === one.rates[i] ? other.masses[d]![k]! / 2 : 0;
      chance += row[i]! * (below + shared);
    }
    return { weight: weights[d]!, chance: chance / own / others };
  });
  const total = parts.reduce((sum, { weight }) => sum + weight, 0);
  return parts.reduce((sum, { weight, chance }) => sum + weight * chance, 0) / total;
}

const sumOf = (row: Float64Array): number => row.reduce((sum, mass) => sum + mass, 0);
