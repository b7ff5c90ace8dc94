import { MINUTE } from "../gauge/series";
import type { Catch, Session } from "./records";

/** What in a log cannot both be true, or is there already: asked about before it is saved. */

type Span = Pick<Session, "start" | "end">;

/** The sessions that share time with a span, ms; one that only meets it does not. Nobody fishes twice at once. */
export const overlapping = <T extends Span & { id: string; deleted?: boolean }>(
  sessions: readonly T[],
  { start, end }: { start: number; end: number },
  own?: string,
): T[] =>
  sessions.filter(
    (one) =>
      one.id !== own &&
      !one.deleted &&
      Date.parse(one.start) < end &&
      (one.end === null ? Infinity : Date.parse(one.end)) > start,
  );

/** A fish may be noted so long after the last cast. Common practice, no source. */
const LATE = 10 * MINUTE;

/** Was a fish caught outside its session’s times, to the minute that forms give? */
export const isOutside = (at: number, { start, end }: Span): boolean =>
  at < Math.floor(Date.parse(start) / MINUTE) * MINUTE || (end !== null && at > Date.parse(end) + LATE);

/** Two lengths within so much are one, m: files round to the centimetre or the quarter inch. */
const SAME_LENGTH = 0.0065;

/** The fish of a log that a file tells again: the same kind and size at the same minute. */
export const sameFish = (
  fish: Pick<Catch, "species" | "length"> & { at: number },
  catches: readonly Pick<Catch, "species" | "length" | "at" | "deleted">[],
): boolean =>
  catches.some(
    (one) =>
      !one.deleted &&
      one.species === fish.species &&
      Math.abs(Date.parse(one.at) - fish.at) < MINUTE &&
      (one.length === null || fish.length === null
        ? one.length === fish.length
        : Math.abs(one.length - fish.length) <= SAME_LENGTH),
  );

/** A deleted record can be brought back for so long, days. Own choice. */
export const BIN_DAYS = 30;
export const isInBin = (one: { deleted?: boolean; updatedAt: string }, now: number): boolean =>
  one.deleted === true && now - Date.parse(one.updatedAt) < BIN_DAYS * 24 * 60 * MINUTE;
