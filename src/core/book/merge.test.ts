import { type Book, emptyBook } from "./log-contents";
import { seriesRecordSchema, type SeriesRecord } from "./records";
import { MOST_STAMPS } from "./versions";
import { mergeBooks, mergeRecords, renewed } from "./merge";
import { compareVersions, stampAfter } from "./versions";
import { sampleCatch, sampleSeries, sampleSession } from "../../testing/book-samples";
import { datedAt, joinReadings, joinSeries, readingsOf, unsoundReadings } from "./series-join";

const HOUR = 3_600_000;
const T0 = Date.UTC(2026, 3, 1);
const iso = (time: number) => new Date(time).toISOString();

/** Numbers from 0 to 1, the same for the same seed (mulberry32, common practice, no source). */
const stream = (seed: number) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

const seriesOf = sampleSeries(T0);
const hoursOf = (series: SeriesRecord) => series.times.map((time) => (time - T0) / HOUR);

describe("stamps", () => {
  test("now, or a millisecond after what is changed where the clock has jumped back", () => {
    expect(stampAfter(T0, undefined)).toBe(iso(T0));
    expect(stampAfter(T0, iso(T0 - 5))).toBe(iso(T0));
    expect(stampAfter(T0, iso(T0))).toBe(iso(T0 + 1));
    expect(stampAfter(T0, iso(T0 + HOUR))).toBe(iso(T0 + HOUR + 1));
    expect(stampAfter(T0, "2026-04-01T02:00:00+02:00")).toBe(iso(T0 + 1));
  });
});

describe("states of one record", () => {
  const state = (updatedAt: string, notes: string, deleted?: boolean) => ({
    id: "a",
    updatedAt,
    notes,
    ...(deleted ? { deleted } : {}),
  });

  test("the later stands; at one instant the removal, else the same one on both sides", () => {
    expect(compareVersions(state(iso(1), "x"), state(iso(2), "a"))).toBeLessThan(0);
    expect(compareVersions(state(iso(1), "x", true), state(iso(1), "y"))).toBeGreaterThan(0);
    expect(compareVersions(state(iso(1), "x"), state(iso(1), "y"))).toBe(-1);
    expect(compareVersions(state(iso(1), "y"), state(iso(1), "x"))).toBe(1);
    expect(compareVersions(state(iso(1), "x"), { notes: "x", updatedAt: iso(1), id: "a" } as never)).toBe(0);
    // The same instant, written in another zone.
    expect(compareVersions(state("2026-04-01T00:00:00Z", "x"), state("2026-04-01T02:00:01+02:00", "x"))).toBeLessThan(
      0,
    );
  });

  test("brought back it is alive and later", () => {
    expect(renewed({ id: "a", updatedAt: iso(1), deleted: true, notes: "x" }, iso(9))).toEqual({
      id: "a",
      updatedAt: iso(9),
      notes: "x",
    });
  });
});

