import Dexie from "dexie";
import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import { readBook, writeBook } from "./book";
import { Database } from "./database";
import { PATIENCE } from "./open-book";

/**
 * A book in memory alone, for a day on which the browser's own cannot be opened or written to: the same database on
 * another ground. It begins with what can still be read.
 */
export async function memoryBook(from: Database): Promise<{ db: Database; copied: boolean }> {
  const indexedDB = new IDBFactory();
  // Live queries are asked only where the browser has a store of its own, or Dexie is given one.
  Dexie.dependencies.indexedDB ??= indexedDB;
  Dexie.dependencies.IDBKeyRange ??= IDBKeyRange;
  const db = new Database("low-heron-memory", { indexedDB, IDBKeyRange });
  await db.open();
  const late = new Promise<undefined>((resolve) => setTimeout(resolve, PATIENCE));
  const book = await Promise.race([readBook(from).catch(() => undefined), late]);
  if (book) await writeBook(db, book);
  return { db, copied: book !== undefined };
}
