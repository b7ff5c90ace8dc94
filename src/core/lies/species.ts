import { InputError } from "../errors";
import type { Substrate } from "../flow/substrate";
import { SPECIES } from "./species-list";

/** A curve by points [x, y], straight between them and level beyond. */
export type Curve = readonly (readonly [number, number])[];

interface Common {
  id: string;
  name: string;
  /** Fork length of the fish looked for, cm (common practice, no source). */
  forkLength: number;
  /** log10 W(g) = a + b log10 L(mm): standard weight (Anderson & Neumann 1996; from memory); null where none is published. */
  weight: { a: number; b: number } | null;
  /** Height of the fish's eye above the bed, m (physics section 3). */
  focalHeight: number;
  /** Distance that a fish keeps clear of the next, m. */
  territory: number;
  /** Least depth it will hold in, m. */
  leastDepth: number;
  /** Over this water temperature it should be left alone, degC (usual caution; local rules stand). */
  restAbove: number;
  source: string;
}

/** Lives off what drifts by: trout. Scored by net energy (foraging.ts). */
export interface DriftFeeder extends Common {
  model: "drift";
  /** Length of the drifting prey, mm (common practice, no source). */
  preyLength: number;
}

/** How well a place suits, 0..1, in warm and in cold water; between the two temperatures the curves are mixed. */
export interface Suitability {
  /** By depth, m. */
  depth: { warm: Curve; cold: Curve };
  /** By speed at the fish, m/s. */
  speed: { warm: Curve; cold: Curve };
  /** Cold below the first, warm above the second, degC. */
  turn: readonly [number, number];
}

/** Waits beside the current: bass, walleye, catfish and others. Scored by suitability and by fast water near by (ambush.ts). */
export interface Ambusher extends Common {
  model: "ambush";
  suitability: Suitability;
  /** How far off fast water still serves, m, and how much of the score hangs on it, 0..1. */
  ambush: { reach: number; weight: number };
  /** How much of the score hangs on a break, on wood, and on a step of the bed near by, 0..1. */
  cover: { stone: number; wood: number; ledge: number };
  /** How much it shuns light, 0..1. */
  shy: number;
  /** Bottoms it likes less than the rest, 0..1; read where the reach has more than one. */
  substrate: Partial<Record<Substrate, number>>;
}

/** Passes through without feeding: salmon and steelhead on the run. Scored by the cheapest way up (travel.ts). */
export interface Traveller extends Common {
  model: "travel";
  suitability: Suitability;
  /** Least depth, m, and greatest speed, m/s, that it passes (adult passage criteria, Thompson 1972; from memory). */
  passage: { depth: number; speed: number };
}

export type Species = DriftFeeder | Ambusher | Traveller;

export function speciesById(id: string): Species {
  const found = SPECIES.find((species) => species.id === id);
  if (!found) throw new InputError("unknown-species", `“${id}” is not a species that can be read. Known: ${SPECIES.map((species) => species.id).join(", ")}.`, { path: "species" });
  return found;
}

/** Standard weight at a total length, g; undefined where none is published. */
export const standardWeight = (species: Species, lengthMm: number): number | undefined => species.weight ? 10 ** (species.weight.a + species.weight.b * Math.log10(lengthMm)) : undefined;
