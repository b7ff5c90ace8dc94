import type { RuleRecord } from "../book/bank-records";
import { sampleRule } from "../../testing/book-samples";
import { planNoteWords } from "../../words/plan";
import { PLACE, sampleOutlook as outlook, sampleReach as reach, STEP, T0 } from "../../testing/plan-samples";
import { speciesById } from "../fish/species";
import type { Outlook } from "../gauge/outlook";
import { DAY, HOUR } from "../gauge/series";
import { ownWaterAt } from "../gauge/summary";
import { warmthIn } from "../gauge/warmth";
import { NO_WEATHER, type Weather, type WeatherHour } from "../gauge/weather";
import { isPrime, limbOf } from "../gauge/limb";
import { WATER_CONDITIONS, warmthRange } from "./factors";
import { planHours } from "./hours";
import { changesOf } from "./changes";
import { planOf, type PlanAsk } from "./plan";
import type { PlanReach } from "./plan-reach";
import { logAt } from "./conditions";

const TROUT = speciesById("brown-trout");

const ask = (change: Partial<PlanAsk> = {}): PlanAsk => ({
  species: TROUT,
  from: T0,
  to: T0 + DAY,
  farthest: null,
  zone: "UTC",
  ...change,
});
const utcDay = (at: number) => new Date(at).toISOString().slice(0, 10);
const first = (...reaches: PlanReach[]) => planOf(reaches, ask()).windows[0]!;

test("prime is a level coming down with some colour in; neither alone is it (craft, common practice)", () => {
  expect(isPrime("falling", "green")).toBe(true);
  expect(isPrime("falling", "coloured")).toBe(true);
  expect(isPrime("falling", "clear")).toBe(false);
  expect(isPrime("steady", "green")).toBe(false);
  expect(isPrime("rising", "coloured")).toBe(false);
  // 3 % in six hours is half a per cent an hour.
  expect(limbOf({ ratePerHour: Math.log(0.97) / 6 })).toBe("falling");
  expect(limbOf({ ratePerHour: 0 })).toBe("steady");
  expect(limbOf({ ratePerHour: 0.03 })).toBe("rising");
});

test("a window's figures are of one of its own hours, even where half an hour is all that is left", () => {
  for (const half of [1, 2, 3, 7, 20]) {
    const all = [reach("a", { outlook: outlook({ factor: 0.9, width: 1.2 }) })];
    const span = ask({ to: T0 + (half * HOUR) / 2 });
    const plan = planOf(all, span);
    expect(plan.windows.length).toBeGreaterThan(0);
    for (const window of plan.windows) {
      const hour = plan.days[0]!.hours.find(({ at }) => at === window.at)!;
      expect(window.at).toBeGreaterThanOrEqual(window.from);
      expect(window.at).toBeLessThan(window.to);
      expect([hour.discharge, limbOf(hour)]).toEqual([window.discharge, window.limb]);
    }
  }
});

test("hours follow the forecast: straight between its points, the band with it, none past its end", () => {
  const hours = planHours(
    outlook({ factor: 0.9, width: 1.1 }),
    { place: PLACE, weather: null },
    { from: T0, to: T0 + 10 * DAY },
  );
  expect(hours[0]).toMatchObject({ at: T0, discharge: 6, low: 6, high: 6 });
  const middle = hours.find(({ at }) => at === T0 + 3 * HOUR)!;
  expect(middle.discharge).toBeCloseTo((6 + 5.4) / 2, 12);
  expect(middle.high).toBeCloseTo((6 + 5.4 * 1.1) / 2, 12);
  expect(hours.at(-1)!.at).toBe(T0 + 20 * STEP);
  // The three hours before: from 5.7 to 5.4.
  expect(hours.find(({ at }) => at === T0 + STEP)!.ratePerHour).toBeCloseTo(Math.log(5.4 / 5.7) / 3, 9);
});

