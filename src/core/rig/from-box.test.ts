import { METHODS } from "../tactics/methods";
import { bodyWeight, dragAreaFromDrop } from "./fall";
import { tackleFor } from "./from-box";
import type { TackleDraft, TackleItem } from "./tackle-item";

/** What of a box goes into each way of fishing: all of it, and nothing else. */

let made = 0;
const item = (draft: Partial<TackleDraft> & Pick<TackleDraft, "kind">): TackleItem => ({
  schema: "low-heron/tackle@1",
  updatedAt: "2026-05-01T00:00:00Z",
  id: `t${made++}`,
  name: draft.kind,
  count: null,
  ...draft,
});

const box = [
  item({ kind: "rod", length: 3 }),
  item({ kind: "rod", length: 2.4 }),
  item({ kind: "rod", length: 3.9 }),
  item({ kind: "reel", perTurn: 0.6 }),
  item({ kind: "line", test: 3, diameter: 0.0002 }),
  item({ kind: "line", test: 9 }),
  item({ kind: "leader", test: 2 }),
  item({ kind: "float", capacity: 4, length: 0.2 }),
  item({ kind: "float", capacity: 2 }),
  item({ kind: "shot", name: "a name that is longer than twenty", grams: 0.4, count: 1500 }),
  item({ kind: "shot", name: "small", grams: 0.1, metal: "tungsten" }),
  item({ kind: "weight", grams: 20 }),
  item({ kind: "weight", grams: 10, metal: "lead" }),
  item({ kind: "weight", grams: 5, metal: "tin" }),
  item({ kind: "head", grams: 3, metal: "brass" }),
  item({ kind: "body", length: 0.06, form: "tube", drop: { grams: 3, metal: "lead", depth: 2, seconds: 6 } }),
  item({ kind: "spoon", grams: 12, drop: { grams: 12, metal: "brass", depth: 2, seconds: 5 } }),
  item({ kind: "spinner", grams: 4 }),
  item({ kind: "plug", grams: 8, dives: 3 }),
  item({ kind: "plug", grams: 6, dives: 1.5, buoyancy: -1, least: 0.5, best: 0.8, length: 0.06 }),
  item({ kind: "bait", name: "worm", grams: 2 }),
  item({ kind: "hook", hook: 8 }),
  item({ kind: "hook", hook: 10 }),
];

const always = {
  perTurn: 0.6,
  lineMaterial: "mono",
  lineTest: 3,
  lineDiameter: 0.0002,
  leaderMaterial: "fluorocarbon",
  leaderTest: 2,
};
const [long, short] = [{ rodLength: 3.9 }, { rodLength: 2.4 }];
const shot = [
  { size: "a name that is longe", grams: 0.4, count: 999 },
  { size: "small", grams: 0.1 },
];
const baited = { hooks: [8, 10], bait: { name: "worm", grams: 2 } };
const weights = { heads: [20, 10, 5], metal: "lead" };
const heads = { heads: [3], metal: "brass" };
// 4 g at 75 mm, by the cube of its length, at 1100 kg/m3.
const dressing = bodyWeight(4 * (0.06 / 0.075) ** 3, 1100);
const ofBody = dragAreaFromDrop({ grams: 3, metal: "lead", dressing }, { depth: 2, seconds: 6 });
const ofSpoon = dragAreaFromDrop({ grams: 12, metal: "brass", dressing: 0 }, { depth: 2, seconds: 5 });

test.each([
  ["float", { ...long, floats: [{ capacity: 4, length: 0.2 }, { capacity: 2 }], shot, metal: "tungsten", ...baited }],
  ["drift", { ...long, shot, metal: "tungsten", ...baited }],
  ["sinker", { ...short, ...weights, ...baited }],
  ["drop-shot", { ...short, ...weights, ...baited }],
  ["dead-bait", { ...short, ...heads, ...baited }],
  ["jig", { ...short, ...heads, dragArea: ofBody }],
  ["spoon", { ...short, heads: [12], dragArea: ofSpoon }],
  ["plug", { ...short, plug: { grams: 6, dives: 1.5, buoyancy: -1, least: 0.5, best: 0.8, length: 0.06 } }],
  ["spinner", { ...short, spinner: { grams: 4, least: 0.3 + 0.04 * 2 } }],
] as const)("%s", (method, own) => {
  expect(tackleFor(method, 1, box)).toEqual({ ...always, ...own });
});

