import type { Species } from "./species-schema";

/** Standard weight at a total length, g; undefined where none is published. */
export const standardWeight = (species: Species, lengthMm: number): number | undefined =>
  species.weight ? 10 ** (species.weight.a + species.weight.b * Math.log10(lengthMm)) : undefined;
