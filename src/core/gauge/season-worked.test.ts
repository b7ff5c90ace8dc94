import { stream } from "../quantity/seeded";
import { dayOfYear, seasonBand, seasonLevels, seasonTable } from "./exceedance";
import { DAY, HOUR, seriesFrom } from "./series";

/** The year's table told anew: two ways to the same season, and days with many readings. */

const january = (year: number) => Date.UTC(year, 0, 1);
/** A day of a year that has 365, by its number. */
const dayOf = (day: number) => january(2022) + day * DAY;
/** Three years of 365 days, one reading a day, with a stretch of one year and single days left out. */
const random = stream(21);
const daily = seriesFrom(
  "discharge",
  Array.from({ length: 3 * 365 }, (_, k) => {
    const missing = (k > 365 + 100 && k < 365 + 160) || k % 17 === 5;
    return [january(2021) + k * DAY + 9 * HOUR, missing ? NaN : 2 + 8 * random()] as const;
  }),
);

test("each day of the table is the season that the record gives for that date, over New Year too", () => {
  const table = seasonTable(daily);
  expect(table).toHaveLength(365);
  for (const day of [0, 1, 5, 14, 15, 16, 90, 105, 130, 145, 146, 170, 200, 349, 350, 351, 360, 364]) {
    const own = seasonLevels(daily, january(2022) + day * DAY);
    const told = table[day]!;
    expect(told === null).toBe(own === null);
    own?.forEach((level, n) => expect(told![n]).toBeCloseTo(level, 12));
  }
  // A stretch of 59 days without readings in one year of three: about its middle two years are too few.
  expect(table[130]).toBeNull();
  expect(table[90]).not.toBeNull();
});

test("ten days of a season count as a year of it, nine do not; 48 readings are enough, 47 are not", () => {
  const of = (days: number, each: number, less = 0) => {
    const readings = [2021, 2022, 2023].flatMap((year) =>
      Array.from({ length: days * each }, (_, k) => [january(year) + (100 * each + k) * (DAY / each), 5 + k] as const),
    );
    return seriesFrom("discharge", readings.slice(less));
  };
  const at = january(2022) + 104 * DAY;
  for (const [days, each, less, told] of [
    [10, 4, 0, true],
    [9, 4, 0, false],
    [16, 1, 0, true],
    [16, 1, 1, false],
  ] as const) {
    expect(seasonLevels(of(days, each, less), at) !== null).toBe(told);
    expect(seasonTable(of(days, each, less))[104] !== null).toBe(told);
  }
});

test("across New Year a season's days count to the year of its middle", () => {
  // Three winters, each with six days of December and five of January: eleven of one season, under ten of either year.
  const winters = (december: number, january: number) =>
    seriesFrom(
      "discharge",
      [2021, 2022, 2023].flatMap((year) =>
        Array.from({ length: (december + january) * 4 }, (_, k) => {
          const time = Date.UTC(year, 11, 32 - december) + (k * DAY) / 4;
          return [time, 3 + k / 10] as const;
        }),
      ),
    );
  for (const [december, january, told] of [
    [6, 5, true],
    [5, 4, false],
    [4, 6, true],
  ] as const) {
    const record = winters(december, january);
    const table = seasonTable(record);
    for (const day of [0, 1, 3, 361, 363, 364]) {
      const date = dayOf(day);
      expect(table[day] !== null).toBe(told);
      expect(seasonLevels(record, date) !== null).toBe(told);
    }
  }
});

test("a day with more readings than 120 lends each second or third of them", () => {
  // 250 readings of one 9 April among the three years' own: every third is taken. The other days have one a year.
  const readings = [2021, 2022, 2023].flatMap((year) =>
    Array.from({ length: 20 }, (_, k) => [january(year) + (88 + k) * DAY, 1 + k / 100] as const),
  );
  const dense = Array.from({ length: 250 }, (_, k) => [january(2022) + 98 * DAY + (k + 1) * 60_000, 10 + k] as const);
  const levels = seasonTable(seriesFrom("discharge", [...readings, ...dense]))[98]!;
  const ofDay = [1.1, 1.1, ...dense.map(([, value]) => value), 1.1];
  const kept = ofDay.filter((_, k) => k % 3 === 0);
  const all = [...readings.filter(([, value]) => value !== 1.1).map(([, value]) => value), ...kept];
  all.sort((a, b) => a - b);
  [0.1, 0.25, 0.5, 0.75, 0.9].forEach((q, n) => {
    const [low, share] = [Math.floor((all.length - 1) * q), ((all.length - 1) * q) % 1];
    expect(levels[n]).toBeCloseTo(all[low]! * (1 - share) + (all[low + 1] ?? 0) * share, 9);
  });
});

test("a band for the screen has a day's levels at each day's start, both ends counted", () => {
  const table = seasonTable(daily);
  const from = january(2023) + 10 * DAY;
  const band = seasonBand(table, from + 5 * HOUR, from + 6 * DAY, 2);
  expect(band.map(({ time }) => time)).toEqual([0, 2, 4, 6].map((days) => from + days * DAY));
  band.forEach(({ time, levels }) => expect(levels).toBe(table[dayOfYear(time)]));
});

test("a season is one and the same by date and by the table of the year, in leap years too", () => {
  const from = Date.UTC(2019, 0, 1);
  const daily = seriesFrom(
    "discharge",
    Array.from({ length: 8 * 365 }, (_, k) => [from + k * DAY, 5 + Math.sin(k / 9) + (k % 17) / 5] as const),
  );
  const table = seasonTable(daily);
  for (let k = 0; k < 365 * 4; k += 3) {
    const at = Date.UTC(2021, 0, 1) + k * DAY;
    expect(seasonLevels(daily, at)).toEqual(table[dayOfYear(at)]);
  }
});
