import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { InputError } from "../quantity/fault";
import { readField, writeField } from "./field-file";

const z = Array.from({ length: 40 * 12 }, (_, k) => 0.004 * (40 - (k % 40)) + (Math.floor(k / 40) % 11 === 0 ? 2 : 0));
const reach = {
  schema: "low-heron/reach@1" as const,
  id: "t",
  name: "t",
  bed: { kind: "grid" as const, nx: 40, ny: 12, cell: 1, z },
  roughness: 0.03,
  downstream: { kind: "normal" as const, slope: 0.004 },
};
const field = solveSteady(rasteriseReach(reach), { discharge: 5, downstream: reach.downstream });

test("a field comes back from its file to a tenth of a millimetre, dry cells null in the file and zero here", () => {
  const text = writeField(field);
  const raw = JSON.parse(text) as {
    depth: (number | null)[];
    u: (number | null)[];
    bed: number[];
    origin: { x: number; y: number };
  };
  expect(raw.origin).toEqual({ x: 0, y: 0 });
  raw.depth.forEach((h, k) => expect(h === null).toBe(!(field.depth[k]! > 0)));
  expect(raw.bed.every(Number.isFinite)).toBe(true);
  const back = readField(text, 0.05);
  for (const name of ["depth", "u", "v", "bed", "roughness", "speedDeviation"] as const)
    back[name].forEach((value, k) => expect(Math.abs(value - field[name][k]!)).toBeLessThan(6e-5));
  expect(back).toMatchObject({ nx: 40, ny: 12, cell: 1, discharge: 5, verdict: field.verdict });
});

test("why a field has not settled comes back with it", () => {
  const rough = { ...field, verdict: "not-converged", unsettled: "filling" } as const;
  expect(readField(writeField(rough), 0.05)).toMatchObject({ verdict: "not-converged", unsettled: "filling" });
  expect(readField(writeField(field), 0.05)).not.toHaveProperty("unsettled");
});

test("roughness is the reach's own where the file gives none", () => {
  const raw = JSON.parse(writeField(field)) as Record<string, unknown>;
  delete raw.roughness;
  expect(readField(JSON.stringify(raw), 0.05).roughness[7]).toBeCloseTo(0.05, 6);
});

test.each<[string, (raw: Record<string, unknown>) => void, string]>([
  ["too few depths", (raw) => (raw.depth = [1, 2]), "depth"],
  ["a word for a speed", (raw) => ((raw.u as unknown[])[3] = "fast"), "u[3]"],
  ["no cell size", (raw) => delete raw.cell, "cell"],
  ["a huge grid", (raw) => Object.assign(raw, { nx: 5000, ny: 5000 }), "nx"],
])("a field with %s is refused by its path", (_, spoil, path) => {
  const raw = JSON.parse(writeField(field)) as Record<string, unknown>;
  spoil(raw);
  try {
    readField(JSON.stringify(raw), 0.03, "f.json");
    throw new Error("was taken");
  } catch (error) {
    expect(error).toBeInstanceOf(InputError);
    expect((error as InputError).fault).toMatchObject({ path, file: "f.json" });
  }
});

test("text that is no JSON is refused", () => {
  expect(() => readField("nope", 0.03)).toThrow(InputError);
});
