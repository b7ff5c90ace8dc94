"use client";
import { useState } from "react";
import type { Undo } from "../store/change";
import { act, type Unkept, unkept } from "./act";
import { say } from "./notices";

/** Saving from a dialog: on success it closes; on a fault it stays, with what was typed, and tells it. */
export function useSave(onDone: () => void) {
  const [fault, setFault] = useState<Unkept | undefined>();
  const [busy, setBusy] = useState(false);
  const save = async (
    command: () => Promise<Undo | undefined>,
    done: string | (() => string),
    afterUndo?: () => void,
  ): Promise<void> => {
    setBusy(true);
    setFault(undefined);
    try {
      const undo = await command();
      say(
        typeof done === "string" ? done : done(),
        undo && { label: "Undo", run: () => act(() => undo().then(() => afterUndo?.())) },
      );
      onDone();
    } catch (error) {
      setFault(unkept(error, () => save(command, done, afterUndo)));
    } finally {
      setBusy(false);
    }
  };
  return { save, fault, busy };
}
