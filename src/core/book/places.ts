import type { Stretch } from "./bank-records";
import { hoursOf } from "./effort";
import type { Catch, Session } from "./records";

/** What a place on a reach has given. */
export interface PlaceGiven {
  lie: string;
  place: { x: number; y: number } | null;
  /** Rod-hours that are known to have been fished there; 0 where nobody counted them. */
  hours: number;
  landed: number;
  lost: number;
  last: string | null;
}

/** The places of a reach by name, those that gave most first: fish, and the hours where they were counted. */
export function placesOf(
  reach: string,
  sessions: readonly Session[],
  stretches: readonly Stretch[],
  catches: readonly Catch[],
  now: number,
): PlaceGiven[] {
  const here = new Set(sessions.filter((one) => one.reach === reach && !one.deleted).map((one) => one.id));
  const places = new Map<string, PlaceGiven>();
  const at = (lie: string): PlaceGiven => {
    const found = places.get(lie) ?? { lie, place: null, hours: 0, landed: 0, lost: 0, last: null };
    places.set(lie, found);
    return found;
  };
  for (const one of stretches) {
    if (one.deleted || !one.lie || !here.has(one.session)) continue;
    const found = at(one.lie);
    found.hours += hoursOf(one, now);
    found.place = one.place ?? found.place;
  }
  for (const fish of catches) {
    if (fish.deleted || !fish.lie || !here.has(fish.session)) continue;
    const found = at(fish.lie);
    if (fish.lost === undefined) found.landed++;
    else found.lost++;
    found.place = found.place ?? fish.place ?? null;
    if (found.last === null || Date.parse(fish.at) > Date.parse(found.last)) found.last = fish.at;
  }
  return [...places.values()].sort((a, b) => b.landed - a.landed || b.hours - a.hours || (a.lie < b.lie ? -1 : 1));
}
