import { speciesById } from "../fish/species";
import { adviseRig } from "./advise";
import { strengthFor, type StrengthQuestion } from "./strength";

const ask = (id: string, more: Partial<StrengthQuestion> = {}, water: Partial<StrengthQuestion["water"]> = {}) =>
  strengthFor({
    species: speciesById(id),
    base: id,
    method: "jig",
    ...more,
    water: { meanSpeed: 0.4, visibleDepth: 1.5, snags: "none", weed: false, ...water },
  });
const codes = (found: ReturnType<typeof ask>) => found.reasons.map(({ code }) => code);

test("clear-water bites of trout come on a leader of 3 to 4 lb (common practice, no source)", () => {
  const { leader, hook } = ask("brown-trout", { method: "float" });
  expect(leader.test / 0.4536).toBeGreaterThan(2.9);
  expect(leader.test / 0.4536).toBeLessThan(4.1);
  expect(hook).toBe("fine");
});

test("larger fish, wood, current and coloured water ask for stronger line; the drag for a quarter of its test", () => {
  const plain = ask("walleye");
  expect(ask("flathead-catfish").leader.test).toBeGreaterThan(plain.leader.test);
  expect(ask("walleye", {}, { snags: "many" }).leader.test).toBeGreaterThan(plain.leader.test);
  expect(ask("walleye", {}, { meanSpeed: 2 }).pull).toBeGreaterThan(plain.pull);
  expect(ask("walleye", {}, { visibleDepth: 0.2 }).leader.test).toBeGreaterThanOrEqual(plain.leader.test);
  expect(plain.drag / plain.leader.test).toBeCloseTo(0.255, 6);
  expect(ask("walleye", {}, { snags: "many" }).rod).toBeLessThan(plain.rod);
});

test("what is owned is what is told: its material, test and thickness; too weak is said, and the drag goes by the weaker", () => {
  const own = { lineMaterial: "mono", lineTest: 2, lineDiameter: 0.00018, leaderTest: 1.5, rodLength: 2.4 } as const;
  const found = ask("walleye", { own });
  expect(found.main).toEqual({ material: "mono", test: 2, diameter: 0.00018 });
  expect(found.leader.test).toBe(1.5);
  expect(found.rod).toBe(2.4);
  expect(found.drag).toBeCloseTo(0.255 * 1.5, 9);
  expect(codes(found)).toContain("line-weak");
  expect(codes(ask("walleye"))).not.toContain("line-weak");
  expect(codes(ask("walleye", { own: { leaderTest: 20, lineTest: 25 } }))).not.toContain("line-weak");
});

test("a main line of fluorocarbon sinks, and is not said to float or to be nylon", () => {
  const found = codes(ask("brown-trout", { method: "float", own: { lineMaterial: "fluorocarbon" } }));
  expect(found).toContain("line-sinks");
  expect(found).not.toContain("line-floats");
  expect(codes(ask("brown-trout", { own: { lineMaterial: "fluorocarbon" } }))).not.toContain("line-mono");
});

test("the rig is worked out with the line that its card tells of", () => {
  const water = { depth: 1.2, meanSpeed: 0.6, visibleDepth: 1, temperature: 12 };
  const rig = adviseRig({ method: "float", species: "brown-trout", water });
  expect(rig.hung.lineDiameter).toBe(rig.line.main.diameter);
  const thick = adviseRig({ method: "float", species: "brown-trout", water, tackle: { lineDiameter: 0.0004 } });
  expect(thick.line.main.diameter).toBe(0.0004);
  expect(thick.lift).toBeGreaterThan(rig.lift);
});

test("heads are not of lead unless the angler says so", () => {
  const water = { depth: 1.2, meanSpeed: 0.4, visibleDepth: 1, temperature: 12 };
  const jig = (metal?: "lead") => adviseRig({ method: "jig", species: "walleye", water, tackle: { metal } });
  expect(jig().head.metal).toBe("tungsten");
  expect(jig().reasons.map(({ code }) => code)).not.toContain("lead-banned");
  expect(jig("lead").reasons.map(({ code }) => code)).toContain("lead-banned");
});
