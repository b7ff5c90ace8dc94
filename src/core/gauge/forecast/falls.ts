import type { FlowPoint } from "../recession";
import { recededFlow, recessionLaw, type RecessionLaw } from "../recession-law";
import { DAY, HOUR } from "../series";
import type { Fill, FlowGrid } from "./flow-grid";

/** The law of a river's falls as it was known at a step; null before it was. */
export type LawAt = (k: number) => RecessionLaw | null;

/** It is found anew so many times over a record, each time by what was read until then. */
const FITTED = 8;

export function lawsOf(grid: FlowGrid): LawAt {
  const each = Math.ceil(grid.y.length / FITTED);
  const laws = new Map<number, RecessionLaw | null>();
  return (k) => {
    const part = Math.floor(k / each);
    if (!laws.has(part)) laws.set(part, recessionLaw(boxesOf(grid, part * each), Math.max(grid.step, BOX)));
    return laws.get(part)!;
  };
}

/** The river falls by its own law (recession-law.ts), as it does without rain. */
export function recessions({ y, step, back, of }: FlowGrid, lawAt: LawAt): Fill {
  return (k, out) => {
    const law = lawAt(k);
    const q = back(y[k]!);
    if (!law || !(q > 0)) out.fill(NaN);
    else for (let h = 0; h < out.length; h++) out[h] = of(recededFlow(q, ((h + 1) * step) / DAY, law.a[1], law.b));
  };
}

const BOX = 6 * HOUR;

/** Means of ln Q over six hours, or a longer step, before the `until`th. */
function boxesOf({ y, start, step, back }: FlowGrid, until: number): FlowPoint[] {
  const each = Math.max(1, Math.round(BOX / step));
  const boxes: FlowPoint[] = [];
  for (let k = 0; k + each <= until; k += each) {
    let [sum, count] = [0, 0];
    for (let n = k; n < k + each; n++) {
      const q = back(y[n]!);
      if (!(q > 0)) continue;
      sum += Math.log(q);
      count++;
    }
    if (count > 0) boxes.push({ time: start + (k + (each - 1) / 2) * step, lnQ: sum / count });
  }
  return boxes;
}
