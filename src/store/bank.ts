import type { Observation, ObservationKind, Stretch } from "../core/book/bank-records";
import type { Catch, LostCause, Session } from "../core/book/records";
import { InputError } from "../core/quantity/fault";
import { add, patch, setDeleted, together, type Undo } from "./change";
import type { Database } from "./database";
import { iso, newId } from "./identity";
import { type CatchDetails, newCatch } from "./sessions";
import { closeStretch, type Cut, cutFor, openStretch, openStretches, type Respot, respot } from "./stretches";

/** What happens on the bank, each in one transaction: a killed browser leaves all of it or nothing. */

/** The session as it is now; one that has been ended elsewhere takes nothing more. */
async function running(db: Database, id: string): Promise<Session> {
  const session = await db.sessions.get(id);
  if (!session || session.deleted) throw new InputError("record-gone");
  if (session.end !== null) throw new InputError("session-over");
  return session;
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
    await respot(db, id, rod, spot, at, cut, keep);
  });
}

/** On to another spot with some rods; the one that is left is rested, or fed, until an instant where that is wanted. */
export async function moveOn(
  db: Database,
  { id, reach }: Pick<Session, "id" | "reach">,
  rods: readonly number[],
  spot: Respot,
  left: ({ kind: "rest" | "primed"; until: string } & Pick<Stretch, "lie" | "place">) | undefined,
  at: number,
): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    await running(db, id);
    if (left) {
      const { kind, ...said } = left;
      keep(await add(db, db.observations, observation(id, kind, said, at)));
    }
    for (const rod of rods) await respot(db, id, rod, spot, at, cut, keep);
  });
}

/** The clock stands from here on: what is fished by hand is closed; rods that lie fish on. */
export async function pauseSession(db: Database, { id, reach }: Session, why: string, at: number): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    const session = await running(db, id);
    if (session.paused || session.on) return;
    for (const one of await openStretches(db, id)) if (!one.fixed) await closeStretch(db, one, at, cut, keep);
    keep(await patch<Session>(db, db.sessions, id, { paused: { at: iso(at), why } }));
    keep(await add(db, db.observations, observation(id, "pause", { what: why }, at)));
  });
}

/** The stretches that were closed at a moment. */
const closedAt = (db: Database, session: string, at: string): Promise<Stretch[]> =>
  db.stretches
    .where("session")
    .equals(session)
    .filter((one) => one.end !== null && Date.parse(one.end) === Date.parse(at) && !one.deleted)
    .toArray();

/** The clock goes on: what it closed is fished again; the fish that it stood for is released, or kept. */
export async function goOn(
  db: Database,
  { id, reach }: Session,
  at: number,
  landed?: { fish: string; kept: boolean },
): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    const { paused } = await running(db, id);
    if (!paused) return;
    if (landed) keep(await patch<Catch>(db, db.catches, landed.fish, { kept: landed.kept }));
    for (const one of await closedAt(db, id, paused.at)) keep(await openStretch(db, id, one, at, cut));
    const noted = (await db.observations.where("session").equals(id).toArray()).find(
      (one) => one.kind === "pause" && !one.deleted && one.at === paused.at,
    );
    if (noted) keep(await patch<Observation>(db, db.observations, noted.id, { until: iso(at) }));
    keep(await patch<Session>(db, db.sessions, id, { paused: undefined }));
  });
}

/** A fish is on: the clock of whoever fights it stands. */
export async function hookFish(db: Database, { id, reach }: Session, rod: number, at: number): Promise<Undo> {
  const cut = await cutFor(db, reach);
  return together(db, bankTables(db), async (keep) => {
    const session = await running(db, id);
    if (session.on) return;
    const open = await openStretches(db, id);
    // Where the clock stood already, the fish took what was fished until then.
    const stood = session.paused ? await closedAt(db, id, session.paused.at) : [];
    const own = [...open, ...stood].find((one) => one.rod === rod);
    for (const one of open)
      if (one.rod === rod || (!one.fixed && one.angler === (own?.angler ?? "")))
        await closeStretch(db, one, at, cut, keep);
    keep(await patch<Session>(db, db.sessions, id, { on: { at: iso(at), rod, stretch: own?.id ?? null } }));
  });
}

/** What a fish took out of the stretch that it came in. */
export const tookFrom = (stretch: Stretch | undefined): CatchDetails =>
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
        ...castOf(stretch),
      }
    : {};

const castOf = ({ casts }: Stretch): { cast?: number } => {
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
    // Where the clock stood already, what goes on afterwards is what was closed then.
    const paused = { at: session.paused?.at ?? on.at, why: "fish" };
    if (outcome.lost === undefined) keep(await patch<Session>(db, db.sessions, id, { on: undefined, paused }));
    else await castAgain(db, session, at, cut, keep);
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

/** No fish is on any more: what it stopped is fished again. */
async function castAgain(
  db: Database,
  { id, on }: Session,
  at: number,
  cut: Cut,
  keep: (undo: Undo) => void,
): Promise<void> {
  for (const one of await closedAt(db, id, on!.at)) keep(await openStretch(db, id, one, at, cut));
  keep(await patch<Session>(db, db.sessions, id, { on: undefined }));
}
