import { linearRegression } from "simple-statistics";
import { barometerAt } from "./barometer";
import { baseFlow, dailyMeans, flowParts } from "./baseflow";
import { forecastTurbidity, type TurbidityRating, turbidityRating } from "./clearing";
import { DEFAULT_CLARITY_FIT, fitClarity } from "./clarity-fit";
import { envelope } from "./envelope";
import { dayOfYear, seasonRecord, seasonTable } from "./exceedance";
import { gaugeByFloats } from "./float-gauging";
import { type Forecast, timeUnder } from "./forecast";
import { drawDown } from "./impounded";
import { lightAt, sunAltitude } from "./light";
import { outlookOf, forecastSkill } from "./outlook";
import { oxygenSaturation } from "./oxygen";
import { dischargeAt, fitRating, type Rating, stageAt } from "./rating";
import { DAY, HOUR, knownBy, type Parameter, type Series, seriesFrom } from "./series";
import { skyOf } from "./sky";
import { forecastTemperature, swingAt } from "./temperature";
import { readConstituents, tideAt, tideTurns } from "./tide";
import { tideBetween } from "./tide-state";
import { fitTransfer, kinematicLag } from "./transfer";
import { trendAt } from "./trend";

/**
 * Worked figures: each is put together by hand from the formula named beside it, on records made for it.
 */
const STEP = 6 * 3_600_000;
const start = Date.UTC(2025, 0, 1);
const hourly = (values: readonly number[], parameter: Parameter = "discharge") =>
  seriesFrom(
    parameter,
    values.map((value, k) => [start + k * HOUR, value] as const),
  );
const hours = (count: number, of: (hour: number) => number, parameter: Parameter = "discharge") =>
  hourly(
    Array.from({ length: count }, (_, k) => of(k)),
    parameter,
  );

describe("light and sky", () => {
  test("day, twilight and night change where the sun's altitude says (-0.27 and -6 degrees)", () => {
    const noon = Date.UTC(2026, 5, 21, 12);
    expect(lightAt(noon, 51.5, 0)).toBe("day");
    expect(lightAt(noon + 12 * HOUR, 45, 0)).toBe("night");
    let [day, twilight, night] = [0, 0, 0];
    for (let minute = 0; minute < 1440; minute++) {
      const at = noon + minute * 60_000;
      const [altitude, light] = [sunAltitude(at, 45, 0), lightAt(at, 45, 0)];
      if (light === "day") day++;
      if (light === "twilight") twilight++;
      if (light === "night") night++;
      if (Math.abs(altitude + 0.27) > 1e-9 && Math.abs(altitude + 6) > 1e-9)
        expect(light).toBe(altitude > -0.27 ? "day" : altitude > -6 ? "twilight" : "night");
    }
    // Summer solstice at 45 N: 15 h 37 min of day, civil twilight of 30 to 40 min at either end (almanac; from memory).
    expect(Math.abs(day - 937)).toBeLessThan(8);
    expect(Math.abs(twilight - 70)).toBeLessThan(16);
    expect(day + twilight + night).toBe(1440);
  });

  test.each([0, 90, -120, 175])(
    "at longitude %d every event lies in the solar day that holds the instant",
    (longitude) => {
      for (let hour = 0; hour < 24; hour += 1) {
        const at = Date.UTC(2026, 8, 20, hour, 30);
        const sky = skyOf(at, 40, longitude);
        // The sun crosses the meridian at 12 h of mean solar time, give or take the equation of time (7.5 min then).
        const solar = (((at + (longitude / 360) * DAY) % DAY) + DAY) % DAY;
        expect(Math.abs(sky.noon - (at - solar + DAY / 2)) / 60_000).toBeLessThan(12);
        expect(Math.abs(at - sky.noon)).toBeLessThan(DAY / 2 + 15 * 60_000);
        for (const event of [sky.dawn, sky.sunrise, sky.sunset, sky.dusk, sky.moonrise, sky.moonset]) {
          if (event === null) continue;
          expect(Math.abs(event - sky.noon)).toBeLessThan(DAY / 2 + 15 * 60_000);
        }
        expect(sky.dawn! < sky.sunrise! && sky.sunrise! < sky.noon && sky.noon < sky.sunset!).toBe(true);
        expect(sky.sunset!).toBeLessThan(sky.dusk!);
      }
    },
  );

  test("the moon rises and sets on most days, once each, some 50 minutes later from day to day", () => {
    const rises = Array.from({ length: 28 }, (_, day) => skyOf(Date.UTC(2026, 2, 1 + day, 12), 20, 0).moonrise);
    const sets = Array.from({ length: 28 }, (_, day) => skyOf(Date.UTC(2026, 2, 1 + day, 12), 20, 0).moonset);
    for (const events of [rises, sets]) {
      expect(events.filter((one) => one === null).length).toBeLessThanOrEqual(2);
      const known = events.filter((one) => one !== null);
      const gaps = known.slice(1).map((one, k) => (one - known[k]!) / HOUR);
      for (const gap of gaps) expect(gap > 24.3 && gap < 25.5).toBe(true);
    }
  });
});

