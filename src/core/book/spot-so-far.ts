import { MINUTE } from "../gauge/series";
import type { SpotSoFar } from "../tactics/next-step";
import type { Observation, EffortInterval } from "./bank-records";
import { hoursOf } from "./effort";
import type { Catch } from "./records";

const at = (instant: string): number => Date.parse(instant);

/** The stretches of a rod's present visit to its spot, in order: back to where it last fished another. */
export function visitOf(stretches: readonly EffortInterval[], rod: number): EffortInterval[] {
  const own = stretches
    .filter((one) => one.rod === rod && !one.deleted)
    .sort((a, b) => at(a.start) - at(b.start) || (a.id < b.id ? -1 : 1));
  const last = own.at(-1);
  const before = own.findLastIndex((one) => !sameSpot(one, last!));
  return own.slice(before + 1);
}

/** Are two spots one? Two of a reach may have the same name: their places tell them apart. */
export const sameSpot = (a: Pick<EffortInterval, "lie" | "place">, b: Pick<EffortInterval, "lie" | "place">): boolean =>
  a.lie === b.lie && a.place?.x === b.place?.x && a.place?.y === b.place?.y;

export const castsOf = (stretches: readonly EffortInterval[]): number =>
  stretches.flatMap((one) => one.casts).reduce((sum, { count }) => sum + count, 0);

/** What has come of a rod's visit to its spot, up to `now`, ms. */
export function spotSoFar(
  stretches: readonly EffortInterval[],
  observations: readonly Observation[],
  catches: readonly Catch[],
  rod: number,
  now: number,
): SpotSoFar {
  const visit = visitOf(stretches, rod);
  const [first, last] = [visit[0], visit.at(-1)];
  if (!first || !last) return { casts: 0, castsSince: 0, minutes: 0, sinceTake: null, tookFish: false, changes: [] };
  const ids = new Set(visit.map((one) => one.id));
  const noted = observations.filter((one) => !one.deleted && one.stretch !== null && ids.has(one.stretch));
  const fish = catches.filter((one) => !one.deleted && one.stretch !== undefined && ids.has(one.stretch));
  const takes = [
    ...noted.filter(({ kind }) => kind === "bite" || kind === "follow").map((one) => ({ at: at(one.at), fish: false })),
    ...fish.map((one) => ({ at: at(one.at), fish: true })),
  ].sort((a, b) => a.at - b.at);
  const take = takes.at(-1);
  const changes = noted.filter(({ kind }) => kind === "change");
  const casts = castsOf(visit);
  // What tells at which cast it was ends what was counted until then; a change that was taken opened a stretch.
  const marks = [...noted.flatMap(({ count }) => count ?? []), ...fish.flatMap(({ cast }) => cast ?? [])];
  return {
    casts,
    castsSince: Math.max(0, casts - Math.max(0, ...marks)),
    minutes: visit.reduce((sum, one) => sum + hoursOf(one, now) * 60, 0),
    sinceTake: take ? (now - take.at) / MINUTE : null,
    tookFish: take?.fish ?? false,
    changes: changes.flatMap(({ what }) => what ?? []),
  };
}

/** Spots that are rested or fed, the next to come back to first, as long as they were not fished since. */
export function returnsOf(observations: readonly Observation[], stretches: readonly EffortInterval[]): Observation[] {
  const later = (one: Observation) =>
    stretches.some((other) => !other.deleted && sameSpot(other, one) && at(other.start) > at(one.at));
  return observations
    .filter((one) => !one.deleted && one.until !== undefined && (one.kind === "rest" || one.kind === "primed"))
    .filter((one) => !later(one))
    .sort((a, b) => at(a.until!) - at(b.until!));
}
