import gammaQuantile from "@stdlib/stats-base-dists-gamma-quantile";
import logpmf from "@stdlib/stats-base-dists-negative-binomial-logpmf";
import { poisson, stream } from "../quantity/seeded";
import { gammaOf } from "../../testing/made-season";
import {
  chanceAbove,
  DISPERSIONS,
  dispersionWeights,
  evidenceOf,
  intervalOf,
  JEFFREYS,
  logLikelihood,
  meanOf,
  NO_EVIDENCE,
  POISSON_ALONE,
  posteriorOf,
  quantileOf,
} from "./overdispersion";
import { compareRates, garwood, ratesOf } from "./rates";
import { PRIOR_HOURS } from "./rate-terms";
import { sampleEffort } from "../../testing/book-samples";

test.each([0.1, 0.5, 1, 4])("with dispersion %p counts are as probable as a statistics library says", (dispersion) => {
  // NB of size r = 1/dispersion and success p = r / (r + mean) (@stdlib/stats). Constants of y! fall out of differences
  // at one count.
  const r = 1 / dispersion;
  for (const events of [0, 1, 3, 9])
    for (const [a, b] of [
      [0.4, 1.7],
      [2, 11],
    ] as const)
      expect(logLikelihood(events, a, dispersion) - logLikelihood(events, b, dispersion)).toBeCloseTo(
        logpmf(events, r, r / (r + a)) - logpmf(events, r, r / (r + b)),
        9,
      );
  // And between counts: ln y! is what is left out.
  expect(logLikelihood(4, 2, dispersion) - logLikelihood(0, 2, dispersion) - Math.log(24)).toBeCloseTo(
    logpmf(4, r, r / (r + 2)) - logpmf(0, r, r / (r + 2)),
    9,
  );
});

test("without bunching a rate is gamma: mean and quantiles as a statistics library has them", () => {
  const found = posteriorOf([{ hours: 7, events: 3 }], { shape: 0.8, hours: 2 }, POISSON_ALONE);
  expect(meanOf(found)).toBeCloseTo(3.8 / 9, 4);
  for (const share of [0.05, 0.1, 0.5, 0.9, 0.95])
    expect(quantileOf(found, share) / gammaQuantile(share, 3.8, 9)).toBeCloseTo(1, 2);
});

test.each([0, 1, 3, 10, 40])("without bunching or belief %p fish lie between Garwood's exact limits", (events) => {
  // Jeffreys' interval lies within the exact one (Brown, Cai & DasGupta 2003), and comes to it with many fish.
  const [low, high] = intervalOf(posteriorOf([{ hours: 10, events }], JEFFREYS, POISSON_ALONE), 0.8);
  const exact = garwood(events, 0.8).map((limit) => limit / 10) as [number, number];
  expect(low).toBeGreaterThanOrEqual(exact[0] * 0.999);
  expect(high).toBeLessThanOrEqual(exact[1] * 1.001);
  if (events === 40) {
    expect(low / exact[0]).toBeLessThan(1.03);
    expect(high / exact[1]).toBeGreaterThan(0.97);
  }
});

test("fish in bunches widen the interval; the same fish spread evenly do not", () => {
  const bunched = [8, 0, 0, 0, 0, 0, 0, 0].map((events) => ({ hours: 3, events }));
  const even = [1, 1, 1, 1, 1, 1, 1, 1].map((events) => ({ hours: 3, events }));
  const width = (bouts: typeof even) => {
    const [low, high] = intervalOf(posteriorOf(bouts, JEFFREYS, NO_EVIDENCE), 0.8);
    return Math.log(high / low);
  };
  expect(width(bunched)).toBeGreaterThan(1.5 * width(even));
  const likely = (bouts: typeof even) => {
    const evidence = evidenceOf(bouts);
    return DISPERSIONS.value[evidence.indexOf(Math.max(...evidence))]!;
  };
  expect(likely(bunched)).toBeGreaterThanOrEqual(2);
  expect(likely(even)).toBe(0);
});

test("a class's own fish are not in its prior; more of its own always tell more", () => {
  const others = [{ hours: 20, events: 8 }];
  const rate = (events: number) => ratesOf([[{ hours: 0.25, events }], others])[0]!.rate;
  // One fish in a quarter of an hour, where the mean is 0.4: four an hour would be shouting.
  expect(rate(1)).toBeLessThan(1);
  expect(rate(1)).toBeGreaterThan(rate(0));
  // A class that nobody fished has none.
  expect(ratesOf([[], others])[0]).toBeNull();
  // Two outings of a usual length outweigh the prior. Common practice, no source: an outing is three hours or so.
  expect(6 / (6 + PRIOR_HOURS)).toBeGreaterThan(0.66);
});

