import type { Drill } from "../fish/species-record";
import { type Field, sample } from "../flow/grid";
import { nearestLine } from "../water/polyline";
import type { Seam } from "../water/seams";
import { type MainCurrent, mainHeading } from "../water/main-current";
import { streamline } from "../water/streamline";
import { castFault, type CastWays, clearOfWood } from "./cast-line";
import { type Landing, landingFor } from "./landing";

/** One place to put the lure, m. */
export interface Target {
  x: number;
  y: number;
  name: "near" | "middle" | "far";
  /**
   * What it lies on: the current through the lie itself, a seam that runs nearer to the angler, a lane beside the
   * lie's own; or the place where a bait is laid.
   */
  line: "lie" | "seam" | "lane" | "bait";
  /** Casts to make to it before the next. */
  casts: number;
  /** Where the lure must land to be down when it gets there. */
  landing: Landing;
}

export interface TargetOptions {
  /** The lie, and how far over its bed the lure should come, m. */
  x: number;
  y: number;
  height: number;
  /** Where the angler stands, m. */
  from: readonly [number, number];
  /** Fall of the lure, m/s. */
  fall: number;
  /** Casts altogether, shared out over the targets. */
  casts: number;
  drill: Drill;
  main: MainCurrent;
  ways: CastWays;
}

/**
 * Spacing of targets, m: five to ten feet. Farthest cast, m. Other seams count when they run so much nearer than the
 * lie, m, and no nearer than that to the angler's feet, m. Lanes beside the lie's own, m. A bait is laid so far
 * up-current of the fish, m, and a lure walked so close over the bottom. Common practice, no source.
 */
const SPACING = 2.2;
const RANGE = 14;
const NEARER = 3;
const AT_HAND = 3;
const LANE = 1.2;
const BAIT = { above: 1, height: 0.02 };
const WALKED = 0.05;

type Spot = Omit<Target, "casts">;

/** The place of the lure at the lie itself, by the drill; where it is thrown does not hang on who throws it. */
export function lieTarget(field: Field, options: Omit<TargetOptions, "from" | "casts">): Spot {
  const { x, y, main, drill } = options;
  if (drill !== "soak") return spot(field, [x, y], "middle", "lie", options);
  return spot(field, streamline(main, x, y, BAIT.above, -1).at(-1)!, "middle", "bait", options);
}

/**
 * Targets in the order in which they are fished, and the casts to each: their sum is the number asked for. Drift: first
 * a seam that runs between the angler and the lie, then the main current through the lie, each near, middle, far, so
 * that no fish is cast over, and a hooked one does not run through the rest. Walk: the lane through the lie and one on
 * either side. Soak: one bait. Places that cannot be reached without crossing wood, dry ground or a nearer lie are left
 * out.
 */
export function targetsFor(field: Field, seams: readonly Seam[], options: TargetOptions): Target[] {
  const { from, casts, ways } = options;
  const clear = spotsFor(field, seams, options).filter(
    ({ landing }) => castFault(ways, from, landing.point) === undefined,
  );
  return share(clear, casts, options);
}

function spotsFor(field: Field, seams: readonly Seam[], options: TargetOptions): Spot[] {
  const { x, y, from, main, drill } = options;
  if (drill === "soak") return [lieTarget(field, options)];
  if (drill === "walk") {
    const [tx, ty] = mainHeading(main, x, y);
    const lanes = byDistance([[x, y], ...[-LANE, LANE].map((off): Place => [x - ty * off, y + tx * off])], from);
    return lanes
      .filter(([px, py]) => wetAt(field, px, py))
      .map((at, n) => spot(field, at, NAMES[n]!, at[0] === x && at[1] === y ? "lie" : "lane", options));
  }
  const up = streamline(main, x, y, SPACING, -1).at(-1)!;
  const down = streamline(main, x, y, SPACING, 1).at(-1)!;
  const own = byDistance([[x, y], up, down], from).map((point, n) => spot(field, point, NAMES[n]!, "lie", options));
  return [...nearerSeam(field, seams, Math.hypot(x - from[0], y - from[1]), options), ...own];
}

type Place = readonly [number, number];

