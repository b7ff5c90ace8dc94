import type { PromiseExtended } from "dexie";
import type { CastZone, Fished, EffortInterval, Suspended } from "../core/book/bank-records";
import type { Session } from "../core/book/records";
import { type RiverRun, riverRuns } from "../core/book/river-runs";
import { riverState } from "../core/book/river-state";
import { add, change, nested, patch, setDeleted, together, type Undo } from "./change";
import type { Database } from "./database";
import { iso, newId } from "./identity";
import { gaugeAtReach } from "./river";

/** Effort as it is fished: stretches opened, closed, and cut where the river became another. */

/** What one rod is to fish. */
export type Spot = Fished & Pick<EffortInterval, "rod" | "angler">;

export const NO_SPOT: Fished = {
  lie: "",
  place: null,
  method: null,
  lure: "",
  colour: "",
  piece: "",
  depth: null,
  fixed: false,
};

/** Cuts a span of time by the river of a reach. The gauge is read before a transaction, whose tables it would widen. */
export type Cut = (start: number, end: number) => RiverRun[];

export async function cutFor(db: Database, reach: string): Promise<Cut> {
  const gauge = await gaugeAtReach(db, await db.reaches.get(reach));
  return (start, end) => riverRuns(start, end, (at) => (gauge ? riverState(gauge, at) : null));
}

const made = (session: string, spot: Spot, { start, end, river }: RiverRun, open: boolean): EffortInterval => ({
  schema: "low-heron/stretch@1",
  id: newId(start),
  updatedAt: iso(Date.now()),
  session,
  start: iso(start),
  end: open ? null : iso(end),
  casts: [],
  river,
  rod: spot.rod,
  angler: spot.angler,
  lie: spot.lie,
  place: spot.place,
  method: spot.method,
  lure: spot.lure,
  colour: spot.colour,
  piece: spot.piece,
  depth: spot.depth,
  fixed: spot.fixed,
  ...(spot.read && { read: spot.read }),
  ...(spot.rig && { rig: spot.rig }),
});

/** What of a stretch or a rod is chosen, and goes on in the next one. */
export const spotOf = ({
  rod,
  angler,
  lie,
  place,
  read,
  method,
  lure,
  colour,
  piece,
  depth,
  rig,
  fixed,
}: Spot): Spot => ({
  rod,
  angler,
  lie,
  place,
  ...(read && { read }),
  ...(rig && { rig }),
  method,
  lure,
  colour,
  piece,
  depth,
  fixed,
});

/** The stretches of a session that are being fished. */
export const openStretches = (db: Database, session: string): Promise<EffortInterval[]> =>
  db.stretches
    .where("session")
    .equals(session)
    .filter((one) => one.end === null && !one.deleted)
    .toArray();

/** Opens one, within a transaction over stretches. Undone, all that was cut from it since goes with it. */
export function openStretch(db: Database, session: string, spot: Spot, at: number, cut: Cut): PromiseExtended<Undo> {
  const opened = made(session, spot, cut(at, at)[0]!, true);
  return db.stretches.add(opened).then(() => async () => {
    const own = await db.stretches
      .where("session")
      .equals(session)
      .filter((one) => !one.deleted && (one.id === opened.id || one.cutFrom === opened.id))
      .toArray();
    for (const one of own) await setDeleted(db, db.stretches, one.id, true);
  });
}

/**
 * Closes one, or cuts what has been fished so far, within a transaction over stretches: each piece has its own river.
 */
export function closeStretch(
  db: Database,
  stretch: EffortInterval,
  at: number,
  cut: Cut,
  keep: (undo: Undo) => void,
  goesOn = false,
): PromiseExtended<void> {
  return nested(db, [db.stretches], async () => {
    const start = Date.parse(stretch.start);
    const runs = cut(start, Math.max(start, at));
    if (goesOn && runs.length === 1) return;
    const [first, ...others] = runs;
    keep(await patch<EffortInterval>(db, db.stretches, stretch.id, { end: iso(first!.end), river: first!.river }));
    for (const [k, run] of others.entries()) {
      const piece = made(stretch.session, stretch, run, goesOn && k === others.length - 1);
      keep(await add(db, db.stretches, { ...piece, cutFrom: stretch.cutFrom ?? stretch.id }));
    }
  });
}

