import type { Soundings } from "./reach-schema";
import { Delaunay } from "d3-delaunay";
import { median } from "simple-statistics";
import { InputError } from "../quantity/fault";
import { LONGEST_REACH } from "../quantity/bounds";
import { interpolated, type Series } from "../gauge/series";
import { headingBetween, toPlane } from "./plane";
import { believedTriangles, eachCellIn, twiceArea } from "./triangles";

/** What a survey is made of: places with a depth or a height, as read from a file (formats/soundings-file.ts). */
export interface SurveyInput {
  frame: "geographic" | "projected" | "reach";
  measure: "depth" | "height";
  soundings: readonly { a: number; b: number; value: number; time?: number; line: number }[];
}

export interface SurveyOptions {
  /**
   * Where the river runs to, degrees from north; without it along the longest axis, from the first sounding to the
   * last.
   */
  heading?: number;
  /** Slope of the water's surface, m per m. */
  waterSurfaceSlope: number;
  /** Draft of the transducer: its depth under the surface, m. */
  transducerDraft: number;
  /** Stage at a gauge, to bring soundings of different hours to one water level. */
  stage?: Series;
  keepOutliers?: boolean;
  /** Longest side of a triangle that is believed, m, where the angler knows better. */
  maximumEdge?: number;
  cell?: number;
}

interface SurveyPoint {
  /** Down the reach and from its left edge, m. */
  x: number;
  y: number;
  /** Bed, m: 0 is the water's surface at the top of the reach, at the survey's middle stage. */
  z: number;
  /** Stands out from its neighbours: left out of the bed unless kept. */
  outlier: boolean;
  line: number;
}

export interface Survey {
  points: SurveyPoint[];
  heading: number;
  length: number;
  breadth: number;
  /** Median distance from a sounding to the nearest other, m. */
  spacing: number;
  /** Soundings on 100 m2 of the sounded area. */
  density: number;
  /** Sounded area: that of the triangles between them, m2. */
  area: number;
  /** Longest side of a triangle that is believed, m. */
  maximumEdge: number;
  /**
   * Places between soundings that are farther from any than a quarter of the breadth, or only bridged by triangles not
   * believed: squares of `size` m by their corner.
   */
  gaps: { size: number; share: number; corners: [number, number][] };
  outliers: number;
  /** Change of stage that was taken out, m; null where there was no stage or no time. */
  levelled: {
    from: number;
    to: number;
    /** Soundings without a time or a stage, left as they were. */ without: number;
  } | null;
  bed: Soundings;
}

/** Neighbours that a sounding is compared with. */
const NEIGHBOURS = 6;
/**
 * A sounding is odd when it lies beyond all its neighbours by more than so many robust standard deviations of such
 * differences (after Hampel 1974), and by so many m:
 * a place on a true ledge has neighbours of its own side. A lone stone may look so too, hence the choice to keep them.
 * Common practice, no source.
 */
const ODD = { deviations: 5, metres: 0.6 };
/**
 * Triangles with sides longer than this many times the ninth decile of all sides are not believed: they bridge bends.
 * Common practice, no source.
 */
const LONGEST_SIDE = 2;
/** Farther from any sounding than this share of the breadth is a gap. Common practice, no source. */
const GAP = 0.25;
/**
 * Land kept on both sides, as a share of the breadth and at least so many m: a river is sounded where it is wet. Common
 * practice, no source.
 */
const LAND = { share: 0.15, least: 3 };
/**
 * A column reaches across when it holds this share of the median column's width; at most this share of the length is
 * cut from each end. Common practice, no source.
 */
const FULL = 0.9;
const LONGEST_TRIM = 0.1;
/** More soundings than this are thinned to their means on a fine grid. */
const MOST_POINTS = 20_000;

/**
 * Lays soundings out along the river, brings them to one water level, and says where they stand out, lie thin or are
 * missing.
 */
