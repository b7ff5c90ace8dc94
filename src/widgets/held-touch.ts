"use client";
import { useCallback } from "react";

const hold = (event: Event) => event.preventDefault();

/**
 * A ref for what is dragged by finger: the browser does not take a touch that begins on it for scrolling or zooming.
 * `touch-action` does not do that within a drawing.
 */
export function useHeldTouch() {
  return useCallback((element: Element | null) => {
    if (!element) return undefined;
    element.addEventListener("touchstart", hold, { passive: false });
    return () => element.removeEventListener("touchstart", hold);
  }, []);
}
