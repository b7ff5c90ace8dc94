"use client";
import { fetched } from "../core/quantity/fetched";
import { useEffect, useMemo, useState } from "react";
import type { Constituent } from "../core/gauge/constituent";
import type { tideAt } from "../core/gauge/tide";
import type { TideState } from "../core/gauge/tide-state";
import { act } from "./act";

/** The tide of a water at a minute; null where it has none. Its predictor comes only for a water that has one. */
export function useTide(constituents: readonly Constituent[] | undefined, minute: number): TideState | null {
  const [predict, setPredict] = useState<typeof tideAt>();
  const tidal = constituents !== undefined && constituents.length > 0;
  useEffect(() => {
    if (tidal) act(() => fetched(import("../core/gauge/tide")).then((one) => setPredict(() => one.tideAt)));
  }, [tidal]);
  return useMemo(
    () => (tidal && predict ? predict(constituents, minute) : null),
    [tidal, predict, constituents, minute],
  );
}
