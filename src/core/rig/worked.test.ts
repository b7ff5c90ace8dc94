import { surfaceSpeed } from "../flow/profile";
import type { InputError } from "../quantity/fault";
import { readRequest } from "../quantity/request";
import { adviseRig } from "./advise";
import type { RigRequest } from "./request";
import { sphereDiameter, sphereForce, submergedWeight, terminalSpeed } from "./drag";
import { carriedBy, FLOAT_TACKLE, fishFloat, floatFor, type FloatTackle, setFloat, shottingFor } from "./float";
import { hang, type HangInput } from "./hang";
import { type Placed, SHOT_SIZES, shotMass, shotPlan } from "./shot";
import { type Shotting } from "./shotting";
import { root } from "./solve";
import type { Water } from "./water";

// Figures worked by hand from the formulas' sources, which stand beside the code; where it says so, worked again here
// in another way.

const codeOf = (act: () => unknown): string => {
  try {
    act();
  } catch (error) {
    return (error as InputError).fault.code;
  }
  return "none";
};

describe("root", () => {
  test("an end that is a root is the answer, the low one first", () => {
    expect(root((x) => x - 1, 1, 5)).toBe(1);
    expect(root((x) => x - 5, 1, 5)).toBe(5);
    expect(root(() => 0, 1, 5)).toBe(1);
  });

  test("without a change of sign the end where the function is nearer to nothing", () => {
    expect(root((x) => x + 1, 0, 5)).toBe(0);
    expect(root((x) => 6 - x, 0, 5)).toBe(5);
    expect(root((x) => x - 6, 0, 5)).toBe(5);
    expect(root((x) => -1 - x, 0, 5)).toBe(0);
  });

  test("rising or falling, from either side", () => {
    for (const f of [(x: number) => x ** 2 - 2, (x: number) => 2 - x ** 2])
      expect(root(f, 0, 2, 1e-12)).toBeCloseTo(Math.SQRT2, 10);
  });

  test("Illinois: x^10 = 1 from 0 to 2 within twenty looks, where plain false position needs hundreds", () => {
    let looks = 0;
    const found = root((x) => (looks++, x ** 10 - 1), 0, 2, 1e-9, 200);
    expect(found).toBeCloseTo(1, 8);
    expect(looks).toBeLessThan(40);
  });

  test("one turn is one secant between the ends; a wide tolerance stops at once", () => {
    // The line from (0, -2) to (2, 2) crosses at 1.
    expect(root((x) => x ** 2 - 2, 0, 2, 1e-9, 1)).toBe(1);
    let looks = 0;
    expect(root((x) => (looks++, x ** 2 - 2), 0, 2, 1)).toBe(1);
    expect(looks).toBe(3);
  });
});

describe("drag", () => {
  test("a ball of 1 cm at 0.5 m/s: Re 3826, Cd 0.391 by Brown & Lawler, 3.84 mN, signed like the speed", () => {
    // 24/3825.6 (1 + 0.150 x 3825.6^0.681) + 0.407/(1 + 8710/3825.6): 0.00627 x 42.36 + 0.1242 = 0.3899.
    const force = 0.5 * 999.7 * 0.3899 * 7.854e-5 * 0.25;
    expect(sphereForce(0.01, 0.5)).toBeCloseTo(force, 5);
    expect(sphereForce(0.01, -0.5)).toBeCloseTo(-force, 5);
    expect([sphereForce(0.01, 0), sphereForce(0.01, 1e-10)]).toEqual([0, 0]);
    expect(sphereForce(0.01, 1e-8)).toBeGreaterThan(0);
  });

  test("1 g of tin is a ball of 6.40 mm and weighs 8.46 mN in water", () => {
    expect(sphereDiameter(0.001, 7290)).toBeCloseTo(0.0064, 5);
    expect(submergedWeight(0.001, 7290)).toBeCloseTo(0.00981 * (1 - 999.7 / 7290), 9);
  });

  test("what does not sink has no falling speed", () => {
    expect(terminalSpeed(0.001, 999.7)).toBe(0);
    expect(terminalSpeed(0.001, 900)).toBe(0);
    expect(terminalSpeed(0.001, 1010)).toBeGreaterThan(0.01);
  });
});

