import { effortOf } from "./effort";
import { checkRecord, reachRecordSchema, seriesRecordSchema } from "./records";
import { sampleCatch, sampleSession } from "../../testing/book-samples";
import { type DatedReadings, sameReadings } from "./series-join";

const at = (hours: number) => new Date(Date.UTC(2026, 4, 1) + hours * 3_600_000).toISOString();
const reachRecord = {
  schema: "low-heron/reach-record@1" as const,
  id: "r",
  updatedAt: at(0),
  station: null,
  reach: {
    schema: "low-heron/reach@1",
    id: "r",
    name: "R",
    roughness: 0.035,
    bed: { kind: "grid", nx: 4, ny: 3, cell: 1, z: new Array<number>(12).fill(0) },
    downstream: { kind: "normal", slope: 0.002 },
  },
};

describe("a series between devices", () => {
  const readings = (change: Partial<DatedReadings> = {}): DatedReadings => ({
    times: Float64Array.of(1, 2),
    values: Float64Array.of(3, NaN),
    stamps: ["2026-05-01T00:00:00.000Z"],
    marks: Uint16Array.of(0, 0),
    ...change,
  });

  test("is the same when each reading, its hour of coming and what was cleared are the same", () => {
    expect(sameReadings(readings(), readings())).toBe(true);
    // Another offset, the same instant; and stamps counted otherwise.
    expect(sameReadings(readings(), readings({ stamps: ["2026-05-01T02:00:00+02:00"] }))).toBe(true);
    const shifted = { stamps: ["2026-04-01T00:00:00.000Z", "2026-05-01T00:00:00.000Z"], marks: Uint16Array.of(1, 1) };
    expect(sameReadings(readings(), readings(shifted))).toBe(true);
  });

  test.each<[string, Partial<DatedReadings>]>([
    ["fewer readings", { times: Float64Array.of(1), values: Float64Array.of(3), marks: Uint16Array.of(0) }],
    ["another instant", { times: Float64Array.of(1, 4) }],
    ["another value", { values: Float64Array.of(5, NaN) }],
    ["a value in place of a gap", { values: Float64Array.of(3, 4) }],
    ["another hour of coming", { stamps: ["2026-05-02T00:00:00.000Z"] }],
    ["something cleared", { cleared: "2026-04-01T00:00:00.000Z" }],
  ])("is another with %s", (_, change) => {
    expect(sameReadings(readings(), readings(change))).toBe(false);
    expect(sameReadings(readings(change), readings())).toBe(false);
  });
});

describe("records that do not fit together", () => {
  const series = {
    schema: "low-heron/series@2" as const,
    id: "s",
    updatedAt: at(0),
    station: "g",
    parameter: "discharge" as const,
    unit: "m3/s",
    times: [1, 2],
    values: [3, null],
    stamps: [at(0)],
    marks: [0, 0],
  };
  test.each([
    ["sound", {}, true],
    ["fewer marks than readings", { marks: [0] }, false],
    ["fewer values than instants", { values: [3] }, false],
    ["a mark without its stamp", { marks: [0, 1] }, false],
    ["an instant twice", { times: [2, 2] }, false],
    ["a stamp twice", { stamps: [at(0), at(0)] }, false],
  ])("a series with %s", (_, change, sound) => {
    expect(seriesRecordSchema.safeParse({ ...series, ...change }).success).toBe(sound);
  });

  test("a reach under another's id, and one whose bed does not fit, are refused by their field", () => {
    const reach = reachRecord;
    expect(reachRecordSchema.safeParse(reach).success).toBe(true);
    const other = reachRecordSchema.safeParse({ ...reach, id: "other" });
    expect(other.error?.issues.map((one) => one.path.join("."))).toEqual(["reach.id"]);
    const bed = { kind: "grid", nx: 4, ny: 3, cell: 1, z: [1, 2] };
    const unfit = reachRecordSchema.safeParse({ ...reach, reach: { ...reach.reach, bed } });
    expect(unfit.error?.issues.map((one) => one.path.join("."))).toEqual(["reach.bed.z"]);
  });

  test("a record that its part does not hold is told with its part and field", () => {
    expect(() => checkRecord("series", series)).not.toThrow();
    expect(() => checkRecord("series", { ...series, marks: [0, 1] })).toThrow("unsound-record");
  });
});

test("whoever removed a session of another fish does not fish it any more", () => {
  const gone = sampleSession("gone", { deleted: true, end: at(3), species: "chub" });
  expect(effortOf([gone], [sampleCatch("1", "gone", { species: "chub" })], Date.parse(at(4)), "chub")).toEqual([]);
});
