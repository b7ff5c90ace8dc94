"use client";
import { database } from "../store/database";
import { openBook } from "../store/open-book";
import { useMemoryDay } from "./memory-day";
import { type Stage, useStage } from "./query";

/**
 * Can the book be opened in this browser? Live queries wait in silence for a database that never opens, so it is asked
 * outright.
 */
export function useOpened(): Stage<boolean> {
  const turn = useMemoryDay((day) => day.turn);
  return useStage("book", `open ${turn}`, async () => {
    await openBook(database());
    return true;
  });
}
