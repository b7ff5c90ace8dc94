"use client";
import { fetched } from "../core/quantity/fetched";
import { HOUR } from "../core/gauge/series";
import { lastInstant } from "../core/gauge/summary";
import { DEMO_HOUR } from "../demo/hour";
import { DEMO_STATION } from "../demo/station";
import { removeDemo, restoreBook } from "../store/book";
import { database } from "../store/database";
import { keepGauge } from "../store/gauges";
import { gaugeOf } from "../store/river";
import { dropForecast, forecastFor, keepForecast } from "../store/weather";
import { act } from "./act";
import { clockNow } from "./clock";
import { say } from "./notices";
import { useSettings } from "./settings";

// The demo river and readers of files come when they are asked for.

/** Puts the demo river in the book, one transaction, and sets the clock to its hour. */
export async function loadDemo(): Promise<void> {
  const { demoBook } = await fetched(import("../demo/book"));
  const book = demoBook(DEMO_HOUR);
  // Newer than any tombstone that an earlier removal left.
  await restoreBook(database(), book);
  const reaches = book.reaches.map((one) => one.id);
  useSettings.getState().set({
    demo: { loadedAt: Date.now(), reaches },
    demoRemoved: false,
    reach: reaches[0]!,
    flow: null,
    lie: null,
  });
  act(refreshStandIn);
}

/** A demo river that came in by an archive has its own hour too. */
export async function recogniseDemo(): Promise<void> {
  const { demo, set } = useSettings.getState();
  const reaches = (await database().reaches.toArray()).filter((one) => one.demo && !one.deleted).map((one) => one.id);
  if (demo === null && reaches.length > 0) set({ demo: { loadedAt: Date.now(), reaches }, demoRemoved: false });
}

/** Takes it out again, with undo; tombstones stay. */
export async function sendDemoAway(): Promise<void> {
  const before = useSettings.getState().demo;
  const gone = await removeDemo(database());
  const forecast = await dropForecast(database(), DEMO_STATION.id);
  const { set } = useSettings.getState();
  set({ demo: null, demoRemoved: true, reach: null, flow: null, lie: null });
  say("Demo river removed, with its sessions and catches.", {
    label: "Undo",
    run: () =>
      act(async () => {
        await restoreBook(database(), gone);
        if (forecast) await keepForecast(database(), forecast);
        set({ demo: before, demoRemoved: false, reach: gone.reaches[0]?.id ?? null });
      }),
  });
}

/** Brings the stand-ins of the demo river up to the hour. Without a network what is kept stays as it is. */
export async function refreshStandIn(): Promise<void> {
  const now = clockNow();
  await refreshGauge(now);
  await refreshWeather(now);
}

/** What a stand-in answers; undefined with no signal, or when it refuses: what is on the disk is still true. */
async function askStandIn(path: string, query: Record<string, string>): Promise<string | undefined> {
  try {
    const answer = await fetch(`/api/stand-in/${path}?${new URLSearchParams(query).toString()}`);
    return answer.ok ? await answer.text() : undefined;
  } catch {
    return undefined;
  }
}

async function refreshGauge(now: number): Promise<void> {
  const gauge = await gaugeOf(database(), DEMO_STATION.id);
  const last = gauge && lastInstant(gauge);
  if (!gauge || last == null || now - last < HOUR) return;
  const text = await askStandIn("gauge", { from: new Date(last + 1).toISOString(), to: new Date(now).toISOString() });
  if (text === undefined) return;
  const { readGaugeCsv } = await fetched(import("../core/formats/gauge-csv"));
  await keepGauge(database(), readGaugeCsv(text), {
    station: DEMO_STATION.id,
    name: DEMO_STATION.name,
    zone: DEMO_STATION.zone,
    latitude: DEMO_STATION.latitude,
    longitude: DEMO_STATION.longitude,
  });
}

async function refreshWeather(now: number): Promise<void> {
  const kept = await forecastFor(database(), DEMO_STATION.id);
  // The demo river's clock goes back when it is loaded anew; a forecast of one's own stays.
  if (kept && (kept.source === "file" || Math.abs(now - kept.issued) < 2 * HOUR)) return;
  const text = await askStandIn("weather", { at: new Date(now).toISOString() });
  if (text === undefined) return;
  const { readWeatherCsv } = await fetched(import("../core/formats/weather-csv"));
  const { weather } = readWeatherCsv(text, { issued: Math.floor(now / HOUR) * HOUR });
  await keepForecast(database(), { ...weather, id: DEMO_STATION.id, source: "stand-in", name: "" });
}