test("what the angler read stands in while it tells, and only where the forecast is silent", () => {
  const silent = { ...outlook(), visibleDepth: null, temperature: null };
  const own = ownWaterAt(
    {
      seen: [{ at: T0 - 2 * HOUR, visibleDepth: 0.4 }],
      felt: [
        { at: T0 - 20 * HOUR, temperature: 6 },
        { at: T0 - HOUR, temperature: 14 },
      ],
    },
    T0,
  );
  const there = { place: PLACE, weather: null, own };
  const hours = planHours(silent, there, { from: T0, to: T0 + DAY });
  const at = (h: number) => hours.find((hour) => hour.at === T0 + h * HOUR)!;
  // Visible depth tells for twelve hours, a temperature for six.
  expect([at(0).temperature, at(5).temperature, at(5.5).temperature]).toEqual([14, 14, null]);
  expect([at(0).visibleDepth, at(10).visibleDepth, at(10.5).visibleDepth]).toEqual([0.4, 0.4, null]);
  expect(planHours(outlook(), there, { from: T0, to: T0 + HOUR })[0]).toMatchObject({
    temperature: 11,
    visibleDepth: 0.9,
  });
  // And it counts: water too warm to fish for trout bars the hours that it speaks for.
  const warm = reach("a", {
    outlook: silent,
    own: { visibleDepth: null, temperature: { value: 23, until: T0 + 3 * HOUR } },
  });
  const bars = planOf([warm], ask()).days[0]!.hours.filter(({ bar }) => bar === "too-warm");
  expect(bars.map(({ at: then }) => then).at(-1)).toBe(T0 + 3 * HOUR);
});

test("past the end of its forecast the water is as warm as at the same hour of the last day", () => {
  const one = outlook();
  one.temperature = Array.from({ length: 9 }, (_, k) => {
    const value = 10 + Math.sin((2 * Math.PI * k * 6) / 24);
    return { time: T0 + k * STEP, low: value, median: value, high: value };
  });
  const hours = planHours(one, { place: PLACE, weather: null }, { from: T0, to: T0 + 4 * DAY });
  const at = (h: number) => hours.find((hour) => hour.at === T0 + h * HOUR)!.temperature!;
  expect(at(78)).toBeCloseTo(at(30), 9);
  expect(at(72)).toBeCloseTo(at(24), 9);
});

test("cold water wakes with the sun on it, mild water is best in low light (craft, common practice)", () => {
  const window = (temperature: number, species = TROUT) =>
    planOf([reach("a", { outlook: outlook({ temperature }) })], ask({ species })).windows[0]!;
  const cold = window(3);
  // Sun over 12 degrees at 52 N in May is from about six to before eighteen, UTC (almanac, from memory).
  expect(cold.from).toBeGreaterThanOrEqual(T0);
  expect(cold.to).toBeLessThanOrEqual(Date.UTC(2026, 4, 14, 18, 30));
  const mild = window(11);
  expect(mild.factors.find(({ what }) => what === "light")!.is).toBe("edge");
  expect(mild.score).toBeGreaterThan(cold.score);
  // What shuns light feeds from low sun into the dark.
  const catfish = window(24, speciesById("flathead-catfish"));
  expect(new Date(catfish.from).getUTCHours()).toBeGreaterThanOrEqual(18);
  expect(new Date(catfish.to).getUTCHours() % 24).toBeGreaterThanOrEqual(20);
});