describe("a line with two weights in an even flow", () => {
  const base: HangInput = {
    speed: () => 0.6,
    floatSpeed: 0.2,
    depth: 2,
    length: 1.5,
    // Too thin to drag.
    lineDiameter: 1e-15,
    weights: [
      { fromEnd: 0.5, weight: 0.02, diameter: 0.006 },
      { fromEnd: 0, weight: 0.004, diameter: 0.008 },
    ],
  };
  const [low, high] = [sphereForce(0.008, 0.4), sphereForce(0.006, 0.4)];

  test("hangs as two straight pieces, each along the pull of all that is below it", () => {
    const { shape, endHeight, pullAlong, pullDown } = hang(base);
    expect(pullAlong).toBeCloseTo(low + high, 7);
    expect(pullDown).toBeCloseTo(0.024, 7);
    const at = (s: number) => shape.reduce((best, one) => (Math.abs(one.s - s) < Math.abs(best.s - s) ? one : best));
    const slope = (from: number, to: number) => (at(to).x - at(from).x) / (at(to).z - at(from).z);
    // Up the line leans up-current, for the water outruns the float.
    expect(slope(0, 0.5)).toBeCloseTo(-low / 0.004, 5);
    expect(slope(0.5, 1.5)).toBeCloseTo(-(low + high) / 0.024, 5);
    // The top is at the surface, and the line as long as it is.
    const rise = 0.5 / Math.hypot(1, low / 0.004) + 1 / Math.hypot(1, (low + high) / 0.024);
    expect(endHeight).toBeCloseTo(2 - rise, 4);
    expect(shape.at(-1)!.z).toBeCloseTo(2, 4);
    expect(shape[0]).toEqual({ x: 0, z: endHeight, s: 0 });
    expect(shape.at(-1)!.s).toBeCloseTo(1.5, 9);
  });

  test("a float that outruns the water leans the other way", () => {
    const { pullAlong } = hang({ ...base, floatSpeed: 1 });
    expect(pullAlong).toBeCloseTo(-(low + high), 7);
  });

  test("each weight feels the water at its own height; in the bed that of the bed, over the surface that of the surface", () => {
    const sheared = (z: number) => (z < 0 || z > 2 ? NaN : 0.2 + 0.3 * z);
    const found = hang({ ...base, speed: sheared });
    const force = sphereForce(0.008, 0.3 * found.endHeight) + sphereForce(0.006, 0.3 * found.shape[20]!.z);
    expect(found.pullAlong).toBeCloseTo(force, 6);
    // More line than depth: the end would lie in the bed.
    const long = hang({ ...base, speed: sheared, length: 2.5 });
    expect(long.endHeight).toBeLessThan(-0.3);
    expect(Number.isFinite(long.pullAlong)).toBe(true);
  });

  test("nothing hung on it: it hangs straight down and pulls at nothing", () => {
    const none = hang({ ...base, weights: [] });
    expect(none.shape.every((one) => Math.abs(one.x) < 1e-6)).toBe(true);
    expect(none.endHeight).toBeCloseTo(0.5, 4);
  });

  test("a line at half a right angle takes the water's drag across it and along it", () => {
    // The weight drags as much as it weighs, and so much that the line's own drag does not turn it.
    const [drag, d, length] = [sphereForce(0.05, 1), 0.001, 0.02];
    const one = { ...base, speed: () => 1, floatSpeed: 0, length, lineDiameter: d };
    const { pullAlong, pullDown } = hang({ ...one, weights: [{ fromEnd: 0, weight: drag, diameter: 0.05 }] });
    // Across: half rho 1.2 d (v sin)^2; along: half rho 0.015 pi d (v cos)^2 (Hoerner 1965).
    const across = 0.5 * 999.7 * 1.2 * d * 0.5 * length;
    const along = 0.5 * 999.7 * 0.015 * Math.PI * d * 0.5 * length;
    expect((pullAlong - drag) / (Math.SQRT1_2 * (across + along))).toBeCloseTo(1, 1);
    expect((pullDown - drag) / (Math.SQRT1_2 * (along - across))).toBeCloseTo(1, 1);
  });
});

