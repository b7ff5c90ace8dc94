import { habitsOf } from "../fish/species-habits";
import { SPECIES } from "../fish/species-list";
import { standardWeight } from "../fish/standard-weight";
import { clarityClass } from "../gauge/clarity";
import { isDirty } from "../tactics/colours";
import { SNAGS } from "../tactics/lure-kinds";
import { METHODS } from "../tactics/methods";
import { lineDiameter, TESTS, testFor } from "./lines";
import { strengthFor } from "./strength";

/** Line, leader, drag, hook and rod put together anew from their rules (common practice, no source). */

const ROD = { float: 3.9, drift: 3, freeline: 2.7, sinker: 2.7, "drop-shot": 2.1, "dead-bait": 2.7 } as const;

test("every fish by every way, in open and covered, clear and coloured, slow and fast water", () => {
  for (const species of SPECIES)
    for (const method of METHODS)
      for (const snags of SNAGS)
        for (const [weed, visibleDepth, meanSpeed] of [
          [false, 2, 0.3],
          [true, 0.15, 1.4],
          [true, 2, 0.6],
        ] as const) {
          const found = strengthFor({
            species,
            base: species.id,
            method,
            water: { meanSpeed, visibleDepth, snags, weed },
            school: "strong",
          });
          const fish = (standardWeight(species, species.forkLength * 10) ?? 11 * (species.forkLength / 10) ** 3) / 1000;
          // It pulls half its weight in the open, seven tenths where there are some snags or weed, all of it by many;
          // and the current pulls at its body: 1/2 rho v^2 times 0.015 of its length squared.
          const cover = snags === "none" && weed ? "some" : snags;
          const current = (0.5 * 999.7 * 0.015 * (species.forkLength / 100) ** 2 * meanSpeed ** 2) / 9.81;
          const pull = { none: 0.5, some: 0.7, many: 1 }[cover] * fish + current;
          const dirty = isDirty(clarityClass(visibleDepth));
          // A drag of three tenths of what a knot of 85 % leaves gives that; a third more in coloured water.
          const wanted = testFor(Math.max(1.36, (pull / (0.85 * 0.3)) * (dirty ? 1.3 : 1)));
          const family = habitsOf(species.id).family;
          const braided = method !== "float" && family !== "trout" && family !== "coarse";
          const main = { material: braided ? "braid" : "mono", test: testFor(1.25 * wanted) } as const;
          const leader = { material: !dirty && family !== "catfish" ? "fluorocarbon" : "mono", test: wanted } as const;
          const tight = snags === "many" || weed;
          expect(found.fish).toBeCloseTo(fish, 9);
          expect(found.pull).toBeCloseTo(pull, 4);
          expect(found.main).toEqual({ ...main, diameter: lineDiameter(main.material, main.test) });
          expect(found.leader).toEqual({ ...leader, diameter: lineDiameter(leader.material, leader.test) });
          expect(found.drag).toBeCloseTo(0.255 * Math.min(main.test, leader.test), 9);
          expect(found.hook).toBe(wanted < 3 ? "fine" : "strong");
          expect(found.rod).toBeCloseTo((ROD[method as keyof typeof ROD] ?? 2.1) * (tight ? 0.8 : 1), 9);
          const codes = found.reasons.map(({ code }) => code).filter((code) => !code.startsWith("leader-school-"));
          const line = braided ? "line-braid" : method === "float" ? "line-floats" : "line-mono";
          expect(codes).toEqual([
            "line-pull",
            line,
            `leader-${leader.material}`,
            "drag-set",
            `hook-${found.hook}`,
            ...(tight ? ["rod-short"] : []),
            ...(method === "float" ? ["float-slack-first"] : []),
          ]);
        }
});