test("a closed season, water too warm and a river that rises fast remove; they do not merely lower", () => {
  const closed: RuleRecord = sampleRule("r", { open: { from: "06-01", to: "09-30" } });
  expect(planOf([reach("a", { rules: [closed] })], ask())).toMatchObject({
    windows: [],
    removed: [{ reach: "a", reason: "closed" }],
  });
  const warm = planOf([reach("a", { outlook: outlook({ temperature: 20.5 }) })], ask());
  expect(warm).toMatchObject({ windows: [], removed: [{ reason: "too-warm" }] });
  const fast = planOf([reach("a", { outlook: outlook({ factor: 1.6 }) })], ask());
  expect(fast).toMatchObject({ windows: [], removed: [{ reason: "rising-fast" }] });
  // One that rises fast by its last reading is left for three hours, though it is said to fall.
  const now = planOf([reach("a", { risingFast: true })], ask()).days[0]!.hours;
  expect(now.filter(({ bar }) => bar === "rising-fast").map(({ at }) => at - T0)).toEqual(
    [0, 0.5, 1, 1.5, 2, 2.5].map((hours) => hours * HOUR),
  );
  // The rule of another water, or of another fish, is none of this one's.
  expect(planOf([reach("a", { rules: [{ ...closed, reach: "b" }] })], ask()).windows).toHaveLength(2);
  expect(planOf([reach("a", { rules: [{ ...closed, species: "chub" }] })], ask()).windows).toHaveLength(2);
});

test("a season opens and closes by the water's own days, wherever they are asked about", () => {
  // Opens on 15 May; New York is four hours behind UTC then, so that its 14 May lasts until 04:00 UTC of the 15th.
  const rules = [sampleRule("r", { open: { from: "05-15", to: "09-30" } })];
  const openFrom = (zone: string) =>
    planOf([reach("a", { rules, zone })], ask({ to: T0 + 2 * DAY })).days[0]!.hours.find(({ bar }) => bar !== "closed")!
      .at;
  expect(openFrom("America/New_York")).toBe(Date.UTC(2026, 4, 15, 4));
  expect(openFrom("UTC")).toBe(Date.UTC(2026, 4, 15));
  expect(openFrom("Europe/Dublin")).toBe(Date.UTC(2026, 4, 14, 23));
  // And the last legal evening is not taken away: 14 May of New York is open until 03:30 UTC.
  const last = [sampleRule("r", { open: { from: "03-01", to: "05-14" } })];
  const hours = planOf([reach("a", { rules: last, zone: "America/New_York" })], ask({ to: T0 + 2 * DAY })).days[0]!
    .hours;
  expect(hours.filter(({ bar }) => bar !== "closed").at(-1)!.at).toBe(Date.UTC(2026, 4, 15, 3, 30));
});

test("a plan says where a forecast ends within its span, and which days of the water's own are closed", () => {
  const all = [
    reach("a"),
    reach("b", { rules: [sampleRule("r", { open: { from: "05-16", to: "09-30" } })], zone: "America/New_York" }),
    reach("c", { rules: [sampleRule("s", { open: { from: "06-01", to: "09-30" } })] }),
  ];
  const { notes, removed } = planOf(all, ask({ to: T0 + 7 * DAY }));
  const ends = { what: "forecast-ends", at: T0 + 5 * DAY };
  expect(notes.filter(({ reach }) => reach === "a")).toEqual([
    { reach: "a", at: expect.any(Number), what: "forecast-ends" },
  ]);
  expect(Math.abs((notes[0] as typeof ends).at - ends.at)).toBeLessThanOrEqual(HOUR);
  expect(notes).toContainEqual({ reach: "b", what: "closed", days: ["2026-05-14", "2026-05-15"] });
  // What is left out altogether is told so already.
  expect(removed.map(({ reach }) => reach)).toEqual(["c"]);
  expect(notes.some(({ reach }) => reach === "c")).toBe(false);
  expect(planOf(all.slice(0, 1), ask()).notes).toEqual([]);
  expect(planNoteWords({ reach: "a", what: "forecast-ends", at: T0 + 2 * HOUR }, T0)).toMatch(
    /^Its forecast ends today/,
  );
  expect(planNoteWords({ reach: "b", what: "closed", days: ["2026-05-14"] }, T0)).toMatch(
    /^Closed by your rules on .*14.*\.$/,
  );
});

