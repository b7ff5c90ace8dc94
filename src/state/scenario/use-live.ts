"use client";
import { useEffect, useRef, useState } from "react";
import type { Field } from "../../core/flow/grid";
import type { Reach } from "../../core/flow/reach-schema";
import { bedKey, fieldKey, roundFlow } from "../../scenario/field";
import { followInWorker } from "../../workers/clients";
import { act } from "../act";
import type { NamedField } from "./kept-fields";
import { dropDraft, useDraft } from "./shaping";
import { rememberShown } from "./use-field";
import type { NumberedReading } from "./use-reading";

/** A hand that holds still is followed for so many pictures more: the water runs on meanwhile. */
const STILL = 8;

/** The water over a bed under the hand, and what is read of it. */
export interface LivePicture {
  shown: NamedField;
  reading: NumberedReading | undefined;
}

/**
 * The bed under the hand, if it is one of this reach. It stands only over the very bed that the hand has worked on:
 * when the book has another, by what was let go of or by anything else, it is over.
 */
export function useDraftOf(reach: Reach | undefined): Reach | undefined {
  const draft = useDraft((state) => state.draft);
  const stands = draft !== undefined && reach !== undefined && bedKey(draft.over) === bedKey(reach);
  useEffect(() => {
    if (draft && reach && !stands) dropDraft();
  }, [draft, reach, stands]);
  return stands && bedKey(draft.reach) !== bedKey(reach) ? draft.reach : undefined;
}

/**
 * Pictures of the flow over a bed under the hand, each from the one before. One is worked out at a time, always of the
 * newest bed, so that none is waited for that nobody wants any more.
 */
export function useLive(
  draft: Reach | undefined,
  wanted: number | undefined,
  start: NamedField | undefined,
  read: (shown: NamedField, reach: Reach) => Promise<NumberedReading | undefined>,
): LivePicture | undefined {
  const [picture, setPicture] = useState<LivePicture | undefined>();
  const reader = useRef(read);
  useEffect(() => {
    reader.current = read;
  });
  const latest = useRef<{ draft: Reach; discharge: number; start: Field } | undefined>(undefined);
  const running = useRef(false);
  const field = start?.field;
  useEffect(() => {
    latest.current =
      draft && wanted !== undefined && field ? { draft, discharge: roundFlow(wanted), start: field } : undefined;
    if (!latest.current || running.current) return;
    running.current = true;
    act(async () => {
      try {
        // What an earlier hand has left is no picture of this bed.
        setPicture(undefined);
        let before: Field | undefined;
        let [last, still, count] = [undefined as Reach | undefined, 0, 0];
        while (latest.current) {
          const { draft: reach, discharge, start: first } = latest.current;
          still = reach === last ? still + 1 : 0;
          if (still > STILL) break;
          last = reach;
          const request = { reach, discharge, cell: undefined };
          const outcome = await followInWorker(request, before ?? first);
          // A bed that cannot carry the flow, half way of a drag: the picture before stands until it can again.
          if (!outcome.ok) {
            still = STILL;
            continue;
          }
          before = outcome.value;
          if (!latest.current) break;
          const shown: NamedField = { key: `${fieldKey(request)}~live${count++}`, field: before, origin: "live" };
          rememberShown(reach, shown);
          // Water and seams of one picture are shown together.
          setPicture({ shown, reading: await reader.current(shown, reach) });
        }
      } finally {
        running.current = false;
      }
    });
  }, [draft, wanted, field]);
  return draft ? picture : undefined;
}
