import { blankField } from "../../testing/reach-samples";
import { surfaceSpeed } from "../flow/profile";
import { speciesById } from "../fish/species";
import { mainCurrent } from "../water/main-current";
import type { RigAdvice } from "./advice";
import { adviseRig } from "./advise";
import type { RigRequest } from "./request";
import { type Behaviour } from "./behaviour";
import { behaviourOf } from "./methods";
import { secondsNear, solveCast } from "./cast-solver";
import { driftPath } from "./drift-path";
import { fasterUnder, lineBow } from "./line-bow";
import { placeWater } from "./place";
import { snagChance } from "./snag";
import { strikeZone } from "./strike-zone";
import { orderWays, type Way, waysFor, worth } from "./ways";
import { inZone } from "./zones";

/** A river 30 m wide between low banks, 0.8 m deep at 0.5 m/s, running to the right; a faster tongue where wanted. */
function river(tongue?: { from: number; to: number; speed: number }) {
  const field = blankField(100, 40, 1);
  field.roughness.fill(0.03);
  for (let k = 0; k < 100 * 40; k++) {
    const y = Math.floor(k / 100) + 0.5;
    if (y > 5 && y < 35) {
      const fast = tongue && y > tongue.from && y < tongue.to;
      [field.depth[k], field.u[k], field.bed[k]] = [0.8, fast ? tongue.speed : 0.5, -0.8];
    } else field.bed[k] = 0.3;
  }
  return field;
}

const WATER = { depth: 0.8, meanSpeed: 0.5, bedRoughness: 0.1, visibleDepth: 1.5, temperature: 12 };
const behaviour = (advice: RigAdvice, more: object = {}): Behaviour =>
  behaviourOf({
    advice,
    water: WATER,
    lineDiameter: 0.0002,
    distance: 9,
    tipHeight: 2.5,
    presentation: "across",
    soaks: false,
    reel: 1.75,
    ...more,
  });
const advise = (method: RigRequest["method"], more: Partial<RigRequest> = {}) =>
  adviseRig({ method, species: "brown-trout", water: WATER, ...more });