describe("trend", () => {
  test("a rise of 3 % an hour: its rate, and the hours since it began; and a fall likewise", () => {
    const record = hours(60, (k) => (k < 40 ? 5 : 5 * Math.exp(0.03 * (k - 40))));
    const rise = trendAt(record, start + 59 * HOUR)!;
    expect(rise).toMatchObject({ limb: "rising" });
    expect(rise.ratePerHour).toBeCloseTo(0.03, 6);
    expect(rise.hours).toBeCloseTo(19, 6);
    const fall = trendAt(
      hours(60, (k) => (k < 40 ? 5 : 5 * Math.exp(-0.03 * (k - 40)))),
      start + 59 * HOUR,
    )!;
    expect(fall).toMatchObject({ limb: "falling" });
    expect(fall.hours).toBeCloseTo(19, 6);
  });

  test("a counter-move under 5 % does not end a limb, a larger one does", () => {
    const shaped = (bump: number) => hours(80, (k) => 30 * Math.exp(-0.01 * k) * (k < 50 ? 1 - bump : 1));
    // A step up by the share at hour 50 of a fall: noise at 3 %, a new peak at 12 %.
    expect(trendAt(shaped(0.03), start + 79 * HOUR)!.hours).toBeGreaterThan(70);
    expect(trendAt(shaped(0.12), start + 79 * HOUR)!.hours).toBeCloseTo(29, 6);
  });

  test("readings without water are no readings; sparse ones widen the window; one says nothing", () => {
    const gapped = hours(30, (k) => (k % 2 ? 0 : 8 * Math.exp(0.02 * k)));
    expect(trendAt(gapped, start + 28 * HOUR)!.ratePerHour).toBeCloseTo(0.02, 6);
    const at = (every: number, count: number) =>
      seriesFrom(
        "discharge",
        Array.from({ length: count }, (_, k) => [start - k * every * HOUR, 8 * Math.exp(-0.02 * k * every)] as const),
      );
    expect(trendAt(at(6, 4), start)!.ratePerHour).toBeCloseTo(0.02, 6);
    expect(trendAt(at(20, 4), start)!.limb).toBe("rising");
    expect(trendAt(at(1, 1), start)).toBeNull();
  });

  test("scatter widens the dead band: a slope under five times its own error is none", () => {
    // Least-squares error of a slope: s / sqrt(sum (x - mean)^2), here s / sqrt(28) for seven hourly readings; s by the
    // second differences of +-a: 4a / 0.6745 / sqrt(6), so that 0.02 an hour stands out up to a = 0.0087.
    const limb = (a: number) =>
      trendAt(
        hours(7, (k) => 10 * Math.exp(0.02 * k + (k % 2 ? a : -a))),
        start + 6 * HOUR,
      )!.limb;
    expect(limb(0.012)).toBe("steady");
    expect(limb(0.006)).toBe("rising");
  });

  test("a dense record is thinned from its newest reading backwards", () => {
    // Every minute: the last reading and every sixth before it; a spike elsewhere is not among them.
    const minutes = Array.from(
      { length: 361 },
      (_, k) => [start + k * 60_000, (360 - k) % 7 === 3 ? 900 : 10 * Math.exp(0.0005 * k)] as const,
    );
    expect(trendAt(seriesFrom("discharge", minutes), start + 360 * 60_000)!.ratePerHour).toBeCloseTo(0.03, 4);
  });
});

