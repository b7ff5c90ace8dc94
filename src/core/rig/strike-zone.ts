import type { Species } from "../fish/species-schema";
import { clarityClass } from "../gauge/clarity";

/**
 * Where a fish that faces up-current takes what passes, m: ahead of it, behind, to each side, and over and under it.
 */
export interface StrikeZone {
  ahead: number;
  behind: number;
  side: number;
  height: number;
}

/**
 * How far it goes for a lure: a quarter of a metre and its own length and a fifth, by how far it sees; less in cold
 * water. It sees what comes down its lane from farther than what passes to the side. Common practice, no source.
 */
const REACH = { base: 0.25, lengths: 1.2 };
const SEES = { muddy: 0.6, coloured: 0.75, green: 0.9, clear: 1, "gin-clear": 1.15 } as const;
const COLD = { under: 7, share: 0.7 };
const SHAPE = { ahead: 2.4, behind: 0.6, side: 0.71, height: 0.6 };

export function strikeZone(
  species: Pick<Species, "forkLength">,
  water: { visibleDepth: number; temperature: number },
): StrikeZone {
  const reach =
    (REACH.base + (REACH.lengths * species.forkLength) / 100) *
    SEES[clarityClass(water.visibleDepth)] *
    (water.temperature < COLD.under ? COLD.share : 1);
  return {
    ahead: SHAPE.ahead * reach,
    behind: SHAPE.behind * reach,
    side: SHAPE.side * reach,
    height: SHAPE.height * reach,
  };
}
