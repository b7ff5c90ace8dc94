"use client";
import { useEffect, useState } from "react";
import type { Reach } from "../core/flow/reach";
import { RUNG_CELL } from "../core/flow/ladder";
import type { FlowBand } from "../core/fish/flow-band";
import { database } from "../store/database";
import { bedKey, keptField } from "../store/fields";
import { readWorker } from "../workers/clients";
import { cellOf } from "./use-field";
import type { Ladder } from "./use-ladder";
import type { Look } from "./use-reading";

/** The flows at which each place fishes, from the rungs solved so far; empty until they are scored. */
export function useBands(
  reach: Reach | undefined,
  ladder: Ladder,
  look: Look,
  places: readonly { x: number; y: number }[] | undefined,
): readonly (FlowBand | undefined)[] {
  const [state, setState] = useState<{ of: string; bands: (FlowBand | undefined)[] }>({ of: "", bands: [] });
  const { species, visibleDepth, temperature, light } = look;
  const bed = reach && bedKey(reach);
  const rungs = ladder.rungs.filter((one) => one.solved).map((one) => one.discharge);
  // Roofs and names are no part of the bed, but roofs are cover: they count here.
  const key = `${bed}|${JSON.stringify(reach?.features ?? [])}|${JSON.stringify(species)}|${visibleDepth.toFixed(2)}|${temperature.toFixed(1)}|${light}`;
  const asked = `${key}|${rungs.join()}|${places?.map(({ x, y }) => `${x},${y}`).join(";") ?? ""}`;
  useEffect(() => {
    if (!bed || !reach || !places || places.length === 0 || rungs.length < 3) return;
    let gone = false;
    void (async () => {
      const worker = readWorker();
      const known = await worker.scoredRungs(key);
      for (const discharge of rungs.filter((one) => !known.includes(one))) {
        const field = await keptField(database(), bed, discharge, Math.max(RUNG_CELL, cellOf(reach)));
        if (gone) return;
        if (field)
          await worker.scoreRung(key, field, { species, visibleDepth, temperature, light, features: reach.features });
      }
      const bands = await worker.bands(
        key,
        places.map(({ x, y }) => ({ x, y })),
      );
      if (!gone) setState({ of: asked, bands });
    })();
    return () => {
      gone = true;
    };
    // What is asked for stands for the objects it is made of.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked]);
  return state.of === asked ? state.bands : [];
}
