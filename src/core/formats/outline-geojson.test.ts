import fc from "fast-check";
import { drawnOf } from "../trace/drawing";
import { drawingSchema } from "../trace/drawing-schema";
import { traceReach } from "../trace/traced-reach";
import { waderDepth } from "../trace/wader-depth";
import { readOutline, writeOutline } from "./outline-geojson";

type Place = readonly [number, number];

/** A run of 120 m to the north-east, 12 m wide, near 52 N 1 W. */
const METRE = { north: 1 / 111_253, east: 1 / 68_678 };
const at = (x: number, y: number): Place => {
  const [e, n] = [(x + y) / Math.SQRT2, (x - y) / Math.SQRT2];
  return [-1 + e * METRE.east, 52 + n * METRE.north];
};
const line = (kind: string, points: Place[], more = {}) => ({
  type: "Feature",
  geometry: { type: "LineString", coordinates: points },
  properties: { kind, ...more },
});
const point = (kind: string, place: Place, more = {}) => ({
  type: "Feature",
  geometry: { type: "Point", coordinates: place },
  properties: { kind, ...more },
});
const bank = (y: number): Place[] => Array.from({ length: 13 }, (_, k) => at(10 * k, y));
const banks = [line("left-bank", bank(0)), line("right-bank", bank(12))];
const file = (features: unknown[], properties: unknown = { slope: 0.003, name: "Long run" }) =>
  JSON.stringify({ type: "FeatureCollection", properties, features });
const options = { id: "r", name: "file", discharge: 4, slope: 0.003, roughness: 0.035, cell: 1 };
const drawnIn = (text: string) => drawnOf(readOutline(text).drawing);
const code = (run: () => unknown) => {
  try {
    run();
  } catch (error) {
    return (error as { fault: { code: string } }).fault.code;
  }
  return undefined;
};

test("banks, marks, depths and things of a drawing; what is none of them is refused by its number", () => {
  const read = readOutline(
    file([
      ...banks,
      point("riffle", at(20, 6)),
      point("pool", at(80, 6)),
      point("depth", at(60, 6), { depth: "knee" }),
      point("depth", at(60, 6), { depth: "deep" }),
      point("boulder", at(60, 4), { diameter: 2, name: "split stone" }),
      line("log", [at(90, 2), at(94, 2)]),
      point("banana", at(1, 1)),
      line("left-bank", bank(0)),
      { type: "Feature", geometry: { type: "Point", coordinates: [400, 2] } },
    ]),
  );
  const drawn = drawnOf(read.drawing);
  expect(read).toMatchObject({ drawing: { slope: 0.003 }, name: "Long run" });
  expect([drawn.riffles.length, drawn.pools.length]).toEqual([1, 1]);
  expect(read.drawing.marks.slice(0, 2).map(({ places }) => places.length)).toEqual([13, 13]);
  // The knee of a wader of 1.75 m: half a metre (common practice, no source).
  expect(drawn.depths.map(({ depth }) => depth)).toEqual([0.5]);
  expect(drawn.boulders[0]).toMatchObject({ diameter: 2, height: 0.8, name: "split stone" });
  expect(read.rejected.map(({ line: k, reason }) => [k, reason.code])).toEqual([
    [6, "not-a-depth"],
    [9, "not-drawn"],
    [10, "drawn-twice"],
    [11, "not-a-feature"],
  ]);
});

test("the reach lies along x, its things at their places, its bearing that of the river", () => {
  const drawn = drawnIn(
    file([...banks, point("boulder", at(60, 4), { diameter: 2 }), line("log", [at(90, 2), at(94, 2)])]),
  );
  const { reach, heading, length, width } = traceReach(drawn, options);
  expect(heading).toBeCloseTo(45, 1);
  expect(reach.bearing).toBeCloseTo(45, 1);
  expect(length).toBeCloseTo(120, 0);
  expect(width).toBeCloseTo(12, 1);
  const [boulder, log] = reach.features!;
  // The grid begins at the upstream ends; four metres of land lie beside the left bank.
  expect(boulder).toMatchObject({ x: expect.closeTo(60, 1), y: expect.closeTo(8, 1) });
  expect(log).toMatchObject({ kind: "log", x: expect.closeTo(92, 1), length: expect.closeTo(4, 1) });
  expect(Math.abs((log as { angle: number }).angle)).toBeLessThan(1);
});

test("a depth that was taken is met by the bed, and makes it surer there", () => {
  const outline = (depths: unknown[]) => traceReach(drawnIn(file([...banks, ...depths])), options);
  const [plain, taken] = [outline([]), outline([point("depth", at(60.5, 6.5), { depth: 1.4 })])];
  const { nx } = plain.reach.bed as { nx: number };
  const k = 10 * nx + 60;
  const bedAt = ({ reach }: typeof plain) => (reach.bed as { z: number[] }).z[k]!;
  expect(bedAt(taken)).toBeLessThan(bedAt(plain) - 0.4);
  expect(taken.deviation[k]! / 1.4).toBeLessThan(0.06);
  expect(plain.deviation[k]!).toBeGreaterThan(0.1);
  expect(plain.deviation[0]).toBeNull();
});