describe("a drift", () => {
  test("a float goes straight down an even river at its share of the surface's speed, its bait sinking to where it hangs", () => {
    const field = river();
    const advice = adviseRig({ method: "float", species: "brown-trout", water: WATER });
    const { path, end } = driftPath(field, { behaviour: behaviour(advice), landing: [30, 20], longest: 20 });
    expect(end).toBe("time");
    const { bedRoughness } = placeWater(field, 50, 20);
    const [a, b] = [path[20]!, path[60]!];
    const ratio = (b.x - a.x) / (b.t - a.t) / surfaceSpeed(0.5, 0.8, bedRoughness);
    expect(ratio).toBeCloseTo(advice.floatSpeed / advice.surfaceSpeed, 1);
    expect(ratio).toBeLessThan(1);
    expect(path.every(({ y }) => Math.abs(y - 20) < 1e-6)).toBe(true);
    expect(path[0]!.z).toBeCloseTo(0, 6);
    expect(path[60]!.z - path[60]!.bed).toBeCloseTo(advice.baitHeight, 1);
    for (let k = 1; k < path.length; k++) expect(path[k]!.z).toBeLessThanOrEqual(path[k - 1]!.z + 1e-9);
  });

  test("set far too deep it drags, and a contact is counted", () => {
    const advice = adviseRig({ method: "float", species: "brown-trout", water: WATER, style: { setting: 1.1 } });
    const { path, contacts } = driftPath(river(), { behaviour: behaviour(advice), landing: [30, 20], longest: 20 });
    expect(contacts).toBe(1);
    expect(path.at(-1)!.touch).toBe(1);
  });

  test("a jig falls at its fall, is swept with the water of its height, and then is led along the bed", () => {
    const advice = adviseRig({ method: "jig", species: "brown-trout", water: WATER });
    const { path, contacts } = driftPath(river(), { behaviour: behaviour(advice), landing: [30, 20], longest: 15 });
    const down = path.find(({ z, bed }) => z - bed <= 0.051)!;
    expect(Math.abs(down.t - 0.75 / advice.fall)).toBeLessThan(0.5);
    expect(down.x - 30).toBeGreaterThan(0.3 * down.t);
    expect(contacts).toBeGreaterThan(3);
    expect(path.at(-1)!.x).toBeGreaterThan(down.x + 1);
  });

  test("a heavy sinker stays where it fell, and is left there", () => {
    const advice = adviseRig({ method: "sinker", species: "channel-catfish", water: WATER });
    expect(advice.holds).toBe(true);
    const { path, end } = driftPath(river(), {
      behaviour: behaviour(advice, { soaks: true, lineDiameter: advice.line.main.diameter, tipHeight: 1.9 }),
      landing: [30, 20],
      from: [40, 8],
    });
    expect(end).toBe("time");
    expect(path.at(-1)!.t).toBeGreaterThan(200);
    expect(path.at(-1)!.x - path[40]!.x).toBeLessThan(1);
  });

  test("a spinner cast up comes in at the current and its blade; down and across it swings round and hangs", () => {
    const advice = adviseRig({ method: "spinner", species: "brown-trout", water: WATER });
    const up = driftPath(river(), { behaviour: behaviour(advice), landing: [30, 20], from: [40, 20] });
    expect(up.end).toBe("in");
    const speed = (up.path.at(-1)!.x - 30) / up.path.at(-1)!.t;
    expect(speed).toBeCloseTo(0.5 + advice.blade, 1);
    const down = driftPath(river(), { behaviour: behaviour(advice), landing: [40, 27], from: [30, 17] });
    // It keeps its line's length and comes round to straight below.
    expect(down.end).toBe("time");
    expect(Math.abs(down.path.at(-1)!.y - 17)).toBeLessThan(1.5);
    expect(down.path.at(-1)!.x).toBeGreaterThan(38);
  });

  test("it ends on dry ground and off the reach; slower water makes it slower", () => {
    const advice = advise("float");
    expect(driftPath(river(), { behaviour: behaviour(advice), landing: [95, 20] }).end).toBe("off-reach");
    expect(driftPath(river(), { behaviour: behaviour(advice), landing: [50, 4] }).end).toBe("aground");
    const at = (pace: number) =>
      driftPath(river(), { behaviour: behaviour(advice), landing: [20, 20], pace, longest: 10 }).path.at(-1)!.x - 20;
    expect(at(0.8) / at(1)).toBeCloseTo(0.8, 1);
  });
});

describe("the line on the water", () => {
  test("over water of one speed it does not bow; across a faster tongue it does, and is mended", () => {
    // The float runs at the speed of the water under it: 0.5 m/s at the surface of both.
    const advice = advise("float", { style: { holdBack: 0 } });
    const play = (tongue: number | undefined) =>
      driftPath(river(tongue ? { from: 12, to: 16, speed: tongue } : undefined), {
        behaviour: behaviour(advice),
        landing: [30, 20],
        from: [32, 9],
        rodReach: 2,
        mends: 99,
        longest: 20,
      }).mends;
    expect(play(1.2)).toBeGreaterThan(play(undefined));
  });

  test("a bow of depth b over a chord L takes 8/3 b^2 / L: a metre over 6 m 0.44 m more line (arc of a parabola)", () => {
    // Rod held so that all of 6 m lies on the water; the line's middle gains 0.25 m/s on the float.
    const field = river();
    const { bedRoughness } = placeWater(field, 30, 12);
    const surface = surfaceSpeed(0.5, 0.8, bedRoughness);
    const bow = lineBow(field, [30, 10], 0, 1);
    let seconds = 0;
    while (!bow.drift(30, 16, surface - 0.25, 0, 0.05) && seconds < 30) seconds += 0.05;
    expect((8 / 3) * ((0.25 * seconds) ** 2 / 6)).toBeCloseTo(0.6, 1);
  });

  test("water under the line that is faster is told with its place, before the cast; within the rod's reach it is not", () => {
    const field = river({ from: 12, to: 16, speed: 1.2 });
    const faster = fasterUnder(field, [30, 8], [30, 20], 2)!;
    expect(faster.speed).toBeCloseTo(1.2, 1);
    expect(faster.at).toBeGreaterThan(4);
    expect(faster.at).toBeLessThan(8.5);
    expect(fasterUnder(field, [30, 8], [30, 20], 10)).toBeUndefined();
    expect(fasterUnder(river(), [30, 8], [30, 20], 2)).toBeUndefined();
  });
});

