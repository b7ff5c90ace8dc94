import { readGaugeCsv } from "../core/formats/gauge-csv";
import { recession } from "../core/gauge/recession";
import { gaugeCsv, RATING, RECORD_START, simulateGauge } from "./gauge";
import { hash01, poisson, smoothNoise, stream } from "../core/quantity/seeded";

const HOUR = 3_600_000;
const year = simulateGauge(Date.UTC(2025, 0, 1), Date.UTC(2025, 11, 31));

test("the same instant gives the same water, whatever span is asked for", () => {
  const at = Date.UTC(2025, 4, 3, 7);
  expect(simulateGauge(at, at)[0]).toEqual(year.find((hour) => hour.time === at));
});

test("a river, not noise: never dry, floods that rise faster than they fall, a recession that can be found", () => {
  expect(Math.min(...year.map((hour) => hour.discharge))).toBeGreaterThan(0.3);
  const changes = year.slice(1).map((hour, k) => Math.log(hour.discharge / year[k]!.discharge));
  expect(Math.max(...changes)).toBeGreaterThan(2 * -Math.min(...changes));
  const discharge = readGaugeCsv(gaugeCsv(year[0]!.time, year.at(-1)!.time)).series.find(
    (one) => one.parameter === "discharge",
  )!;
  const fall = recession(discharge)!;
  expect(fall.events).toBeGreaterThan(5);
  expect(fall.lambdaPerDay).toBeGreaterThan(0.03);
  expect(fall.lambdaPerDay).toBeLessThan(0.8);
});

test("stage and discharge keep one rating", () => {
  for (const hour of year.filter((_, k) => k % 500 === 0))
    expect(hour.discharge / (RATING.C * (hour.stage - RATING.h0) ** RATING.b)).toBeCloseTo(1, 1);
});

test("rising water is dirtier than falling water at the same flow (hysteresis)", () => {
  const [rising, falling]: number[][] = [[], []];
  year.forEach((hour, k) => {
    if (k === 0 || hour.discharge < 6 || hour.discharge > 14) return;
    const change = Math.log(hour.discharge / year[k - 1]!.discharge);
    if (change > 0.03) rising!.push(hour.turbidity / hour.discharge);
    if (change < -0.005) falling!.push(hour.turbidity / hour.discharge);
  });
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  expect(rising!.length).toBeGreaterThan(10);
  expect(mean(rising!)).toBeGreaterThan(1.2 * mean(falling!));
});

test("warm in July, cold in January, warmer in the afternoon", () => {
  const mean = (keep: (date: Date) => boolean) => {
    const some = year.filter((hour) => keep(new Date(hour.time)));
    return some.reduce((sum, hour) => sum + hour.waterTemperature, 0) / some.length;
  };
  expect(mean((date) => date.getUTCMonth() === 6) - mean((date) => date.getUTCMonth() === 0)).toBeGreaterThan(8);
  expect(mean((date) => date.getUTCMonth() === 6 && date.getUTCHours() === 17)).toBeGreaterThan(
    mean((date) => date.getUTCMonth() === 6 && date.getUTCHours() === 5) + 0.3,
  );
});

test("the served file has its outages as codes, and every line is read", () => {
  const file = readGaugeCsv(gaugeCsv(Date.UTC(2024, 0, 1), Date.UTC(2026, 0, 1)));
  expect(file.rejected).toEqual([]);
  expect(file.codes.Eqp).toBeGreaterThan(10);
  expect(file.series.map((one) => one.times.length)).toEqual(
    new Array(6).fill((Date.UTC(2026, 0, 1) - Date.UTC(2024, 0, 1)) / HOUR + 1),
  );
  expect(simulateGauge(RECORD_START, RECORD_START)).toHaveLength(1);
});

test("the noise is even, repeatable and smooth; Poisson counts have their mean", () => {
  const values = Array.from({ length: 4000 }, (_, k) => hash01(3, k));
  expect(values.reduce((sum, value) => sum + value, 0) / 4000).toBeCloseTo(0.5, 1);
  expect(values.filter((value) => value < 0.1).length / 4000).toBeCloseTo(0.1, 1);
  expect(hash01(3, 17)).toBe(values[17]);
  expect(Math.abs(smoothNoise(1, 10, 50) - smoothNoise(1, 10.5, 50))).toBeLessThan(0.05);
  const next = stream(9);
  const counts = Array.from({ length: 3000 }, () => poisson(2.5, next));
  expect(counts.reduce((sum, value) => sum + value, 0) / 3000).toBeCloseTo(2.5, 1);
});
