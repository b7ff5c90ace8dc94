import { DAY, MINUTE } from "../gauge/series";
import { readWithScore } from "../fish/read";
import { speciesById } from "../fish/species";
import { rasteriseReach } from "../flow/rasterise";
import { checkReach } from "../flow/reach";
import { steadyFlow } from "../flow/steady";
import { finish } from "../flow/steps";
import { stream } from "../quantity/seeded";
import { clarityClass } from "../gauge/clarity";
import { heightFromShadow, question } from "./questions";
import { afterTry, BOXES, type Card, nextDrill, PASSED } from "./schedule";
import { scoreReading } from "./score-reading";
import { drillWater, GRADES } from "./waters";

const TROUT = speciesById("brown-trout");

describe("waters", () => {
  test.each(GRADES)("grade %p: sound beds, another for each seed, the same for the same", (grade) => {
    for (let seed = 0; seed < 8; seed++) {
      const { reach, discharge, risenFrom } = drillWater(grade, seed, stream(seed));
      expect(() => rasteriseReach(checkReach(reach))).not.toThrow();
      expect(discharge).toBeGreaterThan(0.5);
      expect(drillWater(grade, seed, stream(seed))).toEqual({ reach, discharge, risenFrom });
      // The last one is at rising water.
      expect(risenFrom === null ? Infinity : discharge / risenFrom).toBeGreaterThan(1.5);
      expect(risenFrom !== null).toBe(grade === 5);
    }
    expect(drillWater(grade, 1, stream(1)).reach.features).not.toEqual(drillWater(grade, 2, stream(2)).reach.features);
  });

  test("grades rise: more stones and wood, and at last more water", () => {
    const counts = GRADES.map((grade) => drillWater(grade, 1, stream(1)).reach.features!.length);
    expect(counts[0]).toBe(1);
    expect(counts.at(-1)!).toBeGreaterThanOrEqual(7);
    const flow = (grade: (typeof GRADES)[number]) => drillWater(grade, 1, stream(1)).discharge;
    expect(flow(5)).toBeGreaterThan(3 * flow(1));
  });
});

describe("marks on a solved water", () => {
  const { reach, discharge } = drillWater(2, 3, stream(3));
  const checked = checkReach(reach);
  const field = finish(steadyFlow(rasteriseReach(checked), { discharge, downstream: checked.downstream }));
  const { reading, score } = readWithScore(field, {
    species: TROUT,
    visibleDepth: 1,
    temperature: 12,
    light: "day",
    features: reach.features,
  });
  const scored = (lies: { x: number; y: number }[], seam: { x: number; y: number } | null = null) =>
    scoreReading({ lies, seam }, reading, score, field, TROUT);

  test("marks on the lies themselves and on a seam are full marks", () => {
    expect(reading.lies.length).toBeGreaterThan(1);
    const [x, y] = reading.seams[0]!.points[0]!;
    const found = scored(reading.lies.slice(0, 2), { x, y });
    expect(found.marks.map(({ is }) => is)).toEqual(["lie", "lie"]);
    expect(found.seam).toEqual({ distance: 0, points: 100 });
    expect(found.total).toBe(100);
  });

  test("one lie marked twice counts once; a mark on land is dry; a place far from any is told why", () => {
    const lie = reading.lies[0]!;
    const { marks, total } = scored([lie, { x: lie.x + 0.5, y: lie.y }, { x: 1, y: 0.2 }]);
    expect(marks.map(({ is }) => is)).toEqual(["lie", "again", "dry"]);
    expect(total).toBeCloseTo(100 / 3, 9);
    // The worst wet cell of all.
    let worst = -1;
    for (let k = 0; k < score.length; k++)
      if (field.depth[k]! > 0.02 && (worst < 0 || (score[k] ?? 0) < score[worst]!)) worst = k;
    const place = { x: ((worst % field.nx) + 0.5) * field.cell, y: (Math.floor(worst / field.nx) + 0.5) * field.cell };
    const [mark] = scored([place]).marks;
    expect(mark!.points).toBeLessThan(60);
    expect(mark!.distance).toBeGreaterThan(0);
  });

  test("nothing marked is nothing scored; a seam far from any has no points", () => {
    expect(scored([]).total).toBe(0);
    const far = scored([], { x: -500, y: -500 });
    expect(far.seam!.points).toBe(0);
    expect(far.total).toBe(0);
  });
});

describe("questions", () => {
  test("a float that is set deeper than the water drags and tips down-current; shallower it is off the bottom (craft)", () => {
    for (let seed = 0; seed < 60; seed++) {
      const one = question("float", stream(seed));
      if (one.kind !== "float") throw new Error();
      const state = one.options[one.answer];
      expect(one.setting > one.depth).toBe(state === "dragging");
      expect(one.lean > 5).toBe(state === "dragging");
      expect(one.dips).toBe(state === "rise");
    }
  });

  test("a clarity is that of the marks: knee of an angler of 1.75 m is half a metre, coloured", () => {
    const marks = new Map([
      ["ankle", 0.1],
      ["shin", 0.3],
      ["knee", 0.5],
      ["thigh", 0.75],
      ["waist", 1],
    ]);
    for (let seed = 0; seed < 40; seed++) {
      const one = question("clarity", stream(seed));
      if (one.kind !== "clarity") throw new Error();
      expect(one.options[one.answer]).toBe(clarityClass((marks.get(one.mark)! * one.height) / 1.75));
    }
  });

  test("height from a shadow: like triangles; a shadow as long as the range is half the height of the transducer", () => {
    expect(heightFromShadow(4, 5, 5)).toBe(2);
    expect(heightFromShadow(4, 6, 0)).toBe(0);
    for (let seed = 0; seed < 40; seed++) {
      const one = question("sounder", stream(seed));
      if (one.kind !== "sounder") throw new Error();
      const height = heightFromShadow(one.above, one.range, one.shadow);
      expect(Math.abs(one.options[one.answer]! - height)).toBeLessThan(0.051);
      expect(new Set(one.options).size).toBe(3);
      expect(Math.max(...one.options)).toBeLessThanOrEqual(one.above);
    }
  });
});

describe("what comes back when", () => {
  const T0 = Date.UTC(2026, 0, 1);
  test("right answers put it off longer each time; a miss brings it back in ten minutes", () => {
    let card: Card | undefined;
    const waits: number[] = [];
    for (let n = 0; n < 6; n++) {
      card = afterTry(card, 100, T0);
      waits.push(card.due - T0);
    }
    expect(waits).toEqual([BOXES[1], BOXES[2], BOXES[3], BOXES[4], BOXES[4], BOXES[4]]);
    const missed = afterTry(card, PASSED - 1, T0);
    expect(missed).toMatchObject({ box: 0, due: T0 + 10 * MINUTE, tries: 7, best: 100 });
    expect(afterTry(missed, PASSED, T0).due).toBe(T0 + DAY);
  });

  test("due ones first, then new ones in their order, then what is due soonest", () => {
    const order = ["a", "b", "c"] as const;
    const card = (due: number): Card => ({ box: 0, due, tries: 1, best: 0 });
    expect(nextDrill(order, {}, T0)).toBe("a");
    expect(nextDrill(order, { a: card(T0 + DAY) }, T0)).toBe("b");
    expect(nextDrill(order, { b: card(T0 - 1), a: card(T0 - 2) }, T0)).toBe("a");
    expect(nextDrill(order, { a: card(T0 + 3), b: card(T0 + 2), c: card(T0 + 5) }, T0)).toBe("b");
  });
});
