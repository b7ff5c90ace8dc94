"use client";
import { useEffect, useState } from "react";
import type { Field } from "../core/flow/grid";
import type { Lie } from "../core/lies/read";
import type { Stand } from "../core/lies/stands";
import { readWorker } from "../workers/clients";
import { Latest } from "./latest";

const queue = new Latest();
const NONE: readonly Stand[] = [];

/** Where to stand for a lie, by school, worked out in the worker. */
export function useStands(field: Field | undefined, lie: Lie | undefined, visibleDepth: number, height: number): readonly Stand[] {
  const [state, setState] = useState<{ field?: Field; lie?: Lie; stands: readonly Stand[] }>({ stands: NONE });
  useEffect(() => {
    if (!field || !lie) return;
    let gone = false;
    queue.ask(async () => {
      if (gone) return;
      const stands = await readWorker().stands(field, { x: lie.x, y: lie.y, upCurrent: lie.upCurrent, eyeDepth: Math.max(0.05, lie.depth - lie.focalHeight), visibleDepth, height });
      if (!gone) setState({ field, lie, stands });
    });
    return () => {
      gone = true;
    };
  }, [field, lie, visibleDepth, height]);
  return state.field === field && state.lie === lie ? state.stands : NONE;
}
