import type { Kernel } from "../../core/flow/kernel";
import { massError, mirrorDifference, quarterTurnDifference, refinement, stillLake, wallEddy } from "./balances";
import {
  bumpWithJump,
  errorOf,
  macDonald,
  normalDepth,
  ritter,
  stoker,
  subcriticalBump,
  thacker,
  transcriticalBump,
} from "./closed-forms";
import { pierRise, wideningEddy } from "./structures";
import type { Profile } from "./strip";

/**
 * What the solver is held to. `error` must stay under `limit`; where an order is asked, halving the cell must lower the
 * error by 2^order. Where single precision costs something, it has a limit of its own.
 */
export interface Case {
  name: string;
  source: string;
  /** What the error is. */
  measure: string;
  limit: number;
  single?: number;
  order?: number;
  run: (kernel: Kernel) => { error: number; order?: number };
}

export const limitOf = (one: Case, kernel: Kernel): number =>
  kernel.bits === 32 ? (one.single ?? one.limit) : one.limit;

/** Work that several cases look at is done once for each kernel. */
function once<T>(work: (kernel: Kernel) => T): (kernel: Kernel) => T {
  const values = new Map<Kernel, T>();
  return (kernel) => {
    if (!values.has(kernel)) values.set(kernel, work(kernel));
    return values.get(kernel)!;
  };
}
const lake = once((kernel) => stillLake(kernel, 1000));
const highLake = once((kernel) => stillLake(kernel, 1000, 100));
const valley = once((kernel) => thacker(kernel, 100));
const eddy = once(wallEddy);

const SWASHES = "Delestre et al. 2013 (SWASHES)";
const depthError = "relative L1 of depth";

/** A closed form on `nx` cells; with an order asked, also on half as many. */
function form(
  name: string,
  source: string,
  solve: (kernel: Kernel, nx: number) => Profile,
  nx: number,
  limit: number,
  order?: number,
): Case {
  return {
    name,
    source: `${source}; ${SWASHES}`,
    measure: `${depthError}, ${nx} cells`,
    limit,
    order,
    run: (kernel) => {
      const error = errorOf(solve(kernel, nx));
      return order === undefined ? { error } : { error, order: Math.log2(errorOf(solve(kernel, nx / 2)) / error) };
    },
  };
}

/** A quantity that must be nothing: to rounding in double precision, to `single` in single. */
const nothing = (
  name: string,
  source: string,
  measure: string,
  limit: number,
  single: number,
  of: (kernel: Kernel) => number,
): Case => ({ name, source, measure, limit, single, run: (kernel) => ({ error: of(kernel) }) });

/** Limits are those of physics section 2, or tighter where the scheme does better; orders are observed ones. */
export const CASES: readonly Case[] = [
  form("Stoker: dam break on a wet bed", "Stoker 1957", stoker, 200, 7e-3, 0.8),
  form("Ritter: dam break on a dry bed", "Ritter 1892", ritter, 200, 8e-3, 0.7),
  form("subcritical flow over a bump", "Goutal & Maurel 1997", subcriticalBump, 200, 1e-4, 1.8),
  form("transcritical flow over a bump", "Goutal & Maurel 1997", transcriticalBump, 200, 1e-3, 1.7),
  form("flow over a bump with a jump", "Goutal & Maurel 1997; Belanger 1841", bumpWithJump, 200, 3e-3, 0.7),
  form("a smoothly varying channel with friction", "MacDonald et al. 1997", macDonald, 200, 4e-3),
  form("a uniform sloping channel", "Manning 1891", normalDepth, 100, 1e-6),
  form("water swinging in a valley, after one period", "Thacker 1981", valley, 100, 0.04),
  nothing(
    "the same: volume kept",
    "conservation of mass",
    "relative change of volume",
    1e-10,
    1e-7,
    (kernel) => valley(kernel).volumeError,
  ),
  nothing(
    "a still lake over islands: speed",
    "Audusse et al. 2004",
    "greatest speed, m/s, 1000 steps",
    1e-10,
    1e-4,
    (kernel) => lake(kernel).speed,
  ),
  nothing(
    "a still lake over islands: level",
    "Audusse et al. 2004",
    "greatest departure, m, 1000 steps",
    1e-10,
    2e-6,
    (kernel) => lake(kernel).level,
  ),
  nothing(
    "the same lake 100 m up: speed",
    "Audusse et al. 2004",
    "greatest speed, m/s, 1000 steps",
    1e-10,
    1e-4,
    (kernel) => highLake(kernel).speed,
  ),
  nothing(
    "a mirrored bed gives the mirrored field",
    "symmetry",
    "greatest difference, m and m/s, 400 steps",
    1e-9,
    1e-6,
    (kernel) => mirrorDifference(kernel, 400),
  ),
  nothing(
    "a basin turned by a quarter gives the turned field",
    "symmetry",
    "greatest difference of depth, m, 300 steps",
    1e-9,
    1e-6,
    (kernel) => quarterTurnDifference(kernel, 300),
  ),
  nothing(
    "what comes in, less what goes out, is what is stored",
    "conservation of mass",
    "relative, 600 steps",
    1e-10,
    1e-7,
    (kernel) => massError(kernel, 600).error,
  ),
  {
    name: "averaged field behind a wall: outflow is inflow",
    source: "conservation of mass",
    measure: "relative, over the averaging time",
    limit: 5e-3,
    run: (kernel) => ({ error: eddy(kernel).massError }),
  },
  {
    name: "grid refinement over a mound",
    source: "consistency",
    measure: "relative L1 of depth, 1.5 m against 0.75 m cells",
    limit: 3e-3,
    order: 1,
    run: refinement,
  },
  {
    name: "the eddy behind a wall is several walls long",
    source: "flume measurements, 5 to 12 lengths in wide smooth channels; from memory",
    measure: "departure from 8.5 wall lengths",
    limit: 3.5,
    run: (kernel) => ({ error: Math.abs(eddy(kernel).lengths - 8.5) }),
  },
  {
    name: "the eddy of a sudden widening is 6 to 10 of its breadths long",
    source:
      "shallow recirculation with slight bed friction: Babarutsi, Ganoulis & Chu 1989, J. Hydraul. Eng. 115; from memory",
    measure: "departure from 8 breadths, 1 m cells",
    limit: 2,
    run: (kernel) => ({ error: Math.abs(wideningEddy(kernel, 1).lengths - 8) }),
  },
  {
    name: "the rise of the level above a square pier",
    source: "Yarnell 1934, USDA Tech. Bull. 442 and 444: K 1.25; from memory",
    measure: "relative to the formula, 0.5 m cells",
    limit: 0.15,
    run: (kernel) => {
      const { found, yarnell } = pierRise(kernel, 0.5);
      return { error: Math.abs(found / yarnell - 1) };
    },
  },
];
