import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach-schema";

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

/** A field with nothing in it, to be filled by hand: for tests. */
export function blankField(nx: number, ny: number, cell: number): Field {
  const make = () => new Float32Array(nx * ny);
  return {
    nx,
    ny,
    cell,
    discharge: 1,
    bed: make(),
    roughness: make(),
    depth: make(),
    u: make(),
    v: make(),
    speedDeviation: make(),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
}
