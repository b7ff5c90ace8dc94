import { shearVelocity } from "../flow/profile";
import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import { chooseLure, type LureBody } from "../tactics/lure";
import { bottomDragged, type BottomMethod, type BottomQuestion, setBottom, TAPPING } from "./bottom";
import { contactOf, type Dragged, type Leash, lineDrag, touchShare } from "./contact";
import { DENSITY } from "./drag";
import { BAIT_HEADS, DROP_SHOTS, SINKERS } from "./ladders";
import { SHOT_SIZES } from "./shot";

/** Rigs along the bed, each figure by its own formula. */

const leash: Leash = { lineDiameter: 0.0003, distance: 12, tipHeight: 2 };

describe("a weight on its line", () => {
  // The same speed at every height.
  const even = (depth: number, meanSpeed: number) => ({ depth, meanSpeed, bedRoughness: 0 });
  const dragged: Dragged = { weight: 0.02, fall: 0.4, area: 1e-4 };

  test("the line's drag: of the part under water of the straight way to the tip, by the square of what passes", () => {
    const length = Math.hypot(12, 1.5 + 2) * (1.5 / 3.5);
    const drag = (passing: number) => 0.5 * WATER_DENSITY * 1.2 * 0.0003 * length * passing * Math.abs(passing);
    expect(lineDrag(even(1.5, 0.8), leash, 0)).toBeCloseTo(drag(0.8), 9);
    expect(lineDrag(even(1.5, 0.8), leash, 0.5)).toBeCloseTo(drag(0.3), 9);
    expect(lineDrag(even(1.5, 0.8), leash, 1)).toBeCloseTo(drag(-0.2), 9);
    // Down a log profile it is the mean over the depth of the square, over the square of the mean.
    const rough = { depth: 1.5, meanSpeed: 0.8, bedRoughness: 0.15 };
    const share = lineDrag(rough, leash, 0) / drag(0.8);
    expect(share).toBeGreaterThan(1.02);
    expect(share).toBeLessThan(1.15);
  });

  test.each([
    [0.9, 1, dragged],
    [1.4, 2, dragged],
    [0.7, 0.8, { weight: 0.006, fall: 0.3, area: 8e-5 }],
    [2, 1.2, { weight: 0.05, fall: 0.6, area: 3e-4 }],
  ])("goes at the speed where what drives it is what the stones hold: %f m/s over %f m", (meanSpeed, depth, what) => {
    const water = even(depth, meanSpeed);
    const found = contactOf(water, what, leash);
    expect(found.holds).toBe(false);
    const length = Math.hypot(12, depth + 2) * (depth / (depth + 2));
    const line = (v: number) => 0.5 * WATER_DENSITY * 1.2 * 0.0003 * length * (meanSpeed - v) * Math.abs(meanSpeed - v);
    const parts = (v: number) => {
      // Half of the line's drag comes on the weight, and pulls it up by the slant to the tip.
      const pull = 0.5 * line(v);
      const lifted = Math.min(1, (Math.abs(pull) * (depth + 2)) / Math.hypot(12, depth + 2) / what.weight);
      const touch = touchShare(what.fall * Math.sqrt(1 - lifted), v, shearVelocity(meanSpeed, depth, 1e-4));
      const push = 0.5 * WATER_DENSITY * what.area * (meanSpeed - v) * Math.abs(meanSpeed - v);
      return { lifted, touch, left: pull + push - 0.6 * touch * what.weight * (1 - lifted) };
    };
    const at = parts(found.speed);
    expect(found.speed).toBeGreaterThan(0.05 * meanSpeed);
    expect(found.speed).toBeLessThan(meanSpeed);
    expect(Math.abs(at.left)).toBeLessThan(0.02 * what.weight);
    expect(parts(found.speed - 0.01).left).toBeGreaterThan(0);
    expect(parts(found.speed + 0.01).left).toBeLessThan(0);
    expect(found.touch).toBeCloseTo(at.touch, 6);
    expect(found.lifted).toBeCloseTo(at.lifted, 6);
  });

  test("holds where the stones hold more than drives it, on them all the time; in still water nothing drives it", () => {
    const heavy: Dragged = { weight: 0.5, fall: 1.2, area: 2e-4 };
    expect(contactOf(even(1, 0.4), heavy, leash)).toMatchObject({ speed: 0, touch: 1, holds: true });
    expect(contactOf(even(1, 0), dragged, leash)).toEqual({ speed: 0, touch: 1, lifted: 0, holds: true });
    // The last speed at which it holds: what drives it, without the line, is six tenths of its weight.
    const thin = { lineDiameter: 1e-9, distance: 12, tipHeight: 2 };
    const limit = Math.sqrt((0.6 * heavy.weight) / (0.5 * WATER_DENSITY * heavy.area));
    expect(contactOf(even(1, 0.999 * limit), heavy, thin).holds).toBe(true);
    expect(contactOf(even(1, 1.001 * limit), heavy, thin).holds).toBe(false);
  });

  test("it runs in the water a quarter of the roughness up, two centimetres at the least", () => {
    const thin = { lineDiameter: 1e-9, distance: 12, tipHeight: 2 };
    // Of a log profile: the speed at height z is that of the mean times its own shape (tested in flow/profile).
    const limitAt = (bedRoughness: number) => {
      let [low, high] = [0, 5];
      for (let n = 0; n < 40; n++) {
        const middle = (low + high) / 2;
        if (contactOf({ depth: 1, meanSpeed: middle, bedRoughness }, dragged, thin).holds) low = middle;
        else high = middle;
      }
      return low;
    };
    const needed = Math.sqrt((0.6 * dragged.weight) / (0.5 * WATER_DENSITY * dragged.area));
    const shape = (bedRoughness: number, z: number) => {
      // ln(30 z / ks) over ln(11 h / ks), Keulegan 1938.
      const zero = bedRoughness / 30;
      return Math.log(z / zero) / (Math.log(1 / zero) - 1 + zero);
    };
    expect(limitAt(0.2) / (needed / shape(0.2, 0.05))).toBeCloseTo(1, 1);
    expect(limitAt(0.04) / (needed / shape(0.04, 0.02))).toBeCloseTo(1, 1);
  });
});