describe("shot", () => {
  /** All runs of at most six pieces, heaviest first. */
  function* runs(box: readonly { size: string; grams: number }[], from = 0, left = 6): Generator<number[]> {
    yield [];
    if (left === 0) return;
    for (let k = from; k < box.length; k++) for (const rest of runs(box, k, left - 1)) yield [box[k]!.grams, ...rest];
  }
  const wanted: Record<Shotting, (n: number) => number[]> = {
    // n, n-1, ... 1 parts of their sum; a dropper of 12 % under the rest; all alike.
    tapered: (n) => Array.from({ length: n }, (_, i) => (n - i) / ((n * (n + 1)) / 2)),
    bulk: (n) => Array.from({ length: n }, (_, i) => (i === n - 1 ? 0.12 : 0.88 / (n - 1))),
    even: (n) => new Array<number>(n).fill(1 / n),
  };
  const fewest = { tapered: 3, bulk: 2, even: 3 };
  const badness = (run: number[], target: number, style: Shotting): number => {
    const miss = target - run.reduce((a, b) => a + b, 0);
    if (miss < -0.03 - 1e-9 || run.length === 0) return Infinity;
    const off = wanted[style](run.length).reduce((sum, share, i) => sum + (run[i]! / target - share) ** 2, 0);
    return off + 0.004 * run.length + (run.length < fewest[style] ? 0.05 : 0) + (miss > 0.03 ? 100 * miss : 0);
  };
  const pieces = (plan: readonly Placed[]) => plan.flatMap((one) => new Array<number>(one.count).fill(one.grams));

  test.each([
    ["tapered", 0.9],
    ["tapered", 2],
    ["bulk", 1.1],
    ["bulk", 2.4],
    ["even", 0.6],
    ["even", 1.93],
  ] as const)("%s for %d g: no run of six pieces at most does it better (all of them tried)", (style, capacity) => {
    const box = SHOT_SIZES.value.slice(1);
    const plan = pieces(shotPlan(capacity, style, 1, box));
    let best = Infinity;
    for (const run of runs(box)) best = Math.min(best, badness(run, capacity, style));
    expect(badness(plan, capacity, style)).toBeCloseTo(best, 9);
  });

  test("places: tapered and even at equal steps to the lowest, bulk at three quarters with the dropper at the end", () => {
    const [tapered, bulk, even] = (["tapered", "bulk", "even"] as const).map((style) => shotPlan(2, style, 0.8));
    for (const plan of [tapered!, even!]) {
      const n = pieces(plan).length;
      plan.forEach((one, i) => expect(one.below).toBeCloseTo((0.8 * (i + 1)) / n, 9));
    }
    expect(bulk!.map((one) => one.below)).toEqual([...new Array<number>(bulk!.length - 1).fill(0.75 * 0.8), 0.8]);
  });

  test("alike at one place is one entry with its count", () => {
    const box = [{ size: "A", grams: 0.5 }];
    expect(shotPlan(1.5, "bulk", 1, box)).toEqual([
      { size: "A", grams: 0.5, count: 2, below: 0.75 },
      { size: "A", grams: 0.5, count: 1, below: 1 },
    ]);
  });

  test("what six pieces cannot carry sits right under the float: 14 g by six of the heaviest", () => {
    // Six pieces are asked to carry at most 0.6 x 6 x 1.6 = 5.76 g: of the 8.24 g left, six of 1.6 g.
    for (const [setting, below] of [
      [1, 0.1],
      [0.3, 0.06],
    ] as const) {
      const [first] = shotPlan(14, "even", setting);
      expect(first).toMatchObject({ size: "SSG", count: 6 });
      expect(first!.below).toBeCloseTo(below, 9);
    }
    expect(shotPlan(5.76, "even", 1)[0]!.below).toBeGreaterThan(0.1);
  });

  test("an order of the box does not matter; nothing to carry is nothing; too little for the smallest is nothing", () => {
    const turned = [...SHOT_SIZES.value].reverse();
    expect(shotPlan(3, "tapered", 1, turned)).toEqual(shotPlan(3, "tapered", 1));
    expect([shotPlan(0, "bulk", 1), shotPlan(-1, "bulk", 1), shotPlan(0.009, "bulk", 1)]).toEqual([[], [], []]);
    // The smallest may overfill by a hair.
    expect(shotMass(shotPlan(0.011, "bulk", 1))).toBe(0.04);
  });
});

