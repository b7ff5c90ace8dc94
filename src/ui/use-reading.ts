"use client";
import { useEffect, useState } from "react";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach";
import type { Light } from "../core/lies/foraging";
import type { Reading } from "../core/lies/read";
import { speciesById } from "../core/lies/species";
import { readWorker } from "../workers/clients";

export interface Look {
  species: string;
  visibleDepth: number;
  temperature: number;
  light: Light;
}

/** The reading of a field, worked out in the worker; the last one stays until the next is there. */
export function useReading(field: Field | undefined, reach: Reach | undefined, look: Look): { reading: Reading | undefined; of: Field | undefined } {
  const [state, setState] = useState<{ reading: Reading | undefined; of: Field | undefined }>({ reading: undefined, of: undefined });
  const { species, visibleDepth, temperature, light } = look;
  const features = reach?.features;
  useEffect(() => {
    if (!field) return;
    let gone = false;
    void readWorker().read(field, { species: speciesById(species), visibleDepth, temperature, light, features }).then((answer) => {
      if (!gone && answer.ok) setState({ reading: answer.value, of: field });
    });
    return () => {
      gone = true;
    };
  }, [field, features, species, visibleDepth, temperature, light]);
  return field ? state : { reading: undefined, of: undefined };
}
