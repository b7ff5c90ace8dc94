import { medianSorted } from "simple-statistics";
import { visibleDepthFromTurbidity } from "./clarity";
import { DEFAULT_CLARITY_FIT } from "./clarity-fit";
import { HOUR, indexAtOrBefore, type Series } from "./series";
import { type GaugeRecord, seriesOf } from "./summary";

/** How clear a record says the water is at a flow. */
export interface UsualClarity {
  /** m; the middle of the readings. */
  visibleDepth: number;
  from: "turbidity" | "reading";
  readings: number;
  /** Only readings on that limb count, where there are enough; null: on either. */
  limb: "rising" | "falling" | null;
}

/** Flows within this factor count as the same. Common practice, no source. */
const ALIKE = 1.15;
/** Fewest readings of the gauge, and of the angler, that tell. Common practice, no source. */
const FEWEST = { turbidity: 12, reading: 3 };
/** The limb by the change of ln Q over so many hours; less than so much is neither. Common practice, no source. */
const LIMB = { hours: 6, least: 0.012 };

/**
 * The visible depth that is usual at a discharge, m3/s, on a limb: from the angler's own readings where there are three
 * or more, else from turbidity; null where the record says too little. A rise carries colour that the same flow has
 * lost on its way down (hysteresis of suspended sediment: Williams 1989, J. Hydrol. 111; from memory).
 */
export function usualClarity(record: GaugeRecord, discharge: number, limb: "rising" | "falling"): UsualClarity | null {
  const flows = seriesOf(record, "discharge");
  const turbidity = seriesOf(record, "turbidity");
  if (!flows) return null;
  const { seen = [], clarityFit = DEFAULT_CLARITY_FIT } = record;
  const own = alike(
    flows,
    seen.map((one) => one.at),
    (k) => seen[k]!.visibleDepth,
    discharge,
  );
  const read = () =>
    turbidity
      ? alike(flows, turbidity.times, (k) => visibleDepthFromTurbidity(turbidity.values[k]!, clarityFit), discharge)
      : [];
  return middle(own, limb, "reading") ?? middle(read(), limb, "turbidity");
}

/**
 * Depths read while the river ran about as high, with the limb that it was on. Instants ascend in both, so that a long
 * record is walked once; nothing is worked out for those that do not count.
 */
function alike(flows: Series, at: ArrayLike<number>, depthOf: (k: number) => number, discharge: number) {
  const found: { depth: number; limb: UsualClarity["limb"] }[] = [];
  const [low, high] = [discharge / ALIKE, discharge * ALIKE];
  let flow = -1;
  for (let k = 0; k < at.length; k++) {
    while (flow + 1 < flows.times.length && flows.times[flow + 1]! <= at[k]!) flow++;
    const q = flowOf(flows, flow, at[k]!);
    if (!(q >= low && q <= high)) continue;
    const depth = depthOf(k);
    if (Number.isNaN(depth)) continue;
    const before = at[k]! - LIMB.hours * HOUR;
    const change = Math.log(q / flowOf(flows, indexAtOrBefore(flows, before), before));
    found.push({ depth, limb: change > LIMB.least ? "rising" : change < -LIMB.least ? "falling" : null });
  }
  return found;
}

/** A flow, where it was read within the hour before an instant; else NaN. */
function flowOf({ times, values }: Series, k: number, at: number): number {
  return k >= 0 && at - times[k]! <= HOUR && values[k]! > 0 ? values[k]! : NaN;
}

function middle(
  found: readonly { depth: number; limb: UsualClarity["limb"] }[],
  limb: "rising" | "falling",
  from: UsualClarity["from"],
): UsualClarity | null {
  const onLimb = found.filter((one) => one.limb === limb);
  const enough = onLimb.length >= FEWEST[from];
  const told = enough ? onLimb : found;
  if (told.length < FEWEST[from]) return null;
  const depths = told.map((one) => one.depth).sort((a, b) => a - b);
  return { visibleDepth: medianSorted(depths), from, readings: told.length, limb: enough ? limb : null };
}
