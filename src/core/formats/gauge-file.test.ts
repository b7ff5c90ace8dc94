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
  ["time,wind,rain\n2026-01-01T00:00Z,1,2\n", "no-known-column"],
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
