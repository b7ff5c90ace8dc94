"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useMemo, useRef } from "react";
import { orderFrom, RUNG_CELL, rungsBetween } from "../core/flow/ladder";
import type { Reach } from "../core/flow/reach";
import { database } from "../store/database";
import { bedKey, keepField, keptField, solvedFlows } from "../store/fields";
import { solveInBackground } from "../workers/clients";
import { cellOf } from "./use-field";

export interface Ladder {
  /** Flows that make it, m3/s, and which of them are solved on this bed. */
  rungs: { discharge: number; solved: boolean }[];
}

/** Waits until nothing has been asked for a while before the first rung, and a moment before going on, ms. */
const IDLE = 2500;
const MOMENT = 50;
/** Rungs solved side by side: one core is left to the page and what is looked at. */
const MOST_LANES = 4;
const lanesHere = (): number => Math.max(1, Math.min(MOST_LANES, (navigator.hardwareConcurrency || 2) - 1));

/**
 * Solves a reach at the rungs of its ladder in the background, each from its solved neighbour, while nothing else is
 * being solved; on
 * as many cores as can be spared. Kept as they come, so that a reload goes on where it stopped; a changed bed makes
 * them stale and starts anew.
 */
export function useLadder(reach: Reach | undefined, low: number, high: number, flow: number, busy: boolean): Ladder {
  const bed = reach && bedKey(reach);
  const cell = reach ? Math.max(RUNG_CELL, cellOf(reach)) : RUNG_CELL;
  const flows = useMemo(() => rungsBetween(low, high), [low, high]);
  const latest = useRef({ reach, flow });
  useEffect(() => {
    latest.current = { reach, flow };
  });
  const solved = useLiveQuery(() => (bed ? rungsOf(bed, cell) : []), [bed, cell]);

  useEffect(() => {
    if (!bed || busy) return;
    const control = new AbortController();
    // A flow that this bed cannot carry is left out; the plan tells why when it is looked at.
    const taken = new Set<number>();
    const lane = async (index: number): Promise<void> => {
      for (;;) {
        const known = await rungsOf(bed, cell);
        const next = orderFrom(flows, latest.current.flow).find((rung) => !known.includes(rung) && !taken.has(rung));
        const current = latest.current.reach;
        if (next === undefined || !current || control.signal.aborted) return;
        taken.add(next);
        const nearest = orderFrom(known, next)[0];
        const near = nearest === undefined ? undefined : await keptField(database(), bed, nearest, cell);
        const answer = await solveInBackground(index, current, next, cell, near, () => undefined, control.signal);
        if (answer.ok) await keepField(database(), bed, answer.field);
      }
    };
    let timer: ReturnType<typeof setTimeout>;
    void rungsOf(bed, cell).then((known) => {
      timer = setTimeout(
        () => {
          for (let index = 0; index < lanesHere(); index++) void lane(index);
        },
        known.length === 0 ? IDLE : MOMENT,
      );
      if (control.signal.aborted) clearTimeout(timer);
    });
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [bed, busy, cell, flows]);

  return { rungs: flows.map((discharge) => ({ discharge, solved: solved?.includes(discharge) ?? false })) };
}

/** Flows solved already on the ladder's cells, m3/s. */
const rungsOf = async (bed: string, cell: number): Promise<number[]> =>
  (await solvedFlows(database(), bed)).filter((one) => one.cell === cell).map((one) => one.discharge);