describe("the float", () => {
  const water: Water = { depth: 1.5, meanSpeed: 0.5, bedRoughness: 0.1 };
  const tackle = FLOAT_TACKLE.value;

  test("a bait of 0.25 g at 1300 kg/m3 takes 0.067 g of tin from the float; one that floats gives 0.032 g back", () => {
    // 0.25 (1 - 999.7/1300) / (1 - 999.7/7290).
    expect(carriedBy(tackle)).toBeCloseTo((0.25 * 0.231) / 0.86287, 5);
    expect(carriedBy({ ...tackle, bait: { ...tackle.bait, density: 900 } })).toBeCloseTo(
      (-0.25 * (999.7 / 900 - 1)) / 0.86287,
      4,
    );
  });

  test("the float for a bait: the usual 2 g, or the next half gram over a gram and a half of shot", () => {
    expect(floatFor(tackle)).toBe(2);
    const jig: FloatTackle = { ...tackle, bait: { grams: 1.77, diameter: 0.01, density: 9000 } };
    // Carries 1.77 (1 - 999.7/9000) / 0.86287 = 1.823 g: 3.323 g, so 3.5.
    expect(floatFor(jig)).toBe(3.5);
  });

  test("bulk over 0.6 m/s, even under 0.15, tapered between", () => {
    expect([0.61, 0.6, 0.15, 0.149].map((meanSpeed) => shottingFor({ ...water, meanSpeed }))).toEqual([
      "bulk",
      "tapered",
      "tapered",
      "even",
    ]);
  });

  test.each([
    ["depth", 0.1, 30],
    ["meanSpeed", 0, 5],
    ["bedRoughness", 0, 3],
  ] as const)("%s is taken from %d to %d and no farther", (name, low, high) => {
    const code = (value: number) =>
      codeOf(() => setFloat({ ...water, [name]: value }, tackle, { shotHeight: 0.01, holdBack: 0 }));
    expect([low, high].map(code)).toEqual(["none", "none"]);
    expect([low - 1e-4 - 1e-3 * low, high * 1.001, NaN, Infinity].map(code)).toEqual(new Array(4).fill("bad-water"));
  });

  test("a float of which the bait takes nine tenths is too small", () => {
    const own = carriedBy(tackle);
    expect(codeOf(() => setFloat(water, { ...tackle, capacity: own / 0.91 }))).toBe("float-too-small");
    expect(codeOf(() => setFloat(water, { ...tackle, capacity: own / 0.89 }))).toBe("none");
  });

  test("shot wanted within 5 cm of the surface is too shallow", () => {
    const code = (shotHeight: number) => codeOf(() => setFloat(water, tackle, { shotHeight }));
    expect([code(1.45), code(1.44)]).toEqual(["too-shallow", "none"]);
  });

  /** The pull of the line on a float at a speed, with weights put together here. */
  const lineAt = (rig: ReturnType<typeof fishFloat>, own: FloatTackle, place: Water, floatSpeed: number) => {
    const length = rig.setting + own.leader;
    const ks = Math.min(place.bedRoughness, place.depth / 2);
    const tin = (grams: number) => (6 * grams) / (1000 * Math.PI * 7290);
    return hang({
      speed: (z) => (surfaceSpeed(place.meanSpeed, place.depth, ks) > 0 ? logLaw(place, ks, z) : 0),
      floatSpeed,
      depth: place.depth,
      length,
      lineDiameter: own.lineDiameter,
      weights: [
        {
          fromEnd: 0,
          weight: (own.bait.grams / 1000) * 9.81 * (1 - 999.7 / own.bait.density),
          diameter: own.bait.diameter,
        },
        ...rig.shot.flatMap((one) =>
          new Array(one.count).fill({
            fromEnd: length - one.below,
            weight: (one.grams / 1000) * 9.81 * (1 - 999.7 / 7290),
            diameter: Math.cbrt(tin(one.grams)),
          }),
        ),
      ] as HangInput["weights"],
    });
  };
  /** Log law over roughness z0 = ks/30 about its depth mean (Keulegan 1938). */
  const logLaw = ({ meanSpeed, depth }: Water, ks: number, z: number) => {
    const z0 = ks / 30;
    if (z <= z0) return 0;
    return (meanSpeed * Math.log(z / z0)) / (Math.log(depth / z0) - 1 + z0 / depth);
  };

  test("a free float runs where the water's push on its body is the line's pull", () => {
    const rig = fishFloat(water, tackle, 0.9, "tapered");
    expect(rig.floatSpeed).toBeLessThan(rig.surfaceSpeed);
    const line = lineAt(rig, tackle, water, rig.floatSpeed);
    // An egg of 1.4 times what it carries, Cd 0.5.
    const d = Math.cbrt((6 * 0.0028) / (Math.PI * 999.7));
    const over = rig.surfaceSpeed - rig.floatSpeed;
    const push = 0.5 * 999.7 * 0.5 * ((Math.PI * d * d) / 4) * over * over;
    expect(push / -line.pullAlong).toBeCloseTo(1, 1);
    expect(rig.baitHeight).toBeCloseTo(line.endHeight, 3);
    expect(rig.lift).toBeCloseTo(line.endHeight - (1.5 - 0.9 - 0.4), 3);
    const leaderPoint = line.shape.reduce((best, one) => (Math.abs(one.s - 0.4) < Math.abs(best.s - 0.4) ? one : best));
    expect(rig.shotHeight).toBeCloseTo(leaderPoint.z, 3);
    expect(rig).toMatchObject({ setting: 0.9, holdBack: 0, shotting: "tapered", touches: false });
    expect(rig.shot.at(-1)!.below).toBeCloseTo(0.9, 9);
  });

  test("held back it runs at that share of the surface; a hold below nothing is none; no current, no speed", () => {
    const held = fishFloat(water, tackle, 0.9, "tapered", 0.3);
    expect(held.floatSpeed).toBeCloseTo(0.7 * held.surfaceSpeed, 9);
    expect(held.holdBack).toBe(0.3);
    const free = fishFloat(water, tackle, 0.9, "tapered");
    expect(fishFloat(water, tackle, 0.9, "tapered", -0.2)).toEqual(free);
    // A hold that is less than what the line does of itself is not felt.
    expect(fishFloat(water, tackle, 0.9, "tapered", 0.005).floatSpeed).toBeCloseTo(free.floatSpeed, 9);
    expect(fishFloat({ ...water, meanSpeed: 0 }, tackle, 0.9, "tapered", 0.3).floatSpeed).toBe(0);
  });

  test("on the bed it touches, and no bait is deeper than that", () => {
    const long = fishFloat({ ...water, meanSpeed: 0.05 }, tackle, 1.3, "even");
    expect(long).toMatchObject({ touches: true, baitHeight: 0 });
    expect(long.lift).toBeLessThan(0.02);
    expect(fishFloat({ ...water, meanSpeed: 0 }, tackle, 1.08, "even")).toMatchObject({ touches: false });
    expect(fishFloat({ ...water, meanSpeed: 0 }, tackle, 1.095, "even")).toMatchObject({ touches: true });
  });

  test("roughness is taken to half the depth at most", () => {
    const shallow = { depth: 0.4, meanSpeed: 0.5, bedRoughness: 0.2 };
    expect(fishFloat({ ...shallow, bedRoughness: 1 }, tackle, 0.2, "tapered")).toEqual(
      fishFloat(shallow, tackle, 0.2, "tapered"),
    );
  });

  test("a setting puts the lowest shot where it is wanted, unless the bait would be within 4 cm of the bed", () => {
    for (const shotHeight of [0.2, 0.5]) {
      const rig = setFloat(water, tackle, { shotHeight });
      const bait = rig.shape[0]!.z;
      expect(Math.abs(Math.min(rig.shotHeight - shotHeight, bait - 0.04))).toBeLessThan(0.01);
    }
    // Slack water: a leader of 0.4 m hangs straight, so that the bait's 4 cm decides for a shot wanted at 0.15 m.
    const still = setFloat({ ...water, meanSpeed: 0 }, tackle);
    expect(still.setting).toBeCloseTo(1.5 - 0.4 - 0.04, 2);
    const high = setFloat({ ...water, meanSpeed: 0 }, tackle, { shotHeight: 0.6 });
    expect(high.setting).toBeCloseTo(0.9, 1);
  });

  test("a hold that is asked for is taken, to 60 %", () => {
    const of = (holdBack: number) => setFloat(water, tackle, { holdBack }).holdBack;
    expect([of(-1), of(0), of(0.25), of(0.9)]).toEqual([0, 0, 0.25, 0.6]);
  });

  test.each([
    [1.5, 0.9, 2],
    [3, 1.8, 1],
    [4, 1.3, 1],
    [4, 1.8, 2],
    [4, 1.8, 1],
  ])(
    "the least hold that keeps the bait within 12 cm, in steps of 5 %%: %d m deep at %d m/s, %d g",
    (depth, meanSpeed, capacity) => {
      const [place, own] = [
        { ...water, depth, meanSpeed },
        { ...tackle, capacity },
      ];
      const rig = setFloat(place, own);
      const at = (hold: number) => setFloat(place, own, { holdBack: hold / 100 });
      const free = at(0);
      const held = Math.round(rig.holdBack * 100);
      expect(held % 5).toBe(0);
      expect(held).toBeLessThanOrEqual(40);
      // The first hold that is felt: the line of a free float holds it back already.
      const first = 5 * (Math.floor((100 * (1 - free.floatSpeed / free.surfaceSpeed)) / 5) + 1);
      expect(at(first).floatSpeed).toBeLessThan(free.floatSpeed);
      const before = (hold: number) => (hold === first ? free : at(hold - 5)).baitHeight;
      if (free.baitHeight <= 0.12) {
        expect(held).toBe(0);
        return;
      }
      // Each step up to it was needed and worth it; the next is neither, or is farther than a float is held.
      if (held > 0) {
        expect(held).toBeGreaterThanOrEqual(first);
        for (let hold = first; hold <= held; hold += 5) {
          expect(before(hold)).toBeGreaterThan(0.12);
          expect(before(hold) - at(hold).baitHeight).toBeGreaterThanOrEqual(0.008);
        }
      }
      const next = held === 0 ? first : held + 5;
      const now = held === 0 ? free.baitHeight : rig.baitHeight;
      expect(now <= 0.12 || held === 40 || now - at(next).baitHeight < 0.008).toBe(true);
    },
  );

  test("strong deep water that lifts a free float's bait is fished held back, and the bait comes down", () => {
    const place = { ...water, depth: 4, meanSpeed: 1.8 };
    const rig = setFloat(place, tackle);
    expect(rig.holdBack).toBeGreaterThan(0.1);
    expect(rig.baitHeight).toBeLessThan(0.75 * setFloat(place, tackle, { holdBack: 0 }).baitHeight);
  });
});

