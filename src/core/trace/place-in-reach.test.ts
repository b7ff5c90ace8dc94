import { drawnOf } from "./drawing";
import type { Drawing } from "./drawing-schema";
import { planeAbout } from "./georeference";
import { isPlaced, positionInReach } from "./place-in-reach";
import { traceReach } from "./traced-reach";

test("a position on earth comes to the stone that was drawn there; a drawing without a place knows none", () => {
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
  const { reach, corner, heading } = traceReach(drawnOf(drawing), options);
  const traced = { drawing, corner, heading };
  expect(isPlaced(traced)).toBe(true);
  const [x, y] = positionInReach(traced, planeAbout(origin).toPosition([40 - 50, 30 - 26]))!;
  const stone = reach.features![0] as { x: number; y: number };
  expect(Math.hypot(x - stone.x, y - stone.y)).toBeLessThan(0.01);
  const nowhere = { ...traced, drawing: { ...drawing, scale: { ...drawing.scale, origin: null } as Drawing["scale"] } };
  expect(isPlaced(nowhere)).toBe(false);
  expect(positionInReach(nowhere, origin)).toBeUndefined();
});
