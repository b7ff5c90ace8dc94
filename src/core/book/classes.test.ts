import { InputError } from "../quantity/fault";
import { RATE_KINDS } from "./rate-terms";
import { ratesIn, rateKind } from "./classes";
import type { Effort } from "./effort";
import { sampleEffort } from "../../testing/book-samples";
import { catchSchema, PARTS, reachRecordSchema, type RiverState, seriesRecordSchema, sessionSchema } from "./records";

const river = (change: Partial<RiverState>): RiverState => ({
  at: "2026-05-01T00:00:00Z",
  discharge: 5,
  stage: 1,
  waterTemperature: 11,
  visibleDepth: 1,
  exceedance: 0.4,
  trend: "falling",
  ...change,
});
const effort = (session: string, hours: number, state: RiverState | null, fish = 0): Effort =>
  sampleEffort(session, hours, state, fish);
const efforts = [
  effort("a", 3, river({}), 2),
  effort("b", 2, river({ discharge: 14, trend: "rising", visibleDepth: 0.4, waterTemperature: 6, exceedance: 0.05 })),
  effort("c", 1, null, 1),
];

test.each(RATE_KINDS.slice(0, 5))("by %s no hour and no fish is lost, and every class is as it says", (kind) => {
  const { classes, total } = ratesIn(kind, efforts);
  expect(total).toEqual({ hours: 6, events: 3 });
  expect(classes.reduce((sum, one) => sum + one.hours, 0)).toBeCloseTo(6, 10);
  expect(classes.reduce((sum, one) => sum + one.events, 0)).toBe(3);
  expect(classes.find((one) => one.key === "unknown")).toMatchObject({ hours: 1, events: 1 });
  for (const one of classes) {
    if (one.hours === 0) expect([one.rate, one.interval]).toEqual([null, null]);
    else {
      expect(one.interval![0]).toBeLessThan(one.rate!);
      expect(one.interval![1]).toBeGreaterThan(one.rate!);
    }
  }
});

test("each effort lands in its own class", () => {
  const hoursIn = (kind: (typeof RATE_KINDS)[number], key: string) =>
    ratesIn(kind, efforts).classes.find((one) => one.key === key)?.hours;
  expect(hoursIn("trend", "falling")).toBe(3);
  expect(hoursIn("trend", "rising")).toBe(2);
  expect(hoursIn("trend", "steady")).toBe(0);
  expect(hoursIn("clarity", "green")).toBe(3);
  expect(hoursIn("clarity", "coloured")).toBe(2);
  expect(hoursIn("temperature", "8-12")).toBe(3);
  expect(hoursIn("exceedance", "0-0.1")).toBe(2);
});

test("an empty book has no classes and no rate; an unknown kind is refused", () => {
  expect(ratesIn("flow", []).total).toEqual({ hours: 0, events: 0 });
  expect(ratesIn("flow", []).classes).toEqual([]);
  expect(() => rateKind("luck")).toThrow(InputError);
  expect(rateKind("flow")).toBe("flow");
});

const session = {
  schema: "low-heron/session@1",
  id: "s",
  updatedAt: "2026-05-01T00:00:00Z",
  reach: "r",
  start: "2026-05-01T08:00:00Z",
  end: "2026-05-01T10:00:00Z",
  rods: 1,
  species: "brown-trout",
  notes: "",
  river: null,
};
test.each<[string, unknown]>([
  ["ends before it starts", { ...session, end: "2026-05-01T07:00:00Z" }],
  ["no rods", { ...session, rods: 0 }],
  ["a time that is none", { ...session, start: "yesterday" }],
  ["another schema", { ...session, schema: "low-heron/session@2" }],
  ["a field too many", { ...session, password: "x" }],
  ["a note too long", { ...session, notes: "x".repeat(3000) }],
])("a session that %s is refused", (_, bad) => {
  expect(sessionSchema.safeParse(session).success).toBe(true);
  expect(sessionSchema.safeParse(bad).success).toBe(false);
});

test("series must ascend and match in length; a fish has a length a fish can have; reaches are checked whole", () => {
  const series = {
    schema: "low-heron/series@1",
    id: "x",
    updatedAt: session.updatedAt,
    station: "s",
    parameter: "stage",
    unit: "m",
    times: [1, 2, 3],
    values: [1, null, 2],
  };
  expect(seriesRecordSchema.safeParse(series).success).toBe(true);
  expect(seriesRecordSchema.safeParse({ ...series, times: [1, 3, 2] }).success).toBe(false);
  expect(seriesRecordSchema.safeParse({ ...series, times: [1, 2] }).success).toBe(false);
  const fish = {
    schema: "low-heron/catch@1",
    id: "f",
    updatedAt: session.updatedAt,
    session: "s",
    at: session.start,
    species: "brown-trout",
    length: 0.4,
    lie: "",
    lure: "",
    notes: "",
    river: null,
  };
  expect(catchSchema.safeParse(fish).success).toBe(true);
  expect(catchSchema.safeParse({ ...fish, length: 7 }).success).toBe(false);
  expect(
    reachRecordSchema.safeParse({
      schema: "low-heron/reach-record@1",
      id: "r",
      updatedAt: session.updatedAt,
      station: null,
      reach: { id: "r" },
    }).success,
  ).toBe(false);
  expect(Object.keys(PARTS)).toEqual([
    "stations",
    "series",
    "reaches",
    "sessions",
    "catches",
    "waters",
    "readings",
    "profiles",
    "tackle",
    "stretches",
    "observations",
    "rules",
    "photos",
    "preferences",
    "weather",
  ]);
});
