import { InputError } from "../quantity/fault";
import type { Place } from "./channel";

/** Heights on square cells, row 0 in the north; NaN where nothing is known. */
export interface HeightGrid {
  nx: number;
  ny: number;
  /** m */
  cell: number;
  z: Float32Array;
}

/** A water's surface found in a grid of heights: places in cells from its upper left corner. */
export interface FlatWater {
  /** Down the middle, from the upstream end. */
  middle: Place[];
  /** Lines across it. */
  widths: [Place, Place][];
  islands: Place[][];
  /** Fall of the surface, m per m; null where it was laid level, as some surveys do. */
  slope: number | null;
  /** Height of the surface at the upstream end, m. */
  level: number;
  /** Share of the grid that is water. */
  share: number;
}

/**
 * Water's surface is smooth where ground is not: within three cells it changes by less than this, m, and so much more
 * for each metre of a cell. Own choice, held against grids made from known beds (flat-water.test.ts).
 */
const SMOOTH = { least: 0.02, slope: 0.03 };
/** Most of its edge has ground that is higher by this, m, within so many cells. Own choice. */
const BANK = { height: 0.12, within: 3, share: 0.6 };
/** Fewest cells that are a river. */
const FEWEST = 60;
/** Bands along it that a middle is taken from, in widths. */
const BAND = 0.5;
/** Flatter than this it was laid level by whoever made the grid, m per m. */
const LEVEL = 2e-5;

/**
 * The river in a grid of heights: the largest smooth piece whose edge is mostly below its surroundings, with the line
 * down its middle by distance from one end to the other.
 * @throws InputError "no-flat-water"
 */
export function flatWater(grid: HeightGrid): FlatWater {
  const water = riverOf(grid);
  if (!water) throw new InputError("no-flat-water");
  const { nx, z, cell } = grid;
  const some = water.indexOf(1);
  const one = farthest(grid, water, some).at;
  const { at: other, distance } = farthest(grid, water, one);
  // Water runs from the higher end.
  const near = (end: number) => meanHeight(grid, water, end);
  const down = near(one) >= near(other);
  const from = down ? distance : farthest(grid, water, other).distance;
  const length = from.reduce((most, d) => (Number.isFinite(d) ? Math.max(most, d) : most), 0);
  const cells = water.reduce((sum, is) => sum + is, 0);
  const width = cells / Math.max(1, length);
  const band = Math.max(2, BAND * width);
  const count = Math.floor(length / band);
  if (count < 4) throw new InputError("no-flat-water");
  const sums = Array.from({ length: count }, () => ({ x: 0, y: 0, z: 0, n: 0 }));
  water.forEach((is, k) => {
    const sum = is ? sums[Math.min(count - 1, Math.floor(from[k]! / band))] : undefined;
    if (!sum) return;
    sum.x += (k % nx) + 0.5;
    sum.y += Math.floor(k / nx) + 0.5;
    sum.z += z[k]!;
    sum.n++;
  });
  const points = sums
    .filter(({ n }) => n > 0)
    .map(({ x, y, z: height, n }) => ({ x: x / n, y: y / n, z: height / n, n }));
  // The first and the last band are corners of the river's ends.
  const inner = points.slice(1, -1);
  const middle = inner.map(({ x, y }): Place => [x, y]);
  const widths = inner.flatMap(({ n }, k): [Place, Place][] => {
    const [a, b] = [middle[Math.max(0, k - 1)]!, middle[Math.min(middle.length - 1, k + 1)]!];
    const span = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (k % 2 || span === 0) return [];
    // A band that bends is as long as the middle in it.
    const step = span / (Math.min(middle.length - 1, k + 1) - Math.max(0, k - 1));
    const half = n / Math.max(step, 1e-6) / 2;
    const [dx, dy] = [((b[1] - a[1]) / span) * half, (-(b[0] - a[0]) / span) * half];
    const [x, y] = middle[k]!;
    return [
      [
        [x + dx, y + dy],
        [x - dx, y - dy],
      ],
    ];
  });
  const slope = slopeOf(inner, cell);
  return {
    middle,
    widths,
    islands: islandsIn(grid, water),
    slope: slope > LEVEL ? slope : null,
    level: inner[0]!.z,
    share: cells / (nx * grid.ny),
  };
}

