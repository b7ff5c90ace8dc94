import { MINUTE } from "../gauge/series";
import { type EffortInterval, stretchSchema } from "./bank-records";
import { effortOf, rodHours, stretchOf } from "./effort";
import { bestsOf } from "./log-filter";
import { mergeBooks } from "./merge";
import { emptyBook } from "./log-contents";
import { knownPlace, placesOf } from "./places";
import { rodsAllowed, rulesFor } from "./rules-for";
import { sampleCatch, sampleObservation, sampleRule, sampleSession, sampleStretch } from "../../testing/book-samples";
import { returnsOf, spotSoFar, visitOf } from "./spot-so-far";

/** Visits to places and what they gave, worked by hand: what counts, what does not, and in which order. */

const T0 = Date.UTC(2026, 4, 1, 8);
const at = (minutes: number) => new Date(T0 + minutes * MINUTE).toISOString();
const stretch = (id: string, from: number, to: number | null, change: Partial<EffortInterval> = {}) =>
  sampleStretch(id, { start: at(from), end: to === null ? null : at(to), lie: "pool", ...change });

describe("a rod's present visit", () => {
  test("is of its own stretches, in order of time and then of ids, those taken back left out", () => {
    const mixed = [
      stretch("z", 30, 40),
      stretch("b", 10, 20),
      stretch("a", 10, 20),
      stretch("gone", 35, 36, { lie: "jam", deleted: true }),
      stretch("other", 36, 37, { lie: "jam", rod: 2 }),
    ];
    expect(visitOf(mixed, 1).map(({ id }) => id)).toEqual(["a", "b", "z"]);
    expect(visitOf([...mixed].reverse(), 1).map(({ id }) => id)).toEqual(["a", "b", "z"]);
    expect(visitOf(mixed, 2).map(({ id }) => id)).toEqual(["other"]);
  });

  test("two spots of one name are told apart by where they are, along either way", () => {
    const placed = (id: string, from: number, x: number, y: number) => stretch(id, from, from + 5, { place: { x, y } });
    const ids = (...of: EffortInterval[]) => visitOf(of, 1).map(({ id }) => id);
    expect(ids(placed("a", 0, 3, 4), placed("b", 5, 3, 4))).toEqual(["a", "b"]);
    expect(ids(placed("a", 0, 3, 4), placed("b", 5, 9, 4))).toEqual(["b"]);
    expect(ids(placed("a", 0, 3, 4), placed("b", 5, 3, 9))).toEqual(["b"]);
  });

  const visit = [stretch("a", 0, 10, { casts: [{ line: 1, zone: "near", count: 9 }] })];
  const now = T0 + 30 * MINUTE;
  const soFar = (
    observations: Parameters<typeof spotSoFar>[1],
    catches: Parameters<typeof spotSoFar>[2] = [],
    stretches = visit,
  ) => spotSoFar(stretches, observations, catches, 1, now);

  test("counts takes of its own stretches: a bite, one that followed, a fish; the last of them by its time", () => {
    const bite = sampleObservation("bite", { stretch: "a", at: at(5), kind: "bite" });
    const follow = sampleObservation("follow", { stretch: "a", at: at(8), kind: "follow" });
    const fish = sampleCatch("fish", "s", { stretch: "a", at: at(2) });
    expect(soFar([follow])).toMatchObject({ sinceTake: 22, tookFish: false });
    expect(soFar([follow, bite], [fish])).toMatchObject({ sinceTake: 22, tookFish: false });
    expect(soFar([bite], [fish, sampleCatch("late", "s", { stretch: "a", at: at(9) })])).toMatchObject({
      sinceTake: 21,
      tookFish: true,
    });
    // Seen is not taken; what was taken back, or was of another stretch or of none, is nothing to this visit.
    const none = [
      sampleObservation("seen", { stretch: "a", at: at(9), kind: "seen" }),
      { ...bite, deleted: true },
      { ...bite, stretch: "elsewhere" },
      { ...bite, stretch: null },
    ];
    const nor = [{ ...fish, deleted: true }, { ...fish, stretch: "elsewhere" }, sampleCatch("free", "s")];
    expect(soFar(none, nor)).toEqual({
      casts: 9,
      castsSince: 9,
      minutes: 10,
      sinceTake: null,
      tookFish: false,
      changes: [],
    });
  });

  test("knows the changes that were tried, and no other words", () => {
    const change = sampleObservation("o", { stretch: "a", kind: "change", what: "try-colour" });
    const seen = sampleObservation("p", { stretch: "a", kind: "seen", what: "try-size" });
    expect(soFar([change, seen])).toMatchObject({ changes: ["try-colour"] });
  });

  test("with nothing fished there is no fish, no cast and no take", () => {
    expect(soFar([], [], [])).toEqual({
      casts: 0,
      castsSince: 0,
      minutes: 0,
      sinceTake: null,
      tookFish: false,
      changes: [],
    });
  });
});

