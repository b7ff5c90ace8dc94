import { Body, Illumination, MakeTime, Observer, SearchAltitude, SearchRiseSet } from "astronomy-engine";
import { oxygenSaturation, pressureAtAltitude } from "./oxygen";
import { barometerAt } from "./barometer";
import { DAY, HOUR, seriesFrom } from "./series";
import { skyOf } from "./sky";
import { forecastTemperature, swingAt } from "./temperature";
import { WARMTH, warmthClass } from "./warmth";

test("oxygen at saturation: the table of Standard Methods (4500-O:I) at one atmosphere", () => {
  for (const [temperature, table] of [
    [0, 14.62],
    [5, 12.77],
    [10, 11.29],
    [15, 10.08],
    [20, 9.09],
    [25, 8.26],
    [30, 7.56],
  ] as const) {
    expect(oxygenSaturation(temperature)).toBeCloseTo(table, 2);
  }
});

test("oxygen under less air: within 0.3 % of the simpler rule (P - p)/(760 - p), p the vapour pressure (older Standard Methods); 1,500 m is 845.6 hPa (ISO 2533)", () => {
  const vapour: Record<number, number> = { 5: 6.54, 20: 17.54 };
  for (const temperature of [5, 20]) {
    const torr = 650;
    const rule = (oxygenSaturation(temperature) * (torr - vapour[temperature]!)) / (760 - vapour[temperature]!);
    expect(oxygenSaturation(temperature, torr * 1.3332236842) / rule).toBeCloseTo(1, 2);
  }
  expect(pressureAtAltitude(1500)).toBeCloseTo(845.6, 0);
  expect(pressureAtAltitude(0)).toBeCloseTo(1013.25, 9);
});

const start = Date.UTC(2026, 5, 1);
const swing = (time: number) =>
  14 + (0.2 * (time - start)) / DAY + 1.5 * Math.cos((2 * Math.PI * (time - start - 17 * HOUR)) / DAY);
const water = (of: (time: number) => number, days: number) =>
  seriesFrom(
    "waterTemperature",
    Array.from({ length: 24 * days + 1 }, (_, k) => [start + k * HOUR, of(start + k * HOUR)] as const),
  );

test("a swing of 1.5 C about a drift of 0.2 C a day is found again, with its warmest hour; too few readings give none", () => {
  const at = start + 10 * DAY + 5 * HOUR;
  const fit = swingAt(water(swing, 12), at)!;
  expect(fit.amplitude).toBeCloseTo(1.5, 6);
  expect(fit.driftPerDay).toBeCloseTo(0.2, 6);
  expect(((fit.warmest - start) / HOUR) % 24).toBeCloseTo(17, 4);
  expect(at - fit.warmest).toBeLessThan(DAY);
  expect(swingAt(water(swing, 1), start + DAY)).toBeNull();
});

test("the next two days: a steady swing goes on as it was, and the band comes from the forecast's own errors", () => {
  const steady = (time: number) => 14 + 1.5 * Math.cos((2 * Math.PI * (time - start - 17 * HOUR)) / DAY);
  const at = start + 70 * DAY;
  const exact = forecastTemperature(water(steady, 70), at)!;
  expect(exact).toHaveLength(16);
  for (const point of exact) {
    expect(point.median).toBeCloseTo(steady(point.time), 2);
    expect(point.high - point.low).toBeLessThan(0.05);
  }
  const wandering = forecastTemperature(
    water((time) => steady(time) + 2 * Math.sin((time - start) / DAY / 1.7), 70),
    at,
  )!;
  expect(wandering[15]!.high - wandering[15]!.low).toBeGreaterThan(0.5);
  expect(wandering[15]!.high - wandering[15]!.low).toBeGreaterThan(wandering[1]!.high - wandering[1]!.low);
  expect(forecastTemperature(water(steady, 70), at + DAY)).toBeNull();
});

