import { surfaceSpeed } from "../flow/profile";
import type { Feature } from "../flow/reach-schema";
import { blankField } from "../../testing/reach-samples";
import { mainCurrent, mainHeading } from "../water/main-current";
import { streamline } from "../water/streamline";
import type { Behaviour } from "./behaviour";
import { type CastQuestion, secondsNear, solveCast } from "./cast-solver";
import { driftPath } from "./drift-path";
import { fasterUnder, lineBow } from "./line-bow";
import { snagsNear } from "./near-snags";
import { placeWater, within } from "./place";

/** Casts one by one, the line on the water, and what is about a place: each told anew without its short cuts. */

/** 60 by 30 m, a metre deep, that runs aslant; slower towards the far side, thin beyond a bar at 24 m. */
function water(thin = 0.05) {
  const field = blankField(60, 30, 1);
  field.roughness.fill(0.03);
  for (let k = 0; k < 60 * 30; k++) {
    const y = Math.floor(k / 60) + 0.5;
    const speed = 0.7 - 0.012 * y;
    [field.depth[k], field.u[k], field.v[k], field.bed[k]] = [y > 24 ? thin : 1, speed, 0.06, -1];
  }
  return field;
}
const field = water();
const main = mainCurrent(field);
const fish = { x: 34, y: 16, focalHeight: 0.2, upCurrent: [-1, 0] as const };
const zone = { ahead: 1.6, behind: 0.4, side: 0.6, height: 0.35 };

const float = (fall: number, touch = 0): Behaviour => ({
  kind: "float",
  length: touch > 0 ? 1.2 : 0.8,
  fall,
  at: () => ({ ratio: 0.95, lift: 0, lead: 0 }),
});
const weight: Behaviour = {
  kind: "bottom",
  fall: 0.3,
  at: () => ({ share: 0, touch: 1 }),
  height: 0.1,
  stays: 300,
  walked: 0,
};
const lure: Behaviour = { kind: "swum", least: 0.4, most: 1.6, fall: 0.4, depthAt: () => 0.7, clear: 0.15 };

const question = (behaviours: CastQuestion["behaviours"], change: Partial<CastQuestion> = {}): CastQuestion => ({
  field,
  fish,
  zone,
  from: [38, 5],
  ways: { field, features: [], others: [] },
  main,
  rodReach: 3,
  mends: 2,
  behaviours,
  range: 18,
  ...change,
});

/** Worth of one cast: half for the worst of three paces, half for their mean, less its mends and what a float drags. */
function castPlainly(asked: CastQuestion, behaviour: Behaviour, landing: readonly [number, number]) {
  const { from, rodReach, mends } = asked;
  const left = behaviour.kind === "bottom" ? { ...behaviour, stays: Math.min(30, behaviour.stays) } : behaviour;
  const play = (pace: number) =>
    driftPath(field, { behaviour: left, landing, from, rodReach, mends, pace, longest: 40 });
  const drifts = [0.8, 1, 1.2].map(play);
  const seconds = drifts.map((drift) => secondsNear(drift, asked.zone, asked.fish));
  const worst = Math.min(...seconds);
  const dragged =
    behaviour.kind === "float" ? 0.4 * 0.25 * drifts[1]!.path.reduce((sum, { touch }) => sum + touch, 0) : 0;
  const score = (worst + (seconds[0]! + seconds[1]! + seconds[2]!) / 3) / 2 - 0.1 * drifts[1]!.mends - dragged;
  return { landing, behaviour, seconds: seconds[1]!, robust: worst, mends: drifts[1]!.mends, score };
}

