import type { CastZone, Fished, Stretch } from "../core/book/bank-records";
import type { Session } from "../core/book/records";
import { type RiverRun, riverRuns } from "../core/book/river-runs";
import { riverState } from "../core/book/river-state";
import { add, change, patch, setDeleted, together, type Undo } from "./change";
import type { Database } from "./database";
import { iso, newId } from "./identity";
import { gaugeAtReach } from "./river";

/** Effort as it is fished: stretches opened, closed, and cut where the river became another. */

/** What one rod is to fish. */
export type Spot = Fished & Pick<Stretch, "rod" | "angler">;

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

const made = (session: string, spot: Spot, { start, end, river }: RiverRun, open: boolean): Stretch => ({
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
});

/** The stretches of a session that are being fished. */
export const openStretches = (db: Database, session: string): Promise<Stretch[]> =>
  db.stretches
    .where("session")
    .equals(session)
    .filter((one) => one.end === null && !one.deleted)
    .toArray();

/** Opens one, within a transaction over stretches. */
export const openStretch = (db: Database, session: string, spot: Spot, at: number, cut: Cut): Promise<Undo> =>
  add(db, db.stretches, made(session, spot, cut(at, at)[0]!, true));

/**
 * Closes one, or cuts what has been fished so far, within a transaction over stretches: each piece has its own river.
 */
export async function closeStretch(
  db: Database,
  stretch: Stretch,
  at: number,
  cut: Cut,
  keep: (undo: Undo) => void,
  goesOn = false,
): Promise<void> {
  const start = Date.parse(stretch.start);
  const runs = cut(start, Math.max(start, at));
  if (goesOn && runs.length === 1) return;
  const [first, ...others] = runs;
  keep(await patch<Stretch>(db, db.stretches, stretch.id, { end: iso(first!.end), river: first!.river }));
  for (const [k, run] of others.entries()) {
    keep(await add(db, db.stretches, made(stretch.session, stretch, run, goesOn && k === others.length - 1)));
  }
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

/** A rod fishes something else, or elsewhere, from now on. Within a transaction over stretches. */
export async function respot(
  db: Database,
  session: string,
  rod: number,
  spot: Respot,
  at: number,
  cut: Cut,
  keep: (undo: Undo) => void,
): Promise<void> {
  const own = (await openStretches(db, session)).filter((one) => one.rod === rod);
  const before = own[0];
  for (const one of own) await closeStretch(db, one, at, cut, keep);
  keep(await openStretch(db, session, { ...NO_SPOT, angler: "", ...before, ...spot, rod }, at, cut));
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
  return together(db, [db.stretches], (keep) => respot(db, session.id, rod, spot, at, cut, keep));
}

/** A rod is put away. */
export async function putAway(
  db: Database,
  session: Pick<Session, "id" | "reach">,
  rod: number,
  at: number,
): Promise<Undo> {
  const cut = await cutFor(db, session.reach);
  return together(db, [db.stretches], async (keep) => {
    for (const one of (await openStretches(db, session.id)).filter((other) => other.rod === rod))
      await closeStretch(db, one, at, cut, keep);
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

function counted(stretch: Stretch, line: number, zone: CastZone, by: number): Stretch {
  const isThis = (one: Stretch["casts"][number]) => one.line === line && one.zone === zone;
  const before = stretch.casts.find(isThis)?.count ?? 0;
  const count = Math.min(9999, Math.max(0, before + by));
  const others = stretch.casts.filter((one) => !isThis(one));
  return { ...stretch, casts: count > 0 ? [...others, { line, zone, count }] : others };
}

/**
 * A session's times were put right: what began or ended with it goes along, what lies outside goes, what reaches out of
 * it is cut. Within a transaction over stretches.
 */
export async function fitStretches(
  db: Database,
  before: Pick<Session, "id" | "start" | "end">,
  now: { start: number; end: number | null },
  keep: (undo: Undo) => void,
): Promise<void> {
  const own = await db.stretches
    .where("session")
    .equals(before.id)
    .filter((one) => !one.deleted)
    .toArray();
  for (const one of own) {
    const [start, end] = [Date.parse(one.start), one.end === null ? null : Date.parse(one.end)];
    const newStart = start === Date.parse(before.start) ? now.start : Math.max(start, now.start);
    const withIt = end === null || (before.end !== null && end === Date.parse(before.end));
    const newEnd = withIt ? now.end : now.end === null ? end : Math.min(end, now.end);
    if (newEnd !== null && newEnd < newStart) keep(await setDeleted(db, db.stretches, one.id, true));
    else if (newStart !== start || newEnd !== end)
      keep(
        await patch<Stretch>(db, db.stretches, one.id, {
          start: iso(newStart),
          end: newEnd === null ? null : iso(newEnd),
        }),
      );
  }
}

/** Puts right what was fished in a stretch. */
export const patchStretch = (
  db: Database,
  id: string,
  fields: Partial<Pick<Stretch, "lie" | "lure" | "colour" | "piece" | "angler">>,
): Promise<Undo> => patch<Stretch>(db, db.stretches, id, fields);
