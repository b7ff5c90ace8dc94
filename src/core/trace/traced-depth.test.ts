import { channelBetween, type Place } from "./channel";
import { conveyance, inBend, normalDepth, tracedDepths } from "./traced-depth";

const WIDTH = 12;
const LONG = 240;
const straight = channelBetween(
  [
    [0, 0],
    [LONG, 0],
  ],
  [
    [0, WIDTH],
    [LONG, WIDTH],
  ],
);
const flow = { discharge: 5, slope: 0.003, roughness: 0.035 };
const none = { riffles: [], pools: [] };

test("mean depth by continuity and Manning's formula", () => {
  // Wide channel: Q = W h^(5/3) S^(1/2) / n (Manning; closed form).
  const depth = normalDepth(WIDTH, flow);
  expect((WIDTH * depth ** (5 / 3) * Math.sqrt(flow.slope)) / flow.roughness).toBeCloseTo(flow.discharge, 9);
  // A rectangle's conveyance by strips is its own.
  expect(conveyance(() => depth, WIDTH)).toBeCloseTo(WIDTH * depth ** (5 / 3), 9);
});

test("every section passes the flow at its own fall, and the falls add up to that of the reach", () => {
  for (const marks of [none, { riffles: [60, 180], pools: [120] }]) {
    const { at, fall } = tracedDepths(straight, flow, marks);
    expect(fall.at(-1)).toBeCloseTo(flow.slope * LONG, 6);
    // Q = K S^(1/2) / n in the plain part; over a width the slopes are evened, so that it is asked to a seventh.
    const k = Math.round(straight.axis.length / 2);
    const slope = (fall[k + 4]! - fall[k - 4]!) / (8 * straight.step);
    const passed = (conveyance((across) => at(k * straight.step, across), WIDTH) * Math.sqrt(slope)) / flow.roughness;
    expect(Math.abs(passed / flow.discharge - 1)).toBeLessThan(0.15);
  }
});

test("a riffle is shallower and steeper than a pool, and both fade within two or three widths", () => {
  const { at, fall } = tracedDepths(straight, flow, { riffles: [60], pools: [180] });
  const steep = (s: number) => {
    const k = Math.round(s / straight.step);
    return (fall[k + 2]! - fall[k - 2]!) / (4 * straight.step);
  };
  expect(at(60, 0.5)).toBeLessThan(0.6 * at(180, 0.5));
  expect(steep(60)).toBeGreaterThan(3 * steep(180));
  expect(at(120, 0.5) / at(2, 0.5)).toBeCloseTo(1, 1);
});

test("the outside of a bend is as deep as field data have it", () => {
  // Maynord 1996 (J. Hydraul. Eng. 122, 460-464; from memory): greatest depth in a bend over the mean depth of the
  // crossing above it, 1.8 - 0.051 R/W + 0.0084 W/D, for R/W 1.5 to 10 and W/D 20 to 125.
  const D = WIDTH / 25;
  for (const radii of [2.5, 3, 4, 6, 8]) {
    const measured = 1.8 - 0.051 * radii + 0.0084 * (WIDTH / D);
    const deepest = inBend(0.02, 1 / (radii * WIDTH), WIDTH);
    expect(deepest).toBeGreaterThan(0.7 * measured);
    expect(deepest).toBeLessThan(1.2 * measured);
    // The inside is the mirror of it in shallowness.
    expect(inBend(0.98, 1 / (radii * WIDTH), WIDTH)).toBeLessThan(1);
  }
  expect(inBend(0.3, 0, WIDTH)).toBe(1);
  // It grows with curvature, and turns with its sign.
  expect(inBend(0.1, 0.02, WIDTH)).toBeGreaterThan(inBend(0.1, 0.01, WIDTH));
  expect(inBend(0.9, -0.02, WIDTH)).toBeCloseTo(inBend(0.1, 0.02, WIDTH), 12);
});

test("narrower is deeper", () => {
  const left = Array.from({ length: 49 }, (_, k): Place => [5 * k, 3 * Math.exp(-(((k - 24) / 6) ** 2))]);
  const right = Array.from({ length: 49 }, (_, k): Place => [5 * k, WIDTH - 3 * Math.exp(-(((k - 24) / 6) ** 2))]);
  const { at } = tracedDepths(channelBetween(left, right), flow, none);
  expect(at(120, 0.5)).toBeGreaterThan(1.3 * at(10, 0.5));
});
