import { z } from "zod";
import { instantOf, instantsOf, localMinute } from "../core/quantity/local-time";
import { parseNumber } from "../core/quantity/number";
import { type Dimension, parseQuantity } from "../core/quantity/units";
import { clockZone } from "./clock-zone";
import { messageText } from "./messages";

/** Schemas of what is typed into a field: from text to SI, or the sentence that says what is wrong. */

interface Limits {
  /** Least and most that is taken, SI. */
  low?: number;
  high?: number;
  /** Strictly above `low`. */
  open?: boolean;
  /** What to say beyond the limits. */
  beyond: string;
}

function checked(value: number, limits: Limits | undefined, context: z.RefinementCtx): number {
  const { low = -Infinity, high = Infinity, open = false, beyond = "" } = limits ?? { beyond: "" };
  if (value > high || value < low || (open && value === low)) {
    context.addIssue({ code: "custom", message: beyond });
    return z.NEVER;
  }
  return value;
}

/** A quantity in any unit; a bare number is in `unit`. */
export const quantityEntry = (dimension: Dimension, unit: string, limits?: Limits) =>
  z.string().transform((text, context) => {
    const parsed = parseQuantity(text, dimension, unit);
    if (parsed.ok) return checked(parsed.value, limits, context);
    context.addIssue({ code: "custom", message: messageText(parsed.message) });
    return z.NEVER;
  });

/** A bare number. */
export const numberEntry = (limits?: Limits) =>
  z.string().transform((text, context) => {
    const parsed = parseNumber(text.replace("°", ""));
    if (parsed.ok) return checked(parsed.value, limits, context);
    context.addIssue({ code: "custom", message: messageText(parsed.message) });
    return z.NEVER;
  });

/** The same where the field may stay empty: null then. */
export const optional = <T>(schema: z.ZodType<T, string>) =>
  z.string().transform((text, context): T | null => {
    if (text.trim() === "") return null;
    const parsed = schema.safeParse(text);
    if (parsed.success) return parsed.data;
    context.addIssue({ code: "custom", message: parsed.error.issues[0]!.message });
    return z.NEVER;
  });

export const LATITUDE: Limits = { low: -90, high: 90, beyond: "Degrees from −90 to 90." };
export const LONGITUDE: Limits = { low: -180, high: 180, beyond: "Degrees from −180 to 180." };

/** Text of a bounded length, its ends trimmed. */
export const textEntry = (most: number) => z.string().trim().max(most, `At most ${most} letters.`);

/**
 * A date and time by the water's clock, as a date-and-time field gives it; ms since 1970 UTC. In the hour that autumn
 * repeats the instant nearest to `near` is meant, which is what the field showed before.
 */
export const momentEntry = (near?: number, zone?: string) =>
  z.string().transform((text, context) => {
    const isMoment = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}/.test(text) && !Number.isNaN(Date.parse(text));
    if (isMoment) return instantOf(text.slice(0, 16), zone ?? clockZone(), near);
    context.addIssue({ code: "custom", message: "Give a date and a time." });
    return z.NEVER;
  });

/** An end that shows an earlier clock than its start, in the repeated hour, is in that hour's second pass. */
export function endAfter(start: number, end: number, zone = clockZone()): number {
  if (end >= start) return end;
  return instantsOf(localMinute(end, zone), zone).find((other) => other >= start) ?? end;
}
