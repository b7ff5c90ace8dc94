import { InputError } from "../quantity/fault";
import { bandState } from "./band";
import { type CautionInput, cautionsOf, isStanding, leaveTheWater } from "./cautions";
import { fitClarity } from "./clarity-fit";
import { type FloatVertical, gaugeByFloats, surfaceFactor } from "./float-gauging";
import { drawDown } from "./impounded";
import { HOUR, seriesFrom } from "./series";
import type { GaugeNow } from "./summary";
import { NO_WEATHER, type WeatherHour } from "./weather";
import { readConstituents, tideAt, tideTurns } from "./tide";
import { fitTransfer, kinematicLag, transferred } from "./transfer";

const quiet: CautionInput = {
  now: undefined,
  damNote: "",
  tide: null,
  light: "day",
  sinceThunder: null,
  weather: null,
  fish: { id: "brown-trout", restAbove: 20 },
};

const at = Date.UTC(2026, 10, 25, 9);

test("tide: the moon's half-daily constituent turns every 6.21 h (28.984104 degrees an hour; Schureman 1958), high by its amplitude", () => {
  const turns = tideTurns([{ name: "M2", amplitude: 1.5, phase: 60 }], at, at + 5 * 24 * HOUR);
  expect(turns.length).toBeGreaterThan(17);
  for (let k = 1; k < turns.length; k++) {
    expect(turns[k]!.high).toBe(!turns[k - 1]!.high);
    expect((turns[k]!.time - turns[k - 1]!.time) / HOUR).toBeCloseTo(180 / 28.984104, 1);
    // The nodal factor of M2 lies within 4 % of 1.
    expect(Math.abs(Math.abs(turns[k]!.level) / 1.5 - 1)).toBeLessThan(0.04);
  }
  // 60 degrees more of phase is 60/28.984104 h later.
  const later = tideTurns([{ name: "M2", amplitude: 1.5, phase: 120 }], at, at + 5 * 24 * HOUR);
  const shift =
    later.find((turn) => turn.high && turn.time > turns.find((one) => one.high)!.time)!.time -
    turns.find((one) => one.high)!.time;
  expect(shift / HOUR).toBeCloseTo(60 / 28.984104, 1);
});

test("tide: springs when moon and sun pull together: M2 and S2 beat in 14.77 days", () => {
  const turns = tideTurns(
    [
      { name: "M2", amplitude: 1, phase: 0 },
      { name: "S2", amplitude: 0.5, phase: 0 },
    ],
    at,
    at + 40 * 24 * HOUR,
  ).filter((turn) => turn.high);
  const peaks = turns.filter(
    (turn, k) => k > 0 && k < turns.length - 1 && turn.level >= turns[k - 1]!.level && turn.level > turns[k + 1]!.level,
  );
  expect(
    (peaks.at(-1)!.time - peaks[0]!.time) /
      (24 * HOUR) /
      Math.round((peaks.at(-1)!.time - peaks[0]!.time) / (14.77 * 24 * HOUR)),
  ).toBeCloseTo(14.77, 0);
});

test("tide: flooding, ebbing, slack; constituents as typed, bad lines located", () => {
  const tide = readConstituents("# made up\nname amplitude phase\nM2 1.2 145\nS2, 0.4, 190");
  expect(tide).toEqual([
    { name: "M2", amplitude: 1.2, phase: 145 },
    { name: "S2", amplitude: 0.4, phase: 190 },
  ]);
  const turn = tideTurns(tide, at, at + 24 * HOUR).find((one) => one.high)!;
  expect(tideAt(tide, turn.time - 3 * HOUR)!.flow).toBe("flooding");
  expect(tideAt(tide, turn.time + 3 * HOUR)!.flow).toBe("ebbing");
  expect(tideAt(tide, turn.time - 5 * 60_000)!.flow).toBe("slack");
  expect(tideAt([], at)).toBeNull();
  expect(() => readConstituents("M2 1.2 145\nS2 x 1")).toThrow("bad-constituent");
});

