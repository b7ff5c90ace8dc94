import { messageText } from "../../words/messages";
import type { Message } from "../quantity/message";
import fc from "fast-check";
import { InputError } from "../quantity/fault";
import { summariseGauge } from "../gauge/summary";
import { readHeader } from "./gauge-csv";
import { readGaugeFile } from "./gauge-file";
import { ianaZone, instantReader, readInstant, UTC } from "./instant";

const told = (rejected: readonly { line: number; reason: Message }[]) =>
  rejected.map(({ line, reason }) => ({ line, reason: messageText(reason) }));

/**
 * Layout of RDB as the US Geological Survey publishes it (NWIS "RDB output format"): comments, header, format row,
 * qualifiers. Values are made up.
 */
const RDB = `# ---------------------------------- WARNING ----------------------------------------
# Some of the data may be provisional.
#
# Data for the following 1 site(s) are contained in this file
#    USGS 99999999 MADE UP CREEK NEAR NOWHERE
# -----------------------------------------------------------------------------------
agency_cd\tsite_no\tdatetime\ttz_cd\t123_00060\t123_00060_cd\t124_00065\t124_00065_cd
5s\t15s\t20d\t6s\t14n\t10s\t14n\t10s
USGS\t99999999\t2026-11-01 00:45\tCDT\t353\tP\t4.10\tP
USGS\t99999999\t2026-11-01 01:45\tCDT\tIce\tP\t4.12\tP
USGS\t99999999\t2026-11-01 01:45\tCST\tEqp\tP\tEqp\tP
USGS\t99999999\t2026-11-01 02:45\tCST\t-5\tP\t4.20\tP
USGS\t99999999\t2026-11-01 03:45\tXYZ\t360\tP\t4.21\tP
USGS\t99999999\t2026-11-01 04:45\tCST\t362\tP\t4.22\tP
`;

const fault = (work: () => unknown) => {
  try {
    work();
  } catch (error) {
    if (error instanceof InputError) return error.fault;
    throw error;
  }
  throw new Error("nothing was thrown");
};

test("RDB: units, zones across the autumn change, codes as gaps, bad lines with number and reason", () => {
  const file = readGaugeFile(RDB);
  expect(file.station).toEqual({ id: "99999999", name: "MADE UP CREEK NEAR NOWHERE" });
  const [discharge, stage] = file.series;
  // 1 cfs = 0.028316846592 m3/s, exact (NIST SP 811).
  expect(discharge!.values[0]).toBeCloseTo(353 * 0.028316846592, 9);
  expect(stage!.values[0]).toBeCloseTo(4.1 * 0.3048, 12);
  expect(Array.from(discharge!.times, (time) => new Date(time).toISOString())).toEqual([
    "2026-11-01T05:45:00.000Z",
    "2026-11-01T06:45:00.000Z",
    "2026-11-01T07:45:00.000Z",
    "2026-11-01T08:45:00.000Z",
    "2026-11-01T10:45:00.000Z",
  ]);
  expect(Array.from(discharge!.values, Number.isNaN)).toEqual([false, true, true, true, false]);
  expect(file.codes).toEqual({ Ice: 1, Eqp: 2 });
  expect(told(file.rejected)).toEqual([
    { line: 12, reason: "discharge -5 is negative" },
    { line: 13, reason: "time zone “XYZ” is not known" },
  ]);
  const summary = summariseGauge(file);
  expect(summary.series[0]).toMatchObject({ parameter: "discharge", unit: "m3/s", count: 2, missing: 3 });
});

test("rain is what fell since the row before, in mm, of any unit and format", () => {
  const csv = readGaugeFile("time,rain (in),flow (m3/s)\n2026-05-01T06:00Z,0.5,2\n2026-05-01T07:00Z,-1,2\n");
  const rain = csv.series.find((one) => one.parameter === "rain")!;
  expect(rain.unit).toBe("mm");
  expect(rain.values[0]).toBeCloseTo(12.7, 10);
  expect(told(csv.rejected)).toEqual([{ line: 3, reason: "rain -1 is not an amount of rain" }]);
  const plain = readGaugeFile("time,precipitation\n2026-05-01T06:00Z,3.5\n");
  expect(plain.series[0]).toMatchObject({ parameter: "rain", unit: "mm" });
  expect(plain.series[0]!.values[0]).toBe(3.5);
  // 00045 is precipitation in inches (USGS parameter code dictionary).
  const rdb = readGaugeFile(RDB.replaceAll("00065", "00045"));
  expect(rdb.series[1]).toMatchObject({ parameter: "rain", unit: "mm" });
  expect(rdb.series[1]!.values[0]).toBeCloseTo(4.1 * 25.4, 8);
});