test("a window is told with what is to be heeded then, by the rules for now: a dam, cold water", () => {
  const [window] = planOf([reach("a", { damNote: "siren", outlook: outlook({ temperature: 8 }) })], ask()).windows;
  expect(window!.cautions).toEqual([
    { kind: "dam", note: "siren" },
    { kind: "cold", temperature: 8 },
  ]);
});

test("gusts of white caps bar an hour as a steady wind does", () => {
  const air = (change: Partial<WeatherHour>): Weather =>
    ({
      issued: T0,
      hours: Array.from({ length: 48 }, (_, k) => ({ time: T0 + k * HOUR, ...NO_WEATHER, ...change })),
    }) as Weather;
  expect(planOf([reach("a", { weather: air({ wind: 7, gust: 12 }) })], ask()).removed).toMatchObject([
    { reason: "white-caps" },
  ]);
});

test("too far, no gauge, no forecast, hours that are over: each is told by its reason", () => {
  const none = { ...outlook(), flow: null };
  const { windows, removed } = planOf(
    [
      reach("far", { travel: 90 }),
      reach("near", { travel: 20 }),
      reach("unsaid"),
      reach("dry", { outlook: null }),
      reach("short", { outlook: none }),
    ],
    ask({ farthest: 60 }),
  );
  expect(new Set(windows.map((one) => one.reach))).toEqual(new Set(["near", "unsaid"]));
  expect(removed).toEqual([
    { reach: "far", reason: "too-far" },
    { reach: "dry", reason: "no-gauge" },
    { reach: "short", reason: "no-forecast" },
  ]);
  expect(planOf([reach("a")], ask({ from: T0 - 2 * DAY, to: T0 - DAY })).removed[0]!.reason).toBe("past");
});

test("ranking: colour on the fall before clear, clear before mud, a band of one's own, better lies, the log", () => {
  const by = (one: Partial<PlanReach>, other: Partial<PlanReach>) =>
    first(reach("one", one), reach("other", other)).reach;
  expect(by({ outlook: outlook({ seen: 0.8 }) }, { outlook: outlook({ seen: 2 }) })).toBe("one");
  expect(by({ outlook: outlook({ seen: 2 }) }, { outlook: outlook({ seen: 0.2 }) })).toBe("one");
  expect(by({ outlook: outlook({ factor: 0.97 }) }, { outlook: outlook({ factor: 1.02 }) })).toBe("one");
  const band = (low: number, high: number) => [{ spot: "s", measure: "discharge" as const, low, high }];
  expect(by({ bands: band(4, 8) }, { bands: band(10, 20) })).toBe("one");
  expect(
    by(
      { lies: [{ discharge: 6, visibleDepth: null, score: 0.9 }] },
      { lies: [{ discharge: 6, visibleDepth: null, score: 0.3 }] },
    ),
  ).toBe("one");
  const log = (rate: number, hours: number) => ({
    usualRate: 0.5,
    log: [{ low: 3, high: 8, hours, events: 1, rate, interval: [0, 1] as [number, number] }],
  });
  expect(by(log(1, 20), log(0.3, 20))).toBe("one");
  // What was hardly fished moves less than what is known.
  const moved = (hours: number) => first(reach("a", log(1, hours))).factors.find(({ what }) => what === "log")!.factor;
  expect(moved(1)).toBeLessThan(moved(20));
  expect(moved(20)).toBeLessThan(2);
  expect(logAt(log(1, 2).log, 8)).toBeNull();
});

test("between the flows that are solved lies are as between them; the reach that loses them with the fall drops", () => {
  const losing = reach("losing", {
    lies: [
      { discharge: 5, visibleDepth: null, score: 0.2 },
      { discharge: 6, visibleDepth: null, score: 1 },
    ],
  });
  const hours = planOf([losing], ask({ to: T0 + 2 * DAY })).days[0]!.hours;
  const factor = (k: number) => hours[k]!.factors.find(({ what }) => what === "lies")!.factor;
  expect(factor(0)).toBeCloseTo(1, 9);
  expect(factor(hours.length - 1)).toBeCloseTo(0.6, 2);
  expect(factor(12)).toBeGreaterThan(factor(30));
});

