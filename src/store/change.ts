import type { EntityTable, PromiseExtended, Table } from "dexie";
import { stampAfter, type Versioned } from "../core/book/versions";
import { InputError } from "../core/quantity/fault";
import type { Database } from "./database";

/** Takes back one step, and only that: what others did since stays. */
export type Undo = () => Promise<void>;

/**
 * Changes one record by a function of what it is now, within a transaction: two panels, two tabs or a held key never
 * write over each other. `back` is the function that takes this step back from whatever the record is by then.
 * @throws InputError "record-gone" when it is not there; whatever `by` throws, with nothing written
 */
export function change<T extends Versioned>(
  db: Database,
  table: EntityTable<T, "id">,
  id: string,
  by: (record: T) => T,
  back?: (record: T, before: T) => T,
): PromiseExtended<Undo> {
  const write = (make: (record: T) => T): PromiseExtended<T> =>
    db.transaction("rw", table, async () => {
      const record = await table.get(id as never);
      if (!record) throw new InputError("record-gone");
      await table.put({ ...make(record), updatedAt: stampAfter(Date.now(), record.updatedAt) });
      return record;
    });
  // A promise of the library's own: a transaction is lost after a handful of awaits of others.
  return write(by).then((before) => async () => {
    await write((record) => (back ? back(record, before) : before));
  });
}

export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Sets some fields of a record. Its undo sets those back that still are as this step left them; a field that was
 * changed again since keeps its newer value.
 */
export const patch = <T extends Versioned>(
  db: Database,
  table: EntityTable<T, "id">,
  id: string,
  fields: Partial<T>,
): PromiseExtended<Undo> =>
  change(
    db,
    table,
    id,
    (record) => ({ ...record, ...fields }),
    (record, before) => unpatched(record, before, fields),
  );

/**
 * What a form says otherwise than it stood: what nobody touched is left to whoever else says it meanwhile. What is
 * there
 * no longer is undefined.
 */
export function differing<T extends object>(stood: T, said: T): Partial<T> {
  const names = [...new Set([...Object.keys(stood), ...Object.keys(said)])] as (keyof T)[];
  return Object.fromEntries(
    names.filter((name) => !same(stood[name], said[name])).map((name) => [name, said[name]]),
  ) as Partial<T>;
}

/** A record with the fields of a patch as they were before it, where nobody has changed them since. */
export function unpatched<T extends object>(record: T, before: T, fields: Partial<T>): T {
  const restored = { ...record };
  for (const key of Object.keys(fields) as (keyof T)[]) {
    if (!same(record[key], fields[key])) continue;
    if (before[key] === undefined) delete restored[key];
    else restored[key] = before[key];
  }
  return restored;
}

/** Takes a record out of the book, leaving its tombstone, or brings it back. */
export const setDeleted = <T extends Versioned>(
  db: Database,
  table: EntityTable<T, "id">,
  id: string,
  deleted: boolean,
): PromiseExtended<Undo> => patch(db, table, id, { deleted: deleted || undefined } as Partial<T>);

/** Steps taken all or none, in one transaction over some tables; taken back together, the last first. */
export async function together(
  db: Database,
  tables: readonly Table[],
  steps: (keep: (undo: Undo) => void) => Promise<void>,
): Promise<Undo> {
  const undos: Undo[] = [];
  await db.transaction("rw", [...tables], () => steps((undo) => undos.push(undo)));
  return async () => {
    await db.transaction("rw", [...tables], async () => {
      for (const undo of undos.toReversed()) await undo();
    });
  };
}

/**
 * Steps of a transaction over some tables in a nested one of their own. A transaction is let go after a handful of
 * awaits of plain promises: a function that makes several steps within one goes through here.
 */
export const nested = <T>(db: Database, tables: readonly Table[], steps: () => Promise<T>): PromiseExtended<T> =>
  db.transaction("rw", [...tables], steps);

/** Puts a new record in; undo leaves its tombstone. */
export const add = <T extends Versioned>(db: Database, table: EntityTable<T, "id">, record: T): PromiseExtended<Undo> =>
  table.add(record as never).then(() => async () => {
    await setDeleted(db, table, record.id, true);
  });
