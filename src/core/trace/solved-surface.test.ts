import { solveSteady } from "../flow/steady";
import { finish } from "../flow/steps";
import { tracedBedSolved } from "./solved-surface";
import { type Outline, type TracedBed, tracedBed } from "./traced-bed";

const WIDTH = 10;
const LONG = 120;
const flow = { discharge: 3, slope: 0.003, roughness: 0.035 };
const straight = (marks: Partial<Outline> = {}): Outline => ({
  left: [0, 40, 80, LONG].map((x) => [x, 0] as const),
  right: [0, 40, 80, LONG].map((x) => [x, WIDTH] as const),
  flow,
  riffles: [],
  pools: [],
  depths: [],
  ...marks,
});

/** How much deeper the solved water is than was drawn, m, on average between two distances. */
function deeper(bed: TracedBed, from: number, to: number): number {
  const field = solveSteady(bed, {
    discharge: flow.discharge,
    downstream: { kind: "normal", slope: bed.outletSlope },
  });
  let [sum, count] = [0, 0];
  for (let k = 0; k < bed.z.length; k++) {
    const x = bed.origin[0] + ((k % bed.nx) + 0.5) * bed.cell;
    if (x < from || x > to || bed.depth[k]! < 0.1) continue;
    sum += field.depth[k]! - bed.depth[k]!;
    count++;
  }
  return sum / count;
}

test("where nothing but friction holds the water, it stands as it was drawn, and nothing is moved", () => {
  // Manning's formula in a uniform channel (closed form): both surfaces are the same.
  const [plain, solved] = [tracedBed(straight(), 1), finish(tracedBedSolved(straight(), 1))];
  expect(Math.abs(deeper(plain, 20, 100))).toBeLessThan(0.03);
  expect(Math.abs(deeper(solved, 20, 100))).toBeLessThan(0.03);
  const moved = solved.z.map((z, k) => Math.abs(z - plain.z[k]!));
  expect(Math.max(...moved)).toBeLessThan(0.05);
  expect(plain.outletSlope).toBeCloseTo(flow.slope, 3);
});

test("above a riffle that holds it up, the solved water comes nearer to the depths of the pool by a quarter", () => {
  const taken = (x: number, depth: number) => [3, 7].map((y) => ({ at: [x, y] as const, depth }));
  const marks = straight({ pools: [[40, 5]], riffles: [[85, 5]], depths: [...taken(40, 0.7), ...taken(85, 0.17)] });
  const before = deeper(tracedBed(marks, 1), 20, 60);
  expect(Math.abs(before)).toBeGreaterThan(0.04);
  expect(Math.abs(deeper(finish(tracedBedSolved(marks, 1)), 20, 60))).toBeLessThan(0.75 * Math.abs(before));
});

test("a reach that ends in a pool does not drain it, and one that ends on a riffle is not backed up", () => {
  const pool = tracedBed(straight({ pools: [[LONG - 2, 5]] }), 1);
  const riffle = tracedBed(straight({ riffles: [[LONG - 2, 5]] }), 1);
  expect(pool.outletSlope).toBeLessThan(0.6 * flow.slope);
  expect(riffle.outletSlope).toBeGreaterThan(1.5 * flow.slope);
  for (const bed of [pool, riffle]) expect(Math.abs(deeper(bed, LONG - 8, LONG))).toBeLessThan(0.06);
});

test("how far it has come grows from 0 to 1; a long thin reach, too large for that, is laid at once", () => {
  const shares: number[] = [];
  finish(tracedBedSolved(straight(), 1), (done) => shares.push(done));
  expect(shares.length).toBeGreaterThan(2);
  expect(shares.every((one, k) => one >= 0 && one < 1 && (k === 0 || one >= shares[k - 1]!))).toBe(true);
  const long = [0, 1500, 3000].map((x) => [x, 0] as const);
  const thin = straight({ left: long, right: long.map(([x]) => [x, 6] as const) });
  const none: number[] = [];
  const bed = finish(tracedBedSolved(thin, 1), (done) => none.push(done));
  expect(none).toEqual([]);
  expect(bed.z).toEqual(tracedBed(thin, 1).z);
});
