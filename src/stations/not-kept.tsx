"use client";
import type { Unkept } from "../state/act";
import { FaultNote } from "../widgets/fault-note";

/** What could not be kept, in the place where it was entered: it stays there, and what can be done is beside it. */
export const NotKept = ({ fault: { text, inMemory } }: { fault: Unkept }) => (
  <FaultNote
    message={text}
    todo={
      inMemory
        ? "What you entered is still here: try again, or go on in memory and save a file."
        : "Nothing was changed."
    }
    other={inMemory && { label: "Go on in memory", run: inMemory }}
  />
);
