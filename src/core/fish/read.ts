import type { ScoreField } from "./score-field";
import type { Feature } from "../flow/reach-schema";
import type { Light } from "../gauge/light";
import type { Species } from "./species-schema";
import { type Field, speedAt } from "../flow/grid";
import { type Break, type Cover, breaksOf, coverOf, refugeOf, roofsOf } from "../water/cover";
import { driftConcentration } from "../water/drift";
import { type Eddy, findEddies } from "../water/eddies";
import { type Hold, holdsOf } from "./holds";
import { onSlowSide, reasonsFor, seamFor } from "./lie-reasons";
import { focalHeightIn } from "./net-energy";
import { onePlaceOnce, type OtherPlace } from "./one-place";
import { peaks } from "./peaks";
import type { Reason } from "./reasons";
import { type ScoreScale, pays } from "./judgement";
import { fastestNear, type LiePlace, nearestBreak, placeOf, type Whereabouts, whereaboutsOf } from "./lie-place";
import { medianOf, scoreOf } from "./score";
import { SHELTER_COVER, shelterOf } from "./shelter";
import { findSeams, type Seam } from "../water/seams";
import { groundOf } from "../water/land";
import { mainCurrent, mainHeading } from "../water/main-current";
import { type Structure, structureOf } from "../water/structure";

/**
 * Feeding: it pays to feed there; prime: and it is well hidden; resting: it does not pay, and shelters a fish, or one
 * on the run stops there.
 */
export type LieKind = "feeding" | "resting" | "prime";

/** A place to hold, m and m/s. Scores compare places of one species on one day; they are not chances of a fish. */
export interface Lie {
  rank: number;
  x: number;
  y: number;
  kind: LieKind;
  /** What it is called by, and where it is by what can be seen from the bank. */
  place: LiePlace;
  whereabouts: Whereabouts;
  score: number;
  /**
   * The score is their product. For drift feeders: net energy (W), cover, refuge; for others suitabilities from 0 to 1.
   */
  factors: Record<string, number>;
  depth: number;
  focalHeight: number;
  focalSpeed: number;
  adjacentSpeed: number;
  meanSpeed: number;
  /** Unit vector up-current, by the main current: water that turns back in a lee says nothing of it. */
  upCurrent: [number, number];
  seamDistance: number | null;
  cover: number;
  /** What drifts by, as a share of what enters the reach; null for fish that do not live off it. */
  drift: number | null;
  reasons: Reason[];
  /** The hold that it belongs to, and its place in it. */
  hold: Hold;
  /** More places to hold that an angler takes for this one: fish are spread through it. */
  others: OtherPlace[];
}

export interface Reading {
  seams: Seam[];
  eddies: Eddy[];
  structure: Structure;
  lies: Lie[];
  /** Median score over the wet cells that a fish can hold in. */
  medianScore: number;
}

export interface ReadOptions {
  species: Species;
  /** m */
  visibleDepth: number;
  /** degC */
  temperature: number;
  light: Light;
  features?: readonly Feature[];
  most?: number;
}

const ARM = 0.75;
/** Places to hold looked at, several of which may be one lie; lies told of them, and shelters beside. */
const MOST_PLACES = 9;
const MOST_LIES = 6;
const MOST_SHELTERS = 1;
/** Reads a field: seams, eddies, structure, wading zones, and the lies of a species in order of rank. */
export const readWater = (field: Field, options: ReadOptions): Reading => readWithScore(field, options).reading;

/** The same, with the score of every cell that the lies were taken from. */
export function readWithScore(field: Field, options: ReadOptions): { reading: Reading; score: Float64Array } {
  const { species } = options;
  const seams = findSeams(field);
  const breaks = breaksOf(field, options.features);
  const drift = species.model === "drift" ? driftConcentration(field) : undefined;
  const structure = structureOf(field, breaks);
  const cover = coverOf(field, breaks, options.visibleDepth, roofsOf(options.features));
  const refuge = refugeOf(field, cover);
  const scored = scoreOf(
    field,
    species,
    options,
    () => drift!,
    cover,
    () => refuge,
  );
  const { score, focalSpeed } = scored;
  const medianScore = medianOf(score.filter((value) => value > 0));

  const most = Math.max(options.most ?? 0, MOST_PLACES);
  const found = peaks(score, field, species.territory, most, []);
  const rated = { best: score[found[0]!] ?? 0, medianScore };
  const chosen = found.filter((k) => pays(score[k]!, rated));
  const shelter = shelterOf(score, focalSpeed, cover.total, refuge);
  const resting =
    species.model !== "drift" ? [] : peaks(shelter, field, species.territory * 1.5, MOST_SHELTERS, chosen);
  const at = { field, main: mainCurrent(field), bank: groundOf(field, options.features).bank, breaks, structure };

  const of = { options, seams, breaks, cover, refuge, drift, scored, rated, at };
  const lies = [...chosen, ...resting].map((k) => lieAt(field, k, of));
  // The list is in order of score, so that rank and score never disagree; one place is told once.
  const told = options.most ?? MOST_LIES;
  const ranked = onePlaceOnce(lies.sort((a, b) => b.score - a.score))
    .filter((lie, index) => index < told || resting.some((k) => k === cellOf(field, lie)))
    .map((lie, index) => ({ ...lie, rank: index + 1 }));
  return {
    reading: { seams, eddies: findEddies(field), structure, lies: inHolds(ranked), medianScore },
    score,
  };
}

