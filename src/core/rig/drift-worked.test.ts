import { speedAtHeight, surfaceSpeed } from "../flow/profile";
import { blankField } from "../../testing/reach-samples";
import type { Behaviour } from "./behaviour";
import { driftPath } from "./drift-path";
import { placeWater } from "./place";

/** Drifts step by step, told anew by their own rules, in water that runs aslant over the plan: 0.4 and 0.3 m/s. */

const STEP = 0.25;
const BED = -1.5;

function aslant({ depth = () => 2, pace = 1 }: { depth?: (x: number) => number; pace?: number } = {}) {
  const field = blankField(80, 60, 1);
  field.roughness.fill(0.03);
  for (let k = 0; k < 80 * 60; k++) {
    const h = depth((k % 80) + 0.5);
    [field.depth[k], field.u[k], field.v[k], field.bed[k]] = [h, 0.4 * pace, 0.3 * pace, BED + 2 - h];
  }
  return field;
}
const WATER = placeWater(aslant(), 30, 30);
const [ux, uy] = [0.8, 0.6];

describe("a float", () => {
  const float = (change: Partial<Behaviour & { kind: "float" }> = {}): Behaviour => ({
    kind: "float",
    length: 1.4,
    fall: 0.12,
    at: () => ({ ratio: 0.9, lift: 0.1, lead: 0.5 }),
    ...change,
  });

  test("goes with its share of the surface; its bait falls until it hangs, and comes to lead as it does", () => {
    const { path, end, contacts } = driftPath(aslant(), { behaviour: float(), landing: [10, 8], longest: 20 });
    expect([end, contacts, path.length]).toEqual(["time", 0, 80]);
    const speed = 0.9 * surfaceSpeed(0.5, 2, WATER.bedRoughness);
    // 0.6 m under the float at its end, 0.1 of which it is lifted: 0.7 m over the bed, 1.3 m down.
    path.forEach((point, n) => {
      const t = n * STEP;
      const lead = 0.5 * Math.min(1, (0.12 * (t + STEP)) / 1.3);
      expect(point.t).toBeCloseTo(t, 9);
      expect(point.x).toBeCloseTo(10 + ux * (speed * t + lead), 4);
      expect(point.y).toBeCloseTo(8 + uy * (speed * t + lead), 4);
      expect(point.z).toBeCloseTo(BED + Math.max(0.7, 2 - 0.12 * t), 5);
      expect(point).toMatchObject({ bed: BED, depth: 2, touch: 0 });
    });
  });

  test("on the bed it touches, each time anew that it comes down to it", () => {
    const deep = float({ length: 2.5, fall: 0.5, at: () => ({ ratio: 1, lift: 0, lead: 0 }) });
    const once = driftPath(aslant(), { behaviour: deep, landing: [10, 8], longest: 12 });
    expect(once.contacts).toBe(1);
    expect(once.path.filter(({ touch }) => touch === 1).every(({ z }) => Math.abs(z - BED) <= 0.0100001)).toBe(true);
    expect(once.path.at(-1)!.touch).toBe(1);
    // A hole of 3.5 m, in which a bait on 2.5 m hangs a metre over the bed.
    const hole = aslant({ depth: (x) => (x > 16 && x < 22 ? 3.5 : 2) });
    expect(driftPath(hole, { behaviour: deep, landing: [10, 8], longest: 40 }).contacts).toBe(2);
    const bait = driftPath(hole, { behaviour: deep, landing: [10, 8], longest: 40 }).path.filter(
      ({ x, depth }) => x > 18 && x < 20 && depth > 3.4,
    );
    for (const { z, bed } of bait) expect(z - bed).toBeCloseTo(1, 1);
  });

  test("in water that stands it stands, and where the line is as long as the water is deep it hangs at once", () => {
    const still = aslant({ pace: 0 });
    const { path } = driftPath(still, { behaviour: float(), landing: [10, 8], longest: 3 });
    expect(path.every(({ x, y }) => x === 10 && y === 8)).toBe(true);
    // It hangs at the surface: nothing is left to fall.
    const short = float({ length: 0.1, at: () => ({ ratio: 1, lift: 0.4, lead: 0.3 }) });
    const [first] = driftPath(aslant(), { behaviour: short, landing: [10, 8], longest: 3 }).path;
    expect([first!.x, first!.y]).toEqual([expect.closeTo(10 + 0.24, 6), expect.closeTo(8 + 0.18, 6)]);
  });

  test("over thin water it is aground, past the edge off the reach, and all speeds are multiplied by the pace", () => {
    const bar = (least: number) => aslant({ depth: (x) => (x > 20 ? least : 2) });
    const at = (least: number) => driftPath(bar(least), { behaviour: float(), landing: [18, 8], longest: 30 });
    expect(at(0.05).end).toBe("aground");
    expect(at(0.07).end).toBe("time");
    expect(driftPath(aslant(), { behaviour: float(), landing: [78, 8] }).end).toBe("off-reach");
    const moved = (pace: number) => {
      const { path } = driftPath(aslant(), { behaviour: float(), landing: [10, 8], longest: 5, pace });
      return path[12]!.x - path[8]!.x;
    };
    expect(moved(0.5) / moved(1)).toBeGreaterThan(0.5);
    expect(moved(0.5) / moved(1)).toBeLessThan(0.6);
  });

  test("without a span of its own a minute is followed; coarser steps come to the same place", () => {
    const slow = aslant({ pace: 0.5 });
    const long = driftPath(slow, { behaviour: float(), landing: [10, 8] });
    expect(long.path).toHaveLength(240);
    const coarse = driftPath(slow, { behaviour: float(), landing: [10, 8], step: 1 });
    expect(coarse.path).toHaveLength(60);
    expect(coarse.path.at(-1)!.x).toBeCloseTo(long.path[236]!.x, 6);
  });
});

