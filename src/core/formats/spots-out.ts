import { XMLBuilder } from "fast-xml-parser";
import { metresPerDegree } from "../flow/plane";
import type { Reach } from "../flow/reach-schema";
import type { Catch, ReachRecord, Session } from "../book/records";
import type { Observation } from "../book/bank-records";

/** Places where fish were caught and marks were set, for maps elsewhere: GPX 1.1 and GeoJSON (RFC 7946). */

export interface Spot {
  latitude: number;
  longitude: number;
  /** Instant; null where it has none. */
  at: string | null;
  name: string;
  kind: "catch" | "mark";
  properties: Record<string, string | number | null>;
}

/** A place of a reach on the earth, where the reach says where it lies and which way it runs. */
export function onEarth(
  { latitude, longitude, bearing }: Pick<Reach, "latitude" | "longitude" | "bearing">,
  { x, y }: { x: number; y: number },
): { latitude: number; longitude: number } | undefined {
  if (latitude === undefined || longitude === undefined || bearing === undefined) return undefined;
  const turn = (bearing * Math.PI) / 180;
  const metres = metresPerDegree(latitude);
  // x runs along the bearing, y to its right.
  return {
    latitude: latitude + (x * Math.cos(turn) - y * Math.sin(turn)) / metres.latitude,
    longitude: longitude + (x * Math.sin(turn) + y * Math.cos(turn)) / metres.longitude,
  };
}

/** Every fish and mark whose place on the earth is known, and how many are not. */
export function spotsOf(
  catches: readonly Catch[],
  observations: readonly Observation[],
  sessions: readonly Session[],
  reaches: readonly ReachRecord[],
): { spots: Spot[]; placeless: number } {
  const reachOf = new Map(sessions.map((one) => [one.id, reaches.find((reach) => reach.id === one.reach)?.reach]));
  const where = ({ session, sounded, place }: Pick<Catch, "session" | "sounded" | "place">) => {
    if (sounded?.latitude != null && sounded.longitude != null)
      return { latitude: sounded.latitude, longitude: sounded.longitude };
    const reach = reachOf.get(session);
    return reach && place ? onEarth(reach, place) : undefined;
  };
  const spots: Spot[] = [];
  let placeless = 0;
  for (const one of catches) {
    const at = one.deleted ? undefined : where(one);
    if (!at) {
      placeless += one.deleted ? 0 : 1;
      continue;
    }
    spots.push({
      ...at,
      at: one.at,
      name: one.lie || one.species,
      kind: "catch",
      properties: {
        species: one.species,
        length: one.length,
        lure: one.lure,
        lost: one.lost ?? null,
        discharge: one.river?.discharge ?? null,
      },
    });
  }
  for (const one of observations) {
    const at = one.deleted || one.kind !== "mark" ? undefined : where(one);
    if (at)
      spots.push({ ...at, at: one.at, name: one.notes || one.lie, kind: "mark", properties: { notes: one.notes } });
  }
  return { spots, placeless };
}

/** What XML 1.0 forbids is left out; the rest is escaped by the builder. */
const xmlText = (text: string): string => text.replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, "");

export function writeGpx(spots: readonly Spot[]): string {
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: "@", format: true });
  const wpt = spots.map(({ latitude, longitude, at, name, kind }) => ({
    "@lat": latitude.toFixed(7),
    "@lon": longitude.toFixed(7),
    ...(at && { time: at }),
    name: xmlText(name),
    type: kind,
  }));
  return builder.build({
    "?xml": { "@version": "1.0", "@encoding": "UTF-8" },
    gpx: { "@version": "1.1", "@creator": "low-heron", "@xmlns": "http://www.topografix.com/GPX/1/1", wpt },
  });
}

export const writeGeoJson = (spots: readonly Spot[]): string =>
  `${JSON.stringify(
    {
      type: "FeatureCollection",
      features: spots.map(({ latitude, longitude, at, name, kind, properties }) => ({
        type: "Feature",
        geometry: { type: "Point", coordinates: [Number(longitude.toFixed(7)), Number(latitude.toFixed(7))] },
        properties: { name, kind, at, ...properties },
      })),
    },
    null,
    1,
  )}\n`;
