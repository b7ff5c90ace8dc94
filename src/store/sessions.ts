import type { Catch, Session } from "../core/book/records";
import { InputError } from "../core/quantity/fault";
import { add, patch, setDeleted, type Undo } from "./change";
import type { Database } from "./database";
import { newId } from "./identity";
import { stateFor } from "./river";

const iso = (time: number): string => new Date(time).toISOString();
const stamp = (): string => iso(Date.now());

/**
 * Starts a session at `now`, ms by the application's clock. One runs at a time: pressed twice, or in two tabs at once,
 * it is started once.
 * @throws InputError "session-runs" when one runs on another reach
 */
export async function startSession(db: Database, reach: string, species: string, now: number): Promise<Undo> {
  const session: Session = {
    schema: "low-heron/session@1",
    id: newId(now),
    updatedAt: stamp(),
    reach,
    start: iso(now),
    end: null,
    rods: 1,
    species,
    notes: "",
    river: await stateFor(db, reach, now),
  };
  return db.transaction("rw", db.sessions, async () => {
    const running = await db.sessions.filter((one) => one.end === null && !one.deleted).first();
    if (!running) return add(db, db.sessions, session);
    if (running.reach !== reach) throw new InputError("session-runs");
    return () => Promise.resolve();
  });
}

/** Ends a session; never before it began. */
export const endSession = (db: Database, session: Pick<Session, "id" | "start">, now: number): Promise<Undo> =>
  patch(db, db.sessions, session.id, { end: iso(Math.max(now, Date.parse(session.start))) });

export const removeSession = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.sessions, id, true);

/** Puts a past session in the book with its true times: a blank remembered later counts too. */
export async function addPastSession(
  db: Database,
  given: Pick<Session, "reach" | "species" | "rods" | "notes"> & { start: number; end: number },
): Promise<Undo> {
  const { start, end, ...rest } = given;
  const session: Session = {
    schema: "low-heron/session@1",
    id: newId(),
    updatedAt: stamp(),
    ...rest,
    start: iso(start),
    end: iso(end),
    river: await stateFor(db, given.reach, start),
  };
  return add(db, db.sessions, session);
}

/**
 * Corrects a session: what it was after, when, with how many rods. Moved in time it takes the river of its own hour.
 */
export async function patchSession(
  db: Database,
  session: Session,
  fields: Partial<Pick<Session, "species" | "rods" | "notes">> & { start?: number; end?: number },
): Promise<Undo> {
  const { start, end, ...rest } = fields;
  return patch<Session>(db, db.sessions, session.id, {
    ...rest,
    ...(end !== undefined && { end: iso(end) }),
    ...(start !== undefined && { start: iso(start), river: await stateFor(db, session.reach, start) }),
  });
}

/** What can be said of a fish. */
export type CatchDetails = Partial<
  Omit<Catch, "schema" | "id" | "updatedAt" | "deleted" | "demo" | "session" | "at" | "river">
>;

/** Logs a fish at `at`, ms. Resolves only when it is on the disk. */
export async function logCatch(
  db: Database,
  session: Session,
  fish: CatchDetails,
  at: number,
): Promise<{ fish: Catch; undo: Undo }> {
  const one: Catch = {
    schema: "low-heron/catch@1",
    id: newId(at),
    updatedAt: stamp(),
    session: session.id,
    at: iso(at),
    species: session.species,
    length: null,
    lie: "",
    lure: "",
    notes: "",
    ...fish,
    river: await stateFor(db, session.reach, at),
  };
  return { fish: one, undo: await add(db, db.catches, one) };
}

/** Corrects a fish; moved in time it takes the river of its own hour. */
export async function patchCatch(db: Database, fish: Catch, fields: CatchDetails & { at?: number }): Promise<Undo> {
  const { at, ...rest } = fields;
  if (at === undefined || at === Date.parse(fish.at)) return patch<Catch>(db, db.catches, fish.id, rest);
  const session = await db.sessions.get(fish.session);
  return patch<Catch>(db, db.catches, fish.id, {
    ...rest,
    at: iso(at),
    ...(session && { river: await stateFor(db, session.reach, at) }),
  });
}

export const removeCatch = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.catches, id, true);
