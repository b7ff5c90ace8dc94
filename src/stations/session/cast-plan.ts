import type { Target } from "../../core/approach/targets";
import type { CastZone, Stretch } from "../../core/book/bank-records";

/** A place to cast to, with what is planned and what is done. */
export interface Knot {
  x: number;
  y: number;
  zone: CastZone;
  planned: number;
  done: number;
}
/** A line across the water, from the inside one out. */
export interface Thread {
  line: number;
  name: Target["line"];
  knots: Knot[];
}

/** Casts to a stand's targets as threads with knots; what was counted of them over a whole visit. */
export function threadsOf(targets: readonly Target[], stretches: readonly Pick<Stretch, "casts">[]): Thread[] {
  const names = [...new Set(targets.map((one) => one.line))];
  const casts = stretches.flatMap((one) => one.casts);
  return names.map((name, index) => {
    const line = index + 1;
    const knots = targets
      .filter((one) => one.line === name)
      .map((one): Knot => ({
        x: one.x,
        y: one.y,
        zone: one.name,
        planned: one.casts,
        done: casts
          .filter((cast) => cast.line === line && cast.zone === one.name)
          .reduce((sum, { count }) => sum + count, 0),
      }));
    return { line, name, knots };
  });
}

/** The next cast: the first knot that has had the least of its share, line by line, near before far. */
export function nextKnot(threads: readonly Thread[]): { thread: Thread; knot: Knot } | undefined {
  const all = threads.flatMap((thread) => thread.knots.map((knot) => ({ thread, knot })));
  const rounds = ({ knot }: { knot: Knot }) => Math.floor(knot.done / Math.max(1, knot.planned));
  const least = Math.min(...all.map(rounds));
  return all.find((one) => rounds(one) === least);
}
