import { stream } from "../quantity/seeded";
import { CUSUM, lastChange, readingNoise } from "./change-point";
import { DAY, HOUR, MINUTE, type Series, seriesFrom } from "./series";
import { gaugeNow } from "./summary";
import { type Limb, stageTrendAt, trendAt } from "./trend";

const normal = (random: () => number) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const start = Date.UTC(2026, 4, 1);
const seriesOfSteps = (values: readonly number[], step: number, parameter: "discharge" | "stage" = "discharge") =>
  seriesFrom(
    parameter,
    values.map((value, k) => [start + k * step, value] as const),
  );
const limbsOf = (series: Series, trend: typeof trendAt = trendAt) =>
  Array.from(series.times, (time) => trend(series, time)?.limb ?? "none");

/** Share of the readings whose limb is the truth's there, one reading earlier or one later. */
function rightWithinOne(told: readonly string[], truth: readonly Limb[]): number {
  const right = told.filter((limb, k) => [k - 1, k, k + 1].some((n) => truth[n] === limb));
  return right.length / told.length;
}

/** Limb of each reading of a course without noise, by its change since the reading before. */
const truthOf = (values: readonly number[], least: number): Limb[] =>
  values.map((value, k) => {
    const change = k === 0 ? 0 : Math.log(value / values[k - 1]!);
    return change > least ? "rising" : change < -least ? "falling" : "steady";
  });

/** A river let off on weekdays: up within `ramp` readings, held, and down again. */
function released(perHour: number, ramp: number, days = 14): number[] {
  return Array.from({ length: days * 24 * perHour }, (_, k) => {
    const hour = (k / perHour) % 24;
    const day = Math.floor(k / perHour / 24) % 7;
    if (day >= 5) return 10;
    const width = ramp / perHour;
    const up = Math.min(1, Math.max(0, (hour - 7) / width));
    const down = Math.min(1, Math.max(0, (hour - 19) / width));
    return 10 * 4.4 ** (up - down);
  });
}

describe.each([
  ["15 minutes", 4, [0.001, 1, 4, 8]],
  ["an hour", 1, [0.001, 1, 2, 3]],
] as const)("a river let off from 10 to 44 m3/s, read every %s", (_, perHour, ramps) => {
  test.each(ramps)("over %d readings: its trend is right within one reading in 19 of 20", (ramp) => {
    const truth = released(perHour, ramp);
    for (const noise of [0, 0.01]) {
      const random = stream(7);
      const read = truth.map((value) => value * Math.exp(noise * normal(random)));
      const told = limbsOf(seriesOfSteps(read, HOUR / perHour));
      expect(rightWithinOne(told.slice(8), truthOf(truth, 0.002).slice(8))).toBeGreaterThan(0.95);
      // Every rise is told, and none of them as a fall.
      const rises = truthOf(truth, 0.002).flatMap((limb, k) => (limb === "rising" && k > 8 ? [k] : []));
      expect(rises.length).toBeGreaterThanOrEqual(9);
      for (const k of rises) expect([told[k], told[k + 1]]).toContain("rising");
    }
  });
});

test.each([
  ["15 minutes", 15 * MINUTE],
  ["an hour", HOUR],
  ["a day", DAY],
] as const)("flat water with noise of 1 %%, read every %s, is never called anything but steady", (_, step) => {
  for (const seed of [1, 2]) {
    const random = stream(seed);
    const read = Array.from({ length: 2000 }, () => 8 * Math.exp(0.01 * normal(random)));
    expect(limbsOf(seriesOfSteps(read, step)).filter((limb, k) => k > 30 && limb !== "steady")).toEqual([]);
  }
});

test("so is a stage with noise of 5 mm, and a small creek whose last digit flips", () => {
  const random = stream(5);
  const stage = Array.from({ length: 1500 }, () => 0.62 + 0.005 * normal(random));
  const told = limbsOf(seriesOfSteps(stage, 15 * MINUTE, "stage"), stageTrendAt);
  expect(told.filter((limb, k) => k > 30 && limb !== "steady")).toEqual([]);
  for (const digit of [0.01, 0.0283168466]) {
    const creek = Array.from({ length: 1000 }, () => digit * Math.round(3.5 + 0.3 * normal(random)));
    expect(limbsOf(seriesOfSteps(creek, 15 * MINUTE)).filter((limb, k) => k > 30 && limb !== "steady")).toEqual([]);
  }
});