test("timed floats: a rectangular channel of 10 m by 1 m at 0.5 m/s by ten even places gives U b h, less the two edge panels' halves (ISO 748 mid-section)", () => {
  const verticals: FloatVertical[] = Array.from({ length: 10 }, (_, k) => ({
    distance: 0.5 + k,
    depth: 1,
    run: 10,
    seconds: [20, 20],
  }));
  const out = gaugeByFloats(10, verticals);
  const speed = 0.5 * surfaceFactor(1, 0.06);
  expect(out.discharge).toBeCloseTo(speed * 9.5, 9);
  expect(out.area).toBeCloseTo(9.5, 9);
  expect(out.meanSpeed).toBeCloseTo(speed, 9);
  expect(out.error).toBeGreaterThan(0.07);
  expect(out.error).toBeLessThan(0.12);
  expect(
    gaugeByFloats(
      10,
      verticals.filter((_, k) => k % 5 === 2),
    ).error,
  ).toBeGreaterThan(out.error);
  expect(gaugeByFloats(10, [...verticals].reverse()).discharge).toBeCloseTo(out.discharge, 12);
});

test("the surface factor is 0.80 at h/ks = 5 and 0.85 in usual streams (log law; USGS practice)", () => {
  expect(surfaceFactor(1, 0.2)).toBeCloseTo(0.8, 2);
  expect(surfaceFactor(1, 1 / 26.2)).toBeCloseTo(0.85, 2);
  expect(surfaceFactor(2, 2 / 735)).toBeCloseTo(0.9, 2);
});

test.each([
  [
    "no width",
    0,
    [
      { distance: 1, depth: 1, run: 5, seconds: [5] },
      { distance: 2, depth: 1, run: 5, seconds: [5] },
    ],
    "width",
  ],
  ["one place", 5, [{ distance: 1, depth: 1, run: 5, seconds: [5] }], "verticals"],
  [
    "a place on the bank",
    5,
    [
      { distance: 1, depth: 1, run: 5, seconds: [5] },
      { distance: 5, depth: 1, run: 5, seconds: [5] },
    ],
    "verticals[1]",
  ],
  [
    "a dry place",
    5,
    [
      { distance: 1, depth: 0, run: 5, seconds: [5] },
      { distance: 2, depth: 1, run: 5, seconds: [5] },
    ],
    "verticals[0]",
  ],
  [
    "no pass",
    5,
    [
      { distance: 1, depth: 1, run: 5, seconds: [] },
      { distance: 2, depth: 1, run: 5, seconds: [5] },
    ],
    "verticals[0]",
  ],
  [
    "the same place twice",
    5,
    [
      { distance: 1, depth: 1, run: 5, seconds: [5] },
      { distance: 1, depth: 1, run: 5, seconds: [5] },
    ],
    "verticals[1]",
  ],
])("timed floats: %s is refused where it stands", (_, width, verticals, path) => {
  try {
    gaugeByFloats(width, verticals);
    throw new Error("it was taken");
  } catch (error) {
    expect((error as InputError).fault.path).toBe(path);
  }
});

test("transfer: by area alone, by one pair, by four; at the lagged time; a kinematic wave runs at 5/3 of the mean speed", () => {
  expect(fitTransfer(0.4, [])).toEqual({ factor: 0.4, power: 1, pairs: 0, scatter: null });
  expect(fitTransfer(0.4, [{ gauge: 10, reach: 5 }])).toMatchObject({
    factor: expect.closeTo(0.5, 9) as number,
    power: 1,
    pairs: 1,
    scatter: null,
  });
  const fit = fitTransfer(
    0.4,
    [2, 5, 9, 20].map((gauge) => ({ gauge, reach: 0.6 * gauge ** 0.9 })),
  );
  expect(fit.power).toBeCloseTo(0.9, 9);
  expect(fit.factor).toBeCloseTo(0.6, 9);
  const gauge = seriesFrom("discharge", [
    [at - 3 * HOUR, 8],
    [at, 12],
  ]);
  expect(transferred(gauge, { areaRatio: 0.5, lag: 3 }, fitTransfer(0.5, []), at)).toBe(4);
  expect(transferred(gauge, { areaRatio: 0.5, lag: 30 }, fitTransfer(0.5, []), at)).toBeNull();
  expect(kinematicLag(6000, 1)).toBeCloseTo(1, 12);
});

