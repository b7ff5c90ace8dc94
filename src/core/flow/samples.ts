import type { Reach } from "./reach-schema";

/** A short run of riffle and pool with a stone, solved quickly: for tests. */
export const sampleRun: Reach = {
  schema: "low-heron/reach@1",
  id: "sample-run",
  name: "Run",
  bed: {
    kind: "template",
    template: "riffle-run-pool",
    length: 60,
    width: 14,
    poolDepth: 1.2,
    slope: 0.003,
    wiggle: 2,
    cell: 0.5,
  },
  roughness: 0.035,
  downstream: { kind: "normal", slope: 0.003 },
  features: [{ kind: "boulder", id: "stone", x: 26, y: 12, diameter: 2, height: 1 }],
};