test("what goes along the bed: pieces of their metal and a bait that sinks, dragged as balls, falling where drag is weight", () => {
  const body = (grams: number, density: number): LureBody => ({ grams, density, diameter: 0.01 });
  const weightOf = (grams: number, density: number) => (grams / 1000) * GRAVITY * (1 - WATER_DENSITY / density);
  for (const [pieces, piece, metal, bait] of [
    [1, 3, "lead", body(2, 1200)],
    [3, 0.8, "tin", body(1, 1050)],
    [2, 1.6, "tungsten", body(4, 700)],
  ] as const) {
    const { weight, area, fall } = bottomDragged({ pieces, piece, metal }, bait);
    const own = bait.density > WATER_DENSITY ? weightOf(bait.grams, bait.density) : 0;
    expect(weight).toBeCloseTo(weightOf(pieces * piece, DENSITY[metal]) + own, 12);
    // Each piece a ball of its mass: (6 m / pi rho)^(1/3).
    const ball = ((6 * piece) / 1000 / Math.PI / DENSITY[metal]) ** (1 / 3);
    expect(area).toBeCloseTo((0.45 * Math.PI * (pieces * ball ** 2 + 1e-4)) / 4, 12);
    expect(0.5 * WATER_DENSITY * area * fall ** 2).toBeCloseTo(weight, 12);
  }
});

