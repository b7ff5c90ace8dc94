"use client";
import { useEffect, useRef, useState } from "react";
import type { Catch } from "../core/book/records";
import { bracket } from "../core/flow/ladder";
import type { Reach } from "../core/flow/reach";
import { type Agreement, agreementOf, type PlacedFish } from "../core/fish/agreement";
import { fishedFor, turningOf, wayOf } from "../core/fish/season";
import { lightAt } from "../core/gauge/light";
import { bedKey } from "../store/fields";
import { readWorker } from "../workers/clients";
import type { Ladder } from "./use-ladder";
import { cellOf, fieldOnLadder } from "./use-field";
import type { Fish } from "./use-fishes";
import { MIDDLING } from "./middling";

export interface FishAgainstModel {
  /** By catch id, as far as they are worked out. */
  placed: ReadonlyMap<string, PlacedFish>;
  agreement: Agreement | undefined;
  /** Placed fish about whose flow the ladder is not solved yet. */
  waiting: number;
  /** Placed fish that cannot be held against the model: no flow is known of their day, or it lies beyond the ladder. */
  beyond: number;
}

/**
 * Catches with a place, each held against what the model gives at the flow, clarity, temperature, season and light of
 * its own day.
 */
export function useAgreement(
  reach: Reach | undefined,
  catches: readonly Catch[],
  fishOf: (id: string) => Fish,
  ladder: Ladder,
): FishAgainstModel {
  const [state, setState] = useState<{ of: string; placed: ReadonlyMap<string, PlacedFish> }>({
    of: "",
    placed: new Map(),
  });
  const worked = useRef(new Map<string, PlacedFish>());
  const bed = reach && bedKey(reach);
  const solved = ladder.rungs.filter((one) => one.solved).map((one) => one.discharge);
  const marked = catches.filter((one) => one.place);
  const of = `${bed}|${JSON.stringify(reach?.features ?? [])}`;
  const asked = `${of}|${solved.join()}|${marked.map((one) => `${one.id}@${one.updatedAt}`).join()}`;
  useEffect(() => {
    if (!reach || !bed || solved.length < 2) return;
    let gone = false;
    void (async () => {
      const placed = new Map<string, PlacedFish>();
      for (const one of marked) {
        const discharge = one.river?.discharge;
        // A fish is held against the model once for each pair of solved flows about that of its day.
        const key = `${of}|${one.id}|${one.updatedAt}|${JSON.stringify(fishOf(one.species).species)}|${discharge ? bracket(solved, discharge)?.join() : ""}`;
        const known = worked.current.get(key);
        if (known) {
          placed.set(one.id, known);
          continue;
        }
        const field = discharge ? await fieldOnLadder(bed, discharge, cellOf(reach)) : undefined;
        if (gone) return;
        if (!field) continue;
        const { species } = fishOf(one.species);
        const [at, temperature] = [Date.parse(one.at), one.river?.waterTemperature ?? MIDDLING.temperature];
        const { latitude, longitude } = reach;
        const way = wayOf(species, temperature, latitude === undefined ? undefined : turningOf(at, latitude));
        const light = latitude === undefined || longitude === undefined ? "day" : lightAt(at, latitude, longitude);
        const found = await readWorker().placed(
          field,
          {
            species: fishedFor(species, way),
            visibleDepth: one.river?.visibleDepth ?? MIDDLING.visibleDepth,
            temperature,
            light,
            features: reach.features,
          },
          one.place!.x,
          one.place!.y,
        );
        worked.current.set(key, found);
        placed.set(one.id, found);
        if (gone) return;
        setState({ of, placed: new Map(placed) });
      }
      setState({ of, placed });
    })();
    return () => {
      gone = true;
    };
    // What is asked for stands for the objects it is made of.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked]);
  const placed = state.of === of ? state.placed : new Map<string, PlacedFish>();
  const left = marked.filter((one) => !placed.has(one.id));
  const flows = ladder.rungs.map((one) => one.discharge);
  const reached = (one: Catch) => one.river?.discharge != null && bracket(flows, one.river.discharge) !== undefined;
  return {
    placed,
    agreement: agreementOf([...placed.values()]),
    waiting: left.filter(reached).length,
    beyond: left.filter((one) => !reached(one)).length,
  };
}
