/** Dates written with the day or the month first: 13/4/2026, 4/13/2026, 13.4.26, with clock times of 12 or 24 hours. */

export const DATE_ORDERS = ["dmy", "mdy"] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const SLASHED = /^(\d{1,2})([/.-])(\d{1,2})\2(\d{4}|\d{2})(?:[T ,]\s*(.*))?$/;
const YEAR_FIRST = /^(\d{4})[/.](\d{1,2})[/.](\d{1,2})(?:[T ,]\s*(.*))?$/;
const HALF_DAY = /^(\d{1,2})(?::(\d{2}))?((?::\d{2})?(?:\.\d+)?)\s*([ap])\.?m\.?(.*)$/i;
const HOURS = /^(\d)(:.*)$/;

/** Two-digit years: 69 to 99 are of the last century (POSIX strptime, %y). */
const century = (year: string): string => (year.length === 4 ? year : `${Number(year) >= 69 ? 19 : 20}${year}`);
const two = (part: string): string => part.padStart(2, "0");

/** Is a text a date that ISO 8601 does not know? */
export const isOtherDate = (text: string): boolean => SLASHED.test(text.trim()) || YEAR_FIRST.test(text.trim());

/** What the texts of a time column say of the order of their dates. */
export interface DatesSeen {
  /** A text of that form, the first one; undefined where dates stand with the year first. */
  sample: string | undefined;
  /** The only order in which all of them can be read; undefined where both can, or neither. */
  order: DateOrder | undefined;
  /** Some can be read in one order only, and some in the other. */
  mixed: boolean;
}

export function datesIn(texts: Iterable<string>): DatesSeen {
  let sample: string | undefined;
  let [dmy, mdy, dotted] = [false, false, true];
  for (const text of texts) {
    const match = SLASHED.exec(text.trim());
    if (!match) continue;
    sample ??= text.trim();
    if (Number(match[1]) > 12) dmy = true;
    if (Number(match[3]) > 12) mdy = true;
    if (match[2] !== ".") dotted = false;
  }
  // Points part dates only where the day comes first (Unicode CLDR).
  if (sample !== undefined && dotted && !mdy) dmy = true;
  return { sample, order: dmy === mdy ? undefined : dmy ? "dmy" : "mdy", mixed: dmy && mdy };
}

/** Such a text in the form of ISO 8601, for the reader of instants; any other text as it is. */
export function isoDate(text: string, order: DateOrder): string {
  const trimmed = text.trim();
  const first = YEAR_FIRST.exec(trimmed);
  if (first) return `${first[1]}-${two(first[2]!)}-${two(first[3]!)}${clockOf(first[4])}`;
  const match = SLASHED.exec(trimmed);
  if (!match) return text;
  const [, a, , b, year, clock] = match;
  const [day, month] = order === "dmy" ? [a!, b!] : [b!, a!];
  return `${century(year!)}-${two(month)}-${two(day)}${clockOf(clock)}`;
}

/** " 15:04" of "3:04 PM" and "3:04"; what is no clock time stays, to be refused with its text. */
function clockOf(text: string | undefined): string {
  if (!text) return "";
  const half = HALF_DAY.exec(text);
  if (half && Number(half[1]) >= 1 && Number(half[1]) <= 12) {
    const hour = (Number(half[1]) % 12) + (half[4]!.toLowerCase() === "p" ? 12 : 0);
    return ` ${two(String(hour))}:${half[2] ?? "00"}${half[3]}${half[5]!.trim() ? ` ${half[5]!.trim()}` : ""}`;
  }
  const short = HOURS.exec(text);
  return ` ${short ? `0${short[1]}${short[2]}` : text}`;
}
