"use client";
import type { Catch } from "../../core/book/records";
import { dayAndTime } from "../../words/river";

/** Flows within this share in ln Q count as much the same. Common practice, no source. */
const ALIKE = 0.3;

/**
 * Placed fish on the plan, full: those had when the river ran much as it is shown; with `all` also the others, in
 * outline.
 */
export function FishMarks({
  catches,
  discharge,
  all,
  scale,
}: {
  catches: readonly Catch[];
  discharge: number;
  all: boolean;
  scale: number;
}) {
  return (
    <g>
      {catches
        .flatMap((one) => (one.place ? [{ ...one, place: one.place }] : []))
        .map((one) => {
          const near = one.river?.discharge != null && Math.abs(Math.log(one.river.discharge / discharge)) < ALIKE;
          if (!near && !all) return null;
          return (
            <g key={one.id} transform={`translate(${one.place.x * scale} ${one.place.y * scale})`}>
              <title>{dayAndTime(one.at)}</title>
              <path
                d="M-7 0Q-2 -4.5 4 0L8 -3.5V3.5L4 0Q-2 4.5 -7 0Z"
                fill={near ? "var(--clay)" : "var(--paper)"}
                stroke={near ? "var(--paper)" : "var(--ink)"}
                strokeWidth={near ? 1.4 : 1.2}
                paintOrder="stroke"
                strokeLinejoin="round"
              />
            </g>
          );
        })}
    </g>
  );
}
