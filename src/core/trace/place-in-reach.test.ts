import { depthMark } from "./depth-mark";
import { drawnOf } from "./drawing";
import type { Drawing } from "./drawing-schema";
import { planeAbout } from "./georeference";
import { isPlaced, positionInReach } from "./place-in-reach";
import { traceReach } from "./traced-reach";

const origin: [number, number] = [-1, 52];
const line = (y: number) => Array.from({ length: 7 }, (_, k): [number, number] => [10 * k + 5, y + 3 * k]);
const drawing: Drawing = {
  sheet: { width: 100, height: 60 },
  scale: { kind: "file", east: [-50, 1, 0], north: [30, 0, -1], origin },
  marks: [
    { id: "l", kind: "left-bank", places: line(10) },
    { id: "r", kind: "right-bank", places: line(22) },
    { id: "s", kind: "boulder", places: [[40, 26]] },
  ],
  discharge: 3,
  slope: 0.003,
};
const options = { id: "r", name: "r", discharge: 3, slope: 0.003, roughness: 0.035, cell: 1 };
const first = traceReach(drawnOf(drawing), options);
const { reach, corner, heading } = first;
const traced = { drawing, corner, heading };

test("a position on earth comes to the stone that was drawn there; a drawing without a place knows none", () => {
  expect(isPlaced(traced)).toBe(true);
  const [x, y] = positionInReach(traced, planeAbout(origin).toPosition([40 - 50, 30 - 26]))!;
  const stone = reach.features![0] as { x: number; y: number };
  expect(Math.hypot(x - stone.x, y - stone.y)).toBeLessThan(0.01);
  const nowhere = { ...traced, drawing: { ...drawing, scale: { ...drawing.scale, origin: null } as Drawing["scale"] } };
  expect(isPlaced(nowhere)).toBe(false);
  expect(positionInReach(nowhere, origin)).toBeUndefined();
});

test("a depth taken on the reach is a mark of its drawing: laid again, the bed is that deep there", () => {
  const at = [30, 12] as const;
  const taken = { id: "d", at, depth: 1.4 };
  const mark = depthMark(traced, { ...taken, discharge: 3.03 });
  expect(mark.discharge).toBeUndefined();
  const again = traceReach(drawnOf({ ...drawing, marks: [...drawing.marks, mark] }), options);
  const { nx, cell } = reach.bed as { nx: number; cell: number };
  const cellAt = Math.floor(at[1] / cell) * nx + Math.floor(at[0] / cell);
  expect(again.depth[cellAt]).toBeCloseTo(1.4, 0);
  expect(Math.abs(again.depth[cellAt]! - 1.4)).toBeLessThan(Math.abs(first.depth[cellAt]! - 1.4) / 2);
  // At another flow it says which.
  expect(depthMark(traced, { ...taken, discharge: 1.5 }).discharge).toBe(1.5);
  const nowhere = { ...traced, drawing: { ...drawing, scale: { kind: "unknown" } as const } };
  expect(() => depthMark(nowhere, { ...taken, discharge: 3 })).toThrow("no-scale");
});
