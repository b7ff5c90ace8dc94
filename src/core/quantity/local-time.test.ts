import fc from "fast-check";
import { dayAfter, dayBounds, instantOf, instantsOf, isZone, localDay, localMinute } from "./local-time";

const ZONES = ["Europe/Dublin", "America/New_York", "Pacific/Auckland", "Asia/Kolkata", "Australia/Lord_Howe", "UTC"];
const zones = fc.constantFrom(...ZONES);
const minutes = fc
  .integer({ min: Date.UTC(2015, 0, 1) / 60_000, max: Date.UTC(2035, 0, 1) / 60_000 })
  .map((minute) => minute * 60_000);

/** An independent route: the platform's own formatter. */
const byIntl = (at: number, zone: string) =>
  new Intl.DateTimeFormat("sv-SE", { timeZone: zone, dateStyle: "short", timeStyle: "short" })
    .format(at)
    .replace(" ", "T");

test("clock times are those of the platform's own formatter, in every zone and hour", () => {
  fc.assert(
    fc.property(minutes, zones, (at, zone) => expect(localMinute(at, zone)).toBe(byIntl(at, zone))),
    {
      numRuns: 500,
    },
  );
});

test("a clock time leads back to its instant, in the repeated hour too", () => {
  fc.assert(
    fc.property(minutes, zones, (at, zone) => {
      const local = localMinute(at, zone);
      expect(instantsOf(local, zone)).toContain(at);
      expect(instantOf(local, zone, at)).toBe(at);
    }),
    { numRuns: 500 },
  );
});

test("the repeated hour of autumn has two instants, the skipped one of spring none (EU: last Sundays, 01:00 UTC)", () => {
  const zone = "Europe/Dublin";
  expect(instantsOf("2026-10-25T01:30", zone)).toEqual([Date.UTC(2026, 9, 25, 0, 30), Date.UTC(2026, 9, 25, 1, 30)]);
  expect(instantOf("2026-10-25T01:30", zone)).toBe(Date.UTC(2026, 9, 25, 0, 30));
  expect(instantsOf("2026-03-29T01:30", zone)).toEqual([]);
  expect(localMinute(instantOf("2026-03-29T01:30", zone), zone)).toBe("2026-03-29T02:30");
});

test("days follow each other whatever the clocks do, and are 23, 24 or 25 hours long", () => {
  const hours = (day: string, zone: string) => {
    const [from, to] = dayBounds(day, zone);
    return (to - from) / 3_600_000;
  };
  expect(hours("2026-03-29", "Europe/Dublin")).toBe(23);
  expect(hours("2026-10-25", "Europe/Dublin")).toBe(25);
  expect(hours("2026-10-25", "Asia/Kolkata")).toBe(24);
  expect(dayAfter("2026-12-31")).toBe("2027-01-01");
  expect(dayAfter("2026-03-01", -1)).toBe("2026-02-28");
  fc.assert(
    fc.property(minutes, zones, (at, zone) => {
      const [from, to] = dayBounds(localDay(at, zone), zone);
      expect(at >= from && at < to).toBe(true);
    }),
    { numRuns: 300 },
  );
});

test("only zones of the database are zones", () => {
  for (const zone of ZONES) expect(isZone(zone)).toBe(true);
  for (const none of ["", "Mars/Olympus", "Europe", "../etc"]) expect(isZone(none)).toBe(false);
});
