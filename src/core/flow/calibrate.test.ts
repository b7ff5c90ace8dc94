import type { Reach, WaterReading } from "./reach-schema";
import { calibrate, type Calibration } from "./calibrate";
import { rasteriseReach } from "./rasterise";
import { probeAt } from "./probe";
import { checkReach } from "./reach";
import { solveSteady } from "./steady";

const CELL = 2;
const reach = (roughness: number, slope: number): Reach =>
  checkReach({
    schema: "low-heron/reach@1",
    id: "c",
    name: "c",
    roughness,
    downstream: { kind: "normal", slope },
    bed: {
      kind: "template",
      template: "riffle-run-pool",
      length: 120,
      width: 20,
      poolDepth: 1.2,
      slope: 0.003,
      wiggle: 2,
      cell: 1,
    },
  });
const PLACES: readonly (readonly [number, number, WaterReading["kind"]])[] = [
  [25, 14, "surface-speed"],
  [35, 15, "depth"],
  [45, 14, "surface-speed"],
  [60, 15, "depth"],
  [85, 15, "depth"],
  [110, 15, "depth"],
  [114, 14, "surface-speed"],
];

/** Readings of a made-up truth, each off by a little, by turns up and down. */
function readingsOf(truth: Reach, discharge: number, places = PLACES): WaterReading[] {
  const field = solveSteady(rasteriseReach(truth, CELL), { discharge, downstream: truth.downstream });
  return places.map(([x, y, kind], k) => {
    const probe = probeAt(field, x, y);
    return {
      x,
      y,
      kind,
      value: (kind === "depth" ? probe.depth : probe.surface) * (1 + 0.02 * (k % 2 ? 1 : -1)),
      discharge,
      at: "2026-06-01T10:00:00Z",
    };
  });
}
function run(start: Reach, readings: readonly WaterReading[]): Calibration {
  const work = calibrate(start, readings, CELL);
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
    if (!(next.value >= 0 && next.value < 1)) throw new Error("progress out of range");
  }
}

test("a truth of other roughness and outlet is found again, and the misfit falls to that of the readings", () => {
  const found = run(reach(0.028, 0.004), readingsOf(reach(0.042, 0.002), 6));
  expect(found.fitted).toContain("roughness");
  expect(Math.abs((found.reach.roughness as number) / 0.042 - 1)).toBeLessThan(0.12);
  expect(found.misfit.before).toBeGreaterThan(1.5);
  expect(found.misfit.after).toBeLessThan(0.75);
  expect(
    found.residuals.every(({ before, after, measured }) => before !== null && after !== null && measured > 0),
  ).toBe(true);
});

test("readings of two flows at once are fitted together", () => {
  const truth = reach(0.04, 0.003);
  const found = run(reach(0.03, 0.003), [
    ...readingsOf(truth, 4, PLACES.slice(0, 3)),
    ...readingsOf(truth, 9, PLACES.slice(3)),
  ]);
  expect(Math.abs(found.roughness!.factor - 0.04 / 0.03)).toBeLessThan(0.15);
});

test("what the readings cannot support is refused or left alone, and said", () => {
  const truth = reach(0.042, 0.003);
  const one = run(reach(0.03, 0.003), readingsOf(truth, 6, PLACES.slice(0, 1)));
  expect(one).toMatchObject({ fitted: [], roughness: null, outlet: null });
  expect(one.why?.code).toBe("one-reading");
  expect(one.reach.roughness).toBe(0.03);
  const upstream = run(reach(0.03, 0.003), readingsOf(truth, 6, PLACES.slice(0, 2)));
  expect(upstream).toMatchObject({
    fitted: ["roughness"],
    why: { code: "roughness-only" },
  });
  const foot = run(reach(0.03, 0.003), readingsOf(truth, 6, PLACES.slice(5)));
  expect(foot).toMatchObject({ fitted: ["roughness"], why: { code: "two-readings" } });
  const ashore = run(
    reach(0.03, 0.003),
    [0, 1].map((k) => ({
      x: 20 + k,
      y: 0.5,
      kind: "depth" as const,
      value: 0.5,
      discharge: 6,
      at: "2026-06-01T10:00:00Z",
    })),
  );
  expect(ashore.fitted).toEqual([]);
  expect(ashore.why).toMatchObject({ code: "readings-dry" });
  const against = run(
    reach(0.03, 0.003),
    [0.3, 1.9, 0.3].map((value, k) => ({
      x: 85,
      y: 14 + k,
      kind: "depth" as const,
      value,
      discharge: 6,
      at: "2026-06-01T10:00:00Z",
    })),
  );
  expect(against).toMatchObject({ fitted: [], why: { code: "readings-contradict" } });
  expect(against.reach.roughness).toBe(0.03);
  expect(() => run(reach(0.03, 0.003), [])).toThrow("no-readings-to-fit");
});