describe("a weight", () => {
  const weight = (change: Partial<Behaviour & { kind: "bottom" }> = {}): Behaviour => ({
    kind: "bottom",
    fall: 0.4,
    at: () => ({ share: 0.5, touch: 0.4 }),
    height: 0.05,
    stays: 0,
    walked: 0,
    ...change,
  });

  test("falls, carried by the water of its height, and goes along the bed as fast as the stones let it", () => {
    const { path, contacts } = driftPath(aslant(), { behaviour: weight(), landing: [10, 8], longest: 12 });
    let [x, height] = [10, 2];
    let along = 0;
    path.forEach((point) => {
      expect(point.x).toBeCloseTo(x, 5);
      expect(point.y - 8).toBeCloseTo((x - 10) * 0.75, 4);
      expect(point.z).toBeCloseTo(BED + height, 5);
      expect(point.touch).toBe(height <= 0.05 ? 0.4 : 0);
      const next = height - 0.4 * STEP;
      if (next > 0.05) {
        x += speedAtHeight(0.5, 2, WATER.bedRoughness, height) * ux * STEP;
        height = next;
      } else {
        x += 0.5 * 0.4 * STEP;
        along += 0.5 * 0.5 * STEP;
        height = 0.05;
      }
    });
    // Stones stand two roughness heights apart: touched for four tenths of the way.
    expect(contacts).toBe(Math.round((0.4 * along) / (2 * WATER.bedRoughness + 0.05)));
    expect(contacts).toBeGreaterThan(1);
  });

  test("walked, it comes towards the angler besides, and is in at two metres", () => {
    const behaviour = weight({ at: () => ({ share: 0, touch: 1 }), walked: 0.15, fall: 4 });
    const { path, end } = driftPath(aslant(), { behaviour, landing: [10, 8], from: [14, 11], longest: 60 });
    expect(end).toBe("in");
    const [a, b] = [path[10]!, path[20]!];
    expect(Math.hypot(b.x - a.x, b.y - a.y) / (b.t - a.t)).toBeCloseTo(0.15, 6);
    expect((b.y - a.y) / (b.x - a.x)).toBeCloseTo(0.75, 4);
    expect(Math.hypot(path.at(-1)!.x - 14, path.at(-1)!.y - 11)).toBeLessThan(2.05);
    // What is not walked is never in, however near it comes.
    const lies = weight({ at: () => ({ share: 0, touch: 1 }), fall: 4 });
    expect(driftPath(aslant(), { behaviour: lies, landing: [13, 11], from: [14, 11], longest: 9 }).end).toBe("time");
    // Walked across the current it goes as both do.
    const across = weight({ at: () => ({ share: 0.5, touch: 1 }), walked: 0.15, fall: 8 });
    const point = driftPath(aslant(), { behaviour: across, landing: [30, 20], from: [30, 50], longest: 4 }).path;
    expect((point[12]!.x - point[4]!.x) / 2).toBeCloseTo(0.2, 2);
    expect((point[12]!.y - point[4]!.y) / 2).toBeCloseTo(0.15 + 0.15, 2);
  });

  test("left where it lies it is done after its time, one that still moves is not", () => {
    const lies = (share: number) =>
      driftPath(aslant(), {
        behaviour: weight({ at: () => ({ share, touch: 1 }), stays: 5, fall: 8 }),
        landing: [10, 8],
        from: [14, 8],
        longest: 11,
      });
    expect(lies(0).end).toBe("time");
    expect(lies(0).path.at(-1)!.t).toBeCloseTo(5, 0);
    expect(lies(0.2).path.at(-1)!.t).toBeCloseTo(10.75, 6);
    // Under four centimetres a second is still: 0.07 of half a metre is.
    expect(lies(0.07).path.at(-1)!.t).toBeCloseTo(5, 0);
    // It is followed as long as it is left, whatever the span.
    const soak = { behaviour: weight({ at: () => ({ share: 0.2, touch: 1 }), stays: 30, fall: 8 }), longest: 4 };
    expect(driftPath(aslant(), { ...soak, landing: [10, 8] }).path.at(-1)!.t).toBeCloseTo(29.75, 6);
  });

  test("its line lies on the water and is mended while it drifts; of what lies still, and of what swims, it is taut", () => {
    const tongue = aslant();
    for (let k = 0; k < 80 * 60; k++) {
      const y = Math.floor(k / 80) + 0.5;
      [tongue.u[k], tongue.v[k]] = [y > 18 && y < 26 ? 1.6 : 0.3, 0];
    }
    const drift = (mends: number | undefined, change: Partial<Behaviour & { kind: "bottom" }> = {}) =>
      driftPath(tongue, {
        behaviour: weight(change),
        landing: [15, 32],
        from: [18, 10],
        rodReach: 3,
        ...(mends !== undefined && { mends }),
        longest: 30,
      });
    const free = drift(undefined);
    expect(free.mends).toBeGreaterThan(1);
    expect(free.end).toBe("time");
    expect(drift(0)).toMatchObject({ end: "line-drags", mends: 0 });
    expect(drift(1)).toMatchObject({ end: "line-drags", mends: 1 });
    expect(drift(0).path.length).toBeLessThan(drift(1).path.length);
    expect(drift(free.mends)).toMatchObject({ end: "time", mends: free.mends });
    expect(drift(0, { stays: 40 })).toMatchObject({ end: "time", mends: 0 });
  });
});

