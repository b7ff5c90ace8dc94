"use client";
import { useLiveAnswer } from "./live-answer";
import type { Stretch } from "../core/book/bank-records";
import type { Catch, Session } from "../core/book/records";
import { database } from "../store/database";

export interface BookView {
  ready: boolean;
  sessions: Session[];
  catches: Catch[];
  stretches: Stretch[];
  running: Session | undefined;
}

/** Sessions (newest first) and catches and stretches of the book, live. */
export function useBook(): BookView {
  const book = useLiveAnswer(
    async () => ({
      sessions: (await database().sessions.toArray())
        .filter((one) => !one.deleted)
        .sort((a, b) => Date.parse(b.start) - Date.parse(a.start)),
      catches: (await database().catches.toArray()).filter((one) => !one.deleted),
      stretches: (await database().stretches.toArray()).filter((one) => !one.deleted),
    }),
    [],
  );
  return {
    ready: book !== undefined,
    sessions: book?.sessions ?? [],
    catches: book?.catches ?? [],
    stretches: book?.stretches ?? [],
    running: book?.sessions.find((one) => one.end === null),
  };
}
