import type { Light } from "../gauge/light";
import type { DriftFeeder, Species } from "./species-schema";
import { turbidityFromVisibleDepth } from "../gauge/clarity";
import { cellsOf, type Field } from "../flow/grid";
import { scoreAmbush } from "./ambush";
import type { Cover } from "../water/cover";
import { foragerOf } from "./foraging";
import { netEnergy } from "./net-energy";
import type { ScoreField } from "./score-field";
import { along } from "./suitability";
import { scoreTravel } from "./travel";

export interface ScoreConditions {
  temperature: number;
  visibleDepth: number;
  light: Light;
}

/**
 * Weights of cover and refuge: a place without either keeps this share of its energy's worth. Common practice, no
 * source.
 */
const BARE = { cover: 0.65, refuge: 0.85 };

/**
 * The score of every cell by the model of the species. Drift and refuge are worked out only for the model that feeds on
 * them.
 */
export function scoreOf(
  field: Field,
  species: Species,
  at: ScoreConditions,
  drift: () => Float64Array,
  cover: Cover,
  refuge: () => Float32Array,
): ScoreField {
  if (species.model === "ambush") return scoreAmbush(field, species, cover, at);
  if (species.model === "travel") return scoreTravel(field, species, cover, at);
  return scoreDrift(field, species, at, drift(), cover, refuge());
}

/** Net energy of drift foraging, W, with cover and refuge as visible factors. */
function scoreDrift(
  field: Field,
  species: DriftFeeder,
  at: ScoreConditions,
  drift: Float64Array,
  cover: Cover,
  refuge: Float32Array,
): ScoreField {
  const fish = foragerOf(species, {
    temperature: at.temperature,
    turbidity: turbidityFromVisibleDepth(at.visibleDepth),
    light: at.light,
  });
  const { net, focalSpeed } = netEnergy(field, drift, fish, species);
  const bare = species.bare ?? BARE.cover;
  const { depth: byDepth, speed: bySpeed } = species.wants ?? {};
  const factors = {
    netEnergy: net,
    cover: cellsOf(new Float64Array(net.length), (k) => bare + (1 - bare) * cover.total[k]!),
    refuge: cellsOf(new Float64Array(net.length), (k) => BARE.refuge + (1 - BARE.refuge) * refuge[k]!),
    ...(species.wants && {
      season: focalSpeed.map(
        (speed, k) => (byDepth ? along(byDepth, field.depth[k]!) : 1) * (bySpeed ? along(bySpeed, speed) : 1),
      ),
    }),
  };
  const medianNet = medianOf(net.filter((value) => value > 0));
  return {
    score: net.map((value, k) =>
      Number.isNaN(value)
        ? NaN
        : Math.max(0, value) * factors.cover[k]! * factors.refuge[k]! * (factors.season ? factors.season[k]! : 1),
    ),
    focalSpeed,
    factors,
    reasons: (k) => [
      { kind: "drift", share: drift[k]! },
      { kind: "energy", net: net[k]!, timesMedian: medianNet > 0 ? net[k]! / medianNet : null },
    ],
  };
}

export function medianOf(values: Float64Array): number {
  if (values.length === 0) return 0;
  const sorted = Float64Array.from(values).sort();
  return sorted[Math.floor(sorted.length / 2)]!;
}
