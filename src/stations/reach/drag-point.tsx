"use client";
import { type KeyboardEvent, type PointerEvent, type ReactNode, useState } from "react";

/** One press of an arrow key moves a point so far, m; with shift four times as far. */
const NUDGE = 0.5;
export const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** How far a key moves something, m down the reach and across it; undefined for other keys. */
export function nudgeOf(event: KeyboardEvent): [number, number] | undefined {
  const step = ARROWS[event.key];
  const far = NUDGE * (event.shiftKey ? 4 : 1);
  return step && [step[0] * far, step[1] * far];
}

/**
 * A point on the plan that can be dragged, or moved by arrow keys. `onDrag` follows the finger, `onDrop` comes once,
 * with where it was let go.
 */
export function DragPoint({
  place,
  scale,
  label,
  onDrag,
  onDrop,
  children,
}: {
  place: readonly [number, number];
  scale: number;
  label: string;
  onDrag?: (place: [number, number]) => void;
  onDrop?: (place: [number, number]) => void;
  children: ReactNode;
}) {
  const [drag, setDrag] = useState<{ pointer: [number, number]; from: readonly [number, number] } | undefined>();
  const at = (event: PointerEvent, { pointer, from }: NonNullable<typeof drag>): [number, number] => [
    from[0] + (event.clientX - pointer[0]) / scale,
    from[1] + (event.clientY - pointer[1]) / scale,
  ];
  return (
    <g
      transform={`translate(${place[0] * scale} ${place[1] * scale})`}
      role="button"
      tabIndex={0}
      aria-label={`${label}; arrow keys move it`}
      className="cursor-grab touch-none"
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ pointer: [event.clientX, event.clientY], from: place });
      }}
      onPointerMove={(event) => drag && onDrag?.(at(event, drag))}
      onPointerUp={(event) => {
        if (drag && Math.hypot(event.clientX - drag.pointer[0], event.clientY - drag.pointer[1]) > 2)
          onDrop?.(at(event, drag));
        setDrag(undefined);
      }}
      onPointerCancel={() => setDrag(undefined)}
      onKeyDown={(event) => {
        const by = nudgeOf(event);
        if (!by) return;
        event.preventDefault();
        event.stopPropagation();
        const next: [number, number] = [place[0] + by[0], place[1] + by[1]];
        onDrag?.(next);
        onDrop?.(next);
      }}
    >
      <circle r={22} fill="transparent" />
      {children}
    </g>
  );
}
