import { HOUR, MINUTE, seriesFrom } from "../gauge/series";
import { tideTurns } from "../gauge/tide";
import { surroundingsOf, seriesOfRecord } from "./surroundings";
import { type Surroundings, fishedIn, NOWHERE, ratesIn } from "./classes";
import { RATE_KINDS, SI_SCALE } from "./rate-terms";
import type { Effort } from "./effort";
import { halfHourIntervals } from "./half-hours";
import { sampleCatch, sampleEffort, sampleRiver, sampleStretch } from "../../testing/book-samples";

const at = (hour: number, minute = 0) => Date.UTC(2026, 5, 1, hour, minute);
const over = (from: number, to: number, change: Partial<Effort> = {}): Effort =>
  sampleEffort("s", (to - from) / HOUR, null, 0, { start: from, end: to, ...change });
const hoursBy = (kind: (typeof RATE_KINDS)[number], efforts: Effort[], around: Surroundings = NOWHERE) =>
  Object.fromEntries(
    ratesIn(kind, efforts, SI_SCALE, around)
      .classes.filter((one) => one.hours > 0)
      .map((one) => [one.key, Number(one.hours.toFixed(6))]),
  );

test("pieces begin on half hours, keep every minute and every fish, each fish in its own", () => {
  const fish = [
    sampleCatch("early", "s", { at: new Date(at(7)).toISOString() }),
    sampleCatch("in", "s", { at: new Date(at(9, 45)).toISOString() }),
    sampleCatch("late", "s", { at: new Date(at(23)).toISOString() }),
  ];
  const pieces = halfHourIntervals([over(at(8, 50), at(10, 10), { hours: 2, catches: fish })]);
  expect(pieces.map((one) => [(one.start - at(8)) / MINUTE, (one.end - at(8)) / MINUTE])).toEqual([
    [50, 60],
    [60, 90],
    [90, 120],
    [120, 130],
  ]);
  // Two rods: hours are those of the effort, spread.
  expect(pieces.reduce((sum, one) => sum + one.hours, 0)).toBeCloseTo(2, 12);
  expect(pieces.map((one) => one.catches.map(({ id }) => id))).toEqual([["early"], [], ["in"], ["late"]]);
  expect(halfHourIntervals([over(at(8), at(8), { hours: 0 })])).toHaveLength(1);
});

test("by the hour a long day is in each of its hours, by the clock that was handed in", () => {
  expect(hoursBy("hour", [over(at(8), at(13))])).toEqual({ "6-9": 1, "9-12": 3, "12-15": 1 });
  const east: Surroundings = { ...NOWHERE, clockOf: (time) => NOWHERE.clockOf(time + 5.5 * HOUR, "reach") };
  expect(hoursBy("hour", [over(at(8), at(13))], east)).toEqual({ "12-15": 1.5, "15-18": 3, "18-21": 0.5 });
});

/**
 * 52 N, 0 E on 1 June: sunrise about 03:45 and sunset about 20:10 UTC, civil twilight some 45 minutes more (almanac,
 * from memory).
 */
const reach = (change: object = {}) =>
  new Map([["reach", { name: "Made", latitude: 52, longitude: 0, pressure: undefined, water: undefined, ...change }]]);

test("by light: an evening into the night is part day, part twilight, part dark", () => {
  const found = hoursBy("light", [over(at(18), at(23))], { ...NOWHERE, reaches: reach() });
  expect(found.day).toBeGreaterThanOrEqual(2);
  expect(found.day).toBeLessThanOrEqual(2.5);
  expect(found.twilight).toBeGreaterThanOrEqual(0.5);
  expect(found.night).toBeGreaterThan(1.5);
  expect(Object.values(found).reduce((a, b) => a + b)).toBeCloseTo(5, 6);
  expect(hoursBy("light", [over(at(18), at(23))])).toEqual({ unknown: 5 });
});

