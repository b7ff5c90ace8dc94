import { z } from "zod";
import { speedAtHeight } from "../flow/profile";
import { between } from "../quantity/checks";
import { refuse } from "../quantity/issue";
import { DENSITY, type Metal } from "./drag";
import { fallSpeed } from "./fall";
import type { Water } from "./water";

const METALS = Object.keys(DENSITY) as [Metal, ...Metal[]];

/** What `heron sink` reads: SI but for the grams. bedRoughness 0: the same speed at every height. */
const sinkRequestSchema = z.strictObject({
  massGrams: between(0.01, 5000),
  material: z.enum(METALS),
  /** Cd times area of what dresses it, m2. */
  dragArea: between(0, 1).optional(),
  depth: between(0.01, 200),
  meanSpeed: between(0, 10),
  bedRoughness: between(0, 3).default(0.15),
});
export type SinkRequest = z.input<typeof sinkRequestSchema>;

export interface Sink {
  /** In still water, m/s. */
  terminalSpeed: number;
  /** To the bed: s, and how far the current sweeps it meanwhile, m. */
  seconds: number;
  swept: number;
  profile: { t: number; x: number; z: number }[];
}

const LAYERS = 200;

/** Speed at a height of a column, m/s; the same at every height where the bed has no roughness. */
export const speedIn = ({ depth, meanSpeed, bedRoughness }: Water, z: number): number =>
  bedRoughness > 0 ? speedAtHeight(meanSpeed, depth, Math.min(bedRoughness, 0.5 * depth), z) : meanSpeed;

/**
 * Sinking at terminal speed down the log profile, carried by each layer at its own speed: in even water the sweep is
 * speed times time exactly. The start (a few tenths of a second to full speed) is left out.
 * @param fall m/s, above 0
 * @param to height over the bed at which it stops, m
 */
export function sinkThrough(water: Water, fall: number, to = 0): Omit<Sink, "terminalSpeed"> {
  const drop = Math.max(0, water.depth - to);
  const step = drop / LAYERS;
  const profile = [{ t: 0, x: 0, z: water.depth }];
  let [t, x] = [0, 0];
  for (let k = 0; k < LAYERS; k++) {
    const dt = step / fall;
    t += dt;
    x += dt * speedIn(water, water.depth - (k + 0.5) * step);
    if ((k + 1) % 10 === 0) profile.push({ t, x, z: water.depth - (k + 1) * step });
  }
  return { seconds: t, swept: x, profile };
}

/** @throws InputError "bad-sink" */
export function sink(request: SinkRequest): Sink {
  const parsed = sinkRequestSchema.safeParse(request, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-sink");
  const { massGrams, material, dragArea, ...water } = parsed.data;
  const terminalSpeed = fallSpeed({ grams: massGrams, metal: material, dragArea });
  return { terminalSpeed, ...sinkThrough(water, terminalSpeed) };
}
