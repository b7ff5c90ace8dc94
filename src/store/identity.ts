import { ulid } from "ulid";

/** A new id: time first, so that ids sort by age; random after (ULID). */
export const newId = (now: number = Date.now()): string => ulid(now);
