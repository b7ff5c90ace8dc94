import { sampleCatch, sampleRiver, sampleSession } from "../testing/book-samples";
import type { ReachRecord } from "../core/book/records";
import type { Feature } from "../core/flow/reach-schema";
import { DAY } from "../core/gauge/series";
import { logOf, reachOutlook } from "./plan";
import { lieQuality, nearestWater, planWaters } from "./plan-lies";

const NOW = Date.UTC(2026, 4, 20);
const roof = (x: number, y: number): Feature => ({ kind: "overhang", x, y, length: 6, width: 2, angle: 0 });
const record = (features: Feature[], template: "bend" | "tributary-mouth" = "bend"): ReachRecord => ({
  schema: "low-heron/reach-record@1",
  id: "r",
  updatedAt: "2026-05-01T00:00:00Z",
  station: null,
  reach: {
    schema: "low-heron/reach@1",
    id: "r",
    name: "Kiln",
    // 20 m wide, 4 m of swing and 3 m of land either side: its middle lies at 17, at a quarter of its length at 13.
    bed: { kind: "template", template, length: 100, width: 20, poolDepth: 1, slope: 0.002, wiggle: 4, cell: 1 },
    roughness: 0.03,
    downstream: { kind: "normal", slope: 0.002 },
    bearing: 90,
    features,
  },
});
const unknown = { gauge: undefined, station: undefined, water: undefined, weather: null };
const of = (features: Feature[], template?: "tributary-mouth") =>
  reachOutlook(record(features, template), unknown, NOW);

test("trees stand on the bank whose side of the channel they hang over, by the channel's own middle", () => {
  expect(of([]).trees).toEqual([]);
  expect(of([roof(50, 5)]).trees).toEqual(["left"]);
  expect(of([roof(50, 28)]).trees).toEqual(["right"]);
  expect(of([roof(50, 5), roof(50, 28)]).trees).toEqual(["left", "right"]);
  // Right of the bent channel's middle, though left of the grid's.
  expect(of([roof(25, 15)]).trees).toEqual(["right"]);
  expect(of([{ kind: "undercut", x: 50, y: 5, length: 6, width: 1, angle: 0 }]).trees).toEqual([]);
});

test("what eases the heat: water that joins, roofs and cut banks", () => {
  expect(of([]).relief).toEqual([]);
  expect(of([roof(50, 5)]).relief).toEqual(["shade"]);
  expect(of([{ kind: "undercut", x: 50, y: 5, length: 6, width: 1, angle: 0 }]).relief).toEqual(["shade"]);
  expect(of([], "tributary-mouth").relief).toEqual(["inflow"]);
});

test("where fish are known to be is told to one who is new to them, and no longer after three in sixty days", () => {
  const sessions = [sampleSession("s", { reach: "r", start: "2026-05-01T06:00:00Z", end: "2026-05-01T09:00:00Z" })];
  const fish = (count: number, at: string) =>
    Array.from({ length: count }, (_, k) => sampleCatch(`f${at}${k}`, "s", { at, lie: "Deep of the pool" }));
  const known = (catches: ReturnType<typeof fish>, reach = "r", species = "brown-trout") =>
    logOf(reach, species, { sessions, catches, stretches: [], observations: [] }, NOW).known;
  const lately = new Date(NOW - 10 * DAY).toISOString();
  const before = new Date(NOW - 61 * DAY).toISOString();
  expect(known([])).toBeNull();
  expect(known(fish(1, lately))).toBeNull();
  expect(known(fish(2, lately))).toBe("Deep of the pool");
  expect(known(fish(2, lately), "other")).toBeNull();
  expect(known(fish(2, lately), "r", "chub")).toBeNull();
  expect(known(fish(3, lately))).toBeNull();
  expect(known([...fish(2, lately), ...fish(5, before)])).toBe("Deep of the pool");
});

test("rates by flow of the reach, and the usual one of all that was fished for the fish", () => {
  const session = (id: string, reach: string, discharge: number) =>
    sampleSession(id, {
      reach,
      start: "2026-05-01T06:00:00Z",
      end: "2026-05-01T10:00:00Z",
      river: sampleRiver({ discharge }),
    });
  const sessions = [session("a", "r", 6), session("b", "other", 6)];
  const catches = ["1", "2", "3"].map((id) => sampleCatch(id, "a", { at: "2026-05-01T07:00:00Z" }));
  const { log, usualRate } = logOf("r", "brown-trout", { sessions, catches, stretches: [], observations: [] }, NOW);
  expect(log.reduce((sum, one) => sum + one.hours, 0)).toBe(4);
  expect(log.find((one) => one.low! <= 6 && one.high! > 6)).toMatchObject({ hours: 4 });
  // Three fish and half of one in eight hours and one.
  expect(usualRate).toBeCloseTo(3.5 / 9, 12);
});

test("a reach is as good as its best three lies that are fished; a shelter is none, and fewer count as if the rest were nothing", () => {
  const lie = (score: number, kind: "feeding" | "resting" = "feeding", drift = 1) => ({ score, kind, drift });
  const water = { discharge: 6, visibleDepth: 1.2 };
  expect(lieQuality(water, [lie(0.9), lie(0.6), lie(0.3), lie(0.3)]).score).toBeCloseTo(0.6, 12);
  expect(lieQuality(water, [lie(0.9)]).score).toBeCloseTo(0.3, 12);
  expect(lieQuality(water, [])).toEqual({ ...water, score: 0 });
});

test("waters that are looked at: from the least to the most flow of the forecast's middle, each as clear as it is then", () => {
  const flow = (medians: number[], depths?: number[]) => ({
    visibleDepth:
      depths?.map((median, k) => ({ time: NOW + (k + 1) * DAY, low: median, median, high: median })) ?? null,
    flow: {
      from: NOW,
      discharge: 8,
      method: "combined" as const,
      ways: [],
      step: 6 * 3_600_000,
      points: medians.map((median, k) => ({ time: NOW + (k + 1) * DAY, low: median, median, high: median })),
      paths: [],
    },
  });
  expect(planWaters(null, NOW)).toEqual([]);
  expect(planWaters(flow([7.9, 7.8]), NOW + 5 * DAY)).toHaveLength(1);
  const [least, most] = planWaters(flow([6, 12, 4], [0.4, 0.2, 2]), NOW + 2 * DAY);
  // The third day is not asked about.
  expect([least!.visibleDepth, most!.visibleDepth]).toEqual([0.4, 0.2]);
  expect(least!.discharge).toBeCloseTo(6, 0);
  expect(most!.discharge).toBeCloseTo(12, 0);
  // A steady river that clears is read muddy and clear, at one flow.
  const clearing = planWaters(flow([7.9, 7.8, 7.8], [0.5, 0.9, 1.6]), NOW + 3 * DAY, 0.2);
  expect(clearing.map(({ visibleDepth }) => visibleDepth)).toEqual([0.2, 1.6]);
  expect(clearing[0]!.discharge).toBe(clearing[1]!.discharge);
  const looked = [
    { discharge: 4, visibleDepth: 1 },
    { discharge: 12, visibleDepth: 1 },
  ];
  expect(nearestWater(looked, { discharge: 8, visibleDepth: null })!.discharge).toBe(12);
  expect(nearestWater(looked, { discharge: 6.8, visibleDepth: 3 })!.discharge).toBe(4);
  expect(nearestWater(clearing, { discharge: 8, visibleDepth: 1.4 })!.visibleDepth).toBe(1.6);
  expect(nearestWater([], { discharge: 6, visibleDepth: null })).toBeUndefined();
});
