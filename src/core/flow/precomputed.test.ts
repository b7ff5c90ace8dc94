import type { Reach } from "./reach-schema";
import { bracket, interpolate, orderFrom, packField, flowsBetween, unpackField } from "./precomputed";
import { rasteriseReach } from "./rasterise";
import { solveSteady } from "./steady";

const reach: Reach = {
  schema: "low-heron/reach@1",
  id: "t",
  name: "t",
  roughness: 0.035,
  downstream: { kind: "normal", slope: 0.003 },
  bed: {
    kind: "template",
    template: "riffle-run-pool",
    length: 70,
    width: 14,
    poolDepth: 1.2,
    slope: 0.003,
    wiggle: 1,
    cell: 1,
  },
};
const grid = rasteriseReach(reach, 1);
const at = (discharge: number) => solveSteady(grid, { discharge, downstream: reach.downstream });
const [low, high] = [at(3), at(6)];

test("rungs are preferred numbers (ISO 3, R5: 1, 1.6, 2.5, 4, 6.3), even in ln Q, about the range asked; the nearest is solved first; a flow is bracketed only within the ladder", () => {
  expect(flowsBetween(1, 25)).toEqual([1, 1.6, 2.5, 4, 6.3, 10, 16, 25]);
  expect(flowsBetween(1.1, 44)).toEqual([1, 1.6, 2.5, 4, 6.3, 10, 16, 25, 40, 63]);
  expect(flowsBetween(2, 5)).toHaveLength(9);
  expect(flowsBetween(1.7, 24.9)).toEqual(flowsBetween(1.65, 24.6));
  expect(orderFrom([1, 2, 4, 8, 16], 5)).toEqual([4, 8, 2, 16, 1]);
  expect(bracket([8, 2, 4], 5)).toEqual([4, 8]);
  expect(bracket([2, 4], 4)).toEqual([2, 4]);
  expect(bracket([2, 4], 1)).toBeUndefined();
  expect(bracket([2, 4], 9)).toBeUndefined();
  expect(bracket([2], 2)).toEqual([2, 2]);
});

test("between two rungs: the ends give the rungs back; half-way in ln Q it comes near the flow really solved, its edge between theirs", () => {
  expect(Array.from(interpolate(low, high, 6).depth)).toEqual(Array.from(high.depth));
  expect(interpolate(low, high, 3).depth.filter((h, k) => Math.abs(h - low.depth[k]!) > 1e-6)).toHaveLength(0);
  const flow = Math.sqrt(18);
  const [mixed, solved] = [interpolate(low, high, flow), at(flow)];
  let [apart, size] = [0, 0];
  mixed.depth.forEach((h, k) => {
    apart += Math.abs(h - solved.depth[k]!);
    size += solved.depth[k]!;
  });
  expect(apart / size).toBeLessThan(0.03);
  const wet = (depth: Float32Array) => depth.filter((h) => h > 0).length;
  expect(wet(mixed.depth)).toBeGreaterThanOrEqual(wet(low.depth));
  expect(wet(mixed.depth)).toBeLessThanOrEqual(wet(high.depth));
  expect(mixed.discharge).toBe(flow);
});

test("a field packed and unpacked is true to half a millimetre, in half the room", () => {
  const packed = packField(high);
  const back = unpackField(packed, high.bed, high.roughness);
  back.depth.forEach((h, k) => expect(Math.abs(h - high.depth[k]!)).toBeLessThan(5.1e-4));
  back.u.forEach((u, k) => expect(Math.abs(u - high.u[k]!)).toBeLessThan(5.1e-4));
  expect(back).toMatchObject({ verdict: high.verdict, discharge: 6, cell: 1, massError: high.massError });
  expect(packed.depth.byteLength + packed.u.byteLength + packed.v.byteLength + packed.speedDeviation.byteLength).toBe(
    high.depth.length * 8,
  );
});
