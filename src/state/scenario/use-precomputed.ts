"use client";
import { useLiveAnswer } from "../live-answer";
import { useEffect, useMemo, useRef } from "react";
import { flowsBetween, orderFrom, PRECOMPUTED_CELL } from "../../core/flow/precomputed";
import type { Reach } from "../../core/flow/reach-schema";
import { bedKey, cellOf } from "../../scenario/field";
import { database } from "../../store/database";
import { keepField, keptField, solvedFlows } from "../../store/fields";
import { WORKER_LOST } from "../../workers/client";
import { solveInBackground } from "../../workers/clients";
import { act } from "../act";
import { useSettings } from "../settings";

export interface Precomputed {
  /** Flows solved in the background, m3/s, and which of them are done on this bed. */
  flows: { discharge: number; solved: boolean }[];
}

/** Waits until nothing has been asked for a while before the first flow, and a moment before going on, ms. */
const IDLE = 2500;
const MOMENT = 50;
/** Flows solved side by side: one core is left to the page and what is looked at. */
const MOST_LANES = 4;
const lanesHere = (): number => Math.max(1, Math.min(MOST_LANES, (navigator.hardwareConcurrency || 2) - 1));

/** Flows solved already on the precomputed cells, m3/s. */
const solvedOn = async (bed: string, cell: number): Promise<number[]> =>
  (await solvedFlows(database(), bed)).filter((one) => one.cell === cell).map((one) => one.discharge);

/**
 * Solves a reach at a ladder of flows in the background, each from its solved neighbour, while nothing else is being
 * solved and the angler has them worked out ahead; on as many cores as can be spared. Kept as they come, so that a
 * reload goes on where it stopped; a changed bed starts anew.
 */
export function usePrecomputed(
  reach: Reach | undefined,
  [low, high]: readonly [number, number],
  flow: number,
  busy: boolean,
): Precomputed {
  const bed = reach && bedKey(reach);
  const cell = reach ? Math.max(PRECOMPUTED_CELL, cellOf(reach)) : PRECOMPUTED_CELL;
  const flows = useMemo(() => flowsBetween(low, high), [low, high]);
  const ahead = useSettings((settings) => settings.ahead === "all");
  const latest = useRef({ reach, flow });
  useEffect(() => {
    latest.current = { reach, flow };
  });
  const solved = useLiveAnswer(() => (bed ? solvedOn(bed, cell) : []), [bed, cell]);

  useEffect(() => {
    if (!bed || busy || !ahead) return;
    const control = new AbortController();
    // A flow that this bed cannot carry is left out; the plan tells why when it is looked at.
    const taken = new Set<number>();
    const lost = new Set<number>();
    const runNext = async (index: number): Promise<void> => {
      for (;;) {
        const known = await solvedOn(bed, cell);
        const next = orderFrom(flows, latest.current.flow).find((one) => !known.includes(one) && !taken.has(one));
        const current = latest.current.reach;
        if (next === undefined || !current || control.signal.aborted) return;
        taken.add(next);
        const nearest = orderFrom(known, next)[0];
        const near = nearest === undefined ? undefined : await keptField(database(), bed, nearest, cell);
        const request = { reach: current, discharge: next, cell };
        const outcome = await solveInBackground(index, request, near, () => undefined, control.signal);
        if (outcome.ok) await keepField(database(), bed, outcome.value);
        // A worker that broke down says nothing of the bed: the flow is tried once more.
        else if (!outcome.cancelled && outcome.fault.code === WORKER_LOST && !lost.has(next)) {
          lost.add(next);
          taken.delete(next);
        }
      }
    };
    let timer: ReturnType<typeof setTimeout>;
    act(async () => {
      const known = await solvedOn(bed, cell);
      if (control.signal.aborted) return;
      timer = setTimeout(
        () => {
          for (let index = 0; index < lanesHere(); index++) act(() => runNext(index));
        },
        known.length === 0 ? IDLE : MOMENT,
      );
    });
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [bed, busy, cell, flows, ahead]);

  return useMemo(
    () => ({ flows: flows.map((discharge) => ({ discharge, solved: solved?.includes(discharge) ?? false })) }),
    [flows, solved],
  );
}