describe("flow that is none, or runs back", () => {
  const csv = (cells: readonly (string | number)[]) =>
    `time,flow (m3/s)\n${cells.map((cell, k) => `${new Date(Date.UTC(2026, 4, 1, k)).toISOString()},${cell}`).join("\n")}\n`;

  test("Zfl and dry are no flow (USGS NWIS help), and no gap", () => {
    const file = readGaugeFile(csv([2, "Zfl", "dry", "Ice", 1]));
    expect(Array.from(file.series[0]!.values)).toEqual([2, 0, 0, NaN, 1]);
    expect(file.codes).toEqual({ Ice: 1 });
    expect(file.lines).toEqual({ read: 4, gaps: 1, rejected: 0 });
  });

  test("the ebb and flood of a tide are read", () => {
    const tide = Array.from({ length: 60 }, (_, k) => Number((20 * Math.cos(k / 2) + 5).toFixed(2)));
    const file = readGaugeFile(csv(tide));
    expect(Array.from(file.series[0]!.values)).toEqual(tide);
    expect(file.rejected).toEqual([]);
  });

  test("a stray negative flow, and one that repeats as a code does, are refused with their lines", () => {
    const stray = readGaugeFile(csv([2, -3, 2, 2]));
    expect(told(stray.rejected)).toEqual([{ line: 3, reason: "discharge -3 is negative" }]);
    expect(stray.lines).toEqual({ read: 3, gaps: 0, rejected: 1 });
    const code = readGaugeFile(csv(Array.from({ length: 60 }, (_, k) => (k % 3 === 0 ? -1 : 4))));
    expect(code.rejected).toHaveLength(20);
    expect(code.lines).toEqual({ read: 40, gaps: 0, rejected: 20 });
    expect(code.series[0]!.values[0]).toBeNaN();
  });
});

test("CSV: columns by name and unit, in any order, semicolons, offsets, bad cells kept as gaps", () => {
  const file = readGaugeFile(
    "Turbidity (FNU);Flow (cfs);when;water temp [F]\n4.5;100;2026-05-01T06:00+01:00;50\nabc;110;2026-05-01T07:00+01:00;52\n5;120;yesterday;54\n6;130;2026-05-01T09:00+01:00\n7;NaN;2026-05-01T10:00+01:00;55\n",
  );
  const by = Object.fromEntries(file.series.map((series) => [series.parameter, series]));
  expect(new Date(by.discharge!.times[0]!).toISOString()).toBe("2026-05-01T05:00:00.000Z");
  expect(by.discharge!.values[1]).toBeCloseTo(3.1148531, 6);
  expect(by.waterTemperature!.values[0]).toBeCloseTo(10, 10);
  expect(by.turbidity!.values[1]).toBeNaN();
  expect(file.rejected.map((one) => one.line)).toEqual([3, 4, 5, 6]);
  expect(messageText(file.rejected[0]!.reason)).toContain("abc");
});

test("headers as people write them", () => {
  expect(readHeader("Discharge (m³/s)")).toMatchObject({ name: "discharge", unit: "m³/s" });
  expect(readHeader("stage_m")).toMatchObject({ name: "stage", unit: "m" });
  expect(readHeader("water_temp_c")).toMatchObject({ name: "water_temp", unit: "c" });
  expect(readHeader("time (Europe/London)")).toMatchObject({ name: "time", zone: "Europe/London" });
  expect(readHeader("flow_cfs")).toMatchObject({ name: "flow", unit: "cfs" });
});

test("clocks: a skipped hour is refused, a repeated one read in order (IANA tzdata, Europe/Dublin 2026)", () => {
  const zone = ianaZone("Europe/Dublin")!;
  expect(readInstant("2026-03-29 01:30", zone)).toMatchObject({ ok: false });
  const read = instantReader(zone);
  const [first, second] = [read("2026-10-25 01:30"), read("2026-10-25 01:30")];
  expect([first, second].map((one) => new Date((one as { time: number }).time).toISOString())).toEqual([
    "2026-10-25T00:30:00.000Z",
    "2026-10-25T01:30:00.000Z",
  ]);
  expect(readInstant("2026-02-30 10:00", UTC)).toMatchObject({ ok: false });
  expect(readInstant("2026-07-01T12:00:00.5-0330", UTC)).toEqual({
    ok: true,
    zoned: true,
    time: Date.UTC(2026, 6, 1, 15, 30, 0, 500),
  });
});

test.each([
  ["", "empty-file"],
  ["  \n\n", "empty-file"],
  ["PK\u0003\u0004\u0000\u0000", "binary-file"],
  ["a,b,c\n1,2,3\n", "no-time-column"],
  ["time,wind,cloud\n2026-01-01T00:00Z,1,2\n", "no-known-column"],
  ["time,discharge (furlongs)\n2026-01-01T00:00Z,1\n", "unknown-unit"],
  ["time,discharge (C)\n2026-01-01T00:00Z,1\n", "wrong-unit"],
  ["time,discharge (m3/s)\n2026-01-01T00:00Z,-4\n2026-01-01T01:00Z,NaN\n", "no-readings"],
  ["# only comments\n# here\n", "no-header"],
])("bad file %j is refused as %s, with a place", (text, code) => {
  const found = fault(() => readGaugeFile(text, { file: "x.csv" }));
  expect(found.code).toBe(code);
  expect(found.file).toBe("x.csv");
  if (code !== "empty-file") expect(found.line).toBeGreaterThan(0);
});

test("no text makes the reader throw anything but a located fault, and it never makes up a value (property)", () => {
  const cell = fc.oneof(
    fc.string({ maxLength: 12 }),
    fc.double().map(String),
    fc.constantFrom("Ice", "", "2026-01-01T00:00Z", "2026-01-01 05:00"),
  );
  fc.assert(
    fc.property(fc.array(fc.array(cell, { maxLength: 4 }), { maxLength: 12 }), (rows) => {
      const text = `time,discharge (m3/s),stage (m)\n${rows.map((row) => row.join(",")).join("\n")}`;
      try {
        for (const series of readGaugeFile(text).series)
          for (const value of series.values)
            if (!Number.isNaN(value))
              expect(
                rows
                  .flat()
                  .some((one) => one.split(",").some((part) => Number(part.trim().replaceAll('"', "")) === value)),
              ).toBe(true);
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
      }
    }),
    { numRuns: 300 },
  );
});
