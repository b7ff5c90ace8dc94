import type { Field } from "../core/flow/grid";
import { packField, unpackField } from "../core/flow/ladder";
import type { Reach } from "../core/flow/reach";
import type { Database } from "./database";

/** Fields kept at most; the oldest go first. One at 0.5 m is about 400 kB, a rung of the ladder 100 kB. */
const MOST_KEPT = 120;

/**
 * A short name for the bed's present state: fields of another state are not used. Names of objects and roofs over the
 * water do not change the flow.
 */
export function bedKey(reach: Reach): string {
  const known = keys.get(reach);
  if (known) return known;
  const key = keyOf(reach);
  keys.set(reach, key);
  return key;
}

/** Soundings may be many: a reach that has not changed is not read again. */
const keys = new WeakMap<Reach, string>();

function keyOf(reach: Reach): string {
  const { bed, roughness, downstream, features } = reach;
  const text = JSON.stringify([
    bed,
    roughness,
    downstream,
    (features ?? [])
      .filter((one) => one.kind !== "undercut" && one.kind !== "overhang")
      .map((one) => ({ ...one, name: undefined })),
  ]);
  // FNV-1a, 2 x 32 bits: a name, not a seal.
  let [a, b] = [0x811c9dc5, 0x1000193];
  for (let k = 0; k < text.length; k++) {
    a = Math.imul(a ^ text.charCodeAt(k), 0x01000193);
    b = Math.imul(b ^ text.charCodeAt(k), 0x01000197);
  }
  return `${reach.id}-${(a >>> 0).toString(36)}${(b >>> 0).toString(36)}`;
}

const fieldId = (bed: string, discharge: number, cell: number): string => `${bed}|${discharge.toPrecision(4)}|${cell}`;

export async function keptField(
  db: Database,
  bed: string,
  discharge: number,
  cell: number,
): Promise<Field | undefined> {
  const kept = await db.fields.get(fieldId(bed, discharge, cell));
  return kept && unpackField(kept.packed, kept.ground.bed, kept.ground.roughness);
}

export async function keepField(db: Database, bed: string, field: Field): Promise<void> {
  await db.transaction("rw", db.fields, async () => {
    await db.fields.put({
      id: fieldId(bed, field.discharge, field.cell),
      bed,
      packed: packField(field),
      ground: { bed: field.bed, roughness: field.roughness },
      solvedAt: new Date().toISOString(),
    });
    const surplus = (await db.fields.count()) - MOST_KEPT;
    if (surplus > 0) await db.fields.bulkDelete(await db.fields.orderBy("solvedAt").limit(surplus).primaryKeys());
  });
}

/** Discharges already solved for a bed, with their cell, m3/s. */
export async function solvedFlows(db: Database, bed: string): Promise<{ discharge: number; cell: number }[]> {
  const ids = (await db.fields.where("bed").equals(bed).primaryKeys()) as string[];
  return ids.map((id) => {
    const [, discharge, cell] = id.split("|");
    return { discharge: Number(discharge), cell: Number(cell) };
  });
}
