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
import type { Profile } from "./strip";

/**
 * What the solver is held to. `error` must stay under `limit`; where an order is asked, halving the cell must lower the
 * error by 2^order.
 */
export interface Case {
  name: string;
  source: string;
  /** What the error is. */
  measure: string;
  limit: number;
  order?: number;
  run: () => { error: number; order?: number };
}

/** Work that several cases look at is done once. */
function once<T>(work: () => T): () => T {
  let value: T | undefined;
  return () => (value ??= work());
}
const lake = once(stillLake);
const valley = once(() => thacker(100));
const eddy = once(wallEddy);

const SWASHES = "Delestre et al. 2013 (SWASHES)";
const depthError = "relative L1 of depth";

/** A closed form on `nx` cells; with an order asked, also on half as many. */
function form(
  name: string,
  source: string,
  solve: (nx: number) => Profile,
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
    run: () => {
      const error = errorOf(solve(nx));
      return order === undefined ? { error } : { error, order: Math.log2(errorOf(solve(nx / 2)) / error) };
    },
  };
}

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
  {
    name: "the same: volume kept",
    source: "conservation of mass",
    measure: "relative change of volume",
    limit: 1e-10,
    run: () => ({ error: valley().volumeError }),
  },
  {
    name: "a still lake over islands: speed",
    source: "Audusse et al. 2004",
    measure: "greatest speed, m/s, 200 steps",
    limit: 1e-10,
    run: () => ({ error: lake().speed }),
  },
  {
    name: "a still lake over islands: level",
    source: "Audusse et al. 2004",
    measure: "greatest departure, m, 200 steps",
    limit: 1e-10,
    run: () => ({ error: lake().level }),
  },
  {
    name: "a mirrored bed gives the mirrored field",
    source: "symmetry",
    measure: "greatest difference, m and m/s, 400 steps",
    limit: 1e-9,
    run: () => ({ error: mirrorDifference(400) }),
  },
  {
    name: "a basin turned by a quarter gives the turned field",
    source: "symmetry",
    measure: "greatest difference of depth, m, 300 steps",
    limit: 1e-9,
    run: () => ({ error: quarterTurnDifference(300) }),
  },
  {
    name: "what comes in, less what goes out, is what is stored",
    source: "conservation of mass",
    measure: "relative, 600 steps",
    limit: 1e-10,
    run: () => ({ error: massError(600).error }),
  },
  {
    name: "averaged field behind a wall: outflow is inflow",
    source: "conservation of mass",
    measure: "relative, over the averaging time",
    limit: 5e-3,
    run: () => ({ error: eddy().massError }),
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
    run: () => ({ error: Math.abs(eddy().lengths - 8.5) }),
  },
];
