import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { DEMO_REACHES } from "../../demo/river";
import { readWithScore } from "./read";
import { speciesById } from "./species";

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
    for (const { kind, score, reasons, rank, place, whereabouts, x, y, others } of lies) {
      if (kind !== "resting") expect(score).toBeGreaterThanOrEqual(0.5 * best);
      if (kind !== "resting") expect(score).toBeGreaterThan(reading.medianScore);
      const energy = reasons.find((one) => one.kind === "energy");
      if (kind === "prime" || kind === "feeding") expect(energy?.net ?? 1).toBeGreaterThan(0);
      expect(reasons.filter((one) => one.kind === "rest" && kind !== "resting")).toEqual([]);
      expect(lies[rank - 1]!.score).toBe(score);
      // Told by what can be seen.
      expect(whereabouts.bank ?? whereabouts.mark).not.toBeNull();
      // One place is told once, and what else holds in it is told with it.
      const alike = lies.filter(
        (one) =>
          JSON.stringify(one.place) === JSON.stringify(place) && (one.kind === "resting") === (kind === "resting"),
      );
      for (const one of alike.slice(1))
        expect(Math.hypot(one.x - alike[0]!.x, one.y - alike[0]!.y)).toBeGreaterThanOrEqual("break" in place ? 4 : 12);
      for (const one of others) {
        expect(one.score).toBeLessThanOrEqual(score);
        expect(Math.hypot(one.x - x, one.y - y)).toBeLessThan(12);
      }
    }
    // No more of them than an angler can keep in mind, and one shelter beside.
    expect(lies.length).toBeLessThanOrEqual(7);
  });
});