describe("the advice", () => {
  const request = (
    change: Partial<RigRequest> = {},
    water: Partial<RigRequest["water"]> = {},
  ): RigRequest & { method: "float" } => ({
    species: "brown-trout",
    water: { depth: 1.2, meanSpeed: 0.4, bedRoughness: 0.15, visibleDepth: 1.5, temperature: 10, ...water },
    ...change,
    method: "float",
  });
  const codes = (asked: RigRequest) => adviseRig(asked).reasons.map((one) => one.code);

  test("reasons follow the rig: held or free, its shotting, and lead only where lead is used", () => {
    const slow = codes(request());
    expect(slow.slice(0, 3)).toEqual(["float-set", "float-lift", "run-free"]);
    expect(slow).toEqual(expect.arrayContaining(["bait-trails", "shot-tapered", "jig-counts", "deepen-by-float"]));
    expect(slow).not.toContain("lead-banned");
    const fast = codes(request({ tackle: { metal: "lead" }, style: { holdBack: 0.25 } }, { meanSpeed: 1 }));
    expect(fast.slice(0, 3)).toEqual(["float-set", "float-lift", "hold-back"]);
    expect(fast).toEqual(expect.arrayContaining(["shot-bulk", "lead-banned"]));
    const pace = adviseRig(request({ style: { holdBack: 0.25 } })).reasons[2];
    expect(pace).toEqual({ code: "hold-back", values: { pace: 0.75 } });
  });

  test("a float that is given is used; what is left out is the usual; the bait is the lure's own", () => {
    const given = adviseRig(request({ tackle: { capacity: 4, leader: undefined } }));
    expect(given.capacity).toBe(4);
    const usual = adviseRig(request());
    expect(usual.setting).toBeCloseTo(adviseRig(request({ tackle: { leader: 0.4, metal: "tin" } })).setting, 9);
    expect(adviseRig(request({ tackle: { leader: 0.8 } })).setting).toBeLessThan(usual.setting);
    // The jig takes more than half a gram of its float; without one being given the float leaves 1.5 g of shot.
    expect(shotMass(usual.shot)).toBeGreaterThan(1.4);
  });

  test.each([
    [{ capacity: 0.19 }, { capacity: 60.1 }],
    [{ lineDiameter: 0.00004 }, { lineDiameter: 0.0021 }],
    [{ leader: 0.09 }, { leader: 10.1 }],
  ])("tackle beyond what there is is refused: %j, %j", (low, high) => {
    expect([low, high].map((tackle) => codeOf(() => adviseRig(request({ tackle }))))).toEqual(["bad-rig", "bad-rig"]);
  });

  test("a style beyond its bounds is refused", () => {
    for (const style of [{ holdBack: 0.61 }, { holdBack: -0.1 }, { shotHeight: -0.1 }, { shotHeight: 5.1 }])
      expect(codeOf(() => adviseRig(request({ style })))).toBe("bad-rig");
  });

  test("a request that is no JSON is refused with its file; one that is comes through", () => {
    expect(codeOf(() => readRequest("{", "rig.json"))).toBe("request-not-json");
    expect(readRequest('{"method":"float"}')).toEqual({ method: "float" });
    try {
      readRequest("{", "rig.json");
    } catch (error) {
      expect((error as InputError).fault.file).toBe("rig.json");
    }
  });

  test("visible depth must be more than nothing", () => {
    expect(codeOf(() => adviseRig(request({}, { visibleDepth: 0 })))).toBe("bad-visible-depth");
    expect(codeOf(() => adviseRig(request({}, { visibleDepth: 0.01 })))).toBe("none");
  });
});