describe("turbidity", () => {
  const rating: TurbidityRating = {
    rising: { a: Math.log(2), b: 1 },
    falling: { a: 0, b: 1 },
    scatter: 0.5,
    memory: 0.5,
    count: 100,
  };
  const path = (values: readonly number[]): Forecast => ({
    from: start,
    discharge: 10,
    method: "combined",
    ways: [],
    step: STEP,
    points: values.map((q, h) => ({ time: start + (h + 1) * STEP, low: q, median: q, high: q })),
    paths: [Float64Array.from(values)],
  });

  test("one path: T = exp(a + b ln Q) by limb, today's departure halved each six hours, scatter growing back", () => {
    // ln departure from 10 NTU expected: ln 4. After 6 h half of it is left: a factor of 2; after 12 h, sqrt 2.
    const told = forecastTurbidity(rating, path([9, 8, 12]), 40, false);
    expect(told[0]!.median).toBeCloseTo(9 * 2, 9);
    expect(told[1]!.median).toBeCloseTo(8 * Math.SQRT2, 9);
    // The third rises by 50 %: the rising limb is twice as dirty; an eighth of the departure is left.
    expect(told[2]!.median).toBeCloseTo(12 * 2 * 4 ** 0.125, 9);
    // Five slices of a normal spread by their middles: the outer ones at +-1.2816 of what is fresh.
    const fresh = (left: number) => 0.5 * Math.sqrt(1 - left ** 2);
    for (const [h, left] of [0.5, 0.25, 0.125].entries()) {
      const ratio = Math.log(told[h]!.high / told[h]!.median) / fresh(left);
      // Quantiles of five values: 10 % lies half way between none and the first two.
      expect(ratio).toBeGreaterThan(0.52);
      expect(ratio).toBeLessThan(1.2817);
    }
    expect(told[2]!.high / told[2]!.low).toBeGreaterThan(told[0]!.high / told[0]!.low);
  });

  test("without a reading the rating alone speaks, with all of its scatter", () => {
    for (const now of [null, 0, -3]) {
      const told = forecastTurbidity(rating, path([9, 8]), now, false);
      expect(told[0]!.median).toBeCloseTo(9, 9);
      expect(told[0]!.high / told[0]!.low).toBeCloseTo((told[1]!.high / told[1]!.low) as number, 9);
    }
    // A rising start is held against the rising limb: 40 NTU is twice what it makes of 10 m3/s.
    expect(forecastTurbidity(rating, path([9]), 40, true)[0]!.median).toBeCloseTo(9 * Math.SQRT2, 9);
    // Six hours' rise is from the flow it starts at.
    expect(forecastTurbidity(rating, path([12]), null, false)[0]!.median).toBeCloseTo(24, 9);
  });

  test("a fit needs thirty readings on either limb; its memory is the lag-one correlation of what is left over", () => {
    const flow = (k: number) => 5 + 3 * Math.sin((2 * Math.PI * k) / 96);
    const discharge = hours(24 * 60, flow);
    const wobble = (k: number) => 0.3 * Math.sin((2 * Math.PI * k) / 60);
    const turbid = hours(24 * 60, (k) => Math.exp(Math.log(flow(k)) + wobble(k)), "turbidity");
    const fit = turbidityRating(discharge, turbid)!;
    // A sine of period 60 h, read every 6 h, has a lag-one correlation of cos(36 degrees).
    expect(fit.memory).toBeCloseTo(Math.cos(Math.PI / 5), 1);
    expect(fit.scatter).toBeCloseTo(0.3 / Math.SQRT2, 1);
    expect(fit.falling.b).toBeCloseTo(1, 1);
    expect(fit.count).toBe(239);
    expect(
      turbidityRating(
        discharge,
        hours(24 * 60, (k) => (k < 24 * 14 ? 4 : NaN), "turbidity"),
      ),
    ).toBeNull();
    expect(
      turbidityRating(
        discharge,
        hours(24 * 60, () => 0, "turbidity"),
      ),
    ).toBeNull();
    // Readings five to nine hours old are another step's.
    const rare = seriesFrom(
      "turbidity",
      Array.from({ length: 200 }, (_, k) => [start + k * 6 * HOUR - 4 * HOUR, 4] as const),
    );
    expect(turbidityRating(discharge, rare)).toBeNull();
  });

  test("clarity refitted: slopes at their bounds, little spread, nonsense left out, scatter with n - 2 degrees of freedom", () => {
    const pairs = (b: number, ntu: readonly number[], off: readonly number[] = []) =>
      ntu.map((turbidity, k) => ({ turbidity, visibleDepth: 3 * turbidity ** b * Math.exp(off[k] ?? 0) }));
    expect(fitClarity(pairs(-1.1, [2, 4, 9])).b).toBeCloseTo(-1.1, 9);
    expect(fitClarity(pairs(-0.3, [2, 4, 9])).b).toBe(DEFAULT_CLARITY_FIT.b);
    expect(fitClarity(pairs(-1.4, [2, 4, 9])).b).toBe(DEFAULT_CLARITY_FIT.b);
    expect(fitClarity(pairs(-0.9, [4, 4.2, 4.4])).b).toBe(DEFAULT_CLARITY_FIT.b);
    const nonsense = [
      { turbidity: 0, visibleDepth: 1 },
      { turbidity: 3, visibleDepth: 0 },
      { turbidity: -1, visibleDepth: -1 },
    ];
    expect(fitClarity([...pairs(-1, [2, 9]), ...nonsense])).toBe(DEFAULT_CLARITY_FIT);
    expect(fitClarity([...pairs(-1, [2, 4, 9]), ...nonsense]).pairs).toBe(3);
    const [ntu, off] = [
      [1, 2, 4, 8],
      [0.1, -0.1, -0.1, 0.1],
    ];
    const own = pairs(-0.8, ntu, off);
    const line = linearRegression(
      own.map(({ turbidity, visibleDepth }) => [Math.log(turbidity), Math.log(visibleDepth)]),
    );
    const squares = own.reduce(
      (sum, one) => sum + (Math.log(one.visibleDepth) - line.b - line.m * Math.log(one.turbidity)) ** 2,
      0,
    );
    expect(fitClarity(own).scatter).toBeCloseTo(Math.sqrt(squares / 2), 9);
  });
});

