"use client";
import { create } from "zustand";
import type { Sounded } from "../core/book/bank-records";
import { heard, type Live, NOTHING } from "../core/formats/nmea-live";
import { clockNow } from "./clock";

/** What the devices on board say, as it comes. */
interface Sounder {
  on: boolean;
  live: Live;
  /** When it was heard last, ms of this device; 0: never. */
  heardAt: number;
  /** It was asked for and is not there. */
  silent: boolean;
}
export const useSounder = create<Sounder>(() => ({ on: false, live: NOTHING, heardAt: 0, silent: false }));

/** What is older is not attached to anything, ms. */
const FRESH = 15_000;
let stop: AbortController | undefined;

/** Listens to the stand-in until it is told to stop; a stream that ends is asked for again. */
export function listen(waterTemperature: number | null): void {
  stop?.abort();
  const own = (stop = new AbortController());
  useSounder.setState({ on: true, live: NOTHING, heardAt: 0, silent: false });
  hear(waterTemperature, own.signal).catch(() => {
    if (!own.signal.aborted) useSounder.setState({ on: false, silent: true, live: NOTHING });
  });
}

export function stopListening(): void {
  stop?.abort();
  useSounder.setState({ on: false, live: NOTHING, heardAt: 0, silent: false });
}

async function hear(waterTemperature: number | null, signal: AbortSignal): Promise<void> {
  while (!signal.aborted) {
    const query = new URLSearchParams({
      at: new Date(clockNow()).toISOString(),
      ...(waterTemperature !== null && { temperature: String(waterTemperature) }),
    });
    const answer = await fetch(`/api/stand-in/sounder?${query.toString()}`, { signal });
    if (!answer.ok || !answer.body) throw new Error("no sounder");
    const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
    let rest = "";
    for (;;) {
      const { done, value } = await reader.read();
      if (done) break;
      const lines = (rest + value).split("\n");
      // A device that never ends its line is not waited for.
      rest = lines.pop()!.slice(-1000);
      if (signal.aborted) return;
      useSounder.setState(({ live }) => ({ live: lines.reduce(heard, live), heardAt: Date.now(), silent: false }));
    }
  }
}

/** A reading as a record keeps it; undefined where nothing is heard just now. */
export function soundedNow(): Sounded | undefined {
  const { on, live, heardAt } = useSounder.getState();
  const empty = live.depth === null && live.waterTemperature === null && live.latitude === null;
  return on && !empty && Date.now() - heardAt < FRESH ? { ...live } : undefined;
}
