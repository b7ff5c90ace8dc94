"use client";
import Dexie from "dexie";
import { create } from "zustand";
import { fetched } from "../core/quantity/fetched";
import { changeDatabase, database } from "../store/database";
import { useNotices } from "./notices";

/** A day on which the book is in memory alone. */
export const useMemoryDay = create<{
  /** How often the book that is looked at has changed; what looks at it is made anew by it. */
  turn: number;
  inMemory: boolean;
  /** The browser's own book could still be read, and is in it. */
  copied: boolean;
  /** Something was written since the book was last saved to a file. */
  unsaved: boolean;
}>(() => ({ turn: 0, inMemory: false, copied: false, unsaved: false }));

/** Marks what is in memory as saved, or as not. */
export const setUnsaved = (unsaved: boolean): void => {
  if (useMemoryDay.getState().inMemory) useMemoryDay.setState({ unsaved });
};

/** The change to memory, once it has begun: however often it is asked for, it is made once. */
let going: Promise<void> | undefined;

async function goToMemory(): Promise<void> {
  const { memoryBook } = await fetched(import("../store/memory-book"));
  const { db, copied } = await memoryBook(database());
  changeDatabase(db);
  // What is said of the other book goes with it; what waits to be kept is kept here.
  const waiting = useNotices.getState().list.filter((one) => one.waiting > 0);
  useNotices.setState({ list: [] });
  useMemoryDay.setState(({ turn }) => ({ turn: turn + 1, inMemory: true, copied, unsaved: false }));
  Dexie.on("storagemutated", () => setUnsaved(true));
  for (const { action } of waiting) action!.run();
}

/** Goes on with a book in memory, with what can be read of the browser's own, and does there what could not be done. */
export async function goOnInMemory(again?: () => Promise<unknown>): Promise<void> {
  going ??= goToMemory().catch((error: unknown) => {
    going = undefined;
    throw error;
  });
  await going;
  await again?.();
}