test("rating: the band is exp(1.2816 s) either way, in flow and in stage; far beyond the gaugings is flagged", () => {
  const rating: Rating = { C: 4, h0: 0.2, b: 2, standardError: 0.1, count: 9, maxGauged: 10 };
  const spread = Math.exp(1.2816 * 0.1);
  const flow = dischargeAt(rating, 1.2);
  expect(flow.value).toBeCloseTo(4, 12);
  expect([flow.low! * spread, flow.high! / spread].every((value) => Math.abs(value - 4) < 1e-9)).toBe(true);
  const stage = stageAt(rating, 4);
  expect(stage.value).toBeCloseTo(1.2, 12);
  expect(stage.low).toBeCloseTo(0.2 + Math.sqrt(1 / spread), 9);
  expect(stage.high).toBeCloseTo(0.2 + Math.sqrt(spread), 9);
  const bare = { ...rating, standardError: null };
  expect(dischargeAt(bare, 1.2)).toMatchObject({ low: null, high: null, extrapolated: false });
  expect(stageAt(bare, 4)).toMatchObject({ low: null, high: null });
  expect([14.9, 15, 15.1].map((q) => stageAt(rating, q).extrapolated)).toEqual([false, false, true]);
  expect([14.9, 15.1].map((q) => dischargeAt(rating, stageAt(rating, q).value).extrapolated)).toEqual([false, true]);
  expect(dischargeAt(rating, 0.2).value).toBe(0);
  // n - 3 degrees of freedom; pairs that are refused are named by their number.
  const fit = fitRating(
    [0.5, 0.8, 1.1, 1.5, 2].map((h, k) => ({ stage: h, discharge: 4 * (h - 0.2) ** 2 * (k % 2 ? 1.05 : 1 / 1.05) })),
  );
  expect(fit.standardError!).toBeGreaterThan(Math.log(1.05));
  expect(fit.standardError!).toBeLessThan(2.5 * Math.log(1.05));
  const refused = (pairs: Parameters<typeof fitRating>[0]) => {
    try {
      fitRating(pairs);
    } catch (error) {
      return (error as { fault: { code: string; values: { number?: number } } }).fault;
    }
    return undefined;
  };
  expect(
    refused([
      { stage: 1, discharge: 2 },
      { stage: NaN, discharge: 2 },
    ]),
  ).toMatchObject({ code: "not-a-number", values: { number: 2 } });
  expect(
    refused([
      { stage: 1, discharge: 2 },
      { stage: 2, discharge: 0 },
    ]),
  ).toMatchObject({ values: { number: 2 } });
});

test("transfer: the power is free with four pairs that differ; scatter by what is left over; nonsense is left out", () => {
  const pairs = (flows: readonly number[], off: readonly number[] = []) =>
    flows.map((gauge, k) => ({ gauge, reach: 0.5 * gauge ** 1.2 * Math.exp(off[k] ?? 0) }));
  expect(fitTransfer(0.4, pairs([1, 2, 4, 8])).power).toBeCloseTo(1.2, 9);
  expect(fitTransfer(0.4, pairs([1, 2, 8])).power).toBe(1);
  expect(fitTransfer(0.4, pairs([4, 4.2, 4.5, 4.8])).power).toBe(1);
  expect(fitTransfer(0.4, pairs([9, 10, 12, 14])).power).toBe(1);
  const nonsense = [
    { gauge: 0, reach: 3 },
    { gauge: 3, reach: 0 },
    { gauge: -1, reach: -1 },
  ];
  expect(fitTransfer(0.4, nonsense)).toEqual({ factor: 0.4, power: 1, pairs: 0, scatter: null });
  expect(fitTransfer(0.4, [...pairs([1, 2]), ...nonsense]).pairs).toBe(2);
  // Two pairs, power 1: ln ratios of +-0.1 about their mean, one degree of freedom.
  const two = fitTransfer(1, [
    { gauge: 2, reach: 2 * Math.exp(0.1) },
    { gauge: 5, reach: 5 * Math.exp(-0.1) },
  ]);
  expect(two.factor).toBeCloseTo(1, 12);
  expect(two.scatter).toBeCloseTo(Math.sqrt(0.02), 12);
  const four = fitTransfer(1, pairs([1, 2, 4, 8], [0.1, -0.1, -0.1, 0.1]));
  expect(four.scatter).toBeCloseTo(Math.sqrt(0.04 / 2), 9);
  expect(fitTransfer(1, pairs([3])).scatter).toBeNull();
  // Lighthill & Whitham 1955: 5/3 of 0.9 m/s over 10.8 km takes two hours.
  expect(kinematicLag(10_800, 0.9)).toBeCloseTo(2, 12);
});

test("timed floats: each panel, the area, and what the spread of the times adds to the error", () => {
  const vertical = (distance: number, seconds: number[]) => ({ distance, depth: 0.8, run: 6, seconds });
  const one = gaugeByFloats(9, [vertical(3, [10]), vertical(6, [12])]);
  expect(one.panels.map(({ width }) => width)).toEqual([3, 3]);
  expect(one.area).toBeCloseTo(4.8, 12);
  expect(one.discharge).toBeCloseTo(
    one.panels.reduce((sum, each) => sum + 3 * 0.8 * each.meanSpeed, 0),
    12,
  );
  expect(one.panels[0]!.discharge).toBeCloseTo(2.4 * one.panels[0]!.meanSpeed, 12);
  // One timing: 10 % for its spread, 0.3 s of stopwatch; three alike: none, and the stopwatch by root three.
  const errorOf = (seconds: number[]) => {
    const own = Math.hypot(0.05, 0.3 / 10 / Math.sqrt(seconds.length), seconds.length > 1 ? spreadOf(seconds) : 0.1);
    return Math.hypot(own / Math.SQRT2, 0.07, 0.5 / 3);
  };
  const spreadOf = (seconds: number[]) => {
    const mean = seconds.reduce((sum, each) => sum + each, 0) / seconds.length;
    const squares = seconds.reduce((sum, each) => sum + (each / mean - 1) ** 2, 0);
    return Math.sqrt(squares / (seconds.length - 1) / seconds.length);
  };
  for (const seconds of [[10], [10, 10, 10], [9, 10, 11], [8, 12]])
    expect(gaugeByFloats(9, [vertical(3, seconds), vertical(6, seconds)]).error).toBeCloseTo(errorOf(seconds), 9);
  const numberOf = (verticals: Parameters<typeof gaugeByFloats>[1]) => {
    try {
      gaugeByFloats(9, verticals);
    } catch (error) {
      return (error as { fault: { values: { number?: number } } }).fault.values.number;
    }
    return undefined;
  };
  const good = vertical(3, [10]);
  for (const bad of [
    vertical(0, [10]),
    vertical(9, [10]),
    { ...vertical(5, [10]), depth: 0 },
    vertical(5, [10, 0]),
    vertical(5, []),
    { ...vertical(5, [9]), run: 0 },
  ])
    expect(numberOf([good, bad])).toBe(2);
});

