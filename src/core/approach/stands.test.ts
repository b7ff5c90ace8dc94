import type { Field } from "../flow/grid";
import { leastCostPaths } from "../water/least-cost-path";
import { hiddenFrom, seesOver, WINDOW, windowRadius } from "./sight";
import { standsFor, type StandQuestion } from "./stands";

test("the fish's window: a cone 97.2 degrees wide, 2.27 times as broad at the surface as the fish is deep (Snell's law)", () => {
  expect((2 * WINDOW * 180) / Math.PI).toBeCloseTo(97.2, 1);
  expect(2 * windowRadius(1)).toBeCloseTo(2.27, 2);
});

test("a wader is seen near and not far; the deeper the fish, the farther it sees; crouching helps, mud hides", () => {
  expect(seesOver(1, 1.7, 5, 2)).toBe(true);
  expect(seesOver(1, 1.7, hiddenFrom(1, 1.7) + 0.01, 2)).toBe(false);
  expect(seesOver(1, 1.7, hiddenFrom(1, 1.7) - 0.01, 2)).toBe(true);
  expect(hiddenFrom(2, 1.7)).toBeGreaterThan(hiddenFrom(0.5, 1.7));
  // 1.7 m over the water under ten degrees: 9.6 m beyond the window.
  expect(hiddenFrom(1, 1.7) - windowRadius(1)).toBeCloseTo(9.64, 2);
  expect(seesOver(1, 0.9, 8, 2)).toBe(false);
  expect(seesOver(1, 1.7, 5, 0.3)).toBe(false);
});

test("the cheapest way goes round what is dear, and costs its length where all is alike (closed form)", () => {
  const [nx, ny] = [21, 11];
  const flat = new Float64Array(nx * ny).fill(2);
  const ends = Array.from({ length: ny }, (_, j) => j * nx);
  expect(leastCostPaths(flat, nx, ny, 0.5, ends).cost[5 * nx + 20]).toBeCloseTo(2 * 0.5 * 20, 10);
  const walled = Float64Array.from(flat, (value, k) => (k % nx === 10 && Math.floor(k / nx) > 0 ? Infinity : value));
  const { cost, next } = leastCostPaths(walled, nx, ny, 1, ends);
  expect(cost[8 * nx + 20]).toBeGreaterThan(cost[0 * nx + 20]!);
  const rows = new Set<number>();
  for (let at = 8 * nx + 20; at >= 0; at = next[at]!) if (at % nx === 10) rows.add(Math.floor(at / nx));
  expect([...rows]).toEqual([0]);
});

/** A river 30 m wide between banks, running to the right; depth by y. */
function river(depth: (y: number) => number, speed = 0.4): Field {
  const [nx, ny, cell] = [100, 40, 1];
  const make = (of: (y: number) => number) =>
    Float32Array.from({ length: nx * ny }, (_, k) => of(Math.floor(k / nx) + 0.5));
  const wet = (y: number) => y > 5 && y < 35;
  return {
    nx,
    ny,
    cell,
    discharge: 1,
    bed: make((y) => (wet(y) ? -depth(y) : 0.3)),
    roughness: make(() => 0.03),
    depth: make((y) => (wet(y) ? depth(y) : 0)),
    u: make((y) => (wet(y) ? speed : 0)),
    v: make(() => 0),
    speedDeviation: make(() => 0),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
}
const fish: StandQuestion = { x: 50, y: 20, upCurrent: [-1, 0], eyeDepth: 0.6, visibleDepth: 2, height: 1.8 };

test("a stand from below lies down-current, one from above up-current and to the side; both hidden, safe to reach and within a cast", () => {
  const { stands } = standsFor(
    river(() => 0.7),
    fish,
  );
  expect(stands.map(({ school }) => school)).toEqual(["from-below", "from-above"]);
  const [below, above] = stands;
  expect(below!.x).toBeGreaterThan(50);
  expect(above!.x).toBeLessThan(50);
  for (const stand of stands) {
    expect(stand.hidden).toBe(true);
    expect(stand.distance).toBeLessThan(14.01);
    expect(stand.hazard).toBeLessThan(0.3);
    const [from] = stand.path;
    expect(Math.min(Math.abs(from![1] - 5), Math.abs(from![1] - 35))).toBeLessThan(1);
    // Nearer fish first.
    const away = stand.casts.map((cast) => Math.hypot(cast.x - stand.x, cast.y - stand.y));
    expect(away[0]!).toBeLessThan(away[1]!);
    expect(away[1]!).toBeLessThan(away[2]!);
  }
});

test("nobody is sent through water to stay out of: with a deep trench on one side the way comes from the other, and where all is deep there is none in the river", () => {
  const { stands: trench } = standsFor(
    river((y) => (y < 16 ? 1.4 : 0.6)),
    fish,
  );
  for (const stand of trench) for (const [, y] of stand.path) expect(y).toBeGreaterThan(16);
  expect(
    standsFor(
      river(() => 1.5),
      fish,
    ),
  ).toEqual({ stands: [], none: { "from-below": "water", "from-above": "water" } });
  // The hydrographers' rule of ten: 10 ft2/s (0.93 m2/s) is out of bounds however shallow (USGS safety practice).
  expect(
    standsFor(
      river(() => 0.7, 1.35),
      fish,
    ).stands,
  ).toEqual([]);
});
