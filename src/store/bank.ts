import type { Observation, ObservationKind, EffortInterval, Suspended } from "../core/book/bank-records";
import type { Catch, LostCause, Session } from "../core/book/records";
import { InputError } from "../core/quantity/fault";
import type { PromiseExtended } from "dexie";
import { add, nested, patch, setDeleted, together, type Undo } from "./change";
import type { Database } from "./database";
import { iso, newId } from "./identity";
import { type CatchDetails, newCatch } from "./sessions";
import {
  type Cut,
  cutFor,
  openStretch,
  openStretches,
  type Respot,
  respot,
  setSuspended,
  spotOf,
  suspend,
} from "./effort-intervals";

/** What happens on the bank, each in one transaction: a killed browser leaves all of it or nothing. */

/** The session as it is now; one that has been ended elsewhere takes nothing more. */
function running(db: Database, id: string): PromiseExtended<Session> {
  return nested(db, [db.sessions], async () => {
    const session = await db.sessions.get(id);
    if (!session || session.deleted) throw new InputError("record-gone");
    if (session.end !== null) throw new InputError("session-over");
    return session;
  });
}

const bankTables = (db: Database) => [db.sessions, db.stretches, db.catches, db.observations];

/** What can be said of an observation. */
export type ObservationDetails = Partial<
  Omit<Observation, "schema" | "id" | "updatedAt" | "deleted" | "demo" | "session" | "kind" | "at">
>;

const observation = (session: string, kind: ObservationKind, details: ObservationDetails, at: number): Observation => ({
  schema: "low-heron/observation@1",
  id: newId(at),
  updatedAt: iso(Date.now()),
  session,
  stretch: null,
  at: iso(at),
  kind,
  notes: "",
  angler: "",
  lie: "",
  place: null,
  ...details,
});

/** Notes what is seen or done. */
export const observe = (
  db: Database,
  session: Pick<Session, "id">,
  kind: ObservationKind,
  details: ObservationDetails,
  at: number,
): Promise<Undo> => add(db, db.observations, observation(session.id, kind, details, at));

export const removeObservation = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.observations, id, true);

/** A change of the rig is taken: noted, and fished from now on. */
export async function changeRig(
  db: Database,
  { id, reach }: Pick<Session, "id" | "reach">,
  rod: number,
  spot: Respot,
  noted: ObservationDetails,
  at: number,
): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    await running(db, id);
    keep(await add(db, db.observations, observation(id, "change", noted, at)));
    await respot(db, id, rod, spot, { at, cut, keep });
  });
}

/** On to another spot with some rods; the one that is left is rested, or fed, until an instant where that is wanted. */
export async function moveOn(
  db: Database,
  { id, reach }: Pick<Session, "id" | "reach">,
  rods: readonly number[],
  spot: Respot,
  left: ({ kind: "rest" | "primed"; until: string } & Pick<EffortInterval, "lie" | "place">) | undefined,
  at: number,
): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    await running(db, id);
    if (left) {
      const { kind, ...said } = left;
      keep(await add(db, db.observations, observation(id, kind, said, at)));
    }
    for (const rod of rods) await respot(db, id, rod, spot, { at, cut, keep });
  });
}

/** Paused from here on: what is fished by hand is closed; rods that lie fish on. */
export async function pauseSession(db: Database, { id, reach }: Session, why: string, at: number): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    const session = await running(db, id);
    if (session.paused || session.on) return;
    const byHand = (await openStretches(db, id)).filter((one) => !one.fixed);
    const stopped = byHand.length > 0 ? await suspend(db, byHand, "pause", at, cut, keep) : [];
    const paused = { at: iso(at), why };
    await setSuspended(db, id, [...(session.suspended ?? []), ...stopped], keep, { paused });
    keep(await add(db, db.observations, observation(id, "pause", { what: why }, at)));
  });
}

/**
 * Rods that wait. A pause that was begun by an earlier version of the application did not name them: they are those
 * whose stretch it closed.
 */
function waiting(db: Database, { id, paused, suspended }: Session): PromiseExtended<Suspended[]> {
  return nested(db, [db.stretches], async () => {
    // Always a look at the book, so that the transaction lives on.
    const open = new Set((await openStretches(db, id)).map((one) => one.rod));
    if (suspended || !paused) return suspended ?? [];
    const closed = await db.stretches
      .where("session")
      .equals(id)
      .filter((one) => one.end !== null && Date.parse(one.end) === Date.parse(paused.at) && !one.deleted)
      .toArray();
    return closed
      .filter((one) => !open.has(one.rod))
      .map((one): Suspended => ({ ...spotOf(one), stretch: one.id, by: "pause" }));
  });
}

