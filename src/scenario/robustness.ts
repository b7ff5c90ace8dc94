import { type Holds, USUAL_FLOW_DOUBT } from "../core/flow/ensemble";
import type { Reach } from "../core/flow/reach-schema";
import { keyOf } from "./key";
import type { ReachReading, ReadingRequest } from "./reading";

/**
 * How sure a reading is: the same water solved and read ten times over, with what is not known moved within its bounds;
 * each lie and seam is told by how often it is there.
 */
export interface EnsembleRequest {
  reach: Reach;
  discharge: number;
  /** 10 and 90 % of the flow, m3/s. */
  band: readonly [number, number];
  reading: ReadingRequest;
}

/** What one member showed. */
export interface Sighting {
  lies: { x: number; y: number; score: number }[];
  seams: (readonly [number, number])[][];
}

export interface Robustness {
  lies: Holds[];
  seams: Holds[];
  /** For each lie the better one with which it ties, by index: their order turns round too often; null for most. */
  tied: (number | null)[];
}

/** A lie or a seam's point is the same place within this, m. */
const NEAR = 2;
/** Share of its points that must be near for a seam to be there. */
const SEAM_SHARE = 0.5;
/** Two lies whose order turns round in at least this share of the members tie. */
const TURNS = 1 / 3;

/** The band of a flow: that of its forecast, or a tenth either way. */
export const flowBandOf = (
  discharge: number,
  forecast: { low: number; high: number } | undefined,
): readonly [number, number] =>
  forecast
    ? [Math.min(forecast.low, discharge), Math.max(forecast.high, discharge)]
    : [discharge * (1 - USUAL_FLOW_DOUBT), discharge * (1 + USUAL_FLOW_DOUBT)];

/** How often each lie and seam of a reading is seen in the members, and which lies tie. */
export function robustnessOf(reading: Pick<ReachReading, "lies" | "seams">, seen: readonly Sighting[]): Robustness {
  const nearest = reading.lies.map((lie) => seen.map((one) => nearestOf(one.lies, lie)));
  return {
    lies: nearest.map((found) => ({ found: found.filter(Boolean).length, of: seen.length })),
    seams: reading.seams.map(({ points }) => ({
      found: seen.filter((one) => shareNear(points, one.seams) >= SEAM_SHARE).length,
      of: seen.length,
    })),
    tied: nearest.map((own, index) => {
      for (let better = 0; better < index; better++) {
        const both = own.flatMap((mine, k) => {
          const other = nearest[better]![k];
          return mine && other ? [mine.score > other.score] : [];
        });
        if (both.length >= seen.length / 2 && both.filter(Boolean).length >= both.length * TURNS) return better;
      }
      return null;
    }),
  };
}

function nearestOf<T extends { x: number; y: number }>(places: readonly T[], { x, y }: T): T | undefined {
  let [best, least] = [undefined as T | undefined, NEAR];
  for (const one of places) {
    const distance = Math.hypot(one.x - x, one.y - y);
    if (distance <= least) [best, least] = [one, distance];
  }
  return best;
}

function shareNear(points: readonly (readonly [number, number])[], lines: Sighting["seams"]): number {
  const others = lines.flat();
  return points.filter(([x, y]) => others.some(([a, b]) => Math.hypot(a - x, b - y) <= NEAR)).length / points.length;
}

export const ensembleKey = (field: string, { band, reading }: EnsembleRequest): string =>
  keyOf("ensemble", field, band, reading);
