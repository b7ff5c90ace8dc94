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

/** Flows within this factor count as the same: 15 %. Common practice, no source. */
const ALIKE = Math.log(1.15);
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
  const own = (record.seen ?? []).map((one) => ({ at: one.at, depth: one.visibleDepth }));
  return (
    middle(alike(flows, own, discharge), limb, "reading") ??
    (turbidity ? middle(alike(flows, depthsOf(turbidity, record), discharge), limb, "turbidity") : null)
  );
}

interface Depth {
  at: number;
  depth: number;
}

function* depthsOf(turbidity: Series, record: GaugeRecord): Generator<Depth> {
  for (let k = 0; k < turbidity.times.length; k++) {
    const value = turbidity.values[k]!;
    if (!Number.isNaN(value))
      yield {
        at: turbidity.times[k]!,
        depth: visibleDepthFromTurbidity(value, record.clarityFit ?? DEFAULT_CLARITY_FIT),
      };
  }
}

/** Depths read while the river ran about as high, with the limb that it was on. */
function alike(flows: Series, depths: Iterable<Depth>, discharge: number) {
  const found: { depth: number; limb: UsualClarity["limb"] }[] = [];
  for (const { at, depth } of depths) {
    const q = flowAt(flows, at);
    if (q === null || Math.abs(Math.log(q / discharge)) > ALIKE) continue;
    const before = flowAt(flows, at - LIMB.hours * HOUR);
    const change = before === null ? 0 : Math.log(q / before);
    found.push({ depth, limb: change > LIMB.least ? "rising" : change < -LIMB.least ? "falling" : null });
  }
  return found;
}

/** The flow at an instant, where it was read within the hour. */
function flowAt(flows: Series, at: number): number | null {
  const k = indexAtOrBefore(flows, at);
  const value = k < 0 || at - flows.times[k]! > HOUR ? NaN : flows.values[k]!;
  return value > 0 ? value : null;
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
