import type { Retrieve } from "./retrieve-kinds";

/** Each lift by the rod, m; and the pause of a stop, s. Common practice, no source. */
const LIFTS: Readonly<Partial<Record<Retrieve, number>>> = { hop: 0.15, snap: 0.6, "lift-and-drop": 0.4 };
const PAUSE = 1.5;

export interface RetrieveEffect {
  /** How far off its level it goes, m: up when lifted, up (a plug that floats) or down in a stop. */
  lift: number;
  /** Until it is back, s, and how far the current takes it meanwhile, m. */
  seconds: number;
  swept: number;
}

/**
 * What a retrieve does to the depth: lifted, it falls back at its own fall while the current takes it; stopped, it
 * rises or sinks at its own pace. Undefined for what leaves it where it is.
 * @param fall speed it falls at, m/s; below nought it rises
 * @param current speed of the water that takes it, m/s
 */
export function retrieveEffect(retrieve: Retrieve, fall: number, current: number): RetrieveEffect | undefined {
  const lift = LIFTS[retrieve];
  if (lift !== undefined && fall > 0) {
    const seconds = lift / fall;
    return { lift, seconds, swept: current * seconds };
  }
  if (retrieve !== "stop-and-go") return undefined;
  return { lift: -fall * PAUSE, seconds: PAUSE, swept: current * PAUSE };
}
