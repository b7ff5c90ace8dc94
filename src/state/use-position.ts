"use client";
import { useEffect, useRef, useState } from "react";
import type { Position } from "../core/trace/georeference";

/** Where the device is, as it says itself: with the radius that holds it two times in three, m. */
export interface Located {
  at: Position;
  accuracy: number;
  time: number;
}

export type Locating = "off" | "waiting" | "on" | "refused" | "unavailable";

/**
 * The device's own position, asked for only while `wanted`; it leaves the device with nobody.
 * @param onFix called with every new position
 */
export function usePosition(
  wanted: boolean,
  onFix?: (fix: Located) => void,
): { state: Locating; last: Located | undefined } {
  const [state, setState] = useState<Locating>("off");
  const [last, setLast] = useState<Located | undefined>();
  const heard = useRef(onFix);
  useEffect(() => {
    heard.current = onFix;
  });
  useEffect(() => {
    if (!wanted) return;
    const { geolocation } = navigator as { geolocation?: Geolocation };
    const begin = () => setState(geolocation ? "waiting" : "unavailable");
    begin();
    const watch = geolocation?.watchPosition(
      ({ coords, timestamp }) => {
        const fix = { at: [coords.longitude, coords.latitude] as const, accuracy: coords.accuracy, time: timestamp };
        setState("on");
        setLast(fix);
        heard.current?.(fix);
      },
      (error) => setState(error.code === error.PERMISSION_DENIED ? "refused" : "unavailable"),
      { enableHighAccuracy: true, maximumAge: 2000, timeout: 30_000 },
    );
    return () => {
      if (watch !== undefined) geolocation?.clearWatch(watch);
      setState("off");
      setLast(undefined);
    };
  }, [wanted]);
  return { state, last };
}
