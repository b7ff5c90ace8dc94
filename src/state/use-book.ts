"use client";
import { useLiveAnswer } from "./live-answer";
import type { EffortInterval } from "../core/book/bank-records";
import type { Catch, Session } from "../core/book/records";
import { database } from "../store/database";

export interface BookView {
  ready: boolean;
  sessions: Session[];
  catches: Catch[];
  stretches: EffortInterval[];
  running: Session | undefined;
}

/** Sessions (newest first) with their catches and stretches, live. */
export function useBook(): BookView {
  const book = useLiveAnswer(async () => {
    const sessions = (await database().sessions.toArray())
      .filter((one) => !one.deleted)
      .sort((a, b) => Date.parse(b.start) - Date.parse(a.start));
    // What belongs to a deleted session is deleted with it.
    const alive = new Set(sessions.map((one) => one.id));
    const own = (one: { deleted?: boolean; session: string }) => !one.deleted && alive.has(one.session);
    return {
      sessions,
      catches: (await database().catches.toArray()).filter(own),
      stretches: (await database().stretches.toArray()).filter(own),
    };
  }, []);
  return {
    ready: book !== undefined,
    sessions: book?.sessions ?? [],
    catches: book?.catches ?? [],
    stretches: book?.stretches ?? [],
    running: book?.sessions.find((one) => one.end === null),
  };
}
