import { HOUR, type Series } from "../gauge/series";
import type { GaugeRecord } from "../gauge/summary";
import { ratesIn } from "./classes";
import { effortOf, rodHours } from "./effort";
import { bandsBetween } from "./bands";
import { flowBands, garwood, ratesBy } from "./rates";
import {
  catchSchema,
  type FieldReading,
  profileSchema,
  type ReachRecord,
  reachRecordSchema,
  type Session,
  sessionSchema,
  type WaterRecord,
} from "./records";
import { sampleCatch, sampleEffort, sampleRiver, sampleSession } from "../../testing/book-samples";
import { recordAtReach, riverRecord, ungaugedRecord } from "./river-record";
import { speciesById } from "../fish/species";

// Figures worked by hand.

const T0 = Date.UTC(2026, 4, 1);
const at = (hours: number) => new Date(T0 + hours * HOUR).toISOString();
const session = (id: string, change: Partial<Session> = {}) =>
  sampleSession(id, { start: at(1), end: at(3), ...change });
const fish = sampleCatch;
const river = (discharge: number | null) => sampleRiver({ discharge });

describe("effort", () => {
  test("two rods for two hours are four; one that still runs counts to now; none is less than nothing", () => {
    expect(rodHours(session("a", { rods: 2 }), 0)).toBe(4);
    expect(rodHours(session("a", { end: null }), T0 + 6 * HOUR)).toBe(5);
    expect(rodHours(session("a", { end: null }), T0)).toBe(0);
  });

  const sessions = [
    session("trout"),
    session("chub", { species: "chub" }),
    session("gone", { deleted: true }),
    session("moment", { end: at(1) }),
    session("lucky", { start: at(2), end: at(2) }),
  ];
  const catches = [
    fish("1", "trout"),
    fish("2", "chub", { species: "chub" }),
    fish("3", "chub"),
    fish("4", "trout", { deleted: true }),
    fish("5", "lucky"),
  ];

  test("all fish: blanks count, what is removed does not, nor a session of no length without a fish", () => {
    const found = effortOf(sessions, catches, T0);
    expect(found.map((one) => [one.session, one.hours, one.catches.map(({ id }) => id)])).toEqual([
      ["trout", 2, ["1"]],
      ["chub", 2, ["2", "3"]],
      ["lucky", 0, ["5"]],
    ]);
  });

  test("one fish: sessions after it, and those that met it by the way; others' catches are left out", () => {
    const trout = effortOf(sessions, catches, T0, "brown-trout");
    expect(trout.map((one) => [one.session, one.catches.map(({ id }) => id)])).toEqual([
      ["trout", ["1"]],
      ["chub", ["3"]],
      ["lucky", ["5"]],
    ]);
    const chub = effortOf(sessions, catches, T0, "chub");
    expect(chub.map((one) => [one.session, one.catches.map(({ id }) => id)])).toEqual([["chub", ["2"]]]);
    expect(effortOf(sessions, catches, T0, "pike")).toEqual([]);
  });
});

