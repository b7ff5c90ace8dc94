import { speciesById } from "../fish/species";
import { timeFor } from "./time";

/** Every figure here: common practice, no source. */
const look = { visibleDepth: 1.5, temperature: 12, style: "rove" as const, species: speciesById("brown-trout") };
const riffle = { depth: 0.3, meanSpeed: 1, kind: "feeding" as const };
const run = { depth: 0.8, meanSpeed: 0.8, kind: "feeding" as const };
const hole = { depth: 1.5, meanSpeed: 0.3, kind: "prime" as const };

test("a riffle's edge takes one or two casts, a good hole about a dozen, a run in between", () => {
  expect(timeFor(riffle, look)).toMatchObject({ water: "riffle", casts: 2 });
  expect(timeFor(run, look)).toMatchObject({ water: "run", casts: 6 });
  expect(timeFor(hole, look)).toMatchObject({ water: "pool", casts: 12 });
  // A prime lie in a run is worked as a hole, and told so: figures and words agree.
  const prime = timeFor({ ...run, kind: "prime" }, look);
  expect(prime).toMatchObject({ water: "run", casts: 12 });
  expect(prime.reasons[0]).toEqual({ code: "work-pool", values: { casts: 12 } });
  expect(timeFor(run, look).reasons[0]).toEqual({ code: "work-run", values: { casts: 6 } });
});

test("a rover gives a spot twenty minutes and a little more on a knock; one who waits goes through its changes first", () => {
  expect(timeFor(hole, look)).toMatchObject({ minutes: 20, afterKnock: 10 });
  expect(timeFor(hole, { ...look, style: "wait" }).minutes).toBe(40);
  expect(timeFor(hole, { ...look, temperature: 4 })).toMatchObject({ minutes: 30, casts: 18 });
});

test("clear water is rested half an hour after a fish, coloured water not at all; fish in schools are kept going; runs fill again", () => {
  expect(timeFor(hole, look).rest).toBe(30);
  expect(timeFor(hole, { ...look, visibleDepth: 0.9 }).rest).toBe(15);
  expect(timeFor(hole, { ...look, visibleDepth: 0.4 }).rest).toBe(0);
  const codes = (id: string, base?: string) =>
    timeFor(hole, { ...look, species: { ...speciesById(id), id: base ? "mine" : id }, base }).reasons.map(
      ({ code }) => code,
    );
  expect(codes("walleye")).toContain("schools");
  expect(codes("walleye", "walleye")).toContain("schools");
  expect(codes("brown-trout")).not.toContain("schools");
  expect(codes("king-salmon")).toContain("run-refills");
});

test("fed after a fish a place is left for half an hour, whatever its water; fed ahead it is told when to come back", () => {
  const muddy = { ...look, visibleDepth: 0.2 };
  expect(timeFor(hole, muddy).rest).toBe(0);
  expect(timeFor(hole, { ...muddy, feeding: "after" }).rest).toBe(30);
  const codes = (feeding: "ahead" | "none") => timeFor(hole, { ...look, feeding }).reasons.map(({ code }) => code);
  expect(codes("ahead")).toContain("feed-ahead");
  expect(codes("none").some((code) => code.startsWith("feed-"))).toBe(false);
});

test("a method is worked in its own way: a laid dead bait lies for hours, a jig is walked, a float drifts, a lure never waits", () => {
  const of = (id: string, method: Parameters<typeof timeFor>[1]["method"], style: "rove" | "wait" = "wait") =>
    timeFor(hole, { ...look, style, species: speciesById(id), method });
  // Laid baits two and a half hours, roving ones twenty minutes (common practice, no source).
  expect(of("walleye", "dead-bait")).toMatchObject({ drill: "soak", casts: 3, minutes: 150 });
  expect(of("walleye", "dead-bait", "rove")).toMatchObject({ drill: "soak", casts: 1, minutes: 20 });
  expect(of("walleye", "dead-bait").reasons.map(({ code }) => code)).not.toContain("work-walk");
  expect(of("walleye", "jig").drill).toBe("walk");
  expect(of("walleye", "float").drill).toBe("drift");
  expect(of("brown-trout", "sinker")).toMatchObject({ drill: "soak", minutes: 60 });
  expect(of("channel-catfish", "jig").drill).toBe("drift");
  expect(of("channel-catfish", "sinker").drill).toBe("soak");
});

test("catfish get a bait that lies still, walleye the bottom walked: neither gets near, middle, far", () => {
  const of = (id: string, style: "rove" | "wait" = "rove") =>
    timeFor(hole, { ...look, style, species: speciesById(id) });
  for (const id of ["channel-catfish", "flathead-catfish", "barbel"]) {
    expect(of(id)).toMatchObject({ drill: "soak", casts: 1, minutes: 20, rest: 0 });
    // A whole fish lasts the hour, cut fish and a buoyant worm half of it.
    expect(of(id, "wait")).toMatchObject({ casts: id === "flathead-catfish" ? 1 : 2, minutes: 60 });
    expect(of(id).reasons[0]!.code).toBe("work-soak");
  }
  for (const id of ["walleye", "zander"]) {
    expect(of(id)).toMatchObject({ drill: "walk", rest: 0 });
    const codes = of(id).reasons.map(({ code }) => code);
    expect(codes).toEqual(expect.arrayContaining(["work-walk", "schools"]));
    expect(codes.filter((code) => code === "clear-first-cast" || code === "work-pool")).toEqual([]);
  }
  expect(of("brown-trout").drill).toBe("drift");
});

test("a laid bait is renewed as often as it lasts; the time that the place is given stays", () => {
  const laid = (lasts?: number) =>
    timeFor(hole, { ...look, style: "wait", species: speciesById("walleye"), method: "dead-bait", lasts });
  const fresh = (lasts?: number) => laid(lasts).reasons.find(({ code }) => code === "fresh-bait-every")?.values.fresh;
  expect(laid()).toMatchObject({ casts: 3, minutes: 150 });
  expect([fresh(), fresh(25), fresh(150)]).toEqual([60, 25, undefined]);
  expect(laid(25)).toMatchObject({ casts: 6, minutes: 150 });
  expect(laid(150).casts).toBe(1);
});

test("a laid bait that is dragged is fished cast by cast, in the time of casts, as its fish is worked", () => {
  const of = (id: string, method: "sinker" | "dead-bait" | "float", retrieve?: "hold" | "drag" | "lift-and-drop") =>
    timeFor(hole, { ...look, style: "wait", species: speciesById(id), method, retrieve });
  expect(of("channel-catfish", "sinker", "hold")).toEqual(of("channel-catfish", "sinker"));
  const moved = of("channel-catfish", "sinker", "drag");
  expect(moved).toMatchObject({ drill: "drift", casts: 12, minutes: 40 });
  expect(moved.reasons.map(({ code }) => code)).toContain("bait-moved");
  expect(of("walleye", "dead-bait", "lift-and-drop")).toMatchObject({ drill: "walk", minutes: 40 });
  // A float is never laid: lifting it changes nothing of its time.
  expect(of("chub", "float", "lift-and-drop")).toEqual(of("chub", "float"));
});
