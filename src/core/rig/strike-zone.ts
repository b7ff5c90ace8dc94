import type { Species } from "../fish/species-schema";
import { clarityClass } from "../gauge/clarity";
import type { Method } from "../tactics/methods";

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

/**
 * A fish on its run comes for a lure that swims: three times as far as it sees down, at most 9 m (20 to 30 ft in clear
 * water); to the sides half as far. Common practice, no source. It is no farther than drift feeders are known to react
 * to a thing of a lure's length: 12 x length in mm x (1 - exp(-0.2 fork length in cm)) cm (Hughes & Dill 1990, Can. J.
 * Fish. Aquat. Sci. 47; from memory), 7 m for 60 mm.
 */
const COMES = { times: 3, most: 9, side: 0.5, lure: 60 };
const SWUM: readonly Method[] = ["plug", "spinner", "spoon"];

const reactsAt = (millimetres: number, forkLength: number): number =>
  (12 * millimetres * (1 - Math.exp(-0.2 * forkLength))) / 100;

export function strikeZone(
  species: Pick<Species, "forkLength"> & { model?: Species["model"] },
  water: { visibleDepth: number; temperature: number },
  method?: Method,
): StrikeZone {
  const cold = water.temperature < COLD.under ? COLD.share : 1;
  const reach =
    (REACH.base + (REACH.lengths * species.forkLength) / 100) * SEES[clarityClass(water.visibleDepth)] * cold;
  const near = {
    ahead: SHAPE.ahead * reach,
    behind: SHAPE.behind * reach,
    side: SHAPE.side * reach,
    height: SHAPE.height * reach,
  };
  if (species.model !== "travel" || method === undefined || !SWUM.includes(method)) return near;
  const comes = cold * Math.min(COMES.times * water.visibleDepth, COMES.most, reactsAt(COMES.lure, species.forkLength));
  return { ...near, ahead: Math.max(near.ahead, comes), side: Math.max(near.side, COMES.side * comes) };
}
