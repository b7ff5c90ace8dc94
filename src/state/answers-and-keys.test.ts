import "fake-indexeddb/auto";
import { PART_NAMES, type PartName } from "../core/book/log-contents";
import { SI_SCALE } from "../core/book/rate-terms";
import type { Preference, WeatherRecord } from "../core/book/preferences";
import type { FieldReading, Profile, ReachRecord } from "../core/book/records";
import { speciesById } from "../core/fish/species";
import { DAY, HOUR } from "../core/gauge/series";
import { demoBook } from "../demo/book";
import { DEMO_STATION } from "../demo/station";
import { recordSince, sampleObservation, sampleRule } from "../testing/book-samples";
import { writeBook } from "../store/book";
import { changeDatabase, Database } from "../store/database";
import { learnApi } from "../store/learn-api";
import { gaugeAtReach } from "../store/river";
import { waterApi } from "../store/water-api";
import { logState } from "./log-state";

/** Answers that the screens keep under a key, and the keys: whatever changes one must change the other. */

const NOW = Date.UTC(2026, 9, 1, 12);
const REACH = "demo-kiln-glide";
const AT = new Date(NOW - DAY).toISOString();
const scope = { reach: null, species: null, scale: SI_SCALE, now: NOW };
let db: Database;

const reading = (kind: "clarity" | "discharge", value: number): FieldReading => ({
  schema: "low-heron/reading@1",
  id: kind,
  updatedAt: AT,
  at: AT,
  reach: kind === "discharge" ? REACH : null,
  station: kind === "clarity" ? DEMO_STATION.id : null,
  kind,
  value,
  error: null,
  how: "",
});
/** Of the kinds that the demo has none of. */
const profile: Profile = {
  schema: "low-heron/profile@1",
  id: "mine",
  updatedAt: AT,
  base: "chub",
  species: { ...speciesById("chub"), id: "mine", name: "Big chub", source: "own" },
};
const weather: WeatherRecord = {
  schema: "low-heron/weather@1",
  id: DEMO_STATION.id,
  updatedAt: AT,
  issued: NOW - HOUR,
  source: "file",
  name: "made.csv",
  hours: [{ time: NOW, wind: 3, gust: 9, windFrom: 200, cloud: 0.5, air: 12, rain: 0, thunder: false }],
};
const travel: Preference = { schema: "low-heron/travel-time@1", id: `travel:${REACH}`, updatedAt: AT, minutes: 20 };

beforeAll(async () => {
  db = new Database("answers-and-keys");
  changeDatabase(db);
  const book = demoBook(NOW);
  // Ninety days of record: the forecast of four years takes its time.
  const series = book.series.map((one) => recordSince(NOW - 90 * DAY, one));
  const reaches = book.reaches.map((one): ReachRecord => ({ ...one, transfer: { areaRatio: 0.5, lag: 1 } }));
  await writeBook(db, {
    ...book,
    series,
    reaches,
    waters: book.waters.map((one) => ({ ...one, damNote: "horn, then water" })),
    readings: [reading("clarity", 0.4), reading("discharge", 2)],
    observations: [sampleObservation("o")],
    rules: [sampleRule("rule")],
    profiles: [profile],
    weather: [weather],
    preferences: [travel],
  });
});
afterAll(() => db.delete());

/** Every answer from the log and from a gauge's record, each with its key. */
const ANSWERS: Record<string, { key: () => Promise<unknown>; answer: () => Promise<unknown> }> = {
  planned: { key: () => logState(db), answer: () => learnApi.planned(NOW) },
  logs: { key: () => logState(db), answer: () => learnApi.logs("brown-trout", NOW) },
  rates: { key: () => logState(db), answer: () => learnApi.rates("flow", scope) },
  preference: { key: () => logState(db), answer: () => learnApi.preference("brown-trout", DEMO_STATION.id, null) },
  outlook: {
    key: async () => (await gaugeAtReach(db, await db.reaches.get(REACH)))?.version,
    answer: () => waterApi.outlook({ reach: REACH }, NOW),
  },
};

const taken = async (one: "key" | "answer"): Promise<Record<string, string>> =>
  Object.fromEntries(
    await Promise.all(
      Object.entries(ANSWERS).map(async ([name, of]) => [name, JSON.stringify(await of[one]()) ?? "none"]),
    ),
  );

/** What a change of each kind of record moves at the least. */
const MOVES: Partial<Record<PartName, string[]>> = {
  stations: ["planned"],
  series: ["planned", "outlook"],
  reaches: ["planned", "outlook"],
  waters: ["planned"],
  readings: ["planned", "outlook"],
  sessions: ["logs", "rates"],
  catches: ["logs", "rates"],
  stretches: ["logs"],
  weather: ["planned"],
};

/** Changes of one record, besides its being removed. */
const CHANGES: Partial<Record<PartName, Record<string, unknown>[]>> = {
  reaches: [{ transfer: { areaRatio: 0.5, lag: 30 } }],
  waters: [{ damNote: "none any more" }],
  readings: [{ value: 3 }],
};

test.each(PART_NAMES.filter((part) => part !== "photos"))(
  "%s: an answer that a change of a record moves is asked anew",
  async (part) => {
    const table = db.table<Record<string, unknown> & { id: string }>(part);
    const records = (await table.toArray()).slice(0, 3);
    const before = { key: await taken("key"), answer: await taken("answer") };
    const moved = new Set<string>();
    for (const record of records)
      for (const change of [{ deleted: true }, ...(CHANGES[part] ?? [])]) {
        await table.put({ ...record, ...change, updatedAt: new Date(NOW + 1000).toISOString() });
        const after = { key: await taken("key"), answer: await taken("answer") };
        for (const name of Object.keys(ANSWERS)) {
          if (after.answer[name] === before.answer[name]) continue;
          moved.add(name);
          expect([name, after.key[name] === before.key[name]]).toEqual([name, false]);
        }
        expect(after.key.logs).not.toBe(before.key.logs);
        await table.put(record);
      }
    expect(await taken("key")).toEqual(before.key);
    expect([...moved]).toEqual(expect.arrayContaining(MOVES[part] ?? []));
  },
);
