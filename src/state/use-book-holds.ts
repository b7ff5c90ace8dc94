"use client";
import { useLiveAnswer } from "./live-answer";
import { PART_NAMES } from "../core/book/log-contents";
import { database } from "../store/database";

/** Does the book hold anything at all, beyond what was taken out of it? False until it is known. */
export function useBookHolds(): boolean {
  const holds = useLiveAnswer(async () => {
    for (const part of PART_NAMES)
      if (
        (await database()
          .table<{ deleted?: boolean }>(part)
          .filter((one) => !one.deleted)
          .limit(1)
          .count()) > 0
      )
        return true;
    return false;
  }, []);
  return holds === true;
}