describe("what swims", () => {
  const lure = (change: Partial<Behaviour & { kind: "swum" }> = {}): Behaviour => ({
    kind: "swum",
    least: 0.6,
    most: 1.5,
    fall: 0.3,
    depthAt: (line) => 0.2 * line,
    clear: 0.15,
    ...change,
  });

  test("is carried by what of the current goes across its line, and reeled by what it lacks along it", () => {
    const from = [40, 12] as const;
    const { path } = driftPath(aslant(), { behaviour: lure(), landing: [30, 20], from, longest: 6 });
    let [x, y, height] = [30, 20, 2];
    for (const point of path) {
      expect(point.x).toBeCloseTo(x, 5);
      expect(point.y).toBeCloseTo(y, 5);
      expect(point.z).toBeCloseTo(BED + height, 5);
      const [dx, dy] = [from[0] - x, from[1] - y];
      const line = Math.hypot(dx, dy);
      const along = (0.4 * dx + 0.3 * dy) / line;
      // As much line as the current brings towards the rod, and the lure's own speed; never more than the reel does.
      const reeled = Math.min(1.5, Math.max(0, 0.6 + along));
      // It runs as deep as its line lets it, a hand clear of the bed, and no deeper than it has fallen.
      height = Math.max(2 - Math.min(1.85, 0.2 * line), Math.max(0, height - 0.3 * STEP));
      x += STEP * (0.4 + ((reeled - along) * dx) / line);
      y += STEP * (0.3 + ((reeled - along) * dy) / line);
    }
    expect(path.length).toBe(24);
  });

  test("no faster than the reel, and not at all where the current does it; clear of the bed in thin water too", () => {
    const speed = (from: readonly [number, number], change: Partial<Behaviour & { kind: "swum" }>) => {
      const { path } = driftPath(aslant(), { behaviour: lure(change), landing: [30, 20], from, longest: 2 });
      return Math.hypot(path[4]!.x - path[0]!.x, path[4]!.y - path[0]!.y);
    };
    // Straight down-current and up-current of the rod.
    expect(speed([38, 26], { most: 0.7 })).toBeCloseTo(0.7, 5);
    expect(speed([38, 26], {})).toBeCloseTo(0.6 + 0.5, 5);
    expect(speed([22, 14], {})).toBeCloseTo(0.6 - 0.5, 5);
    expect(speed([22, 14], { least: 0.4 })).toBeCloseTo(0, 5);
    const low = (depth: number, change: Partial<Behaviour & { kind: "swum" }>) => {
      const behaviour = lure({ fall: 9, depthAt: () => 9, ...change });
      const { path } = driftPath(aslant({ depth: () => depth }), {
        behaviour,
        landing: [30, 20],
        from: [60, 20],
        longest: 2,
      });
      return path[4]!;
    };
    const over = ({ z, bed }: { z: number; bed: number }) => z - bed;
    expect(over(low(2, {}))).toBeCloseTo(0.15, 5);
    expect(over(low(2, { clear: 0 }))).toBeCloseTo(0.02, 5);
    expect(over(low(0.2, {}))).toBeCloseTo(0.1, 5);
    expect([low(2, { clear: 0 }).touch, low(2, { clear: 0.04 }).touch]).toEqual([1, 0]);
  });

  test("back at the rod it is in; hanging below it is left a quarter of a minute", () => {
    const up = driftPath(aslant(), { behaviour: lure(), landing: [30, 20], from: [38, 26], longest: 40 });
    expect(up.end).toBe("in");
    const hung = driftPath(aslant(), {
      behaviour: lure({ least: 0.4 }),
      landing: [30, 20],
      from: [22, 14],
      longest: 40,
    });
    expect(hung.end).toBe("time");
    expect(hung.path.at(-1)!.t).toBeCloseTo(14.75, 6);
    // Without an angler there is no line to be taut: it goes with the water.
    const loose = driftPath(aslant(), { behaviour: lure({ least: 0 }), landing: [30, 20], longest: 4 }).path;
    expect((loose[8]!.x - loose[0]!.x) / 2).toBeCloseTo(0.4, 6);
    expect((loose[8]!.y - loose[0]!.y) / 2).toBeCloseTo(0.3, 6);
  });
});