test("a creek that rises by 40 % an hour is rising after half an hour, and fast", () => {
  for (let seed = 1; seed <= 40; seed++) {
    const random = stream(seed);
    const quiet = 200 + Math.floor(random() * 100);
    const read = Array.from(
      { length: quiet + 9 },
      (_, k) => 0.8 * 1.4 ** (Math.max(0, k - quiet) / 4) * Math.exp(0.01 * normal(random)),
    );
    const series = seriesOfSteps(read, 15 * MINUTE);
    for (let k = quiet + 2; k < read.length; k++) {
      const trend = trendAt(series, series.times[k]!)!;
      expect(trend.limb).toBe("rising");
      expect(trend.ratePerHour).toBeGreaterThan(0.05);
    }
    expect(trendAt(series, series.times[quiet]!)!.limb).not.toBe("falling");
  }
  const hourly = seriesOfSteps([...Array.from({ length: 30 }, () => 0.8), 1.12, 1.57], HOUR);
  expect(limbsOf(hourly).slice(-3)).toEqual(["steady", "rising", "rising"]);
});

test("a third more a day in daily means is rising, at every hour of the day after", () => {
  const random = stream(3);
  const quiet = Array.from({ length: 40 }, () => 6 * Math.exp(0.01 * normal(random)));
  const series = seriesOfSteps([...quiet, 8, 10.6], DAY);
  const record = { station: { id: "g", name: "G" }, series: [series] };
  for (let hour = 0; hour < 24; hour += 3)
    for (const day of [40, 41]) {
      const now = gaugeNow(record, start + day * DAY + hour * HOUR);
      expect(now).toMatchObject({ trend: "rising", discharge: series.values[day] });
      expect(now.ratePerHour! * 24).toBeGreaterThan(0.2);
    }
  // Two days without a value, and nothing is said of the river any more.
  expect(gaugeNow(record, start + 43 * DAY).trend).toBeNull();
});

test("a tide of a metre is flood and ebb, and steady only about its turns", () => {
  for (const step of [15 * MINUTE, HOUR]) {
    // The main lunar constituent: 12.42 h.
    const level = (time: number) => Math.cos((2 * Math.PI * time) / HOUR / 12.42);
    const series = seriesFrom(
      "stage",
      Array.from({ length: (20 * DAY) / step }, (_, k) => [start + k * step, 3 + level(k * step)] as const),
    );
    const told = limbsOf(series, stageTrendAt).slice(60);
    const right = told.filter((limb, k) => {
      // Anglers call half an hour either side of a turn slack; a reading may come one step late.
      const wide = Math.max(HOUR / 2, step);
      const around = [-wide, 0, wide].map((off) =>
        Math.sign(level((k + 60) * step + off) - level((k + 59) * step + off)),
      );
      const turns = new Set(around).size > 1;
      return limb === "steady" ? turns : turns || (limb === "rising") === around[1]! > 0;
    });
    expect(right.length / told.length).toBeGreaterThan(0.95);
  }
});

test("one reading that leaps out and is back changes nothing", () => {
  const read = Array.from({ length: 60 }, (_, k) => 8 * Math.exp(-0.004 * k));
  read[50] = 30;
  const series = seriesOfSteps(read, HOUR);
  expect(limbsOf(series).slice(51)).toEqual(Array.from({ length: 9 }, () => "falling"));
});

test("noise is that of one reading, floods and slopes apart (standard deviation of a known sample)", () => {
  const random = stream(11);
  const points = Array.from(
    { length: 4000 },
    (_, k) => [k, 0.02 * normal(random) + (k > 2000 ? 3 : 0.001 * k)] as const,
  );
  expect(readingNoise(points)).toBeCloseTo(0.02, 3);
  expect(readingNoise(points.slice(0, 2))).toBeNaN();
});

test("the mean run to a false alarm is that of the published approximation, at a lower threshold", () => {
  // Siegmund 1985: ARL = (exp(2k(h + 1.166)) - 2k(h + 1.166) - 1) / 2k^2 for one side; half of it for two.
  const { allowance } = CUSUM.value;
  const random = stream(2);
  const [height, trials] = [2, 400];
  let steps = 0;
  for (let trial = 0; trial < trials; trial++) {
    let [up, down, k] = [0, 0, 0];
    while (up <= height && down <= height) {
      const z = normal(random);
      up = Math.max(0, up + z - allowance);
      down = Math.max(0, down - z - allowance);
      k++;
    }
    steps += k;
  }
  const reach = 2 * allowance * (height + 1.166);
  const published = (Math.exp(reach) - reach - 1) / (2 * allowance ** 2) / 2;
  expect(steps / trials / published).toBeGreaterThan(0.8);
  expect(steps / trials / published).toBeLessThan(1.25);
  // And the change is found where it is.
  const shifted = Array.from({ length: 60 }, (_, k) => [k, (k < 40 ? 0 : 0.1) + 0.01 * normal(random)] as const);
  expect(lastChange(shifted, 0.01).start).toBeGreaterThanOrEqual(39);
});