/** All landings of the first behaviour, then the others at the best of them, then about it. */
function solvePlainly(asked: CastQuestion) {
  const { from, range, behaviours } = asked;
  const can = ([x, y]: readonly [number, number]) => {
    const away = Math.hypot(x - from[0], y - from[1]);
    return away >= 2 && away <= range && placeWater(field, x, y).depth > 0.12;
  };
  const way = streamline(main, fish.x, fish.y, 13.5, -1);
  const gone = way.map(([x, y], k) => (k === 0 ? 0 : Math.hypot(x - way[k - 1]![0], y - way[k - 1]![1])));
  const sides = [0, -0.4, 0.4, -0.9, 0.9, -1.6, 1.6];
  if (behaviours[0]!.behaviour.kind === "swum") sides.push(2.5, -2.5, 4, -4);
  const landings = [0, 0.7, 1.4, 2.1, 2.8, 3.6, 4.5, 5.5, 6.5, 8, 9.5, 11, 13].flatMap((up) => {
    let sum = 0;
    const k = gone.findIndex((step) => (sum += step) >= up);
    if (k < 0) return [];
    const [x, y] = way[k]!;
    const [tx, ty] = mainHeading(main, x, y);
    return sides.map((side): [number, number] => [x - ty * side, y + tx * side]);
  });
  type Cast = ReturnType<typeof castPlainly> & { setting?: number; holdBack?: number };
  let best: Cast | undefined;
  const look = (places: readonly (readonly [number, number])[], which: CastQuestion["behaviours"]) => {
    for (const { behaviour, setting, holdBack } of which)
      for (const landing of places) {
        const tried = { ...castPlainly(asked, behaviour, landing), setting, holdBack };
        if (!best || tried.score > best.score + 1e-9) best = tried as Cast;
      }
  };
  look(landings.filter(can), behaviours.slice(0, 1));
  if (!best) return undefined;
  look([best.landing], behaviours.slice(1));
  const chosen = best.behaviour;
  const [x, y] = best.landing;
  const near = [-0.35, 0, 0.35].flatMap((dx) => [-0.35, 0, 0.35].map((dy) => [x + dx, y + dy] as const));
  look(
    near.filter(can),
    behaviours.filter(({ behaviour }) => behaviour === chosen),
  );
  return best;
}

describe("the cast that keeps the bait longest where the fish takes it", () => {
  test.each<[string, CastQuestion]>([
    ["a float", question([{ behaviour: float(0.15), setting: 0.8, holdBack: 0 }])],
    [
      "a float with other settings, one of which drags",
      question([
        { behaviour: float(0.1), setting: 0.8, holdBack: 0 },
        { behaviour: float(0.25), setting: 0.8, holdBack: 0.2 },
        { behaviour: float(0.25, 1), setting: 1.2, holdBack: 0 },
      ]),
    ],
    ["a float that drags by itself", question([{ behaviour: float(0.2, 1), setting: 1.2 }])],
    ["what lies still", question([{ behaviour: weight }])],
    ["what swims", question([{ behaviour: lure }])],
    ["what swims, from below", question([{ behaviour: lure }], { from: [46, 12], range: 25 })],
    ["a float from close by", question([{ behaviour: float(0.15) }], { from: [31, 15], range: 6 })],
    ["a float by the bar", question([{ behaviour: float(0.15) }], { fish: { ...fish, y: 23.5 }, range: 30 })],
  ])("%s: of all that were looked at", (_, asked) => {
    const solved = solveCast(asked)!;
    const expected = asked.fish === fish ? solvePlainly(asked)! : undefined;
    if (expected) {
      expect(solved.landing[0]).toBeCloseTo(expected.landing[0], 9);
      expect(solved.landing[1]).toBeCloseTo(expected.landing[1], 9);
      expect(solved).toMatchObject({
        seconds: expected.seconds,
        robust: expected.robust,
        mends: expected.mends,
        setting: expected.setting,
        holdBack: expected.holdBack,
      });
      expect(solved.behaviour).toBe(expected.behaviour);
    }
    // No cast lands where a metre of water is not.
    expect(placeWater(field, ...solved.landing).depth).toBeGreaterThan(0.12);
    expect(solved.atLie).toBe(castPlainly(asked, solved.behaviour, [asked.fish.x, asked.fish.y]).seconds);
  });

  test("a landing is two metres off at the least, within range at the most, and its line clear", () => {
    const by = (change: Partial<CastQuestion>) => solveCast(question([{ behaviour: float(0.15) }], change));
    expect(by({ range: 8 })).toBeUndefined();
    const near = by({ range: 12 })!;
    expect(Math.hypot(near.landing[0] - 38, near.landing[1] - 5)).toBeLessThanOrEqual(12);
    // Under the angler's feet nothing lands.
    const at = by({ from: fish.y === 16 ? [33, 16] : [0, 0], range: 9 })!;
    expect(Math.hypot(at.landing[0] - 33, at.landing[1] - 16)).toBeGreaterThanOrEqual(2);
    const others = Array.from({ length: 40 }, (_, k) => ({ x: 14 + k, y: 10 }));
    expect(by({ ways: { field, features: [], others } })).toBeUndefined();
  });

  test("seconds near the fish: of each point the time to the next, of the last one step", () => {
    const point = (t: number, x: number) => ({ t, x, y: 16, z: -0.8, bed: -1, depth: 1, touch: 0 });
    const drift = { path: [point(0, 30), point(2, 33), point(5, 34), point(6, 36)] };
    expect(secondsNear(drift as never, zone, fish)).toBe(3 + 1);
    expect(secondsNear({ path: [point(4, 34)] } as never, zone, fish)).toBe(0.25);
    expect(secondsNear({ path: [] } as never, zone, fish)).toBe(0);
  });
});

