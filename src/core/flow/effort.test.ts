import type { Reach } from "./reach-schema";
import { cellsOf, expectedSeconds, paceOf } from "./effort";

test("time grows with the cells, and with the pace this machine has shown", () => {
  // The bench reach: 28,160 cells, 17,593 of them wet, 4.6 s cold on the machine it was built on.
  expect(expectedSeconds(28_160)).toBeGreaterThan(2.5);
  expect(expectedSeconds(28_160)).toBeLessThan(7);
  expect(expectedSeconds(281_600) / expectedSeconds(28_160)).toBeCloseTo(10, 9);
  const slow = paceOf(20, 1800, 28_160 * 0.65);
  expect(expectedSeconds(28_160, slow)).toBeCloseTo(20, 9);
});

test("cells are counted without laying the bed: by the grid, the template, or the extent of what was measured", () => {
  const reach = (bed: unknown) => ({ bed }) as Reach;
  expect(cellsOf(reach({ kind: "grid", nx: 30, ny: 20 }))).toBe(600);
  const template = { kind: "template", length: 100, width: 20, wiggle: 0, cell: 0.5 };
  expect(cellsOf(reach(template))).toBeGreaterThan(200 * 40);
  const square = [0, 50].flatMap((x) => [0, 20].map((y) => ({ x, y, z: 0 })));
  expect(cellsOf(reach({ kind: "soundings", cell: 0.5, points: square }))).toBe(4000);
  const sections = [0, 50].map((x) => ({ x, points: [0, 20].map((y) => ({ y, z: 0 })) }));
  expect(cellsOf(reach({ kind: "sections", cell: 1, sections }))).toBe(1000);
});
