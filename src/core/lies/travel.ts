import { type Field, speedAt } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { swimmingCost } from "./foraging";
import { focalHeightIn } from "./net-energy";
import type { ScoreField } from "./score";
import { standardWeight, type Traveller } from "./species";
import { suits } from "./suitability";

/** Speed over the ground of a fish on its way, m/s. Common practice, no source. */
const PACE = 0.4;
/** Extra cost, as a share of the cheapest way, at which a way is taken a third as often. Common practice, no source. */
const DETOUR = 0.05;
/** Water ahead that a fish rests before, m up its way. Common practice, no source. */
const AHEAD = 12;
/** Thin water costs more, since it shows the fish; under the least that lets it pass, or faster than it can pass, there is no way. Common practice, no source. */
function hindrance(depth: number, speed: number, { passage }: Traveller): number {
  if (depth < passage.depth || speed > passage.speed) return Infinity;
  return 1 + 3 * Math.max(0, 0.6 - depth) + 0.4 * Math.max(0, 1.2 - depth);
}

/**
 * Where fish on the run stop: near the way upstream that costs least energy, in water that suits them, before the way grows dear. Cost of a metre is the
 * power of swimming at pace against the current (foraging.ts) over that pace; ways are found by Dijkstra 1959 from both ends of the reach.
 */
export function scoreTravel(field: Field, species: Traveller, at: { temperature: number }): ScoreField {
  const { nx, ny, cell } = field;
  const cells = nx * ny;
  const weight = standardWeight(species, species.forkLength * 10) ?? 1000;
  const { depth: byDepth, speed: bySpeed } = suits(species.suitability, at.temperature);
  const make = () => new Float32Array(cells);
  const parts = { lane: make(), depth: make(), speed: make(), rest: make() };
  const focalSpeed = new Float64Array(cells);
  // J per metre made good up-current; the current along x is what is swum against.
  const dear = new Float64Array(cells).fill(Infinity);
  for (let k = 0; k < cells; k++) {
    const h = field.depth[k]!;
    if (h <= 0) continue;
    focalSpeed[k] = speedAtHeight(speedAt(field, k), h, roughnessHeight(field.roughness[k]!, h), focalHeightIn(species, h));
    dear[k] = (swimmingCost(weight, at.temperature, Math.max(0, speedAt(field, k) * Math.sign(field.u[k]! || 1) + PACE)) / PACE) * hindrance(h, speedAt(field, k), species);
  }
  const up = cheapest(field, dear, nx - 1);
  const down = cheapest(field, dear, 0);
  let best = Infinity;
  for (let j = 0; j < ny; j++) best = Math.min(best, up.cost[j * nx]!);
  const score = new Float64Array(cells).fill(NaN);
  for (let k = 0; k < cells; k++) {
    const h = field.depth[k]!;
    if (h < species.leastDepth || !Number.isFinite(best) || !Number.isFinite(up.cost[k]! + down.cost[k]!)) continue;
    parts.lane[k] = Math.exp(-Math.max(0, up.cost[k]! + down.cost[k]! - best) / best / DETOUR);
    parts.depth[k] = byDepth(h);
    parts.speed[k] = bySpeed(focalSpeed[k]!);
    parts.rest[k] = restBefore(k, down.next, dear, nx, cell);
    score[k] = parts.lane[k]! * parts.depth[k]! * parts.speed[k]! * parts.rest[k]!;
  }
  return {
    score, focalSpeed, factors: parts,
    reasons: (k) => [
      { kind: "lane", dearer: (up.cost[k]! + down.cost[k]!) / best - 1 },
      { kind: "rest", share: aheadOf(k, down.next, dear, nx, cell) / dear[k]! },
    ],
  };
}

/** From half for water no dearer ahead to one where it is half as dear again. */
function restBefore(k: number, next: Int32Array, dear: Float64Array, nx: number, cell: number): number {
  const share = aheadOf(k, next, dear, nx, cell) / dear[k]!;
  return 0.5 + 0.5 * Math.min(1, Math.max(0, (share - 1) / 0.5));
}

/** Mean cost of a metre over the next stretch of the cheapest way up. */
function aheadOf(k: number, next: Int32Array, dear: Float64Array, nx: number, cell: number): number {
  let [sum, count] = [0, 0];
  for (let at = k; at >= 0 && count < AHEAD / cell; at = next[at]!) {
    sum += dear[at]!;
    count++;
    if (at % nx === 0) break;
  }
  return sum / count;
}

/** Cheapest cost from every cell to column `end`, and the next cell on the way there (-1 at its end). Eight neighbours, a binary heap. */
function cheapest(field: Field, dear: Float64Array, end: number): { cost: Float64Array; next: Int32Array } {
  const { nx, ny, cell } = field;
  const cost = new Float64Array(nx * ny).fill(Infinity);
  const next = new Int32Array(nx * ny).fill(-1);
  const heap: [number, number][] = [];
  const push = (key: number, k: number) => {
    heap.push([key, k]);
    for (let i = heap.length - 1; i > 0;) {
      const parent = (i - 1) >> 1;
      if (heap[parent]![0] <= heap[i]![0]) break;
      [heap[parent], heap[i]] = [heap[i]!, heap[parent]!];
      i = parent;
    }
  };
  const pop = (): [number, number] => {
    const top = heap[0]!;
    const last = heap.pop()!;
    if (heap.length > 0) {
      heap[0] = last;
      for (let i = 0; ;) {
        const [l, r] = [2 * i + 1, 2 * i + 2];
        let least = i;
        if (l < heap.length && heap[l]![0] < heap[least]![0]) least = l;
        if (r < heap.length && heap[r]![0] < heap[least]![0]) least = r;
        if (least === i) break;
        [heap[least], heap[i]] = [heap[i]!, heap[least]!];
        i = least;
      }
    }
    return top;
  };
  for (let j = 0; j < ny; j++) {
    const k = j * nx + end;
    if (Number.isFinite(dear[k]!)) {
      cost[k] = 0;
      push(0, k);
    }
  }
  while (heap.length > 0) {
    const [spent, k] = pop();
    if (spent > cost[k]!) continue;
    const [i, j] = [k % nx, Math.floor(k / nx)];
    for (let b = Math.max(0, j - 1); b <= Math.min(ny - 1, j + 1); b++) {
      for (let a = Math.max(0, i - 1); a <= Math.min(nx - 1, i + 1); a++) {
        const other = b * nx + a;
        const far = a !== i && b !== j ? Math.SQRT2 : 1;
        const total = spent + 0.5 * (dear[k]! + dear[other]!) * far * cell;
        if (total < cost[other]!) {
          cost[other] = total;
          next[other] = k;
          push(total, other);
        }
      }
    }
  }
  return { cost, next };
}
