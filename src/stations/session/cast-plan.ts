import type { Target } from "../../core/approach/targets";
import type { CastZone, EffortInterval } from "../../core/book/bank-records";

/** A place to cast to, with what is planned and what is done. */
export interface CastTarget {
  x: number;
  y: number;
  zone: CastZone;
  planned: number;
  done: number;
}
/** A line across the water, from the inside one out. */
export interface CastLine {
  line: number;
  name: Target["line"];
  places: CastTarget[];
}

/** Casts to a stand's targets as lines with places; what was counted of them over a whole visit. */
export function castLinesOf(
  targets: readonly Target[],
  stretches: readonly Pick<EffortInterval, "casts">[],
): CastLine[] {
  const names = [...new Set(targets.map((one) => one.line))];
  const casts = stretches.flatMap((one) => one.casts);
  return names.map((name, index) => {
    const line = index + 1;
    const places = targets
      .filter((one) => one.line === name)
      .map((one): CastTarget => ({
        x: one.x,
        y: one.y,
        zone: one.name,
        planned: one.casts,
        done: casts
          .filter((cast) => cast.line === line && cast.zone === one.name)
          .reduce((sum, { count }) => sum + count, 0),
      }));
    return { line, name, places };
  });
}

/** The next cast: the first place that has had the least of its share, line by line, near before far. */
export function nextTarget(lines: readonly CastLine[]): { line: CastLine; place: CastTarget } | undefined {
  const all = lines.flatMap((line) => line.places.map((place) => ({ line, place })));
  const rounds = ({ place }: { place: CastTarget }) => Math.floor(place.done / Math.max(1, place.planned));
  const least = Math.min(...all.map(rounds));
  return all.find((one) => rounds(one) === least);
}
