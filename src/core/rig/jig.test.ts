import { chooseLure } from "../tactics/lure";
import { contactOf, type Leash } from "./contact";
import { submergedWeight } from "./drag";
import { dressed } from "./dressing";
import { bodyWeight, dragOf, fallSpeed, weightInWater } from "./fall";
import { headDragged, type JigQuestion, pendulumSeconds, setJig } from "./jig";
import { HEADS, SPOONS } from "./ladders";
import { sinkThrough } from "./sink";

/** Heads and spoons: which one of a ladder, and how it is let down, told anew rung by rung. */

const leash: Leash = { lineDiameter: 0.0002, distance: 9, tipHeight: 2 };
interface Change {
  water?: Partial<JigQuestion["water"]>;
  tackle?: JigQuestion["tackle"];
  style?: JigQuestion["style"];
  fishHeight?: number;
  species?: string;
}
const question = (method: "jig" | "spoon", { water = {}, ...change }: Change = {}): JigQuestion => ({
  method,
  species: "walleye",
  lure: chooseLure({ species: "walleye", method, visibleDepth: 1, temperature: 14, light: "day" }),
  leash,
  fishHeight: 0.1,
  tackle: {},
  style: {},
  water: {
    depth: 2,
    meanSpeed: 0.5,
    bedRoughness: 0.1,
    wind: 0,
    light: "day",
    snags: "none",
    temperature: 14,
    ...water,
  },
  ...change,
});

/** Every rung by itself: down within twelve metres of sweep, and on the bottom for three tenths of the time. */
function plainly(asked: JigQuestion, ladder: readonly number[]) {
  const { water, tackle, style, lure } = asked;
  const rungs = ladder.map((grams) => {
    const head = grams * (style.tandem ? 1.5 : 1);
    const falling = dressed(head, tackle.metal ?? "tungsten", lure.category, lure, tackle.dragArea);
    const fall = fallSpeed(falling);
    const { seconds, swept } = sinkThrough(water, fall);
    const { touch } = contactOf(water, headDragged(falling), leash);
    const touches = swept <= 12 && touch >= (water.light === "day" ? 0.3 : 0.2);
    return { grams, fall, seconds, swept, touch, touches };
  });
  const last = rungs.length - 1;
  const first = rungs.findIndex(({ touches }) => touches);
  const needed = first < 0 ? last : first;
  const felt = rungs.findIndex(({ grams }) => grams >= 0.05 * water.wind ** 2);
  const windy = Math.max(needed, felt < 0 ? last : felt);
  const short = windy > needed && rungs[windy - 1]!.swept <= 12 ? windy - 1 : windy;
  return { rungs, none: first < 0, needed, windy, at: style.short ? short : windy };
}

const codes = (asked: JigQuestion) => setJig(asked).reasons.map(({ code }) => code);

test.each([
  [{ depth: 1, meanSpeed: 0.2 }],
  [{ depth: 2, meanSpeed: 0.5 }],
  [{ depth: 2, meanSpeed: 0.5, light: "night" as const }],
  [{ depth: 3, meanSpeed: 0.8 }],
  [{ depth: 3, meanSpeed: 0.8, light: "twilight" as const }],
  [{ depth: 5, meanSpeed: 1 }],
  [{ depth: 8, meanSpeed: 2.5 }],
  [{ depth: 2, meanSpeed: 0.3, wind: 8 }],
  [{ depth: 2, meanSpeed: 0.3, wind: 11 }],
  [{ depth: 2, meanSpeed: 0.3, wind: 30 }],
  [{ depth: 6, meanSpeed: 1.2, wind: 10 }],
])("the lightest that comes down and keeps touching, and is felt in the wind: %j", (water) => {
  for (const style of [{}, { short: true }, { tandem: true }, { short: true, tandem: true }])
    for (const method of ["jig", "spoon"] as const) {
      const asked = question(method, { water, style });
      const { rungs, none, needed, windy, at } = plainly(asked, method === "jig" ? HEADS.walleye : SPOONS);
      const { rig, reasons } = setJig(asked);
      const chosen = rungs[at]!;
      expect(rig.ladder).toEqual(rungs);
      const { grams, ...figures } = chosen;
      expect(rig).toMatchObject({ ...figures, head: { grams } });
      const found = reasons.map(({ code }) => code);
      const lightest = rungs[at]!.grams <= rungs[needed]!.grams ? "jig-lightest" : "jig-heavier";
      expect(found[0]).toBe(none ? "jig-none-touches" : lightest);
      expect(found.includes("jig-wind")).toBe(windy > needed);
      expect(found.includes("short-lighter")).toBe(style.short === true && at < windy);
      expect(found.includes("short-slower")).toBe(style.short === true && at === windy);
    }
});