test("nothing of a kind leaves it to what is usual, for every way", () => {
  for (const method of METHODS) expect(tackleFor(method, 1, [])).toEqual({});
  for (const method of METHODS) expect(tackleFor(method, 1, [item({ kind: "hook", hook: 8, count: 0 })])).toEqual({});
});

test("line and leader: their own material and thickness; a leader of ten centimetres to ten metres", () => {
  const leader = (draft: Partial<TackleDraft>) => tackleFor("jig", 1, [item({ kind: "leader", test: 2, ...draft })]);
  expect(leader({ length: 0.05 }).leader).toBe(0.1);
  expect(leader({ length: 8 }).leader).toBe(8);
  expect(leader({ length: 0.6, diameter: 0.00015, material: "mono" })).toEqual({
    leaderMaterial: "mono",
    leaderTest: 2,
    leaderDiameter: 0.00015,
    leader: 0.6,
  });
  expect(tackleFor("jig", 1, [item({ kind: "line", test: 5, material: "braid" })])).toEqual({
    lineMaterial: "braid",
    lineTest: 5,
  });
});

test("the plug that dives nearest to a third more than the water, in whatever order they lie; it floats by a tenth", () => {
  const plugs = [0.8, 2, 3.2].map((dives) => item({ kind: "plug", grams: 10, dives }));
  const dives = (depth: number, own = plugs) => tackleFor("plug", depth, own).plug!.dives;
  expect([0.5, 1.6, 2.4].map((depth) => dives(depth))).toEqual([0.8, 2, 3.2]);
  expect([0.5, 1.6, 2.4].map((depth) => dives(depth, [...plugs].reverse()))).toEqual([0.8, 2, 3.2]);
  // 1.3 times 1.6 is 2.08; a third less of it would be the shallowest.
  expect(dives(1.05)).toBe(0.8);
  expect(dives(1.1)).toBe(2);
  expect(tackleFor("plug", 1, [plugs[0]!]).plug).toEqual({ grams: 10, dives: 0.8, buoyancy: 1, least: 0.4, best: 0.9 });
});

test("a bait's own density and thickness; no more than half a kilogram; a spinner's own speed", () => {
  const bait = (draft: Partial<TackleDraft>) =>
    tackleFor("sinker", 1, [item({ kind: "bait", grams: 3, ...draft })]).bait!;
  expect(bait({ density: 900, diameter: 0.001 })).toMatchObject({ density: 900, diameter: 0.001, grams: 3 });
  expect(bait({ grams: 700 }).grams).toBe(500);
  expect(bait({ lasts: 45 }).lasts).toBe(45);
  expect(tackleFor("spinner", 1, [item({ kind: "spinner", grams: 4, least: 0.7, blade: 3 })]).spinner!.least).toBe(0.7);
});

test("of timed drops the first that was made counts; none, or one too fast for its head, says nothing", () => {
  const body = (drop?: TackleDraft["drop"], grams?: number) =>
    item({ kind: "body", length: 0.06, ...(drop && { drop }), ...(grams !== undefined && { grams }) });
  const drop = { grams: 3, metal: "lead" as const, depth: 2, seconds: 6 };
  expect(tackleFor("jig", 1, [body(), body(drop)]).dragArea).toBeCloseTo(ofBody!, 12);
  expect(tackleFor("jig", 1, [body()])).toEqual({});
  expect(tackleFor("jig", 1, [body({ ...drop, seconds: 0.5 })])).toEqual({});
  // Its own weight, where it says it.
  const heavy = dragAreaFromDrop({ grams: 3, metal: "lead", dressing: bodyWeight(9, 1100) }, drop);
  expect(tackleFor("jig", 1, [body(drop, 9)]).dragArea).toBeCloseTo(heavy!, 12);
  // What hardly sinks is told by the most there is.
  expect(tackleFor("jig", 1, [body({ ...drop, grams: 60, seconds: 60 })]).dragArea).toBe(0.05);
});
