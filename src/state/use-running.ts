"use client";
import { useLiveQuery } from "dexie-react-hooks";
import type { Session } from "../core/book/records";
import { database } from "../store/database";

/** The running session, or null without one; undefined until the book has told. */
export const useRunning = (): Session | null | undefined =>
  useLiveQuery(
    async () =>
      (await database()
        .sessions.filter((one) => one.end === null && !one.deleted)
        .first()) ?? null,
    [],
  );
