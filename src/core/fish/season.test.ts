import { wayWords } from "../../words/species";
import { type Ambusher, type DriftFeeder, speciesSchema } from "./species-schema";
import { fishedFor, inSeason, turningOf, seasonalHabitsIn, seasonalHabitsOf } from "./season";
import { speciesById } from "./species";
import { SPECIES } from "./species-list";
import { suits } from "./suitability";
import { territoryAcross } from "./territory";

const bass = speciesById("smallmouth-bass") as Ambusher;

test("every fish that ships is whole by the schema that own profiles are held to, with ways in words and a temperature range that ascends", () => {
  for (const species of SPECIES) {
    const parsed = speciesSchema.safeParse(species);
    expect(parsed.error?.issues ?? []).toEqual([]);
    expect(species.seasons!.length).toBeGreaterThan(0);
    for (const way of species.seasons!) {
      expect(wayWords(species.id, way)).toMatch(/\.$/);
      if (way.temperature) expect(way.temperature[0]).toBeLessThan(way.temperature[1]);
      if (way.phase === "spawn") expect(way.leaveAlone).toBe(true);
    }
  }
});

test("a profile with a curve that falls back, a share over one or a strange field is refused by its path", () => {
  const path = (change: object) => speciesSchema.safeParse({ ...bass, ...change }).error!.issues[0]!.path.join(".");
  expect(
    path({
      suitability: {
        ...bass.suitability,
        depth: {
          ...bass.suitability.depth,
          warm: [
            [1, 0.5],
            [0.5, 1],
          ],
        },
      },
    }),
  ).toBe("suitability.depth.warm");
  expect(path({ shy: 1.5 })).toBe("shy");
  expect(speciesSchema.safeParse({ ...bass, wings: 2 }).success).toBe(false);
  expect(speciesSchema.safeParse({ ...bass, suitability: { ...bass.suitability, turn: [15, 8] } }).success).toBe(false);
});

test("the water of the year warms in spring and cools in autumn, the other way round in the south", () => {
  const [may, october, january] = [Date.UTC(2026, 4, 1), Date.UTC(2026, 9, 10), Date.UTC(2026, 0, 5)];
  expect([may, october, january].map((at) => turningOf(at, 50))).toEqual(["warming", "cooling", "cooling"]);
  expect([may, october, january].map((at) => turningOf(at, -40))).toEqual(["cooling", "warming", "warming"]);
});

test("smallmouth: about 50 F in autumn stages in six to eight feet, by 60 F in spring it nests, in the 40s it winters deep and slow, over 77 F it wants shade and current (common practice, no source)", () => {
  const phase = (celsius: number, turning?: "warming" | "cooling") => seasonalHabitsOf(bass, celsius, turning)?.phase;
  expect(phase(10, "cooling")).toBe("staging");
  expect(phase(10, "warming")).toBeUndefined();
  expect(phase(10)).toBeUndefined();
  expect(phase(15.5, "warming")).toBe("spawn");
  expect(phase(6.5, "cooling")).toBe("winter");
  expect(phase(26)).toBe("summer");
  const staged = inSeason(bass, seasonalHabitsIn(bass, "staging")) as Ambusher;
  const { depth } = suits(staged.suitability, 10);
  // 6 and 8 ft are best; 3 and 14 ft are not.
  for (const feet of [6, 7, 8]) expect(depth(feet * 0.3048)).toBeCloseTo(1, 2);
  expect(depth(3 * 0.3048)).toBeLessThan(0.3);
  expect(depth(14 * 0.3048)).toBeLessThan(0.6);
  expect(staged.cover.edge).toBeGreaterThan(bass.cover.stone);
  expect(bass.cover.edge).toBeUndefined();
});

test("out of season a fish is what it was; trout in hot water count on cover, trout on the gravel are to be left alone", () => {
  expect(inSeason(bass, undefined)).toBe(bass);
  const trout = speciesById("brown-trout") as DriftFeeder;
  expect((inSeason(trout, seasonalHabitsOf(trout, 18, "warming")) as DriftFeeder).bare).toBeLessThan(0.65);
  expect(seasonalHabitsOf(trout, 7, "cooling")).toMatchObject({ phase: "spawn", leaveAlone: true });
  expect(seasonalHabitsOf(trout, 7, "warming")).toBeUndefined();
  // Nobody is led to the gravel by default.
  expect(fishedFor(trout, seasonalHabitsIn(trout, "spawn"))).toBe(trout);
  expect(fishedFor(trout, seasonalHabitsIn(trout, "winter"))).toEqual(
    inSeason(trout, seasonalHabitsIn(trout, "winter")),
  );
  expect((inSeason(trout, seasonalHabitsIn(trout, "winter")) as DriftFeeder).wants!.depth).toBeDefined();
});

test("the territory of a stream salmonid grows with its size: a trout of 10 cm holds 0.6 m2, one of 32 cm 12.6 m2 (Grant & Kramer 1990; from memory)", () => {
  const area = (cm: number) => (Math.PI / 4) * territoryAcross(cm) ** 2;
  expect(area(10)).toBeCloseTo(10 ** (2.61 - 2.83), 6);
  expect(area(32)).toBeCloseTo(12.57, 1);
  expect(speciesById("brown-trout").territory).toBe(territoryAcross(32));
});
