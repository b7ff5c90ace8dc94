"use client";
import { useMemo } from "react";
import { type UsualClarity, usualClarity } from "../../core/gauge/usual-clarity";
import { roundFlow } from "../../scenario/field";
import type { River } from "../use-river";

/** How clear the record says a chosen flow is: one under the river's own is met on its way down, others on a rise. */
export function useUsualClarity(
  { gauge, now }: Pick<River, "gauge" | "now">,
  chosen: number | null,
): UsualClarity | null {
  const own = now?.discharge ?? null;
  const other = chosen === null || own === null ? null : roundFlow(chosen);
  const limb = other !== null && other > own! ? "rising" : "falling";
  return useMemo(() => (gauge && other !== null ? usualClarity(gauge, other, limb) : null), [gauge, other, limb]);
}
