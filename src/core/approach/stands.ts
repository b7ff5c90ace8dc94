import type { Drill } from "../fish/species-record";
import type { Feature } from "../flow/reach-schema";
import { within } from "../flow/features";
import { cellsOf, type Field, speedAt } from "../flow/grid";
import { leastCostPaths } from "../water/least-cost-path";
import { type Ground, groundOf } from "../water/land";
import { type MainCurrent, mainCurrent } from "../water/main-current";
import { castFault, type CastFault, type CastWays } from "./cast-line";
import { FALLS } from "./landing";
import type { Seam } from "../water/seams";
import { shadowLength, shadowReaches, type Sun } from "./shadow";
import { CROUCHED, hiddenFrom, seesOver } from "./sight";
import { lieTarget, type Target, targetsFor } from "./targets";
import { wadingClass } from "../water/wading";

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
  /** From how far an angler standing there would not be seen, m: upright, and crouched. */
  hiddenFrom: number;
  crouchedFrom: number;
  /** A bank or trees behind, as the fish sees it, instead of the sky. */
  backed: boolean;
  /**
   * Length of the shadow on the water, m, and whether it comes to the fish; null where the sun is down, or where the
   * reach lies is not known.
   */
  shadow: { length: number; reaches: boolean } | null;
  /** Targets in the order in which they are fished. */
  casts: Target[];
}

export interface StandQuestion {
  /** Where the fish lies, and which way is up-current (a unit vector). */
  x: number;
  y: number;
  upCurrent: readonly [number, number];
  /** Depth of its eye under the surface, m. */
  eyeDepth: number;
  visibleDepth: number;
  /** The angler's height, m. */
  height: number;
  /** Height over the bed at which the lure should come, m, its fall, m/s, all casts, and how it is worked. */
  lureHeight?: number;
  fall?: number;
  casts?: number;
  drill?: Drill;
  sun?: Sun | null;
  /** The main current and the ground, where they are known already. */
  main?: MainCurrent;
  ground?: Ground;
  /** Seams that may run nearer to the angler than the lie does. */
  seams?: readonly Seam[];
  /** Things on the reach: hanging trees stand behind an angler, wood and stones in the way of a line. */
  features?: readonly Feature[];
  /** Other lies, that no line should run over. */
  others?: readonly { x: number; y: number }[];
}

/** Why no stand is given for a school: no safe water in range, or what every line from there runs into. */
export type NoStand = "water" | CastFault;

export interface Stands {
  stands: Stand[];
  none: Partial<Record<School, NoStand>>;
}

/** Casting range, m; angle of a stand from straight below or above, degrees. Common practice, no source. */
const RANGE = { least: 4, most: 14, best: 9 };
const OFF_LINE = { "from-below": 65, "from-above": 75 };
/**
 * A lure that nobody has spoken of: a small jig, a hand over the bed, about a dozen casts for a good hole. Common
 * practice, no source.
 */
const LURE = { fall: FALLS.jig, height: 0.15, casts: 12, drill: "drift" } as const;
/**
 * What stands within so many metres behind the angler and hides half of them is a background. Common practice, no
 * source.
 */
const BEHIND = { within: 8, share: 0.5 };
/** Wading costs by class: easy, careful, strong water; nobody is sent into the rest. */
const WADING_COST = [1, 2, 12, 60, Infinity] as const;
/** Steepest bank that a stand may have, as height over the water within the casting range, m. */
const HIGHEST_BANK = 1.5;

/**
 * The best stand for each school, by hiding, by the hazard of the way there and by casting distance; none where no safe
 * place is in range, or no line from there is clear of wood, dry ground and nearer fish.
 */
