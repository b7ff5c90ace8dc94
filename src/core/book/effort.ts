import { HOUR } from "../gauge/series";
import type { EffortInterval } from "./bank-records";
import type { Catch, RiverState, Session } from "./records";

/** Hours from a start to an end; what still runs counts to `now` (ms). */
export const hoursOf = ({ start, end }: { start: string; end: string | null }, now: number): number =>
  Math.max(0, (end === null ? now : Date.parse(end)) - Date.parse(start)) / HOUR;

/**
 * Rod-hours of a session: of its stretches, where it was kept in stretches, so that pauses do not count; else from its
 * start to its end with all its rods.
 */
export function rodHours(session: Session, now: number, stretches: readonly EffortInterval[] = []): number {
  const own = stretches.filter((one) => one.session === session.id && !one.deleted);
  return own.length > 0 ? own.reduce((sum, one) => sum + hoursOf(one, now), 0) : hoursOf(session, now) * session.rods;
}

/** Fishing under one state of the river, with what was caught in it. */
export interface Effort {
  session: string;
  /** Undefined where the session was not kept in stretches. */
  stretch?: EffortInterval;
  reach: string;
  /** ms; what is not counted in between (pauses of a session without stretches) is not known. */
  start: number;
  end: number;
  river: RiverState | null;
  sky?: Session["sky"];
  hours: number;
  catches: Catch[];
}

/**
 * Sessions as effort, each of its stretches by itself: blanks count, deleted records and fish that were lost do not,
 * nor do sessions whose hours nobody counted.
 * With a species, only its catches count and only sessions that were after it.
 */
export function effortOf(
  sessions: readonly Session[],
  catches: readonly Catch[],
  now: number,
  species?: string,
  stretches: readonly EffortInterval[] = [],
): Effort[] {
  const fishOf = bySession(
    catches.filter((one) => !one.deleted && one.lost === undefined && (!species || one.species === species)),
  );
  const kept = bySession(stretches.filter((one) => !one.deleted));
  return sessions
    .filter((session) => session.hoursKnown !== false)
    .filter((session) => !session.deleted && (!species || session.species === species || fishOf.has(session.id)))
    .flatMap((session): Effort[] => {
      const fish = fishOf.get(session.id) ?? [];
      const own = kept.get(session.id);
      return own
        ? effortOfStretches(own, fish, now, session)
        : [
            {
              ...whole(session, session, now),
              river: session.river,
              hours: rodHours(session, now),
              catches: fish,
            },
          ];
    })
    .filter((effort) => effort.hours > 0 || effort.catches.length > 0);
}

/** What a piece of fishing has from its session, and its span. */
const whole = ({ id, reach, sky }: Session, { start, end }: Pick<Session, "start" | "end">, now: number) => ({
  session: id,
  reach,
  sky,
  start: Date.parse(start),
  end: end === null ? now : Date.parse(end),
});

/** Records by their session, in their order. */
export function bySession<T extends { session: string }>(records: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of records) {
    const group = groups.get(one.session);
    if (group) group.push(one);
    else groups.set(one.session, [one]);
  }
  return groups;
}

/** Each fish belongs to one stretch, so that fish add up as hours do. */
function effortOfStretches(
  stretches: readonly EffortInterval[],
  fish: readonly Catch[],
  now: number,
  session: Session,
): Effort[] {
  const efforts = stretches.map((stretch): Effort & { stretch: EffortInterval } => ({
    ...whole(session, stretch, now),
    stretch,
    river: stretch.river,
    hours: hoursOf(stretch, now),
    catches: [],
  }));
  for (const one of fish) {
    const best = stretchOf(one, stretches, now);
    efforts.find(({ stretch }) => stretch === best)!.catches.push(one);
  }
  return efforts;
}

/**
 * The stretch that a fish came in: of its rod and angler, where those are known, the one in whose time it was caught,
 * or the nearest in time. The stretch that it names decides only among those of one moment, since a long stretch is cut
 * afterwards where the river became another.
 */
export function stretchOf(fish: Catch, stretches: readonly EffortInterval[], now: number): EffortInterval {
  const at = Date.parse(fish.at);
  const away = (one: EffortInterval): number => {
    const [start, end] = [Date.parse(one.start), one.end === null ? now : Date.parse(one.end)];
    return at < start ? start - at : at > end ? at - end : 0;
  };
  const rank = (one: EffortInterval): number[] => [
    Number(fish.rod !== undefined && one.rod !== fish.rod) +
      Number(fish.angler !== undefined && one.angler !== fish.angler),
    away(one),
    Number(one.id !== fish.stretch),
    // Of two that meet in that moment, the one that it ended.
    Date.parse(one.start),
  ];
  return [...stretches].sort((a, b) => compare(rank(a), rank(b)))[0]!;
}

function compare(a: readonly number[], b: readonly number[]): number {
  const k = a.findIndex((value, index) => value !== b[index]);
  return k < 0 ? 0 : a[k]! - b[k]!;
}
