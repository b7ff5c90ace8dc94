import type { Grid } from "../../src/core/flow/grid";
import type { Downstream } from "../../src/core/flow/reach-schema";
import { stream } from "../../src/core/quantity/seeded";

/**
 * Beds that the solver was not tuned on, by a seeded generator: a channel 160 m by 44 m between banks that wanders,
 * with one kind of trouble in each. Invented data, for the bench alone.
 */
export interface Unseen {
  name: string;
  grid: Grid;
  downstream: Downstream;
  /** m3/s: low, middling, bank-full. */
  flows: readonly [number, number, number];
}

const KINDS = ["walls", "islands", "braids", "steps", "weed", "deep bends"] as const;
type Kind = (typeof KINDS)[number];
const [LENGTH, BREADTH, BANK] = [160, 44, 2.6];

/** Two beds of each kind. */
export const unseenBeds = (cell: number): Unseen[] =>
  KINDS.flatMap((kind, index) => [1, 2].map((turn) => bedOf(kind, 100 * index + turn, cell)));

interface Blob {
  x: number;
  y: number;
  along: number;
  across: number;
  height: number;
}

function bedOf(kind: Kind, seed: number, cell: number): Unseen {
  const random = stream(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const slope = kind === "steps" ? between(0.006, 0.012) : between(0.0015, 0.004);
  const swing = kind === "deep bends" ? between(7, 10) : between(0, 3);
  const wave = between(70, 130);
  const width = kind === "deep bends" ? between(18, 22) : between(26, 34);
  const deep = between(0.7, 1.3);
  const phase = between(0, 6);
  const blobs: Blob[] = Array.from({ length: kind === "islands" ? 4 : 5 }, () => ({
    x: between(25, LENGTH - 25),
    y: between(BREADTH / 2 - width / 3, BREADTH / 2 + width / 3),
    along: kind === "islands" ? between(6, 14) : between(1, 2.5),
    across: kind === "islands" ? between(2.5, 5) : between(1, 2.5),
    height: kind === "islands" ? between(1.4, 2.4) : between(0.5, 1.8),
  }));
  const walls = Array.from({ length: kind === "walls" ? 3 : 0 }, (_, k) => ({
    x: 35 + 40 * k + between(-6, 6),
    left: random() < 0.5,
    share: between(0.25, 0.45),
  }));
  const steps = Array.from({ length: kind === "steps" ? 4 : 0 }, (_, k) => 30 + 32 * k + between(-6, 6));
  const braids = kind === "braids" ? [between(0.6, 1), between(0.05, 0.09)] : [0, 0];
  const [nx, ny] = [Math.round(LENGTH / cell), Math.round(BREADTH / cell)];
  const z = new Float64Array(nx * ny);
  const roughness = new Float64Array(nx * ny);
  const rough = between(0.028, 0.04);
  for (let k = 0; k < nx * ny; k++) {
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const middle = BREADTH / 2 + swing * Math.sin((2 * Math.PI * x) / wave + phase);
    const s = (2 * (y - middle)) / width;
    const bowl = deep * Math.max(0, 1 - s * s * (1 + 0.5 * s * Math.cos((2 * Math.PI * x) / wave + phase)));
    let bed =
      slope * (LENGTH - x) - bowl + (Math.abs(s) > 1 ? Math.min(BANK, 3 * (Math.abs(s) - 1) * width * 0.25) : 0);
    bed +=
      braids[0]! *
      Math.max(0, Math.cos((2 * Math.PI * y) / 11 + 2 * Math.sin(braids[1]! * x))) *
      (Math.abs(s) < 1 ? 1 : 0) *
      Math.min(1, x / 25, (LENGTH - x) / 25);
    for (const step of steps) if (x > step) bed -= 0.35;
    if (steps.length) bed += (0.35 * (steps.length * x)) / LENGTH;
    for (const blob of blobs) {
      const r = Math.hypot((x - blob.x) / blob.along, (y - blob.y) / blob.across);
      if (r < 1) bed += blob.height * Math.sqrt(1 - r * r);
    }
    for (const wall of walls) {
      const reach = wall.left ? s + 1 < 2 * wall.share : 1 - s < 2 * wall.share;
      if (Math.abs(x - wall.x) < 1 && reach) bed += BANK;
    }
    z[k] = bed;
    roughness[k] = kind === "weed" && Math.sin(x / 9 + seed) + Math.sin(y / 4 + seed) > 0.6 ? 0.11 : rough;
  }
  const full = (width * deep ** (5 / 3) * Math.sqrt(slope)) / rough;
  const flow = (share: number) => Number((full * share).toPrecision(2));
  return {
    name: `${kind} ${seed % 10}`,
    grid: { nx, ny, cell, z, roughness },
    downstream: { kind: "normal", slope },
    flows: [flow(0.1), flow(0.4), flow(1)],
  };
}