export function survey({ frame, measure, soundings }: SurveyInput, options: SurveyOptions): Survey {
  if (soundings.length < 3)
    throw new InputError("too-few-soundings", { count: soundings.length }, { path: "bed.points" });
  const plane = toPlane(frame, soundings);
  const heading = frame === "reach" ? 90 : (options.heading ?? headingBetween(plane));
  const laid = frame === "reach" ? plane : turned(plane, heading);
  const [x0, y0] = [least(laid, 0), least(laid, 1)];
  const stages = measure === "depth" && options.stage ? stagesOf(soundings, options.stage) : undefined;
  const reference = stages ? median(stages.filter((value) => !Number.isNaN(value))) : 0;
  const placed = soundings.map(({ value, line }, k): SurveyPoint => {
    const x = laid[k]![0] - x0;
    const rise = stages && !Number.isNaN(stages[k]!) ? stages[k]! - reference : 0;
    return {
      x,
      y: laid[k]![1] - y0,
      z: measure === "height" ? value : rise - value - options.transducerDraft - options.waterSurfaceSlope * x,
      outlier: false,
      line,
    };
  });
  demandTogether(placed);
  const points = thinned(placed);
  const delaunay = Delaunay.from(
    points,
    (one) => one.x,
    (one) => one.y,
  );
  markOutliers(points, delaunay, measure === "depth" ? options.waterSurfaceSlope : 0);
  const [length, breadth] = [greatest(points, "x"), greatest(points, "y")];
  const { spacing, join } = {
    ...distances(points, delaunay),
    ...(options.maximumEdge ? { join: options.maximumEdge } : {}),
  };
  const triangles = [...believedTriangles(points, delaunay.triangles, join)];
  const area = triangles.reduce((sum, three) => sum + Math.abs(twiceArea(three)) / 2, 0);
  const kept = points.filter((one) => options.keepOutliers || !one.outlier);
  return {
    points,
    heading,
    length,
    breadth,
    spacing,
    maximumEdge: join,
    area,
    density: area > 0 ? (100 * points.length) / area : 0,
    gaps: gapsIn(points, delaunay, triangles, length, breadth),
    outliers: points.filter((one) => one.outlier).length,
    levelled: stages
      ? {
          from: -greatestOf(finite(stages).map((value) => -value)) - reference,
          to: greatestOf(finite(stages)) - reference,
          without: stages.length - finite(stages).length,
        }
      : null,
    bed: {
      kind: "soundings",
      cell: options.cell ?? 0.5,
      join,
      margin: round(Math.max(LAND.least, LAND.share * breadth)),
      ends: endsOf(triangles, length, breadth),
      points: kept.map(({ x, y, z }) => ({ x: round(x), y: round(y), z: round(z) })),
    },
  };
}

const round = (value: number): number => Number(value.toFixed(3));
const finite = (values: readonly number[]): number[] => values.filter((value) => !Number.isNaN(value));
const greatestOf = (values: readonly number[]): number =>
  values.reduce((most, value) => Math.max(most, value), -Infinity);
const least = (places: readonly (readonly [number, number])[], axis: 0 | 1): number =>
  places.reduce((low, place) => Math.min(low, place[axis]), Infinity);
const greatest = (points: readonly SurveyPoint[], axis: "x" | "y"): number =>
  points.reduce((high, point) => Math.max(high, point[axis]), 0);

/** East and north to down the river and right of it. */
function turned(plane: readonly [number, number][], heading: number): [number, number][] {
  const a = (heading * Math.PI) / 180;
  const [east, north] = [Math.sin(a), Math.cos(a)];
  return plane.map(([e, n]) => [e * east + n * north, e * north - n * east]);
}

/** Stage at each sounding's time; undefined where none has any. */
function stagesOf(soundings: SurveyInput["soundings"], stage: Series): number[] | undefined {
  const values = soundings.map(({ time }) => (time === undefined ? NaN : interpolated(stage, time)));
  return values.some((value) => !Number.isNaN(value)) ? values : undefined;
}

/** Soundings of one river lie together: two that are far apart are a slip of a position. */
/** Less than any sounder tells apart, m. */
const MILLIMETRE = 1e-3;

function demandTogether(placed: readonly SurveyPoint[]): void {
  const [length, breadth] = [greatest(placed, "x"), greatest(placed, "y")];
  // A line, or one place: found here before anything is drawn between them.
  if (length < MILLIMETRE || breadth < MILLIMETRE)
    throw new InputError("soundings-in-line", {}, { path: "bed.points" });
  if (length <= LONGEST_REACH && breadth <= LONGEST_REACH) return;
  throw new InputError(
    "too-far-apart",
    { apart: Math.max(length, breadth), most: LONGEST_REACH },
    { path: "bed.points" },
  );
}

/** Squares laid over the soundings at most. */
const MOST_SQUARES = 1e6;

/** Many soundings as the means of those that share a small square; fewer stay as they are. */
function thinned(points: SurveyPoint[]): SurveyPoint[] {
  let out = points;
  for (let size = 0.1; out.length > MOST_POINTS; size *= 1.5) {
    const squares = new Map<string, SurveyPoint[]>();
    for (const point of points) {
      const key = `${Math.floor(point.x / size)} ${Math.floor(point.y / size)}`;
      const own = squares.get(key);
      if (own) own.push(point);
      else squares.set(key, [point]);
    }
    out = [...squares.values()].map((own) => ({
      x: meanOf(own, "x"),
      y: meanOf(own, "y"),
      z: meanOf(own, "z"),
      outlier: false,
      line: own[0]!.line,
    }));
  }
  return out;
}

