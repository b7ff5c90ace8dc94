import { depthOf, fixOf, nmeaSum, sentenceOf, waterTemperatureOf } from "./nmea";

/** What a device on board says now. */
export interface Live {
  /** m under the surface, or under the transducer where it says no more; null where the bottom is lost. */
  depth: number | null;
  /** degC */
  waterTemperature: number | null;
  latitude: number | null;
  longitude: number | null;
}

export const NOTHING: Live = { depth: null, waterTemperature: null, latitude: null, longitude: null };

/** Deepest and warmest that is taken for true, m and degC. */
const SOUND = { depth: 200, coldest: -2, warmest: 45 };

/**
 * What is known after one more line. A wrong sum, or what is no sentence, changes nothing; a lost bottom or fix leaves
 * none, so that nothing old is taken for new.
 */
export function heard(before: Live, line: string): Live {
  const sentence = sentenceOf(line.trimEnd());
  if (!sentence) return before;
  const { kind, parts, body, sum } = sentence;
  if (sum !== undefined && nmeaSum(body) !== sum.toUpperCase()) return before;
  const warmth = waterTemperatureOf(sentence);
  if (warmth !== undefined)
    return warmth >= SOUND.coldest && warmth <= SOUND.warmest ? { ...before, waterTemperature: warmth } : before;
  const depth = depthOf(kind, parts);
  if (depth) return { ...before, depth: depth.value > 0 && depth.value < SOUND.depth ? depth.value : null };
  if (kind !== "GGA" && kind !== "RMC" && kind !== "GLL") return before;
  const fix = fixOf(kind, parts, undefined, undefined);
  if (fix === "bad") return before;
  return fix === "none"
    ? { ...before, latitude: null, longitude: null }
    : { ...before, latitude: fix.latitude, longitude: fix.longitude };
}