/** Cuts what is being fished where the river has become another since. */
export async function settleStretches(
  db: Database,
  session: Pick<Session, "id" | "reach">,
  now: number,
): Promise<void> {
  const cut = await cutFor(db, session.reach);
  await together(db, [db.stretches], async (keep) => {
    for (const one of await openStretches(db, session.id)) await closeStretch(db, one, now, cut, keep, true);
  });
}

/** What a rod fishes from now on: the rest stays as it was. */
export type Respot = Partial<Fished> & { angler?: string };

/** Why a rod that is not fished just now waits; undefined: it would be fished from now on. */
function waitsFor({ paused, on, suspended = [] }: Session, spot: Spot): Suspended["by"] | undefined {
  const before = suspended.find((one) => one.rod === spot.rod);
  const fights = on && suspended.find((one) => one.rod === on.rod)?.angler === spot.angler;
  // What lies fishes while its angler does something else, but for the rod that the fish is on.
  if (spot.fixed) return before?.by === "fight" ? "fight" : undefined;
  return before?.by ?? (fights ? "fight" : paused ? "pause" : undefined);
}

/**
 * A rod fishes something else, or elsewhere: from now on, or when the pause or fight that it waits for is over.
 * Within a transaction over sessions and stretches.
 */
export function respot(
  db: Database,
  session: string,
  rod: number,
  spot: Respot,
  { at, cut, keep }: { at: number; cut: Cut; keep: (undo: Undo) => void },
): PromiseExtended<void> {
  return nested(db, [db.sessions, db.stretches], async () => {
    const of = (await db.sessions.get(session))!;
    const { suspended = [] } = of;
    const own = (await openStretches(db, session)).filter((one) => one.rod === rod);
    const waiting = suspended.find((one) => one.rod === rod);
    for (const one of own) await closeStretch(db, one, at, cut, keep);
    const next: Spot = { ...spotOf({ ...NO_SPOT, angler: "", ...(own[0] ?? waiting), rod }), ...spot, rod };
    // A rod that is fished by hand now is so through the pause of another angler.
    const by = own.some((one) => !one.fixed) ? undefined : waitsFor(of, next);
    if (by === undefined) keep(await openStretch(db, session, next, at, cut));
    if (by === undefined && !waiting) return;
    const others = suspended.filter((one) => one.rod !== rod);
    const stretch = waiting?.stretch ?? own[0]?.id ?? null;
    await setSuspended(db, session, by === undefined ? others : [...others, { ...spotOf(next), stretch, by }], keep);
  });
}

/** Sets which rods wait, within a transaction over sessions. */
export const setSuspended = (
  db: Database,
  session: string,
  suspended: readonly Suspended[],
  keep: (undo: Undo) => void,
  change: Partial<Session> = {},
): PromiseExtended<void> => {
  return patch<Session>(db, db.sessions, session, { suspended: [...suspended], ...change }).then(keep);
};

/** Closes some of what is fished, to go on later: within a transaction over stretches. */
export function suspend(
  db: Database,
  stretches: readonly EffortInterval[],
  by: Suspended["by"],
  at: number,
  cut: Cut,
  keep: (undo: Undo) => void,
): PromiseExtended<Suspended[]> {
  return nested(db, [db.stretches], async () => {
    const rods: Suspended[] = [];
    for (const one of stretches) {
      await closeStretch(db, one, at, cut, keep);
      rods.push({ ...spotOf(one), stretch: one.id, by });
    }
    return rods;
  });
}

/** The same by itself. */
export async function fishSpot(
  db: Database,
  session: Pick<Session, "id" | "reach">,
  rod: number,
  spot: Respot,
  at: number,
): Promise<Undo> {
  const cut = await cutFor(db, session.reach);
  return together(db, [db.sessions, db.stretches], (keep) => respot(db, session.id, rod, spot, { at, cut, keep }));
}

/** A rod is put away. */
export async function putAway(
  db: Database,
  session: Pick<Session, "id" | "reach">,
  rod: number,
  at: number,
): Promise<Undo> {
  const cut = await cutFor(db, session.reach);
  return together(db, [db.sessions, db.stretches], async (keep) => {
    for (const one of (await openStretches(db, session.id)).filter((other) => other.rod === rod))
      await closeStretch(db, one, at, cut, keep);
    const waiting = (await db.sessions.get(session.id))?.suspended ?? [];
    if (waiting.some((one) => one.rod === rod))
      await setSuspended(
        db,
        session.id,
        waiting.filter((one) => one.rod !== rod),
        keep,
      );
  });
}

