import type { Feature } from "../../core/flow/reach-schema";
import { markPlaces } from "./mark-places";

const stone: Feature = { kind: "boulder", id: "s", x: 10, y: 10, diameter: 2, height: 1 };

test("a mark stands at its place where nothing is in its way", () => {
  expect(markPlaces([{ x: 30, y: 10 }], [stone], 8)).toEqual([{ x: 240, y: 80 }]);
});

test("no mark covers a stone, or the mark of a better lie; none goes far from its place", () => {
  const lies = [
    { x: 10.5, y: 10 },
    { x: 11, y: 10.4 },
    { x: 11.4, y: 9.8 },
  ];
  for (const scale of [6, 8, 14]) {
    const marks = markPlaces(lies, [stone], scale);
    marks.forEach((mark, k) => {
      expect(Math.hypot(mark.x - 10 * scale, mark.y - 10 * scale)).toBeGreaterThanOrEqual(scale + 11);
      expect(Math.hypot(mark.x - lies[k]!.x * scale, mark.y - lies[k]!.y * scale)).toBeLessThanOrEqual(36);
      for (const other of marks.slice(0, k))
        expect(Math.hypot(mark.x - other.x, mark.y - other.y)).toBeGreaterThanOrEqual(22);
    });
  }
});

test("wood along its length is kept in sight too", () => {
  const log: Feature = { kind: "log", id: "l", x: 10, y: 10, length: 6, width: 1, angle: 90, height: 0.5 };
  for (const y of [7.5, 9, 10, 12.5]) {
    const [mark] = markPlaces([{ x: 10.2, y }], [log], 8);
    expect(Math.abs(mark!.x - 80) >= 4 + 11 || Math.abs(mark!.y - 80) >= 24 + 11).toBe(true);
  }
});

test("among too many stones it stands on its place rather than far off", () => {
  const wall = Array.from({ length: 100 }, (_, k): Feature => ({
    ...stone,
    id: `s${k}`,
    x: k % 10,
    y: Math.floor(k / 10),
  }));
  expect(markPlaces([{ x: 5, y: 5 }], wall, 8)).toEqual([{ x: 40, y: 40 }]);
});