const meanOf = (points: readonly SurveyPoint[], axis: "x" | "y" | "z"): number =>
  points.reduce((sum, point) => sum + point[axis], 0) / points.length;

function markOutliers(points: SurveyPoint[], delaunay: Delaunay<SurveyPoint>, slope: number): void {
  const level = points.map(({ x, z }) => z + slope * x);
  const apart = points.map((point, k) => {
    const near = [...delaunay.neighbors(k)]
      .sort(
        (a, b) =>
          Math.hypot(points[a]!.x - point.x, points[a]!.y - point.y) -
          Math.hypot(points[b]!.x - point.x, points[b]!.y - point.y),
      )
      .slice(0, NEIGHBOURS);
    const levels = near.map((n) => level[n]!);
    return near.length < 3
      ? { fromMiddle: 0, beyond: 0 }
      : {
          fromMiddle: Math.abs(level[k]! - median(levels)),
          beyond: Math.max(level[k]! - Math.max(...levels), Math.min(...levels) - level[k]!),
        };
  });
  const spread = 1.4826 * median(apart.map((one) => one.fromMiddle));
  points.forEach((point, k) => (point.outlier = apart[k]!.beyond > Math.max(ODD.metres, ODD.deviations * spread)));
}

function distances(points: readonly SurveyPoint[], delaunay: Delaunay<SurveyPoint>): { spacing: number; join: number } {
  const sides: number[] = [];
  const nearest = points.map((point, k) => {
    let best = Infinity;
    for (const n of delaunay.neighbors(k)) {
      const far = Math.hypot(points[n]!.x - point.x, points[n]!.y - point.y);
      if (n > k) sides.push(far);
      best = Math.min(best, far);
    }
    return best;
  });
  sides.sort((a, b) => a - b);
  return {
    spacing: median(nearest.filter(Number.isFinite)),
    join: round(LONGEST_SIDE * (sides[Math.floor(0.9 * sides.length)] ?? 1)),
  };
}

/**
 * Where the soundings begin and cease to reach across: a boat's first and last line are seldom square to the river, and
 * a reach must not end on a sill.
 */
function endsOf(
  triangles: readonly [SurveyPoint, SurveyPoint, SurveyPoint][],
  length: number,
  breadth: number,
): [number, number] {
  const size = Math.max(Math.min(0.5, length / 40), Math.sqrt((length * breadth) / MOST_SQUARES));
  const [nx, ny] = [Math.ceil(length / size), Math.ceil(breadth / size)];
  const across = new Float64Array(nx);
  for (const three of triangles) eachCellIn(three, nx, ny, size, (k) => across[k % nx]!++);
  const enough = FULL * median(Array.from(across));
  const [first, last] = [
    across.findIndex((count) => count >= enough),
    across.findLastIndex((count) => count >= enough),
  ];
  const most = LONGEST_TRIM * length;
  return [round(Math.min(most, (first + 1) * size)), round(Math.max(length - most, last * size))];
}

function gapsIn(
  points: readonly SurveyPoint[],
  delaunay: Delaunay<SurveyPoint>,
  triangles: readonly [SurveyPoint, SurveyPoint, SurveyPoint][],
  length: number,
  breadth: number,
): Survey["gaps"] {
  const size = Math.max(0.5, breadth / 24, length / 160);
  const [nx, ny] = [Math.ceil(length / size), Math.ceil(breadth / size)];
  const [BETWEEN, BELIEVED] = [1, 2];
  const inside = new Uint8Array(nx * ny);
  for (const three of believedTriangles(points, delaunay.triangles))
    eachCellIn(three, nx, ny, size, (k) => (inside[k] = BETWEEN));
  for (const three of triangles) eachCellIn(three, nx, ny, size, (k) => (inside[k] = BELIEVED));
  const corners: [number, number][] = [];
  let [near, count] = [0, 0];
  for (let k = 0; k < nx * ny; k++) {
    if (!inside[k]) continue;
    count++;
    const [x, y] = [((k % nx) + 0.5) * size, (Math.floor(k / nx) + 0.5) * size];
    near = delaunay.find(x, y, near);
    if (inside[k] === BETWEEN || Math.hypot(points[near]!.x - x, points[near]!.y - y) > GAP * breadth)
      corners.push([(k % nx) * size, Math.floor(k / nx) * size]);
  }
  return { size, share: count > 0 ? corners.length / count : 0, corners };
}