test("to come back to: what is rested or fed until a time, not fished since, not taken back, and nothing else", () => {
  const rest = sampleObservation("r", { kind: "rest", lie: "jam", at: at(30), until: at(60) });
  const ids = (observations: Parameters<typeof returnsOf>[0], stretches: EffortInterval[] = []) =>
    returnsOf(observations, stretches).map(({ id }) => id);
  expect(ids([rest, { ...rest, id: "p", kind: "primed", until: at(50) }])).toEqual(["p", "r"]);
  expect(ids([{ ...rest, deleted: true }])).toEqual([]);
  expect(ids([sampleObservation("no-end", { kind: "rest", lie: "jam", at: at(30) })])).toEqual([]);
  expect(ids([{ ...rest, kind: "pause" }])).toEqual([]);
  expect(ids([rest], [stretch("gone", 40, null, { lie: "jam", deleted: true })])).toEqual(["r"]);
  // Fished at the very moment is what was rested; after it, fished again.
  expect(ids([rest], [stretch("then", 30, null, { lie: "jam" })])).toEqual(["r"]);
  expect(ids([rest], [stretch("later", 31, null, { lie: "jam" })])).toEqual([]);
});

describe("what places gave", () => {
  const sessions = [
    sampleSession("s", { reach: "r" }),
    sampleSession("gone", { reach: "r", deleted: true }),
    sampleSession("q", { reach: "elsewhere" }),
  ];
  const placed = { x: 1, y: 2 };

  test("fish first, then hours, then names; the place where it was told last, the last fish, and those that got off", () => {
    const stretches = [
      stretch("1", 0, 60, { lie: "b", place: placed }),
      stretch("2", 60, 90, { lie: "b", place: null }),
      stretch("3", 0, 30, { lie: "a" }),
      stretch("4", 0, 30, { lie: "c" }),
      stretch("5", 0, 240, { lie: "d" }),
    ];
    const fish = [
      sampleCatch("1", "s", { lie: "c", at: at(10) }),
      sampleCatch("2", "s", { lie: "c", at: at(5), place: { x: 7, y: 8 } }),
      sampleCatch("3", "s", { lie: "b", at: at(20), lost: "broke", place: { x: 9, y: 9 } }),
      sampleCatch("4", "s", { lie: "c", at: at(12), lost: "broke" }),
    ];
    const given = placesOf("r", sessions, stretches, fish, T0);
    expect(given).toEqual([
      { lie: "c", place: { x: 7, y: 8 }, hours: 0.5, landed: 2, lost: 1, last: at(12) },
      { lie: "d", place: null, hours: 4, landed: 0, lost: 0, last: null },
      { lie: "b", place: placed, hours: 1.5, landed: 0, lost: 1, last: at(20) },
      { lie: "a", place: null, hours: 0.5, landed: 0, lost: 0, last: null },
    ]);
    const named = ["f", "e"].flatMap((lie) => stretch(lie, 0, 30, { lie }));
    expect(placesOf("r", sessions, named, [], T0).map(({ lie }) => lie)).toEqual(["e", "f"]);
  });

  test("not what was taken back, has no name, or was of another reach", () => {
    const stretches = [
      stretch("1", 0, 60, { deleted: true }),
      stretch("2", 0, 60, { lie: "" }),
      stretch("3", 0, 60, { session: "gone" }),
      stretch("4", 0, 60, { session: "q" }),
      stretch("5", 0, 60, { session: "nowhere" }),
    ];
    const fish = [
      sampleCatch("1", "s", { lie: "pool", deleted: true }),
      sampleCatch("2", "s", { lie: "" }),
      sampleCatch("3", "gone", { lie: "pool" }),
      sampleCatch("4", "q", { lie: "pool" }),
    ];
    expect(placesOf("r", sessions, stretches, fish, T0)).toEqual([]);
  });

  test("the bite is learnt where most fish are known, by name where as many are; nothing of what was taken back", () => {
    const fish = (lie: string, change = {}) => [1, 2].map((k) => sampleCatch(`${lie}${k}`, "s", { lie, ...change }));
    const known = (catches: ReturnType<typeof fish>, observations: Parameters<typeof knownPlace>[2] = []) =>
      knownPlace(sessions, catches, observations, "brown-trout");
    expect(known([...fish("b"), ...fish("a"), ...fish("c")])).toMatchObject({ lie: "a", landed: 2 });
    expect(known(fish("a", { deleted: true }))).toBeUndefined();
    expect(known(fish("", {}))).toBeUndefined();
    expect(known(fish("a", { session: "gone" }))).toBeUndefined();
    expect(known(fish("a", { session: "nowhere" }))).toBeUndefined();
    const seen = sampleObservation("o", { kind: "others", lie: "tail", withFish: 3 });
    expect(known([], [seen])).toMatchObject({ lie: "tail", others: 3 });
    const nothing = [
      { ...seen, deleted: true },
      { ...seen, lie: "" },
      { ...seen, kind: "mark" as const },
      { ...seen, session: "nowhere" },
      { ...seen, session: "gone" },
    ];
    for (const one of nothing) expect(known([], [one])).toBeUndefined();
    // The same name on another reach is another place.
    const both = [...fish("jam").slice(0, 1), sampleCatch("x", "q", { lie: "jam" })];
    expect(known(both)).toBeUndefined();
  });
});

