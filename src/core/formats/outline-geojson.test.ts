import fc from "fast-check";
import { traceReach } from "../flow/traced-reach";
import { depthOf, readOutline } from "./outline-geojson";

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
const options = { id: "r", name: "file", discharge: 4, roughness: 0.035, cell: 1 };
const code = (run: () => unknown) => {
  try {
    run();
  } catch (error) {
    return (error as { fault: { code: string } }).fault.code;
  }
  return undefined;
};

test("banks, marks, depths and things of a drawing; what is none of them is refused by its number", () => {
  const drawn = readOutline(
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
  expect(drawn).toMatchObject({ slope: 0.003, name: "Long run" });
  expect([drawn.left.length, drawn.right.length, drawn.riffles.length, drawn.pools.length]).toEqual([13, 13, 1, 1]);
  // The knee of a wader of 1.75 m: half a metre (common practice, no source).
  expect(drawn.depths.map(({ depth }) => depth)).toEqual([0.5]);
  expect(drawn.boulders[0]).toMatchObject({ diameter: 2, height: 0.8, name: "split stone" });
  expect(drawn.rejected.map(({ line: k, reason }) => [k, reason.code])).toEqual([
    [6, "not-a-depth"],
    [9, "not-drawn"],
    [10, "bank-twice"],
    [11, "not-a-feature"],
  ]);
});

test("the reach lies along x, its things at their places, its bearing that of the river", () => {
  const drawn = readOutline(
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
  const outline = (depths: unknown[]) => traceReach(readOutline(file([...banks, ...depths])), options);
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
  const outline = (depths: unknown[]) => traceReach(readOutline(file([...banks, ...depths])), options);
  const [plain, land] = [outline([]), outline([point("depth", at(60, -3), { depth: 1.4 })])];
  expect(land).toMatchObject({ depths: 0, outside: 1 });
  expect(land.reach.bed).toEqual(plain.reach.bed);
  const many = Array.from({ length: 301 }, (_, k) => point("depth", at(k / 3, 6), { depth: 1 }));
  expect(code(() => outline(many))).toBe("too-many-depths");
});

test("what is no outline is refused by name", () => {
  expect(code(() => readOutline("{"))).toBe("not-json");
  expect(code(() => readOutline("[]"))).toBe("not-geojson");
  expect(code(() => readOutline(file([banks[0]])))).toBe("no-banks");
  const drawn = readOutline(file(banks, {}));
  expect(code(() => traceReach(drawn, options))).toBe("no-slope");
  expect(code(() => traceReach(drawn, { ...options, slope: 0.002 }))).toBeUndefined();
  expect(code(() => traceReach({ ...drawn, slope: 3 }, options))).toBe("slope-beyond");
  const swapped = readOutline(file([line("left-bank", bank(12)), line("right-bank", bank(0))]));
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
        const drawn = readOutline(file(features));
        const taken =
          2 +
          drawn.depths.length +
          drawn.riffles.length +
          drawn.pools.length +
          drawn.boulders.length +
          drawn.logs.length;
        expect(taken + drawn.rejected.length).toBe(features.length);
      } catch (error) {
        expect((error as { fault?: { code: string } }).fault?.code).toBe("no-banks");
      }
    }),
    { numRuns: 200 },
  );
});

test("depths in words, in feet, in metres; nothing that is no depth", () => {
  expect([depthOf(1.2), depthOf("waist"), depthOf("4 ft"), depthOf("0.8")]).toEqual([
    1.2,
    1,
    expect.closeTo(1.2192, 9),
    0.8,
  ]);
  expect([depthOf(-1), depthOf("x"), depthOf(null), depthOf("40 m"), depthOf(NaN)]).toEqual(
    new Array(5).fill(undefined),
  );
});