test("clarity refitted: under three pairs the default; three clean pairs found again; alike or wild pairs move the level only", () => {
  const pairs = [3, 12, 40].map((turbidity) => ({ turbidity, visibleDepth: 5 * turbidity ** -0.8 }));
  expect(fitClarity(pairs.slice(0, 2)).pairs).toBe(0);
  expect(fitClarity(pairs)).toMatchObject({
    a: expect.closeTo(5, 9) as number,
    b: expect.closeTo(-0.8, 9) as number,
    pairs: 3,
    scatter: expect.closeTo(0, 9) as number,
  });
  const alike = fitClarity([5, 5.2, 5.4].map((turbidity) => ({ turbidity, visibleDepth: 2 })));
  expect(alike.b).toBe(-0.71);
  expect(alike.a * 5.2 ** -0.71).toBeCloseTo(2, 1);
  expect(fitClarity([3, 12, 40].map((turbidity) => ({ turbidity, visibleDepth: turbidity / 20 }))).b).toBe(-0.71);
});

test("impounded water: 15 ft down on a beach of one in ten bares 15 sqrt(101) ft of it; none when the water is up", () => {
  const out = drawDown(100 - 15 * 0.3048, 100, 0.1);
  expect(out.below / 0.3048).toBeCloseTo(15, 9);
  expect(out.beach! / 0.3048).toBeCloseTo(15 * Math.sqrt(101), 6);
  expect(drawDown(101, 100, 0.1)).toEqual({ below: -1, beach: null });
  expect(drawDown(99, 100, null).beach).toBeNull();
});

test("fishes well between: under, in, over, and unknown without a reading", () => {
  const band = { spot: "Gravel tail", measure: "discharge", low: 4, high: 11 } as const;
  expect([3, 4, 11, 12, null].map((value) => bandState(band, value))).toEqual(["under", "in", "in", "over", "unknown"]);
  expect(bandState({ ...band, low: null }, 0.1)).toBe("in");
});

test("cautions (common practice, no source): rising fast, dam, tide making, heat at 20 C, cold under 15 C; and nothing said without a reading", () => {
  const now: GaugeNow = {
    at: "2026-01-01T00:00:00Z",
    discharge: 5,
    stage: null,
    waterTemperature: 17,
    turbidity: null,
    visibleDepth: null,
    visibleDepthFrom: null,
    clarity: null,
    exceedance: null,
    seasonYears: 0,
    trend: "steady",
    ratePerHour: 0,
    trendHours: null,
  };
  const kinds = (change: Partial<GaugeNow>, dam = "", flooding = false) =>
    cautionsOf({
      ...quiet,
      now: { ...now, ...change },
      damNote: dam,
      tide: flooding ? "flooding" : null,
    }).map((one) => one.kind);
  expect(kinds({})).toEqual([]);
  expect(kinds({ trend: "rising", ratePerHour: 0.06 })).toEqual(["rising"]);
  expect(kinds({ trend: "rising", ratePerHour: 0.04 })).toEqual([]);
  // Very high by its place in the season, where enough of the season is known; rising or not.
  expect(kinds({ exceedance: 0.1, seasonYears: 3 })).toEqual(["very-high"]);
  expect(kinds({ exceedance: 0.11, seasonYears: 3 })).toEqual([]);
  expect(kinds({ exceedance: 0.02, seasonYears: 2 })).toEqual([]);
  expect(kinds({ exceedance: 0.02, seasonYears: 9, trend: "rising", ratePerHour: 0.2 })).toEqual([
    "rising",
    "very-high",
  ]);
  expect(kinds({ waterTemperature: 20 }, " siren ", true)).toEqual(["dam", "tide", "heat"]);
  expect(kinds({ waterTemperature: 14.9 })).toEqual(["cold"]);
  // A stage that comes up with the tide is the tide's; a flow that does is the river's.
  const stage = { trend: "rising", ratePerHour: null, stageRatePerHour: 0.4 } as const;
  expect(kinds(stage)).toEqual(["rising"]);
  expect(kinds(stage, "", true)).toEqual(["tide"]);
  expect(kinds({ trend: "rising", ratePerHour: 0.3 }, "", true)).toEqual(["rising", "tide"]);
  expect(kinds({ waterTemperature: null, trend: null, ratePerHour: null })).toEqual([]);
  expect(cautionsOf({ ...quiet, now: undefined })).toEqual([]);
});