describe("series", () => {
  test("April shared, May on one device, June on the other: all three months are there, whoever takes in whom", () => {
    const month = (from: number, stamp: number) =>
      seriesOf(
        Array.from({ length: 720 }, (_, k) => [from * 720 + k, k] as const),
        iso(T0 + stamp),
      );
    const [april, may, june] = [month(0, 0), month(1, 1), month(2, 2)];
    const [one, other] = [joinSeries(april, may), joinSeries(june, april)];
    const joined = joinSeries(one, other);
    expect(joined.times).toHaveLength(3 * 720);
    expect(joinSeries(other, one)).toEqual(joined);
    expect(joinSeries(joined, one)).toEqual(joined);
    expect(joined.updatedAt).toBe(iso(T0 + 2));
  });

  test("of two values at one instant the later to come stands; at one stamp a value before a gap, the greater before the less", () => {
    const old = seriesOf(
      [
        [1, 5],
        [2, 6],
        [3, null],
      ],
      iso(T0),
    );
    const corrected = seriesOf(
      [
        [2, 7],
        [3, null],
      ],
      iso(T0 + 1),
    );
    const joined = joinSeries(old, corrected);
    expect([hoursOf(joined), joined.values]).toEqual([
      [1, 2, 3],
      [5, 7, null],
    ]);
    expect(joined.stamps).toEqual([iso(T0), iso(T0 + 1)]);
    expect(joined.marks).toEqual([0, 1, 1]);
    const tie = joinSeries(
      seriesOf(
        [
          [1, null],
          [2, 3],
        ],
        iso(T0),
      ),
      seriesOf(
        [
          [1, 4],
          [2, 2],
        ],
        iso(T0),
      ),
    );
    expect(tie.values).toEqual([4, 3]);
  });

  test("what was cleared out comes back only with what has come since", () => {
    const before = seriesOf(
      [
        [1, 5],
        [2, 6],
      ],
      iso(T0),
    );
    const gone = seriesOf([], iso(T0 + 10), { deleted: true, cleared: iso(T0 + 10) });
    const wiped = joinSeries(before, gone);
    expect(wiped).toMatchObject({ deleted: true, times: [], stamps: [], cleared: iso(T0 + 10) });
    const anew = joinSeries(wiped, seriesOf([[2, 8]], iso(T0 + 20)));
    expect([anew.deleted, hoursOf(anew), anew.values]).toEqual([undefined, [2], [8]]);
    // The other device's old copy does not bring the first hours back.
    expect(joinSeries(anew, before)).toEqual(anew);
  });

  test("more instants than are told apart: readings stay, the newest instants too", () => {
    let all = readingsOf(seriesOf([], iso(T0)));
    for (let k = 0; k < MOST_STAMPS + 5; k++)
      all = joinReadings(all, datedAt(iso(T0 + k), Float64Array.of(T0 + k * HOUR), Float64Array.of(k)));
    expect(all.times).toHaveLength(MOST_STAMPS + 5);
    expect(all.stamps).toHaveLength(MOST_STAMPS);
    expect(all.stamps.at(-1)).toBe(iso(T0 + MOST_STAMPS + 4));
    expect(unsoundReadings(all)).toBeNull();
  });

  test("a series of before readings knew when they came is read as come in when it was written", () => {
    const {
      stamps: _,
      marks: __,
      ...old
    } = seriesOf(
      [
        [1, 5],
        [2, null],
      ],
      "2026-04-01T02:00:00+02:00",
    );
    const read = seriesRecordSchema.parse({ ...old, schema: "low-heron/series@1" });
    expect(read).toMatchObject({ schema: "low-heron/series@2", stamps: [iso(T0)], marks: [0, 0] });
    const gone = seriesRecordSchema.parse({
      ...old,
      schema: "low-heron/series@1",
      times: [],
      values: [],
      deleted: true,
    });
    expect(gone).toMatchObject({ cleared: iso(T0), stamps: [] });
  });

  test("readings that do not fit together are told by what is wrong", () => {
    const ok = {
      times: Float64Array.of(1, 2),
      values: Float64Array.of(1, NaN),
      marks: Uint16Array.of(0, 0),
      stamps: [iso(1)],
    };
    expect(unsoundReadings(ok)).toBeNull();
    expect(unsoundReadings({ ...ok, values: Float64Array.of(1) })?.field).toBe("values");
    expect(unsoundReadings({ ...ok, values: Float64Array.of(1, Infinity) })?.field).toBe("values");
    expect(unsoundReadings({ ...ok, marks: Uint16Array.of(0) })?.field).toBe("marks");
    expect(unsoundReadings({ ...ok, marks: Uint16Array.of(0, 1) })?.rule).toBe("no-such-stamp");
    expect(unsoundReadings({ ...ok, times: Float64Array.of(2, 2) })?.rule).toBe("must-ascend");
    expect(unsoundReadings({ ...ok, times: Float64Array.of(1, NaN) })?.field).toBe("times");
  });
});

