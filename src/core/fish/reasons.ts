import type { BreakName } from "../water/cover";

/** Why a lie is a lie: a kind and its numbers, SI. Told on the words floor. */
export type Reason =
  | { kind: "speeds"; focal: number; adjacent: number }
  | { kind: "seam"; distance: number; difference: number; side: "slow" | "fast" | null }
  | { kind: "noSeam" }
  | { kind: "drift"; share: number }
  /** `timesMedian` is null where the median of the reach is no gain. */
  | { kind: "energy"; net: number; timesMedian: number | null }
  | { kind: "depth"; depth: number; visibleDepth: number }
  | { kind: "break"; break: BreakName; distance: number }
  | { kind: "brokenSurface"; froude: number }
  | { kind: "overhead" }
  | { kind: "refuge"; share: number }
  | { kind: "exposed" }
  /** Depth-averaged speeds, m/s: the fish's own, nearer the bed, is told by "speeds". */
  | { kind: "ambush"; fast: number; slow: number; reach: number }
  | { kind: "ledge"; step: number }
  | { kind: "edge" }
  | { kind: "bright" }
  | { kind: "bottom"; substrate: string }
  | { kind: "lane"; dearer: number }
  | { kind: "rest"; share: number }
  | { kind: "heldUp"; passage: number };
