import type { Field } from "../../core/flow/grid";
import { bracket, interpolate, PRECOMPUTED_CELL } from "../../core/flow/precomputed";
import { database } from "../../store/database";
import { keptField, solvedFlows } from "../../store/fields";

/** Where a field that is shown comes from. */
export type Origin =
  /** Solved at the asked flow on the finest cells. */
  | "solved"
  /** A first picture of it on coarser cells. */
  | "coarse"
  /** Interpolated between precomputed flows on both sides. */
  | "between"
  /** The nearest flow that is solved. */
  | "nearest"
  /** Of the bed before its last change. */
  | "earlier-bed"
  /** A quick picture of a bed that is being shaped. */
  | "live";

/** A field under the name of the question that it answers. */
export interface NamedField {
  key: string;
  field: Field;
  origin: Origin;
}

/** Precomputed fields read last, so that moving the slider reads the disk but once for each. */
const readLately = new Map<string, Field>();
const MOST_READ = 24;

async function precomputedField(bed: string, discharge: number, cell: number): Promise<Field | undefined> {
  const key = `${bed}|${discharge}|${cell}`;
  const known = readLately.get(key) ?? (await keptField(database(), bed, discharge, cell));
  if (!known) return undefined;
  if (readLately.size >= MOST_READ) readLately.clear();
  readLately.set(key, known);
  return known;
}

/** The field at a flow, interpolated between the precomputed ones on both sides of it. */
export async function fieldBetween(bed: string, flow: number, finest: number): Promise<Field | undefined> {
  const cell = Math.max(PRECOMPUTED_CELL, finest);
  const flows = (await solvedFlows(database(), bed)).filter((one) => one.cell === cell).map((one) => one.discharge);
  const pair = bracket(flows, flow);
  const [low, high] = pair ? await Promise.all(pair.map((one) => precomputedField(bed, one, cell))) : [];
  return low && high && interpolate(low, high, flow);
}

/** The kept field of the flow nearest by ratio, at the fine cell. */
export async function nearestField(bed: string, flow: number, cell: number): Promise<Field | undefined> {
  const flows = (await solvedFlows(database(), bed)).filter((one) => one.cell === cell);
  const best = flows.sort((a, b) => Math.abs(Math.log(a.discharge / flow)) - Math.abs(Math.log(b.discharge / flow)))[0];
  return best && keptField(database(), bed, best.discharge, cell);
}