/** Neighbours along rows and columns. */
const around = ({ nx, ny }: HeightGrid, k: number): number[] => {
  const [i, j] = [k % nx, Math.floor(k / nx)];
  return [
    ...(i > 0 ? [k - 1] : []),
    ...(i < nx - 1 ? [k + 1] : []),
    ...(j > 0 ? [k - nx] : []),
    ...(j < ny - 1 ? [k + nx] : []),
  ];
};

function smoothCells(grid: HeightGrid): Uint8Array {
  const { nx, ny, z, cell } = grid;
  const most = SMOOTH.least + SMOOTH.slope * cell;
  return Uint8Array.from(z, (height, k) => {
    const [i, j] = [k % nx, Math.floor(k / nx)];
    if (Number.isNaN(height)) return 0;
    let [low, high] = [height, height];
    for (let dj = -1; dj <= 1; dj++)
      for (let di = -1; di <= 1; di++) {
        const [a, b] = [i + di, j + dj];
        if (a < 0 || b < 0 || a >= nx || b >= ny) continue;
        const other = z[b * nx + a]!;
        low = Math.min(low, other);
        high = Math.max(high, other);
      }
    return high - low <= most ? 1 : 0;
  });
}

/** The river's cells: the largest smooth piece that lies lower than what surrounds it, its shore joined again. */
function riverOf(grid: HeightGrid): Uint8Array | undefined {
  const smooth = smoothCells(grid);
  const seen = new Uint8Array(smooth.length);
  let best: number[] = [];
  for (let start = 0; start < smooth.length; start++) {
    if (!smooth[start] || seen[start]) continue;
    const piece = [start];
    seen[start] = 1;
    for (let head = 0; head < piece.length; head++)
      for (const next of around(grid, piece[head]!))
        if (smooth[next] && !seen[next]) {
          seen[next] = 1;
          piece.push(next);
        }
    if (piece.length > Math.max(FEWEST, best.length) && liesLow(grid, piece)) best = piece;
  }
  if (best.length === 0) return undefined;
  const water = new Uint8Array(smooth.length);
  for (const k of best) water[k] = 1;
  // Cells at the shore see the bank within their three by three: they are water where they are as low as it.
  for (const k of best)
    for (const next of around(grid, k))
      if (grid.z[next]! - grid.z[k]! < SMOOTH.least + SMOOTH.slope * grid.cell) water[next] = 1;
  return water;
}

function liesLow(grid: HeightGrid, piece: readonly number[]): boolean {
  const { nx, ny, z } = grid;
  const own = new Set(piece);
  let [edge, higher] = [0, 0];
  for (const k of piece) {
    if (around(grid, k).every((next) => own.has(next))) continue;
    edge++;
    const [i, j] = [k % nx, Math.floor(k / nx)];
    let most = -Infinity;
    for (let b = Math.max(0, j - BANK.within); b <= Math.min(ny - 1, j + BANK.within); b++)
      for (let a = Math.max(0, i - BANK.within); a <= Math.min(nx - 1, i + BANK.within); a++)
        if (z[b * nx + a]! > most) most = z[b * nx + a]!;
    if (most > z[k]! + BANK.height) higher++;
  }
  return edge > 0 && higher >= BANK.share * edge;
}

