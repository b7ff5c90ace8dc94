import { drawnOf, lackingOf } from "./drawing";
import type { Drawing } from "./drawing-schema";
import { georeferenceOf, planeAbout, type Scale } from "./georeference";
import type { Mark } from "./marks";
import { traceReach } from "./traced-reach";

/** A picture of 1000 by 400 px, 0.1 m a pixel, its right edge to the south-east; near 52 N 1 W. */
const ORIGIN = [-1, 52] as const;
const UNIT = 0.1;
const TURN = (-45 * Math.PI) / 180;
const { toPosition } = planeAbout(ORIGIN);
const ground = ([x, y]: readonly number[]): [number, number] => {
  const [right, up] = [UNIT * x!, -UNIT * y!];
  return [right * Math.cos(TURN) - up * Math.sin(TURN), right * Math.sin(TURN) + up * Math.cos(TURN)];
};
const POINTS: Scale = {
  kind: "points",
  a: { on: [100, 50], position: [...toPosition(ground([100, 50]))] },
  b: { on: [900, 350], position: [...toPosition(ground([900, 350]))] },
};

const mark = (kind: Mark["kind"], ...places: [number, number][]): Mark => ({
  id: `${kind}-${places.join("-")}`,
  kind,
  places,
});
const long = (y: number): [number, number][] => Array.from({ length: 11 }, (_, k) => [100 * k, y]);
const BANKS = [mark("left-bank", ...long(140)), mark("right-bank", ...long(260))];
const drawing = (marks: Mark[], scale: Scale = POINTS): Drawing => ({
  sheet: { width: 1000, height: 400 },
  scale,
  marks,
  discharge: 4,
  slope: 0.003,
});
const trace = (marks: Mark[]) =>
  traceReach(drawnOf(drawing(marks)), { id: "r", name: "r", discharge: 4, slope: 0.003, roughness: 0.035, cell: 1 });
const bedAt = ({ reach }: ReturnType<typeof trace>, x: number, y: number) => {
  const { nx, z } = reach.bed as { nx: number; z: number[] };
  return z[y * nx + x]!;
};

test("two known points, a known length and a file lay a picture on the ground alike", () => {
  const points = georeferenceOf(POINTS)!;
  const away = (a: readonly number[], b: readonly number[]) => Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!);
  const [e0, n0] = ground([100, 50]);
  for (const on of [
    [0, 0],
    [500, 100],
    [1000, 400],
  ] as const) {
    const [e, n] = ground(on);
    // A millimetre over 100 m: degrees are flattened about two places (plane.ts).
    expect(away(points.toPlane(on), [e - e0, n - n0])).toBeLessThan(2e-3);
    expect(away(points.toSheet(points.toPlane(on)), on)).toBeLessThan(1e-6);
  }
  expect(points.unit).toBeCloseTo(UNIT, 5);
  // Right is south-east: north is up and to the right, 315 degrees... from up, anticlockwise by 45.
  const length = georeferenceOf({ kind: "length", from: [0, 0], to: [200, 0], metres: 20, north: -45, at: null })!;
  const step = (of: typeof length) => {
    const [a, b] = [of.toPlane([0, 0]), of.toPlane([100, 30])];
    return [b[0] - a[0], b[1] - a[1]];
  };
  expect(away(step(length), step(points))).toBeLessThan(2e-3);
  expect(length.origin).toBeNull();
  const file = georeferenceOf({
    kind: "file",
    east: [0, UNIT * Math.cos(TURN), UNIT * Math.sin(TURN)],
    north: [0, UNIT * Math.sin(TURN), -UNIT * Math.cos(TURN)],
    origin: null,
  })!;
  expect(away(step(file), step(points))).toBeLessThan(2e-3);
});

test("points that tell no scale are none", () => {
  expect(georeferenceOf({ kind: "unknown" })).toBeUndefined();
  const one = { on: [5, 5] as [number, number], position: [-1, 52] as [number, number] };
  expect(georeferenceOf({ kind: "points", a: one, b: one })).toBeUndefined();
  expect(georeferenceOf({ kind: "length", from: [1, 1], to: [1, 1], metres: 3, north: 0, at: null })).toBeUndefined();
});

