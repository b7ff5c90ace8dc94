import type { AveragingWindow } from "./averaging";
import type { ShallowWater } from "./solver";

/**
 * Storage moved ahead. What a reach holds comes to rest as exp(-t / T), with T some 70-100 s on 160 m of river: each
 * cell size has its own losses at obstacles, so that every finer grid starts about 1 % wrong, and long after the eddies
 * have formed the level still creeps. The creep is one shape that shrinks by the same ratio in every window, so its end
 * is known from a few of them (Aitken 1926, Proc. R. Soc. Edinburgh 46: extrapolation of a geometric sequence).
 */

/** A storage that gives or takes less than this share of the inflow has come to rest. */
const AT_REST = 0.002;
/** Ratios of two windows' imbalances that a creep can have; one that is slower than its model is left to itself. */
const RATIO = { least: 0.3, most: 0.94 };
/** Two ratios in a row differ by less than this when one shape alone is left of the creep. */
const ALIKE = 0.12;
/** A move goes no farther than so many windows would have brought at their present rate. */
const FARTHEST = 4;
/** Most that a depth is moved, as a share of it. */
const MOST = 0.2;
/** Depth that counts as water to be moved, m. */
const SHALLOW = 0.02;
/** Distance over which the shape is smoothed, in channel breadths. */
const SMOOTH = 0.5;

/** Moves the storage of one solve ahead, as often as it is worth it. */
export class StorageExtrapolation {
  /** Share of the way that is gone: half as much after each move that went too far. */
  private share = 1;
  private imbalance = 0;

  /**
   * Moves the level to where its creep would end, discharge kept; says whether it did.
   * @param windows those since the start or the last move: the first is still full of its waves
   */
  moveAhead(water: ShallowWater, windows: readonly AveragingWindow[], discharge: number): boolean {
    const [oldest, before, now] = windows.slice(1).slice(-3);
    if (!oldest || !before || !now) return false;
    const [first, second, third] = [oldest, before, now].map((one) => one.imbalance(discharge)) as [
      number,
      number,
      number,
    ];
    const ratios = [second / first, third / second] as const;
    const within = (ratio: number) => ratio > RATIO.least && ratio < RATIO.most;
    if (Math.abs(third) < AT_REST || !ratios.every(within) || Math.abs(ratios[0] - ratios[1]) > ALIKE) return false;
    if (third * this.imbalance < 0) this.share /= 2;
    // Each coming window gives `ratio` times what the one before it gave.
    const ratio = Math.min(...ratios);
    const ahead = Math.min(FARTHEST, ratio / (1 - ratio));
    const rest = -this.share * ahead * third * discharge * now.seconds;
    const shape = storageChangeByColumn(water, before, now);
    let volume = 0;
    eachWet(water, (i) => (volume += shape[i]!));
    const scale = rest / (volume * water.cell * water.cell);
    // A shape that is not the creep's has another volume than the imbalance says.
    if (!(scale > 0 && scale < 2 * (ahead + 1))) return false;
    this.imbalance = third;
    raise(
      water,
      shape.map((rise) => scale * rise),
    );
    return true;
  }
}

/** Raises the level of each column's water by so many metres, its discharge kept. */
function raise(water: ShallowWater, rises: Float64Array): void {
  const cells = water.nx * water.ny;
  const [depth, u, v] = [new Float64Array(cells), new Float64Array(cells), new Float64Array(cells)];
  for (let j = 0; j < water.ny; j++)
    for (let i = 0; i < water.nx; i++) {
      const [k, c] = [water.at(i, j), j * water.nx + i];
      const h = water.h[k]!;
      depth[c] = h + (h > SHALLOW ? Math.max(-MOST * h, Math.min(MOST * h, rises[i]!)) : 0);
      const slower = h > 0 ? h / depth[c] : 0;
      u[c] = water.u[k]! * slower;
      v[c] = water.v[k]! * slower;
    }
  water.setState(depth, u, v);
}

function eachWet(water: ShallowWater, look: (i: number, c: number) => void): void {
  for (let j = 0; j < water.ny; j++)
    for (let i = 0; i < water.nx; i++) {
      if (water.h[water.at(i, j)]! > SHALLOW) look(i, j * water.nx + i);
    }
}

/** Mean change of depth from one window to the next in each column's water, m, smoothed along the reach. */
function storageChangeByColumn(water: ShallowWater, before: AveragingWindow, now: AveragingWindow): Float64Array {
  const [sum, count] = [new Float64Array(water.nx), new Float64Array(water.nx)];
  eachWet(water, (i, c) => {
    sum[i]! += now.h[c]! / now.seconds - before.h[c]! / before.seconds;
    count[i]!++;
  });
  const reach = Math.max(1, Math.round((SMOOTH * count.reduce((a, b) => a + b, 0)) / water.nx));
  return sum.map((_, i) => {
    let [all, cells] = [0, 0];
    for (let other = Math.max(0, i - reach); other <= Math.min(water.nx - 1, i + reach); other++) {
      all += sum[other]!;
      cells += count[other]!;
    }
    return cells > 0 ? all / cells : 0;
  });
}