test("of one's own: a leader of braid is not told as another; the weaker of the two is weighed; a rod is not shortened", () => {
  const trout = SPECIES.find(({ id }) => id === "brown-trout")!;
  const water = { meanSpeed: 0.4, visibleDepth: 2, snags: "many" as const, weed: false };
  const of = (own: object) => strengthFor({ species: trout, base: "brown-trout", method: "jig", water, own });
  const codes = (own: object) => of(own).reasons.map(({ code }) => code);
  expect(codes({ leaderMaterial: "braid" }).some((code) => /^leader-(mono|fluor)/.test(code))).toBe(false);
  expect(codes({ leaderMaterial: "mono" })).toContain("leader-mono");
  expect(codes({ lineMaterial: "braid" })).toContain("line-braid");
  const wanted = of({}).leader.test;
  expect(codes({ lineTest: wanted - 0.1 })).toContain("line-weak");
  expect(codes({ lineTest: wanted, leaderTest: wanted })).not.toContain("line-weak");
  expect(codes({ leaderTest: wanted - 0.1, lineTest: 50 })).toContain("line-weak");
  expect(of({ rodLength: 3 }).rod).toBe(3);
  expect(codes({ rodLength: 3 })).not.toContain("rod-short");
  expect(of({ leaderTest: 2.9 }).hook).toBe("fine");
  expect(of({ leaderTest: 3 }).hook).toBe("strong");
});

describe("leaders of two schools (common practice, no source)", () => {
  const leader = (id: string, change: object = {}, more: object = {}) => {
    const species = SPECIES.find((one) => one.id === id)!;
    const water = { meanSpeed: 0.6, visibleDepth: 2, snags: "none" as const, weed: false, ...change };
    return strengthFor({ species, base: id, method: "float", water, light: "day", ...more });
  };

  test("clear-water steelhead on 3 to 4 lb where nothing is to be snagged, and the fish can break that: with the drag that saves it", () => {
    for (const visibleDepth of [2, 4]) {
      const found = leader("steelhead", { visibleDepth });
      expect(found.school).toBe("fine");
      expect(found.leader.test / 0.45359237).toBeGreaterThanOrEqual(2.9);
      expect(found.leader.test / 0.45359237).toBeLessThanOrEqual(4.1);
      const [caution] = found.cautions;
      expect(caution!.code).toBe("leader-breaks");
      expect(Number(caution!.values.pull)).toBeGreaterThan(Number(caution!.values.holds));
      expect(caution!.values.drag).toBe(found.drag);
      expect(found.drag).toBeLessThan(found.leader.test);
    }
    expect(leader("steelhead", {}, { school: "strong" }).cautions).toEqual([]);
  });

  test("strong in colour, by snags, and where it is asked for; no finer than by day when it darkens; 12 lb where pike are about", () => {
    const fine = leader("steelhead").leader.test;
    expect(leader("steelhead", { visibleDepth: 0.2 }).school).toBe("strong");
    expect(leader("steelhead", { snags: "many" }).school).toBe("strong");
    expect(leader("steelhead", {}, { school: "strong" }).leader.test).toBeGreaterThan(fine);
    expect(leader("steelhead", { snags: "many" }, { school: "fine" }).leader.test).toBe(fine);
    expect(leader("steelhead", {}, { light: "night" }).leader.test).toBeGreaterThan(fine);
    expect(leader("yellow-perch", { teeth: true }).leader.test / 0.45359237).toBeCloseTo(12, 1);
    expect(leader("yellow-perch").leader.test / 0.45359237).toBeLessThan(5);
  });

  test("a float's main line floats: nylon, or thinner braid where it is asked for", () => {
    const nylon = leader("brown-trout");
    const braid = leader("brown-trout", {}, { floatLine: "braid" });
    expect([nylon.main.material, braid.main.material]).toEqual(["mono", "braid"]);
    expect(braid.main.diameter).toBeLessThan(nylon.main.diameter);
    expect(braid.reasons.map(({ code }) => code)).toContain("line-float-braid");
  });
});

test("lines that are sold: the lightest that holds it, the strongest where none does", () => {
  expect(testFor(0)).toBe(0.91);
  expect(testFor(1.36)).toBe(1.36);
  expect(testFor(1.37)).toBe(1.81);
  expect(testFor(99)).toBe(TESTS.at(-1));
});
