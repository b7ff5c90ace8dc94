import { z } from "zod";
import { InputError } from "../quantity/fault";
import { refuse } from "../quantity/issue";
import { cellsOf, type Field, MOST_CELLS } from "../flow/grid";

/** The field file: row-major arrays of bed, depth, u and v, null where dry, and where its corner lies. */
const numbers = z.array(z.number());
const wetNumbers = z.array(z.number().nullable());
const fieldSchema = z.object({
  nx: z.int().min(4),
  ny: z.int().min(3),
  cell: z.number().positive(),
  discharge: z.number().positive().default(1),
  origin: z.object({ x: z.number(), y: z.number() }).optional(),
  bed: numbers,
  roughness: z.union([z.number(), numbers]).optional(),
  depth: wetNumbers,
  u: wetNumbers,
  v: wetNumbers,
  speedDeviation: wetNumbers.optional(),
  verdict: z.enum(["converged", "shedding", "not-converged"]).default("converged"),
  unsettled: z.enum(["filling", "emptying", "pulsing"]).optional(),
  massError: z.number().min(0).default(0),
});

export function writeField(field: Field): string {
  const wet = (values: Float32Array) => Array.from(values, (value, k) => (field.depth[k]! > 0 ? round(value) : null));
  return JSON.stringify({
    schema: "low-heron/field@1",
    nx: field.nx,
    ny: field.ny,
    cell: field.cell,
    discharge: field.discharge,
    origin: { x: 0, y: 0 },
    verdict: field.verdict,
    unsettled: field.unsettled,
    massError: field.massError,
    bed: Array.from(field.bed, round),
    roughness: Array.from(field.roughness, round),
    depth: wet(field.depth),
    u: wet(field.u),
    v: wet(field.v),
    speedDeviation: wet(field.speedDeviation),
  });
}

/** Tenths of a millimetre are more than the model knows. */
const round = (value: number): number => Math.round(value * 1e4) / 1e4;

/** Reads a field file; `roughness` is used where the file gives none. */
export function readField(text: string, roughness: number, file?: string): Field {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new InputError("field-not-json", { message: (error as Error).message }, { file });
  }
  const parsed = fieldSchema.safeParse(data, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-field", { file });
  const field = parsed.data;
  const cells = field.nx * field.ny;
  if (cells > MOST_CELLS) throw new InputError("field-too-large", { cells }, { file, path: "nx" });
  for (const name of ["bed", "depth", "u", "v"] as const) {
    if (field[name].length !== cells)
      throw new InputError(
        "field-count",
        { name, length: field[name].length, cells },
        {
          file,
          path: name,
        },
      );
  }
  const dense = (values: (number | null)[] | undefined) => cellsOf(new Float32Array(cells), (k) => values?.[k] ?? 0);
  const n = field.roughness;
  if (Array.isArray(n) && n.length !== cells)
    throw new InputError(
      "field-count",
      { length: n.length, cells },
      {
        file,
        path: "roughness",
      },
    );
  return {
    nx: field.nx,
    ny: field.ny,
    cell: field.cell,
    discharge: field.discharge,
    bed: Float32Array.from(field.bed),
    roughness: cellsOf(new Float32Array(cells), (k) => (Array.isArray(n) ? n[k]! : (n ?? roughness))),
    depth: dense(field.depth),
    u: dense(field.u),
    v: dense(field.v),
    speedDeviation: dense(field.speedDeviation),
    verdict: field.verdict,
    ...(field.unsettled && { unsettled: field.unsettled }),
    massError: field.massError,
    steps: 0,
  };
}