describe("the year's record", () => {
  test("days of a 365-day year: 29 February counts with the 28th, the last of December is 364", () => {
    const of = (month: number, day: number, year = 2024) => dayOfYear(Date.UTC(year, month - 1, day));
    expect([of(1, 1), of(1, 31), of(2, 28), of(2, 29), of(3, 1), of(3, 31), of(12, 31), of(7, 30, 2025)]).toEqual([
      0, 30, 58, 58, 59, 89, 364, 210,
    ]);
  });

  test("a season holds the 31 days about its date and no other, on every day of the year", () => {
    const daily = seriesFrom(
      "discharge",
      Array.from({ length: 366 }, (_, k) => [Date.UTC(2024, 0, 1) + k * DAY, k + 1] as const),
    );
    for (const [month, day] of [
      [1, 30],
      [2, 29],
      [3, 31],
      [6, 15],
      [10, 31],
    ] as const) {
      const at = Date.UTC(2024, month - 1, day);
      const middle = (Date.UTC(2024, month - 1, month === 2 ? 28 : day) - Date.UTC(2024, 0, 1)) / DAY + 1;
      const record = Array.from(seasonRecord(daily, at).values).filter((q) => Math.abs(q - middle) < 100);
      // 29 February, the sixtieth day here, is one with the 28th: a season that holds it has a day more after it.
      const days = Array.from({ length: 33 }, (_, k) => middle - 16 + k);
      const apart = (q: number) => Math.abs((q > 59 ? q - 1 : q) - (middle > 59 ? middle - 1 : middle));
      expect(record).toEqual(days.filter((q) => q >= 1 && apart(q) <= 15));
    }
    expect(seasonRecord(seriesFrom("discharge", []), start)).toEqual({ values: new Float64Array(0), years: 0 });
  });

  test("the table of the year takes the same days, and a dense record thinned evenly; gaps are no readings", () => {
    const year = (perDay: number) =>
      seriesFrom(
        "discharge",
        [2021, 2022, 2023].flatMap((of) =>
          Array.from({ length: 365 * perDay }, (_, k) => {
            const day = Math.floor(k / perDay);
            return [Date.UTC(of, 0, 1) + (k * DAY) / perDay, k % 7 === 3 ? NaN : day + 1] as const;
          }),
        ),
      );
    for (const perDay of [4, 288]) {
      const table = seasonTable(year(perDay));
      // Median of the 31 days about day 100 is that day's own.
      expect(table[99]![2]).toBe(100);
      expect(table[99]![0]).toBeCloseTo(100 - 12, -1);
      expect(table[99]![4]).toBeCloseTo(100 + 12, -1);
    }
    const thin = seasonTable(
      seriesFrom(
        "discharge",
        [2021, 2022, 2023].flatMap((of) =>
          Array.from({ length: 16 }, (_, k) => [Date.UTC(of, 3, 1) + k * DAY, 5] as const),
        ),
      ),
    );
    expect(thin[dayOfYear(Date.UTC(2023, 3, 12))]).not.toBeNull();
    expect(thin[dayOfYear(Date.UTC(2023, 2, 24))]).toBeNull();
  });
});

describe("forecast", () => {
  test("first passage: exact between two steps of an exponential fall; of a recession the three paths are the band", () => {
    const fall = (k: number) => Float64Array.from({ length: 20 }, (_, h) => 16 * Math.exp(-k * (h + 1)));
    const forecast: Forecast = {
      from: start,
      discharge: 16,
      method: "recession",
      ways: [],
      step: STEP,
      points: [],
      paths: [fall(0.3), fall(0.2), fall(0.1)],
    };
    const steps = (k: number) => Math.log(16 / 5) / k;
    const told = timeUnder(forecast, 5);
    expect((told.early! - start) / STEP).toBeCloseTo(steps(0.3), 9);
    expect((told.median! - start) / STEP).toBeCloseTo(steps(0.2), 9);
    expect((told.late! - start) / STEP).toBeCloseTo(steps(0.1), 9);
    expect(told.share).toBe(1);
    const never = timeUnder(forecast, 16 * Math.exp(-3));
    expect([never.early === null, never.median === null, never.late]).toEqual([false, false, null]);
    expect(never.share).toBeCloseTo(2 / 3, 12);
    const ten: Forecast = {
      ...forecast,
      method: "combined",
      paths: Array.from({ length: 10 }, (_, n) => fall(0.1 + 0.05 * n)),
    };
    const band = timeUnder(ten, 5);
    expect((band.early! - start) / STEP).toBeCloseTo(steps(0.5), 9);
    expect((band.median! - start) / STEP).toBeCloseTo(steps(0.3), 9);
    expect((band.late! - start) / STEP).toBeCloseTo(steps(0.1), 9);
  });
});