describe("one's own heads, and what is told of them", () => {
  test("each once, from the lightest; of tungsten unless the angler says otherwise, a spoon of brass", () => {
    const own = setJig(question("jig", { tackle: { heads: [20, 7, 12, 7] } })).rig;
    expect(own.ladder.map(({ grams }) => grams)).toEqual([7, 12, 20]);
    expect(setJig(question("jig")).rig.head.metal).toBe("tungsten");
    expect(setJig(question("spoon")).rig.head.metal).toBe("brass");
    expect(setJig(question("jig", { tackle: { metal: "lead" } })).rig.head.metal).toBe("lead");
    expect(codes(question("jig", { tackle: { metal: "lead" } }))).toContain("lead-banned");
    expect(codes(question("jig"))).not.toContain("lead-banned");
    expect(setJig(question("jig", { species: "brown-trout" })).rig.ladder).toHaveLength(HEADS.trout.length);
  });

  test("two layers: the next lighter above, half a metre or half of the water apart", () => {
    const tandem = (water = {}) => setJig(question("jig", { water, style: { tandem: true } })).rig;
    const deep = tandem({ depth: 5, meanSpeed: 1.6 });
    const lighter = deep.ladder.filter(({ grams }) => grams < deep.head.grams);
    expect(lighter.length).toBeGreaterThan(0);
    expect(deep.tandem).toEqual({ upper: lighter.at(-1)!.grams, apart: 0.5, layers: [0, 0.5] });
    expect(tandem({ depth: 0.8, meanSpeed: 0.1 }).tandem).toMatchObject({ apart: 0.4, layers: [0, 0.4] });
    // The lightest has none lighter above it.
    const light = tandem({ depth: 0.8, meanSpeed: 0.1 });
    expect(light.tandem!.upper).toBe(light.head.grams);
    expect(setJig(question("jig")).rig.tandem).toBeNull();
    expect(codes(question("jig", { style: { tandem: true } }))).toContain("jig-tandem");
    expect(codes(question("jig"))).not.toContain("jig-tandem");
  });

  test("let down on a slack line, a tight one, or between; counted down to the fish, and no farther than the bed", () => {
    const { rig } = setJig(question("jig"));
    const tight = pendulumSeconds(rig.fall, leash, 2);
    expect(tight).toBeGreaterThan(rig.seconds);
    expect(rig.falls).toEqual({ slack: rig.seconds, tight, "semi-slack": (rig.seconds + tight) / 2 });
    expect(rig.fallOn).toBe("semi-slack");
    expect(setJig(question("jig", { style: { fall: "tight" } })).rig.fallOn).toBe("tight");
    expect(codes(question("jig", { style: { fall: "tight" } }))).toContain("jig-tight");
    // A tight line never takes less than a slack one.
    const near = setJig({ ...question("jig"), leash: { ...leash, distance: 0.5 } }).rig;
    expect(near.falls.tight).toBeGreaterThanOrEqual(near.falls.slack);
    expect(near.falls["semi-slack"]).toBeGreaterThanOrEqual(near.falls.slack);
    const { water } = question("jig");
    for (const [fishHeight, height] of [
      [0.1, 0.1],
      [1.2, 1.2],
      [9, 2],
    ] as const)
      expect(setJig(question("jig", { fishHeight })).rig.countdown).toBeCloseTo(
        sinkThrough(water, rig.fall, height).seconds,
        9,
      );
  });

  test("a spoon's depth, and snags where there are any", () => {
    expect(codes(question("spoon"))).toContain("spoon-deep");
    expect(codes(question("jig"))).not.toContain("spoon-deep");
    expect(codes(question("jig"))).not.toContain("jig-snags");
    expect(codes(question("jig", { water: { snags: "some" } }))).toContain("jig-snags");
  });
});