describe("bands", () => {
  const flows = (...all: (number | null)[]) => flowBands(all.map((q, k) => sampleEffort(String(k), 1, river(q), 0)));
  const edges = (...all: (number | null)[]) => {
    const bands = flows(...all);
    return [bands[0]?.low, ...bands.map(({ high }) => high)];
  };

  test("from the step at or under the least flow to the one over the most", () => {
    expect(edges(4, 11)).toEqual([3, 5, 7, 10, 20]);
    expect(edges(3, 4)).toEqual([3, 5]);
    expect(edges(2.9, 5)).toEqual([2, 3, 5, 7]);
    expect(edges(0.04, 0.06).map((edge) => Number(edge!.toPrecision(3)))).toEqual([0.03, 0.05, 0.07]);
    expect(edges(10)).toEqual([10, 20]);
    expect(edges(1000)).toEqual([1000, 2000]);
  });

  test("no flow, no bands; unknown and dry ones are passed over", () => {
    expect(flows()).toEqual([]);
    expect(flows(null, 0, -3)).toEqual([]);
    expect(edges(null, 0, 4)).toEqual([3, 5]);
  });

  test("a wide range: every other step goes until seven bands are left, the ends stay", () => {
    // 1 2 3 5 7 10 20 30 50 would be eight bands: every other edge, and the last.
    expect(edges(1, 35)).toEqual([1, 3, 7, 20, 50]);
    // Seven bands are not thinned.
    expect(edges(1, 25)).toEqual([1, 2, 3, 5, 7, 10, 20, 30]);
    // Ten edges (1 to 70): the last would fall out, and is kept.
    expect(edges(1, 60)).toEqual([1, 3, 7, 20, 50, 70]);
  });

  test("of another unit the edges are round in that unit: 300, 500, 700 cfs", () => {
    const cfs = 0.3048 ** 3;
    const bands = flowBands(
      [310, 640].map((q, k) => sampleEffort(String(k), 1, river(q * cfs), 0)),
      cfs,
    );
    expect([bands[0]!.low!, ...bands.map(({ high }) => high!)].map((edge) => Math.round(edge / cfs))).toEqual([
      300, 500, 700,
    ]);
  });

  test("keys are told at three figures", () => {
    expect(bandsBetween([0.30000000000000004, 0.5, 12.345])).toEqual([
      { key: "0.3-0.5", low: 0.30000000000000004, high: 0.5 },
      { key: "0.5-12.3", low: 0.5, high: 12.345 },
    ]);
    expect(bandsBetween([1])).toEqual([]);
  });
});

describe("rates", () => {
  const effort = (q: number | null, hours: number, count: number) =>
    sampleEffort(`${q}-${hours}`, hours, river(q), count);
  const efforts = [effort(4, 3, 2), effort(4.9, 2, 1), effort(5, 5, 1), effort(null, 1, 0)];

  test("hours and fish are those of the class; a class without a fish has a rate that the others lend it", () => {
    const { classes, total } = ratesBy(efforts, bandsBetween([3, 5, 8]), (one) => one.river!.discharge);
    expect(total).toEqual({ hours: 11, events: 4 });
    expect(classes.map(({ key, hours, events }) => [key, hours, events])).toEqual([
      ["3-5", 5, 3],
      ["5-8", 5, 1],
      ["unknown", 1, 0],
    ]);
    expect(classes[2]).toMatchObject({ low: null, high: null });
    // Nothing in an hour: the prior is (4 + 0.5) / (10 + 1) an hour, worth two; its rate is between nought and that.
    expect(classes[2]!.rate).toBeGreaterThan(0);
    expect(classes[2]!.rate).toBeLessThan(4.5 / 11);
    // Three in five hours and one in five: each between its own count and that of the rest.
    expect(classes[0]!.rate).toBeLessThan(3 / 5 + 0.1);
    expect(classes[0]!.rate).toBeGreaterThan(1.5 / 7);
    expect(classes[1]!.rate).toBeGreaterThan(1 / 5);
    expect(classes[1]!.rate).toBeLessThan(classes[0]!.rate!);
  });

  test("a band that is open takes all on its side; a value at an edge is of the band above", () => {
    const { classes } = ratesBy(
      efforts,
      [
        { key: "low", low: null, high: 5 },
        { key: "high", low: 5, high: null },
      ],
      (one) => one.river!.discharge,
    );
    expect(classes.map(({ key, hours }) => [key, hours])).toEqual([
      ["low", 5],
      ["high", 5],
      ["unknown", 1],
    ]);
  });

  test("nobody fished a class: no rate, and not nought; nobody fished at all: no prior", () => {
    const none = ratesBy([effort(4, 0, 1)], bandsBetween([3, 5, 8]), (one) => one.river!.discharge);
    expect(none.total).toEqual({ hours: 0, events: 1 });
    expect(none.classes).toEqual([
      { key: "3-5", low: 3, high: 5, hours: 0, events: 1, rate: null, interval: null },
      { key: "5-8", low: 5, high: 8, hours: 0, events: 0, rate: null, interval: null },
    ]);
  });

  test("ice-cold water has a class, and so has nought", () => {
    const cold = (waterTemperature: number) => ({ ...effort(4, 1, 0), river: { ...river(4), waterTemperature } });
    const { classes } = ratesIn("temperature", [cold(-0.5), cold(0), cold(0.5)]);
    expect(classes.map(({ hours }) => hours)).toEqual([3, 0, 0, 0, 0, 0]);
  });

  test("Garwood's limits of none begin at nought (1936)", () => {
    // Poisson limits of 0 and 3 at 95 %: 0 to 3.689, 0.6187 to 8.767 (Garwood 1936, from memory).
    expect(garwood(0, 0.95)[0]).toBe(0);
    expect(garwood(0, 0.95)[1]).toBeCloseTo(3.689, 3);
    expect(garwood(3, 0.95)[0]).toBeCloseTo(0.6187, 4);
    expect(garwood(3, 0.95)[1]).toBeCloseTo(8.767, 3);
  });
});