test("a stretch does not end before it begins; it may end as it begins, or not yet", () => {
  const whole = (start: number, end: number | null) => stretchSchema.safeParse(stretch("a", start, end)).success;
  expect([whole(5, 5), whole(5, 6), whole(5, null), whole(5, 4)]).toEqual([true, true, true, false]);
});

test("two books as one: each part in the order of ids, every record once, the later state of it", () => {
  const fish = (id: string, notes: string, updatedAt: string) => sampleCatch(id, "s", { notes, updatedAt });
  const [one, other] = [emptyBook(), emptyBook()];
  one.catches.push(fish("c", "older", "2026-05-01T00:00:00.000Z"), fish("a", "own", "2026-05-01T00:00:00.000Z"));
  other.catches.push(fish("b", "theirs", "2026-05-01T00:00:00.000Z"), fish("c", "newer", "2026-05-02T00:00:00.000Z"));
  other.sessions.push(sampleSession("s"));
  for (const book of [mergeBooks(one, other), mergeBooks(other, one)]) {
    expect(book.catches.map(({ id, notes }) => [id, notes])).toEqual([
      ["a", "own"],
      ["b", "theirs"],
      ["c", "newer"],
    ]);
    expect(book.sessions).toHaveLength(1);
    expect(book.reaches).toEqual([]);
  }
});

