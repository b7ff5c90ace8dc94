import { HOUR, MINUTE } from "../gauge/series";
import { sampleCatch, sampleObservation, sampleRule, sampleSession, sampleStretch } from "../../testing/book-samples";
import { effortOf, rodHours, stretchOf } from "./effort";
import { bestsOf, EVERYTHING, indexed, plainLetters, filterLog } from "./log-filter";
import { knownPlace, placesOf } from "./places";
import { isStale, judgeFish, keptToday, rulesFor } from "./rules-for";
import { castsOf, returnsOf, spotSoFar, visitOf } from "./spot-so-far";

const T0 = Date.UTC(2026, 4, 1, 6);
const at = (minutes: number): string => new Date(T0 + minutes * MINUTE).toISOString();
const session = sampleSession("s", { start: at(0), end: at(240), rods: 2 });
const stretch = (id: string, from: number, to: number | null, change = {}) =>
  sampleStretch(id, { start: at(from), end: to === null ? null : at(to), ...change });

describe("effort in stretches", () => {
  const stretches = [
    stretch("a", 0, 60, { lie: "jam" }),
    stretch("b", 60, 90, { lie: "pool" }),
    // Two rods, and a pause between 90 and 120.
    stretch("c", 120, 240, { lie: "pool" }),
    stretch("d", 0, 240, { rod: 2, fixed: true }),
  ];

  test("hours are those of the stretches, pauses left out, each rod by itself; without stretches all of the session", () => {
    expect(rodHours(session, T0, stretches)).toBeCloseTo(1 + 0.5 + 2 + 4, 9);
    expect(rodHours(session, T0)).toBeCloseTo(8, 9);
    expect(rodHours(sampleSession("x", { start: at(0) }), T0 + HOUR)).toBeCloseTo(1, 9);
  });

  test("each fish belongs to one stretch: of its rod, at its time; fish and hours add up", () => {
    const fish = [
      sampleCatch("f1", "s", { at: at(30), rod: 1 }),
      sampleCatch("f2", "s", { at: at(100), rod: 1 }),
      sampleCatch("f3", "s", { at: at(30), rod: 2 }),
      sampleCatch("f4", "s", { at: at(10), rod: 1, lost: "broke" }),
    ];
    const efforts = effortOf([session], fish, T0, undefined, stretches);
    expect(efforts.map(({ stretch: one, catches }) => [one!.id, catches.map(({ id }) => id)])).toEqual([
      ["a", ["f1"]],
      ["b", ["f2"]],
      ["c", []],
      ["d", ["f3"]],
    ]);
    expect(efforts.reduce((sum, { hours }) => sum + hours, 0)).toBeCloseTo(7.5, 9);
    // A stretch that was cut afterwards: its name holds no longer, its time does.
    expect(stretchOf(sampleCatch("g", "s", { at: at(200), stretch: "b", rod: 1 }), stretches, T0).id).toBe("c");
    // In the moment between two, the one that it names.
    expect(stretchOf(sampleCatch("g", "s", { at: at(60), stretch: "b", rod: 1 }), stretches, T0).id).toBe("b");
  });

  test("hours that nobody counted make no rate; deleted stretches are none", () => {
    const unknown = sampleSession("s", { start: at(0), end: at(0), hoursKnown: false });
    expect(effortOf([unknown], [sampleCatch("f", "s", { at: at(0) })], T0)).toEqual([]);
    const gone = stretches.map((one) => ({ ...one, deleted: true }));
    expect(effortOf([session], [], T0, undefined, gone)[0]!.hours).toBeCloseTo(8, 9);
  });
});

