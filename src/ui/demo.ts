"use client";
import { readGaugeCsv } from "../core/formats/gauge-csv";
import { HOUR } from "../core/gauge/series";
import { lastInstant } from "../core/gauge/summary";
import { demoBook } from "../demo/book";
import { DEMO_STATION } from "../demo/river";
import { removeDemo, writeBook } from "../store/book";
import { database } from "../store/database";
import { gaugeOf, keepGauge } from "../store/river";
import { useSettings } from "./settings";
import { say } from "./toasts";

/** Puts the made-up river in the book: one transaction. */
export async function loadDemo(): Promise<void> {
  const book = demoBook(Date.now());
  await writeBook(database(), book);
  useSettings.getState().set({ demoRemoved: false, reach: book.reaches[0]!.id, flow: null, lie: 1 });
}

/** Takes it out again, with undo. */
export async function sendDemoAway(): Promise<void> {
  const gone = await removeDemo(database());
  useSettings.getState().set({ demoRemoved: true, reach: null, flow: null, lie: 1 });
  say("The made-up river is gone, with its sessions and catches.", {
    label: "Undo",
    run: () =>
      void writeBook(database(), gone).then(() =>
        useSettings.getState().set({ demoRemoved: false, reach: gone.reaches[0]?.id ?? null }),
      ),
  });
}

/** Brings the stand-in gauge up to the hour. Silent without a network: what is kept stays as it is. */
export async function refreshStandIn(): Promise<void> {
  const gauge = await gaugeOf(database(), DEMO_STATION.id);
  if (!gauge) return;
  const last = lastInstant(gauge);
  if (last === null || Date.now() - last < HOUR) return;
  const from = new Date(last + 1).toISOString();
  const to = new Date().toISOString();
  try {
    const answer = await fetch(`/api/stand-in/gauge?${new URLSearchParams({ from, to }).toString()}`);
    if (!answer.ok) return;
    await keepGauge(database(), readGaugeCsv(await answer.text()), {
      station: DEMO_STATION.id,
      name: DEMO_STATION.name,
      zone: DEMO_STATION.zone,
      latitude: DEMO_STATION.latitude,
      longitude: DEMO_STATION.longitude,
    });
  } catch {
    // No signal, or the answer was no gauge file: the record on the disk is still true.
  }
}
