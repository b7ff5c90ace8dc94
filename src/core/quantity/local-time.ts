import { tzOffset } from "@date-fns/tz/tzOffset";

/** Days and clock times of a place: an instant, ms, as its clocks show it, and back. Zones are of the IANA database. */

const QUARTER = 15 * 60_000;
const DAY = 86_400_000;

/** Is there a zone of that name? */
export const isZone = (name: string): boolean => name !== "" && !Number.isNaN(tzOffset(name, new Date(0)));

/** Offset of a whole UTC day, ms, by zone; null on a day when its clocks change. */
const offsetsOfDays = new Map<string, Map<number, number | null>>();

const tabulated = (at: number, zone: string): number => tzOffset(zone, new Date(at)) * 60_000;

/** How far a zone's clocks are ahead of UTC at an instant, ms. Zones change on quarters of an hour at the finest. */
function offsetAt(at: number, zone: string): number {
  let days = offsetsOfDays.get(zone);
  if (!days) offsetsOfDays.set(zone, (days = new Map()));
  const day = Math.floor(at / DAY);
  let offset = days.get(day);
  if (offset === undefined) {
    const [start, end] = [tabulated(day * DAY, zone), tabulated((day + 1) * DAY, zone)];
    days.set(day, (offset = start === end ? start : null));
  }
  return offset ?? tabulated(Math.floor(at / QUARTER) * QUARTER, zone);
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
 * The instants at which the clocks of a zone show a time (ms, as if they were those of UTC): one, or two in the hour
 * that autumn repeats, or none in the hour that spring skips.
 */
export function instantsAt(clock: number, zone: string): number[] {
  const [before, after] = [offsetAt(clock - DAY, zone), offsetAt(clock + DAY, zone)];
  if (before === after) return [clock - before];
  return [before, after]
    .map((offset) => clock - offset)
    .filter((at) => offsetAt(at, zone) === clock - at)
    .sort((a, b) => a - b);
}

/** The same of a time as it is written, "2026-05-14T16:40". */
export const instantsOf = (local: string, zone: string): number[] => instantsAt(Date.parse(`${local}Z`), zone);

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