/** A cast more, or one less, on a line and so far along it: from whatever was counted by then. */
export const countCast = (db: Database, stretch: string, line: number, zone: CastZone, by = 1): Promise<Undo> =>
  change(
    db,
    db.stretches,
    stretch,
    (record) => counted(record, line, zone, by),
    (record) => counted(record, line, zone, -by),
  );

function counted(stretch: EffortInterval, line: number, zone: CastZone, by: number): EffortInterval {
  const isThis = (one: EffortInterval["casts"][number]) => one.line === line && one.zone === zone;
  const before = stretch.casts.find(isThis)?.count ?? 0;
  const count = Math.min(9999, Math.max(0, before + by));
  const others = stretch.casts.filter((one) => !isThis(one));
  return { ...stretch, casts: count > 0 ? [...others, { line, zone, count }] : others };
}

/** What became of the stretches of a session whose times were corrected. */
export interface Fitted {
  /** Shortened to the session's new times, and removed since they lay outside them. */
  shortened: number;
  removed: number;
}

/**
 * Fits the stretches of a session to its corrected times: what began or ended with it goes along, what lies outside is
 * removed, what reaches out is shortened; each takes the river of its own hours. Within a transaction over stretches.
 */
export function fitStretches(
  db: Database,
  before: Pick<Session, "id" | "start" | "end">,
  now: { start: number; end: number | null },
  cut: Cut,
  keep: (undo: Undo) => void,
): PromiseExtended<Fitted> {
  return nested(db, [db.stretches], async () => {
    const fitted: Fitted = { shortened: 0, removed: 0 };
    for (const one of await stretchesOf(db, before.id)) {
      const [start, end] = [Date.parse(one.start), one.end === null ? null : Date.parse(one.end)];
      // What was over as it began goes nowhere.
      const lasted = end === null || end > start;
      const newStart = lasted && start === Date.parse(before.start) ? now.start : Math.max(start, now.start);
      const withIt = end === null || (lasted && before.end !== null && end === Date.parse(before.end));
      const newEnd = withIt ? now.end : now.end === null ? end : Math.min(end, now.end);
      if (newEnd !== null && newEnd < newStart) {
        keep(await setDeleted(db, db.stretches, one.id, true));
        fitted.removed++;
      } else if (newStart !== start || newEnd !== end) {
        if (newStart > start || (end !== null && newEnd !== null && newEnd < end)) fitted.shortened++;
        await setSpan(db, one, newStart, newEnd, cut, keep);
      }
    }
    return fitted;
  });
}

/** Moves every stretch of a session by so many ms, each with the river of its new hours. */
export function shiftStretches(
  db: Database,
  session: string,
  by: number,
  cut: Cut,
  keep: (undo: Undo) => void,
): PromiseExtended<void> {
  return nested(db, [db.stretches], async () => {
    for (const one of await stretchesOf(db, session))
      await setSpan(db, one, Date.parse(one.start) + by, one.end === null ? null : Date.parse(one.end) + by, cut, keep);
  });
}

const stretchesOf = (db: Database, session: string): Promise<EffortInterval[]> =>
  db.stretches
    .where("session")
    .equals(session)
    .filter((one) => !one.deleted)
    .toArray();

/** Gives a stretch other times, and the river of them: cut where the river became another. */
function setSpan(
  db: Database,
  stretch: EffortInterval,
  start: number,
  end: number | null,
  cut: Cut,
  keep: (undo: Undo) => void,
): PromiseExtended<void> {
  return nested(db, [db.stretches], async () => {
    const [first, ...others] = end === null ? [{ ...cut(start, start)[0]!, end: null }] : cut(start, end);
    const change = { start: iso(start), end: first!.end === null ? null : iso(first!.end), river: first!.river };
    keep(await patch<EffortInterval>(db, db.stretches, stretch.id, change));
    for (const run of others) keep(await add(db, db.stretches, made(stretch.session, stretch, run as RiverRun, false)));
  });
}

/** Puts right what was fished in a stretch. */
export const patchStretch = (
  db: Database,
  id: string,
  fields: Partial<Pick<EffortInterval, "lie" | "lure" | "colour" | "piece" | "angler">>,
): Promise<Undo> => patch<EffortInterval>(db, db.stretches, id, fields);