test("a muddy river that clears at the same flow is rated by the lies of clear water once it is clear", () => {
  const seen = Array.from({ length: 20 }, (_, k) => {
    const depth = k < 8 ? 0.2 : 2;
    return { time: T0 + k * STEP, low: depth, median: depth, high: depth };
  });
  const lies = [
    { discharge: 6, visibleDepth: 0.2, score: 0.1 },
    { discharge: 6, visibleDepth: 2, score: 0.9 },
  ];
  const one = reach("one", { outlook: { ...outlook({ factor: 1 }), visibleDepth: seen }, lies });
  const [muddy, , , clear] = [0, 1, 2, 3].map((day) => {
    const { hours } = planOf([one], ask({ to: T0 + 4 * DAY })).days[0]!;
    return hours[day * 48]!.factors.find(({ what }) => what === "lies")!;
  });
  expect(muddy).toMatchObject({ is: "poor" });
  expect(clear).toMatchObject({ is: "good", factor: 1 });
});

test("a river that may yet come up is worth less than one that is sure to fall, though their middles are one", () => {
  const sure = reach("sure");
  const unsure = reach("unsure", { outlook: outlook({ width: 1.25 }) });
  expect(first(unsure, sure).reach).toBe("sure");
  expect(planOf([unsure], ask(), "median").windows[0]!.score).toBeCloseTo(
    planOf([sure], ask(), "median").windows[0]!.score,
    9,
  );
});

test("what would change the answer: another water on the high path is told with the flow of that path", () => {
  const spiky = reach("spiky", { outlook: outlook({ width: 1.3, seen: 0.9 }), usualRate: null });
  const steady = reach("steady", { outlook: outlook({ factor: 0.999, seen: 0.9 }) });
  const plan = planOf([spiky, steady], ask(), "median");
  expect(plan.windows[0]!.reach).toBe("spiky");
  const changes = changesOf([spiky, steady], ask(), plan);
  const high = changes.find(({ path }) => path === "high")!;
  expect(high.then!.reach).toBe("steady");
  expect("discharge" in high && high.discharge).toBeGreaterThan(plan.windows[0]!.discharge);
  expect(changesOf([], ask(), { windows: [], removed: [], notes: [], days: [] })).toEqual([]);
});

test("windows lie within their day and span, are one to five hours, and hold the best hour of it", () => {
  const plan = planOf([reach("a")], ask({ to: T0 + 3 * DAY }));
  for (const window of plan.windows) {
    expect(window.to - window.from).toBeGreaterThanOrEqual(HOUR);
    expect(window.to - window.from).toBeLessThanOrEqual(5 * HOUR);
    const day = utcDay(window.from);
    const hours = plan.days[0]!.hours.filter(({ at }) => utcDay(at) === day);
    const best = hours.reduce((a, b) => (b.score > a.score ? b : a));
    expect(best.at).toBeGreaterThanOrEqual(window.from);
    expect(best.at).toBeLessThan(window.to);
  }
  expect(plan.windows.map(({ score }) => score)).toEqual(
    [...plan.windows.map(({ score }) => score)].sort((a, b) => b - a),
  );
});

test("small water follows the air: cooling sends to the larger, warming to the smaller (craft, common practice)", () => {
  const season = (middle: number) =>
    Array.from({ length: 365 }, () => [middle / 3, middle / 2, middle, middle * 2, middle * 3]);
  const sized = (id: string, middle: number, driftPerDay: number) =>
    reach(id, {
      outlook: {
        ...outlook({ flow: middle }),
        season: season(middle),
        swing: { level: 11, driftPerDay, amplitude: 1, warmest: T0, at: T0 },
      },
    });
  expect(first(sized("large", 20, -1), sized("small", 3, -1)).reach).toBe("large");
  expect(first(sized("large", 20, 1), sized("small", 3, 1)).reach).toBe("small");
  const steady = first(sized("large", 20, 0), sized("small", 3, 0));
  expect(steady.factors.some(({ what }) => what === "size")).toBe(false);
});

