"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useMemo, useState } from "react";
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

/** Waits until nothing has been asked for a while, ms. */
const IDLE = 2500;

/**
 * Solves a reach at the rungs of its ladder in the background, one after the other, each from its solved neighbour, while nothing else is being
 * solved. Kept as they come, so that a reload goes on where it stopped; a changed bed makes them stale and starts anew.
 */
export function useLadder(reach: Reach | undefined, low: number, high: number, flow: number, busy: boolean): Ladder {
  const bed = reach && bedKey(reach);
  const cell = reach ? Math.max(RUNG_CELL, cellOf(reach)) : RUNG_CELL;
  const flows = useMemo(() => rungsBetween(low, high), [low, high]);
  const [refused, setRefused] = useState<ReadonlySet<string>>(new Set());
  const solved = useLiveQuery(async () => (bed ? (await solvedFlows(database(), bed)).filter((one) => one.cell === cell).map((one) => one.discharge) : []), [bed, cell]);
  const next = solved && orderFrom(flows, flow).find((rung) => !solved.includes(rung) && !refused.has(`${bed}|${rung}`));

  useEffect(() => {
    if (!reach || !bed || busy || next === undefined || !solved) return;
    const control = new AbortController();
    const timer = setTimeout(() => void (async () => {
      const nearest = orderFrom(solved, next)[0];
      const near = nearest === undefined ? undefined : await keptField(database(), bed, nearest, cell);
      const answer = await solveInBackground(reach, next, cell, near, () => undefined, control.signal);
      if (answer.ok) await keepField(database(), bed, answer.field);
      // A flow that this bed cannot carry is left out; the plan tells why when it is looked at.
      else if (!answer.cancelled) setRefused((before) => new Set([...before, `${bed}|${next}`]));
    })(), solved.length === 0 ? IDLE : 50);
    return () => {
      clearTimeout(timer);
      control.abort();
    };
    // The bed's key stands for the reach: a new object of the same bed does not start anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [bed, busy, next, cell]);

  return { rungs: flows.map((discharge) => ({ discharge, solved: solved?.includes(discharge) ?? false })) };
}
