import type { Observation, EffortInterval } from "./bank-records";
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

/** A place where fish are known to be: where others had most, or oneself. */
export interface KnownPlace {
  reach: string;
  lie: string;
  landed: number;
  /** Boats and anglers seen there with fish. */
  others: number;
}

/** Fewest fish and anglers with fish that make a place known. Common practice, no source. */
const LEAST_KNOWN = 2;

/** Where to learn the bite of a fish in a season that one does not know: the place with the most fish seen; or none. */
export function knownPlace(
  sessions: readonly Session[],
  catches: readonly Catch[],
  observations: readonly Observation[],
  species: string,
): KnownPlace | undefined {
  const reachOf = new Map(sessions.filter((one) => !one.deleted).map((one) => [one.id, one]));
  const places = new Map<string, KnownPlace>();
  const at = (session: Session, lie: string): KnownPlace => {
    const key = JSON.stringify([session.reach, lie]);
    const found = places.get(key) ?? { reach: session.reach, lie, landed: 0, others: 0 };
    places.set(key, found);
    return found;
  };
  for (const fish of catches) {
    const session = reachOf.get(fish.session);
    if (session && fish.lie && !fish.deleted && fish.lost === undefined && fish.species === species)
      at(session, fish.lie).landed++;
  }
  for (const seen of observations) {
    const session = reachOf.get(seen.session);
    if (session?.species === species && seen.lie && !seen.deleted && seen.kind === "others")
      at(session, seen.lie).others += seen.withFish ?? 0;
  }
  const worth = ({ landed, others }: KnownPlace) => landed + others;
  const [best] = [...places.values()].sort((a, b) => worth(b) - worth(a) || (a.lie < b.lie ? -1 : 1));
  return best && worth(best) >= LEAST_KNOWN ? best : undefined;
}

/** The places of a reach by name, those that gave most first: fish, and the hours where they were counted. */
export function placesOf(
  reach: string,
  sessions: readonly Session[],
  stretches: readonly EffortInterval[],
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
