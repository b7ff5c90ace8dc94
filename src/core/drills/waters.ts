import type { Feature, Reach, Template } from "../flow/reach-schema";

/** A made-up water to be read: from one stone in plain water to a mess at rising water. Nothing of it is a real one. */
export interface DrillWater {
  reach: Reach;
  /** m3/s */
  discharge: number;
  /** What it was the day before, m3/s; null: it has stood. */
  risenFrom: number | null;
}

export const GRADES = [1, 2, 3, 4, 5] as const;
export type Grade = (typeof GRADES)[number];

interface WaterRecipe {
  template: Template["template"];
  width: number;
  stones: number;
  jams: number;
  wiggle: number;
  slope: number;
  /** Mean depth that the discharge is chosen for, m. */
  depth: number;
}

const RECIPES: Record<Grade, WaterRecipe> = {
  1: { template: "weed-glide", width: 12, stones: 1, jams: 0, wiggle: 0, slope: 0.002, depth: 0.6 },
  2: { template: "riffle-run-pool", width: 14, stones: 2, jams: 1, wiggle: 2, slope: 0.003, depth: 0.55 },
  3: { template: "bend", width: 16, stones: 3, jams: 1, wiggle: 5, slope: 0.003, depth: 0.7 },
  4: { template: "boulder-garden", width: 18, stones: 7, jams: 0, wiggle: 2, slope: 0.006, depth: 0.6 },
  5: { template: "two-channels", width: 22, stones: 6, jams: 2, wiggle: 4, slope: 0.004, depth: 1.1 },
};

const LENGTH = 70;
const CELL = 1;

/** A water of a grade; another for each seed. @param random uniform on 0..1, seeded by who asks */
export function drillWater(grade: Grade, seed: number, random: () => number): DrillWater {
  const { template, width, stones, jams, wiggle, slope, depth } = RECIPES[grade];
  const between = (low: number, high: number) => low + (high - low) * random();
  const middle = width / 2 + wiggle + 4;
  const features: Feature[] = [];
  for (let k = 0; k < stones; k++) {
    const diameter = between(2.2, 3.6);
    features.push({
      kind: "boulder",
      x: between(0.25, 0.75) * LENGTH,
      y: middle + between(-0.3, 0.3) * width,
      diameter,
      height: diameter * between(0.35, 0.55),
    });
  }
  for (let k = 0; k < jams; k++) {
    const side = random() < 0.5 ? -1 : 1;
    features.push({
      kind: "log-jam",
      x: between(0.35, 0.8) * LENGTH,
      y: middle + side * 0.4 * width,
      length: between(4, 6),
      width: 2.5,
      angle: side * between(40, 80),
      height: 2.5,
    });
  }
  const roughness = 0.035;
  const mean = depth ** (5 / 3);
  // A rise of so much of its depth since the day before.
  const before = grade === 5 ? (0.7 * depth) ** (5 / 3) : null;
  const flow = (part: number) => Number(((width * part * Math.sqrt(slope)) / roughness).toPrecision(2));
  return {
    // Manning's mean speed in a wide channel of that depth.
    discharge: flow(mean),
    risenFrom: before === null ? null : flow(before),
    reach: {
      schema: "low-heron/reach@1",
      id: `drill-${grade}-${seed}`,
      name: "drill",
      bed: {
        kind: "template",
        template,
        length: LENGTH,
        width,
        poolDepth: 0.9 + 0.1 * grade,
        slope,
        wiggle,
        cell: CELL,
      },
      roughness,
      downstream: { kind: "normal", slope },
      features,
    },
  };
}
