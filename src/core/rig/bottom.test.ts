import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import type { LureBody } from "../tactics/lure";
import { adviseRig } from "./advise";
import { bottomDragged, type BottomMethod } from "./bottom";
import { DENSITY } from "./drag";
import type { RigRequest } from "./request";

/** Rigs along the bed: what is set for which fish, bait and purpose. Common practice, no source, unless said. */

test("what goes along the bed: pieces of their metal and their bait, dragged as balls, falling where drag is weight", () => {
  const body = (grams: number, density: number): LureBody => ({ grams, density, diameter: 0.01 });
  const weightOf = (grams: number, density: number) => (grams / 1000) * GRAVITY * (1 - WATER_DENSITY / density);
  for (const [pieces, piece, metal, bait] of [
    [1, 3, "lead", body(2, 1200)],
    [3, 0.8, "tin", body(1, 1050)],
    [2, 1.6, "tungsten", body(1, 700)],
  ] as const) {
    const { weight, area, fall } = bottomDragged({ pieces, piece, metal }, bait);
    // A bait that floats takes its lift off the weight.
    expect(weight).toBeCloseTo(weightOf(pieces * piece, DENSITY[metal]) + weightOf(bait.grams, bait.density), 12);
    // Each piece a ball of its mass: (6 m / pi rho)^(1/3).
    const ball = ((6 * piece) / 1000 / Math.PI / DENSITY[metal]) ** (1 / 3);
    expect(area).toBeCloseTo((0.45 * Math.PI * (pieces * ball ** 2 + 1e-4)) / 4, 12);
    expect(0.5 * WATER_DENSITY * area * fall ** 2).toBeCloseTo(weight, 12);
  }
  const swims = bottomDragged({ pieces: 1, piece: 3, metal: "tin" }, { ...body(10, 1030), lift: 0.005 });
  const still = bottomDragged({ pieces: 1, piece: 3, metal: "tin" }, body(10, 1030));
  expect(still.weight - swims.weight).toBeCloseTo(0.005, 12);
});

const ask = (method: BottomMethod, change: Partial<RigRequest> = {}, at: Partial<RigRequest["water"]> = {}) =>
  adviseRig({
    species: "walleye",
    ...change,
    method,
    water: { depth: 1.4, meanSpeed: 0.4, bedRoughness: 0.15, visibleDepth: 1, temperature: 14, ...at },
  });
const codes = (advice: { reasons: readonly { code: string }[] }) => advice.reasons.map(({ code }) => code);

