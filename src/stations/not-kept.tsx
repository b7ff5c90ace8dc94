"use client";
import type { Unkept } from "../state/act";
import { FaultNote } from "../widgets/fault-note";

/** What could not be kept, in the place where it was entered: it stays there, and what can be done is beside it. */
export const NotKept = ({ fault: { text, inMemory } }: { fault: Unkept }) => (
  <FaultNote
    message={text}
    todo={inMemory ? "Your entry is still here. Retry, or use a temporary log and save a backup." : "Nothing changed."}
    other={inMemory && { label: "Use a temporary log", run: inMemory }}
  />
);