describe("the line on the water", () => {
  test("bows where the water under it outruns or lags what drifts, looked at in five places, and is mended", () => {
    const [from, x, y, reach] = [[30, 4], 40, 20, 5] as const;
    const [u, v] = [0.5, 0.05];
    const length = Math.hypot(10, 16);
    const bow = lineBow(field, from, reach, 1);
    const speed = Math.hypot(u, v);
    const own = [0.5, 1.5, 2.5, 3.5, 4.5].map((k) => {
      const away = reach + (k / 5) * (length - reach);
      const under = placeWater(field, 30 + (10 * away) / length, 4 + (16 * away) / length);
      return (surfaceSpeed(1, under.depth, under.bedRoughness) * (under.u * u + under.v * v)) / speed - speed;
    });
    const most = Math.max(...own.map(Math.abs));
    expect(Math.min(...own)).toBeLessThan(most);
    // 8/3 b^2 / L over 0.6 m.
    const due = Math.sqrt((0.6 * 3 * (length - reach)) / 8) / most;
    let seconds = 0;
    while (!bow.drift(x, y, u, v, 0.01) && seconds < 60) seconds += 0.01;
    expect(seconds).toBeCloseTo(due, 1);
    expect(bow.mends()).toBe(1);
    // Mended, it begins anew.
    let again = 0;
    while (!bow.drift(x, y, u, v, 0.01) && again < 60) again += 0.01;
    expect(again).toBeCloseTo(seconds, 1);
    expect(bow.mends()).toBe(2);
  });

  test("less than a metre on the water does not bow; over dry ground there is nothing to bow it", () => {
    const short = lineBow(field, [30, 4], 5, 1);
    for (let k = 0; k < 500; k++) expect(short.drift(30, 9.99, 0.1, 0, 1)).toBe(false);
    const dry = water(0);
    const over = lineBow(dry, [30, 25.5], 0, 1);
    for (let k = 0; k < 100; k++) expect(over.drift(40, 29, 0.1, 0, 1)).toBe(false);
    expect(over.mends()).toBe(0);
  });

  test("faster water under it: the fastest of what outruns its end by three tenths and five centimetres a second", () => {
    const tongue = water();
    for (let k = 0; k < 60 * 30; k++) {
      const y = Math.floor(k / 60) + 0.5;
      [tongue.u[k], tongue.v[k]] = [y > 8 && y < 10 ? 0.9 : y > 13 && y < 15 ? 1.2 : 0.5, 0];
    }
    const [from, to] = [
      [20, 4],
      [29, 20],
    ] as const;
    const found = fasterUnder(tongue, from, to, 2)!;
    const length = Math.hypot(9, 16);
    let expected = { at: 0, speed: 0 };
    for (let at = 2; at < length - 0.5; at += 0.5) {
      const { meanSpeed } = placeWater(tongue, 20 + (9 * at) / length, 4 + (16 * at) / length);
      if (meanSpeed > 1.3 * 0.5 + 0.05 && meanSpeed > expected.speed) expected = { at, speed: meanSpeed };
    }
    expect(found).toEqual(expected);
    expect(found.at).toBeGreaterThan(9);
    // What the rod holds off the water does not count, nor what is hardly faster.
    expect(fasterUnder(tongue, from, to, 15)).toBeUndefined();
    const even = water();
    even.v.fill(0);
    even.u.fill(0.5);
    for (let k = 9 * 60; k < 10 * 60; k++) even.u[k] = 0.69;
    expect(fasterUnder(even, from, to, 2)).toBeUndefined();
    for (let k = 9 * 60; k < 10 * 60; k++) even.u[k] = 0.75;
    expect(fasterUnder(even, from, to, 2)).toBeDefined();
  });
});

