"use client";
import { DragPoint } from "./drag-point";

/** A line on the plan: its first and its second end, m. */
export type Line = readonly [readonly [number, number], readonly [number, number]];

/** The line of a section, its ends to be taken hold of. */
export function SectionLine({
  line,
  scale,
  size,
  where,
  onChange,
}: {
  line: Line;
  scale: number;
  size: readonly [number, number];
  /** Where a place is by what can be seen. */
  where: (place: readonly [number, number]) => string;
  onChange: (line: Line) => void;
}) {
  const held = ([x, y]: readonly [number, number]): [number, number] => [
    Math.min(size[0], Math.max(0, x)),
    Math.min(size[1], Math.max(0, y)),
  ];
  const d = `M${line[0][0] * scale} ${line[0][1] * scale}L${line[1][0] * scale} ${line[1][1] * scale}`;
  return (
    <g>
      <path d={d} stroke="var(--paper)" strokeWidth={4.5} strokeOpacity={0.7} />
      <path d={d} stroke="var(--ochre)" strokeWidth={2} strokeDasharray="10 4" />
      {line.map((end, k) => (
        <DragPoint
          key={k}
          place={end}
          scale={scale}
          label={`End ${"AB"[k]} of the section, ${where(end)}`}
          onDrag={(place) => onChange(k === 0 ? [held(place), line[1]] : [line[0], held(place)])}
        >
          <circle r={10} fill="var(--paper)" stroke="var(--ochre)" strokeWidth={2.4} />
          <text y={4.5} textAnchor="middle" fontSize={14} fontWeight={700} fill="var(--ink)">
            {"AB"[k]}
          </text>
        </DragPoint>
      ))}
    </g>
  );
}
