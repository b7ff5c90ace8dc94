import { tzOffset } from "@date-fns/tz/tzOffset";

/** Days and clock times of a place: an instant, ms, as its clocks show it, and back. Zones are of the IANA database. */

const QUARTER = 15 * 60_000;
const DAY = 86_400_000;

/** Is there a zone of that name? */
export const isZone = (name: string): boolean => name !== "" && !Number.isNaN(tzOffset(name, new Date(0)));

/** Offsets that were asked for, by zone and quarter of an hour: zones change on quarters at the finest. */
const known = new Map<string, Map<number, number>>();

/** How far a zone's clocks are ahead of UTC at an instant, ms. */
export function offsetAt(at: number, zone: string): number {
  let own = known.get(zone);
  if (!own) known.set(zone, (own = new Map()));
  const quarter = Math.floor(at / QUARTER);
  let offset = own.get(quarter);
  if (offset === undefined) {
    offset = tzOffset(zone, new Date(quarter * QUARTER)) * 60_000;
    // A year of quarters at most.
    if (own.size > 40_000) own.clear();
    own.set(quarter, offset);
  }
  return offset;
}

/** What the clocks of a zone show, as if they were those of UTC: its hours, days and months by the UTC getters. */
export const localDate = (at: number, zone: string): Date => new Date(at + offsetAt(at, zone));

/** "2026-05-14T16:40": to the minute. */
export const localMinute = (at: number, zone: string): string => localDate(at, zone).toISOString().slice(0, 16);

/** "2026-05-14": the day of an instant in a zone. */
export const localDay = (at: number, zone: string): string => localMinute(at, zone).slice(0, 10);

/** The calendar day so many days after one, "2026-05-14": whatever the clocks do between. */
export const dayAfter = (day: string, count = 1): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) + count * DAY).toISOString().slice(0, 10);

/**
 * The instants at which the clocks of a zone show a time, "2026-05-14T16:40": one, or two in the hour that autumn
 * repeats, or none in the hour that spring skips.
 */
export function instantsOf(local: string, zone: string): number[] {
  const clock = Date.parse(`${local}Z`);
  const offsets = [offsetAt(clock - DAY, zone), offsetAt(clock + DAY, zone)];
  return [...new Set(offsets)]
    .map((offset) => clock - offset)
    .filter((at) => offsetAt(at, zone) === clock - at)
    .sort((a, b) => a - b);
}

/**
 * The instant of a clock time. In the repeated hour the one that is nearest to `near`, where that is given, else the
 * first; in the skipped hour the instant as much later as the clocks went on.
 */
export function instantOf(local: string, zone: string, near?: number): number {
  const found = instantsOf(local, zone);
  if (found.length === 0) {
    const clock = Date.parse(`${local}Z`);
    return clock - offsetAt(clock - DAY, zone);
  }
  return near === undefined ? found[0]! : found.sort((a, b) => Math.abs(a - near) - Math.abs(b - near))[0]!;
}

/** The instants at which a day of a zone begins and ends. */
export const dayBounds = (day: string, zone: string): [number, number] => [
  instantOf(`${day}T00:00`, zone),
  instantOf(`${dayAfter(day)}T00:00`, zone),
];
