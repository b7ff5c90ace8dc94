"use client";
import { PlanLabel } from "./plan-label";
import type { WaterReading } from "../../core/flow/reach-schema";

/** Where readings were taken, on the plan. */
export function ReadingMarks({ readings, scale }: { readings: readonly WaterReading[]; scale: number }) {
  return (
    <g aria-hidden>
      {readings.map(({ x, y }, k) => (
        <g key={k} transform={`translate(${x * scale} ${y * scale})`}>
          <path d="M0 9V-9M-4 -9H4M-3 -3H3M-3 3H3" stroke="var(--paper)" strokeWidth={4.5} strokeLinecap="round" />
          <path d="M0 9V-9M-4 -9H4M-3 -3H3M-3 3H3" stroke="var(--ink)" strokeWidth={1.8} strokeLinecap="round" />
          <PlanLabel colour="var(--ink)">{k + 1}</PlanLabel>
        </g>
      ))}
    </g>
  );
}
