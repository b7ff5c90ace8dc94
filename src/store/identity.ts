import { ulid } from "ulid";

/** A new id: time first, so that ids sort by age; random after (ULID). */
export const newId = (now: number = Date.now()): string => ulid(now);

/** A time, ms, as an instant of ISO 8601. */
export const iso = (time: number): string => new Date(time).toISOString();
