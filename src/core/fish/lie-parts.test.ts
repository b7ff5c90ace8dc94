import { blankField } from "../../testing/reach-samples";
import { stream } from "../quantity/seeded";
import type { Cover } from "../water/cover";
import type { Seam } from "../water/seams";
import type { LiePlace } from "./lie-place";
import { type Known, onSlowSide, reasonsFor, seamFor } from "./lie-reasons";
import { onePlaceOnce } from "./one-place";
import { peaks } from "./peaks";
import { shelterOf } from "./shelter";

/** What a reading is put together from, each part by hand. */

describe("peaks of a surface", () => {
  const [nx, ny] = [24, 17];
  const grid = { nx, ny, cell: 0.5 };
  const place = (k: number): [number, number] => [k % nx, Math.floor(k / nx)];

  /** Every cell looked at with all of its neighbours, then taken from the highest down. */
  function plainly(values: Float64Array, apart: number, most: number, taken: readonly number[] = []): number[] {
    const far = (a: number, b: number) => Math.hypot(place(a)[0] - place(b)[0], place(a)[1] - place(b)[1]) * 0.5;
    const tops = [...values.keys()].filter((k) => {
      const [i, j] = place(k);
      if (i < 2 || j < 2 || i >= nx - 2 || j >= ny - 2 || !(values[k]! > 0)) return false;
      return [...values.keys()].every((other) => {
        const [a, b] = place(other);
        return Math.max(Math.abs(a - i), Math.abs(b - j)) > 1 || other === k || !(values[other]! > values[k]!);
      });
    });
    const chosen: number[] = [];
    for (const k of tops.sort((a, b) => values[b]! - values[a]!))
      if (chosen.length < most && [...chosen, ...taken].every((other) => far(k, other) >= apart)) chosen.push(k);
    return chosen;
  }

  test.each([1, 2, 3, 4, 5])("are those that every cell looked at by itself gives (surface %i)", (seed) => {
    const random = stream(seed);
    const values = Float64Array.from({ length: nx * ny }, () => (random() < 0.1 ? NaN : random() - 0.2));
    for (const [apart, most] of [
      [0, 500],
      [1, 500],
      [2.5, 500],
      [1.5, 7],
      [4, 3],
    ] as const)
      expect(peaks(values, grid, apart, most, [])).toEqual(plainly(values, apart, most));
    const taken = peaks(values, grid, 2, 3, []);
    expect(peaks(values, grid, 2, 4, taken)).toEqual(plainly(values, 2, 4, taken));
  });

  test("each of the eight neighbours can be the higher one; one as high, or that is no number, is not", () => {
    const middle = 8 * nx + 10;
    for (const to of [-nx - 1, -nx, -nx + 1, -1, 1, nx - 1, nx, nx + 1]) {
      const values = new Float64Array(nx * ny);
      values[middle] = 5;
      values[middle + to] = 6;
      expect(peaks(values, grid, 0, 9, [])).toEqual([middle + to]);
      values[middle + to] = 5;
      expect(peaks(values, grid, 0, 9, []).sort((a, b) => a - b)).toEqual([middle, middle + to].sort((a, b) => a - b));
      values[middle + to] = NaN;
      expect(peaks(values, grid, 0, 9, [])).toEqual([middle]);
    }
  });

  test("none lies within two cells of the edge, and the third one may; none is of nothing", () => {
    for (const [i, j, told] of [
      [1, 8, false],
      [2, 8, true],
      [nx - 2, 8, false],
      [nx - 3, 8, true],
      [10, 1, false],
      [10, 2, true],
      [10, ny - 2, false],
      [10, ny - 3, true],
    ] as const) {
      const values = new Float64Array(nx * ny);
      values[j * nx + i] = 1;
      expect(peaks(values, grid, 0, 9, [])).toEqual(told ? [j * nx + i] : []);
    }
    expect(peaks(new Float64Array(nx * ny).fill(-1), grid, 0, 9, [])).toEqual([]);
    expect(peaks(new Float64Array(nx * ny), grid, 0, 9, [])).toEqual([]);
  });
});

