import type { Feature } from "../flow/reach-schema";
import type { Light } from "../gauge/light";
import type { Species } from "./species-schema";
import { cellsOf, type Field, speedAt } from "../flow/grid";
import { type Break, type BreakName, breaksOf, type Cover, coverOf, froude, refugeOf, roofsOf } from "../water/cover";
import { driftConcentration } from "../water/drift";
import { type Eddy, findEddies } from "../water/eddies";
import { type Hold, holdsOf } from "./holds";
import { focalHeightIn } from "./net-energy";
import type { Reason } from "./reasons";
import { medianOf, scoreOf } from "./score";
import { nearestLine, rightOf } from "../water/polyline";
import { findSeams, type Seam } from "../water/seams";
import { type Structure, structureAt, structureOf, type StructurePart } from "../water/structure";

export type LieKind = "feeding" | "resting" | "prime";

/** What a place is called by: the break or the piece of structure it belongs to, or how the water runs there. */
export type LiePlace =
  | { kind: "above" | "below" | "beside"; break: BreakName }
  | { kind: StructurePart }
  | { kind: "seam-edge" | "bank-edge"; side: "left" | "right" }
  | { kind: "deep" | "riffle-pocket" | "run" };

/** A place to hold, m and m/s. Scores compare places of one species on one day; they are not chances of a fish. */
export interface Lie {
  rank: number;
  x: number;
  y: number;
  kind: LieKind;
  /** What it is called by. */
  place: LiePlace;
  score: number;
  /**
   * The score is their product. For drift feeders: net energy (W), cover, refuge; for others suitabilities from 0 to 1.
   */
  factors: Record<string, number>;
  depth: number;
  focalHeight: number;
  focalSpeed: number;
  adjacentSpeed: number;
  meanSpeed: number;
  /** Unit vector up-current. */
  upCurrent: [number, number];
  seamDistance: number | null;
  cover: number;
  /** What drifts by, as a share of what enters the reach; null for fish that do not live off it. */
  drift: number | null;
  reasons: Reason[];
  /** The hold that it belongs to, and its place in it. */
  hold: Hold;
}

export interface Reading {
  seams: Seam[];
  eddies: Eddy[];
  structure: Structure;
  lies: Lie[];
  /** Median score over the wet cells that a fish can hold in. */
  medianScore: number;
}

export interface ReadOptions {
  species: Species;
  /** m */
  visibleDepth: number;
  /** degC */
  temperature: number;
  light: Light;
  features?: readonly Feature[];
  most?: number;
}

/** Resting water: focal speed under this, m/s, and cover over that. Common practice, no source. */
const RESTING = { speed: 0.18, cover: 0.55 };
const ARM = 0.75;
/**
 * A lie must stand out: so many times the median of the water that the fish can hold in. Even water has no lies. Common
 * practice, no source.
 */
const STANDS_OUT = 1.1;

/** Reads a field: seams, eddies, structure, wading zones, and the lies of a species in order of rank. */
export const readWater = (field: Field, options: ReadOptions): Reading => readWithScore(field, options).reading;

