import { ROUGHNESS } from "./substrate";

/**
 * The waters that a template can be, each as depth (in shares of the pool's depth under the riffle's crest; below 0 is
 * land) by
 * place: t from 0 at the top of the reach to 1 at its foot, s from -1 at the left edge to 1 at the right. Common
 * practice, no source.
 */
export interface Water {
  depth: (t: number, s: number, widthsLong: number) => number;
  /** Manning's n where it differs from the reach's. */
  roughness?: (t: number, s: number, widthsLong: number) => number | undefined;
}

export const TEMPLATES = [
  "riffle-run-pool",
  "bend",
  "boulder-garden",
  "weed-glide",
  "two-channels",
  "sand-bar",
  "backwater",
  "sluice",
  "tributary-mouth",
] as const;
export type TemplateName = (typeof TEMPLATES)[number];

type Table = readonly (readonly [number, number])[];

/** Depth along a riffle, run and pool: riffle crest 0, pool 1, tail shallowing again. */
export const RIFFLE_RUN_POOL: Table = [
  [0, 0.16],
  [0.1, 0.02],
  [0.24, 0.05],
  [0.34, 0.4],
  [0.48, 0.68],
  [0.6, 1],
  [0.74, 0.86],
  [0.88, 0.42],
  [1, 0.2],
];

/** Smooth interpolation through a table (cosine between points). */
export function along(table: Table, t: number): number {
  const k = Math.max(
    1,
    table.findIndex(([at]) => at >= t),
  );
  const [t0, a] = table[k - 1]!;
  const [t1, b] = table[k]!;
  const s = (1 - Math.cos(Math.PI * Math.min(1, Math.max(0, (t - t0) / (t1 - t0))))) / 2;
  return a + (b - a) * s;
}

/**
 * Every water ends over a shallow crest that holds it up, as pools and glides do: share of the depth along the reach.
 */
const HELD_UP: Table = [
  [0, 0.8],
  [0.12, 1],
  [0.84, 1],
  [0.94, 0.45],
  [1, 0.4],
];
export const heldUp = (t: number): number => along(HELD_UP, t);

/** 1 inside low..high, 0 outside, with soft shoulders of the given width. */
const within = (value: number, low: number, high: number, shoulder: number): number =>
  soft((value - low) / shoulder) * soft((high - value) / shoulder);
const soft = (x: number): number => {
  const t = Math.min(1, Math.max(0, x + 0.5));
  return t * t * (3 - 2 * t);
};
/** A dome of unit height: distance from its middle in radii. */
const dome = (r: number): number => (r < 1 ? Math.sqrt(1 - r * r) : 0);
const bowl = (s: number, middle: number): number =>
  Math.max(0, 1 - ((s - middle) / (s > middle ? 1 - middle : 1 + middle)) ** 2) ** 0.8;

export const WATERS: Record<Exclude<TemplateName, "riffle-run-pool">, Water> = {
  /** The deep line hugs the outside of each bend; a bar builds on the inside. */
  bend: {
    depth: (t, s) => (0.75 + 0.25 * Math.abs(Math.sin(2 * Math.PI * t))) * bowl(s, -0.62 * Math.sin(2 * Math.PI * t)),
  },
  /** Even shallow water strewn with stones in staggered rows, soft spots behind each. */
  "boulder-garden": {
    depth: (t, s, long) => {
      const [across, down] = [0.42, 0.42];
      const row = Math.round((t * long * 2) / down);
      const shift = row % 2 ? across / 2 : 0;
      const column = Math.round((s - shift) / across);
      const inside = t > 0.15 && t < 0.85 && Math.abs(column * across + shift) < 0.75;
      const r = Math.hypot(s - column * across - shift, t * long * 2 - row * down) / 0.11;
      return 0.6 * bowl(s, 0) ** 0.4 - (inside ? 0.85 * dome(r) : 0);
    },
  },
  /** A long even glide; beds of weed lean in from either side by turns, a clear run winding between. */
  "weed-glide": {
    depth: (_, s) => 0.75 * bowl(s, 0) ** 0.5,
    roughness: (t, s, long) => {
      const bed = Math.floor(t * long * 0.8);
      const side = bed % 2 ? 1 : -1;
      const along = (t * long * 0.8) % 1;
      return along > 0.15 && along < 0.85 && s * side > 0.15 && s * side < 0.85 ? ROUGHNESS.value.weed : undefined;
    },
  },
  /** A main channel, a ledge along it and a shelf, and a second, shallower channel beyond. */
  "two-channels": { depth: (_, s) => 0.28 + 0.72 * within(s, 0.12, 0.95, 0.12) + 0.34 * within(s, -0.8, -0.35, 0.2) },
  /** A bar of sand in the middle with stumps at its head; the river parts round it. */
  "sand-bar": {
    depth: (t, s, long) => {
      const bar = within(t, 0.34, 0.78, 0.12) * within(s, -0.36, 0.2, 0.25);
      const stumps = [-0.3, -0.08, 0.14].reduce(
        (most, at, k) => Math.max(most, dome(Math.hypot(s - at, (t - 0.33 - 0.012 * (k % 2)) * long * 2) / 0.075)),
        0,
      );
      return 0.85 * bowl(s, 0) ** 0.45 - 0.62 * bar - 0.75 * stumps;
    },
  },
  /** Beside the river a pocket of still water behind a spit, joined over a saddle at its foot. */
  backwater: {
    depth: (t, s) => {
      const river = 0.85 * bowl(Math.min(1, (s + 1) / 0.72 - 1), 0) ** 0.5;
      const pocket = 0.9 * within(t, 0.34, 0.72, 0.06) * within(s, 0.5, 0.97, 0.1);
      const saddle = 0.42 * within(t, 0.62, 0.71, 0.05) * within(s, 0.3, 0.6, 0.12);
      return s < 0.36 ? Math.max(river, saddle) : Math.max(pocket, saddle) - (pocket + saddle > 0.06 ? 0 : 0.8);
    },
  },
  /** A narrow sluice lets the river in as a jet; a scoured pool below with slack on both sides, then a glide. */
  sluice: {
    depth: (t, s) =>
      t < 0.07 && Math.abs(s) > 0.42
        ? -1
        : along(
            [
              [0, 0.45],
              [0.08, 0.5],
              [0.2, 1],
              [0.42, 0.85],
              [0.6, 0.5],
              [1, 0.45],
            ],
            t,
          ) *
          bowl(s, 0) ** 0.4,
  },
  /** A smaller stream comes in along the right bank and meets the river below the point of a spit. */
  "tributary-mouth": {
    depth: (t, s) => {
      const spit = within(t, 0.09, 0.46, 0.03) * within(s, 0.3, 0.46, 0.05);
      const side = s > 0.38 ? 0.5 * (t < 0.5 ? 1 : 1.3) : 0.9 * bowl(Math.min(1, (s + 1) / 0.7 - 1), 0) ** 0.5;
      const joined = 0.9 * bowl(s, 0) ** 0.5;
      const meet = soft((t - 0.5) / 0.2);
      return (side * (1 - meet) + joined * meet) * (1 - spit) - spit;
    },
  },
};
