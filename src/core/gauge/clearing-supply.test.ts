import { stream } from "../quantity/seeded";
import { forecastTurbidity, turbidityRating } from "./clearing";
import { fitSupply } from "./clearing-supply";
import type { Forecast } from "./forecast";
import { DAY, HOUR, seriesFromColumns } from "./series";

const START = Date.UTC(2025, 0, 1);
const HOURS = 400 * 24;

/**
 * A river with a spate every nine days or so that falls slowly; its water is muddied by the rise and clears, by itself
 * within a time of its own, or only as the flow falls.
 */
function river(clears: "by itself" | "with the flow", seed = 5) {
  const random = stream(seed);
  let [q, mud, next] = [4, 3, 60];
  const flow = new Float64Array(HOURS);
  const turbidity = new Float64Array(HOURS);
  let rising = 0;
  for (let h = 0; h < HOURS; h++) {
    if (h === next) {
      rising = 12;
      next += 120 + Math.floor(200 * random());
    }
    q = rising > 0 ? q * 1.12 : 3 + (q - 3) * Math.exp(-1 / 200);
    // First order, gone to a twentieth in three days.
    mud = rising > 0 ? mud + 14 : 3 * (mud / 3) ** Math.exp(-1 / 20);
    rising--;
    flow[h] = q;
    turbidity[h] = (clears === "by itself" ? mud : 0.8 * q ** 1.6) * Math.exp(0.1 * (random() - 0.5));
  }
  const times = Array.from({ length: HOURS }, (_, h) => START + h * HOUR);
  return {
    discharge: seriesFromColumns("discharge", times, Array.from(flow)),
    turbidity: seriesFromColumns("turbidity", times, Array.from(turbidity)),
  };
}

/** The forecast from an hour, with the flow as it came. */
function told(kind: Parameters<typeof river>[0], at: number) {
  const { discharge, turbidity } = river(kind);
  const rating = turbidityRating(discharge, turbidity)!;
  const path = discharge.values.slice(at + 1, at + 121);
  const points = Array.from(path, (q, h) => ({ time: START + (at + h + 1) * HOUR, low: q, median: q, high: q }));
  const flow: Forecast = {
    from: START + at * HOUR,
    discharge: discharge.values[at]!,
    method: "combined",
    ways: [],
    step: HOUR,
    points,
    paths: [path],
  };
  return { rating, said: forecastTurbidity(rating, flow, turbidity.values[at]!, false), turbidity };
}

/** Hours at the end of a rise after which the river falls for three days. */
function peaks(): number[] {
  const { values } = river("by itself").discharge;
  const found: number[] = [];
  for (let h = 100; h < HOURS - 130; h++)
    if (
      values[h]! > values[h - 1]! &&
      values[h + 1]! < values[h]! &&
      values.slice(h + 1, h + 80).every((q) => q < values[h]!)
    )
      if (values.slice(h + 1, h + 80).every((q, k, all) => k === 0 || q < all[k - 1]!)) found.push(h);
  return found;
}

test("a river that clears in three days whatever its flow does is seen to clear, from nearly every peak", () => {
  const all = peaks();
  expect(all.length).toBeGreaterThan(15);
  const { rating } = told("by itself", all[0]!);
  expect(rating.supply!.share).toBeGreaterThan(0.5);
  const seen = all.filter((at) => {
    const { said, turbidity } = told("by itself", at);
    const [then, came] = [said.find(({ time }) => time === START + at * HOUR + 3 * DAY)!, turbidity.values[at + 72]!];
    return Math.abs(Math.log(then.median / came)) < Math.log(1.6);
  });
  expect(seen.length).toBeGreaterThan(0.8 * all.length);
});

test("a river that is as dirty as its flow keeps to the curve by flow", () => {
  const { rating } = told("with the flow", peaks()[0]!);
  expect(rating.supply?.share ?? 0).toBeLessThan(0.5);
});

test("the decay is found again: half of what is above clear water in eleven hours; too few cases bear none", () => {
  const points = Array.from({ length: 40 }, (_, event) =>
    Array.from({ length: 16 }, (_, k) => ({
      k: event * 100 + k,
      y: 1 + 3 * 0.5 ** (k / 2),
      curve: 2.5 + 0.01 * event,
      rising: k === 0,
    })),
  ).flat();
  const supply = fitSupply(points, 0.5)!;
  expect(supply.share).toBeCloseTo(1, 1);
  expect(supply.left).toBeCloseTo(0.5 ** (1 / 2), 2);
  expect(supply.clear).toBeCloseTo(1, 1);
  expect(supply.scatter).toBeLessThan(0.2);
  expect(fitSupply(points.slice(0, 32), 0.5)).toBeNull();
});