/** Steps to every cell of the water from one of them, by eight neighbours, and the farthest. */
function farthest(grid: HeightGrid, water: Uint8Array, start: number): { at: number; distance: Float64Array } {
  const { nx, ny } = grid;
  const distance = new Float64Array(water.length).fill(Infinity);
  distance[start] = 0;
  // Steps along and across cost 1, aslant root two; a second visit that is shorter goes on again.
  let wave = [start];
  let at = start;
  while (wave.length > 0) {
    const next: number[] = [];
    for (const k of wave) {
      const [i, j] = [k % nx, Math.floor(k / nx)];
      for (let dj = -1; dj <= 1; dj++)
        for (let di = -1; di <= 1; di++) {
          const [a, b] = [i + di, j + dj];
          const to = b * nx + a;
          if ((!di && !dj) || a < 0 || b < 0 || a >= nx || b >= ny || !water[to]) continue;
          const far = distance[k]! + (di && dj ? Math.SQRT2 : 1);
          if (far < distance[to]! - 1e-9) {
            distance[to] = far;
            next.push(to);
          }
        }
    }
    wave = next;
  }
  distance.forEach((d, k) => {
    if (Number.isFinite(d) && d > distance[at]!) at = k;
  });
  return { at, distance };
}

/** Mean height of the water about one of its ends, m. */
function meanHeight({ nx, z }: HeightGrid, water: Uint8Array, end: number): number {
  const [x, y] = [end % nx, Math.floor(end / nx)];
  let [sum, n] = [0, 0];
  water.forEach((is, k) => {
    if (!is || Math.hypot((k % nx) - x, Math.floor(k / nx) - y) > 15) return;
    sum += z[k]!;
    n++;
  });
  return sum / n;
}

/** Fall of heights along the middle, by least squares, m per m. */
function slopeOf(points: readonly { x: number; y: number; z: number }[], cell: number): number {
  let s = 0;
  const along = points.map((one, k) => {
    if (k > 0) s += Math.hypot(one.x - points[k - 1]!.x, one.y - points[k - 1]!.y) * cell;
    return s;
  });
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
  const [ms, mz] = [mean(along), mean(points.map(({ z }) => z))];
  const covariance = points.reduce((sum, { z }, k) => sum + (along[k]! - ms) * (z - mz), 0);
  return -covariance / along.reduce((sum, one) => sum + (one - ms) ** 2, 0);
}

/** Ground with water all round it, as rings about its cells. */
function islandsIn(grid: HeightGrid, water: Uint8Array): Place[][] {
  const { nx, ny } = grid;
  const seen = new Uint8Array(water.length);
  const rings: Place[][] = [];
  for (let start = 0; start < water.length; start++) {
    if (water[start] || seen[start]) continue;
    const piece = [start];
    seen[start] = 1;
    let enclosed = true;
    for (let head = 0; head < piece.length; head++) {
      const k = piece[head]!;
      const [i, j] = [k % nx, Math.floor(k / nx)];
      if (i === 0 || j === 0 || i === nx - 1 || j === ny - 1) enclosed = false;
      for (const next of around(grid, k))
        if (!water[next] && !seen[next]) {
          seen[next] = 1;
          piece.push(next);
        }
    }
    if (enclosed && piece.length >= 4) rings.push(ringAbout(piece, nx));
  }
  return rings;
}

/** A ring about cells, as a star about their middle: islands are round or long, not branched. */
function ringAbout(piece: readonly number[], nx: number): Place[] {
  const places = piece.map((k): Place => [(k % nx) + 0.5, Math.floor(k / nx) + 0.5]);
  const x = places.reduce((sum, one) => sum + one[0], 0) / places.length;
  const y = places.reduce((sum, one) => sum + one[1], 0) / places.length;
  return Array.from({ length: 12 }, (_, k): Place => {
    const turn = (k * Math.PI) / 6;
    const [cx, cy] = [Math.cos(turn), Math.sin(turn)];
    const out = places.reduce((most, [a, b]) => {
      const [dx, dy] = [a - x, b - y];
      const aside = Math.abs(dx * cy - dy * cx);
      return aside > 1 ? most : Math.max(most, dx * cx + dy * cy);
    }, 0);
    return [x + (out + 0.5) * cx, y + (out + 0.5) * cy];
  });
}
