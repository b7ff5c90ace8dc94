import type { Field } from "../../core/flow/grid";
import { paint } from "./paint";
import { streaks } from "./streaks";

/** A straight channel flowing right, fast in the middle, with dry banks. */
function channel(): Field {
  const [nx, ny] = [40, 20];
  const make = (of: (j: number) => number) => Float32Array.from({ length: nx * ny }, (_, k) => of(Math.floor(k / nx)));
  const wet = (j: number) => j > 2 && j < 17;
  return {
    nx,
    ny,
    cell: 1,
    discharge: 1,
    bed: make((j) => (wet(j) ? 0 : 2)),
    roughness: make(() => 0.03),
    depth: make((j) => (wet(j) ? 1 : 0)),
    u: make((j) => (wet(j) ? 1.2 - Math.abs(j - 10) * 0.12 : 0)),
    v: make(() => 0),
    speedDeviation: make(() => 0),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
}

test("the picture is the flow: dry is clear, fast is brighter than slow, streaks lie along the current", () => {
  const image = streaks(channel(), 4);
  expect([image.width, image.height]).toEqual([160, 80]);
  const at = (x: number, y: number) => y * image.width + x;
  expect(image.wet[at(80, 2)]).toBe(0);
  expect(image.wet[at(80, 40)]).toBe(255);
  expect(image.speed[at(80, 42)]).toBeGreaterThan(image.speed[at(80, 18)]! + 60);
  // Along the current neighbours are alike; across it they are not.
  let [along, across] = [0, 0];
  for (let x = 40; x < 120; x++)
    for (let y = 30; y < 50; y++) {
      along += Math.abs(image.streak[at(x + 1, y)]! - image.streak[at(x, y)]!);
      across += Math.abs(image.streak[at(x, y + 1)]! - image.streak[at(x, y)]!);
    }
  expect(across).toBeGreaterThan(2 * along);
});

test("painted, dry ground is clear, and water lies between the two colours, paler where it runs faster", () => {
  const image = streaks(channel(), 4);
  const { pixels, width } = paint(image, [10, 20, 30], [210, 220, 230]);
  const at = (x: number, y: number) => [...pixels.slice(4 * (y * width + x), 4 * (y * width + x) + 4)];
  expect(at(80, 2)[3]).toBe(0);
  const mean = (y: number) =>
    Array.from({ length: 60 }, (_, k) => at(50 + k, y)[0]!).reduce((sum, value) => sum + value, 0) / 60;
  expect(mean(42)).toBeGreaterThan(mean(18) + 40);
  for (const y of [18, 42]) expect(at(80, y)[2]! - at(80, y)[0]!).toBe(20);
});
