"use client";
import { useEffect, useState } from "react";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach";
import type { Light } from "../core/fish/foraging";
import type { Reading } from "../core/fish/read";
import type { Species } from "../core/fish/species";
import { readWorker } from "../workers/clients";
import { Latest } from "./latest";

export interface Look {
  /** As it lives at this time of its year. */
  species: Species;
  visibleDepth: number;
  temperature: number;
  light: Light;
}

const queue = new Latest();

/** The reading of a field, worked out in the worker; the last one of the same reach stays until the next is there. */
export function useReading(
  field: Field | undefined,
  reach: Reach | undefined,
  look: Look,
): { reading: Reading | undefined; of: Field | undefined } {
  const [state, setState] = useState<{ reading: Reading | undefined; of: Field | undefined; reach?: string }>({
    reading: undefined,
    of: undefined,
  });
  const { species, visibleDepth, temperature, light } = look;
  const [features, id] = [reach?.features, reach?.id];
  useEffect(() => {
    if (!field) return;
    let gone = false;
    queue.ask(async () => {
      if (gone) return;
      const answer = await readWorker().read(field, { species, visibleDepth, temperature, light, features });
      // While the flow is being moved, a reading that is a moment late is nearer than the one before it.
      if (answer.ok) setState({ reading: answer.value, of: field, reach: id });
    });
    return () => {
      gone = true;
    };
  }, [field, features, id, species, visibleDepth, temperature, light]);
  return field && state.reach === id ? state : { reading: undefined, of: undefined };
}
