"use client";
import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from "react";

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
 * Dragging the ground pans.
 */
export function useZoom(box: RefObject<HTMLElement | null>): Zoom {
  const [factor, setFactor] = useState(1);
  const focus = useRef<{ share: [number, number]; at: [number, number] } | undefined>(undefined);
  const latest = useRef(factor);
  const panned = useRef(false);

  /** Zooms to a factor about a point of the box, px from its corner. */
  const zoomTo = (next: number, at?: [number, number]) => {
    const element = box.current;
    if (!element) return;
    const held = Math.min(STEPS.at(-1)!, Math.max(1, next));
    const point = at ?? [element.clientWidth / 2, element.clientHeight / 2];
    focus.current = {
      at: point,
      share: [
        (element.scrollLeft + point[0]) / element.scrollWidth,
        (element.scrollTop + point[1]) / element.scrollHeight,
      ],
    };
    setFactor(held);
  };

  useLayoutEffect(() => {
    latest.current = factor;
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

  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const place = (x: number, y: number): [number, number] => {
      const frame = element.getBoundingClientRect();
      return [x - frame.left, y - frame.top];
    };
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey) return; // the wheel alone scrolls the page
      event.preventDefault();
      zoomTo(latest.current * Math.exp(-event.deltaY / 240), place(event.clientX, event.clientY));
    };
    let pinch: { apart: number; factor: number } | undefined;
    const apart = ([a, b]: readonly Touch[]) => Math.hypot(a!.clientX - b!.clientX, a!.clientY - b!.clientY);
    const onTouch = (event: TouchEvent) => {
      const touches = [...event.touches];
      if (touches.length !== 2) {
        pinch = undefined;
        return;
      }
      event.preventDefault();
      pinch ??= { apart: apart(touches), factor: latest.current };
      zoomTo(
        (pinch.factor * apart(touches)) / pinch.apart,
        place((touches[0]!.clientX + touches[1]!.clientX) / 2, (touches[0]!.clientY + touches[1]!.clientY) / 2),
      );
    };
    let pan: { x: number; y: number; left: number; top: number } | undefined;
    const onDown = (event: PointerEvent) => {
      panned.current = false;
      if (
        event.pointerType !== "mouse" ||
        event.button !== 0 ||
        (event.target as Element).closest("[role=button], button")
      )
        return;
      pan = { x: event.clientX, y: event.clientY, left: element.scrollLeft, top: element.scrollTop };
    };
    const onMove = (event: PointerEvent) => {
      if (!pan) return;
      if (Math.hypot(event.clientX - pan.x, event.clientY - pan.y) > 4) panned.current = true;
      element.scrollTo({
        left: pan.left - (event.clientX - pan.x),
        top: pan.top - (event.clientY - pan.y),
        behavior: "instant",
      });
    };
    const onUp = () => (pan = undefined);
    element.addEventListener("wheel", onWheel, { passive: false });
    element.addEventListener("touchstart", onTouch, { passive: false });
    element.addEventListener("touchmove", onTouch, { passive: false });
    element.addEventListener("touchend", onTouch);
    element.addEventListener("pointerdown", onDown);
    window.addEventListener("pointermove", onMove);
    window.addEventListener("pointerup", onUp);
    return () => {
      element.removeEventListener("wheel", onWheel);
      element.removeEventListener("touchstart", onTouch);
      element.removeEventListener("touchmove", onTouch);
      element.removeEventListener("touchend", onTouch);
      element.removeEventListener("pointerdown", onDown);
      window.removeEventListener("pointermove", onMove);
      window.removeEventListener("pointerup", onUp);
    };
    // zoomTo reads what is newest through refs.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [box]);

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
