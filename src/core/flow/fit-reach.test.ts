import { fitReach } from "./fit-reach";
import { probeAt } from "./probe";
import { rasteriseReach } from "./rasterise";
import { checkReach } from "./reach";
import type { Reach, WaterReading } from "./reach-schema";
import { solveSteady } from "./steady";
import { finish } from "./steps";

const [NX, NY] = [70, 14];
const SLOPE = 0.003;
const DISCHARGE = 4;
/** A straight channel of 10 m, 0.6 m deep or so, with a bar of so much height on one side of its middle. */
function channel(bar: number, guessed = true): Reach {
  const z: number[] = [];
  const deviation: (number | null)[] = [];
  for (let j = 0; j < NY; j++)
    for (let i = 0; i < NX; i++) {
      const isWater = j >= 2 && j < 12;
      const hump = bar * Math.exp(-(((i - 35) / 6) ** 2) - ((j - 4) / 2.5) ** 2);
      z.push(Number((-SLOPE * i + (isWater ? hump : 2)).toFixed(3)));
      deviation.push(isWater ? 0.2 : null);
    }
  return checkReach({
    schema: "low-heron/reach@1",
    id: "f",
    name: "f",
    bed: { kind: "grid", nx: NX, ny: NY, cell: 1, z, ...(guessed && { deviation }) },
    roughness: 0.035,
    downstream: { kind: "normal", slope: SLOPE },
  });
}
const fieldOf = (reach: Reach) =>
  solveSteady(rasteriseReach(reach), { discharge: DISCHARGE, downstream: reach.downstream });
/** Surface speeds about the bar, each off by a little, up and down by turns. */
function filmed(truth: Reach, count = 20): WaterReading[] {
  const field = fieldOf(truth);
  return Array.from({ length: count }, (_, k): WaterReading => {
    const [x, y] = [27 + 4 * (k % 5), 3.5 + 2 * Math.floor(k / 5)];
    const value = probeAt(field, x, y).surface * (1 + 0.04 * (k % 2 ? 1 : -1));
    return { x, y, kind: "surface-speed", value, discharge: DISCHARGE, at: "2026-06-01T10:00:00Z" };
  });
}

test("a bar that nobody measured is found in the bed from the speeds over it; roughness and outlet stay", () => {
  const [truth, start] = [channel(0.3), channel(0)];
  const readings = filmed(truth);
  const shares: number[] = [];
  const work = fitReach(start, readings, 1);
  const fit = finish(work, (done) => shares.push(done));
  expect(fit.fitted).toEqual(["bed"]);
  expect([fit.reach.roughness, fit.reach.downstream]).toEqual([start.roughness, start.downstream]);
  expect(fit.misfit.after).toBeLessThan(0.85 * fit.misfit.before);
  expect(fit.residuals).toHaveLength(readings.length);
  expect(fit.bedMoved).toBeGreaterThan(0.06);
  // The bed over the bar rises, by a fifth of it at least, and far from the readings nothing moves.
  const movedAt = (i: number, j: number) => {
    const [was, is] = [start.bed, fit.reach.bed].map((bed) => (bed.kind === "grid" ? bed.z[j * NX + i]! : NaN));
    return is! - was!;
  };
  expect(movedAt(35, 4)).toBeGreaterThan(0.06);
  expect(movedAt(35, 4)).toBeLessThan(0.45);
  expect(Math.abs(movedAt(62, 6))).toBeLessThan(0.02);
  // Held out: speeds over the same water at places between the readings.
  const [true_, before, after] = [truth, start, fit.reach].map(fieldOf);
  const off = (field: ReturnType<typeof fieldOf>) =>
    [29, 33, 37, 41].reduce(
      (sum, x) =>
        sum +
        [4.5, 6.5, 8.5].reduce((s, y) => s + (probeAt(field, x, y).surface - probeAt(true_!, x, y).surface) ** 2, 0),
      0,
    );
  expect(off(after!)).toBeLessThan(0.7 * off(before!));
  expect(Math.min(...shares)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...shares)).toBeLessThan(1);
  expect(shares.every((one, k) => k === 0 || one >= shares[k - 1]! - 1e-9)).toBe(true);
});

test("a measured bed is never moved, nor a guessed one by five readings", () => {
  const truth = channel(0.3);
  expect(finish(fitReach(channel(0, false), filmed(truth), 1)).fitted).not.toContain("bed");
  expect(finish(fitReach(channel(0), filmed(truth, 5), 1)).fitted).not.toContain("bed");
});

test("a bed that the speeds agree with is left as it is", () => {
  const same = channel(0);
  const fit = finish(fitReach(same, filmed(same), 1));
  expect(fit.reach.bed).toEqual(same.bed);
});

test("readings that disagree beyond their errors are told with the fit", () => {
  const start = channel(0);
  const wild = filmed(channel(0.3)).map((one, k) => ({ ...one, value: one.value * (k % 2 ? 1.6 : 0.5) }));
  const fit = finish(fitReach(start, wild, 1));
  expect(fit.misfit.after).toBeGreaterThan(3);
  expect(fit.why).toMatchObject({ code: "readings-contradict" });
});