test("within the grid are its edges, and nothing beyond them", () => {
  const grid = { ...blankField(30, 20, 0.5) };
  expect([within(grid, 0, 0), within(grid, 15, 10), within(grid, 7, 0), within(grid, 0, 9)]).toEqual([
    true,
    true,
    true,
    true,
  ]);
  for (const [x, y] of [
    [-0.01, 5],
    [5, -0.01],
    [15.01, 5],
    [5, 10.01],
    [-1, -1],
    [16, 11],
  ] as const)
    expect(within(grid, x, y)).toBe(false);
});

describe("what is near a place", () => {
  const at = { x: 20, y: 15 };
  const log: Feature = { kind: "log", id: "l", x: 22, y: 15, length: 3, width: 0.4, angle: 90, height: 0.5 };
  const jam: Feature = { kind: "log-jam", id: "j", x: 20, y: 17, length: 2, width: 1, angle: 0, height: 1 } as Feature;
  const patch = (substrate: string, x = 18, y = 14): Feature =>
    ({ kind: "patch", id: "p", x, y, length: 2, width: 2, angle: 0, substrate }) as unknown as Feature;

  test("a jam or a bed of wood is many, in whatever order; a log some; weed is weed; gravel is nothing", () => {
    expect(snagsNear([], at)).toEqual({ snags: "none", weed: false });
    expect(snagsNear(undefined, at)).toEqual({ snags: "none", weed: false });
    expect(snagsNear([log], at)).toEqual({ snags: "some", weed: false });
    for (const of of [
      [jam, log],
      [log, jam],
    ])
      expect(snagsNear(of, at).snags).toBe("many");
    expect(snagsNear([patch("wood")], at)).toEqual({ snags: "many", weed: false });
    expect(snagsNear([patch("weed"), log], at)).toEqual({ snags: "some", weed: true });
    expect(snagsNear([patch("gravel")], at)).toEqual({ snags: "none", weed: false });
    const stone = { kind: "boulder", id: "b", x: 20, y: 15, diameter: 2, height: 1 } as Feature;
    expect(snagsNear([stone], at)).toEqual({ snags: "none", weed: false });
  });

  test("within three metres of its outline on every side, and not beyond; over it as well", () => {
    const weedAt = (x: number, y: number) => snagsNear([patch("weed", x, y)], at).weed;
    // Two metres wide: its outline is a metre from its middle.
    for (const [x, y] of [
      [20, 15],
      [23.8, 15],
      [16.2, 15],
      [20, 18.8],
      [20, 11.2],
      [22.6, 17.6],
      [17.4, 12.4],
    ] as const)
      expect(weedAt(x, y)).toBe(true);
    for (const [x, y] of [
      [24.3, 15],
      [15.7, 15],
      [20, 19.3],
      [20, 10.7],
      [23.2, 18.2],
    ] as const)
      expect(weedAt(x, y)).toBe(false);
  });
});
