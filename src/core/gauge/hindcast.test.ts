import { gaugeCsv } from "../../standins/gauge";
import { readGaugeCsv } from "../formats/gauge-csv";
import { backtest } from "./backtest";
import { forecastFlow } from "./forecast/flow-forecast";
import { hindcasts, LEAD } from "./hindcast";
import { DAY, HOUR, knownBy, readingAt, seriesFrom } from "./series";

const END = Date.UTC(2026, 4, 14, 14);
const { series } = readGaugeCsv(gaugeCsv(END - 3 * 365 * DAY, END));
const discharge = series.find((one) => one.parameter === "discharge")!;

test("what was said a day before is the forecast of then, and knows nothing of what came after", () => {
  const at = END - 10 * DAY;
  const [found] = hindcasts(discharge, [at]);
  const then = forecastFlow(knownBy(discharge, at - LEAD), at - LEAD)!;
  const point = then.points.find(({ time }) => Math.abs(time - at) < HOUR)!;
  // The trials of the whole record begin elsewhere: nearly the same.
  expect(found!.median / point.median).toBeCloseTo(1, 1);
  expect(found!.came).toBe(readingAt(discharge, at));
  expect(found!.low).toBeLessThanOrEqual(found!.median);
  expect(hindcasts(discharge, [END + 30 * DAY, END - 5 * 365 * DAY])).toEqual([]);
});

test("over many days about four in five came within the band; tenths count every case once", () => {
  const instants = Array.from({ length: 60 }, (_, k) => END - (9 + 5 * k) * DAY);
  const all = hindcasts(discharge, instants);
  expect(all.length).toBeGreaterThan(50);
  const held = all.filter(({ low, high, came }) => came >= low && came <= high).length / all.length;
  expect(held).toBeGreaterThan(0.65);
  expect(held).toBeLessThan(0.95);
  for (const { tenths, cases } of backtest(discharge)) {
    expect(tenths).toHaveLength(10);
    expect(tenths.reduce((a, b) => a + b)).toBe(cases);
  }
});

test("of a short record the fall alone was said; what was not read a day before, or did not come, is left out", () => {
  // Four rises of half a day, each falling for two and a half.
  const first = seriesFrom(
    "discharge",
    Array.from({ length: 72 * 4 }, (_, k) => {
      const since = k % 72;
      return [END + k * HOUR, since < 12 ? 4 + since : 16 * 0.8 ** ((since - 12) / 24)] as const;
    }),
  );
  const at = first.times.at(-1)!;
  const found = hindcasts(first, [at]);
  expect(found).toHaveLength(1);
  // Within a tenth, of a day in which a fifth runs off.
  expect(Math.abs(found[0]!.median / found[0]!.came - 1)).toBeLessThan(0.1);
  const gap = (from: number, to: number) => ({
    ...discharge,
    values: discharge.values.map((q, k) => (discharge.times[k]! >= from && discharge.times[k]! <= to ? NaN : q)),
  });
  const last = discharge.times.at(-1)!;
  expect(hindcasts(gap(last - LEAD - 8 * HOUR, last - LEAD + HOUR), [last])).toEqual([]);
  expect(hindcasts(gap(last - 8 * HOUR, last), [last])).toEqual([]);
});