test("a depth outside the banks is counted and left out; more than kriging weighs are refused", () => {
  const outline = (depths: unknown[]) => traceReach(drawnIn(file([...banks, ...depths])), options);
  const [plain, land] = [outline([]), outline([point("depth", at(60, -3), { depth: 1.4 })])];
  expect(land).toMatchObject({ depths: 0, outside: 1 });
  expect(land.reach.bed).toEqual(plain.reach.bed);
  const many = Array.from({ length: 301 }, (_, k) => point("depth", at(k / 3, 6), { depth: 1 }));
  expect(code(() => outline(many))).toBe("too-many-depths");
});

test("what is no outline is refused by name", () => {
  expect(code(() => readOutline("{"))).toBe("not-json");
  expect(code(() => readOutline("[]"))).toBe("not-geojson");
  expect(code(() => readOutline(file([])))).toBe("nothing-drawn");
  expect(code(() => drawnIn(file([banks[0]])))).toBe("no-banks");
  expect(code(() => drawnIn(file([line("middle", bank(6))])))).toBe("no-widths");
  const drawn = drawnIn(file(banks));
  expect(code(() => traceReach(drawn, { ...options, slope: undefined }))).toBe("no-slope");
  expect(code(() => traceReach(drawn, options))).toBeUndefined();
  expect(code(() => traceReach(drawn, { ...options, slope: 3 }))).toBe("slope-beyond");
  const swapped = drawnIn(file([line("left-bank", bank(12)), line("right-bank", bank(0))]));
  expect(code(() => traceReach(swapped, options))).toBe("banks-cross");
});

test("any file is read or refused, with a fault that is placed, and every feature is counted", () => {
  const anything = fc.oneof(
    fc.constantFrom(...banks, point("depth", at(3, 3), { depth: 1 })),
    fc.record({ type: fc.constant("Feature"), geometry: fc.jsonValue(), properties: fc.jsonValue() }),
    fc.jsonValue(),
  );
  fc.assert(
    fc.property(fc.array(anything, { maxLength: 12 }), (features) => {
      try {
        const { drawing, rejected } = readOutline(file(features));
        expect(drawing.marks.length + rejected.length).toBe(features.length);
        expect(drawingSchema.safeParse(drawing).success).toBe(true);
      } catch (error) {
        expect((error as { fault?: { code: string } }).fault?.code).toBe("nothing-drawn");
      }
    }),
    { numRuns: 200 },
  );
});

test("depths in words, in feet, in metres; nothing that is no depth", () => {
  expect([waderDepth(1.2), waderDepth("waist"), waderDepth("4 ft"), waderDepth("0.8")]).toEqual([
    1.2,
    1,
    expect.closeTo(1.2192, 9),
    0.8,
  ]);
  // A taller wader's waist is deeper; a chest is a quarter more than a waist (common practice, no source).
  expect([waderDepth("waist", 1.925), waderDepth("Chest")]).toEqual([expect.closeTo(1.1, 9), 1.25]);
  expect([waderDepth(-1), waderDepth("x"), waderDepth(null), waderDepth("40 m"), waderDepth(NaN)]).toEqual(
    new Array(5).fill(undefined),
  );
});

test("a drawing goes out and comes back with every mark in its place, to a centimetre", () => {
  const ring = [at(50, 4), at(58, 4), at(58, 7), at(50, 7), at(50, 4)];
  const text = file([
    line("middle", bank(6)),
    line("width", [at(30, 0), at(30, 12)]),
    point("boulder", at(60, 4), { diameter: 2, name: "split stone" }),
    point("depth", at(40, 5), { depth: "knee", discharge: 2.5 }),
    { type: "Feature", geometry: { type: "Polygon", coordinates: [ring] }, properties: { kind: "island" } },
    line("weed", [at(20, 2), at(30, 2)], { width: 3 }),
  ]);
  const first = readOutline(text);
  expect(first.rejected).toEqual([]);
  const again = readOutline(writeOutline(first.drawing, "Long run"));
  expect(again.name).toBe("Long run");
  const flat = (one: typeof first) => {
    const { strips, boulders, islands, left } = drawnOf(one.drawing);
    return [strips[0]!.line[1]!, boulders[0]!.at, islands[0]![2]!, left[0]!, left.at(-1)!];
  };
  const [a, b] = [flat(first), flat(again)];
  a.forEach(([e, n], k) => expect(Math.hypot(e - b[k]![0], n - b[k]![1])).toBeLessThan(0.02));
  expect(again.drawing.marks.map(({ places: _, id: __, ...said }) => said)).toEqual(
    first.drawing.marks.map(({ places: _, id: __, ...said }) => said),
  );
  expect(again.drawing.marks.find(({ kind }) => kind === "depth")!.discharge).toBe(2.5);
  const nowhere = { ...first.drawing, scale: { ...first.drawing.scale, origin: null } } as typeof first.drawing;
  expect(code(() => writeOutline(nowhere, "x"))).toBe("not-placed");
});
