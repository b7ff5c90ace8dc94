import { posterior, PRIOR_HOURS } from "./rates";

test("the prior is weak: two outings of a usual length outweigh it, and one lucky fish does not", () => {
  // Common practice, no source: an outing is three hours or so.
  expect(6 / (6 + PRIOR_HOURS)).toBeGreaterThan(0.66);
  // One fish in a quarter of an hour, where the mean is one in two hours: four an hour would be shouting.
  const lucky = posterior(1, 0.25, 0.5);
  expect(lucky.rate).toBeLessThan(1);
  expect(lucky.rate).toBeGreaterThan(0.5);
  expect(PRIOR_HOURS).toBeGreaterThanOrEqual(1);
});

test("much fishing leaves the prior behind: the rate comes to the plain count by hours", () => {
  const much = posterior(60, 100, 0.1);
  expect(Math.abs(much.rate / 0.6 - 1)).toBeLessThan(0.02);
  expect(much.interval[0]).toBeLessThan(0.6);
  expect(much.interval[1]).toBeGreaterThan(0.6);
});

test("nothing caught ever and nothing believed: no rate, and no width to it", () => {
  expect(posterior(0, 5, 0)).toEqual({ rate: 0, interval: [0, 0] });
});

test("the interval is of the gamma posterior: Poisson counts by their chi-square limits", () => {
  // Gamma(5, 10) has the 10th and 90th percentiles chi2(10 df)/2/10: 4.865/20 and 15.987/20 (tables of chi-square).
  const { interval } = posterior(5, 10 - 1e-9, 0, 1e-9);
  expect(interval[0]).toBeCloseTo(4.865 / 20, 3);
  expect(interval[1]).toBeCloseTo(15.987 / 20, 3);
});