describe("a visit to a spot", () => {
  const stretches = [
    stretch("a", 0, 20, { lie: "pool", casts: [{ line: 1, zone: "near", count: 4 }] }),
    stretch("b", 20, 30, { lie: "jam" }),
    stretch("c", 30, 40, { lie: "pool", casts: [{ line: 1, zone: "near", count: 5 }] }),
    // Another colour: still the same visit.
    stretch("d", 40, null, { lie: "pool", colour: "brown", casts: [{ line: 1, zone: "far", count: 3 }] }),
  ] as const;

  test("is what was fished there without a break; casts since the last take or change", () => {
    expect(visitOf(stretches, 1).map(({ id }) => id)).toEqual(["c", "d"]);
    expect(castsOf(visitOf(stretches, 1))).toBe(8);
    const change = sampleObservation("o", { kind: "change", what: "try-colour", stretch: "c", count: 5, at: at(40) });
    const now = T0 + 50 * MINUTE;
    expect(spotSoFar(stretches, [change], [], 1, now)).toEqual({
      casts: 8,
      castsSince: 3,
      minutes: 20,
      sinceTake: null,
      tookFish: false,
      changes: ["try-colour"],
    });
    const bite = sampleObservation("b", { stretch: "d", count: 7, at: at(48) });
    expect(spotSoFar(stretches, [change, bite], [], 1, now)).toMatchObject({
      castsSince: 1,
      sinceTake: 2,
      tookFish: false,
    });
    const fish = sampleCatch("f", "s", { stretch: "d", cast: 8, at: at(49) });
    expect(spotSoFar(stretches, [bite], [fish], 1, now)).toMatchObject({ castsSince: 0, sinceTake: 1, tookFish: true });
    expect(spotSoFar([], [], [], 1, now)).toMatchObject({ casts: 0, minutes: 0 });
  });

  test("a spot that is rested is told until it is fished again", () => {
    const rest = sampleObservation("r", { kind: "rest", lie: "jam", at: at(30), until: at(60) });
    const fed = sampleObservation("p", { kind: "primed", lie: "tail", at: at(35), until: at(65) });
    expect(returnsOf([fed, rest], stretches).map(({ lie }) => lie)).toEqual(["jam", "tail"]);
    expect(returnsOf([rest], [...stretches, stretch("e", 70, null, { lie: "jam" })])).toEqual([]);
  });
});

describe("local rules of a water", () => {
  const rules = [
    sampleRule("a", { reach: "r", minLength: 0.3, bag: 1 }),
    sampleRule("b", { reach: "r", bank: "left", species: "every", clippedOnly: true }),
    sampleRule("c", { reach: "other", minLength: 0.9 }),
  ];
  const fish = sampleCatch("f", "s", { length: 0.35, fin: "whole", at: at(0) });

  test("hold on their bank; those of the fish come before those of every fish; the deciding one is named", () => {
    const ids = (bank: "both" | "left" | "right") =>
      rulesFor(rules, { reach: "r", bank, species: "brown-trout" }).map(({ id }) => id);
    expect([ids("right"), ids("left"), ids("both")]).toEqual([["a"], ["a", "b"], ["a", "b"]]);
    expect(judgeFish(rules, fish, { reach: "r", bank: "right" }, 0, "2026-05-01")).toMatchObject({
      answer: "keep",
      by: undefined,
    });
    expect(judgeFish(rules, fish, { reach: "r", bank: "left" }, 0, "2026-05-01")).toMatchObject({
      answer: "release",
      by: rules[1],
    });
    expect(judgeFish(rules, fish, { reach: "r", bank: "right" }, 1, "2026-05-01")).toMatchObject({
      rule: "bag",
      by: rules[0],
    });
    // The season is held against the angler's own day, whatever the instant says in other zones.
    const spring = [sampleRule("o", { open: { from: "05-02", to: "09-30" } })];
    const open = (day: string) => judgeFish(spring, fish, { reach: "r", bank: "both" }, 0, day).answer;
    expect([open("2026-05-01"), open("2026-05-02")]).toEqual(["release", "keep"]);
    expect(judgeFish([], fish, { reach: "r", bank: "both" }, 0, "2026-05-01")).toMatchObject({
      answer: "no-rule",
      stale: false,
    });
  });

  test("are old after a year, and from the day after they have run out", () => {
    const now = Date.parse(at(0));
    expect(isStale(sampleRule("x", { entered: at(-365 * 24 * 60 + 10) }), now)).toBe(false);
    expect(isStale(sampleRule("x", { entered: at(-365 * 24 * 60 - 10) }), now)).toBe(true);
    expect(isStale(sampleRule("x", { expires: "2026-05-01" }), now)).toBe(false);
    expect(isStale(sampleRule("x", { expires: "2026-04-30" }), now)).toBe(true);
  });

  test("each angler has a bag of their own, a day", () => {
    const day = (instant: string) => instant.slice(0, 10);
    const kept = [
      sampleCatch("1", "s", { kept: true, at: at(1) }),
      sampleCatch("2", "s", { kept: true, at: at(2), angler: "Ana" }),
      sampleCatch("3", "s", { kept: true, at: at(-24 * 60) }),
      sampleCatch("4", "s", { kept: false, at: at(3) }),
    ];
    expect(keptToday(kept, fish, day)).toBe(1);
    expect(keptToday(kept, { ...fish, angler: "Ana" }, day)).toBe(1);
    expect(keptToday(kept, kept[0]!, day)).toBe(0);
  });
});

