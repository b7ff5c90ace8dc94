import { poisson } from "../core/quantity/seeded";
import type { Bout } from "../core/book/overdispersion";

/** Made-up seasons with a known truth, for tests and for the measured coverage (docs/rates.md). */

/** A standard normal by Box & Muller (1958). */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** A gamma variate of shape k and mean 1 (Marsaglia & Tsang 2000; under shape 1 by their boost). */
export function gammaOf(k: number, random: () => number): number {
  if (k < 1) return (gammaOf(k + 1, random) * (k + 1) * (1 - random()) ** (1 / k)) / k;
  const d = k - 1 / 3;
  for (;;) {
    const x = normal(random);
    const v = (1 + x / Math.sqrt(9 * d)) ** 3;
    if (v <= 0) continue;
    if (Math.log(1 - random()) < 0.5 * x ** 2 + d - d * v + d * Math.log(v)) return (d * v) / k;
  }
}

/** Fish of a session at a mean rate, with a rate of its own that is spread about it. */
export const fishOf = (rate: number, hours: number, dispersion: number, random: () => number): number =>
  manyPoisson(rate * hours * (dispersion > 0 ? gammaOf(1 / dispersion, random) : 1), random);

/** Poisson of any mean: the sum of small ones. */
const manyPoisson = (mean: number, random: () => number): number =>
  mean > 10 ? poisson(10, random) + manyPoisson(mean - 10, random) : poisson(mean, random);

/** A season: sessions of one to four hours, each in one of some classes that have true rates. */
function madeSeason(rates: readonly number[], sessions: number, dispersion: number, random: () => number): Bout[][] {
  const classes: Bout[][] = rates.map(() => []);
  for (let k = 0; k < sessions; k++) {
    const own = Math.floor(random() * rates.length);
    const hours = 1 + 3 * random();
    classes[own]!.push({ hours, events: fishOf(rates[own]!, hours, dispersion, random) });
  }
  return classes;
}

/** Share of classes fished whose 80 % interval holds the truth, over many seasons with rates drawn anew. */
export function coverage(seasons: number, sessions: number, dispersion: number, random: () => number, of: RatesOf) {
  let [held, asked] = [0, 0];
  for (let n = 0; n < seasons; n++) {
    // True rates from one fish in six hours to one and a half an hour.
    const truth = Array.from({ length: 5 }, () => Math.exp(Math.log(0.15) + Math.log(10) * random()));
    of(madeSeason(truth, sessions, dispersion, random)).forEach((one, k) => {
      if (!one) return;
      asked++;
      if (one.interval[0] <= truth[k]! && truth[k]! <= one.interval[1]) held++;
    });
  }
  return held / asked;
}

type RatesOf = (groups: Bout[][]) => ({ interval: [number, number] } | null)[];