test("a fall on a tight line: the circle's arc over the speed that its slant leaves, in a thousand steps", () => {
  const plain = (fall: number, distance: number, tip: number, depth: number) => {
    const radius = Math.hypot(distance, tip);
    const [from, to] = [Math.acos(tip / radius), Math.acos(Math.min(1, (tip + depth) / radius))];
    let seconds = 0;
    for (let k = 0; k < 1000; k++) {
      const angle = from + ((to - from) * (k + 0.5)) / 1000;
      seconds += (radius * (from - to)) / 1000 / (fall * Math.sqrt(Math.sin(angle)));
    }
    return seconds;
  };
  for (const [fall, distance, tip, depth] of [
    [0.5, 9, 2, 2],
    [0.8, 12, 2.5, 1],
    [0.3, 6, 1.5, 3],
  ] as const)
    expect(pendulumSeconds(fall, { distance, tipHeight: tip }, depth) / plain(fall, distance, tip, depth)).toBeCloseTo(
      1,
      2,
    );
  // Where the bed is out of reach of the circle it swings in to nearly under the rod.
  expect(pendulumSeconds(0.5, { distance: 2, tipHeight: 2 }, 3)).toBeLessThan(60);
  expect(pendulumSeconds(1, { distance: 2, tipHeight: 2 }, 3) * 2).toBeCloseTo(
    pendulumSeconds(0.5, { distance: 2, tipHeight: 2 }, 3),
    9,
  );
});

describe("what dresses a head", () => {
  const sized = (size: object, body = { grams: 2, density: 1200, diameter: 0.02 }) => ({ size, body }) as never;
  test("soft bodies drag by their length squared and weigh by its cube; a timed drop goes before", () => {
    const weight = (length: number) => bodyWeight(4 * (length / 0.075) ** 3, 1100);
    expect(dressed(3, "lead", "curl-tail", sized({ length: 0.06 }))).toEqual({
      grams: 3,
      metal: "lead",
      dragArea: 0.054 * 0.06 ** 2,
      dressing: weight(0.06),
    });
    expect(dressed(3, "lead", "tube", sized({ body: 0.05, length: 0.09 }))).toMatchObject({
      dragArea: 0.06 * 0.05 ** 2,
      dressing: weight(0.05),
    });
    expect(dressed(3, "lead", "finesse-worm", sized({ hook: 2 })).dragArea).toBeCloseTo(0.03 * 0.04 ** 2, 12);
    expect(dressed(3, "lead", "tube", sized({ body: 0.05 }), 0.0007).dragArea).toBe(0.0007);
  });

  test("a spoon is its own weight and flutters by its mass; a bait is a ball of its own", () => {
    expect(dressed(12, "lead", "spoon", sized({ length: 0.06 }))).toEqual({
      grams: 12,
      metal: "brass",
      dragArea: 0.0044 * 0.012 ** (2 / 3),
    });
    expect(dressed(12, "lead", "spoon", sized({ length: 0.06 }), 0.0001).dragArea).toBe(0.0001);
    expect(dressed(30, "tin", "dead-fish" as never, sized({ length: 0.1 }))).toEqual({
      grams: 30,
      metal: "tin",
      dragArea: 0.45 * ((Math.PI * 0.02 ** 2) / 4),
      dressing: submergedWeight(0.002, 1200),
    });
    expect(dressed(30, "tin", "dead-fish" as never, sized({ length: 0.1 }), 0.0002).dragArea).toBe(0.0002);
  });

  test("along the bed it has its weight and its fall, and the area of its drag at a metre a second", () => {
    const falling = dressed(3, "lead", "curl-tail", sized({ length: 0.06 }));
    expect(headDragged(falling)).toEqual({
      weight: weightInWater(falling),
      fall: fallSpeed(falling),
      area: dragOf(falling, 1) / (0.5 * 999.7),
    });
  });
});