test("by the glass: 2 hPa in three hours is falling, and so much up is rising; half of one is neither", () => {
  const glass = (perHour: number) =>
    seriesFrom(
      "airPressure",
      Array.from({ length: 48 }, (_, k) => [at(0) + k * HOUR, 1000 + perHour * k]),
    );
  const by = (perHour: number) =>
    hoursBy("barometer", [over(at(12), at(14))], { ...NOWHERE, reaches: reach({ pressure: glass(perHour) }) });
  expect(by(-2 / 3)).toEqual({ falling: 2 });
  expect(by(2 / 3)).toEqual({ rising: 2 });
  expect(by(0.5 / 3)).toEqual({ steady: 2 });
  // One hectopascal in three hours counts as one.
  expect(by(-1.001 / 3)).toEqual({ falling: 2 });
  expect(by(-0.999 / 3)).toEqual({ steady: 2 });
  expect(by(1.001 / 3)).toEqual({ rising: 2 });
  expect(by(0.999 / 3)).toEqual({ steady: 2 });
  // Without a record, on a reach that is not known, or days after its end there is nothing to say.
  expect(hoursBy("barometer", [over(at(12), at(14))], { ...NOWHERE, reaches: reach() })).toEqual({ unknown: 2 });
  expect(hoursBy("barometer", [over(at(12), at(14))])).toEqual({ unknown: 2 });
  const old = { ...NOWHERE, reaches: reach({ pressure: glass(1) }) };
  expect(hoursBy("barometer", [over(at(0) + 96 * HOUR, at(1) + 96 * HOUR)], old)).toEqual({ unknown: 1 });
});

test("by the tide: six hours from low to high are flooding, but for half an hour at either end", () => {
  const constituents = [{ name: "M2", amplitude: 1.5, phase: 20 }];
  const [low, high] = (() => {
    const turns = tideTurns(constituents, at(0), at(0) + 48 * HOUR);
    const k = turns.findIndex((turn) => !turn.high);
    return [turns[k]!.time, turns[k + 1]!.time];
  })();
  const around = { ...NOWHERE, reaches: reach({ water: { constituents, fullPool: 10 } }) };
  const found = hoursBy("tide", [over(low, high)], around);
  expect(found.flooding! + found.slack!).toBeCloseTo((high - low) / HOUR, 6);
  expect(found.slack).toBeGreaterThan(0.4);
  expect(found.slack).toBeLessThan(1.6);
  // A reach a month before, and one without tides, take nothing from it.
  const elsewhere = { ...reach({ water: { constituents, fullPool: 10 } }).get("reach")! };
  const several = new Map([
    ["reach", elsewhere],
    ["then", elsewhere],
    ["inland", { ...elsewhere, water: undefined }],
  ]);
  const month = 30 * 24 * HOUR;
  const all = hoursBy(
    "tide",
    [
      over(low, high),
      over(low - month, high - month, { reach: "then" }),
      over(low, low + HOUR, { reach: "inland" }),
      over(low, low + HOUR, { reach: "unheard-of" }),
    ],
    { ...NOWHERE, reaches: several },
  );
  expect(all.unknown).toBe(2);
  expect(Object.values(all).reduce((a, b) => a + b)).toBeCloseTo((2 * (high - low)) / HOUR + 2, 5);
});

