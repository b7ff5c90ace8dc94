import "fake-indexeddb/auto";
import Dexie from "dexie";
import { afterTry } from "../core/drills/schedule";
import { preferencesIn } from "../state/adopt-settings";
import { planMerge, readBook, writeBook } from "./book";
import { Database } from "./database";
import { adoptPreferences, readPreferences, setDrill, setLiking, setTravelTime } from "./preferences";
import { dropForecast, forecastFor, keepForecast } from "./weather";

let count = 0;
const opened = () => new Database(`preferences-${count++}`);

test("drills, travel times and likings are records: kept, changed from two tabs, removed, in the backup", async () => {
  const db = opened();
  const other = new Database(db.name);
  await setTravelTime(db, "r1", 25);
  await Promise.all([
    setDrill(db, "water-1", (card) => afterTry(card, 80, 0)),
    setDrill(other, "water-1", (card) => afterTry(card, 40, 0)),
    setLiking(db, "chub", { on: true }),
    setLiking(other, "chub", { from: "2026-05-01T00:00:00Z" }),
  ]);
  const kept = await readPreferences(db);
  expect(kept.travel).toEqual({ r1: 25 });
  expect(kept.drills["water-1"]).toMatchObject({ tries: 2, best: 80 });
  expect(kept.likings).toEqual({ chub: { on: true, from: "2026-05-01T00:00:00Z" } });
  const elsewhere = opened();
  await writeBook(elsewhere, await readBook(db));
  expect(await readPreferences(elsewhere)).toEqual(kept);
  await setTravelTime(db, "r1", null);
  expect((await readPreferences(db)).travel).toEqual({});
  // Removed here later, it does not come back from the older backup.
  expect((await planMerge(db, await readBook(elsewhere))).parts.preferences!.added).toBe(0);
});

test("a forecast is in the backup, and one that was dropped stays dropped", async () => {
  const db = opened();
  const hour = { time: 0, wind: 4, gust: null, windFrom: 250, cloud: 0.5, air: 9, rain: 0, thunder: false };
  await keepForecast(db, { id: "g", issued: 5, source: "file", name: "f.csv", hours: [hour] });
  expect((await readBook(db)).weather).toMatchObject([{ id: "g", hours: [hour] }]);
  const before = await dropForecast(db, "g");
  expect(await forecastFor(db, "g")).toBeUndefined();
  await keepForecast(db, before!);
  expect(await forecastFor(db, "g")).toMatchObject({ name: "f.csv", hours: [hour] });
});

test("settings of an earlier version become records once; what the log knows already stays", async () => {
  const old = {
    travel: { r1: 30, bad: "x", far: -3 },
    drills: { hands: { box: 1, due: 5, tries: 2, best: 70 }, broken: { box: 1 } },
    liked: ["chub", 7],
    learnFrom: { perch: "2026-01-01T00:00:00Z" },
  };
  const db = opened();
  await setTravelTime(db, "r1", 10);
  await adoptPreferences(db, preferencesIn(old));
  expect(await readPreferences(db)).toEqual({
    travel: { r1: 10 },
    drills: { hands: old.drills.hands },
    likings: { chub: { on: true, from: null }, perch: { on: false, from: "2026-01-01T00:00:00Z" } },
  });
  for (const none of [null, 7, "x", { travel: [], drills: null, liked: {}, learnFrom: 3 }])
    expect(preferencesIn(none)).toEqual({ drills: {}, travel: {}, likings: {} });
});

test("a forecast that schema 8 kept is a record of schema 9", async () => {
  const name = `preferences-${count++}`;
  const old = new Dexie(name);
  old.version(8).stores({ weather: "id", series: "id, station, [station+updatedAt]" });
  await old.table("weather").add({ id: "g", issued: 1_780_000_000_000, source: "file", name: "f.csv", hours: [] });
  old.close();
  const db = new Database(name);
  expect(await forecastFor(db, "g")).toEqual({
    schema: "low-heron/weather@1",
    id: "g",
    updatedAt: new Date(1_780_000_000_000).toISOString(),
    issued: 1_780_000_000_000,
    source: "file",
    name: "f.csv",
    hours: [],
  });
  expect((await readBook(db)).weather).toHaveLength(1);
});
