import { type Field, speedAt } from "../flow/grid";
import { cheapestWays } from "./cheapest";
import { hiddenFrom, seesOver } from "./sight";
import { wadingClass } from "./wading";

/** From below: upstream casts, the lure comes down to the fish. From above: across and down, held in the current. */
export type School = "from-below" | "from-above";

/** A place to stand for a lie, m. */
export interface Stand {
  school: School;
  x: number;
  y: number;
  /** To the lie, m. */
  distance: number;
  /** 0 on the bank. */
  wadingDepth: number;
  /** Greatest depth x speed on the way there, m2/s. */
  hazard: number;
  /** From the bank to the stand; only the stand itself where it is on the bank. */
  path: [number, number][];
  /** Outside the fish's window, by standing still and upright. */
  hidden: boolean;
  /** From how far an angler standing there would not be seen, m. */
  hiddenFrom: number;
  /** Targets along the seam of current through the lie, in the order in which they are fished: the nearer fish first, so that a hooked one does not run through the rest. */
  casts: { x: number; y: number; name: "near" | "middle" | "far" }[];
}

export interface Approach {
  /** Where the fish lies, and which way is up-current (a unit vector). */
  x: number;
  y: number;
  upCurrent: readonly [number, number];
  /** Depth of its eye under the surface, m. */
  eyeDepth: number;
  visibleDepth: number;
  /** The angler's height, m. */
  height: number;
}

/** Casting range, m; angle of a stand from straight below or above, degrees; spacing of casts, m (five to ten feet). Common practice, no source. */
const RANGE = { least: 4, most: 14, best: 9 };
const OFF_LINE = { "from-below": 65, "from-above": 75 };
const SPACING = 2.2;
/** Wading costs by class: easy, careful, strong water; nobody is sent into the rest. */
const DEAR = [1, 2, 12, 60, Infinity] as const;
/** Steepest bank that a stand may have, as height over the water within the casting range, m. */
const HIGHEST_BANK = 1.5;

/** The best stand for each school, by hiding, by the hazard of the way there and by casting distance; none where no safe place is in range. */
export function standsFor(field: Field, fish: Approach): Stand[] {
  const { nx, ny, cell, depth } = field;
  const cells = nx * ny;
  const dear = Float64Array.from({ length: cells }, (_, k) => DEAR[wadingClass(depth[k]!, speedAt(field, k))]!);
  // The ways in: dry ground beside the water.
  const banks: number[] = [];
  for (let k = 0; k < cells; k++) if (depth[k] === 0 && touchesWater(depth, k, nx, ny)) banks.push(k);
  const ways = cheapestWays(Float64Array.from(dear, (value, k) => (depth[k] === 0 && !touchesWater(depth, k, nx, ny) ? Infinity : value)), nx, ny, cell, banks);
  const surface = levelNear(field, fish.x, fish.y);
  const out: Stand[] = [];
  for (const school of ["from-below", "from-above"] as const) {
    let best: { k: number; worth: number } | undefined;
    for (let k = 0; k < cells; k++) {
      const way = depth[k] === 0 ? 0 : ways.cost[k]!;
      if (!Number.isFinite(way) || (depth[k] === 0 && (!touchesWater(depth, k, nx, ny) || field.bed[k]! - surface > HIGHEST_BANK))) continue;
      const [dx, dy] = [((k % nx) + 0.5) * cell - fish.x, (Math.floor(k / nx) + 0.5) * cell - fish.y];
      const distance = Math.hypot(dx, dy);
      if (distance < RANGE.least || distance > RANGE.most) continue;
      const up = (dx * fish.upCurrent[0] + dy * fish.upCurrent[1]) / distance;
      const off = (Math.acos(Math.min(1, Math.max(-1, school === "from-above" ? up : -up))) * 180) / Math.PI;
      if (off > OFF_LINE[school]) continue;
      const hidden = !seesOver(fish.eyeDepth, heightOver(field, k, surface, fish.height), distance, fish.visibleDepth);
      const worth = (hidden ? 3 : 0) - 0.08 * way - 0.12 * Math.abs(distance - RANGE.best) - off / 120;
      if (!best || worth > best.worth) best = { k, worth };
    }
    if (best) out.push(standAt(field, fish, school, best.k, ways.next, surface));
  }
  return out;
}

const touchesWater = (depth: Float32Array, k: number, nx: number, ny: number): boolean => {
  const [i, j] = [k % nx, Math.floor(k / nx)];
  return (i > 0 && depth[k - 1]! > 0) || (i < nx - 1 && depth[k + 1]! > 0) || (j > 0 && depth[k - nx]! > 0) || (j < ny - 1 && depth[k + nx]! > 0);
};

/** Height of the angler's head over the water: less what is under it, more on a bank. */
const heightOver = (field: Field, k: number, surface: number, height: number): number => (field.depth[k]! > 0 ? height - field.depth[k]! : height + Math.max(0, field.bed[k]! - surface));

function levelNear({ nx, ny, cell, bed, depth }: Field, x: number, y: number): number {
  const k = Math.min(ny - 1, Math.floor(y / cell)) * nx + Math.min(nx - 1, Math.floor(x / cell));
  return bed[k]! + depth[k]!;
}

function standAt(field: Field, fish: Approach, school: School, k: number, next: Int32Array, surface: number): Stand {
  const { nx, cell, depth } = field;
  const place = (at: number): [number, number] => [((at % nx) + 0.5) * cell, (Math.floor(at / nx) + 0.5) * cell];
  const path: [number, number][] = [place(k)];
  let hazard = depth[k]! * speedAt(field, k);
  for (let at = next[k]!; at >= 0 && depth[k]! > 0; at = next[at]!) {
    path.unshift(place(at));
    hazard = Math.max(hazard, depth[at]! * speedAt(field, at));
  }
  const [x, y] = place(k);
  const distance = Math.hypot(x - fish.x, y - fish.y);
  const height = heightOver(field, k, surface, fish.height);
  // Along the current through the lie: the end nearer to the angler is fished first.
  const toward = Math.sign((x - fish.x) * fish.upCurrent[0] + (y - fish.y) * fish.upCurrent[1]) || 1;
  const casts = (["near", "middle", "far"] as const).map((name, n) => ({ name, x: fish.x + (1 - n) * toward * SPACING * fish.upCurrent[0], y: fish.y + (1 - n) * toward * SPACING * fish.upCurrent[1] }));
  return { school, x, y, distance, wadingDepth: depth[k]!, hazard, path, hidden: !seesOver(fish.eyeDepth, height, distance, fish.visibleDepth), hiddenFrom: hiddenFrom(fish.eyeDepth, height), casts };
}
