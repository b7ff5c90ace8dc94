"use client";
import { useEffect } from "react";

/** A second tap so soon after the first, ms, and so near it, px, is meant for what was there when the first came. */
export const SOON = 500;
const NEAR = 32;

const PRESSED = "button, a, input, label, select, summary, [role=button], [role=option], [role=menuitem]";

interface Tap {
  at: number;
  x: number;
  y: number;
  on: Element | null;
  /** What it said: one element may come to stand for another thing. */
  said: string | null;
}

/** Is a tap one that lands on what has only just appeared under the finger? */
export function landsOnNew(before: Tap | undefined, tap: Tap): boolean {
  if (!before || tap.at - before.at > SOON || Math.hypot(tap.x - before.x, tap.y - before.y) > NEAR) return false;
  return tap.on !== before.on || tap.said !== before.said;
}

/** Swallows the second of two quick taps where it would press something that the first one brought up. */
export function useOneTap(): void {
  useEffect(() => {
    let before: Tap | undefined;
    const onClick = (event: MouseEvent) => {
      // Keys press without a place.
      if (event.detail === 0) return;
      const on = event.target instanceof Element ? (event.target.closest(PRESSED) ?? event.target) : null;
      const said = on && (on.getAttribute("aria-label") ?? on.textContent);
      const tap = { at: event.timeStamp, x: event.clientX, y: event.clientY, on, said };
      if (landsOnNew(before, tap)) {
        event.preventDefault();
        event.stopPropagation();
        return;
      }
      before = tap;
    };
    window.addEventListener("click", onClick, true);
    return () => window.removeEventListener("click", onClick, true);
  }, []);
}
