"use client";
import { useMemo } from "react";
import type { Field } from "../../core/flow/grid";
import type { Wading } from "../../core/water/wading";

/** Wading: easy water is left clear; dots for care, close dots for strong water, hatching for stay out. */
export function WadingCells({ wading, field, scale }: { wading: Wading; field: Field; scale: number }) {
  const paths = useMemo(() => {
    const { nx, ny, cell } = field;
    const d = ["", "", "", "", ""];
    const s = cell * scale;
    for (let j = 0; j < ny; j++) {
      for (let i = 0; i < nx;) {
        const kind = wading.classes[j * nx + i]!;
        let end = i + 1;
        while (end < nx && wading.classes[j * nx + end] === kind) end++;
        if (kind >= 2)
          d[kind] +=
            `M${(i * s).toFixed(1)} ${(j * s).toFixed(1)}h${((end - i) * s).toFixed(1)}v${s.toFixed(1)}h${(-(end - i) * s).toFixed(1)}z`;
        i = end;
      }
    }
    return d;
  }, [wading, field, scale]);
  return (
    <g aria-hidden>
      <path d={paths[2]} fill="url(#wade-careful)" />
      <path d={paths[3]} fill="url(#wade-strong)" />
      <path d={paths[4]} fill="url(#wade-out)" />
    </g>
  );
}

/** Fill patterns of the wading classes. */
export function WadingPatterns() {
  return (
    <>
      <pattern id="wade-careful" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle
          cx="3.5"
          cy="3.5"
          r="1.5"
          fill="var(--ochre)"
          stroke="var(--paper)"
          strokeOpacity="0.6"
          strokeWidth="0.7"
        />
      </pattern>
      <pattern id="wade-strong" width="5" height="5" patternUnits="userSpaceOnUse">
        <circle
          cx="2.5"
          cy="2.5"
          r="1.7"
          fill="var(--ochre)"
          stroke="var(--paper)"
          strokeOpacity="0.6"
          strokeWidth="0.6"
        />
      </pattern>
      <pattern id="wade-out" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M2 0V7" stroke="var(--paper)" strokeWidth="3.4" strokeOpacity="0.55" />
        <path d="M2 0V7" stroke="var(--clay)" strokeWidth="2" />
      </pattern>
    </>
  );
}
