import { median } from "simple-statistics";
import { DAY, HOUR, lastReading, type Series } from "../series";
import { type FlowScale, flowScale } from "./flow-scale";

/** A record of flow at even steps back from an instant, on the scale of flow-scale.ts; NaN where nothing was read. */
export interface FlowGrid extends FlowScale {
  /** Instant of the first step, ms. */
  start: number;
  /** ms */
  step: number;
  y: Float64Array;
}

/** Steps that records are looked at in, ms: the least that is no finer than their readings. */
const STEPS = [HOUR, 3 * HOUR, 6 * HOUR, DAY] as const;
/** Readings from which the step of a record is told. */
const LOOKED_AT = 2000;

/** The newest fifteen years of hours: bounds what a wrong first date costs. */
const MOST_STEPS = 131_072;

function stepOf({ times }: Series): number {
  const first = Math.max(1, times.length - LOOKED_AT);
  const between = Array.from({ length: times.length - first }, (_, k) => times[first + k]! - times[first + k - 1]!);
  const usual = between.length > 0 ? median(between) : HOUR;
  return STEPS.find((step) => step >= 0.9 * usual) ?? DAY;
}

/** The steps end at `end`: the last is the state that is forecast from. */
export function flowGrid(discharge: Series, end: number): FlowGrid {
  const step = stepOf(discharge);
  const count = Math.min(MOST_STEPS, Math.max(0, Math.floor((end - (discharge.times[0] ?? end)) / step) + 1));
  const start = end - (count - 1) * step;
  const scale = flowScale(discharge.values);
  const y = new Float64Array(count);
  for (let k = 0; k < count; k++) {
    const read = lastReading(discharge, start + k * step, 0.99 * step);
    y[k] = read ? scale.of(read.value) : NaN;
  }
  return { ...scale, start, step, y };
}

/** So many steps make up a time; 0 for less than one. */
export const stepsIn = ({ step }: Pick<FlowGrid, "step">, time: number): number => Math.floor(time / step);

/** Fills the steps after the `k`th of a grid by what was known then, on the grid's scale; NaN where it cannot tell. */
export type Fill = (k: number, out: Float64Array) => void;
