import { flowBand, type ScoreAtFlow, scoreNear } from "./flow-band";
import { isShelter } from "./judgement";

/** Bands worked by hand; a place pays at half of the best, or a tenth over the middle of the water. */
const at = (discharge: number, score: number, best = 10, medianScore = 1): ScoreAtFlow => ({
  discharge,
  score,
  best,
  medianScore,
});

describe("the flows at which a place fishes", () => {
  test("its ends lie between known flows, where the score meets what is needed, in the logarithm of the flow", () => {
    // Needed 5 everywhere: 3 at 2, 7 at 4, 9 at 8, 4 at 16.
    const band = flowBand([at(16, 4), at(2, 3), at(8, 9), at(4, 7)])!;
    // From 4 down: 2 over, 2 short: half the way in ln Q. From 8 up: 4 over, 1 short: four fifths.
    expect(band.low).toBeCloseTo(4 * 0.5 ** 0.5, 9);
    expect(band.high).toBeCloseTo(8 * 2 ** 0.8, 9);
    expect(band).toMatchObject({ best: 8, openBelow: false, openAbove: false });
  });

  test("where it still fishes at the lowest or highest flow known, that end is open", () => {
    expect(flowBand([at(2, 6), at(4, 7), at(8, 3)])).toMatchObject({ low: 2, openBelow: true, openAbove: false });
    expect(flowBand([at(2, 3), at(4, 7), at(8, 6)])).toMatchObject({ high: 8, openBelow: false, openAbove: true });
  });

  test("under three flows, or where it pays nowhere, there is none", () => {
    expect(flowBand([at(2, 9), at(4, 9)])).toBeUndefined();
    expect(flowBand([at(2, 1), at(4, 2), at(8, 1)])).toBeUndefined();
    expect(flowBand([at(2, 9), at(4, 9), at(8, 9)])).toMatchObject({ low: 2, high: 8 });
  });

  test("of two bands it is that about the flow it was judged at; without one, that where it is worth most beside the best", () => {
    const two = [at(1, 9), at(2, 1), at(4, 1), at(8, 6), at(16, 1)];
    expect(flowBand(two)!.best).toBe(1);
    expect(flowBand(two, 8)).toMatchObject({ best: 8, openBelow: false, openAbove: false });
    // Worth most beside the best, not by the bare score: 6 of 6 needed over 9 of 20.
    expect(flowBand([at(1, 9, 20), at(2, 1), at(4, 1), at(8, 6, 7), at(16, 1)])!.best).toBe(8);
  });

  test("at its own flow, between known ones, it pays whatever they say; its score there lies between theirs in ln Q", () => {
    const band = flowBand([at(2, 1), at(4, 3), at(8, 3), at(16, 1)], Math.sqrt(32))!;
    expect(band.best).toBeCloseTo(Math.sqrt(32), 9);
    expect(band.low).toBeCloseTo(Math.sqrt(32), 9);
    expect(band.high).toBeCloseTo(Math.sqrt(32), 9);
    // Needed 5 of the best 10; between 3 at 4 and 9 at 8, half the way in ln Q, it is 6. From there down 1 over and 2
    // short at 4: a third of the way; up it fishes at 8, and at 16 has 1: 4 over, 4 short.
    const middle = Math.sqrt(32);
    const between = flowBand([at(16, 1), at(8, 9), at(2, 1), at(4, 3)], middle)!;
    expect(between.low).toBeCloseTo(middle * (4 / middle) ** (1 / 3), 9);
    expect(between.high).toBeCloseTo(8 * 2 ** 0.5, 9);
    expect(between.best).toBe(8);
    // What is needed is taken between them as well: best 10 and 14 make 12, median 1 and 9 make 5.
    const needing = flowBand([at(2, 1), at(4, 7, 10), at(8, 9, 14), at(16, 1)], middle)!;
    expect(needing.low).toBeCloseTo(4 * 0.5 ** (2 / 6), 9);
    const halfway = flowBand([at(2, 0), at(4, 0), at(8, 16, 20, 1), at(16, 16, 20, 9)], 8 * 2 ** 0.5)!;
    expect(halfway.low).toBeCloseTo(8 * 0.5 ** (6 / 11), 9);
    const short = flowBand([at(2, 1), at(4, 3, 10, 5), at(8, 9, 20, 9), at(16, 1)], middle)!;
    // 6 at its own flow, of which 1.1 times 7 would be needed: nothing over, whence the band ends where it is.
    expect(short.low).toBeCloseTo(middle, 9);
    // At a flow that is known it is what is known, whatever the order of the others.
    expect(flowBand([at(8, 9), at(2, 1), at(4, 4)], 4)).toMatchObject({ best: 8 });
    expect(flowBand([at(8, 1), at(2, 1), at(4, 4)], 4)!.high).toBeCloseTo(4, 9);
    // Beyond all known flows it is judged as at the nearest.
    expect(flowBand([at(2, 1), at(4, 3), at(8, 9)], 20)).toMatchObject({ high: 20, openAbove: true });
    expect(flowBand([at(2, 9), at(4, 3), at(8, 1)], 1)).toMatchObject({ low: 1, openBelow: true });
  });
});

test("the best score within a metre and a half counts for a place; one beyond, or that is no number, does not", () => {
  const [nx, ny, cell] = [10, 8, 0.5];
  const score = new Float64Array(nx * ny);
  const grid = { nx, ny, cell };
  score[2 * nx + 3] = 4;
  expect(scoreNear(score, grid, 1.75, 1.25)).toBe(4);
  // Its middle at (1.75, 1.25): 1.5 m along is the last place.
  expect(scoreNear(score, grid, 3.25, 1.25)).toBe(4);
  expect(scoreNear(score, grid, 3.3, 1.25)).toBe(0);
  expect(scoreNear(score, grid, 1.75, 2.75)).toBe(4);
  expect(scoreNear(score, grid, 1.75, 2.8)).toBe(0);
  score[2 * nx + 4] = NaN;
  expect(scoreNear(score, grid, 1.75, 1.25)).toBe(4);
  // A place by the edge looks at no row above it and at no column of the row before.
  const edge = new Float64Array(nx * ny);
  [edge[3 * nx - 1], edge[4 * nx]] = [7, 5];
  expect(scoreNear(edge, grid, 0.3, 1.3)).toBe(5);
  expect(scoreNear(edge, grid, 4.8, 1.8)).toBe(7);
  expect(scoreNear(edge, grid, 4.8, 1.3)).toBe(7);
  const corner = new Float64Array(nx * ny);
  [corner[0], corner[nx * ny - 1]] = [2, 3];
  expect(scoreNear(corner, grid, 0.1, 0.1)).toBe(2);
  expect(scoreNear(corner, grid, 4.9, 3.9)).toBe(3);
});

test("a shelter is where a drift feeder rests; a fish on the run that rests there pays by it", () => {
  expect(isShelter({ kind: "resting", drift: 0.4 })).toBe(true);
  expect(isShelter({ kind: "resting", drift: null })).toBe(false);
  expect(isShelter({ kind: "feeding", drift: 0.4 })).toBe(false);
});