test("in high summer shade and inflows draw, and only then; one who is new to a fish is sent where it is known", () => {
  const warm = outlook({ temperature: 18 });
  const plain = reach("plain", { outlook: warm });
  expect(first(plain, reach("cool", { outlook: warm, relief: ["inflow"] })).reach).toBe("cool");
  const mild = first(reach("a", { relief: ["shade"] }));
  expect(mild.factors.some(({ what }) => what === "relief")).toBe(false);
  const known = first(plain, reach("busy", { outlook: warm, known: "Deep of the pool" }));
  expect(known).toMatchObject({ reach: "busy", known: "Deep of the pool" });
});

test("water over what nine tenths of its season's record were is very high, and worth half", () => {
  const high = reach("high", {
    outlook: { ...outlook(), season: Array.from({ length: 365 }, () => [1, 1.5, 2, 3, 5]) },
  });
  expect(first(reach("usual"), high).reach).toBe("usual");
  expect(first(high).factors.find(({ what }) => what === "season")).toMatchObject({ is: "very-high", factor: 0.5 });
});

test("where a fish feeds: trout by the trade's markers, others by their own curves", () => {
  expect(warmthIn(12, warmthRange(TROUT))).toBe("good");
  expect(warmthIn(20, warmthRange(TROUT))).toBe("too-warm");
  const bass = warmthRange(speciesById("smallmouth-bass"));
  expect(warmthIn(2, bass)).toBe("very-cold");
  expect(warmthIn(20, bass)).toBe("good");
});

test("what is not known is no factor: without place, clarity or warmth the river alone is judged", () => {
  const bare = { ...outlook(), visibleDepth: null, temperature: null };
  const { factors } = first(reach("a", { outlook: bare, place: undefined }));
  expect(factors.map(({ what }) => what)).toEqual(["river"]);
  const [hour] = planHours(bare, { place: undefined, weather: null }, { from: T0, to: T0 + HOUR });
  expect(WATER_CONDITIONS.tide({ hour: hour!, species: TROUT, tide: "slack", veryHigh: false })).toContainEqual({
    what: "tide",
    is: "slack",
    factor: 0.7,
  });
});

/** The same air over the hours of the plan. */
const air = (change: Partial<WeatherHour>): Weather => ({
  issued: T0,
  hours: Array.from({ length: 48 }, (_, k) => ({ time: T0 + k * HOUR, ...NO_WEATHER, ...change })),
});

test("a fresh wind sends to the wooded water, thunder and white caps to none; without a word the air is no factor", () => {
  const windy = (id: string, change: Partial<PlanReach> = {}) =>
    reach(id, { weather: air({ wind: 9, windFrom: 270 }), bearing: 0, ...change });
  expect(first(windy("open"), windy("wooded", { trees: ["left"] })).reach).toBe("wooded");
  const barred = (change: Partial<WeatherHour>) => planOf([reach("a", { weather: air(change) })], ask());
  expect(barred({ thunder: true })).toMatchObject({ windows: [], removed: [{ reason: "thunder" }] });
  expect(barred({ wind: 12 })).toMatchObject({ windows: [], removed: [{ reason: "white-caps" }] });
  const told = first(reach("a")).factors.map(({ what }) => what);
  expect(told).not.toContain("wind");
  // Thunder of two hours takes those two hours alone.
  const storm = air({});
  storm.hours[5] = { ...storm.hours[5]!, thunder: true };
  storm.hours[6] = { ...storm.hours[6]!, thunder: true };
  const hours = planOf([reach("a", { weather: storm })], ask()).days[0]!.hours;
  expect(hours.filter(({ bar }) => bar === "thunder").map(({ at }) => (at - T0) / HOUR)).toEqual([5, 5.5, 6, 6.5]);
});

