import type { DrillScore, Liking, Preference, TravelTime } from "../core/book/preferences";
import { stampAfter } from "../core/book/versions";
import type { Card } from "../core/drills/schedule";
import type { Database } from "./database";

/** What the angler has said once: drills, travel times, likings. */
export interface Preferences {
  /** By drill. */
  drills: Readonly<Record<string, Card>>;
  /** Minutes from home, by reach. */
  travel: Readonly<Record<string, number>>;
  /** By species. */
  likings: Readonly<Record<string, Pick<Liking, "on" | "from">>>;
}

export const NO_PREFERENCES: Preferences = { drills: {}, travel: {}, likings: {} };

const afterColon = (id: string): string => id.slice(id.indexOf(":") + 1);

export async function readPreferences(db: Database): Promise<Preferences> {
  const all = (await db.preferences.toArray()).filter((one) => !one.deleted);
  const by = <T>(schema: Preference["schema"], of: (one: never) => T) =>
    Object.fromEntries(all.filter((one) => one.schema === schema).map((one) => [afterColon(one.id), of(one as never)]));
  return {
    drills: by("low-heron/drill-score@1", ({ box, due, tries, best }: DrillScore) => ({ box, due, tries, best })),
    travel: by("low-heron/travel-time@1", ({ minutes }: TravelTime) => minutes),
    likings: by("low-heron/liking@1", ({ on, from }: Liking) => ({ on, from })),
  };
}

/** Changes one preference by what it is now: two tabs never write over each other. Undefined removes it. */
async function setPreference<T extends Preference>(
  db: Database,
  id: string,
  schema: T["schema"],
  by: (before: T | undefined) => Omit<T, "id" | "schema" | "updatedAt"> | undefined,
): Promise<void> {
  await db.transaction("rw", db.preferences, async () => {
    const before = (await db.preferences.get(id)) as T | undefined;
    const next = by(before?.deleted ? undefined : before);
    const updatedAt = stampAfter(Date.now(), before?.updatedAt);
    if (next) await db.preferences.put({ ...next, id, schema, updatedAt } as unknown as Preference);
    else if (before) await db.preferences.put({ ...before, updatedAt, deleted: true });
  });
}

export const setTravelTime = (db: Database, reach: string, minutes: number | null): Promise<void> =>
  setPreference<TravelTime>(db, `travel:${reach}`, "low-heron/travel-time@1", () =>
    minutes === null ? undefined : { minutes },
  );

export const setDrill = (db: Database, drill: string, by: (card: Card | undefined) => Card): Promise<void> =>
  setPreference<DrillScore>(db, `drill:${drill}`, "low-heron/drill-score@1", (before) => by(before));

export const setLiking = (db: Database, species: string, change: Partial<Pick<Liking, "on" | "from">>): Promise<void> =>
  setPreference<Liking>(db, `liking:${species}`, "low-heron/liking@1", (before) => ({
    on: before?.on ?? false,
    from: before?.from ?? null,
    ...change,
  }));

/** Brings in what an earlier version kept outside the log; what the log knows already stays. */
export async function adoptPreferences(db: Database, { drills, travel, likings }: Preferences): Promise<void> {
  const known = await readPreferences(db);
  for (const [id, card] of Object.entries(drills)) if (!known.drills[id]) await setDrill(db, id, () => card);
  for (const [id, minutes] of Object.entries(travel))
    if (known.travel[id] === undefined) await setTravelTime(db, id, minutes);
  for (const [id, liking] of Object.entries(likings)) if (!known.likings[id]) await setLiking(db, id, liking);
}