describe("near the fish", () => {
  const fish = { x: 50, y: 20, focalHeight: 0.1, upCurrent: [-1, 0] as const };
  const zone = { ahead: 1.5, behind: 0.4, side: 0.5, height: 0.4 };

  test("ahead is up-current; to the side and above ends at the zone's edge", () => {
    expect(inZone(zone, fish, 48.6, 20, 0.1)).toBe(true);
    expect(inZone(zone, fish, 48.4, 20, 0.1)).toBe(false);
    expect(inZone(zone, fish, 50.3, 20, 0.1)).toBe(true);
    expect(inZone(zone, fish, 50.5, 20, 0.1)).toBe(false);
    expect(inZone(zone, fish, 49, 20.4, 0.1)).toBe(true);
    expect(inZone(zone, fish, 49, 20.6, 0.1)).toBe(false);
    expect(inZone(zone, fish, 49, 20, 0.6)).toBe(false);
  });

  test("a bait that drifts through at a speed is there for the zone's length over that speed", () => {
    const advice = adviseRig({ method: "float", species: "brown-trout", water: WATER });
    const drift = driftPath(river(), { behaviour: behaviour(advice), landing: [40, 20], step: 0.05 });
    const speed = (drift.path[200]!.x - drift.path[100]!.x) / 5;
    expect(secondsNear(drift, zone, fish)).toBeCloseTo(1.9 / speed, 0);
  });

  test("larger fish, clearer and warmer water: from farther", () => {
    const of = (id: string, visibleDepth: number, temperature: number) =>
      strikeZone(speciesById(id), { visibleDepth, temperature }).ahead;
    expect(of("steelhead", 1.5, 12)).toBeGreaterThan(of("brown-trout", 1.5, 12));
    expect(of("brown-trout", 0.2, 12)).toBeLessThan(of("brown-trout", 1.5, 12));
    expect(of("brown-trout", 1.5, 4)).toBeLessThan(of("brown-trout", 1.5, 12));
  });

  test("on their run fish come 6 to 9 m for a lure in clear water (common practice, no source), less in colour; not for bait, nor trout", () => {
    const ahead = (id: string, visibleDepth: number, method?: "plug" | "float") =>
      strikeZone(speciesById(id), { visibleDepth, temperature: 11 }, method).ahead;
    for (const id of ["steelhead", "king-salmon"]) {
      expect(ahead(id, 2.5, "plug")).toBeGreaterThanOrEqual(6);
      expect(ahead(id, 6, "plug")).toBeLessThanOrEqual(9);
      expect(ahead(id, 0.5, "plug")).toBeLessThan(ahead(id, 2, "plug"));
      expect(ahead(id, 2.5, "float")).toBe(ahead(id, 2.5));
      expect(ahead(id, 2.5, "plug")).toBeGreaterThan(ahead(id, 2.5));
    }
    expect(ahead("brown-trout", 2.5, "plug")).toBe(ahead("brown-trout", 2.5));
  });

  const question = (field: ReturnType<typeof river>, from: readonly [number, number]) => {
    const advice = adviseRig({ method: "float", species: "brown-trout", water: WATER });
    return {
      field,
      fish,
      zone,
      from,
      ways: { field, features: [], others: [] },
      main: mainCurrent(field),
      rodReach: 4.4,
      mends: 3,
      behaviours: [{ behaviour: behaviour(advice), setting: advice.setting, holdBack: advice.holdBack }],
      range: 14,
    };
  };

  test("the solved cast lands up-current of the fish, on its line, in range, and beats every landing of a coarse search", () => {
    const asked = question(river(), [55, 12]);
    const solved = solveCast(asked)!;
    const [x, y] = solved.landing;
    expect(x).toBeLessThan(49);
    expect(Math.abs(y - 20)).toBeLessThan(0.6);
    expect(Math.hypot(x - 55, y - 12)).toBeLessThanOrEqual(14);
    expect(solved.seconds).toBeGreaterThan(2 * solved.atLie);
    expect(solved.robust).toBeLessThanOrEqual(solved.seconds);
    for (const up of [1, 3, 5, 7])
      for (const side of [-1, 0, 1]) {
        const drift = driftPath(asked.field, {
          behaviour: asked.behaviours[0]!.behaviour,
          landing: [50 - up, 20 + side],
          from: asked.from,
          rodReach: 4.4,
          mends: 3,
          longest: 40,
        });
        expect(secondsNear(drift, zone, fish)).toBeLessThanOrEqual(solved.seconds + 0.6);
      }
  });

  test("out of range, or behind wood on every line, there is no cast", () => {
    expect(solveCast(question(river(), [90, 12]))).toBeUndefined();
    const asked = question(river(), [55, 12]);
    const log = { kind: "log" as const, id: "log", x: 52, y: 15.5, length: 14, width: 0.6, angle: 0, height: 0.8 };
    expect(solveCast({ ...asked, ways: { ...asked.ways, features: [log] } })).toBeUndefined();
  });

  test("snags: more on a dirty bottom, with weight, and with metres along it; fewer with a hidden point; none in mid-water", () => {
    const path = (touch: number) => ({
      path: Array.from({ length: 21 }, (_, k) => ({ t: k, x: k, y: 0, z: 0, bed: 0, depth: 1, touch })),
    });
    const base = { snags: "some" as const, weed: false, bedRoughness: 0.15, grams: 5, weedless: false };
    // 20 m at 0.015 (1 + 5/20) a metre: 1 - exp(-0.375).
    expect(snagChance(path(1), base)).toBeCloseTo(1 - Math.exp(-0.375), 6);
    expect(snagChance(path(0), base)).toBe(0);
    expect(snagChance(path(1), { ...base, snags: "many" })).toBeGreaterThan(snagChance(path(1), base));
    expect(snagChance(path(1), { ...base, weedless: true })).toBeLessThan(snagChance(path(1), base));
    expect(snagChance(path(1), { ...base, grams: 30 })).toBeGreaterThan(snagChance(path(1), base));
    expect(snagChance(path(1), { ...base, weed: true })).toBeGreaterThan(snagChance(path(1), base));
  });

  test("every way is solved from the stand; what cannot be is told why; a float keeps the setting it was solved with", () => {
    const field = river();
    const species = speciesById("brown-trout");
    const { ways, without } = waysFor({
      field,
      species,
      fish,
      stands: [{ school: "from-below", at: [57, 13] }],
      ways: { field, features: [], others: [] },
      main: mainCurrent(field),
      request: (method, distance) => ({ method, species: species.id, water: { ...WATER, distance } }),
      liked: [],
    });
    expect(ways.length).toBeGreaterThan(3);
    for (let k = 1; k < ways.length; k++) expect(worth(ways[k]!)).toBeLessThanOrEqual(worth(ways[k - 1]!));
    // 0.8 m is no water for a spoon.
    expect(without).toContainEqual({ method: "spoon", why: { code: "spoon-shallow", values: {} } });
    // What is too light for the distance says how far it goes.
    for (const { why } of without.filter(({ why: { code } }) => code === "cast-short"))
      expect(Number(why.values.range)).toBeLessThan(Number(why.values.distance));
    const float = ways.find(({ method }) => method === "float")!;
    expect(float.advice.method === "float" && float.advice.setting).toBe(float.cast.setting);
  }, 60_000);

  test("ways come by what they are worth; those within a tenth by what the angler likes", () => {
    const way = (method: Way["method"], seconds: number, snags = 0) =>
      ({ method, snags, cast: { seconds, robust: seconds } }) as Way;
    const all = [way("jig", 4.6), way("float", 5), way("plug", 1), way("drift", 8, 0.5), way("spinner", 4.4)];
    const names = (liked: Way["method"][]) => orderWays(all, liked).map(({ method }) => method);
    // 8 seconds with a snag in every second drift are worth 4.
    expect(names([])).toEqual(["float", "jig", "spinner", "drift", "plug"]);
    expect(names(["jig"])).toEqual(["jig", "float", "spinner", "drift", "plug"]);
    expect(names(["plug", "spinner"])).toEqual(["float", "spinner", "jig", "drift", "plug"]);
  });
});
