import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { LieKind, ReadLie } from "./bank-records";
import type { Effort } from "./effort";

/**
 * What a river's own fish say beside the model: each place that was fished is held against what its score let expect,
 * blank or not, and classes of depth, speed and sort of place are moved by what came. A Poisson model with a gamma
 * prior
 * about 1 for each class (conjugate: Gelman et al. 2013, section 2.6), solved class by class until it stands.
 */

/** Edges of depth, m, and of speed at the fish, m/s. */
export const DEPTH_EDGES = [0, 0.4, 0.7, 1, 1.4, 2, 3, 60] as const;
export const SPEED_EDGES = [0, 0.1, 0.2, 0.35, 0.5, 0.75, 20] as const;

/** Fish that the prior is worth in each class: so many are wanted to move it by half. */
export const PRIOR_FISH = sourced(4, "fish", COMMON_PRACTICE);
/** A score of nothing is not nothing: a place that was fished is worth at least this share of the best. */
const LEAST_SHARE = 0.1;
const ROUNDS = 40;

export interface Liking {
  /** "depth 2", "speed 0", "kind deep": the class. */
  key: string;
  /** How many times as good as the model has it. */
  factor: number;
  fish: number;
  /** Fish that the model's scores let expect there. */
  expected: number;
}

export interface Preference {
  likings: Liking[];
  hours: number;
  fish: number;
}

/** What tells one place from another. */
export interface Traits {
  kind: LieKind;
  depth: number;
  speed: number;
}

const spanOf = (edges: readonly number[], value: number): number =>
  Math.max(0, edges.findIndex((edge) => value < edge) - 1);

/** The classes that a place is in. */
export const classesOf = ({ kind, depth, speed }: Traits): string[] => [
  `depth ${spanOf(DEPTH_EDGES, depth)}`,
  `speed ${spanOf(SPEED_EDGES, speed)}`,
  `kind ${kind}`,
];

interface Visit {
  session: string;
  /** What the model lets expect of an hour, and of all of them, without scale. */
  share: number;
  worth: number;
  hours: number;
  fish: number;
  classes: string[];
}

const visitsOf = (efforts: readonly Effort[]): Visit[] =>
  efforts.flatMap(({ session, stretch, hours, catches }): Visit[] =>
    stretch?.read && hours > 0 ? [visitTo(stretch.read, session, hours, catches.length)] : [],
  );

function visitTo(read: ReadLie, session: string, hours: number, fish: number): Visit {
  const share = Math.max(LEAST_SHARE, read.share);
  return { session, hours, share, worth: hours * share, fish, classes: classesOf(read) };
}

const productOf = (classes: readonly string[], factors: ReadonlyMap<string, number>): number =>
  classes.reduce((product, key) => product * (factors.get(key) ?? 1), 1);

const sum = <T>(items: readonly T[], of: (item: T) => number): number =>
  items.reduce((total, item) => total + of(item), 0);

/** Factors of the classes, each by its own fish over what all the others let expect. */
function factorsOf(visits: readonly Visit[]): Map<string, number> {
  const keys = [...new Set(visits.flatMap((visit) => visit.classes))].sort();
  const factors = new Map(keys.map((key) => [key, 1]));
  const fish = sum(visits, (visit) => visit.fish);
  if (fish === 0) return factors;
  for (let round = 0; round < ROUNDS; round++) {
    const scale = fish / sum(visits, (visit) => visit.worth * productOf(visit.classes, factors));
    for (const key of keys) {
      const own = visits.filter((visit) => visit.classes.includes(key));
      const expected = sum(own, (visit) => scale * visit.worth * productOf(visit.classes, factors)) / factors.get(key)!;
      factors.set(key, (PRIOR_FISH.value + sum(own, (visit) => visit.fish)) / (PRIOR_FISH.value + expected));
    }
  }
  return factors;
}

/** The likings of a river's fish, by what was fished there; with no fish or no read place they are the model's. */
export function learnPreference(efforts: readonly Effort[]): Preference {
  const visits = visitsOf(efforts);
  const factors = factorsOf(visits);
  const fish = sum(visits, (visit) => visit.fish);
  const worth = sum(visits, (visit) => visit.worth);
  return {
    hours: sum(visits, (visit) => visit.hours),
    fish,
    likings: [...factors].map(([key, factor]): Liking => {
      const own = visits.filter((visit) => visit.classes.includes(key));
      return {
        key,
        factor,
        fish: sum(own, (visit) => visit.fish),
        expected: worth > 0 ? (fish * sum(own, (visit) => visit.worth)) / worth : 0,
      };
    }),
  };
}

/** How many times as good as the model has it a place is to this river's fish. */
export const likedAs = (likings: readonly Pick<Liking, "key" | "factor">[], traits: Traits): number =>
  productOf(classesOf(traits), new Map(likings.map(({ key, factor }) => [key, factor])));

export interface Trial {
  /** Pairs of places of one session, one of which gave more fish an hour than the other. */
  pairs: number;
  /** Share of them that the model alone, and the model as moved by the other sessions, put in the right order. */
  before: number;
  after: number;
  /** Does it rank better on sessions that it has not seen, by more than chance would nine times in ten? */
  better: boolean;
}

/** Sessions are left out by so many parts. */
const PARTS = 5;
/** Pairs without which nothing is said. Common practice, no source. */
const LEAST_PAIRS = 10;

/**
 * Is the ranking better on sessions that were left out (cross-validation, Stone 1974)? Null with too few pairs. Ties
 * count half.
 */
export function tryPreference(efforts: readonly Effort[]): Trial | null {
  const visits = visitsOf(efforts);
  const sessions = [...new Set(visits.map((visit) => visit.session))].sort();
  let [pairs, before, after] = [0, 0, 0];
  const gains: number[] = [];
  for (let part = 0; part < PARTS; part++) {
    const out = new Set(sessions.filter((_, k) => k % PARTS === part));
    const factors = factorsOf(visits.filter((visit) => !out.has(visit.session)));
    for (const session of out) {
      const own = visits.filter((visit) => visit.session === session);
      const begun = after - before;
      for (const [a, b] of pairsOf(own)) {
        const right = Math.sign(a.fish / a.hours - b.fish / b.hours);
        if (right === 0) continue;
        pairs++;
        const moved = (visit: Visit) => visit.share * productOf(visit.classes, factors);
        before += agreement(right, a.share - b.share);
        after += agreement(right, moved(a) - moved(b));
      }
      gains.push(after - before - begun);
    }
  }
  if (pairs < LEAST_PAIRS) return null;
  return { pairs, before: before / pairs, after: after / pairs, better: isGain(gains) };
}

/** Sessions are what is independent: their mean gain over its standard error, one-sided at nine in ten. */
function isGain(gains: readonly number[]): boolean {
  const mean = sum(gains, (gain) => gain) / gains.length;
  const variance = sum(gains, (gain) => (gain - mean) ** 2) / Math.max(1, gains.length - 1);
  return mean > 0 && mean >= 1.282 * Math.sqrt(variance / gains.length);
}

const agreement = (right: number, told: number): number => (told === 0 ? 0.5 : Math.sign(told) === right ? 1 : 0);

const pairsOf = <T>(items: readonly T[]): [T, T][] =>
  items.flatMap((a, k) => items.slice(k + 1).map((b): [T, T] => [a, b]));