describe("one place is told once", () => {
  const stone = (kind: "above" | "beside", name?: string): LiePlace => ({
    kind,
    break: { kind: "stone", ...(name === undefined ? {} : { name }) },
  });
  const lie = (x: number, y: number, place: LiePlace, kind = "feeding") => ({ x, y, place, score: 9 - x, kind });
  const told = (...lies: ReturnType<typeof lie>[]) =>
    onePlaceOnce(lies).map(({ x, others }) => [x, others.map((other) => other.x)]);

  test("of one break within four metres of the best of them, of a part of the water within twelve", () => {
    const beside = stone("beside");
    expect(told(lie(0, 0, beside), lie(3.9, 0, beside), lie(4, 0, beside))).toEqual([
      [0, [3.9]],
      [4, []],
    ]);
    expect(told(lie(1, 1, beside), lie(3.4, 4.19, beside))).toEqual([[1, [3.4]]]);
    expect(told(lie(1, 1, beside), lie(3.4, 4.21, beside))).toHaveLength(2);
    const run: LiePlace = { kind: "run" };
    expect(told(lie(0, 0, run), lie(11.9, 0, run), lie(12, 0, run))).toEqual([
      [0, [11.9]],
      [12, []],
    ]);
    expect(told(lie(2, 3, run), lie(-1, 14.6, run))).toEqual([[2, [-1]]]);
  });

  test("what is kept of the others is where they are and what they score", () => {
    const run: LiePlace = { kind: "run" };
    const [only] = onePlaceOnce([lie(1, 2, run), lie(3, 4, run)]);
    expect(only).toEqual({ ...lie(1, 2, run), others: [{ x: 3, y: 4, score: 6 }] });
  });

  test("not where the sort, the side, the break or its name is another, nor feeding and resting together", () => {
    const pairs: [LiePlace, LiePlace, boolean][] = [
      [stone("beside"), stone("above"), false],
      [stone("beside", "grey"), stone("beside", "grey"), true],
      [stone("beside", "grey"), stone("beside", "tall"), false],
      [stone("beside", "grey"), stone("beside"), false],
      [stone("beside"), { kind: "beside", break: { kind: "wood" } }, false],
      [{ kind: "bank-edge", side: "left" }, { kind: "bank-edge", side: "left" }, true],
      [{ kind: "bank-edge", side: "left" }, { kind: "bank-edge", side: "right" }, false],
      [{ kind: "bank-edge", side: "left" }, { kind: "seam-edge", side: "left" }, false],
      [{ kind: "deep" }, { kind: "run" }, false],
      [{ kind: "deep" }, { kind: "deep" }, true],
    ];
    for (const [a, b, same] of pairs) expect(told(lie(0, 0, a), lie(1, 0, b))).toHaveLength(same ? 1 : 2);
    const run: LiePlace = { kind: "run" };
    expect(told(lie(0, 0, run, "prime"), lie(1, 0, run, "feeding"))).toHaveLength(1);
    expect(told(lie(0, 0, run, "resting"), lie(1, 0, run, "resting"))).toHaveLength(1);
    expect(told(lie(0, 0, run, "resting"), lie(1, 0, run, "feeding"))).toHaveLength(2);
    expect(told(lie(0, 0, run, "feeding"), lie(1, 0, run, "resting"))).toHaveLength(2);
  });
});

test("shelter: cover, what of it is refuge, and slack; none where it is open, fast, or no fish can hold", () => {
  const of = (score: number, speed: number, cover: number, refuge: number) =>
    shelterOf([score], [speed], [cover], [refuge])[0]!;
  expect(of(0, 0.09, 0.8, 0.5)).toBeCloseTo(0.8 * 0.5 * 0.5, 12);
  expect(of(3, 0, 0.55, 1)).toBeCloseTo(0.55, 12);
  expect(of(3, 0.18, 0.9, 1)).toBe(0);
  expect(of(3, 0.1801, 0.9, 1)).toBeNaN();
  expect(of(3, 0.1, 0.549, 1)).toBeNaN();
  expect(of(NaN, 0.1, 0.9, 1)).toBeNaN();
});

/** Along x at a height y, its slow water to the left (less y) or the right of it. */
const seam = (y: number, slowSide: "left" | "right", speedDifference = 0.5): Seam => ({
  points: [
    [0, y],
    [40, y],
  ],
  speedDifference,
  sharpness: 0.4,
  slowSide,
});

