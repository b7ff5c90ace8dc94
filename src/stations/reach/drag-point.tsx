"use client";
import { useDrag } from "@use-gesture/react";
import type { KeyboardEvent, ReactNode } from "react";
import { useHeldTouch } from "../../widgets/held-touch";

/** One press of an arrow key moves a point so far, m; with shift four times as far. */
const NUDGE = 0.5;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
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
 * Dragging something on the plan, by mouse or finger: `onMove` follows it with how far it is from where it was taken
 * hold of, m; `onDrop` comes once, where it was let go, unless it was hardly moved.
 */
export const usePlanDrag = (
  scale: number,
  onMove: (by: [number, number]) => void,
  onDrop: (by: [number, number]) => void,
) =>
  useDrag(
    ({ movement: [dx, dy], last, tap, canceled, event }) => {
      event.stopPropagation();
      const by: [number, number] = [dx / scale, dy / scale];
      if (canceled || tap) onMove([0, 0]);
      else if (last) onDrop(by);
      else onMove(by);
    },
    { threshold: 2, filterTaps: true, pointer: { capture: true, touch: false } },
  );

/** A point on the plan that can be dragged, or moved by arrow keys. */
export function DragPoint({
  place,
  scale,
  label,
  onDrag,
  onDrop,
  onCancel,
  children,
}: {
  place: readonly [number, number];
  scale: number;
  label: string;
  /** Where it is while it is dragged; by keys too. */
  onDrag?: (place: [number, number]) => void;
  onDrop?: (place: [number, number]) => void;
  /** It was only pressed, or the drag was broken off; without it, it is where it was. */
  onCancel?: () => void;
  children: ReactNode;
}) {
  const bind = useDrag(
    ({ movement: [dx, dy], last, tap, canceled, event, memo }) => {
      event.stopPropagation();
      const from = (memo as readonly [number, number] | undefined) ?? place;
      const at: [number, number] = [from[0] + dx / scale, from[1] + dy / scale];
      if (canceled || tap) {
        if (onCancel) onCancel();
        else onDrag?.([...from]);
      } else if (last) {
        onDrag?.(at);
        onDrop?.(at);
      } else onDrag?.(at);
      return from;
    },
    { threshold: 2, filterTaps: true, pointer: { capture: true, touch: false } },
  );
  const held = useHeldTouch();
  return (
    <g
      ref={held}
      {...bind()}
      transform={`translate(${place[0] * scale} ${place[1] * scale})`}
      role="button"
      tabIndex={0}
      aria-label={`${label}; arrow keys move it`}
      className="cursor-grab touch-none"
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
