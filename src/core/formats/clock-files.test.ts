import fc from "fast-check";
import { localMinute } from "../quantity/local-time";
import { readGaugeCsv } from "./gauge-csv";
import { readGaugeRdb } from "./gauge-rdb";
import { readWeatherCsv } from "./weather-csv";

const ZONES = ["Europe/Dublin", "America/New_York", "Australia/Lord_Howe", "Asia/Kolkata"];
/** Three days about a change of clocks in autumn, of each half of the world. */
const AUTUMNS = [Date.UTC(2026, 9, 24), Date.UTC(2026, 9, 31), Date.UTC(2027, 3, 3)];

test("a file of clock times gives back its instants, through both changes of clocks, either way round", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...ZONES),
      fc.constantFrom(...AUTUMNS),
      fc.constantFrom(15, 30, 60),
      fc.boolean(),
      fc.boolean(),
      (zone, from, minutes, newestFirst, named) => {
        // Where clocks go back half an hour, hourly readings do not show which pass a lone one is of.
        fc.pre(zone !== "Australia/Lord_Howe" || minutes < 60);
        const times = Array.from({ length: (48 * 60) / minutes }, (_, k) => from + k * minutes * 60_000);
        const rows = times.map((time, k) => `${localMinute(time, zone).replace("T", " ")},${k + 1}`);
        if (newestFirst) rows.reverse();
        const header = named ? `time (${zone}),flow (m3/s)` : "time,flow (m3/s)";
        // The zone that a header names counts before the one of the browser.
        const file = readGaugeCsv([header, ...rows].join("\n"), { zone: named ? "Pacific/Auckland" : zone });
        expect(file.rejected).toEqual([]);
        expect([...file.series[0]!.times]).toEqual(times);
        expect([...file.series[0]!.values]).toEqual(times.map((_, k) => k + 1));
        expect(file.zone).toBe(named ? zone : undefined);
        const hours = times.filter((time) => time % 1_800_000 === 0);
        const weather = [
          named ? `time (${zone}),wind (m/s)` : "time,wind (m/s)",
          ...hours.map((time) => `${localMinute(time, zone)},4`),
        ].join("\n");
        const forecast = readWeatherCsv(weather, { issued: from, zone: named ? "Pacific/Auckland" : zone });
        expect(forecast.rejected).toEqual([]);
        expect(forecast.weather.hours.map(({ time }) => time)).toEqual(hours);
      },
    ),
    { numRuns: 120 },
  );
});

const RDB = (rows: readonly string[]) =>
  ["# comment", "agency_cd\tdatetime\t01_00060\tsite_no", "5s\t20d\t14n\t15s", ...rows].join("\n");

test("an RDB row that lacks its last cell is read or refused, never thrown over; no zone is told", () => {
  const file = readGaugeRdb(RDB(["X\t2026-05-01\t12\t0123", "X\t2026-05-02\t13", "X\t2026-05-03"]));
  expect(file.series[0]!.times).toHaveLength(1);
  expect(file.rejected).toHaveLength(2);
  expect(file.notes.map(({ code }) => code)).toContain("no-offset");
  expect(readGaugeRdb(RDB(["X\t2026-05-01\t12\t0123"]), { zone: "America/Chicago" }).notes).toEqual([]);
});

test("rows of an RDB cut anywhere give a record or a fault of the file, and add up", () => {
  const rows = ["X\t2026-05-01 10:00\t12\t0123", "X\t2026-05-01 11:00\t13\t0123"];
  fc.assert(
    fc.property(fc.nat({ max: 200 }), (cut) => {
      const text = RDB(rows);
      try {
        const { read, gaps, rejected } = readGaugeRdb(text.slice(0, text.length - (cut % 70))).lines;
        expect(read + gaps + rejected).toBeGreaterThan(0);
      } catch (error) {
        expect(error).toHaveProperty("fault");
      }
    }),
  );
});
