import { datesIn, isoDate } from "./date-order";
import { readGaugeCsv } from "./gauge-csv";
import { readGaugeFile } from "./gauge-file";

test("the order shows itself where a day is beyond twelve, by points (Unicode CLDR), or not at all", () => {
  expect(datesIn(["3/4/2026 10:00", "13/4/2026 10:00"])).toMatchObject({ order: "dmy", mixed: false });
  expect(datesIn(["3/4/2026", "4/13/2026"])).toMatchObject({ order: "mdy", mixed: false });
  expect(datesIn(["3.4.2026", "4.4.2026"])).toMatchObject({ order: "dmy" });
  expect(datesIn(["3/4/2026", "4/4/2026"])).toEqual({ sample: "3/4/2026", order: undefined, mixed: false });
  expect(datesIn(["13/4/2026", "4/13/2026"])).toMatchObject({ order: undefined, mixed: true });
  expect(datesIn(["2026-04-03T10:00Z", "2026/04/03"])).toEqual({ sample: undefined, order: undefined, mixed: false });
});

test.each([
  ["3/4/2026 15:04", "dmy", "2026-04-03 15:04"],
  ["3/4/2026 15:04", "mdy", "2026-03-04 15:04"],
  ["3/4/26 3:04 PM", "mdy", "2026-03-04 15:04"],
  ["12/31/99 12:05:09 am", "mdy", "1999-12-31 00:05:09"],
  ["3.4.2026 9:30", "dmy", "2026-04-03 09:30"],
  ["3/4/2026 12:00 p.m.", "mdy", "2026-03-04 12:00"],
  ["2026/4/3 7:00", "mdy", "2026-04-03 07:00"],
  ["3/4/2026", "dmy", "2026-04-03"],
  ["2026-04-03T10:00Z", "dmy", "2026-04-03T10:00Z"],
  ["13-4/2026", "dmy", "13-4/2026"],
] as const)("“%s” read %s is %s", (text, order, iso) => {
  expect(isoDate(text, order)).toBe(iso);
});

const table = (...rows: string[]) => `time,discharge (m3/s)\n${rows.join("\n")}\n`;
const instants = (text: string, options = {}) =>
  readGaugeCsv(text, options).series[0]!.times.map((time) => time) as Float64Array;

test("a gauge file is never guessed at: what it does not tell is refused until it is said", () => {
  const both = table("3/4/2026 10:00,4", "4/4/2026 10:00,4.1");
  expect(() => readGaugeCsv(both)).toThrow("ambiguous-dates");
  expect([...instants(both, { dates: "dmy" })]).toEqual([Date.UTC(2026, 3, 3, 10), Date.UTC(2026, 3, 4, 10)]);
  expect([...instants(both, { dates: "mdy" })]).toEqual([Date.UTC(2026, 2, 4, 10), Date.UTC(2026, 3, 4, 10)]);
  expect(() => readGaugeCsv(table("13/4/2026 10:00,4", "4/13/2026 10:00,4"))).toThrow("mixed-dates");
  const told = readGaugeCsv(table("3/4/2026 10:00,4", "4/13/2026 1:00 PM,4.1"));
  expect(told.series[0]!.times[1]).toBe(Date.UTC(2026, 3, 13, 13));
  expect(told.notes).toContainEqual({ code: "dates-read", values: { order: "mdy", text: "3/4/2026 10:00" } });
  // Said against what some rows can be: those are refused, line by line.
  const some = readGaugeCsv(table("3/4/2026 10:00,4", "4/13/2026 10:00,4.1"), { dates: "dmy" });
  expect(some.rejected.map(({ line }) => line)).toEqual([3]);
});

test("a day and a clock time in two columns are one instant", () => {
  const file = readGaugeCsv("Date,Time,Flow (m3/s)\n4/13/2026,3:15 PM,4\n4/13/2026,3:30 PM,5\n");
  expect([...file.series[0]!.times]).toEqual([Date.UTC(2026, 3, 13, 15, 15), Date.UTC(2026, 3, 13, 15, 30)]);
});

test("a column without a unit is taken in the usual one and told, or asked for; a record all in the future is refused", () => {
  const text = "time,discharge\n2026-05-01T00:00Z,4\n";
  expect(readGaugeCsv(text).notes).toContainEqual(expect.objectContaining({ code: "assumed-unit" }));
  expect(() => readGaugeCsv(text, { askUnits: true })).toThrow("unit-not-said");
  const columns = [{ as: "time" as const }, { as: "discharge" as const, unit: "cfs" }];
  expect(readGaugeCsv(text, { askUnits: true, columns }).series[0]!.values[0]).toBeCloseTo(4 * 0.0283168, 6);
  expect(() => readGaugeFile(text, { now: Date.UTC(2026, 3, 1) })).toThrow("all-in-future");
  expect(readGaugeFile(text, { now: Date.UTC(2026, 4, 1) }).series).toHaveLength(1);
});