describe("whose fish and whose hours", () => {
  const now = T0 + 600 * MINUTE;
  const session = sampleSession("s", { start: at(0), end: at(300), rods: 3 });

  test("rod-hours are of the session's own stretches, those taken back left out", () => {
    const stretches = [
      stretch("a", 0, 60),
      stretch("gone", 0, 600, { deleted: true }),
      stretch("elsewhere", 0, 600, { session: "q" }),
    ];
    expect(rodHours(session, now, stretches)).toBe(1);
    expect(rodHours(session, now, stretches.slice(1))).toBe(15);
  });

  test("a session that is still fished counts to now, one that has ended to its end", () => {
    const span = (end: string | null) => {
      const [effort] = effortOf([{ ...session, end }], [], now);
      return [(effort!.end - T0) / MINUTE, effort!.hours];
    };
    expect(span(null)).toEqual([600, 30]);
    expect(span(at(300))).toEqual([300, 15]);
  });

  test("with a fish named, sessions after it and sessions that had one; a session after another without one does not count", () => {
    const chub = sampleSession("c", { start: at(0), end: at(60), species: "chub" });
    const caught = sampleCatch("f", "c", { at: at(30) });
    const ids = (catches: ReturnType<typeof sampleCatch>[]) =>
      effortOf([session, chub], catches, now, "brown-trout").map((one) => one.session);
    expect(ids([])).toEqual(["s"]);
    expect(ids([caught])).toEqual(["s", "c"]);
    expect(effortOf([session, chub], [], now, "chub").map((one) => one.session)).toEqual(["c"]);
  });

  test("a fish is of the stretch of its rod and of its angler before that of its time; then of the nearest in time", () => {
    const mine = { angler: "me", rod: 1 };
    const of = (fish: object, ...stretches: EffortInterval[]) =>
      stretchOf(sampleCatch("f", "s", fish as never), stretches, now).id;
    const [a, b] = [stretch("a", 0, 60, mine), stretch("b", 0, 60, { angler: "you", rod: 2 })];
    expect(of({ at: at(30), angler: "you" }, a, b)).toBe("b");
    expect(of({ at: at(30), angler: "me" }, b, a)).toBe("a");
    expect(of({ at: at(30), rod: 2 }, a, b)).toBe("b");
    // Of the wrong rod and the wrong angler it is farther than of one of them wrong, whatever the time.
    const half = stretch("half", 400, 410, { angler: "me", rod: 2 });
    expect(of({ at: at(30), angler: "me", rod: 1 }, b, half)).toBe("half");
    // Before a stretch, after one, and in one that still runs.
    const [early, late] = [stretch("early", 0, 60), stretch("late", 100, null)];
    expect(of({ at: at(70) }, early, late)).toBe("early");
    expect(of({ at: at(90) }, early, late)).toBe("late");
    expect(of({ at: at(500) }, early, late)).toBe("late");
    expect(of({ at: at(-10) }, late, early)).toBe("early");
    // Of two in whose moment it was caught, the one that it ended; of two at once, either.
    expect(of({ at: at(100) }, stretch("second", 100, 200), stretch("first", 0, 100))).toBe("first");
    expect(of({ at: at(30) }, stretch("x", 0, 60), stretch("y", 0, 60))).toBe("x");
  });
});

test("bests: the kinds with most fish first, then by name", () => {
  const fish = (species: string, count: number) =>
    Array.from({ length: count }, (_, k) => sampleCatch(`${species}${k}`, "s", { species }));
  const kinds = bestsOf([...fish("c", 1), ...fish("b", 2), ...fish("d", 3), ...fish("a", 2)]);
  expect(kinds.map(({ species, count }) => [species, count])).toEqual([
    ["d", 3],
    ["a", 2],
    ["b", 2],
    ["c", 1],
  ]);
});

test("rules of the fish come before those of every fish, by their ids; another fish's are none; the fewest rods hold", () => {
  const rules = [
    sampleRule("d", { reach: "r", species: "every" }),
    sampleRule("c", { reach: "r", rods: 3 }),
    sampleRule("b", { reach: null, species: "every", rods: 2 }),
    sampleRule("a", { reach: "r" }),
    sampleRule("e", { reach: "r", species: "chub", rods: 1 }),
  ];
  const where = { reach: "r", species: "brown-trout" };
  for (const all of [rules, [...rules].reverse()])
    expect(rulesFor(all, { ...where, bank: "left" }).map(({ id }) => id)).toEqual(["a", "c", "b", "d"]);
  expect(rodsAllowed(rules, where)).toBe(2);
  expect(rodsAllowed([rules[1]!, rules[3]!], where)).toBe(3);
  expect(rodsAllowed([rules[0]!], where)).toBe(Infinity);
});
