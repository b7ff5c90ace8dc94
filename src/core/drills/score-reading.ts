import { percentileOf } from "../fish/agreement";
import type { Lie } from "../fish/read";
import type { Species } from "../fish/species-schema";
import { type Field, speedAt } from "../flow/grid";
import type { Seam } from "../water/seams";

/** Where a reader of the water put marks, m. */
export interface Marks {
  lies: readonly Point[];
  seam: Point | null;
}
export interface Point {
  x: number;
  y: number;
}

/** Why a mark is as good as it is. */
type MarkIs = "lie" | "near" | "good" | "dry" | "thin" | "fast" | "still" | "poor" | "again";

export interface Marked extends Point {
  is: MarkIs;
  points: number;
  /** Share of the water that is worse, 0..1. */
  percentile: number;
  depth: number;
  speed: number;
  /** Rank of the nearest lie, and how far it is, m. */
  lie: number | null;
  distance: number | null;
}

export interface ReadingScore {
  marks: Marked[];
  /** m from the nearest seam; null without a mark or a seam. */
  seam: { distance: number; points: number } | null;
  /** 0..100 */
  total: number;
}

/** A mark is on a lie, or near one, within so many metres; so is one on a seam. Common practice, no source. */
const ON = 2;
const NEAR = 4;
/** Points of a mark: on a lie, near it, in the best tenth of the water, in the best quarter. */
const POINTS = { lie: 100, near: 70, tenth: 60, quarter: 30 };
/** Slower than this nothing is brought, m/s; faster than this a trout does not hold. Common practice, no source. */
const STILL = 0.06;
const FAST = 0.9;

/** Marks held against the field: three lies and a seam, each told why. */
export function scoreReading(
  { lies, seam }: Marks,
  reading: { lies: readonly Lie[]; seams: readonly Seam[] },
  score: ArrayLike<number>,
  field: Field,
  species: Pick<Species, "leastDepth">,
): ReadingScore {
  const taken = new Set<number>();
  const marks = lies.map((mark): Marked => {
    const told = scoreMark(mark, reading.lies, score, field, species);
    // Two marks on one lie are one mark.
    if ((told.is === "lie" || told.is === "near") && told.lie !== null) {
      if (taken.has(told.lie)) return { ...told, is: "again", points: 0 };
      taken.add(told.lie);
    }
    return told;
  });
  const seamAt = seam && seamScore(seam, reading.seams);
  const parts = [...marks.map(({ points }) => points), ...(seamAt ? [seamAt.points] : seam ? [0] : [])];
  return { marks, seam: seamAt, total: parts.length > 0 ? parts.reduce((a, b) => a + b) / parts.length : 0 };
}

function scoreMark(
  { x, y }: Point,
  lies: readonly Lie[],
  score: ArrayLike<number>,
  field: Field,
  { leastDepth }: Pick<Species, "leastDepth">,
): Marked {
  const nearest = [...lies].sort((a, b) => Math.hypot(a.x - x, a.y - y) - Math.hypot(b.x - x, b.y - y))[0];
  const distance = nearest ? Math.hypot(nearest.x - x, nearest.y - y) : null;
  const k = cellAt(field, x, y);
  const depth = field.depth[k]!;
  const speed = depth > 0 ? speedAt(field, k) : 0;
  const percentile = depth > 0 ? percentileOf(score, field, x, y) : 0;
  const base = { x, y, depth, speed, percentile, lie: nearest?.rank ?? null, distance };
  if (!(depth > 0)) return { ...base, is: "dry", points: 0 };
  if (distance !== null && distance <= ON) return { ...base, is: "lie", points: POINTS.lie };
  if (distance !== null && distance <= NEAR && percentile >= 0.75) return { ...base, is: "near", points: POINTS.near };
  if (percentile >= 0.9) return { ...base, is: "good", points: POINTS.tenth };
  if (percentile >= 0.75) return { ...base, is: "good", points: POINTS.quarter };
  const is = depth < leastDepth ? "thin" : speed > FAST ? "fast" : speed < STILL ? "still" : "poor";
  return { ...base, is, points: 0 };
}

function cellAt({ nx, ny, cell }: Field, x: number, y: number): number {
  const [i, j] = [x, y].map((value) => Math.max(0, Math.floor(value / cell))) as [number, number];
  return Math.min(ny - 1, j) * nx + Math.min(nx - 1, i);
}

function seamScore({ x, y }: Point, seams: readonly Seam[]): { distance: number; points: number } | null {
  const distances = seams.flatMap(({ points }) => points.map(([a, b]) => Math.hypot(a - x, b - y)));
  if (distances.length === 0) return null;
  const distance = Math.min(...distances);
  return { distance, points: distance <= ON ? 100 : distance <= NEAR ? 50 : 0 };
}