test("what a temperature means: trout and salmon stop at 20 C (usual caution), smallmouth group up at about 50 F (common practice)", () => {
  expect(warmthClass(20, "trout-and-salmon")).toBe("too-warm");
  expect(warmthClass(19.9, "trout-and-salmon")).toBe("warm");
  expect(warmthClass(12, "trout-and-salmon")).toBe("good");
  expect(warmthClass(9.9, "smallmouth")).toBe("slow");
  expect(warmthClass(1, "catfish")).toBe("very-cold");
  for (const { slow, good, stop } of Object.values(WARMTH.value))
    expect([...[slow, good[0], good[1], stop]].sort((a, b) => a - b)).toEqual([slow, good[0], good[1], stop]);
});

test("the glass: words of the shipping forecast for its change in three hours (UK Met Office glossary)", () => {
  const glass = (perHour: number) =>
    barometerAt(
      seriesFrom(
        "airPressure",
        Array.from({ length: 7 }, (_, k) => [start + k * HOUR, 1010 + perHour * k] as const),
      ),
      start + 6 * HOUR,
    );
  expect(glass(0)!.change).toBe("steady");
  expect(glass(-0.3)!.change).toBe("slow");
  expect(glass(0.8)!.change).toBe("plain");
  expect(glass(-1.5)!.change).toBe("quick");
  expect(glass(-2.5)).toMatchObject({
    change: "very-rapid",
    tendency: expect.closeTo(-7.5, 6) as number,
    pressure: 995,
  });
  expect(barometerAt(seriesFrom("airPressure", [[start, 1010]]), start)).toBeNull();
});

test.each([
  [52.3, -7.1],
  [45.2, -93.4],
  [-41.1, 175.3],
  [64.8, 26],
])(
  "sun and moon at %d, %d against a second, independent library (astronomy-engine), over a year",
  (latitude, longitude) => {
    const observer = new Observer(latitude, longitude, 0);
    for (let month = 0; month < 12; month++) {
      const at = Date.UTC(2026, month, 11, 3);
      const sky = skyOf(at, latitude, longitude);
      const from = MakeTime(new Date(sky.noon - DAY / 2));
      const near = (own: number | null, other: { date: Date } | null, minutes: number) => {
        // Both agree that it comes, and when; at the day's very edge either may count it to the next.
        if (own === null || other === null)
          return expect(own === null ? Infinity : own - sky.noon).toBeGreaterThan(
            other === null ? DAY / 2 - 2 * HOUR : -Infinity,
          );
        expect(Math.abs(own - other.date.getTime()) / 60_000).toBeLessThan(minutes);
      };
      near(sky.sunrise, SearchRiseSet(Body.Sun, observer, +1, from, 0.6), 2);
      near(sky.sunset, SearchRiseSet(Body.Sun, observer, -1, MakeTime(new Date(sky.noon)), 0.6), 2);
      near(sky.dawn, SearchAltitude(Body.Sun, observer, +1, from, 0.6, -6), 2);
      if (sky.moonrise !== null)
        near(sky.moonrise, SearchRiseSet(Body.Moon, observer, +1, MakeTime(new Date(sky.moonrise - 3 * HOUR)), 1), 5);
      if (sky.moonset !== null)
        near(sky.moonset, SearchRiseSet(Body.Moon, observer, -1, MakeTime(new Date(sky.moonset - 3 * HOUR)), 1), 5);
      expect(sky.moon.lit).toBeCloseTo(Illumination(Body.Moon, new Date(at)).phase_fraction, 1);
    }
  },
);

test("no sunrise in the polar night, and the moon's names", () => {
  expect(skyOf(Date.UTC(2026, 11, 21, 12), 75, 20)).toMatchObject({ sunrise: null, sunset: null });
  // Full moon of 24 November 2026, new moon of 9 November 2026 (published almanacs; from memory, checked by the second
  // library above).
  expect(skyOf(Date.UTC(2026, 10, 24, 15), 52, 0).moon.phase).toBe("full");
  expect(skyOf(Date.UTC(2026, 10, 9, 7), 52, 0).moon.phase).toBe("new");
});