test("put together by hand: the rate of the two others as prior, worth two hours, and their word for the dispersion", () => {
  const groups = [
    [
      { hours: 3, events: 4 },
      { hours: 2, events: 0 },
    ],
    [
      { hours: 4, events: 1 },
      { hours: 6, events: 2 },
    ],
    [
      { hours: 5, events: 0 },
      { hours: 3, events: 7 },
    ],
  ];
  const rates = ratesOf(groups);
  const prior = [
    { fish: 10, over: 18 },
    { fish: 11, over: 13 },
    { fish: 7, over: 15 },
  ];
  groups.forEach((group, k) => {
    const [a, b] = groups.filter((one) => one !== group).map(evidenceOf) as [number[], number[]];
    const shape = (2 * (prior[k]!.fish + 0.5)) / (prior[k]!.over + 1);
    const posterior = posteriorOf(
      group,
      { shape, hours: 2 },
      a.map((one, d) => one + b[d]!),
    );
    expect(rates[k]!.rate).toBeCloseTo(quantileOf(posterior, 0.5), 12);
    const interval = intervalOf(posterior, 0.8);
    rates[k]!.interval.forEach((limit, end) => expect(limit).toBeCloseTo(interval[end]!, 12));
  });
  // What nobody fished has no rate, says nothing of the dispersion and takes nothing from the others.
  const [none, ...rest] = ratesOf([[{ hours: 0, events: 0 }], ...groups]);
  expect(none).toBeNull();
  expect(rest.map((one) => one!.rate)).toEqual(rates.map((one) => expect.closeTo(one!.rate, 12) as number));
  // Alone, a class leans on the log's own rate, worth two hours: 4 fish in 5 h.
  const alone = posteriorOf(groups[0]!, { shape: (2 * 4.5) / 6, hours: 2 }, NO_EVIDENCE);
  expect(ratesOf([groups[0]!])[0]!.rate).toBeCloseTo(quantileOf(alone, 0.5), 12);
  // Where one side was not fished there is nothing to hold it against.
  const fished = [sampleEffort("s", 2, null, 1)];
  expect(compareRates(fished, [])).toBeNull();
  expect(compareRates([], fished)).toBeNull();
});

test("gamma variates have mean 1 and the variance 1/k", () => {
  const random = stream(3);
  for (const k of [0.5, 2]) {
    const all = Array.from({ length: 20_000 }, () => gammaOf(k, random));
    const mean = all.reduce((sum, x) => sum + x, 0) / all.length;
    const variance = all.reduce((sum, x) => sum + (x - mean) ** 2, 0) / all.length;
    expect(mean).toBeCloseTo(1, 1);
    expect(variance * k).toBeCloseTo(1, 1);
  }
});

test("which of two is better: sure where the counts are, a toss-up where they are the same, and it adds up", () => {
  const many = Array.from({ length: 12 }, (_, k) => sampleEffort(`a${k}`, 3, null, 3));
  const few = Array.from({ length: 12 }, (_, k) => sampleEffort(`b${k}`, 3, null, k % 4 === 0 ? 1 : 0));
  const found = compareRates(many, few)!;
  expect(found.chance).toBeGreaterThan(0.99);
  expect(found.one).toMatchObject({ hours: 36, events: 36 });
  expect(compareRates(few, many)!.chance).toBeCloseTo(1 - found.chance, 3);
  expect(compareRates(many, many)!.chance).toBeCloseTo(0.5, 6);
  expect(compareRates(many, [])).toBeNull();
  // Of gamma rates with equal hours the chance has a closed form, a binomial sum: X ~ Gamma(1.5), Y ~ Gamma(0.5), by
  // the beta: P(X > Y) = I_0.5(0.5, 1.5) = 1/2 + 1/pi.
  const [one, other] = [1, 0].map((events) => posteriorOf([{ hours: 5, events }], JEFFREYS, POISSON_ALONE));
  expect(chanceAbove(one!, other!, dispersionWeights(one!))).toBeCloseTo(0.5 + 1 / Math.PI, 2);
});

test("one fish in 7.5 hours is about one in 7.5 hours, alone or beside others, and so is none in few", () => {
  for (const others of [[], [[{ hours: 20, events: 4 }]], [[{ hours: 5, events: 0 }], [{ hours: 9, events: 3 }]]]) {
    const [one] = ratesOf([[{ hours: 7.5, events: 1 }], ...others]);
    expect(one!.rate).toBeGreaterThan(0.06);
    expect(one!.rate).toBeLessThan(0.2);
    expect(one!.interval[0]).toBeLessThan(1 / 7.5);
    expect(one!.interval[1]).toBeGreaterThan(1 / 7.5);
  }
  expect(ratesOf([[{ hours: 2, events: 0 }]])[0]!.rate).toBeLessThan(0.3);
});

test("over many logs the classes add up to what was caught: none is drawn upwards as a rule", () => {
  const random = stream(3);
  for (const [sessions, rate] of [
    [8, 0.2],
    [20, 0.5],
    [60, 0.5],
  ] as const) {
    let [told, events] = [0, 0];
    for (let log = 0; log < 12; log++) {
      const groups = Array.from({ length: 5 }, () =>
        Array.from({ length: sessions }, () => ({
          hours: 0.5 + 2 * random(),
          events: poisson(rate * 1.5 * (random() < 0.3 ? 2.5 : 0.4), random),
        })),
      );
      ratesOf(groups).forEach((one, k) => {
        told += (one?.rate ?? 0) * groups[k]!.reduce((sum, bout) => sum + bout.hours, 0);
        events += groups[k]!.reduce((sum, bout) => sum + bout.events, 0);
      });
    }
    expect(told / events).toBeGreaterThan(0.87);
    expect(told / events).toBeLessThan(1.13);
  }
});
