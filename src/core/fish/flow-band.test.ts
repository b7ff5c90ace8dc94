import { DEMO_REACHES } from "../../demo/river";
import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { flowBand, scoreNear } from "./flow-band";
import { readWater, scoreWater, type ReadOptions } from "./read";
import { speciesById } from "./species";

/** A place at a flow whose best place scores 1: it must score 0.4. */
const at = (discharge: number, score: number, medianScore = 0.1, best = 1) => ({
  discharge,
  score,
  medianScore,
  best,
});
const LADDER = [at(1, 0), at(2, 0.25), at(4, 0.85), at(8, 1), at(16, 0.3), at(32, 0.9)];

test("a band about the flow at which a place is worth most beside the best, its ends between solved flows in ln Q", () => {
  const band = flowBand(LADDER)!;
  // 0.5 is passed (0.85 - 0.5) / (0.85 - 0.25) = 7/12 of the way from 4 down to 2.
  expect(band.low).toBeCloseTo(4 * (2 / 4) ** (7 / 12), 10);
  expect(band.high).toBeCloseTo(8 * 2 ** (0.5 / 0.7), 10);
  expect(band).toMatchObject({ best: 8, openBelow: false, openAbove: false });
});

test("a band never leaves out the flow at which the lie was told", () => {
  // Told at 30: the band is the one up there.
  expect(flowBand(LADDER, 32)).toMatchObject({ high: 32, best: 32, openAbove: true });
  // Told at a flow between two that were solved coarsely and say otherwise: it stands, however narrow.
  for (const here of [1, 1.5, 3, 16, 20]) {
    const band = flowBand(LADDER, here)!;
    expect(band.low).toBeLessThanOrEqual(here);
    expect(band.high).toBeGreaterThanOrEqual(here);
  }
  // Another flow whose best place is ten times better: this one does not pay there.
  expect(flowBand([at(1, 1), at(2, 1), at(4, 1, 0.1, 10)], 1)!.high).toBeLessThan(4);
});

test("a place that only matches the middle of the water is not good there; ends of the ladder stay open; too few flows tell nothing", () => {
  expect(flowBand([at(1, 0.5, 0.5), at(2, 0.5, 0.5), at(4, 0.5, 0.5)])).toBeUndefined();
  expect(flowBand([at(1, 0, 0, 0), at(2, 0, 0, 0), at(4, 0, 0, 0)])).toBeUndefined();
  expect(flowBand([at(1, 0.9), at(2, 1), at(4, 0.9)])).toEqual({
    low: 1,
    high: 4,
    best: 2,
    openBelow: true,
    openAbove: true,
  });
  expect(flowBand([at(1, 1), at(2, 1)])).toBeUndefined();
});

test("the best score near a place, and none far off", () => {
  const grid = { nx: 20, ny: 20, cell: 0.5 };
  const score = new Float64Array(400).fill(NaN);
  score[10 * 20 + 10] = 0.7;
  expect(scoreNear(score, grid, 5.25, 5.25)).toBe(0.7);
  expect(scoreNear(score, grid, 6.5, 5.25)).toBe(0.7);
  expect(scoreNear(score, grid, 7.5, 5.25)).toBe(0);
});

test("lies are stable: at a flow larger by 4 % their places keep their worth and most of them move by a step at most; at three times the flow some have drowned", () => {
  const reach = DEMO_REACHES[0]!;
  const options: ReadOptions = {
    species: speciesById("brown-trout"),
    visibleDepth: 1,
    temperature: 12,
    light: "day",
    features: reach.features,
  };
  const solve = (discharge: number) =>
    solveSteady(rasteriseReach(reach, 1), { discharge, downstream: reach.downstream });
  const fields = [6, 6.25, 18].map(solve);
  const [now, little, flood] = fields.map((field) => readWater(field, options));
  const scores = fields.map((field) => scoreWater(field, options));
  const moves = now!.lies
    .slice(0, 6)
    .map((lie) => {
      expect(Math.abs(scoreNear(scores[1]!.score, fields[1]!, lie.x, lie.y) / lie.score - 1)).toBeLessThan(0.2);
      return Math.min(...little!.lies.map((other) => Math.hypot(other.x - lie.x, other.y - lie.y)));
    })
    .sort((a, b) => a - b);
  expect(moves[2]!).toBeLessThan(2.3);
  expect(scores[0]!.medianScore).toBeCloseTo(now!.medianScore, 12);
  const kept = now!.lies.filter(
    (lie) => scoreNear(scores[2]!.score, fields[2]!, lie.x, lie.y) > 0.5 * lie.score,
  ).length;
  expect(kept).toBeLessThan(now!.lies.length);
  expect(flood!.lies.length).toBeGreaterThan(0);
});
