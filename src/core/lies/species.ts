import { InputError } from "../errors";
import { COMMON_PRACTICE, FROM_MEMORY } from "../quantity/provenance";

/** A fish as the models know it. Data, not code; the source of each figure stands beside it. */
export interface Species {
  id: string;
  name: string;
  /** Fork length of the fish looked for, cm (common practice, no source). */
  forkLength: number;
  /** Length of the drifting prey, mm (common practice, no source). */
  preyLength: number;
  /** log10 W(g) = a + b log10 L(mm): standard weight (Anderson & Neumann 1996; from memory). */
  weight: { a: number; b: number };
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

const trout = { forkLength: 32, preyLength: 6, focalHeight: 0.1, territory: 3, leastDepth: 0.2, restAbove: 20, source: `${COMMON_PRACTICE}; weights ${FROM_MEMORY}` };

export const SPECIES: readonly Species[] = [
  { ...trout, id: "brown-trout", name: "Brown trout", weight: { a: -4.867, b: 2.96 } },
  { ...trout, id: "rainbow-trout", name: "Rainbow trout", weight: { a: -5.023, b: 3.024 } },
];

export function speciesById(id: string): Species {
  const found = SPECIES.find((species) => species.id === id);
  if (!found) throw new InputError("unknown-species", `“${id}” is not a species that can be read yet. Known: ${SPECIES.map((species) => species.id).join(", ")}.`, { path: "species" });
  return found;
}

/** Standard weight at a total length, g. */
export const standardWeight = (species: Species, lengthMm: number): number => 10 ** (species.weight.a + species.weight.b * Math.log10(lengthMm));
