import { message } from "../quantity/message";
import { nextStep, type SpotSoFar } from "./next-step";
import type { Timing } from "./time";

/** The order of changes, twenty minutes of a rover, a dozen casts: common practice, no source. */
const timing: Timing = { water: "pool", drill: "drift", casts: 12, minutes: 20, afterKnock: 10, rest: 30, reasons: [] };
const changes = [message("try-colour"), message("try-deeper"), message("try-smaller")];
const other = message("try-other");
const fresh: SpotSoFar = { casts: 0, castsSince: 0, minutes: 0, sinceTake: null, tookFish: false, changes: [] };
const step = (spot: Partial<SpotSoFar>, style: "rove" | "wait" = "rove", own = timing) =>
  nextStep({ ...fresh, ...spot }, own, style, changes, other);

test("after a fish, or a knock, the same cast again while the others are roused; not once it has been made", () => {
  expect(step({ sinceTake: 1, tookFish: true })).toMatchObject({ kind: "again", why: { code: "others-roused" } });
  expect(step({ sinceTake: 1 })).toMatchObject({ kind: "again", why: { code: "knock-roused" } });
  expect(step({ sinceTake: 1, castsSince: 1 }).kind).toBe("cast");
  expect(step({ sinceTake: 6 }).kind).toBe("cast");
});

test("the plan first, then small changes in their order, each overruled or taken once, then another kind", () => {
  expect(step({ castsSince: 5 })).toMatchObject({ kind: "cast", why: { values: { left: 1 } } });
  const codes = changes.map(({ code }) => code);
  const asked = [0, 1, 2].map((k) => step({ castsSince: 6, casts: 6 * (k + 1), changes: codes.slice(0, k) }).what.code);
  expect(asked).toEqual(codes);
  expect(step({ castsSince: 6, changes: codes })).toMatchObject({ kind: "change", what: { code: "try-other" } });
  expect(step({ castsSince: 6, changes: [...codes, "try-other"] })).toMatchObject({ kind: "rest", back: 30 });
});

test("a rover goes when the time is up, later after a knock; one who waits goes through the changes first; unrested water is left at once", () => {
  expect(step({ minutes: 20, casts: 9 })).toMatchObject({ kind: "rest", why: { values: { minutes: 20, casts: 9 } } });
  expect(step({ minutes: 25, sinceTake: 8, castsSince: 2 }).kind).toBe("cast");
  expect(step({ minutes: 31, sinceTake: 8, castsSince: 2 }).kind).toBe("rest");
  expect(step({ minutes: 50, castsSince: 6 }, "wait")).toMatchObject({ kind: "change" });
  expect(step({ minutes: 21 }, "rove", { ...timing, rest: 0 }).kind).toBe("move");
});

test("a bait that lies: laid, let lie for its time, then fresh or changed", () => {
  const soak: Timing = { ...timing, drill: "soak", casts: 3, minutes: 60, rest: 0 };
  expect(step({}, "wait", soak)).toMatchObject({ kind: "cast", what: { code: "lay-bait" } });
  expect(step({ castsSince: 1, minutes: 12 }, "wait", soak)).toMatchObject({
    kind: "wait",
    why: { values: { minutes: 8 } },
  });
  expect(step({ castsSince: 1, minutes: 20 }, "wait", soak).kind).toBe("change");
  const all = [...changes, other].map(({ code }) => code);
  expect(step({ castsSince: 1, minutes: 20, changes: all }, "rove", soak)).toMatchObject({
    kind: "cast",
    what: { code: "fresh-bait" },
  });
});