export function standsFor(field: Field, fish: StandQuestion): Stands {
  const { nx, ny, cell, depth } = field;
  const cells = nx * ny;
  const ground = fish.ground ?? groundOf(field, fish.features);
  const { bank } = ground;
  const cost = wadingCosts(field, ground);
  // The ways in: land beside the water. A bar in the stream is no bank: it must be waded to.
  const banks: number[] = [];
  for (let k = 0; k < cells; k++) if (bank[k] === 1 && touchesWater(depth, k, nx, ny)) banks.push(k);
  const ways = leastCostPaths(cost, nx, ny, cell, banks);
  const surface = levelNear(field, fish.x, fish.y);
  const { ways: clear, lie } = castingTo(field, fish);
  const out: Stands = { stands: [], none: {} };
  for (const school of ["from-below", "from-above"] as const) {
    const found: { k: number; worth: number }[] = [];
    for (let k = 0; k < cells; k++) {
      const way = bank[k] === 1 ? 0 : ways.cost[k]!;
      if (!Number.isFinite(way)) continue;
      if (depth[k] === 0 && !isFoothold(field, k, surface)) continue;
      const [dx, dy] = [((k % nx) + 0.5) * cell - fish.x, (Math.floor(k / nx) + 0.5) * cell - fish.y];
      const distance = Math.hypot(dx, dy);
      if (distance < RANGE.least || distance > RANGE.most) continue;
      const up = (dx * fish.upCurrent[0] + dy * fish.upCurrent[1]) / distance;
      const off = (Math.acos(Math.min(1, Math.max(-1, school === "from-above" ? up : -up))) * 180) / Math.PI;
      if (off > OFF_LINE[school]) continue;
      const height = heightOver(field, k, surface, fish.height);
      const hidden = !seesOver(fish.eyeDepth, height, distance, fish.visibleDepth, backedBy(field, k, fish, surface));
      const shaded = fish.sun ? shadowReaches(fish.sun, height, placeOfCell(field, k), fish) : false;
      const worth =
        (hidden ? 3 : 0) - (shaded ? 2 : 0) - 0.08 * way - 0.12 * Math.abs(distance - RANGE.best) - off / 120;
      found.push({ k, worth });
    }
    found.sort((a, b) => b.worth - a.worth || a.k - b.k);
    const best = found.find(({ k }) => castFault(clear, placeOfCell(field, k), lie) === undefined);
    if (best) out.stands.push(standAt(field, fish, school, best.k, { next: ways.next, bank, surface }));
    else out.none[school] = found[0] ? castFault(clear, placeOfCell(field, found[0].k), lie)! : "water";
  }
  return out;
}

/** A metre on dry ground costs as little as the easiest water; nobody goes where it is neither. */
export const wadingCosts = (field: Field, { walkable }: Ground): Float64Array =>
  cellsOf(new Float64Array(field.nx * field.ny), (k) =>
    field.depth[k]! > 0
      ? WADING_COST[wadingClass(field.depth[k]!, speedAt(field, k))]!
      : walkable[k] === 1
        ? WADING_COST[0]
        : Infinity,
  );

/** Dry ground at the water's edge, not too high over it. */
const isFoothold = (field: Field, k: number, surface: number): boolean =>
  touchesWater(field.depth, k, field.nx, field.ny) && field.bed[k]! - surface <= HIGHEST_BANK;

const touchesWater = (depth: Float32Array, k: number, nx: number, ny: number): boolean => {
  const [i, j] = [k % nx, Math.floor(k / nx)];
  return (
    (i > 0 && depth[k - 1]! > 0) ||
    (i < nx - 1 && depth[k + 1]! > 0) ||
    (j > 0 && depth[k - nx]! > 0) ||
    (j < ny - 1 && depth[k + nx]! > 0)
  );
};

/** Height of the angler's head over the water: less what is under it, more on a bank. */
const heightOver = (field: Field, k: number, surface: number, height: number): number =>
  field.depth[k]! > 0 ? height - field.depth[k]! : height + Math.max(0, field.bed[k]! - surface);

function levelNear({ nx, ny, cell, bed, depth }: Field, x: number, y: number): number {
  const k = Math.min(ny - 1, Math.floor(y / cell)) * nx + Math.min(nx - 1, Math.floor(x / cell));
  return bed[k]! + depth[k]!;
}

