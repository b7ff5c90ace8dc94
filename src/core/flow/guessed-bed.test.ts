import { guessedBed } from "./guessed-bed";
import type { Reach } from "./reach-schema";

const [nx, ny] = [60, 20];
const reach = (deviation?: (number | null)[]): Reach => ({
  schema: "low-heron/reach@1",
  id: "g",
  name: "g",
  bed: { kind: "grid", nx, ny, cell: 1, z: new Array<number>(nx * ny).fill(-1), ...(deviation && { deviation }) },
  roughness: 0.035,
  downstream: { kind: "normal", slope: 0.003 },
});
const heights = ({ bed }: Reach) => (bed as { z: number[] }).z;

test("over many members the bed is off by its standard deviation, and by nothing on average", () => {
  const deviation = Array.from({ length: nx * ny }, (_, k) => (Math.floor(k / nx) < 10 ? 0.1 : 0.3));
  const members = Array.from({ length: 200 }, (_, k) => heights(guessedBed(reach(deviation), k)));
  for (const k of [65, 400, 700, 1100]) {
    const off = members.map((z) => z[k]! + 1);
    expect(Math.abs(off.reduce((a, b) => a + b, 0) / off.length)).toBeLessThan(1e-9);
    const spread = Math.sqrt(off.reduce((sum, one) => sum + one * one, 0) / off.length);
    expect(spread / deviation[k]!).toBeGreaterThan(0.8);
    expect(spread / deviation[k]!).toBeLessThan(1.2);
  }
});

test("it is smooth: neighbours are off alike, places a few widths apart are not", () => {
  const deviation = new Array<number>(nx * ny).fill(1);
  const members = Array.from({ length: 200 }, (_, k) => heights(guessedBed(reach(deviation), k)));
  const together = (a: number, b: number) => members.reduce((sum, z) => sum + (z[a]! + 1) * (z[b]! + 1), 0) / 200;
  expect(together(605, 606)).toBeGreaterThan(0.8);
  expect(Math.abs(together(605, 655))).toBeLessThan(0.35);
});

test("land and measured ground stay; a bed without deviations is the bed itself", () => {
  const plain = reach();
  expect(guessedBed(plain, 3)).toBe(plain);
  const deviation = Array.from({ length: nx * ny }, (_, k) => (k % 3 === 0 ? null : k % 3 === 1 ? 0 : 0.2));
  const z = heights(guessedBed(reach(deviation), 3));
  z.forEach((height, k) => k % 3 < 2 && expect(height).toBe(-1));
  expect(z.some((height) => Math.abs(height + 1) > 0.02)).toBe(true);
});