test("by what lies dry under full pool, wind, cloud, time of year and moon", () => {
  const river = sampleRiver({ stage: 7 });
  const around = { ...NOWHERE, reaches: reach({ water: { constituents: [], fullPool: 10 } }) };
  const effort = over(at(8), at(10), { river, sky: { wind: "fresh", cloud: null } });
  expect(hoursBy("pool", [effort], around)).toEqual({ "2-4": 2 });
  expect(hoursBy("wind", [effort], around)).toEqual({ fresh: 2 });
  expect(hoursBy("cloud", [effort], around)).toEqual({ unknown: 2 });
  expect(hoursBy("cloud", [{ ...effort, sky: { wind: null, cloud: "overcast" } }], around)).toEqual({ overcast: 2 });
  const blind = { ...effort, sky: undefined, river: null };
  for (const kind of ["wind", "cloud", "pool"] as const) expect(hoursBy(kind, [blind], around)).toEqual({ unknown: 2 });
  for (const water of [undefined, { constituents: [], fullPool: undefined }])
    expect(hoursBy("pool", [effort], { ...NOWHERE, reaches: reach({ water }) })).toEqual({ unknown: 2 });
  const level = { ...effort, river: sampleRiver({ stage: null }) };
  expect(hoursBy("pool", [level], around)).toEqual({ unknown: 2 });
  expect(hoursBy("season", [effort], around)).toEqual({ "may-jun": 2 });
  // Full moon on 31 May 2026, 08:45 UTC (almanac, from memory).
  expect(hoursBy("moon", [effort], around)).toEqual({ full: 2 });
});

test("by place, sort of place, rank, lure, colour, piece, depth and way; what was not kept in stretches is unknown", () => {
  const stretch = sampleStretch("x", {
    lie: "Deep of the pool",
    read: { kind: "deep", rank: 2, share: 0.8, depth: 1.4, speed: 0.3 },
    lure: "Worm",
    colour: "brown",
    piece: "half",
    depth: 1.2,
    method: "float",
    rig: { retrieve: "lift-and-drop", grams: 5.3, leader: 0.4, size: "5.3 g", castAngle: 20 },
  });
  const efforts = [
    over(at(8), at(10), { stretch }),
    over(at(10), at(11), { stretch: { ...stretch, lure: "worm " } }),
    over(at(11), at(12)),
  ];
  expect(hoursBy("lie", efforts)).toEqual({ "Deep of the pool": 3, unknown: 1 });
  expect(hoursBy("kind", efforts)).toEqual({ deep: 3, unknown: 1 });
  expect(hoursBy("rank", efforts)).toEqual({ "2-4": 3, unknown: 1 });
  expect(hoursBy("lure", efforts)).toEqual({ Worm: 3, unknown: 1 });
  expect(hoursBy("colour", efforts)).toEqual({ brown: 3, unknown: 1 });
  expect(hoursBy("piece", efforts)).toEqual({ half: 3, unknown: 1 });
  expect(hoursBy("depth", efforts)).toEqual({ "1-1.5": 3, unknown: 1 });
  expect(hoursBy("method", efforts)).toEqual({ float: 3, unknown: 1 });
  expect(hoursBy("retrieve", efforts)).toEqual({ "lift-and-drop": 3, unknown: 1 });
  expect(hoursBy("weight", efforts)).toEqual({ "4-8": 3, unknown: 1 });
  expect(hoursBy("cast-angle", efforts)).toEqual({ "0-30": 3, unknown: 1 });
  // A place that was not read has no sort and no rank; of sorts only those that were fished are told.
  const unread = [over(at(8), at(10), { stretch: { ...stretch, read: undefined } })];
  expect(hoursBy("kind", unread)).toEqual({ unknown: 2 });
  expect(hoursBy("rank", unread)).toEqual({ unknown: 2 });
  expect(ratesIn("kind", efforts).classes.map(({ key }) => key)).toEqual(["deep", "unknown"]);
  expect(ratesIn("method", [...efforts]).classes.map(({ key, low, high }) => [key, low, high])).toEqual([
    ["float", null, null],
    ["unknown", null, null],
  ]);
  expect(ratesIn("depth", efforts).classes.find(({ hours }) => hours === 3)).toMatchObject({ low: 1, high: 1.5 });
  // Two reaches may have places of one name.
  const elsewhere = over(at(13), at(15), { stretch, reach: "other" });
  expect(hoursBy("lie", [...efforts, elsewhere], { ...NOWHERE, reaches: reach() })).toEqual({
    "Made: Deep of the pool": 3,
    "other: Deep of the pool": 2,
    unknown: 1,
  });
  expect(fishedIn("lure", "Worm", efforts, SI_SCALE, NOWHERE)).toHaveLength(2);
  expect(fishedIn("lure", "no such", efforts, SI_SCALE, NOWHERE)).toEqual([]);
});