/** The pause is over: the rods that wait are fished again; the fish that it was for is released, or kept. */
export async function goOn(
  db: Database,
  { id, reach }: Session,
  at: number,
  landed?: { fish: string; kept: boolean },
): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    const session = await running(db, id);
    const { paused } = session;
    if (!paused || session.on) return;
    if (landed) keep(await patch<Catch>(db, db.catches, landed.fish, { kept: landed.kept }));
    for (const one of await waiting(db, session)) keep(await openStretch(db, id, one, at, cut));
    const noted = (await db.observations.where("session").equals(id).toArray()).find(
      (one) => one.kind === "pause" && !one.deleted && one.at === paused.at,
    );
    if (noted) keep(await patch<Observation>(db, db.observations, noted.id, { until: iso(at) }));
    await setSuspended(db, id, [], keep, { paused: undefined, suspended: undefined });
  });
}

/** A fish is on: whoever fights it fishes no more for now. */
export async function hookFish(db: Database, { id, reach }: Session, rod: number, at: number): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    const session = await running(db, id);
    if (session.on) return;
    const open = await openStretches(db, id);
    const waits = await waiting(db, session);
    const [own, stood] = [open.find((one) => one.rod === rod), waits.find((one) => one.rod === rod)];
    const angler = own?.angler ?? stood?.angler ?? "";
    const fights = open.filter((one) => one.rod === rod || (!one.fixed && one.angler === angler));
    const stopped = fights.length > 0 ? await suspend(db, fights, "fight", at, cut, keep) : [];
    // A rod that waited already took the fish in what it fished until then.
    const on = { at: iso(at), rod, stretch: own?.id ?? stood?.stretch ?? null };
    await setSuspended(db, id, [...waits, ...stopped], keep, { on });
  });
}

/** What a fish took out of the stretch that it came in. */
const tookFrom = (stretch: EffortInterval | undefined): CatchDetails =>
  stretch
    ? {
        stretch: stretch.id,
        rod: stretch.rod,
        angler: stretch.angler,
        lie: stretch.lie,
        place: stretch.place,
        method: stretch.method,
        lure: stretch.lure,
        colour: stretch.colour,
        piece: stretch.piece,
        depth: stretch.depth,
        ...(stretch.rig && { rig: stretch.rig }),
        ...castOf(stretch),
      }
    : {};

const castOf = ({ casts }: EffortInterval): { cast?: number } => {
  const cast = casts.reduce((sum, one) => sum + one.count, 0);
  return cast > 0 ? { cast } : {};
};

/**
 * The fish that is on is landed, or lost: with it everything that its stretch knows. Landed, the clock stands until the
 * next cast; lost, it goes on at once.
 */
export async function endFight(
  db: Database,
  { id, reach, species }: Session,
  outcome: { lost?: LostCause } & CatchDetails,
  at: number,
): Promise<{ fish: string; undo: Undo }> {
  const cut = await cutFor(db, reach);
  const fresh = newCatch({ id, species }, {}, at, cut(at, at)[0]!.river);
  const undo = await together(db, bankTables(db), async (keep) => {
    const session = await running(db, id);
    const on = session.on;
    if (!on) throw new InputError("no-fish-on");
    const took = tookFrom(on.stretch ? await db.stretches.get(on.stretch) : undefined);
    keep(await add(db, db.catches, { ...fresh, ...took, ...outcome, rod: on.rod }));
    if (outcome.lost !== undefined) return castAgain(db, session, at, cut, keep);
    // Landed, its angler's rods wait like all that the pause stops.
    const waits = (await waiting(db, session)).map((one): Suspended => ({ ...one, by: "pause" }));
    const paused = { at: session.paused?.at ?? on.at, why: "fish" };
    await setSuspended(db, id, waits, keep, { on: undefined, paused });
  });
  return { fish: fresh.id, undo };
}

/** It was no fish: the stretch goes on as if nothing had been. */
export async function noFish(db: Database, { id, reach }: Session, at: number): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    const session = await running(db, id);
    if (session.on) await castAgain(db, session, at, cut, keep);
  });
}

/** No fish is on any more: what the fight stopped is fished again; what a pause stopped waits on. */
function castAgain(
  db: Database,
  session: Session,
  at: number,
  cut: Cut,
  keep: (undo: Undo) => void,
): PromiseExtended<void> {
  return nested(db, [db.sessions, db.stretches], async () => {
    const waits = await waiting(db, session);
    const of = (by: Suspended["by"]) => waits.filter((one) => one.by === by);
    for (const one of of("fight")) keep(await openStretch(db, session.id, one, at, cut));
    await setSuspended(db, session.id, of("pause"), keep, { on: undefined });
  });
}