/** The same, with the score of every cell that the lies were taken from. */
export function readWithScore(field: Field, options: ReadOptions): { reading: Reading; score: Float64Array } {
  const { species } = options;
  const seams = findSeams(field);
  const breaks = breaksOf(field, options.features);
  const drift = species.model === "drift" ? driftConcentration(field) : undefined;
  const structure = structureOf(field, breaks);
  const cover = coverOf(field, breaks, options.visibleDepth, roofsOf(options.features));
  const refuge = refugeOf(field, cover);
  const { score, focalSpeed, factors, reasons } = scoreOf(
    field,
    species,
    options,
    () => drift!,
    cover,
    () => refuge,
  );
  const medianScore = medianOf(score.filter((value) => value > 0));

  const most = options.most ?? 9;
  const chosen = peaks(score, field, species.territory, most, []).filter((k) => score[k]! > STANDS_OUT * medianScore);
  const shelter = cellsOf(new Float64Array(score.length), (k) =>
    Number.isNaN(score[k]!) || focalSpeed[k]! > RESTING.speed || cover.total[k]! < RESTING.cover
      ? NaN
      : cover.total[k]! * refuge[k]! * (1 - focalSpeed[k]! / RESTING.speed),
  );
  const resting = species.model !== "drift" ? [] : peaks(shelter, field, species.territory * 1.5, 3, chosen);
  const best = score[chosen[0]!] ?? 0;

  const lies = [...chosen, ...resting].map((k): Omit<Lie, "hold"> => {
    const [x, y] = [((k % field.nx) + 0.5) * field.cell, (Math.floor(k / field.nx) + 0.5) * field.cell];
    const near = seamFor(seams, x, y);
    const speed = speedAt(field, k);
    const feeds = score[k]! >= 0.45 * best;
    const sheltered = cover.total[k]! >= RESTING.cover;
    const upCurrent: [number, number] = speed > 1e-6 ? [-field.u[k]! / speed, -field.v[k]! / speed] : [-1, 0];
    const adjacentSpeed = fastestNear(field, x, y, ARM);
    const found = {
      x,
      y,
      depth: field.depth[k]!,
      focalSpeed: focalSpeed[k]!,
      adjacentSpeed,
      cover: cover.total[k]!,
      drift: drift ? drift[k]! : null,
    };
    const neighbour = nearestBreak(breaks, x, y);
    return {
      ...found,
      rank: 0,
      // Fish on the run do not feed: they stop.
      kind: species.model === "travel" ? "resting" : feeds && sheltered ? "prime" : feeds ? "feeding" : "resting",
      place: placeOf(field, k, near, neighbour, upCurrent, structure),
      score: score[k]!,
      factors: Object.fromEntries(Object.entries(factors).map(([name, values]) => [name, values[k]!])),
      focalHeight: focalHeightIn(species, found.depth),
      meanSpeed: speed,
      upCurrent,
      seamDistance: Number.isFinite(near.distance) ? near.distance : null,
      reasons: reasonsFor(found, {
        near,
        neighbour,
        cover,
        k,
        refuge: refuge[k]!,
        field,
        visibleDepth: options.visibleDepth,
        model: reasons(k),
        slowSide: onSlowSide(near.seam, x, y),
      }),
    };
  });
  // The list is in order of score, so that rank and score never disagree.
  lies.sort((a, b) => b.score - a.score).forEach((lie, index) => (lie.rank = index + 1));
  const holds = holdsOf(lies);
  return {
    reading: {
      seams,
      eddies: findEddies(field),
      structure,
      lies: lies.map((lie, index) => ({ ...lie, hold: holds[index]! })),
      medianScore,
    },
    score,
  };
}

/** The score alone of every cell, without seams or lies: for comparing a place at many flows. */
export function scoreWater(field: Field, options: ReadOptions): { score: Float64Array; medianScore: number } {
  const breaks = breaksOf(field, options.features);
  const cover = coverOf(field, breaks, options.visibleDepth, roofsOf(options.features));
  const { score } = scoreOf(
    field,
    options.species,
    options,
    () => driftConcentration(field),
    cover,
    () => refugeOf(field, cover),
  );
  return { score, medianScore: medianOf(score.filter((value) => value > 0)) };
}

/** Highest cells of a surface, best first, none within `apart` m of another or of those already taken. */
function peaks(values: Float64Array, field: Field, apart: number, most: number, taken: readonly number[]): number[] {
  const { nx, ny, cell } = field;
  const inside = (k: number) => k % nx > 1 && k % nx < nx - 2 && k >= 2 * nx && k < nx * (ny - 2);
  const order: number[] = [];
  for (let k = 0; k < values.length; k++) if (values[k]! > 0 && inside(k) && isLocalPeak(values, k, nx)) order.push(k);
  order.sort((a, b) => values[b]! - values[a]!);
  const chosen: number[] = [];
  const clear = (k: number, other: number) =>
    Math.hypot((k % nx) - (other % nx), Math.floor(k / nx) - Math.floor(other / nx)) * cell >= apart;
  for (const k of order) {
    if (chosen.length >= most) break;
    if ([...chosen, ...taken].every((other) => clear(k, other))) chosen.push(k);
  }
  return chosen;
}

/** No neighbour is higher; one that is not a number is not. */
function isLocalPeak(values: Float64Array, k: number, nx: number): boolean {
  const own = values[k]!;
  return !(
    values[k - 1]! > own ||
    values[k + 1]! > own ||
    values[k - nx]! > own ||
    values[k + nx]! > own ||
    values[k - nx - 1]! > own ||
    values[k - nx + 1]! > own ||
    values[k + nx - 1]! > own ||
    values[k + nx + 1]! > own
  );
}

function fastestNear(field: Field, x: number, y: number, radius: number): number {
  const { nx, ny, cell } = field;
  let most = 0;
  const reach = Math.ceil(radius / cell);
  const [i, j] = [Math.floor(x / cell), Math.floor(y / cell)];
  for (let b = Math.max(0, j - reach); b <= Math.min(ny - 1, j + reach); b++) {
    for (let a = Math.max(0, i - reach); a <= Math.min(nx - 1, i + reach); a++) {
      if (Math.hypot(a - i, b - j) * cell <= radius + 1e-9) most = Math.max(most, speedAt(field, b * nx + a));
    }
  }
  return most;
}