describe("base flow", () => {
  test("daily means end at the instant; a day without readings is none", () => {
    const record = hours(96, (k) => (k >= 24 && k < 48 ? NaN : Math.floor(k / 24)));
    expect(dailyMeans(record, start + 95 * HOUR, 4)).toEqual([0, NaN, 2, 3]);
  });

  test("Lyne & Hollick by hand: one pass forward over a spike, from the mirrored start", () => {
    // q = [1, 1, 5, 1]: quick(k) = a quick(k-1) + (1 + a)/2 (q(k) - q(k-1)), held at nothing or more; base = q - quick.
    const a = 0.5;
    const base = baseFlow([1, 1, 5, 1], a, 1);
    // The mirrored start is 1, 5, 1: its spike has left -3/16 in the filter when the next comes.
    const quick = 0.75 * 4 - 3 / 16;
    expect(base[2]).toBeCloseTo(5 - quick, 9);
    expect(base.every((b, k) => b <= [1, 1, 5, 1][k]! + 1e-12 && b >= 0)).toBe(true);
  });

  test("a month of record is enough, a day less is not; an even river is all base flow and no flood", () => {
    const even = hours(24 * 40, () => 6);
    const parts = flowParts(even, start + (24 * 40 - 1) * HOUR)!;
    expect(parts).toMatchObject({ flood: false });
    expect(parts.base).toBeCloseTo(6, 9);
    expect(parts.quickShare).toBeCloseTo(0, 9);
    expect(
      flowParts(
        hours(24 * 40, () => 0),
        start + (24 * 40 - 1) * HOUR,
      ),
    ).toBeNull();
    const spike = hours(24 * 40, (k) => (k > 24 * 39 ? 30 : 6));
    const high = flowParts(spike, start + (24 * 40 - 1) * HOUR)!;
    expect(high.flood).toBe(true);
    expect(high.quickShare).toBeCloseTo((30 - high.base) / 30, 9);
  });
});

describe("temperature", () => {
  const wave = (k: number, level: number, drift: number, amplitude: number, peak: number) =>
    level + (drift * k) / 24 + amplitude * Math.cos((2 * Math.PI * (k - peak)) / 24);

  test.each([3, 9, 15, 21])("a swing that is warmest at hour %d is told so, within the last day", (peak) => {
    const record = hours(24 * 6 + 1, (k) => wave(k, 10, 0.3, 1.5, peak), "waterTemperature");
    const swing = swingAt(record, start + 24 * 6 * HOUR)!;
    const ago = (swing.at - swing.warmest) / HOUR;
    expect(ago).toBeGreaterThanOrEqual(0);
    expect(ago).toBeLessThan(24);
    expect(((24 - ago) % 24) % 24).toBeCloseTo(peak % 24, 3);
    expect(swing.level).toBeCloseTo(10 + 0.3 * 6, 6);
    expect(swing.driftPerDay).toBeCloseTo(0.3, 6);
  });

  test("ahead: the drift dies away with 1.5 days, the last reading's offset with one; never under freezing", () => {
    const record = hours(24 * 6 + 1, (k) => wave(k, 12, 1, 2, 15) + (k === 24 * 6 ? 1 : 0), "waterTemperature");
    const at = start + 24 * 6 * HOUR;
    const swing = swingAt(record, at)!;
    const told = forecastTemperature(record, at)!;
    expect(told).toHaveLength(16);
    expect((told[0]!.time - at) / HOUR).toBe(3);
    expect((told.at(-1)!.time - at) / HOUR).toBe(48);
    const offset =
      wave(24 * 6, 12, 1, 2, 15) +
      1 -
      (swing.level + swing.amplitude * Math.cos((2 * Math.PI * (at - swing.warmest)) / DAY));
    for (const { time, median } of told) {
      const days = (time - at) / DAY;
      const expected =
        swing.level +
        swing.driftPerDay * 1.5 * (1 - Math.exp(-days / 1.5)) +
        swing.amplitude * Math.cos((2 * Math.PI * (time - swing.warmest)) / DAY) +
        offset * Math.exp(-days);
      expect(median).toBeCloseTo(expected, 9);
    }
    const cold = hours(24 * 6 + 1, (k) => wave(k, 0.3, 0, 1, 15), "waterTemperature");
    for (const point of forecastTemperature(cold, at)!) expect(point.median).toBeGreaterThanOrEqual(0);
  });

  test("too short, or all of one moment, is no swing; a quarter-hour record gives the same as an hourly one", () => {
    expect(
      swingAt(
        hours(30, (k) => wave(k, 10, 0, 1, 15), "waterTemperature"),
        start + 29 * HOUR,
      ),
    ).toBeNull();
    expect(
      forecastTemperature(
        hours(30, () => 8, "waterTemperature"),
        start + 29 * HOUR,
      ),
    ).toBeNull();
    expect(
      forecastTemperature(
        hours(200, () => NaN, "waterTemperature"),
        start + 199 * HOUR,
      ),
    ).toBeNull();
    const quarters = seriesFrom(
      "waterTemperature",
      Array.from({ length: 4 * 24 * 6 + 1 }, (_, k) => [start + k * 900_000, wave(k / 4, 10, 0.3, 1.5, 9)] as const),
    );
    expect(swingAt(quarters, start + 24 * 6 * HOUR)!.amplitude).toBeCloseTo(1.5, 6);
  });

  test("the band comes from the errors of the last sixty days, and is not given from under twelve of them", () => {
    const jumpy = hours(
      24 * 70 + 1,
      (k) => wave(k, 10, 0, 1.5, 15) + (Math.floor(k / 24) % 3) * 0.6,
      "waterTemperature",
    );
    const told = forecastTemperature(jumpy, start + 24 * 70 * HOUR)!;
    for (const { low, median, high } of told) {
      expect(low).toBeLessThanOrEqual(median);
      expect(high).toBeGreaterThanOrEqual(median);
    }
    expect(told.at(-1)!.high - told.at(-1)!.low).toBeGreaterThan(0.3);
    const young = forecastTemperature(
      hours(24 * 9 + 1, (k) => wave(k, 10, 0, 1.5, 15), "waterTemperature"),
      start + 24 * 9 * HOUR,
    )!;
    expect(young.every(({ low, high }) => Number.isNaN(low) && Number.isNaN(high))).toBe(true);
  });
});