test("cloud over clear water brings fish up, takes the sun off cold water, and is nothing over coloured water", () => {
  const noon = (cloud: number | null, seen: number, temperature: number) =>
    planOf([reach("a", { weather: air({ cloud }), outlook: outlook({ seen, temperature }) })], ask())
      .days[0]!.hours.find(({ at }) => at === Date.UTC(2026, 4, 14, 12))!
      .factors.find(({ what }) => what === "light")!;
  expect(noon(1, 2, 12)).toMatchObject({ is: "dull", factor: 1.1 });
  expect(noon(0.5, 2, 12)).toMatchObject({ is: "bright" });
  expect(noon(null, 2, 12)).toMatchObject({ is: "bright" });
  expect(noon(1, 0.5, 12)).toMatchObject({ is: "day", factor: 1 });
  expect(noon(0, 2, 3)).toMatchObject({ is: "cold-sun" });
  expect(noon(1, 2, 3)).toMatchObject({ is: "cold-day" });
});

test("what would change it: in a fresh wind the wooded water; not tried where one blows or nobody says", () => {
  const light = air({ wind: 2, windFrom: 270 });
  const bare = reach("bare", { weather: light, bearing: 0, lies: [{ discharge: 6, visibleDepth: null, score: 1 }] });
  const wooded = reach("wooded", {
    weather: light,
    bearing: 0,
    trees: ["left"],
    lies: [{ discharge: 6, visibleDepth: null, score: 0.8 }],
  });
  const of = (reaches: PlanReach[]) => changesOf(reaches, ask(), planOf(reaches, ask()));
  expect(first(bare, wooded).reach).toBe("bare");
  expect(of([bare, wooded])).toMatchObject([{ path: "wind", wind: 8, then: { reach: "wooded" } }]);
  expect(
    of([
      { ...bare, weather: null },
      { ...wooded, weather: null },
    ]),
  ).toEqual([]);
  expect(first(bare)).toMatchObject({ weather: { wind: 2 } });
});

test("rain before a window is summed from when the forecast was made to the window's middle", () => {
  const window = first(reach("a", { weather: air({ rain: 1 }) }));
  expect(window.rain).toBe(Math.ceil(((window.from + window.to) / 2 - T0) / HOUR));
  expect(first(reach("a")).rain).toBeNull();
});

describe("what is expected over the paths of a forecast", () => {
  /** Twelve paths, step by step: all fall, but so many of them that rise on and on. */
  const forked = (leaping: number): Outlook => {
    const one = outlook({ factor: 0.97, width: 1 });
    const fall = one.flow!.points.map(({ median }) => median);
    const paths = Array.from({ length: 12 }, (_, n) =>
      Float64Array.from(fall, (q, h) => (n < leaping ? q * 2 ** (h + 1) : q)),
    );
    const points = one.flow!.points.map((point, h) => ({ ...point, high: leaping > 0 ? paths[0]![h]! : point.median }));
    return { ...one, flow: { ...one.flow!, points, paths } };
  };
  const worth = (of: Outlook) => first(reach("a", { outlook: of })).score;

  test("where all of them fall it is the same as that of the one line", () => {
    expect(worth(forked(0))).toBeCloseTo(worth({ ...forked(0), flow: { ...forked(0).flow!, paths: [] } }), 12);
  });

  test("the fewer rise, the more it is worth; a rise that few take costs no more than their share", () => {
    const [none, two, six] = [forked(0), forked(2), forked(6)].map(worth) as [number, number, number];
    expect(two).toBeLessThan(none);
    expect(six).toBeLessThan(two);
    // Two of twelve are one of six parts.
    expect(two).toBeGreaterThanOrEqual((5 / 6) * none - 1e-9);
    // By the line that is high at every hour three tenths would be gone.
    expect(worth({ ...forked(2), flow: { ...forked(2).flow!, paths: [] } })).toBeLessThan(two);
  });
});
