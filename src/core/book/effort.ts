import { HOUR } from "../gauge/series";
import type { Catch, RiverState, Session } from "./records";

/** Rod-hours of a session; one still running counts to `now` (ms). */
export function rodHours(session: Session, now: number): number {
  const end = session.end === null ? now : Date.parse(session.end);
  return (Math.max(0, end - Date.parse(session.start)) / HOUR) * session.rods;
}

/** A stretch of fishing under one state of the river, with what was caught in it. */
export interface Effort {
  session: string;
  river: RiverState | null;
  hours: number;
  catches: Catch[];
}

/**
 * Sessions as effort: blanks count, deleted records and fish that were lost do not. With a species, only its catches
 * count and only sessions
 * that were after it.
 */
export function effortOf(
  sessions: readonly Session[],
  catches: readonly Catch[],
  now: number,
  species?: string,
): Effort[] {
  const bySession = new Map<string, Catch[]>();
  for (const one of catches) {
    if (one.deleted || one.lost !== undefined || (species && one.species !== species)) continue;
    bySession.set(one.session, [...(bySession.get(one.session) ?? []), one]);
  }
  return sessions
    .filter((session) => !session.deleted && (!species || session.species === species || bySession.has(session.id)))
    .map((session) => ({
      session: session.id,
      river: session.river,
      hours: rodHours(session, now),
      catches: bySession.get(session.id) ?? [],
    }))
    .filter((effort) => effort.hours > 0 || effort.catches.length > 0);
}