describe("records", () => {
  const ok = (one: unknown) => sessionSchema.safeParse(one).success;

  test("a session does not end before it begins, in whatever zone its hours are written", () => {
    expect(ok(session("a", { end: null }))).toBe(true);
    expect(ok(session("a", { end: at(1) }))).toBe(true);
    expect(ok(session("a", { end: at(0.5) }))).toBe(false);
    // 02:30 at two hours east is half past midnight; 23:30 the day before at two hours west is half past one.
    expect(ok(session("a", { end: "2026-05-01T02:30:00+02:00" }))).toBe(false);
    expect(ok(session("a", { end: "2026-04-30T23:30:00-02:00" }))).toBe(true);
  });

  test("a profile is of the fish that it says", () => {
    const species = { ...speciesById("chub"), id: "mine", name: "Mine", source: "own" };
    const profile = { schema: "low-heron/profile@1", id: "mine", updatedAt: at(0), base: "chub", species };
    expect(profileSchema.safeParse(profile).success).toBe(true);
    // Habits, methods and words are those of its base: without one they would be a trout's.
    expect(profileSchema.safeParse({ ...profile, base: "no-such-fish" }).success).toBe(false);
    expect(profileSchema.safeParse({ ...profile, id: "other" }).success).toBe(false);
  });

  test("a fish is some length, and less than four metres", () => {
    const long = (length: number) => catchSchema.safeParse(fish("a", "s", { length })).success;
    expect([0, 0.001, 3.99, 4].map(long)).toEqual([false, true, true, false]);
  });

  test("a catchment is some share of another; the lag is within ten days", () => {
    const reach = { schema: "low-heron/reach@1", id: "r", name: "R" };
    const record = (transfer: object) =>
      reachRecordSchema
        .safeParse({ schema: "low-heron/reach-record@1", id: "r", updatedAt: at(0), station: null, reach, transfer })
        .error?.issues.some((issue) => issue.path[0] === "transfer") ?? false;
    expect([0, 0.01, 999, 1000].map((areaRatio) => record({ areaRatio, lag: 0 }))).toEqual([true, false, false, true]);
    expect([-241, -240, 240, 241].map((lag) => record({ areaRatio: 1, lag }))).toEqual([true, false, false, true]);
  });
});

