import { overWindow, type AveragingWindow } from "./averaging";
import type { Grid } from "./grid";
import { ShallowWater } from "./solver";
import { finish } from "./steps";
import { StorageExtrapolation } from "./storage";

const [NX, NY, DISCHARGE] = [160, 12, 9];

/** A rough channel between a riffle and a sill, held up at its foot; `n` as another cell size would make it. */
function channel(n: number): ShallowWater {
  const grid: Grid = {
    nx: NX,
    ny: NY,
    cell: 1,
    z: Float64Array.from({ length: NX * NY }, (_, k) => 0.002 * (NX - (k % NX)) + (k % NX > 140 ? 0.4 : 0)),
    roughness: new Float64Array(NX * NY).fill(n),
  };
  return new ShallowWater(grid, {
    upstream: { kind: "inflow", discharge: DISCHARGE },
    downstream: { kind: "level", level: 1.1 },
  });
}

/** The state of one solver given to another. */
function hand(from: ShallowWater, to: ShallowWater): ShallowWater {
  const [h, u, v] = [from.h, from.u, from.v].map((array) =>
    Float64Array.from({ length: NX * NY }, (_, k) => array[from.at(k % NX, Math.floor(k / NX))]!),
  );
  to.setState(h!, u, v);
  return to;
}

function run(water: ShallowWater, windows: number, each: (window: AveragingWindow) => void): void {
  for (let k = 0; k < windows; k++) {
    each(finish(overWindow(water, 20, 1000)));
  }
}

/** Settled with one friction, then given another: as when a field goes from one cell size to the next. */
function start(): ShallowWater {
  const before = channel(0.035);
  before.setState(new Float64Array(NX * NY).fill(0.8));
  run(before, 30, () => undefined);
  return hand(before, channel(0.05));
}

test("the storage moved ahead lands near where waiting would have led, in a fraction of the time", () => {
  const waited = start();
  run(waited, 30, () => undefined);
  const end = waited.volume();
  const water = start();
  const mover = new StorageExtrapolation();
  let windows: AveragingWindow[] = [];
  let moved: { before: number; after: number } | undefined;
  run(water, 12, (window) => {
    windows.push(window);
    const before = water.volume();
    if (!mover.moveAhead(water, windows, DISCHARGE)) return;
    windows = [];
    moved ??= { before, after: water.volume() };
  });
  expect(moved).toBeDefined();
  expect(Math.abs(moved!.after - end)).toBeLessThan(0.6 * Math.abs(moved!.before - end));
  expect(Math.abs(water.volume() / end - 1)).toBeLessThan(0.002);
});

test("water at rest, and the waves of a start, are left alone", () => {
  const water = start();
  const windows: AveragingWindow[] = [];
  run(water, 3, (window) => {
    windows.push(window);
    expect(new StorageExtrapolation().moveAhead(water, windows, DISCHARGE)).toBe(false);
  });
  run(water, 30, () => undefined);
  const settled: AveragingWindow[] = [];
  run(water, 5, (window) => settled.push(window));
  expect(new StorageExtrapolation().moveAhead(water, settled, DISCHARGE)).toBe(false);
});
