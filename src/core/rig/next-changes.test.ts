import type { RigAdvice } from "./advice";
import { METHOD } from "../tactics/methods";
import { nextChanges } from "./next-changes";

/** What to change when nothing comes: colour, then depth, then size. Common practice, no source. */

const advice = (method: RigAdvice["method"], change: object, colours = ["black", "brown"]) =>
  ({ method, lure: { colours }, retrieveKind: METHOD[method].retrieves[0], ...change }) as unknown as RigAdvice;
const told = (method: RigAdvice["method"], change: object, colours?: string[]) =>
  nextChanges(advice(method, change, colours))
    .filter(({ code }) => code !== "try-retrieve")
    .map(({ code, values }) => [code, ...Object.values(values ?? {})]);

test("a retrieve after the one that is made, of those that the method allows, and round again", () => {
  const next = (retrieveKind: string) =>
    nextChanges(advice("jig", { ladder: [], head: { grams: 5 }, retrieveKind })).find(
      ({ code }) => code === "try-retrieve",
    )!.values;
  const all = METHOD.jig.retrieves;
  for (const [k, retrieve] of all.entries()) expect(next(retrieve)).toEqual({ retrieve: all[(k + 1) % all.length] });
});

test("the second colour first and a smaller one last; without a second colour none is told", () => {
  expect(told("sinker", { leader: 0.4 })).toEqual([
    ["try-colour", "brown"],
    ["try-longer-leader", expect.closeTo(0.6, 9)],
    ["try-smaller"],
  ]);
  expect(told("sinker", { leader: 0.4 }, ["black"])).toEqual([
    ["try-longer-leader", expect.closeTo(0.6, 9)],
    ["try-smaller"],
  ]);
});

const depth = (method: RigAdvice["method"], change: object) => told(method, change, [])[0];

test.each<[RigAdvice["method"], object, unknown]>([
  ["float", { setting: 1.2, deepenBy: 0.1 }, ["try-deeper", expect.closeTo(1.3, 9)]],
  ["drift", { touchFraction: 0.5, piece: 0.8, pieces: 1 }, ["try-shot-more", 0.8]],
  ["drift", { touchFraction: 0.51, piece: 0.8, pieces: 2 }, ["try-shot-less", 0.8]],
  [
    "drift",
    { touchFraction: 0.51, piece: 0.8, pieces: 1, leader: 0.3 },
    ["try-longer-leader", expect.closeTo(0.45, 9)],
  ],
  ["drop-shot", { leader: 0.6 }, ["try-longer-leader", expect.closeTo(0.9, 9)]],
  ["dead-bait", { leader: 0.5 }, ["try-longer-leader", 0.75]],
  ["plug", { lineNeeded: 22, touches: false }, ["try-longer-line", 22]],
  ["plug", { lineNeeded: 22, touches: true }, ["try-smaller"]],
  ["plug", { lineNeeded: null, touches: false }, ["try-smaller"]],
  ["spinner", { tip: "low" }, ["try-tip", "low"]],
])("%s, %j", (method, change, expected) => {
  expect(depth(method, change)).toEqual(expected);
});

test("of heads the next lighter where it still touches, else the next heavier, else none", () => {
  const ladder = (...touches: boolean[]) => touches.map((one, k) => ({ grams: 3 * (k + 1), touches: one }));
  for (const method of ["jig", "spoon"] as const) {
    expect(depth(method, { ladder: ladder(true, true, true), head: { grams: 6 } })).toEqual(["try-lighter-head", 3]);
    expect(depth(method, { ladder: ladder(false, true, true), head: { grams: 6 } })).toEqual(["try-heavier-head", 9]);
    expect(depth(method, { ladder: ladder(true, true), head: { grams: 3 } })).toEqual(["try-heavier-head", 6]);
    expect(depth(method, { ladder: ladder(false, false), head: { grams: 6 } })).toEqual(["try-smaller"]);
  }
});
