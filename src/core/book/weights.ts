import { z } from "zod";
import { speciesById } from "../fish/species";
import { standardWeight } from "../fish/standard-weight";
import { above } from "../quantity/checks";
import { refuse } from "../quantity/issue";
import { habitsOf } from "../fish/species-habits";
import { INCH, POUND } from "../quantity/units";

/** How a fish was measured: to the tips of the tail, with the tail pinched together, or to its fork. */
export const LENGTH_KINDS = ["total", "pinched", "fork"] as const;
export type LengthKind = (typeof LENGTH_KINDS)[number];

/** What `heron fish` reads: m and kg. */
const fishSchema = z.object({
  species: z.string().min(1).max(80),
  length: above(0, 4),
  lengthKind: z.enum(LENGTH_KINDS).default("total"),
  weight: above(0, 500).optional(),
  girth: above(0, 4).optional(),
});
export type MeasuredFish = z.input<typeof fishSchema>;

export interface FishWeights {
  /** Total length, m. */
  totalLength: number;
  /** kg; null where no standard is published. */
  standardWeight: number | null;
  /** 100 times its weight over the standard one; null where either is not known. */
  relativeWeight: number | null;
  /** By length and girth, kg; null without a girth. */
  girthWeight: number | null;
}

/** Total length, m: tails pinched together are how standard lengths are taken. */
export const totalLength = (species: string, length: number, kind: LengthKind): number =>
  kind === "fork" ? length * habitsOf(species).overFork : length;

/** Girth rule, kg: W (lb) = L G^2 / 800, inches (common practice, no source). */
export const girthWeight = (length: number, girth: number): number =>
  (((length / INCH) * (girth / INCH) ** 2) / 800) * POUND;

/**
 * Standard weight by length, log10 W (g) = a + b log10 L (mm, total), relative weight Wr = 100 W / Ws (Anderson &
 * Neumann 1996; Neumann et al. 2012), and the girth rule.
 * @throws InputError "bad-fish", "unknown-species"
 */
export function fishWeights(fish: MeasuredFish): FishWeights {
  const parsed = fishSchema.safeParse(fish, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-fish");
  const { species: id, length, lengthKind, weight, girth } = parsed.data;
  const species = speciesById(id);
  const total = totalLength(id, length, lengthKind);
  const grams = standardWeight(species, total * 1000);
  const standard = grams === undefined ? null : grams / 1000;
  return {
    totalLength: total,
    standardWeight: standard,
    relativeWeight: standard === null || weight === undefined ? null : (100 * weight) / standard,
    girthWeight: girth === undefined ? null : girthWeight(total, girth),
  };
}
