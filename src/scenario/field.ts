import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach-schema";
import { keyOf, shortName } from "./key";

/** First stage: the flow of a reach at a discharge. */
export interface FieldRequest {
  reach: Reach;
  /** m3/s */
  discharge: number;
  /** m; the reach's own where undefined. */
  cell: number | undefined;
}

/** Flows are solved at three figures: finer differences are not seen. */
export const roundFlow = (discharge: number): number => Number(discharge.toPrecision(3));

/** Cell of a reach's finest field, m. */
export const cellOf = (reach: Reach): number => (reach.bed.kind === "template" ? 0.5 : reach.bed.cell);

/** Raised when the solver's answers change: fields that an older one has kept are not used. */
const SCHEME = 2;

/**
 * A short name for the bed's present state: fields of another state are not used. Names of objects and roofs over the
 * water do not change the flow.
 */
export function bedKey(reach: Reach): string {
  const known = bedKeys.get(reach);
  if (known) return known;
  const { bed, roughness, downstream, features } = reach;
  const solid = (features ?? [])
    .filter((one) => one.kind !== "undercut" && one.kind !== "overhang")
    .map((one) => ({ ...one, name: undefined, id: undefined }));
  const key = `${reach.id}-${shortName(JSON.stringify([SCHEME, bed, roughness, downstream, solid]))}`;
  bedKeys.set(reach, key);
  return key;
}

/** Soundings may be many: a reach that has not changed is not read again. */
const bedKeys = new WeakMap<Reach, string>();

export const fieldKey = ({ reach, discharge, cell }: FieldRequest): string =>
  keyOf("field", bedKey(reach), discharge, cell ?? cellOf(reach));

/** What a field holds, as a short name: two solves of one question may differ by what they began from. */
export function contentOf(field: Field): string {
  const known = contents.get(field);
  if (known) return known;
  let [a, b] = [0x811c9dc5, 0x1000193];
  for (const values of [field.depth, field.u, field.v, field.speedDeviation]) {
    const words = new Uint32Array(values.buffer, values.byteOffset, values.length);
    for (let k = 0; k < words.length; k++) {
      a = Math.imul(a ^ words[k]!, 0x01000193);
      b = Math.imul(b ^ (words[k]! >>> 7), 0x01000197);
    }
  }
  const content = `${(a >>> 0).toString(36)}${(b >>> 0).toString(36)}`;
  contents.set(field, content);
  return content;
}
const contents = new WeakMap<Field, string>();

/** The name of a solved field: of its question, and of what it holds. */
export const solvedKey = (request: FieldRequest, field: Field): string => keyOf(fieldKey(request), contentOf(field));

/** A field may start another on finer cells, if both lie on the same ground. */
export const covers = (near: Field, grid: { nx: number; ny: number; cell: number }): boolean =>
  Math.abs(near.nx * near.cell - grid.nx * grid.cell) <= near.cell &&
  Math.abs(near.ny * near.cell - grid.ny * grid.cell) <= near.cell;
