import fc from "fast-check";
import type { Known } from "../core/fish/lie-reasons";
import { reasonsFor } from "../core/fish/lie-reasons";
import type { Reason } from "../core/fish/reasons";
import { reasonText } from "./reasons";

test("every reason is told in both systems, with its numbers", () => {
  const reasons: Reason[] = [
    { kind: "speeds", focal: 0.25, adjacent: 0.6 },
    { kind: "seam", distance: 0.5, difference: 0.4, side: "slow" },
    { kind: "noSeam" },
    { kind: "drift", share: 1.4 },
    { kind: "drift", share: 0.4 },
    { kind: "energy", net: 0.9, timesMedian: 2.1 },
    { kind: "energy", net: 0.9, timesMedian: null },
    { kind: "energy", net: 0.01, timesMedian: 0.01 },
    { kind: "depth", depth: 1.2, visibleDepth: 0.8 },
    { kind: "depth", depth: 0.5, visibleDepth: 0.8 },
    { kind: "break", break: { kind: "stone", name: "split stone" }, distance: 0.7 },
    { kind: "brokenSurface", froude: 0.55 },
    { kind: "refuge", share: 0.9 },
    { kind: "exposed" },
    { kind: "ambush", fast: 0.9, slow: 0.2, reach: 2 },
    { kind: "ambush", fast: 0.3, slow: 0.3, reach: 2 },
    { kind: "ledge", step: 0.9 },
    { kind: "bright" },
    { kind: "bottom", substrate: "silt" },
    { kind: "lane", dearer: 0 },
    { kind: "lane", dearer: 0.03 },
    { kind: "rest", share: 1.4 },
    { kind: "rest", share: 0.9 },
  ];
  for (const reason of reasons)
    for (const system of ["metric", "us"] as const) expect(reasonText(reason, system)).toMatch(/^[A-Z0-9].*\.$/);
  expect(reasonText(reasons[0]!, "metric")).toBe("0.25 m/s at the fish, 0.60 m/s an arm's length away.");
  expect(reasonText(reasons[0]!, "us")).toContain("0.8 ft/s");
  expect(reasonText(reasons[10]!, "metric")).toBe("The split stone 0.7 m off for shelter.");
});

test("where typical water brings nothing, no multiple of it is told", () => {
  expect(reasonText({ kind: "energy", net: 0.9, timesMedian: null }, "metric")).not.toMatch(/×/);
  expect(reasonText({ kind: "energy", net: 0.01, timesMedian: 0.01 }, "metric")).not.toMatch(/0\.0/);
});

/** The figures of a sentence, in their order. */
const figures = (text: string): number[] => [...text.matchAll(/\d+(?:\.\d+)?/g)].map(([one]) => Number(one));

test("what is said of a lie follows from the figures beside it, over 300 random scenarios", () => {
  const speed = fc.double({ min: 0, max: 2, noNaN: true });
  const share = fc.double({ min: 0, max: 3, noNaN: true });
  fc.assert(
    fc.property(
      fc.record({ focal: speed, adjacent: speed, mean: speed, fast: speed, drift: share, net: share, cover: share }),
      fc.boolean(),
      fc.constantFrom("metric" as const, "us" as const),
      ({ focal, adjacent, mean, fast, drift, net, cover }, slowSide, system) => {
        const model: Reason[] = [
          { kind: "drift", share: drift },
          { kind: "energy", net: net - 1, timesMedian: net },
          { kind: "ambush", slow: mean, fast, reach: 2 },
        ];
        const at = {
          near: { distance: 1, seam: { speedDifference: Math.abs(adjacent - focal) } },
          neighbour: undefined,
          cover: { brokenSurface: [0], overhead: [0] },
          k: 0,
          refuge: cover / 3,
          field: { u: [mean], v: [0], depth: [1] },
          visibleDepth: 1,
          model,
          slowSide,
        } as unknown as Known;
        const lie = { depth: 0.8, focalSpeed: focal, adjacentSpeed: adjacent, cover: cover / 3 };
        const said = reasonsFor(lie, at).map((reason) => reasonText(reason, system));
        const find = (pattern: RegExp) => said.find((one) => pattern.test(one)) ?? "";
        const [own, beside] = figures(find(/at the fish/));
        // The speed at the fish is told once, under one name.
        expect(said.join(" ").match(/ here,| at the fish/g)).toHaveLength(1);
        if (/slow side/.test(find(/seam/i))) expect(own!).toBeLessThanOrEqual(beside!);
        if (/fast side/.test(find(/seam/i))) expect(own!).toBeGreaterThanOrEqual(beside!);
        const food = figures(find(/enters the reach/))[0]!;
        expect(/^The food line/.test(find(/enters the reach/))).toBe(food > 1);
        expect(/^Little food/.test(find(/enters the reach/))).toBe(food <= 0.7);
        expect(/^Feeding pays/.test(find(/Feeding pays|costs more/))).toBe(net - 1 > 0);
      },
    ),
    { numRuns: 300 },
  );
});