describe("the weight that is chosen", () => {
  test("laid baits are held, drifted ones just touch; one press asks for another purpose, with its reason", () => {
    expect(ask("sinker")).toMatchObject({ purpose: "hold", holds: true, presentation: "across", angle: null });
    expect(ask("dead-bait").purpose).toBe("hold");
    expect(ask("drift").purpose).toBe("touch");
    const held = ask("drift", { style: { purpose: "hold" } }, { meanSpeed: 0.2 });
    expect(held).toMatchObject({ purpose: "hold", holds: true });
    expect(held.grams).toBeGreaterThan(ask("drift", {}, { meanSpeed: 0.2 }).grams);
    expect(codes(held)).toContain("purpose-asked-hold");
    expect(codes(ask("drift"))).toContain("purpose-drifted");
  });

  test("more current wants no less weight for any purpose that is served", () => {
    for (const method of ["drift", "sinker", "dead-bait"] as const) {
      let least = 0;
      for (const meanSpeed of [0.2, 0.4, 0.6, 0.8, 1]) {
        const { grams } = ask(method, {}, { meanSpeed });
        expect(grams).toBeGreaterThanOrEqual(0.85 * least);
        least = grams;
      }
    }
  });

  test("the sizes on either side are told, and what is carried is all there is: none used up, no more pieces than there are", () => {
    const told = ask("sinker", {}, { meanSpeed: 0.6, depth: 3 });
    expect(codes(told).filter((code) => code === "weight-beside").length).toBeGreaterThan(0);
    const shot = [
      { size: "small", grams: 0.3, count: 2 },
      { size: "gone", grams: 0.5, count: 0 },
      { size: "large", grams: 2, count: 3 },
    ];
    const { ladder } = ask("drift", { tackle: { shot } });
    expect(ladder.map(({ size, pieces }) => `${pieces} ${size}`)).toEqual([
      "1 small",
      "2 small",
      "1 large",
      "2 large",
      "3 large",
    ]);
    expect(ask("sinker", { tackle: { heads: [12, 6, 9, 6] } }).ladder.map(({ grams }) => grams)).toEqual([6, 9, 12]);
  });

  test("in strong water two shot before one of their weight, which would bounce", () => {
    const strong = ask("drift", { species: "brown-trout" }, { depth: 1, meanSpeed: 0.9 });
    expect(strong.pieces).toBe(2);
    expect(codes(strong)).toContain("drift-second-shot");
    expect(ask("drift", { species: "brown-trout" }, { depth: 0.5, meanSpeed: 0.5 }).pieces).toBe(1);
  });

  test("trout take lighter drop shots; dust shot is not drifted along the bed", () => {
    expect(ask("drop-shot", { species: "brown-trout" }).ladder[0]!.grams).toBeLessThan(
      ask("drop-shot").ladder[0]!.grams,
    );
    expect(ask("drift").ladder[0]!.grams).toBeGreaterThanOrEqual(0.1);
  });

  test("without weight there is a bait alone, and no ladder to choose from", () => {
    const free = ask("freeline", { species: "chub", tackle: { bait: { kind: "bread" } } }, { meanSpeed: 0.2 });
    expect(free).toMatchObject({ grams: 0, pieces: 0, leader: 1 });
    expect(free.ladder).toHaveLength(1);
    expect(codes(free)).toContain("freeline-free");
  });
});

describe("hook, leader and bait", () => {
  test("shot a foot over a small bait and sixteen inches over a live one; a drop shot's hook 15 to 20 cm up", () => {
    expect(ask("drift")).toMatchObject({ hookDistance: 0.305, leader: 0.305 });
    const live = ask("drift", { tackle: { bait: { kind: "live-fish", length: 0.15 } } });
    expect(live).toMatchObject({ hookDistance: 0.406, leader: 0.406 });
    // 15 cm of bait: a 1/0, a weight that holds it down, and no lure in its place.
    expect(live.lure.size).toEqual({ hook: 0, bait: "live-bait-fish" });
    expect(live.grams).toBeGreaterThan(ask("drift").grams);
    expect(codes(live)).toContain("live-bait-longer");
    expect(codes(ask("drift", { style: { liveBait: true } }))).toContain("live-bait-longer");
    for (const [fishHeight, up] of [
      [0.2, 0.15],
      [0.3, 0.2],
    ] as const)
      expect(ask("drop-shot", {}, { fishHeight })).toMatchObject({ hookDistance: up, baitHeight: up });
  });

  test("a sliding sinker's leader: a foot and a half, a foot in strong water; a buoyant bait rides at its length", () => {
    const worm = { bait: { kind: "worm" as const } };
    expect(ask("sinker", { tackle: worm }, { meanSpeed: 0.5 }).leader).toBe(0.457);
    expect(ask("sinker", { tackle: worm }, { meanSpeed: 0.7 }).leader).toBe(0.305);
    expect(ask("sinker", { tackle: { ...worm, leader: 5 } }).leader).toBe(5);
    const buoyant = ask("sinker", { tackle: { bait: { kind: "buoyant" } } }, { fishHeight: 0.4 });
    expect(buoyant.leader).toBe(0.4);
    expect(buoyant.baitHeight).toBeCloseTo(0.36, 9);
    expect(codes(buoyant)).toContain("bait-floats");
    expect(codes(ask("sinker", { tackle: worm }))).not.toContain("bait-floats");
  });

  test("lead is told of where it is used, and tin is used where nothing is said", () => {
    expect(ask("sinker").metal).toBe("tin");
    expect(codes(ask("sinker", { tackle: { metal: "lead" } }))).toContain("lead-banned");
    expect(codes(ask("sinker"))).not.toContain("lead-banned");
  });
});