describe("the seam that a lie belongs to", () => {
  test("is the nearest on whose slow side it lies, within two metres; else the nearest", () => {
    const [left, right] = [seam(10, "left"), seam(11, "right")];
    // Between the two: slow water of neither; a metre over the second: on the slow side of that.
    expect(seamFor([left, right], 20, 10.4).seam).toBe(left);
    expect(seamFor([left, right], 20, 10.6).seam).toBe(right);
    expect(seamFor([left, right], 20, 12)).toEqual({ seam: right, distance: 1 });
    // One nearer, of which it lies on the fast side.
    const fast = seam(12.5, "right");
    expect(seamFor([right, fast], 20, 12)).toEqual({ seam: right, distance: 1 });
    expect(seamFor([seam(10, "right"), fast], 20, 12)).toMatchObject({ distance: 2, seam: { slowSide: "right" } });
    expect(seamFor([seam(9.9, "right"), fast], 20, 12)).toEqual({ seam: fast, distance: 0.5 });
    expect(seamFor([], 20, 12)).toEqual({ seam: undefined, distance: Infinity });
  });

  test("sides are as one looks along it: more y lies to the right", () => {
    expect(onSlowSide(seam(10, "right"), 5, 12)).toBe(true);
    expect(onSlowSide(seam(10, "right"), 5, 8)).toBe(false);
    expect(onSlowSide(seam(10, "left"), 5, 8)).toBe(true);
    expect(onSlowSide(seam(10, "left"), 5, 12)).toBe(false);
    expect(onSlowSide(undefined, 5, 12)).toBe(false);
  });
});

describe("reasons", () => {
  const cover = (change: Partial<Record<keyof Cover, number>> = {}): Cover => {
    const of = (key: keyof Cover) => Float32Array.of(change[key] ?? 0);
    return {
      depth: of("depth"),
      brokenSurface: of("brokenSurface"),
      wood: of("wood"),
      stone: of("stone"),
      overhead: of("overhead"),
      total: of("total"),
    };
  };
  const lie = { depth: 0.8, focalSpeed: 0.2, adjacentSpeed: 0.9, cover: 0.6 };
  const one = { ...blankField(1, 1, 0.5), u: Float32Array.of(0.36), v: Float32Array.of(0.48) };
  const known = (change: Partial<Known> = {}): Known => ({
    near: { distance: Infinity, seam: undefined },
    neighbour: undefined,
    cover: cover(),
    k: 0,
    refuge: 0.7,
    field: one,
    visibleDepth: 1.1,
    model: [{ kind: "drift", share: 0.8 }],
    slowSide: false,
    ...change,
  });

  test("speeds and the seam come first, then what the model says, then the rest, each with its figures", () => {
    expect(reasonsFor(lie, known())).toEqual([
      { kind: "speeds", focal: 0.2, adjacent: 0.9 },
      { kind: "noSeam" },
      { kind: "drift", share: 0.8 },
      { kind: "depth", depth: 0.8, visibleDepth: 1.1 },
      { kind: "refuge", share: 0.7 },
    ]);
    const all = reasonsFor(
      { ...lie, cover: 0.1 },
      known({
        near: { distance: 2.9, seam: seam(10, "left", 0.45) },
        slowSide: true,
        neighbour: { one: { x: 0, y: 0, radius: 1, kind: "stone", name: "grey" }, distance: 2.9 },
        cover: cover({ brokenSurface: 0.31, overhead: 0.51 }),
      }),
    );
    expect(all.map(({ kind }) => kind)).toEqual([
      "speeds",
      "seam",
      "drift",
      "depth",
      "break",
      "brokenSurface",
      "overhead",
      "exposed",
    ]);
    expect(all[1]).toEqual({ kind: "seam", distance: 2.9, difference: 0.45, side: "slow" });
    expect(all[4]).toEqual({ kind: "break", break: { kind: "stone", name: "grey" }, distance: 2.9 });
    // Froude number 0.6 / sqrt(9.81 x 0.8).
    expect((all[5] as { froude: number }).froude).toBeCloseTo(0.6 / Math.sqrt(9.81 * 0.8), 3);
  });

  test("a seam or a break from three metres on is none; a surface broken by a third, a roof over half; cover from a fifth", () => {
    const kinds = (change: Partial<Known>, own = lie) => reasonsFor(own, known(change)).map(({ kind }) => kind);
    expect(kinds({ near: { distance: 3, seam: seam(10, "left") } })).toContain("noSeam");
    expect(kinds({ neighbour: { one: { x: 0, y: 0, radius: 1, kind: "stone" }, distance: 3 } })).not.toContain("break");
    expect(kinds({ cover: cover({ brokenSurface: 0.29 }) })).not.toContain("brokenSurface");
    expect(kinds({ cover: cover({ overhead: 0.5 }) })).not.toContain("overhead");
    expect(kinds({}, { ...lie, cover: 0.2 })).toContain("refuge");
    expect(kinds({}, { ...lie, cover: 0.19 })).toContain("exposed");
  });
});