/** What a reading knows of its water when it tells of a lie. */
interface Found {
  options: ReadOptions;
  seams: readonly Seam[];
  breaks: readonly Break[];
  cover: Cover;
  refuge: ArrayLike<number>;
  drift: ArrayLike<number> | undefined;
  scored: ScoreField;
  rated: ScoreScale;
  at: Parameters<typeof whereaboutsOf>[0] & Parameters<typeof placeOf>[0] & { main: Parameters<typeof mainHeading>[0] };
}

/** The lie at cell k, not yet ranked. */
function lieAt(
  field: Field,
  k: number,
  { options, seams, breaks, cover, refuge, drift, scored, rated, at }: Found,
): Omit<Lie, "hold" | "others"> {
  const [x, y] = [((k % field.nx) + 0.5) * field.cell, (Math.floor(k / field.nx) + 0.5) * field.cell];
  const near = seamFor(seams, x, y);
  const speed = speedAt(field, k);
  const feeds = pays(scored.score[k]!, rated);
  const sheltered = cover.total[k]! >= SHELTER_COVER;
  const [tx, ty] = mainHeading(at.main, x, y);
  const whereabouts = whereaboutsOf(at, x, y);
  const adjacentSpeed = fastestNear(field, x, y, ARM);
  const water = {
    x,
    y,
    depth: field.depth[k]!,
    focalSpeed: scored.focalSpeed[k]!,
    adjacentSpeed,
    cover: cover.total[k]!,
    drift: drift ? drift[k]! : null,
  };
  const neighbour = nearestBreak(breaks, x, y, 4);
  return {
    ...water,
    rank: 0,
    kind: options.species.model === "travel" || !feeds ? "resting" : sheltered ? "prime" : "feeding",
    place: placeOf(at, k, near, whereabouts),
    whereabouts,
    score: scored.score[k]!,
    factors: Object.fromEntries(Object.entries(scored.factors).map(([name, values]) => [name, values[k]!])),
    focalHeight: focalHeightIn(options.species, water.depth),
    meanSpeed: speed,
    upCurrent: [-tx, -ty],
    seamDistance: Number.isFinite(near.distance) ? near.distance : null,
    reasons: reasonsFor(water, {
      near,
      neighbour,
      cover,
      k,
      refuge: refuge[k]!,
      field,
      visibleDepth: options.visibleDepth,
      model: scored.reasons(k),
      slowSide: onSlowSide(near.seam, x, y),
    }),
  };
}

/** Lies in order of their rank, with the holds that they make. */
function inHolds<T extends Parameters<typeof holdsOf>[0][number]>(ranked: readonly T[]): (T & Pick<Lie, "hold">)[] {
  const holds = holdsOf(ranked);
  return ranked.map((lie, index) => ({ ...lie, hold: holds[index]! }));
}

/** Lies whose scores have been moved, in their order anew. */
export const rankedAnew = (lies: readonly Lie[]): Lie[] =>
  inHolds([...lies].sort((a, b) => b.score - a.score).map((lie, index) => ({ ...lie, rank: index + 1 })));

const cellOf = ({ nx, cell }: Field, { x, y }: { x: number; y: number }): number =>
  Math.floor(y / cell) * nx + Math.floor(x / cell);

/** The score alone of every cell, without seams or lies: for comparing a place at many flows. */
export function scoreWater(field: Field, options: ReadOptions): ScoreScale & { score: Float64Array } {
  const breaks = breaksOf(field, options.features);
  const cover = coverOf(field, breaks, options.visibleDepth, roofsOf(options.features));
  const { score } = scoreOf(
    field,
    options.species,
    options,
    () => driftConcentration(field),
    cover,
    () => refugeOf(field, cover),
  );
  const [top] = peaks(score, field, 0, 1, []);
  return { score, best: score[top!] ?? 0, medianScore: medianOf(score.filter((value) => value > 0)) };
}
