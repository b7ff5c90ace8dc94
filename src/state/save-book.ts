"use client";
import type { Book } from "../core/book/log-contents";
import { fetched } from "../core/quantity/fetched";
import { database } from "../store/database";
import { setAsideWords } from "../words/archive";
import { count } from "../words/text";
import { saveFile, sha256 } from "./files";
import { setUnsaved } from "./memory-day";
import { settingsForBackup, useSettings } from "./settings";
import { say, useNotices } from "./notices";

/** A log with the settings of this browser. */
const withSettings = (book: Book, at: string): Book => ({
  ...book,
  preferences: [
    ...book.preferences.filter((one) => one.id !== "settings"),
    { schema: "low-heron/settings@1", id: "settings", updatedAt: at, values: settingsForBackup() },
  ],
});

/** Saves the book, and reads the file back: what it could not give again is told. */
export async function saveBook(): Promise<void> {
  const { readArchive, writeArchive } = await fetched(import("../core/formats/archive"));
  const { readBook } = await fetched(import("../store/book"));
  const at = new Date().toISOString();
  // What is written while the book is packed is not in the file.
  setUnsaved(false);
  const bytes = await readBook(database())
    .then((book) => writeArchive(withSettings(book, at), at, sha256))
    .catch((error: unknown) => {
      setUnsaved(true);
      throw error;
    });
  saveFile(`low-heron-${at.slice(0, 10)}.zip`, bytes, "application/zip");
  useSettings.getState().set({ savedAt: Date.parse(at) });
  const { setAside } = await readArchive(bytes, sha256);
  const [first] = setAside;
  if (!first) return say("Backup saved and checked.");
  const text = `Backup saved, but ${count(setAside.length, "record")} can’t be restored from it.`;
  useNotices.getState().say(`${text} ${setAsideWords(first)}`, undefined, true);
}
