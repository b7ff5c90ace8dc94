import type { Observation } from "../core/book/bank-records";
import type { Catch, RiverState, Session } from "../core/book/records";
import type { CatchDraft } from "../core/formats/catches-csv";
import { DAY } from "../core/gauge/series";
import { InputError } from "../core/quantity/fault";
import { add, patch, setDeleted, together, type Undo } from "./change";
import type { Database } from "./database";
import { iso, newId } from "./identity";
import { stateFor } from "./river";
import { runningSession } from "./running";
import {
  closeStretch,
  type Cut,
  cutFor,
  fitStretches,
  type Fitted,
  openStretch,
  openStretches,
  shiftStretches,
  type Spot,
} from "./effort-intervals";

const stamp = (): string => iso(Date.now());

/** Who fishes along, and what each rod begins with. */
export interface Beginning {
  partners?: string[];
  spots: Spot[];
  /** The sky and the wind as they are seen. */
  sky?: Session["sky"];
}

/**
 * Starts a session at `now`, ms by the application's clock, with its first stretches. One runs at a time: pressed
 * twice,
 * or in two tabs at once, it is started once.
 * @throws InputError "session-runs" when one runs on another reach
 */
export async function startSession(
  db: Database,
  reach: string,
  species: string,
  now: number,
  { partners, spots, sky }: Beginning = { spots: [] },
): Promise<Undo> {
  const cut = await cutFor(db, reach);
  const session: Session = {
    schema: "low-heron/session@1",
    id: newId(now),
    updatedAt: stamp(),
    reach,
    start: iso(now),
    end: null,
    rods: Math.max(1, spots.length),
    species,
    notes: "",
    river: cut(now, now)[0]!.river,
    ...(partners?.length && { partners }),
    ...(sky && { sky }),
  };
  return together(db, [db.sessions, db.stretches], async (keep) => {
    const running = await runningSession(db);
    if (running && running.reach !== reach) throw new InputError("session-runs");
    if (running) return;
    keep(await add(db, db.sessions, session));
    for (const spot of spots) keep(await openStretch(db, session.id, spot, now, cut));
  });
}

/** Ends a session and what is fished in it; never before it began. */
export async function endSession(
  db: Database,
  session: Pick<Session, "id" | "start" | "reach">,
  now: number,
): Promise<Undo> {
  const at = Math.max(now, Date.parse(session.start));
  const cut = await cutFor(db, session.reach);
  return together(db, [db.sessions, db.stretches], async (keep) => {
    for (const one of await openStretches(db, session.id)) await closeStretch(db, one, at, cut, keep);
    keep(
      await patch<Session>(db, db.sessions, session.id, {
        end: iso(at),
        on: undefined,
        paused: undefined,
        suspended: undefined,
      }),
    );
  });
}

export const removeSession = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.sessions, id, true);

export const restoreSession = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.sessions, id, false);
export const restoreCatch = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.catches, id, false);

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

/** A session corrected: its undo, and what became of its stretches. */
export interface SessionCorrected extends Fitted {
  undo: Undo;
  /** By so much all of it was moved, ms; 0: it was not moved as a whole. */
  moved: number;
}

/**
 * Corrects a session: what it was after, when, with how many rods. Both ends moved alike, its stretches, fish and notes
 * go along, each with the river of its new hour; else its stretches are fitted to the new times.
 */
export async function patchSession(
  db: Database,
  session: Session,
  fields: Partial<Pick<Session, "species" | "rods" | "notes" | "partners" | "holdsBoat" | "sky">> & {
    start?: number;
    end?: number;
  },
): Promise<SessionCorrected> {
  const { start, end, ...rest } = fields;
  const nothing = { moved: 0, shortened: 0, removed: 0 };
  if (start === undefined && end === undefined)
    return { ...nothing, undo: await patch<Session>(db, db.sessions, session.id, rest) };
  const from = { start: Date.parse(session.start), end: session.end === null ? null : Date.parse(session.end) };
  const to = { start: start ?? from.start, end: end ?? from.end };
  const by = to.start - from.start;
  const moved = by !== 0 && from.end !== null && to.end! - from.end === by ? by : 0;
  const cut = await cutFor(db, session.reach);
  const riverAt = (at: number) => cut(at, at)[0]!.river;
  const change: Partial<Session> = {
    ...rest,
    ...(end !== undefined && { end: iso(end), on: undefined, paused: undefined, suspended: undefined }),
    ...(start !== undefined && { start: iso(start), river: riverAt(start) }),
  };
  let fitted: Fitted = nothing;
  const undo = await together(db, [db.sessions, db.stretches, db.catches, db.observations], async (keep) => {
    if (moved === 0) fitted = await fitStretches(db, session, to, cut, keep);
    else {
      await shiftStretches(db, session.id, moved, cut, keep);
      const of = { session: session.id };
      for (const fish of await db.catches.where(of).toArray()) {
        const at = Date.parse(fish.at) + moved;
        keep(await patch<Catch>(db, db.catches, fish.id, { at: iso(at), river: riverAt(at) }));
      }
      for (const one of await db.observations.where(of).toArray()) {
        const later = (instant: string) => iso(Date.parse(instant) + moved);
        const until = one.until === undefined ? {} : { until: later(one.until) };
        keep(await patch<Observation>(db, db.observations, one.id, { at: later(one.at), ...until }));
      }
    }
    keep(await patch<Session>(db, db.sessions, session.id, change));
  });
  return { ...fitted, moved, undo };
}

