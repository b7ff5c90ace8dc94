"use client";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useLiveAnswer } from "../live-answer";
import { useEffect, useMemo, useState } from "react";
import { create } from "zustand";
import { cellsOf, expectedSeconds, paceOf } from "../../core/flow/effort";
import type { Field } from "../../core/flow/grid";
import type { Reach } from "../../core/flow/reach-schema";
import { asFault } from "../../core/quantity/answer";
import type { Fault } from "../../core/quantity/fault";
import { bedKey, cellOf, type FieldRequest, fieldKey, roundFlow, solvedKey } from "../../scenario/field";
import { database } from "../../store/database";
import { keepField, keptField, solvedFlows } from "../../store/fields";
import { solveInWorker } from "../../workers/clients";
import { act, sayLost } from "../act";
import { pause } from "../pause";
import { valueOf } from "../query";
import { fieldBetween, type NamedField, nearestField } from "./kept-fields";

export interface FieldState {
  /** The field to show, under its own name; the asked one or the nearest to it so far. */
  shown: NamedField | undefined;
  /** The asked field, on the finest cells, is there. */
  settled: boolean;
  /** 0..1 while solving. */
  progress: number | undefined;
  /** Seconds that the whole of it is expected to take. */
  expected: number | undefined;
  fault: Fault | undefined;
  cancelled: boolean;
  solved: readonly { discharge: number; cell: number }[];
  cancel: () => void;
  retry: () => void;
}

/** Progress and first pictures of what is being solved, by the key of the question. */
const useSolving = create<{ of: Readonly<Record<string, { done: number; picture?: Field }>> }>(() => ({ of: {} }));

function report(key: string, step: { done: number; picture?: Field } | undefined): void {
  useSolving.setState(({ of }) => {
    const { [key]: before, ...others } = of;
    return { of: step ? { ...others, [key]: { ...before, ...step } } : others };
  });
}

/** The field shown last of each reach and the bed it is of: shown at once, and started from, when either changes. */
const shownLast = new Map<string, { bed: string; shown: NamedField }>();

/** What stands on the plan until something nearer is there: it never goes blank under a hand that moves a stone. */
function shownBefore(reach: Reach | undefined): NamedField | undefined {
  const last = reach && shownLast.get(reach.id);
  if (!last) return undefined;
  if (last.bed !== bedKey(reach)) return { ...last.shown, origin: "earlier-bed" };
  return last.shown.origin === "live" ? last.shown : { ...last.shown, origin: "nearest" };
}

/** Keeps what is shown of a reach, to stand on the plan and be started from when its bed or flow changes. */
export function rememberShown(reach: Reach, shown: NamedField): void {
  shownLast.set(reach.id, { bed: bedKey(reach), shown });
}

/** s a wet cell and step, as the last solve on this machine has shown. */
let pace: number | undefined;
const wetCells = ({ depth }: Field): number => depth.reduce((count, h) => count + (h > 0 ? 1 : 0), 0);

/** Waits for the slider to rest, ms. */
const REST = 150;

/** The nearest to a field that is there already. */
async function startFor({ reach, discharge }: FieldRequest): Promise<NamedField | undefined> {
  const [bed, cell] = [bedKey(reach), cellOf(reach)];
  const between = await fieldBetween(bed, discharge, cell);
  if (between) return { key: `${fieldKey({ reach, discharge, cell })}~between`, field: between, origin: "between" };
  const nearest = await nearestField(bed, discharge, cell);
  if (nearest)
    return {
      key: solvedKey({ reach, discharge: nearest.discharge, cell }, nearest),
      field: nearest,
      origin: "nearest",
    };
  // Where nothing is solved on this bed yet, what was shown of its earlier state is the nearest start.
  const last = shownBefore(reach);
  // The live picture of this very bed is one on whatever cells: solving from it begins on coarser ones.
  return last && (last.origin === "live" || Math.abs(last.field.cell - cell) < 1e-9) ? last : undefined;
}

/** The field from the book when it was solved before, else solved in the worker, coarse first. Kept when it is done. */
async function solveOrRead(request: FieldRequest, key: string, signal: AbortSignal): Promise<Field> {
  const [bed, cell] = [bedKey(request.reach), cellOf(request.reach)];
  const kept = await keptField(database(), bed, request.discharge, cell);
  if (kept) return kept;
  report(key, { done: 0 });
  try {
    const start = await startFor(request);
    // A hand that has let go has rested already.
    if (start?.origin !== "live") await pause(REST, signal);
    const begun = performance.now();
    const outcome = await solveInWorker(
      request,
      start?.field,
      ({ done, picture }) => report(key, picture ? { done, picture } : { done }),
      signal,
    );
    if (!outcome.ok && outcome.cancelled) throw new DOMException("", "AbortError");
    const field = valueOf(outcome);
    pace = paceOf((performance.now() - begun) / 1000, field.steps, wetCells(field));
    // It is shown before it is kept: a full disk costs only time.
    keepField(database(), bed, field).catch(sayLost);
    return field;
  } finally {
    report(key, undefined);
  }
}

/** The field of a reach at a flow. */
export function useField(reach: Reach | undefined, wanted: number | undefined): FieldState {
  const client = useQueryClient();
  const request = useMemo(
    (): FieldRequest | undefined =>
      reach && wanted !== undefined ? { reach, discharge: roundFlow(wanted), cell: cellOf(reach) } : undefined,
    [reach, wanted],
  );
  const key = request && fieldKey(request);
  const bed = reach && bedKey(reach);
  const query = useQuery({
    queryKey: ["field", key],
    enabled: request !== undefined,
    gcTime: 30_000,
    queryFn: ({ signal }) => solveOrRead(request!, key!, signal),
  });
  const near = useQuery({
    queryKey: ["start", key],
    enabled: request !== undefined && query.data === undefined,
    gcTime: 1000,
    queryFn: async () => (await startFor(request!)) ?? null,
  });
  const step = useSolving(({ of }) => (key === undefined ? undefined : of[key]));
  const [stopped, setStopped] = useState<string | undefined>();
  const solved = useLiveAnswer(() => (bed ? solvedFlows(database(), bed) : []), [bed]) ?? [];

  const expected = useMemo(() => reach && expectedSeconds(cellsOf(reach), pace), [reach]);
  const picture = step?.picture;
  const shown = useMemo((): NamedField | undefined => {
    if (key === undefined) return undefined;
    if (query.data) return { key: solvedKey(request!, query.data), field: query.data, origin: "solved" };
    if (picture) return { key: `${key}~${picture.cell}`, field: picture, origin: "coarse" };
    return near.data ?? shownBefore(reach);
  }, [key, request, query.data, picture, near.data, reach]);
  useEffect(() => {
    if (reach && key && shown && (shown.origin === "solved" || shown.origin === "coarse")) rememberShown(reach, shown);
  }, [reach, key, shown]);

  const solving = query.fetchStatus === "fetching";
  return {
    shown,
    settled: query.data !== undefined,
    progress: solving ? (step?.done ?? 0) : undefined,
    expected: solving ? expected : undefined,
    fault: query.error && !solving ? asFault(query.error) : undefined,
    cancelled: stopped === key && query.data === undefined && !solving,
    solved,
    cancel: () => {
      setStopped(key);
      act(() => client.cancelQueries({ queryKey: ["field", key] }));
    },
    retry: () => {
      setStopped(undefined);
      act(() => query.refetch());
    },
  };
}