describe("the weight that is chosen", () => {
  const chosen = (method: BottomMethod) =>
    chooseLure({ species: "walleye", method, visibleDepth: 1, temperature: 14, light: "day" });
  const question = (method: BottomMethod, meanSpeed: number, change: Partial<BottomQuestion> = {}): BottomQuestion => ({
    method,
    species: "walleye",
    water: { depth: 1.4, meanSpeed, bedRoughness: 0.15 },
    lure: { ...chosen(method), body: { grams: 1.2, density: 1100, diameter: 0.012 } },
    leash,
    fishHeight: 0.1,
    tackle: {},
    style: {},
    ...change,
  });
  const contact = ({ water, lure, leash: on, tackle }: BottomQuestion, pieces: number, piece: number) =>
    contactOf(water, bottomDragged({ pieces, piece, metal: tackle.metal ?? "tin" }, lure.body), on);

  /** Every choice of shot tried, the fewest pieces of the lightest that taps; in strong water two before one. */
  function driftPlainly(asked: BottomQuestion, shot: readonly { size: string; grams: number; count?: number }[]) {
    const all = shot
      .flatMap(({ size, grams, count = 9 }) =>
        [1, 2, 3].flatMap((pieces) => (pieces <= count ? { size, piece: grams, pieces, grams: pieces * grams } : [])),
      )
      .sort((a, b) => a.grams - b.grams || a.pieces - b.pieces);
    const first = all.find(({ pieces, piece }) => contact(asked, pieces, piece).touch >= TAPPING.least);
    if (!first) return { ...all.at(-1)!, none: true };
    const near = all.slice(all.indexOf(first)).filter(({ grams }) => grams <= 1.25 * first.grams);
    const wanted = asked.water.meanSpeed > 0.6 ? 2 : 1;
    return { ...(near.find(({ pieces }) => pieces === wanted) ?? near[0]!), none: false };
  }

  test.each([0.2, 0.35, 0.5, 0.6, 0.61, 0.8, 1, 1.4, 2, 4])(
    "drift, at %f m/s: of all shot of the trade",
    (meanSpeed) => {
      const asked = question("drift", meanSpeed);
      const { none, ...expected } = driftPlainly(asked, SHOT_SIZES.value);
      const { rig, reasons } = setBottom(asked);
      expect(rig).toMatchObject(expected);
      const found = contact(asked, rig.pieces, rig.piece);
      expect(rig).toMatchObject({ touchFraction: found.touch, speed: found.speed });
      expect(rig.holds).toBe(found.holds || found.speed < 0.02);
      const codes = reasons.map(({ code }) => code);
      expect(codes[0]).toBe(none ? "drift-none-taps" : "drift-taps");
      expect(codes.includes("drift-second-shot")).toBe(rig.pieces > 1 && meanSpeed > 0.6);
    },
  );

  test("drift, with the box that is carried: no more pieces than there are, none of what is used up", () => {
    for (const meanSpeed of [0.3, 0.6, 0.9, 1.3, 3]) {
      const shot = [
        { size: "small", grams: 0.3, count: 2 },
        { size: "gone", grams: 0.5, count: 0 },
        { size: "middle", grams: 0.8, count: 1 },
        { size: "large", grams: 2, count: 3 },
      ];
      const asked = question("drift", meanSpeed, { tackle: { shot } });
      const { none, ...expected } = driftPlainly(
        asked,
        shot.filter(({ count }) => count > 0),
      );
      expect(setBottom(asked).rig).toMatchObject(expected);
      if (none) expect(setBottom(asked).rig).toMatchObject({ grams: 6, pieces: 3, size: "large" });
    }
  });

  test("what lies still: the lightest that holds, or creeps under two centimetres a second; the heaviest where none does", () => {
    const ladders = { sinker: SINKERS, "drop-shot": DROP_SHOTS, "dead-bait": BAIT_HEADS } as const;
    for (const method of ["sinker", "drop-shot", "dead-bait"] as const)
      for (const meanSpeed of [0.1, 0.4, 0.6, 0.8, 1, 1.4, 3]) {
        const asked = question(method, meanSpeed);
        const ladder = ladders[method];
        const holds = ladder.map((grams) => contact(asked, 1, grams)).map((one) => one.holds || one.speed < 0.02);
        const at = holds.includes(true) ? holds.indexOf(true) : ladder.length - 1;
        const { rig, reasons } = setBottom(asked);
        expect(rig).toMatchObject({ grams: ladder[at], piece: ladder[at], pieces: 1, size: null, holds: holds[at] });
        expect(reasons[0]!.code).toBe(holds.includes(true) ? "weight-holds" : "weight-rolls");
        // Two lighter and two heavier are told beside it, as far as there are.
        expect(rig.ladder.map(({ grams }) => grams)).toEqual(ladder.slice(Math.max(0, at - 2), at + 3));
        for (const one of rig.ladder) {
          const { touch, holds: lies } = contact(asked, 1, one.grams);
          expect(one).toEqual({ grams: one.grams, touchFraction: touch, holds: lies });
        }
      }
  });

  test("trout take lighter drop shots; weights that are carried are tried each once, from the lightest", () => {
    const slow = (species: string, tackle = {}) => setBottom(question("drop-shot", 0, { species, tackle })).rig;
    expect(slow("brown-trout").grams).toBe(3.5);
    expect(slow("walleye").grams).toBe(20);
    expect(slow("brown-trout", { heads: [12, 6, 9, 6] }).ladder.map(({ grams }) => grams)).toEqual([6, 9, 12]);
    expect(setBottom(question("sinker", 0, { species: "brown-trout" })).rig.grams).toBeCloseTo(7.087, 2);
    expect(setBottom(question("dead-bait", 0, { species: "brown-trout" })).rig.grams).toBe(30);
  });

  const codes = (asked: BottomQuestion) => setBottom(asked).reasons.map(({ code }) => code);

  test("hooks: a foot over small shot and sixteen inches over a live bait; a drop shot's 15 cm up, 20 for fish over 25", () => {
    expect(setBottom(question("drift", 0.4)).rig).toMatchObject({ hookDistance: 0.305, leader: 0.305 });
    const live = question("drift", 0.4, { style: { liveBait: true }, tackle: { leader: 0.5 } });
    expect(setBottom(live).rig).toMatchObject({ hookDistance: 0.406, leader: 0.5 });
    expect(codes(live)).toContain("live-bait-longer");
    expect(codes(question("drift", 0.4))).not.toContain("live-bait-longer");
    expect(codes(question("sinker", 0.4, { style: { liveBait: true } }))).not.toContain("live-bait-longer");
    const drop = (fishHeight: number, tackle = {}) => setBottom(question("drop-shot", 0.3, { fishHeight, tackle })).rig;
    expect(drop(0.25)).toMatchObject({ hookDistance: 0.15, leader: 0.6, baitHeight: 0.15 });
    expect(drop(0.26, { leader: 0.9 })).toMatchObject({ hookDistance: 0.2, leader: 0.9, baitHeight: 0.2 });
    expect(setBottom(question("dead-bait", 0.3)).rig).toMatchObject({ hookDistance: 0, leader: 0.5, baitHeight: 0.02 });
    expect(setBottom(question("dead-bait", 0.3, { tackle: { leader: 0.7 } })).rig.leader).toBe(0.7);
  });

  test("a sliding sinker's leader: a foot and a half, a foot over 0.6 m/s; with a bait that floats as high as the fish", () => {
    const lies = (meanSpeed: number, change: Partial<BottomQuestion> = {}) =>
      setBottom(question("sinker", meanSpeed, change)).rig;
    expect(lies(0.6)).toMatchObject({ leader: 0.457, hookDistance: 0.457, baitHeight: 0.02 });
    expect(lies(0.61).leader).toBe(0.305);
    expect(lies(0.61, { tackle: { leader: 0.8 } })).toMatchObject({ leader: 0.8, hookDistance: 0.8 });
    const { lure } = question("sinker", 0.4);
    const floating = { ...lure, body: { ...lure.body, density: 999 } };
    for (const [fishHeight, leader] of [
      [0.1, 0.305],
      [0.4, 0.4],
      [2, 0.457],
    ] as const) {
      const rig = lies(0.4, { lure: floating, fishHeight });
      expect(rig.leader).toBe(leader);
      expect(rig.baitHeight).toBeCloseTo(0.9 * leader, 12);
    }
    expect(lies(0.4, { lure: { ...lure, body: { ...lure.body, density: 1000 } }, fishHeight: 0.4 }).leader).toBe(0.457);
    expect(codes(question("sinker", 0.4, { lure: floating }))).toContain("bait-floats");
    expect(codes(question("sinker", 0.4))).not.toContain("bait-floats");
    // A drifted bait rides under a tenth of a metre; a drop shot's stays where its hook is.
    expect(setBottom(question("drift", 0.4)).rig.baitHeight).toBeCloseTo(0.3 * 0.305, 12);
    const live = question("drift", 0.4, { style: { liveBait: true } });
    expect(setBottom(live).rig.baitHeight).toBe(0.1);
    expect(setBottom(question("drop-shot", 0.3, { lure: floating })).rig.baitHeight).toBe(0.15);
  });

  test("lead is told of where it is used, and tin is used where nothing is said; each rig has its own word", () => {
    expect(setBottom(question("sinker", 0.4)).rig.metal).toBe("tin");
    expect(codes(question("sinker", 0.4))).toEqual(["weight-holds", "sinker-leader"]);
    expect(codes(question("sinker", 0.4, { tackle: { metal: "lead" } }))).toContain("lead-banned");
    expect(setBottom(question("sinker", 0.4, { tackle: { metal: "lead" } })).rig.metal).toBe("lead");
    expect(codes(question("drop-shot", 0.2))[1]).toBe("drop-shot-hook");
    expect(codes(question("dead-bait", 0.2))[1]).toBe("dead-bait-head");
    expect(codes(question("drift", 0.4)).slice(-2)).toEqual(["drift-hook", "drift-one-at-a-time"]);
  });
});