describe("the river's record with what the angler knows", () => {
  const hours = (count: number) => Float64Array.from({ length: count }, (_, k) => T0 + k * HOUR);
  const series = (parameter: Series["parameter"], values: number[]): Series => ({
    parameter,
    unit: "",
    times: hours(values.length),
    values: Float64Array.from(values),
  });
  const gauge = (...all: Series[]): GaugeRecord => ({ station: { id: "g", name: "G" }, series: all });
  // Q = 10 (h - 0.2)^2, without scatter.
  const water = (gaugings: WaterRecord["gaugings"]): WaterRecord => ({
    schema: "low-heron/water@1",
    id: "g",
    updatedAt: at(0),
    altitude: null,
    damNote: "",
    fullPool: null,
    beachSlope: null,
    constituents: [],
    bands: [],
    gaugings,
  });
  const pairs = [0.4, 0.6, 0.9, 1.2].map((stage) => ({ stage, discharge: 10 * (stage - 0.2) ** 2 }));

  test("discharge from stage by the rating, gaps left gaps; the rating's bounds are told", () => {
    const found = riverRecord(gauge(series("stage", [0.7, NaN, 1.2])), water(pairs), []);
    const made = found.series[1]!;
    expect(made.parameter).toBe("discharge");
    expect(made.values[0]).toBeCloseTo(2.5, 3);
    expect(made.values[1]).toBeNaN();
    expect(made.values[2]).toBeCloseTo(10, 2);
    expect(found.derived?.discharge).toMatchObject({ by: "rating", from: "stage", pairs: 4 });
    expect((found.derived?.discharge as { guessAbove: number }).guessAbove).toBeCloseTo(15, 9);
  });

  test("stage from discharge; a dry reading has none", () => {
    const found = riverRecord(gauge(series("discharge", [2.5, 0, -1])), water(pairs), []);
    expect(found.series[1]!.parameter).toBe("stage");
    expect(found.series[1]!.values[0]).toBeCloseTo(0.7, 3);
    expect([found.series[1]!.values[1], found.series[1]!.values[2]]).toEqual([NaN, NaN]);
  });

  test("a gauge with both, with neither, without pairs, or with pairs that bear no curve is left as it is", () => {
    const both = gauge(series("stage", [1]), series("discharge", [5]));
    expect(riverRecord(both, water(pairs), []).series).toEqual(both.series);
    const neither = gauge(series("turbidity", [3]));
    expect(riverRecord(neither, water(pairs), []).series).toEqual(neither.series);
    const stage = gauge(series("stage", [1]));
    for (const own of [undefined, water([]), water(pairs.slice(0, 2))])
      expect(riverRecord(stage, own, []).series).toEqual(stage.series);
  });

  const reading = (id: string, change: Partial<FieldReading>): FieldReading => ({
    schema: "low-heron/reading@1",
    id,
    updatedAt: at(0),
    station: "g",
    reach: null,
    at: at(1),
    kind: "clarity",
    value: 1,
    error: null,
    how: "",
    ...change,
  });

  test("what was seen in the water: this gauge's, in the order of its hours; nothing else", () => {
    const { seen } = riverRecord(gauge(series("turbidity", [5, 6, 7, 8])), undefined, [
      reading("late", { at: at(3), value: 0.7 }),
      reading("early", { at: at(1), value: 0.9 }),
      reading("gone", { deleted: true }),
      reading("elsewhere", { station: "other" }),
      reading("flow", { kind: "discharge" }),
    ]);
    expect(seen).toEqual([
      { at: T0 + HOUR, visibleDepth: 0.9 },
      { at: T0 + 3 * HOUR, visibleDepth: 0.7 },
    ]);
  });

  test("clarity is fitted to readings with a turbidity within two hours of them", () => {
    // Seen at half of what the rule of thumb says, three times; the one far from any reading does not count.
    const fit = (late: number) =>
      riverRecord(gauge(series("turbidity", [10, 10, 10])), undefined, [
        reading("a", { at: at(0), value: 0.3 }),
        reading("b", { at: at(1), value: 0.3 }),
        reading("c", { at: at(2), value: 0.3 }),
        reading("d", { at: at(late), value: 9 }),
      ]).clarityFit;
    expect(fit(5)).toEqual(
      riverRecord(gauge(series("turbidity", [10, 10, 10])), undefined, [
        reading("a", { at: at(0), value: 0.3 }),
        reading("b", { at: at(1), value: 0.3 }),
        reading("c", { at: at(2), value: 0.3 }),
      ]).clarityFit,
    );
    expect(fit(3.9)).not.toEqual(fit(5));
  });

  const reach = (transfer: ReachRecord["transfer"]): ReachRecord =>
    ({
      schema: "low-heron/reach-record@1",
      id: "r",
      updatedAt: at(0),
      station: "g",
      reach: {},
      transfer,
    }) as ReachRecord;
  const full = gauge(series("discharge", [4, 8, 16]), series("stage", [1, 2, 3]), series("turbidity", [5, 6, 7]));

  test("at the reach: a third of the catchment, two hours later; the gauge's stage says nothing there", () => {
    const found = recordAtReach(full, reach({ areaRatio: 1 / 3, lag: 2 }), []);
    expect(found.series.map((one) => one.parameter)).toEqual(["turbidity", "discharge"]);
    const made = found.series[1]!;
    expect(Array.from(made.times)).toEqual([2, 3, 4].map((hour) => T0 + hour * HOUR));
    expect(Array.from(made.values, (q) => Number(q.toFixed(9)))).toEqual([1.333333333, 2.666666667, 5.333333333]);
    expect(found.derived?.discharge).toEqual({ by: "transfer", pairs: 0 });
  });

  test("what was seen and felt at the reach counts there, beside what was at the gauge; without a gauge alone", () => {
    const here = { station: null, reach: "r" };
    const readings = [
      reading("seen", { ...here, at: at(2), value: 0.7 }),
      reading("felt", { ...here, at: at(1), kind: "temperature", value: 12.5 }),
      reading("colder", { ...here, at: at(0), kind: "temperature", value: 0 }),
      reading("other reach", { station: null, reach: "s", kind: "temperature", value: 20 }),
      reading("gone", { ...here, kind: "temperature", value: 30, deleted: true }),
    ];
    const atGauge = { ...full, seen: [{ at: T0 + HOUR, visibleDepth: 0.9 }] };
    const found = recordAtReach(atGauge, reach(undefined), readings);
    const felt = [
      { at: T0, temperature: 0 },
      { at: T0 + HOUR, temperature: 12.5 },
    ];
    expect(found.felt).toEqual(felt);
    expect(found.seen).toEqual([
      { at: T0 + HOUR, visibleDepth: 0.9 },
      { at: T0 + 2 * HOUR, visibleDepth: 0.7 },
    ]);
    expect(found.series).toEqual(full.series);
    const own = readings.filter((one) => one.reach === "r");
    expect(ungaugedRecord(reach(undefined), own)).toMatchObject({ station: { id: "r" }, series: [], felt });
    expect(ungaugedRecord(reach(undefined), [])).toBeUndefined();
  });

  test("fitted by one's own readings there, beside the gauge two hours before", () => {
    // 6 m3/s at the reach at 03:00, the gauge had 8 at 01:00: three quarters.
    const own = reading("q", { kind: "discharge", reach: "r", station: null, at: at(3), value: 6 });
    const others = [
      reading("gone", { ...own, id: "gone", value: 60, deleted: true }),
      reading("other", { ...own, id: "other", value: 60, reach: "s" }),
      reading("clear", { ...own, id: "clear", value: 60, kind: "clarity" }),
      reading("far", { ...own, id: "far", value: 60, at: at(99) }),
    ];
    const found = recordAtReach(full, reach({ areaRatio: 1 / 3, lag: 2 }), [own, ...others]);
    expect(found.series[1]!.values[1]).toBeCloseTo(6, 9);
    expect(found.derived?.discharge).toEqual({ by: "transfer", pairs: 1 });
  });

  test("without a transfer, or without discharge, the record is the gauge's own", () => {
    expect(recordAtReach(full, reach(null), [])).toBe(full);
    const dry = gauge(series("stage", [1]));
    expect(recordAtReach(dry, reach({ areaRatio: 0.5, lag: 0 }), [])).toBe(dry);
  });
});
