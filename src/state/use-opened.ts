"use client";
import { InputError } from "../core/quantity/fault";
import { database } from "../store/database";
import { type Stage, useStage } from "./query";

/**
 * Can the book be opened in this browser? Live queries wait in silence for a database that never opens, so it is asked
 * outright.
 */
export const useOpened = (): Stage<boolean> =>
  useStage("book", "open", async () => {
    try {
      await database().open();
    } catch (error) {
      throw new InputError("book-not-opened", { detail: (error as Error).message.split("\n")[0]!.slice(0, 200) });
    }
    return true;
  });