test("of names the twelve with the most hours are told, then by the letter; as they were written first", () => {
  const lures = Array.from({ length: 14 }, (_, k) => [
    `Lure ${String.fromCharCode(78 - k)}`,
    k < 6 ? 2 : k < 12 ? 1 : 0.5,
  ]);
  const efforts = lures.flatMap(([lure, hours], k) => [
    sampleEffort("s", Number(hours) / 2, null, 0, { stretch: sampleStretch(`${k}`, { lure: ` ${lure}  ` }) }),
    sampleEffort("s", Number(hours) / 2, null, 0, {
      stretch: sampleStretch(`${k}-`, { lure: `${lure}`.toLowerCase() }),
    }),
  ]);
  const told = ratesIn("lure", efforts).classes;
  expect(told.map(({ key, hours }) => [key, hours])).toEqual([
    ...["I", "J", "K", "L", "M", "N"].map((letter) => [`Lure ${letter}`, 2]),
    ...["C", "D", "E", "F", "G", "H"].map((letter) => [`Lure ${letter}`, 1]),
    ["unknown", 1],
  ]);
  // No word is no name.
  const silent = [
    sampleEffort("s", 1, null, 0, { stretch: sampleStretch("x", { lure: " " }) }),
    sampleEffort("s", 1, null, 0),
  ];
  expect(ratesIn("lure", silent).classes.map(({ key }) => key)).toEqual(["unknown"]);
});

test("of a book: a reach lies where it says, or where its gauge does; the glass is its gauge's; gaps stay gaps", () => {
  const base = { updatedAt: "2026-05-01T00:00:00Z" } as const;
  const pressure = seriesOfRecord({ parameter: "airPressure", times: [1, 2], values: [1000, null] });
  expect([...pressure.values]).toEqual([1000, NaN]);
  const known = (change: object) =>
    surroundingsOf(
      {
        reaches: [{ ...base, id: "r", station: "g", reach: { id: "r", name: "Made", latitude: 40, longitude: 2 } }],
        stations: [
          { ...base, id: "g", latitude: 1, longitude: 1, deleted: true },
          { ...base, id: "f", latitude: 3, longitude: 3 },
        ],
        waters: [
          { ...base, id: "g", fullPool: 9, deleted: true },
          { ...base, id: "f", fullPool: 7 },
        ],
        ...change,
      } as never,
      new Map([["g", pressure]]),
      NOWHERE.clockOf,
    ).reaches.get("r");
  expect(known({})).toEqual({ name: "Made", latitude: 40, longitude: 2, pressure, water: undefined });
  const water = { ...base, id: "g", fullPool: 9 };
  expect(known({ waters: [water] })).toMatchObject({ water });
  const unplaced = { ...base, id: "r", station: "g", reach: { id: "r", name: "Made" } };
  expect(known({ reaches: [unplaced] })).toMatchObject({ latitude: null, longitude: null });
  expect(known({ reaches: [{ ...unplaced, station: null }] })).toMatchObject({ pressure: undefined });
  const { reaches } = surroundingsOf(
    {
      reaches: [
        {
          ...base,
          schema: "low-heron/reach-record@1",
          id: "r",
          station: "g",
          reach: { id: "r", name: "Made" } as never,
        },
      ],
      stations: [
        {
          ...base,
          schema: "low-heron/station@1",
          id: "g",
          name: "g",
          code: "",
          source: "file",
          zone: "UTC",
          latitude: 50,
          longitude: 1,
        },
      ],
      waters: [],
    },
    new Map([["g", pressure]]),
    NOWHERE.clockOf,
  );
  expect(reaches.get("r")).toEqual({ name: "Made", latitude: 50, longitude: 1, pressure, water: undefined });
});