/** What can be said of a fish. */
export type CatchDetails = Partial<
  Omit<Catch, "schema" | "id" | "updatedAt" | "deleted" | "demo" | "session" | "at" | "river">
>;

/** A fish of a session at an instant, ms, and the river of that instant. */
export const newCatch = (
  session: Pick<Session, "id" | "species">,
  fish: CatchDetails,
  at: number,
  river: RiverState | null,
): Catch => ({
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
  river,
});

/** Logs a fish at `at`, ms. Resolves only when it is on the disk. */
export async function logCatch(
  db: Database,
  session: Session,
  fish: CatchDetails,
  at: number,
): Promise<{ fish: Catch; undo: Undo }> {
  const one = newCatch(session, fish, at, await stateFor(db, session.reach, at));
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

/** Corrects many fish at once, all or none. */
export const patchCatches = (
  db: Database,
  ids: readonly string[],
  fields: Omit<CatchDetails, "place">,
): Promise<Undo> =>
  together(db, [db.catches], async (keep) => {
    for (const id of ids) keep(await patch<Catch>(db, db.catches, id, fields));
  });

/** Takes many fish out at once, all or none. */
export const removeCatches = (db: Database, ids: readonly string[]): Promise<Undo> =>
  together(db, [db.catches], async (keep) => {
    for (const id of ids) keep(await setDeleted(db, db.catches, id, true));
  });

/**
 * Fish of a file: each day of a reach (its own, or `reach`) a session whose hours are
 * not known, so that they say nothing of rates. All or
 * none.
 */
export async function addCatches(
  db: Database,
  reach: string,
  drafts: readonly CatchDraft[],
  dayOf: (at: number) => string,
): Promise<Undo> {
  const days = new Map<string, CatchDraft[]>();
  for (const draft of drafts) {
    const key = `${draft.reach ?? reach} ${dayOf(draft.at)}`;
    const day = days.get(key);
    if (day) day.push(draft);
    else days.set(key, [draft]);
  }
  // One look at the gauge of each reach for all of them.
  const cuts = new Map<string, Cut>();
  for (const id of new Set(drafts.map((draft) => draft.reach ?? reach))) cuts.set(id, await cutFor(db, id));
  const sessions: Session[] = [];
  const catches: Catch[] = [];
  for (const own of days.values()) {
    const on = own[0]!.reach ?? reach;
    const riverAt = (at: number) => cuts.get(on)!(at, at)[0]!.river;
    const times = own.map(({ at }) => at);
    const [start, end] = [Math.min(...times), Math.max(...times)];
    const session: Session = {
      schema: "low-heron/session@1",
      id: newId(start),
      updatedAt: stamp(),
      reach: on,
      start: iso(start),
      end: iso(end),
      rods: 1,
      species: own[0]!.species,
      notes: "",
      river: riverAt(start),
      hoursKnown: false,
    };
    sessions.push(session);
    for (const { at, reach: _, ...rest } of own) catches.push(newCatch(session, rest, at, riverAt(at)));
  }
  return together(db, [db.sessions, db.catches], async (keep) => {
    for (const one of sessions) keep(await add(db, db.sessions, one));
    for (const one of catches) keep(await add(db, db.catches, one));
  });
}

/** Fish caught within two days of a time, ms: all of its own day, wherever that begins. */
export const catchesAbout = (db: Database, time: number): Promise<Catch[]> =>
  db.catches
    .where("at")
    .between(iso(time - 2 * DAY), iso(time + 2 * DAY))
    .toArray();