function standAt(
  field: Field,
  fish: StandQuestion,
  school: School,
  k: number,
  { next, bank, surface }: { next: Int32Array; bank: Uint8Array; surface: number },
): Stand {
  const { nx, cell, depth } = field;
  const place = (at: number): [number, number] => [((at % nx) + 0.5) * cell, (Math.floor(at / nx) + 0.5) * cell];
  const path: [number, number][] = [place(k)];
  let hazard = depth[k]! * speedAt(field, k);
  for (let at = next[k]!; at >= 0 && bank[k] === 0; at = next[at]!) {
    path.unshift(place(at));
    hazard = Math.max(hazard, depth[at]! * speedAt(field, at));
  }
  const [x, y] = place(k);
  const distance = Math.hypot(x - fish.x, y - fish.y);
  const height = heightOver(field, k, surface, fish.height);
  const backed = backedBy(field, k, fish, surface);
  return {
    school,
    x,
    y,
    distance,
    wadingDepth: depth[k]!,
    hazard,
    path,
    backed,
    hidden: !seesOver(fish.eyeDepth, height, distance, fish.visibleDepth, backed),
    hiddenFrom: hiddenFrom(fish.eyeDepth, height, backed),
    crouchedFrom: hiddenFrom(fish.eyeDepth, Math.max(0, height - (1 - CROUCHED) * fish.height), backed),
    shadow: fish.sun
      ? { length: shadowLength(height, fish.sun), reaches: shadowReaches(fish.sun, height, [x, y], fish) }
      : null,
    casts: castsFrom(field, fish, [x, y]),
  };
}

/** How the lure that was spoken of is cast to a fish. */
function lureFor(field: Field, fish: StandQuestion) {
  const ways: CastWays = { field, features: fish.features ?? [], others: fish.others ?? [] };
  return {
    x: fish.x,
    y: fish.y,
    height: fish.lureHeight ?? LURE.height,
    fall: fish.fall ?? LURE.fall,
    casts: fish.casts ?? LURE.casts,
    drill: fish.drill ?? LURE.drill,
    main: fish.main ?? mainCurrent(field),
    ways,
  };
}

/** What a line to the lie must keep clear of, and where the lure for the lie itself must land. */
export function castingTo(field: Field, fish: StandQuestion): { ways: CastWays; lie: readonly [number, number] } {
  const lure = lureFor(field, fish);
  return { ways: lure.ways, lie: lieTarget(field, lure).landing.point };
}

/** The targets for a fish from a place, with the lure that was spoken of. */
export const castsFrom = (field: Field, fish: StandQuestion, from: readonly [number, number]): Target[] =>
  targetsFor(field, fish.seams ?? [], { ...lureFor(field, fish), from });

const placeOfCell = ({ nx, cell }: Field, k: number): [number, number] => [
  ((k % nx) + 0.5) * cell,
  (Math.floor(k / nx) + 0.5) * cell,
];

/** Does ground or a hanging tree stand behind someone at cell k, as seen from the fish? */
function backedBy(field: Field, k: number, fish: StandQuestion, surface: number): boolean {
  const { nx, ny, cell, bed } = field;
  const [x, y] = placeOfCell(field, k);
  const distance = Math.max(Math.hypot(x - fish.x, y - fish.y), 1e-6);
  const [ux, uy] = [(x - fish.x) / distance, (y - fish.y) / distance];
  const half = heightOver(field, k, surface, fish.height) * BEHIND.share;
  for (let away = cell; away <= BEHIND.within; away += cell) {
    const [px, py] = [x + ux * away, y + uy * away];
    if (fish.features?.some((one) => one.kind === "overhang" && within(one, px, py) < 1)) return true;
    const [i, j] = [Math.floor(px / cell), Math.floor(py / cell)];
    if (i < 0 || j < 0 || i >= nx || j >= ny) return false;
    if (bed[j * nx + i]! - surface > half) return true;
  }
  return false;
}
