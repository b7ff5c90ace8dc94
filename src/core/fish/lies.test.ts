import type { Reach } from "../flow/reach-schema";
import type { DriftFeeder } from "./species-schema";
import { standardWeight } from "./standard-weight";
import type { Field } from "../flow/grid";
import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { driftConcentration } from "../water/drift";
import {
  captureHalfWidth,
  coldFactor,
  foragerOf,
  maximumSpeed,
  reactionDistance,
  swimmingCost,
  turbidityFactor,
} from "./foraging";
import { netEnergy } from "./net-energy";
import { readWater, type ReadOptions } from "./read";
import { lengthOf, nearestLine } from "../water/polyline";
import { findSeams } from "../water/seams";
import { speciesById } from "./species";
import { wadingClass, wadingZones } from "../water/wading";

const trout = speciesById("brown-trout") as DriftFeeder;
const clear = (temperature = 12, turbidity = 0) => foragerOf(trout, { temperature, turbidity, light: "day" });

/** An even field with a speed that depends on y only. ks 0.25 m by its Manning n. */
function striped(speed: (y: number) => number, depth = 0.8, cell = 0.1, nx = 40, breadth = 6): Field {
  const ny = Math.round(breadth / cell);
  const make = (of: (y: number) => number) =>
    Float32Array.from({ length: nx * ny }, (_, k) => of((Math.floor(k / nx) + 0.5) * cell));
  const n = 0.25 ** (1 / 6) / (8.1 * Math.sqrt(9.81));
  return {
    nx,
    ny,
    cell,
    discharge: 1,
    bed: make(() => 0),
    roughness: make(() => n),
    depth: make(() => depth),
    u: make(speed),
    v: make(() => 0),
    speedDeviation: make(() => 0),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
}
/** Best place across the middle column, m from the left edge. */
function bestAcross(field: Field, fish = clear()): number {
  const { net } = netEnergy(field, new Float64Array(field.nx * field.ny).fill(1), fish, trout);
  let best = 8;
  for (let j = 8; j < field.ny - 8; j++) if (net[j * field.nx + 20]! > net[best * field.nx + 20]!) best = j;
  return (best + 0.5) * field.cell;
}
/** 0.15 m/s on the left to 1 m/s on the right over half a metre about y = 3. */
const seamAt3 = (y: number) => 0.15 + 0.85 / (1 + Math.exp(-(y - 3) / 0.11));

test("reaction distance and speed at worked values (Hughes & Dill 1990; Brett & Barrett shapes; from memory)", () => {
  expect(reactionDistance(6, 32)).toBeCloseTo(0.7188, 3);
  expect(maximumSpeed(32, 15)).toBeCloseTo(0.36 * 32 ** 0.19 * (36.23 / 36), 2);
  expect(captureHalfWidth(0.7, 0, 0.7)).toBeCloseTo(0.7, 12);
  expect(captureHalfWidth(0.7, 0.7, 0.7)).toBe(0);
  expect(turbidityFactor(15)).toBeCloseTo(0.8, 2);
  expect(turbidityFactor(30)).toBeCloseTo(0.45, 2);
  expect([coldFactor(2), coldFactor(15)]).toEqual([0.6, 1]);
  expect(swimmingCost(300, 12, 0.4)).toBeGreaterThan(swimmingCost(300, 12, 0.1));
});

test("standard weight of a brown trout of 300 mm (log10 W = -4.867 + 2.960 log10 L; Anderson & Neumann 1996, from memory)", () => {
  expect(standardWeight(trout, 300)).toBeCloseTo(10 ** (-4.867 + 2.96 * Math.log10(300)), 6);
  expect(standardWeight(trout, 300)).toBeGreaterThan(270);
  expect(standardWeight(trout, 300)).toBeLessThan(320);
});

test("in even water 0.8 m deep the best mean speed is about 0.3 to 0.4 m/s (physics section 3)", () => {
  const scores = Array.from({ length: 20 }, (_, k) => {
    const speed = 0.1 + 0.03 * k;
    const field = striped(() => speed);
    return [
      speed,
      netEnergy(field, new Float64Array(field.nx * field.ny).fill(1), clear(), trout).net[30 * 40 + 20]!,
    ] as const;
  });
  const best = scores.reduce((a, b) => (b[1] > a[1] ? b : a))[0];
  expect(best).toBeGreaterThanOrEqual(0.28);
  expect(best).toBeLessThanOrEqual(0.45);
});

test("across a straight seam the best place is on the slow side, 0.3 to 0.7 m from its middle", () => {
  const away = 3 - bestAcross(striped(seamAt3));
  expect(away).toBeGreaterThanOrEqual(0.25);
  expect(away).toBeLessThanOrEqual(0.75);
});

test("it moves to slower water as the water cools, and closer to the seam as it clouds", () => {
  const speedAtBest = (fish: ReturnType<typeof clear>) => seamAt3(bestAcross(striped(seamAt3), fish));
  expect(speedAtBest(clear(3))).toBeLessThanOrEqual(speedAtBest(clear(14)));
  expect(3 - bestAcross(striped(seamAt3), clear(12, 25))).toBeLessThan(3 - bestAcross(striped(seamAt3), clear(12, 0)));
});

test("one straight seam is traced once, whole, with its difference and slow side", () => {
  const seams = findSeams(striped(seamAt3, 0.8, 0.25, 80, 8));
  expect(seams).toHaveLength(1);
  expect(seams[0]!.slowSide).toBe("left");
  expect(seams[0]!.speedDifference).toBeGreaterThan(0.6);
  expect(lengthOf(seams[0]!)).toBeGreaterThan(16);
  expect(nearestLine(seams, 10, 3).distance).toBeLessThan(0.3);
});

test("an even channel has no seam, and a mirrored seam changes hands", () => {
  expect(findSeams(striped(() => 0.5, 0.8, 0.25, 80, 8))).toHaveLength(0);
  const [mirrored] = findSeams(striped((y) => seamAt3(6 - y), 0.8, 0.25, 80, 6));
  expect(mirrored!.slowSide).toBe("right");
});

test("drift stays 1 along an even channel (entrainment and settling balance), and is bounded", () => {
  const drift = driftConcentration(striped(() => 0.5));
  for (const c of drift) expect(c).toBeCloseTo(1, 2);
});

test("wading by the hydrographers' rule of ten and the bands below it", () => {
  expect(wadingClass(0.5, 0.5)).toBe(1);
  expect(wadingClass(0.6, 0.8)).toBe(2);
  expect(wadingClass(0.8, 1)).toBe(3);
  // 3 ft x 3.4 ft/s = 10.2: out (USGS practice).
  expect(wadingClass(3 * 0.3048, 3.4 * 0.3048)).toBe(4);
  expect(wadingClass(1.2, 0.1)).toBe(4);
  expect(wadingClass(0.3, 1.6)).toBe(4);
  expect(wadingClass(0, 0)).toBe(0);
});

describe("on a solved reach with stones and a jam", () => {
  const reach: Reach = {
    schema: "low-heron/reach@1",
    id: "t",
    name: "t",
    bed: {
      kind: "template",
      template: "riffle-run-pool",
      length: 100,
      width: 18,
      poolDepth: 1.4,
      slope: 0.003,
      wiggle: 2,
      cell: 1,
    },
    roughness: 0.035,
    downstream: { kind: "normal", slope: 0.003 },
    features: [
      { kind: "boulder", x: 42, y: 12, diameter: 3, height: 1.3, name: "split stone" },
      { kind: "log-jam", x: 60, y: 18, length: 6, width: 3, angle: -65, height: 2.5 },
    ],
  };
  const options: ReadOptions = {
    species: trout,
    visibleDepth: 0.9,
    temperature: 12,
    light: "day",
    features: reach.features,
  };
  const field = solveSteady(rasteriseReach(reach), { discharge: 5, downstream: reach.downstream });
  const reading = readWater(field, options);

  test("most of the top five lie within 1.5 m of a seam or a break, and the best stands clear of the median", () => {
    const top = reading.lies.slice(0, 5);
    const near = top.filter(
      (lie) =>
        (lie.seamDistance ?? 99) <= 1.5 ||
        lie.reasons.some((reason) => reason.kind === "break" && reason.distance <= 1.5),
    );
    expect(near.length).toBeGreaterThanOrEqual(3);
    expect(reading.lies[0]!.score).toBeGreaterThan(1.8 * reading.medianScore);
  });

  test("rank follows score, scores are their factors, territories are kept", () => {
    reading.lies.forEach((lie, k) => {
      expect(lie.rank).toBe(k + 1);
      if (k > 0) expect(lie.score).toBeLessThanOrEqual(reading.lies[k - 1]!.score);
      expect(lie.score).toBeCloseTo(Math.max(0, lie.factors.netEnergy!) * lie.factors.cover! * lie.factors.refuge!, 6);
      expect(lie.reasons.length).toBeGreaterThanOrEqual(5);
      for (const other of reading.lies.slice(0, k))
        expect(Math.hypot(lie.x - other.x, lie.y - other.y)).toBeGreaterThanOrEqual(trout.territory - 1e-9);
    });
  });

  test("the drift discriminates: it is richer under the riffle than in the slack", () => {
    const drift = Array.from(driftConcentration(field))
      .filter((_, k) => field.depth[k]! > 0.3)
      .sort((a, b) => a - b);
    expect(drift.at(-10)! / drift[10]!).toBeGreaterThan(2);
  });

  test("the wading areas add up to the wet area", () => {
    const { safe, caution, stayOut } = wadingZones(field);
    expect(safe + caution + stayOut).toBeCloseTo(field.depth.filter((h) => h > 0).length * field.cell ** 2, 6);
  });

  test("seams move when the discharge doubles", () => {
    const high = findSeams(solveSteady(rasteriseReach(reach), { discharge: 10, downstream: reach.downstream }));
    const moved = reading.seams
      .slice(0, 4)
      .flatMap((seam) => seam.points.map(([x, y]) => Math.min(5, nearestLine(high, x, y).distance)));
    expect(moved.reduce((sum, d) => sum + d, 0) / moved.length).toBeGreaterThan(0.2);
  });
});
