import { type Field, speedAt } from "../flow/grid";
import type { Ledge } from "../water/ledges";
import { nearestLine } from "../water/polyline";
import { hiddenFrom, seesOver } from "./sight";
import { castFault } from "./cast-line";
import { type StandQuestion, castingTo, castsFrom } from "./stands";
import { heading, streamline } from "../water/streamline";
import type { Target } from "./targets";

/** A boat at anchor for a lie, m. */
export interface BoatStand {
  x: number;
  y: number;
  /** From the boat to the lie, m, and how far off straight down-current it lies, degrees. */
  distance: number;
  off: number;
  depth: number;
  speed: number;
  /** Right on the step that the lie is on. */
  onLedge: boolean;
  hidden: boolean;
  hiddenFrom: number;
  /** Where the anchor lies on the bottom, and the length of its rope, m. */
  anchor: [number, number];
  rope: number;
  /** Targets in the order in which they are fished. */
  casts: Target[];
}

/**
 * Distance from the boat to the lie, m; the break lies 45 degrees or less behind the boat. Common practice, no source.
 */
const RANGE = { least: 6, most: 18, best: 11 };
const OFF = 45;
/**
 * Least depth to float in, least current to hold the boat straight and greatest to anchor in, m and m/s. Common
 * practice, no source; local rules stand.
 */
const WATER = { depth: 0.5, least: 0.08, speed: 1.2 };
/** In an eddy the boat would swing: the current at the boat must run down the reach (cosine). */
const DOWN = 0.7;
/**
 * Rope for every metre of depth; the head of someone seated in a boat over the water, m; on a ledge: within so much of
 * its line, m. Common practice, no source.
 */
const SCOPE = 5;
const SEATED = 1.3;
const ON_LEDGE = 1;

/** The best place to anchor a boat for a lie; undefined where no water in range can be anchored in. */
export function boatFor(field: Field, fish: StandQuestion, ledges: readonly Ledge[]): BoatStand | undefined {
  const { nx, ny, cell, depth } = field;
  // A fish on a ledge is fished from the same ledge, where it goes on up-current.
  const at = nearestLine(ledges, fish.x, fish.y);
  const ledge = at.distance <= 2.5 ? at.line : undefined;
  const { ways, lie } = castingTo(field, fish);
  const found: { k: number; worth: number }[] = [];
  for (let k = 0; k < nx * ny; k++) {
    if (
      depth[k]! < WATER.depth ||
      speedAt(field, k) > WATER.speed ||
      speedAt(field, k) < WATER.least ||
      field.u[k]! < DOWN * speedAt(field, k)
    )
      continue;
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const [dx, dy] = [fish.x - x, fish.y - y];
    const distance = Math.hypot(dx, dy);
    if (distance < RANGE.least || distance > RANGE.most) continue;
    const off = offCurrent(field, k, dx / distance, dy / distance);
    if (off > OFF) continue;
    const hidden = !seesOver(fish.eyeDepth, SEATED, distance, fish.visibleDepth);
    const onLedge = ledge !== undefined && nearestLine([ledge], x, y).distance <= ON_LEDGE;
    const worth =
      (hidden ? 2 : 0) + (onLedge ? 2 : 0) - off / 45 - 0.1 * Math.abs(distance - RANGE.best) - speedAt(field, k);
    found.push({ k, worth });
  }
  found.sort((a, b) => b.worth - a.worth || a.k - b.k);
  const placed = ({ k }: { k: number }) => [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell] as const;
  const best = found.find((one) => castFault(ways, placed(one), lie) === undefined);
  if (!best) return undefined;
  const { k } = best;
  const [x, y] = placed(best);
  const distance = Math.hypot(fish.x - x, fish.y - y);
  const rope = SCOPE * depth[k]!;
  return {
    x,
    y,
    distance,
    off: offCurrent(field, k, (fish.x - x) / distance, (fish.y - y) / distance),
    depth: depth[k]!,
    speed: speedAt(field, k),
    onLedge: ledge !== undefined && nearestLine([ledge], x, y).distance <= ON_LEDGE,
    hidden: !seesOver(fish.eyeDepth, SEATED, distance, fish.visibleDepth),
    hiddenFrom: hiddenFrom(fish.eyeDepth, SEATED),
    // The rope slants from the bow to the bottom: its run up-current by Pythagoras.
    anchor: streamline(field, x, y, Math.sqrt(rope ** 2 - depth[k]! ** 2), -1).at(-1)!,
    rope,
    casts: castsFrom(field, fish, [x, y]),
  };
}

/** Angle between the current at a cell and a unit vector, degrees. */
function offCurrent(field: Field, k: number, x: number, y: number): number {
  const { nx, cell } = field;
  const way = heading(field, ((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell);
  return way ? (Math.acos(Math.min(1, Math.max(-1, way[0] * x + way[1] * y))) * 180) / Math.PI : 180;
}