test("what lacks is told in the order in which it is asked for", () => {
  const bare = { ...drawing([], { kind: "unknown" }), discharge: null, slope: null };
  expect(lackingOf(bare)).toEqual(["scale", "banks", "discharge", "slope"]);
  expect(lackingOf(drawing([mark("middle", ...long(200))]))).toEqual(["widths"]);
  expect(lackingOf(drawing(BANKS))).toEqual([]);
});

test("a middle with widths lays the same banks as both banks do", () => {
  const across = (x: number) => mark("width", [x, 140], [x, 260]);
  const { left, right } = drawnOf(drawing([mark("middle", ...long(200)), across(300), across(800)]));
  const own = drawnOf(drawing(BANKS));
  for (const [a, b] of [
    [left, own.left],
    [right, own.right],
  ] as const) {
    expect(Math.hypot(a[0]![0] - b[0]![0], a[0]![1] - b[0]![1])).toBeLessThan(0.01);
    expect(Math.hypot(a.at(-1)![0] - b.at(-1)![0], a.at(-1)![1] - b.at(-1)![1])).toBeLessThan(0.01);
  }
  // Wider downstream: straight between the two that were measured.
  const opens = drawnOf(drawing([mark("middle", ...long(200)), across(0), mark("width", [1000, 100], [1000, 300])]));
  const k = Math.floor(opens.left.length / 2);
  const wide = Math.hypot(opens.left[k]![0] - opens.right[k]![0], opens.left[k]![1] - opens.right[k]![1]);
  expect(wide).toBeGreaterThan(15.5);
  expect(wide).toBeLessThan(16.5);
});

test("an island is land; the water beside it is there still", () => {
  const ring: [number, number][] = [
    [480, 180],
    [560, 180],
    [560, 220],
    [480, 220],
  ];
  const [plain, with_] = [trace(BANKS), trace([...BANKS, mark("island", ...ring)])];
  // The grid has 4 m of land beside the banks: y 8 to 12 m off the left bank's line.
  expect(bedAt(with_, 52, 9)).toBeGreaterThan(bedAt(plain, 52, 9) + 0.4);
  expect(bedAt(with_, 52, 6)).toBeLessThan(bedAt(with_, 52, 9) - 0.2);
  expect(with_.deviation[9 * (with_.reach.bed as { nx: number }).nx + 52]).toBeNull();
});

test("the side seen to be deeper is deeper, and no deeper for being seen where the bend says so already", () => {
  const [plain, left] = [trace(BANKS), trace([...BANKS, mark("deep-side", [500, 170])])];
  expect(bedAt(left, 50, 7)).toBeLessThan(bedAt(plain, 50, 7) - 0.05);
  expect(bedAt(left, 50, 12)).toBeGreaterThan(bedAt(plain, 50, 12) + 0.05);
  // Far from it nothing is known of it.
  expect(bedAt(left, 90, 7)).toBeCloseTo(bedAt(plain, 90, 7), 1);
});

test("a pool lies between its head and its tail", () => {
  const pool = trace([...BANKS, mark("pool-head", [350, 200]), mark("pool-tail", [600, 200])]);
  const plain = trace(BANKS);
  const deeper = (x: number) => bedAt(plain, x, 10) - bedAt(pool, x, 10);
  expect(deeper(45)).toBeGreaterThan(0.1);
  expect(deeper(45)).toBeGreaterThan(deeper(10) + 0.1);
  expect(deeper(45)).toBeGreaterThan(deeper(85) + 0.1);
});

test("things lie where they were drawn, with their measures", () => {
  const { reach } = trace([
    ...BANKS,
    { ...mark("boulder", [500, 200]), measures: { diameter: 2 }, name: "anvil" },
    mark("wall", [300, 140], [300, 180]),
    mark("wall", [700, 140], [760, 145]),
    mark("weed", [200, 250], [250, 250], [300, 240]),
  ]);
  expect(reach.features).toMatchObject([
    { kind: "boulder", x: expect.closeTo(50, 0), y: expect.closeTo(10, 0), diameter: 2, height: 0.8, name: "anvil" },
    { kind: "wall", x: expect.closeTo(30, 0), thickness: 0.6 },
    { kind: "log", name: "wall", length: expect.closeTo(6, 0) },
    { kind: "patch", substrate: "weed", width: 2 },
    { kind: "patch", substrate: "weed" },
  ]);
});
