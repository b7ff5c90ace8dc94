import type { Field } from "../core/flow/grid";
import { packField, unpackField } from "../core/flow/precomputed";
import type { Database } from "./database";

/** Fields kept at most; the oldest go first. One at 0.5 m is about 400 kB, a rung of the ladder 100 kB. */
const MOST_KEPT = 120;

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