test("the glass: its change in three hours by the middle slope; readings of one moment, or two, say nothing", () => {
  const falling = hours(25, (k) => 1010 - 1.2 * k, "airPressure");
  expect(barometerAt(falling, start + 24 * HOUR)!.tendency).toBeCloseTo(-3.6, 9);
  expect(
    barometerAt(
      hours(25, () => NaN, "airPressure"),
      start + 24 * HOUR,
    ),
  ).toBeNull();
  // Minutes: thinned from the newest backwards, a spike between is not among them.
  const minutes = Array.from(
    { length: 181 },
    (_, k) => [start + k * 60_000, (180 - k) % 4 === 1 ? 900 : 1000 + k / 60] as const,
  );
  expect(barometerAt(seriesFrom("airPressure", minutes), start + 180 * 60_000)!.tendency).toBeCloseTo(3, 6);
});

test("a curve for the screen keeps the least and the greatest of each of its steps, once, in order", () => {
  const record = hours(400, (k) => (k === 123 ? 50 : k === 124 ? -7 : k === 200 ? NaN : Math.sin(k)));
  const all = envelope(record, start, start + 399 * HOUR, 4000);
  expect(all).toHaveLength(400);
  const few = envelope(record, start, start + 399 * HOUR, 100);
  expect(few.length).toBeLessThanOrEqual(110);
  expect(few.some(([, y]) => y === 50) && few.some(([, y]) => y === -7)).toBe(true);
  expect(few.every((one, k) => k === 0 || one[0] > few[k - 1]![0])).toBe(true);
  expect(envelope(seriesFrom("discharge", []), start, start + HOUR, 100)).toEqual([]);
});

test("a drawn-down shore: none when full or level, by Pythagoras when the beach has a slope", () => {
  expect(drawDown(7, 10, 1)).toMatchObject({ below: 3, beach: 3 * Math.SQRT2 });
  expect(drawDown(10, 10, 0.5).beach).toBeNull();
  expect(drawDown(7, 10, 0).beach).toBeNull();
  expect(drawDown(7, 10, -1).beach).toBeNull();
  expect(drawDown(7, 10, null).beach).toBeNull();
});

describe("tide", () => {
  const M2 = [{ name: "M2", amplitude: 1, phase: 0 }];
  test("slack stands half about each turn on both of its sides; between them it makes or ebbs", () => {
    const first = tideAt(M2, start)!;
    const turn = first.next.time;
    const state = (minutes: number) => tideAt(M2, turn + minutes * 60_000)!.flow;
    expect(state(-5)).toBe("slack");
    expect(state(5)).toBe("slack");
    expect(state(-90)).not.toBe("slack");
    expect(state(90)).not.toBe("slack");
    expect(state(-90)).not.toBe(state(90));
    expect(tideTurns([], start, start + DAY)).toEqual([]);
    expect(tideAt([], start)).toBeNull();
    // The turn itself is the last one, not the next. Slack is within half an hour, not at it.
    const half = 30 * 60_000;
    const turns = [0, 6, 12].map((hour) => ({ time: hour * HOUR, high: hour === 6, level: hour === 6 ? 1 : -1 }));
    expect(tideBetween(turns, 6 * HOUR)).toMatchObject({ flow: "slack", next: { time: 12 * HOUR } });
    expect(tideBetween(turns, 6 * HOUR + half)!.flow).toBe("ebbing");
    expect(tideBetween(turns, 6 * HOUR - half)!.flow).toBe("flooding");
    expect(tideBetween(turns, 6 * HOUR - half + 1)!.flow).toBe("slack");
    expect(tideBetween(turns, 12 * HOUR)).toBeNull();
  });
  test("constituents as typed: headings, remarks and blank lines are passed over, a bad line is told by its number", () => {
    expect(readConstituents("name amplitude phase\n# remark\n\n  M2 1.2 45  \n")).toHaveLength(1);
    let number: number | undefined;
    try {
      readConstituents("M2 1.2 45\nS2 nonsense");
    } catch (error) {
      number = (error as { fault: { values: { number: number } } }).fault.values.number;
    }
    expect(number).toBe(2);
    expect(readConstituents("M2, 3.5, 45", 0.3048)).toEqual([{ name: "M2", amplitude: 1.0668, phase: 45 }]);
  });
});

