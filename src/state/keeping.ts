"use client";
import type { Table } from "dexie";
import { useLiveAnswer } from "./live-answer";
import { useEffect, useState } from "react";
import type { Versioned } from "../core/book/versions";
import { DAY } from "../core/gauge/series";
import { database } from "../store/database";
import { act } from "./act";
import { say } from "./notices";
import { saveBook } from "./save-book";
import { useSettings } from "./settings";

/** How safely the book lies in this browser. */
export interface Keeping {
  /** The browser has promised not to clear it; undefined: it does not say. */
  promised: boolean | undefined;
  /** Bytes left, where the browser tells. */
  left: number | undefined;
}

/** Under that a day's photos may not fit any more, bytes. Own choice. */
export const LITTLE_SPACE = 50e6;

/** Asks for persistence, and how much room is left. */
export function useKeeping(asked: boolean): Keeping | undefined {
  const [keeping, setKeeping] = useState<Keeping | undefined>();
  useEffect(() => {
    if (!asked) return;
    act(async () => {
      const promised = await navigator.storage?.persist?.();
      const estimate = await navigator.storage?.estimate?.();
      const left =
        estimate?.quota === undefined || estimate.usage === undefined ? undefined : estimate.quota - estimate.usage;
      setKeeping({ promised, left });
    });
  }, [asked]);
  return keeping;
}

/** Parts that a hand fills: gauge records can be read again. */
const tables = (): Table<Versioned & { demo?: boolean }, string>[] => {
  const db = database();
  const names = [
    "sessions",
    "catches",
    "stretches",
    "observations",
    "rules",
    "photos",
    "reaches",
    "tackle",
    "profiles",
  ];
  return names.map((name) => db.table(name));
};

/** Own records that were changed after an instant, ms. */
async function changedSince(time: number): Promise<number> {
  let count = 0;
  for (const table of tables())
    count += await table.filter((one) => one.demo !== true && Date.parse(one.updatedAt) > time).count();
  return count;
}

/** Own records that no saved file holds, while that is asked. */
export function useUnsavedCount(asked: boolean): number | undefined {
  const savedAt = useSettings((settings) => settings.savedAt);
  return useLiveAnswer(() => (asked ? changedSince(savedAt ?? 0) : undefined), [asked, savedAt]);
}

/** A reminder comes after so many changes, or after so long with any, ms; once a day. Own choice. */
const MANY = 40;
const LONG = 14 * DAY;

/** Reminds of a copy when much is new, or when the last one is old: once a day, when the book is opened. */
export async function remindOfCopy(): Promise<void> {
  const { savedAt, remindedAt, set } = useSettings.getState();
  const now = Date.now();
  if (remindedAt !== null && now - remindedAt < DAY) return;
  const count = await changedSince(savedAt ?? 0);
  if (count < MANY && (count === 0 || savedAt === null || now - savedAt < LONG)) return;
  set({ remindedAt: now });
  say(`${count} of your records are not backed up yet.`, { label: "Save a backup", run: () => act(saveBook) });
}