/** The seam a lie belongs to: the nearest one whose slow side it is on, within 2 m, or else the nearest. */
function seamFor(seams: readonly Seam[], x: number, y: number): { distance: number; seam: Seam | undefined } {
  const beside = nearestLine(
    seams.filter((seam) => onSlowSide(seam, x, y)),
    x,
    y,
  );
  const { distance, line } = beside.distance <= 2 ? beside : nearestLine(seams, x, y);
  return { distance, seam: line };
}

/** The break nearest by its edge, within 4 m. */
function nearestBreak(breaks: readonly Break[], x: number, y: number): { one: Break; distance: number } | undefined {
  let best: { one: Break; distance: number } | undefined;
  for (const one of breaks) {
    const distance = Math.max(0, Math.hypot(x - one.x, y - one.y) - one.radius);
    if (distance < 4 && (!best || distance < best.distance)) best = { one, distance };
  }
  return best;
}

/** Is (x, y) on the slow side of a seam? */
const onSlowSide = (seam: Seam | undefined, x: number, y: number): boolean =>
  seam !== undefined && rightOf(seam, x, y) === (seam.slowSide === "right");

function placeOf(
  field: Field,
  k: number,
  near: { distance: number; seam: Seam | undefined },
  neighbour: { one: Break; distance: number } | undefined,
  upCurrent: [number, number],
  structure: Structure,
): LiePlace {
  const [x, y] = [((k % field.nx) + 0.5) * field.cell, (Math.floor(k / field.nx) + 0.5) * field.cell];
  if (neighbour && neighbour.distance < 3) {
    const { kind, name } = neighbour.one;
    const [dx, dy] = [x - neighbour.one.x, y - neighbour.one.y];
    const above = (dx * upCurrent[0] + dy * upCurrent[1]) / Math.max(Math.hypot(dx, dy), 1e-6);
    return { kind: above > 0.6 ? "above" : above < -0.5 ? "below" : "beside", break: { kind, name } };
  }
  const part = structureAt(structure, x, y);
  if (part) return { kind: part };
  if (near.distance < 1.5) return { kind: "seam-edge", side: near.seam!.slowSide };
  const deepest = field.depth.reduce((most, h) => Math.max(most, h), 0);
  if (field.depth[k]! > 0.75 * deepest) return { kind: "deep" };
  if (froude(field.depth[k]!, speedAt(field, k)) > 0.35) return { kind: "riffle-pocket" };
  const row = Math.floor(k / field.nx);
  return bankNear(field, k) ? { kind: "bank-edge", side: row < field.ny / 2 ? "left" : "right" } : { kind: "run" };
}

/** Is dry ground within 3 m across? */
function bankNear(field: Field, k: number): boolean {
  const reach = Math.round(3 / field.cell);
  for (let d = 1; d <= reach; d++) {
    if (!(field.depth[k - d * field.nx]! > 0) || !(field.depth[k + d * field.nx]! > 0)) return true;
  }
  return false;
}

interface Surroundings {
  near: { distance: number; seam: Seam | undefined };
  neighbour: { one: Break; distance: number } | undefined;
  cover: Cover;
  k: number;
  refuge: number;
  field: Field;
  visibleDepth: number;
  /** What the model of the species says of it. */
  model: Reason[];
  slowSide: boolean;
}

function reasonsFor(
  lie: { depth: number; focalSpeed: number; adjacentSpeed: number; cover: number },
  at: Surroundings,
): Reason[] {
  const reasons: Reason[] = [
    { kind: "speeds", focal: lie.focalSpeed, adjacent: lie.adjacentSpeed },
    at.near.seam && at.near.distance < 3
      ? { kind: "seam", distance: at.near.distance, difference: at.near.seam.speedDifference, slowSide: at.slowSide }
      : { kind: "noSeam" },
    { kind: "depth", depth: lie.depth, visibleDepth: at.visibleDepth },
  ];
  if (at.neighbour && at.neighbour.distance < 3)
    reasons.push({
      kind: "break",
      break: { kind: at.neighbour.one.kind, name: at.neighbour.one.name },
      distance: at.neighbour.distance,
    });
  if (at.cover.brokenSurface[at.k]! > 0.3)
    reasons.push({ kind: "brokenSurface", froude: froude(lie.depth, speedAt(at.field, at.k)) });
  if (at.cover.overhead[at.k]! > 0.5) reasons.push({ kind: "overhead" });
  if (lie.cover < 0.2) reasons.push({ kind: "exposed" });
  else reasons.push({ kind: "refuge", share: at.refuge });
  return [...reasons.slice(0, 2), ...at.model, ...reasons.slice(2)];
}
