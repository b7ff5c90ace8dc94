"use client";
import { useGesture } from "@use-gesture/react";
import { type RefObject, useLayoutEffect, useRef, useState } from "react";

const STEPS = [1, 1.5, 2, 3, 4, 6];

export interface Zoom {
  factor: number;
  /** One step in or out, about the middle of what is seen. */
  inward: (() => void) | undefined;
  outward: (() => void) | undefined;
  whole: () => void;
  /** The last press of the mouse dragged the ground: no click was meant. */
  panned: () => boolean;
}

/**
 * Zoom of a scrolling box by buttons, keys, a pinch or the wheel with Ctrl; the place under the fingers stays there.
 * Dragging the ground with the mouse pans; a finger scrolls as everywhere.
 */
export function useZoom(box: RefObject<HTMLElement | null>): Zoom {
  const [factor, setFactor] = useState(1);
  const focus = useRef<{ share: [number, number]; at: [number, number] } | undefined>(undefined);
  const panned = useRef(false);

  /** Zooms to a factor about a point of the box, px from its corner. */
  const zoomTo = (next: number, at?: [number, number]) => {
    const element = box.current;
    if (!element) return;
    const point = at ?? [element.clientWidth / 2, element.clientHeight / 2];
    focus.current = {
      at: point,
      share: [
        (element.scrollLeft + point[0]) / element.scrollWidth,
        (element.scrollTop + point[1]) / element.scrollHeight,
      ],
    };
    setFactor(Math.min(STEPS.at(-1)!, Math.max(1, next)));
  };

  useLayoutEffect(() => {
    const element = box.current;
    const kept = focus.current;
    if (!element || !kept) return;
    element.scrollTo({
      left: kept.share[0] * element.scrollWidth - kept.at[0],
      top: kept.share[1] * element.scrollHeight - kept.at[1],
      behavior: "instant",
    });
    focus.current = undefined;
  }, [factor, box]);

  useGesture(
    {
      onPinch: ({ offset: [next], origin, event, last }) => {
        event.preventDefault();
        // Its end says nothing new, and with the wheel comes late: what was pressed meanwhile stays.
        if (last) return;
        const frame = box.current!.getBoundingClientRect();
        zoomTo(next, [origin[0] - frame.left, origin[1] - frame.top]);
      },
      onPointerDown: () => {
        panned.current = false;
      },
      onDrag: ({ delta: [dx, dy], event, cancel, first, tap }) => {
        // A press that did not move is heard of too: it is the click's.
        if (tap) return;
        const element = box.current!;
        const mouse = (event as PointerEvent).pointerType === "mouse";
        if (!mouse || (first && (event.target as Element).closest("[role=button], button"))) return cancel();
        panned.current = true;
        element.scrollBy({ left: -dx, top: -dy, behavior: "instant" });
      },
    },
    {
      target: box,
      eventOptions: { passive: false },
      pinch: { from: () => [factor, 0], scaleBounds: { min: 1, max: STEPS.at(-1)! }, pinchOnWheel: true },
      drag: { threshold: 4, filterTaps: true },
    },
  );

  const inward = STEPS.find((step) => step > factor * 1.01);
  const outward = [...STEPS].reverse().find((step) => step < factor * 0.99);
  return {
    factor,
    inward: inward ? () => zoomTo(inward) : undefined,
    outward: outward ? () => zoomTo(outward) : undefined,
    whole: () => zoomTo(1),
    panned: () => panned.current,
  };
}