describe("the log", () => {
  const sessions = [sampleSession("s", { reach: "r", notes: "Rain" }), sampleSession("t", { reach: "q" })];
  const catches = [
    sampleCatch("1", "s", { lie: "Zurück am Wehr", length: 0.3, at: at(0) }),
    sampleCatch("2", "s", { lure: "brown jig", length: 0.4, weight: 0.7, at: at(60) }),
    sampleCatch("3", "t", { species: "chub", lost: "broke", length: 0.6, at: at(24 * 60) }),
    sampleCatch("4", "t", { species: "chub", kept: true, at: at(25 * 60) }),
  ];
  const all = indexed(
    catches,
    sessions,
    (instant) => instant.slice(0, 10),
    (species) => species,
  );
  const ids = (change: Partial<typeof EVERYTHING>) =>
    filterLog(all, { ...EVERYTHING, ...change })
      .map(({ fish }) => fish.id)
      .join("");

  test("is sifted by words without their marks, by water, kind, outcome and day, the newest first", () => {
    expect(ids({})).toBe("4321");
    expect(ids({ text: "zuruck wehr" })).toBe("1");
    expect(ids({ text: "RAIN jig" })).toBe("2");
    expect([ids({ reach: "q" }), ids({ species: "chub", outcome: "landed" })]).toEqual(["43", "4"]);
    expect([ids({ outcome: "lost" }), ids({ outcome: "kept" })]).toEqual(["3", "4"]);
    expect([ids({ from: "2026-05-02" }), ids({ to: "2026-05-01" })]).toEqual(["43", "21"]);
    expect(plainLetters("Ångström")).toBe("angstrom");
  });

  test("has bests of those that were landed, and places with what they gave", () => {
    expect(bestsOf(catches)).toMatchObject([
      { species: "brown-trout", count: 2, longest: { id: "2" }, heaviest: { id: "2" } },
      { species: "chub", count: 1, longest: undefined, heaviest: undefined },
    ]);
    const given = placesOf("r", sessions, [stretch("a", 0, 90, { lie: "Zurück am Wehr" })], catches, T0);
    expect(given).toEqual([{ lie: "Zurück am Wehr", place: null, hours: 1.5, landed: 1, lost: 0, last: at(0) }]);
  });
});

test("where to learn the bite: the place with the most fish, one's own and others'; two are the least", () => {
  const sessions = [sampleSession("s", { reach: "r" }), sampleSession("c", { reach: "r", species: "chub" })];
  const fish = (id: string, lie: string, change = {}) => sampleCatch(id, "s", { lie, ...change });
  const others = (withFish: number, lie: string, session = "s") =>
    sampleObservation(`${lie}-${withFish}`, { session, kind: "others", lie, withFish });
  expect(knownPlace(sessions, [fish("1", "jam")], [], "brown-trout")).toBeUndefined();
  expect(knownPlace(sessions, [fish("1", "jam"), fish("2", "jam"), fish("3", "tail")], [], "brown-trout")).toEqual({
    reach: "r",
    lie: "jam",
    landed: 2,
    others: 0,
  });
  expect(
    knownPlace(
      sessions,
      [fish("1", "jam"), fish("2", "jam")],
      [others(4, "tail"), others(9, "pool", "c")],
      "brown-trout",
    ),
  ).toMatchObject({ lie: "tail", others: 4 });
  // Fish that were lost, and those of another kind, teach no bite.
  const lost = [fish("1", "jam", { lost: "broke" }), fish("2", "jam", { species: "chub" }), fish("3", "jam")];
  expect(knownPlace(sessions, lost, [], "brown-trout")).toBeUndefined();
});