describe("books that have gone apart", () => {
  const session = (id: string, updatedAt: string) => sampleSession(id, { updatedAt, reach: "r" });
  const fish = (id: string, updatedAt: string) => sampleCatch(id, "s0", { updatedAt });

  /** A device's book after so many made-up edits, its clock wrong by `skew` and jumping now and then. */
  function edited(book: Book, next: () => number, device: string, edits: number, skew: number): Book {
    const sessions = new Map(book.sessions.map((one) => [one.id, one]));
    const catches = new Map(book.catches.map((one) => [one.id, one]));
    let series = book.series[0];
    let clock = T0 + HOUR + skew;
    for (let k = 0; k < edits; k++) {
      // The same few instants again and again: ties are common.
      clock += next() < 0.15 ? -20 * HOUR : Math.floor(next() * 3) * 1000;
      const pick = Math.floor(next() * 6);
      const anyFish = [...catches.values()][Math.floor(next() * catches.size)]!;
      const anySession = [...sessions.values()][Math.floor(next() * sessions.size)]!;
      if (pick === 0)
        sessions.set(anySession.id, {
          ...anySession,
          notes: `${device}${k}`,
          updatedAt: stampAfter(clock, anySession.updatedAt),
        });
      if (pick === 1)
        catches.set(anyFish.id, { ...anyFish, deleted: true, updatedAt: stampAfter(clock, anyFish.updatedAt) });
      if (pick === 2) catches.set(anyFish.id, renewed(anyFish, stampAfter(clock, anyFish.updatedAt)));
      if (pick === 3) catches.set(`${device}${k}`, fish(`${device}${k}`, iso(clock)));
      const at = stampAfter(clock, series?.updatedAt);
      if (pick === 4) {
        const from = Math.floor(next() * 20);
        const given = seriesOf(
          Array.from({ length: 5 }, (_, i) => [from + i, next() < 0.2 ? null : Math.floor(next() * 4)] as const),
          at,
        );
        series = series ? joinSeries(series, given) : given;
      }
      if (pick === 5 && next() < 0.3 && series)
        series = joinSeries(series, seriesOf([], at, { deleted: true, cleared: at }));
    }
    return {
      ...emptyBook(),
      sessions: [...sessions.values()],
      catches: [...catches.values()],
      series: series ? [series] : [],
    };
  }

  test("merges commute, may be done in any order and again, and lose no fish: 400 made-up threesomes", () => {
    const shared: Book = {
      ...emptyBook(),
      sessions: ["s0", "s1"].map((id) => session(id, iso(T0))),
      catches: ["c0", "c1", "c2"].map((id) => fish(id, iso(T0))),
      series: [
        seriesOf(
          [
            [0, 1],
            [1, 2],
            [2, 3],
          ],
          iso(T0),
        ),
      ],
    };
    for (let seed = 1; seed <= 400; seed++) {
      const next = stream(seed);
      const [a, b, c] = ["a", "b", "c"].map((device) =>
        edited(shared, next, device, Math.floor(next() * 12), Math.floor(next() * 3 - 1) * 1000),
      ) as [Book, Book, Book];
      const all = mergeBooks(mergeBooks(a, b), c);
      expect(mergeBooks(c, mergeBooks(b, a))).toEqual(all);
      expect(mergeBooks(mergeBooks(a, c), b)).toEqual(all);
      expect(mergeBooks(all, b)).toEqual(all);
      expect(mergeBooks(all, all)).toEqual(all);
      const ids = new Set([...a.catches, ...b.catches, ...c.catches].map((one) => one.id));
      expect(all.catches).toHaveLength(ids.size);
      // Of each record the latest edit that any device has made.
      for (const one of all.sessions)
        expect(one.updatedAt).toBe(
          [a, b, c]
            .map((book) => book.sessions.find(({ id }) => id === one.id)!.updatedAt)
            .sort()
            .at(-1),
        );
    }
  });

  test("a series is merged as a series, other parts by their state", () => {
    const [x, y] = [seriesOf([[1, 1]], iso(T0)), seriesOf([[2, 2]], iso(T0 + 1))];
    expect(mergeRecords("series", x, y).times).toHaveLength(2);
    expect(mergeRecords("sessions", session("s", iso(1)), session("s", iso(2))).updatedAt).toBe(iso(2));
  });
});
