"use client";
import { PART_NAMES } from "../core/book/log-contents";
import { shortName } from "../scenario/key";
import { type Database, database } from "../store/database";
import { useLiveAnswer } from "./live-answer";

/**
 * Everything that an answer from the log may hang on, as one short name: every kind of record there is but photos, by
 * when each was written last. Nothing is listed by hand, so that nothing can be left out.
 */
export async function logState(db: Database): Promise<string> {
  const parts = PART_NAMES.filter((part) => part !== "photos");
  const states = await Promise.all(
    parts.map((part) =>
      // Readings are long: their index alone tells whether they have changed.
      part === "series"
        ? db.series.orderBy("[station+updatedAt]").keys()
        : db
            .table<{ id: string; updatedAt: string }>(part)
            .toArray()
            .then((all) => all.map(({ id, updatedAt }) => `${id}@${updatedAt}`)),
    ),
  );
  return shortName(JSON.stringify(states));
}

/** The same, and again with each change; undefined until it is known, or where it is not wanted. */
export const useLogState = (wanted = true): string | undefined =>
  useLiveAnswer(() => (wanted ? logState(database()) : undefined), [wanted]);
