import { clockZone } from "./clock-zone";

/** Formatters by their style and zone. */
const kept = new Map<string, Intl.DateTimeFormat>();

/**
 * A moment, ms, in the reader's language, by the water's clock unless `style` names a zone. A formatter costs a hundred
 * times what its use does: each is made once.
 */
export function formatDate(time: number, style: Intl.DateTimeFormatOptions): string {
  const timeZone = style.timeZone ?? clockZone();
  const key = `${timeZone} ${JSON.stringify(style)}`;
  const known = kept.get(key) ?? new Intl.DateTimeFormat(undefined, { ...style, timeZone });
  kept.set(key, known);
  return known.format(time);
}
