import { speciesById } from "./species";
import type { Suitability } from "./species-schema";
import { inSeason, turningOf, seasonalHabitsIn, seasonalHabitsOf } from "./season";
import { along, suits, warmth } from "./suitability";
import { territoryAcross } from "./territory";

const curve = [
  [0.2, 0],
  [1, 1],
  [3, 0.5],
] as const as never;

test("a curve is straight between its points and level beyond them", () => {
  expect([along(curve, 0), along(curve, 0.2)]).toEqual([0, 0]);
  expect(along(curve, 0.6)).toBeCloseTo(0.5, 12);
  expect(along(curve, 1)).toBe(1);
  expect(along(curve, 2)).toBeCloseTo(0.75, 12);
  expect([along(curve, 3), along(curve, 99)]).toEqual([0.5, 0.5]);
});

test("between its cold and its warm ways a fish goes over by the temperature, and no further", () => {
  const fish = {
    turn: [8, 16],
    depth: { warm: [[0, 0] as const, [2, 1] as const], cold: [[0, 1] as const, [2, 0] as const] },
    speed: { warm: [[0, 0.2] as const, [1, 0.2] as const], cold: [[0, 0.8] as const, [1, 0.8] as const] },
  } as unknown as Suitability;
  expect([warmth(fish, 0), warmth(fish, 8), warmth(fish, 12), warmth(fish, 16), warmth(fish, 30)]).toEqual([
    0, 0, 0.5, 1, 1,
  ]);
  expect(suits(fish, 30).depth(1.5)).toBeCloseTo(0.75, 12);
  expect(suits(fish, 0).depth(1.5)).toBeCloseTo(0.25, 12);
  expect(suits(fish, 12).depth(1.5)).toBeCloseTo(0.5, 12);
  expect(suits(fish, 12).speed(0.4)).toBeCloseTo(0.5, 12);
});

test("territory of a salmonid by its length", () => {
  // Grant & Kramer 1990: log A = 2.61 log L - 2.83; a fish of 10 cm holds about 0.6 m2, one of 30 cm about 10.6 m2.
  const area = (length: number) => Math.PI * (territoryAcross(length) / 2) ** 2;
  expect(area(10)).toBeCloseTo(0.603, 2);
  expect(area(30)).toBeCloseTo(10.6, 1);
});

test("the water of the year warms from late January to late July in the north, the other way round in the south", () => {
  const day = (month: number, date: number) => Date.UTC(2026, month - 1, date, 12);
  expect([turningOf(day(1, 19), 50), turningOf(day(1, 20), 50)]).toEqual(["cooling", "warming"]);
  expect([turningOf(day(7, 24), 50), turningOf(day(7, 25), 50)]).toEqual(["warming", "cooling"]);
  expect(turningOf(day(5, 1), -40)).toBe("cooling");
  expect(turningOf(day(10, 1), -40)).toBe("warming");
  expect(turningOf(day(5, 1), 0)).toBe("warming");
});

describe("the fish's year", () => {
  const trout = speciesById("brown-trout");
  const bass = speciesById("smallmouth-bass");

  test("a time of the year is by temperature at both ends, and by the turn where it matters", () => {
    for (const species of [trout, bass])
      for (const way of species.seasons ?? []) {
        if (way.temperature === null) continue;
        const [low, high] = way.temperature;
        const turning = way.turning;
        // Ways may overlap: the first that fits is taken, so that it is this one or one before it.
        const order = species.seasons!.indexOf(way);
        for (const temperature of [low, high]) {
          const found = seasonalHabitsOf(species, temperature, turning);
          expect(species.seasons!.indexOf(found!)).toBeLessThanOrEqual(order);
        }
        if (turning) {
          const other = turning === "warming" ? "cooling" : "warming";
          expect(seasonalHabitsOf(species, low, other)).not.toBe(way);
          expect(seasonalHabitsOf(species, low, undefined)).not.toBe(way);
        }
      }
  });

  test("asked for by name it is found, and what a fish does not do is not", () => {
    expect(seasonalHabitsIn(trout, "spawn")).toMatchObject({ phase: "spawn", leaveAlone: true });
    expect(seasonalHabitsIn({ ...trout, seasons: undefined }, "spawn")).toBeUndefined();
  });

  test("a season changes the curves that it names and nothing else", () => {
    expect(inSeason(bass, undefined)).toBe(bass);
    const depth = [[1, 0] as const, [2, 1] as const] as never;
    const staged = inSeason(bass, { phase: "staging", temperature: null, depth } as never);
    if (staged.model !== "ambush" || bass.model !== "ambush") throw new Error("smallmouth wait beside the current");
    expect(staged.suitability.depth).toEqual({ warm: depth, cold: depth });
    expect(staged.suitability.speed).toEqual(bass.suitability.speed);
    expect(staged.cover).toEqual(bass.cover);
    const salmon = inSeason(speciesById("king-salmon"), { phase: "staging", temperature: null, depth } as never);
    expect(salmon).toMatchObject({ suitability: { depth: { warm: depth } } });
    const drift = inSeason(trout, { phase: "winter", temperature: null, depth, bare: 0.3 } as never);
    expect(drift).toMatchObject({ wants: { depth }, bare: 0.3 });
  });
});