describe("all of it at one instant", () => {
  const flow = (k: number) =>
    6 + 4 * Math.sin((2 * Math.PI * k) / (24 * 8)) + 2 * Math.sin((2 * Math.PI * k) / (24 * 29));
  const count = 24 * 220;
  const record = (parameters: readonly Parameter[]) => ({
    station: { id: "1", name: "s" },
    series: parameters.map((parameter) =>
      hours(
        count,
        (k) =>
          parameter === "discharge"
            ? flow(k)
            : parameter === "turbidity"
              ? 0.9 * flow(k)
              : parameter === "airPressure"
                ? 1010 - 0.2 * (k % 50)
                : 9 + Math.cos((2 * Math.PI * k) / 24),
        parameter,
      ),
    ),
  });
  const at = start + (count - 200) * HOUR;

  test("each part comes from its own readings, as known then; without them it is null", () => {
    const whole = outlookOf(record(["discharge", "turbidity", "waterTemperature", "airPressure"]) as never, at);
    expect(Object.values(whole).every((part) => part !== null)).toBe(true);
    expect(whole.flow!.from).toBe(at);
    expect(whole.turbidityFit).toEqual({ scatter: expect.any(Number) as number, count: expect.any(Number) as number });
    for (const [k, point] of whole.visibleDepth!.entries()) {
      const turbid = whole.turbidity![k]!;
      expect(point.time).toBe(turbid.time);
      // The murky end is the low one.
      expect(point.low).toBeLessThanOrEqual(point.median);
      expect(point.median).toBeLessThanOrEqual(point.high);
      expect(point.median).toBeCloseTo(DEFAULT_CLARITY_FIT.a * turbid.median ** DEFAULT_CLARITY_FIT.b, 9);
    }
    const fitted = outlookOf(
      { ...record(["discharge", "turbidity"]), clarityFit: { a: 5, b: -1, pairs: 4, scatter: 0 } } as never,
      at,
    );
    expect(fitted.visibleDepth![0]!.median).toBeCloseTo(5 / fitted.turbidity![0]!.median, 9);
    expect(fitted).toMatchObject({ temperature: null, swing: null, barometer: null });
    const bare = outlookOf(record(["discharge"]) as never, at);
    expect(bare).toMatchObject({ turbidity: null, turbidityFit: null, visibleDepth: null });
    const cloudy = outlookOf(record(["turbidity", "waterTemperature"]) as never, at);
    expect(cloudy).toMatchObject({ season: null, recession: null, parts: null, flow: null, turbidity: null });
    expect(cloudy.swing).not.toBeNull();
    expect(forecastSkill(record(["turbidity"]) as never)).toEqual([]);
    expect(whole.lowest).toBeCloseTo(Math.min(...Array.from({ length: count }, (_, k) => flow(k))), 12);
    const dry = { station: { id: "1", name: "s" }, series: [hours(9, () => NaN)] };
    expect(outlookOf(dry, start + 8 * HOUR)).toMatchObject({ lowest: null, flow: null });
  });

  test("turbidity ahead begins on the limb that the river is on", () => {
    // Twelve and a half days of rise before one hour, of fall before another.
    for (const ago of [200, 24 * 20]) {
      const now = start + (count - ago) * HOUR;
      const both = record(["discharge", "turbidity"]);
      const [discharge, turbidity] = both.series.map((one) => knownBy(one, now)) as [Series, Series];
      const limb = trendAt(discharge, now)!.limb;
      expect(limb).not.toBe("steady");
      const told = outlookOf(both, now);
      const of = (rising: boolean) =>
        forecastTurbidity(turbidityRating(discharge, turbidity)!, told.flow!, turbidity.values.at(-1)!, rising);
      expect(told.turbidity).toEqual(of(limb === "rising"));
    }
  });
});

test("oxygen under less air: by the vapour's share and the gas's own pressure", () => {
  // At 20 degC vapour has 17.54 mmHg (Green & Carritt 1967; from memory), theta is 0.000975 - 0.0002852 + 0.0000257.
  const [vapour, theta] = [17.54 / 760, 0.0007155];
  for (const air of [0.3, 0.79, 1.02])
    expect(oxygenSaturation(20, 1013.25 * air) / oxygenSaturation(20)).toBeCloseTo(
      (air * (1 - vapour / air) * (1 - theta * air)) / ((1 - vapour) * (1 - theta)),
      4,
    );
  // USGS Technical Memorandum 2011.03, table of 20 degC: 9.09 mg/L at 760 mmHg, 7.13 at 600 (from memory).
  expect(oxygenSaturation(20, (1013.25 * 600) / 760)).toBeCloseTo(7.13, 1);
});
