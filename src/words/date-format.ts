/** Formatters by their style and the clock's distance from UTC, so that another zone makes another one. */
const kept = new Map<string, Intl.DateTimeFormat>();

/** A moment, ms, in the reader's language. A formatter costs a hundred times what its use does: each is made once. */
export function formatDate(time: number, style: Intl.DateTimeFormatOptions): string {
  const key = `${new Date().getTimezoneOffset()} ${JSON.stringify(style)}`;
  const known = kept.get(key) ?? new Intl.DateTimeFormat(undefined, style);
  kept.set(key, known);
  return known.format(time);
}