test("thunder sends off the water for half an hour, a fast rise as long as it lasts; dark only warns", () => {
  // Half an hour from the last clap: lightning safety guidance of national weather services, from memory.
  const leave = (change: Partial<CautionInput>) => {
    const cautions = cautionsOf({ ...quiet, now: undefined, ...change });
    return [cautions.map((one) => one.kind), leaveTheWater(cautions)];
  };
  expect(leave({ sinceThunder: 0 })).toEqual([["thunder"], true]);
  expect(leave({ sinceThunder: 29.9 * 60_000 })).toEqual([["thunder"], true]);
  expect(leave({ sinceThunder: 30 * 60_000 })).toEqual([[], false]);
  // A clock that ticks each minute is up to a minute behind the clap.
  expect(leave({ sinceThunder: -59_000 })).toEqual([["thunder"], true]);
  expect(leave({ sinceThunder: -3 * 60_000 })).toEqual([[], false]);
  expect(leave({ light: "night" })).toEqual([["dark"], false]);
  // Forecast thunder and white caps keep everybody off, as they bar the hours of a plan; frost only warns.
  expect(leave({ weather: { time: at, ...NO_WEATHER, thunder: true } })).toEqual([["storm"], true]);
  expect(leave({ weather: { time: at, ...NO_WEATHER, gust: 11 } })).toEqual([["wind"], true]);
  expect(leave({ weather: { time: at, ...NO_WEATHER, air: -2 } })).toEqual([["frost"], false]);
  // Heard and forecast thunder are one cause.
  expect(leave({ sinceThunder: 0, weather: { time: at, ...NO_WEATHER, thunder: true } })).toEqual([["thunder"], true]);
  // What stands all day is no box; what is grave or new is.
  expect((["dam", "dark", "cold", "frost"] as const).every((kind) => isStanding({ kind }))).toBe(true);
  expect(
    (["rising", "thunder", "storm", "wind", "very-high", "heat", "tide"] as const).some((kind) => isStanding({ kind })),
  ).toBe(false);
  expect(leave({ light: "twilight" })).toEqual([[], false]);
  const rising = { trend: "rising" as const, ratePerHour: 0.06 } as GaugeNow;
  expect(leave({ now: { ...rising, waterTemperature: null } })).toEqual([["rising"], true]);
  const thunder = cautionsOf({ ...quiet, now: undefined, sinceThunder: 10.5 * 60_000 })[0];
  expect(thunder).toEqual({ kind: "thunder", minutesLeft: 20 });
});

test("the air as forecast: thunder and white caps of a Beaufort 6, gusts too, and frost; none of them said without a word", () => {
  const kinds = (change: Partial<WeatherHour>) =>
    cautionsOf({ ...quiet, weather: { time: at, ...NO_WEATHER, ...change } }).map(({ kind }) => kind);
  expect(kinds({})).toEqual([]);
  expect(kinds({ thunder: false, wind: 10.7, gust: 10.7, air: 0.1 })).toEqual([]);
  expect(kinds({ thunder: true })).toEqual(["storm"]);
  expect(kinds({ wind: 6, gust: 10.8 })).toEqual(["wind"]);
  expect(kinds({ wind: 10.8 })).toEqual(["wind"]);
  expect(kinds({ air: 0 })).toEqual(["frost"]);
});
