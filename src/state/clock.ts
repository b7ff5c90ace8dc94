"use client";
import { useEffect, useState } from "react";
import { DEMO_HOUR } from "../demo/hour";
import { useSettings } from "./settings";

/**
 * The one clock of the application. While the demo river is looked at it is the demo's: its hour when it was loaded,
 * running on from there; otherwise it is this device's.
 */
export function clockNow(): number {
  const { demo, reach } = useSettings.getState();
  return demo && (reach === null || demo.reaches.includes(reach))
    ? DEMO_HOUR + (Date.now() - demo.loadedAt)
    : Date.now();
}

/** Is the clock the demo's? */
export const useDemoClock = (): boolean =>
  useSettings(({ demo, reach }) => demo !== null && (reach === null || demo.reaches.includes(reach)));

/** The present minute by that clock, ms; ticks. */
export function useMinute(): number {
  const isDemo = useDemoClock();
  const loadedAt = useSettings(({ demo }) => demo?.loadedAt);
  const [state, setState] = useState(() => ({ isDemo, now: clockNow() }));
  useEffect(() => {
    const timer = setInterval(() => setState({ isDemo, now: clockNow() }), 60_000);
    return () => clearInterval(timer);
  }, [isDemo, loadedAt]);
  // Another clock speaks at once, not at its next tick.
  if (state.isDemo !== isDemo) {
    const now = clockNow();
    setState({ isDemo, now });
    return now;
  }
  return state.now;
}
