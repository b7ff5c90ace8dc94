import { type Field, speedAt } from "../flow/grid";
import type { Feature } from "../flow/reach-schema";
import { type Break, type BreakName, breaksOf, froude } from "../water/cover";
import { groundOf } from "../water/land";
import { type MainCurrent, mainCurrent, mainHeading } from "../water/main-current";
import type { Seam } from "../water/seams";
import { type Structure, structureAt, type StructurePart } from "../water/structure";

/** What a place is called by: the break or the piece of structure it belongs to, or how the water runs there. */
export type LiePlace =
  | { kind: "above" | "below" | "behind" | "beside"; break: BreakName }
  | { kind: StructurePart }
  | { kind: "seam-off"; break: BreakName }
  | { kind: "seam-edge" | "bank-edge"; side: "left" | "right" }
  | { kind: "deep" | "riffle-pocket" | "run" };

/** Where it is by what can be seen from the bank, m. */
export interface Whereabouts {
  /** The nearest bank: land that joins the edge of the reach; sides are as seen looking down-current. */
  bank: { side: "left" | "right"; distance: number } | null;
  /** The nearest break within sight that the place is not called by; distance from its edge. */
  mark: { break: BreakName; distance: number; way: "above" | "below" | "beside" } | null;
}

/** What a place is looked at with. */
export interface Surroundings {
  field: Field;
  main: MainCurrent;
  /** 1 on land that joins the edge of the reach. */
  bank: Uint8Array;
  breaks: readonly Break[];
  structure: Structure;
}

/** Main current, banks and breaks of a field with its features: what places are told by. */
export const surroundingsOf = (field: Field, features: readonly Feature[] = []): Omit<Surroundings, "structure"> => ({
  field,
  main: mainCurrent(field),
  bank: groundOf(field, features).bank,
  breaks: breaksOf(field, features),
});

/** A break is a place's own within this, m. */
const OWN = 3;
/** Breaks that a place is told by, m; banks that are near, m. Common practice, no source. */
const IN_SIGHT = 15;
const BY_THE_BANK = 3;
/** Slack is slower than this, m/s, or than this share of what passes by. Common practice, no source. */
const SLACK = { speed: 0.3, share: 1 / 3, passing: 2 };

/** The break nearest by its edge, within `reach` m. */
export function nearestBreak(
  breaks: readonly Break[],
  x: number,
  y: number,
  reach: number,
): { one: Break; distance: number } | undefined {
  let best: { one: Break; distance: number } | undefined;
  for (const one of breaks) {
    const distance = Math.max(0, Math.hypot(x - one.x, y - one.y) - one.radius);
    if (distance < reach && (!best || distance < best.distance)) best = { one, distance };
  }
  return best;
}

/** On which side of a break a place lies, by the main current there. */
function wayFrom(one: Break, main: MainCurrent, x: number, y: number): "above" | "below" | "beside" {
  const [tx, ty] = mainHeading(main, one.x, one.y);
  const [dx, dy] = [x - one.x, y - one.y];
  const below = (dx * tx + dy * ty) / Math.max(Math.hypot(dx, dy), 1e-6);
  return below < -0.6 ? "above" : below > 0.5 ? "below" : "beside";
}

/** What a place is called. */
export function placeOf(
  at: Surroundings,
  k: number,
  near: { distance: number; seam: Seam | undefined },
  whereabouts: Whereabouts,
): LiePlace {
  const { field } = at;
  const [x, y] = [((k % field.nx) + 0.5) * field.cell, (Math.floor(k / field.nx) + 0.5) * field.cell];
  const own = nearestBreak(at.breaks, x, y, OWN);
  if (own) {
    const { kind, name } = own.one;
    const way = wayFrom(own.one, at.main, x, y);
    return { kind: way === "below" && !isSlack(field, k, x, y) ? "behind" : way, break: { kind, name } };
  }
  const part = structureAt(at.structure, x, y);
  if (part) return { kind: part };
  if (near.distance < 1.5) {
    const thrower = throwerOf(near.seam!, at.breaks);
    return thrower
      ? { kind: "seam-off", break: { kind: thrower.kind, name: thrower.name } }
      : { kind: "seam-edge", side: near.seam!.slowSide };
  }
  const deepest = field.depth.reduce((most, h) => Math.max(most, h), 0);
  if (field.depth[k]! > 0.75 * deepest) return { kind: "deep" };
  if (froude(field.depth[k]!, speedAt(field, k)) > 0.35) return { kind: "riffle-pocket" };
  return whereabouts.bank && whereabouts.bank.distance <= BY_THE_BANK
    ? { kind: "bank-edge", side: whereabouts.bank.side }
    : { kind: "run" };
}

/** The break that throws a seam: the one by its up-current end. */
const throwerOf = ({ points }: Seam, breaks: readonly Break[]): Break | undefined =>
  nearestBreak(breaks, points[0]![0], points[0]![1], OWN)?.one;

const isSlack = (field: Field, k: number, x: number, y: number): boolean => {
  const speed = speedAt(field, k);
  return speed < SLACK.speed || speed < SLACK.share * fastestNear(field, x, y, SLACK.passing);
};

/** Fastest water within a radius of a place, m/s. */
export function fastestNear(field: Field, x: number, y: number, radius: number): number {
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

/** Where a place is: off which bank, and by which break. */
export function whereaboutsOf(
  { field, main, bank, breaks }: Omit<Surroundings, "structure">,
  x: number,
  y: number,
): Whereabouts {
  const own = nearestBreak(breaks, x, y, OWN)?.one;
  const mark = nearestBreak(
    breaks.filter((one) => one !== own),
    x,
    y,
    IN_SIGHT,
  );
  return {
    bank: nearestBank(field, main, bank, x, y),
    mark: mark
      ? {
          break: { kind: mark.one.kind, name: mark.one.name },
          distance: mark.distance,
          way: wayFrom(mark.one, main, x, y),
        }
      : null,
  };
}

/** The nearest land, and on which side of the main current it lies. */
function nearestBank(
  { nx, ny, cell }: Field,
  main: MainCurrent,
  bank: Uint8Array,
  x: number,
  y: number,
): Whereabouts["bank"] {
  let least = Infinity;
  let [dx, dy] = [0, 0];
  for (let k = 0; k < nx * ny; k++) {
    if (bank[k] !== 1) continue;
    const [a, b] = [((k % nx) + 0.5) * cell - x, (Math.floor(k / nx) + 0.5) * cell - y];
    const distance = a * a + b * b;
    if (distance < least) [least, dx, dy] = [distance, a, b];
  }
  if (!Number.isFinite(least)) return null;
  const [tx, ty] = mainHeading(main, x, y);
  // Rows run from the left bank to the right one: to the right of the current is where the cross product is positive.
  return { side: tx * dy - ty * dx > 0 ? "right" : "left", distance: Math.max(0, Math.sqrt(least) - cell / 2) };
}
