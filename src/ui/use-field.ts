"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useRef, useState } from "react";
import type { Fault } from "../core/quantity/fault";
import type { Field } from "../core/flow/grid";
import { between, bracket, RUNG_CELL } from "../core/flow/ladder";
import type { Reach } from "../core/flow/reach";
import { database } from "../store/database";
import { bedKey, keepField, keptField, solvedFlows } from "../store/fields";
import { solveInWorker } from "../workers/clients";

export interface FieldState {
  /** The field to show: the asked one, a coarser first picture of it, or the nearest solved flow. */
  field: Field | undefined;
  /** The field is at the asked flow. */
  exact: boolean;
  /** The field is that of the bed before its last change, until the new one has a picture. */
  earlierBed: boolean;
  /** The field is worked out from the rungs of the ladder on both sides. */
  fromLadder: boolean;
  /** The finest grid is done. */
  settled: boolean;
  /** 0..1 while solving. */
  progress: number | undefined;
  fault: Fault | undefined;
  cancelled: boolean;
  solved: { discharge: number; cell: number }[];
  cancel: () => void;
  retry: () => void;
}

/** Flows are solved at three figures: finer differences are not seen. */
export const roundFlow = (discharge: number): number => Number(discharge.toPrecision(3));
/** Waits for the slider to rest, ms. */
const REST = 300;
export const cellOf = (reach: Reach): number => (reach.bed.kind === "template" ? 0.5 : reach.bed.cell);

/** The field of a reach at a flow: from the book when it was solved before, else solved in the worker, coarse first. */
export function useField(reach: Reach | undefined, wanted: number | undefined): FieldState {
  const flow = wanted === undefined ? undefined : roundFlow(wanted);
  const bed = reach && bedKey(reach);
  const [attempt, setAttempt] = useState(0);
  const [state, setState] = useState<{
    key: string;
    field?: Field;
    earlierBed?: boolean;
    fromLadder?: boolean;
    settled: boolean;
    progress?: number;
    fault?: Fault;
    cancelled: boolean;
  }>({ key: "", settled: false, cancelled: false });
  const abort = useRef<AbortController | undefined>(undefined);
  const solved = useLiveQuery(() => (bed ? solvedFlows(database(), bed) : []), [bed]) ?? [];
  const key = `${bed}|${flow}|${attempt}`;
  const reachRef = useRef(reach);
  const shownRef = useRef<{ reach: string; field: Field } | undefined>(undefined);
  useEffect(() => {
    reachRef.current = reach;
    if (reach && state.field && state.key.startsWith(reach.id))
      shownRef.current = { reach: reach.id, field: state.field };
  });

  useEffect(() => {
    const current = reachRef.current;
    if (!current || !bed || flow === undefined) return;
    const control = new AbortController();
    abort.current = control;
    const cell = cellOf(current);
    const put = (change: Partial<typeof state>) =>
      !control.signal.aborted &&
      setState((before) => ({ ...before, key, cancelled: false, fault: undefined, ...change }));
    const work = async () => {
      const db = database();
      const kept = await keptField(db, bed, flow, cell);
      if (kept) return put({ field: kept, earlierBed: false, fromLadder: false, settled: true, progress: undefined });
      // Where nothing is solved on this bed yet, what is shown of its earlier state is the nearest start.
      const rung = await fieldOnLadder(bed, flow, cell);
      const solvedNear = rung ?? (await nearest(bed, flow, cell));
      const near = solvedNear ?? earlier(shownRef.current, current.id, cell);
      put({
        settled: false,
        progress: 0,
        earlierBed: near !== undefined && !solvedNear,
        fromLadder: rung !== undefined,
        ...(near ? { field: near } : {}),
      });
      await new Promise((resolve) => setTimeout(resolve, REST));
      if (control.signal.aborted) return;
      const answer = await solveInWorker(
        current,
        flow,
        cell,
        near,
        (step) =>
          put({
            progress: step.done,
            ...(step.picture ? { field: step.picture, earlierBed: false, fromLadder: false } : {}),
          }),
        control.signal,
      );
      if (answer.ok) {
        await keepField(db, bed, answer.field);
        put({ field: answer.field, earlierBed: false, fromLadder: false, settled: true, progress: undefined });
      } else if (!answer.cancelled) put({ fault: answer.fault, progress: undefined });
    };
    void work();
    return () => control.abort();
  }, [bed, flow, key]);

  const own = state.key.startsWith(`${bed}|`);
  const cancel = () => {
    abort.current?.abort();
    setState((before) => ({ ...before, progress: undefined, cancelled: true }));
  };
  return {
    field: own ? state.field : undefined,
    exact: own && state.field !== undefined && flow !== undefined && Math.abs(state.field.discharge / flow - 1) < 1e-3,
    earlierBed: own && state.earlierBed === true,
    fromLadder: own && state.fromLadder === true,
    settled: own && state.key === key && state.settled,
    progress: own ? state.progress : undefined,
    fault: own ? state.fault : undefined,
    cancelled: own && state.cancelled,
    solved,
    cancel,
    retry: () => setAttempt((count) => count + 1),
  };
}

/** Rungs read last, so that moving the slider reads the disk but once a rung. */
const rungsRead = new Map<string, Field>();
const MOST_RUNGS = 24;

async function rungField(bed: string, discharge: number, cell: number): Promise<Field | undefined> {
  const key = `${bed}|${discharge}|${cell}`;
  const known = rungsRead.get(key) ?? (await keptField(database(), bed, discharge, cell));
  if (!known) return undefined;
  if (rungsRead.size >= MOST_RUNGS) rungsRead.clear();
  rungsRead.set(key, known);
  return known;
}

/** The field at a flow from the ladder's rungs on both sides of it. */
export async function fieldOnLadder(bed: string, flow: number, finest: number): Promise<Field | undefined> {
  const cell = Math.max(RUNG_CELL, finest);
  const rungs = (await solvedFlows(database(), bed)).filter((one) => one.cell === cell).map((one) => one.discharge);
  const pair = bracket(rungs, flow);
  const [low, high] = pair ? await Promise.all(pair.map((rung) => rungField(bed, rung, cell))) : [];
  return low && high && between(low, high, flow);
}

const earlier = (shown: { reach: string; field: Field } | undefined, reach: string, cell: number): Field | undefined =>
  shown?.reach === reach && Math.abs(shown.field.cell - cell) < 1e-9 ? shown.field : undefined;

/** The kept field of the flow nearest by ratio, at the fine cell. */
async function nearest(bed: string, flow: number, cell: number): Promise<Field | undefined> {
  const flows = (await solvedFlows(database(), bed)).filter((one) => one.cell === cell);
  const best = flows.sort((a, b) => Math.abs(Math.log(a.discharge / flow)) - Math.abs(Math.log(b.discharge / flow)))[0];
  return best && keptField(database(), bed, best.discharge, cell);
}
