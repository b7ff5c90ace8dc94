import ical, { ICalCalendarMethod } from "ical-generator";

/** An hour of fishing as a calendar entry. */
export interface CalendarEntry {
  id: string;
  start: number;
  end: number;
  summary: string;
  description: string;
  location: string;
}

/** iCalendar (RFC 5545), instants in UTC; by the ical-generator library. `now` stamps the entries, ms. */
export function writeCalendar(entries: readonly CalendarEntry[], now: number): string {
  const calendar = ical({
    prodId: { company: "low-heron", product: "plan", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { id, start, end, ...told } of entries)
    calendar.createEvent({
      id: `${id}@low-heron`,
      start: new Date(start),
      end: new Date(end),
      stamp: new Date(now),
      ...told,
    });
  return calendar.toString();
}
