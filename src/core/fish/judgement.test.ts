import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { DEMO_REACHES } from "../../demo/river";
import { needed, pays } from "./judgement";
import { readWithScore } from "./read";
import { speciesById } from "./species";

test("a place pays that stands out by a tenth and is worth two fifths of the best; nothing never does", () => {
  expect(needed({ best: 10, medianScore: 1 })).toBe(4);
  expect(needed({ best: 10, medianScore: 5 })).toBeCloseTo(5.5, 12);
  expect(pays(4, { best: 10, medianScore: 1 })).toBe(true);
  expect(pays(3.99, { best: 10, medianScore: 1 })).toBe(false);
  expect(pays(0, { best: 0, medianScore: 0 })).toBe(false);
});

describe("kind, score and sentence of every lie come from one judgement", () => {
  const reach = DEMO_REACHES[0]!;
  const fields = [3, 20].map((discharge) =>
    solveSteady(rasteriseReach(reach, 1), { discharge, downstream: reach.downstream }),
  );
  test.each(
    ["brown-trout", "king-salmon", "smallmouth-bass", "walleye", "channel-catfish"].flatMap((id) =>
      (["day", "night"] as const).flatMap((light) => [0, 1].map((k) => [id, light, k] as const)),
    ),
  )("%s by %s, flow %d", (id, light, k) => {
    const options = { species: speciesById(id), visibleDepth: 1, temperature: 12, light, features: reach.features };
    const { reading } = readWithScore(fields[k]!, options);
    const { lies } = reading;
    expect(lies.length).toBeGreaterThan(0);
    const best = Math.max(...lies.map((one) => one.score));
    for (const { kind, score, reasons, rank, place, whereabouts } of lies) {
      if (kind !== "resting") expect(score).toBeGreaterThanOrEqual(0.4 * best);
      if (kind !== "resting") expect(score).toBeGreaterThan(reading.medianScore);
      const energy = reasons.find((one) => one.kind === "energy");
      if (kind === "prime" || kind === "feeding") expect(energy?.net ?? 1).toBeGreaterThan(0);
      expect(reasons.filter((one) => one.kind === "rest" && kind !== "resting")).toEqual([]);
      expect(lies[rank - 1]!.score).toBe(score);
      // Told by what can be seen.
      expect(whereabouts.bank ?? whereabouts.mark).not.toBeNull();
      // One place is told once.
      const alike = lies.filter((one) => JSON.stringify(one.place) === JSON.stringify(place) && "break" in place);
      for (const one of alike.slice(1))
        expect(Math.hypot(one.x - alike[0]!.x, one.y - alike[0]!.y)).toBeGreaterThanOrEqual(4);
    }
  });
});
