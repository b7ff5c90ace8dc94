"use client";
import { useMemo } from "react";
import type { Field } from "../../core/flow/grid";
import { contourPath, heightOverWater } from "./contours";

/** Land by its height: a few quiet contour lines above the water. */
export function Banks({ field, scale }: { field: Field; scale: number }) {
  const lines = useMemo(() => {
    const height = heightOverWater(field);
    const { nx, ny, cell } = field;
    return [0.25, 0.7, 1.2].map((level) => contourPath(height, nx, ny, cell * scale, level));
  }, [field, scale]);
  const [width, heightPx] = [field.nx * field.cell * scale, field.ny * field.cell * scale];
  return (
    <svg width={width} height={heightPx} aria-hidden className="absolute inset-0">
      {lines.map((d, k) => (
        <path key={k} d={d} fill="none" stroke="var(--line)" strokeWidth={1.2} strokeOpacity={1 - 0.25 * k} />
      ))}
    </svg>
  );
}
