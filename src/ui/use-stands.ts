"use client";
import { useEffect, useState } from "react";
import type { BoatStand } from "../core/approach/boat";
import type { Field } from "../core/flow/grid";
import type { Lie, Reading } from "../core/fish/read";
import type { Sun } from "../core/approach/shadow";
import type { Feature } from "../core/flow/reach";
import type { Stand } from "../core/approach/stands";
import { readWorker } from "../workers/clients";
import { Latest } from "./latest";

const queue = new Latest();

export interface Stands {
  stands: readonly Stand[];
  boat: BoatStand | undefined;
}
const NONE: Stands = { stands: [], boat: undefined };

/** What decides where to stand beside the field and the lie. */
export interface StandOptions {
  visibleDepth: number;
  /** The angler's height, m; the fall of the lure, m/s; casts to each target. */
  height: number;
  fall: number;
  casts: number;
  sun: Sun | undefined;
  features: readonly Feature[] | undefined;
}

/** Where to stand for a lie by school, and where to anchor, worked out in the worker. */
export function useStands(
  field: Field | undefined,
  reading: Reading | undefined,
  lie: Lie | undefined,
  { visibleDepth, height, fall, casts, sun, features }: StandOptions,
): Stands {
  const [state, setState] = useState<{ field?: Field; lie?: Lie } & Stands>(NONE);
  // The sun moves by the minute: two degrees are near enough.
  const [altitude, sx, sy] = sun
    ? [Math.round(sun.altitude / 2) * 2, Math.round(sun.shadows[0] * 30) / 30, Math.round(sun.shadows[1] * 30) / 30]
    : [null, 0, 0];
  useEffect(() => {
    if (!field || !lie || !reading) return;
    let gone = false;
    queue.ask(async () => {
      if (gone) return;
      const found = await readWorker().stands(
        field,
        {
          x: lie.x,
          y: lie.y,
          upCurrent: lie.upCurrent,
          eyeDepth: Math.max(0.05, lie.depth - lie.focalHeight),
          lureHeight: Math.min(lie.focalHeight, 0.5 * lie.depth),
          visibleDepth,
          height,
          fall,
          casts,
          features,
          seams: reading.seams,
          sun: altitude === null ? null : { altitude: Math.max(1, altitude), shadows: [sx, sy] },
        },
        reading.structure.ledges,
      );
      if (!gone) setState({ field, lie, ...found });
    });
    return () => {
      gone = true;
    };
  }, [field, reading, lie, visibleDepth, height, fall, casts, altitude, sx, sy, features]);
  return state.field === field && state.lie === lie ? state : NONE;
}