const byDistance = (points: readonly Place[], from: Place): Place[] =>
  [...points].sort((a, b) => Math.hypot(a[0] - from[0], a[1] - from[1]) - Math.hypot(b[0] - from[0], b[1] - from[1]));

const NAMES = ["near", "middle", "far"] as const;

function spot(
  field: Field,
  [x, y]: Place,
  name: Spot["name"],
  line: Spot["line"],
  { height, fall, main, drill, ways }: Omit<TargetOptions, "from" | "casts">,
): Spot {
  const over = drill === "soak" ? BAIT.height : drill === "walk" ? WALKED : height;
  const landing = landingFor(field, x, y, over, fall, main);
  return { x, y, name, line, landing: belowWood(ways, [x, y], landing) };
}

/** Behind wood a lure can land no farther up than the wood: it then comes too high. */
function belowWood({ features }: CastWays, [x, y]: Place, landing: Landing): Landing {
  const [lx, ly] = landing.point;
  const length = Math.hypot(lx - x, ly - y);
  const free = clearOfWood(features, [x, y], landing.point);
  if (free >= length) return landing;
  const share = free / length;
  return {
    point: [x + (lx - x) * share, y + (ly - y) * share],
    swept: landing.swept * share,
    seconds: landing.seconds * share,
    short: true,
  };
}

/** Shares casts out: with fewer casts than places the lie itself and what is nearest to it stay. */
function share(spots: readonly Spot[], casts: number, { x, y }: Pick<TargetOptions, "x" | "y">): Target[] {
  const away = (one: Spot) => Math.hypot(one.x - x, one.y - y);
  const kept = [...spots].sort((a, b) => away(a) - away(b)).slice(0, casts);
  const each = Math.floor(casts / Math.max(1, kept.length));
  // What does not divide goes to the places nearest to the lie.
  const more = new Set(kept.slice(0, casts - each * kept.length));
  return spots.filter((one) => kept.includes(one)).map((one) => ({ ...one, casts: each + (more.has(one) ? 1 : 0) }));
}

/**
 * Three places on the slow side of the seam that comes nearest to the angler within a cast, if it does so well before
 * the lie.
 */
function nearerSeam(field: Field, seams: readonly Seam[], lie: number, options: TargetOptions): Spot[] {
  const { from } = options;
  const inReach = seams.filter((seam) => nearestLine([seam], options.x, options.y).distance > NEARER);
  const { distance, line } = nearestLine(inReach, from[0], from[1]);
  if (!line || distance < AT_HAND || distance > lie - NEARER || distance > RANGE) return [];
  const points = byDistance(line.points, from).filter(
    (point, n, all) => n === 0 || Math.hypot(point[0] - all[0]![0], point[1] - all[0]![1]) >= SPACING,
  );
  const [near] = points;
  const middle = points.find((point) => Math.hypot(point[0] - near![0], point[1] - near![1]) >= SPACING);
  const far =
    middle &&
    points.find((point) =>
      [near!, middle].every((other) => Math.hypot(point[0] - other[0], point[1] - other[1]) >= SPACING),
    );
  const chosen = [near!, middle, far].filter(
    (point): point is [number, number] =>
      point !== undefined && Math.hypot(point[0] - from[0], point[1] - from[1]) <= RANGE,
  );
  return chosen
    .map((point) => slowSide(field, line, point))
    .map((point, n) => spot(field, point, NAMES[n]!, "seam", options));
}

/** Half a metre to the slow side of a seam, where there is water. */
function slowSide(field: Field, seam: Seam, [x, y]: Place): Place {
  const { nx, ny, cell, u, v } = field;
  const [a, b] = [sample(u, nx, ny, cell, x, y), sample(v, nx, ny, cell, x, y)];
  const size = Math.max(Math.hypot(a, b), 1e-6);
  const sign = seam.slowSide === "right" ? 1 : -1;
  const [px, py] = [x - (sign * 0.5 * b) / size, y + (sign * 0.5 * a) / size];
  return wetAt(field, px, py) ? [px, py] : [x, y];
}

const wetAt = ({ nx, ny, cell, depth }: Field, x: number, y: number): boolean =>
  sample(depth, nx, ny, cell, x, y) > 0.15;
