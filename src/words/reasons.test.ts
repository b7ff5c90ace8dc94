import type { Reason } from "../core/fish/reasons";
import { tellReason } from "./reasons";

test("every reason is told in both systems, with its numbers", () => {
  const reasons: Reason[] = [
    { kind: "speeds", focal: 0.25, adjacent: 0.6 },
    { kind: "seam", distance: 0.5, difference: 0.4, slowSide: true },
    { kind: "noSeam" },
    { kind: "drift", share: 1.4 },
    { kind: "drift", share: 0.4 },
    { kind: "energy", net: 0.9, timesMedian: 2.1 },
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
    for (const system of ["metric", "us"] as const) expect(tellReason(reason, system)).toMatch(/^[A-Z0-9].*\.$/);
  expect(tellReason(reasons[0]!, "metric")).toBe("0.25 m/s at the fish, 0.60 m/s an arm's length away.");
  expect(tellReason(reasons[0]!, "us")).toContain("0.8 ft/s");
  expect(tellReason(reasons[8]!, "metric")).toBe("The split stone 0.7 m off for shelter.");
});
