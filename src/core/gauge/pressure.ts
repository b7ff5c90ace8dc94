import { theilSen } from "./trend";
import { HOUR, readingAt, readingsBetween, type Series } from "./series";

/**
 * Barometric tendency over three hours, hPa, in the words of the shipping forecast (UK Met Office glossary): slowly to
 * 1.5, plain to 3.5, quickly to 6, very rapidly over.
 */
const WORDS = [
  { below: 0.1, word: "steady" },
  { below: 1.6, word: "slowly" },
  { below: 3.6, word: "" },
  { below: 6.1, word: "quickly" },
  { below: Infinity, word: "very rapidly" },
] as const;

export interface Barometer {
  /** hPa */
  pressure: number;
  /** hPa in three hours */
  tendency: number;
  words: string;
}

const WINDOW = 6 * HOUR;
const LEAST = 3;

/** Pressure and its tendency at `at`; null with fewer than three readings in six hours. */
export function barometerAt(pressure: Series, at: number): Barometer | null {
  const now = readingAt(pressure, at);
  const points = [...readingsBetween(pressure, at - WINDOW, at)];
  if (now === null || points.length < LEAST) return null;
  const thinned = points.filter((_, k) => (points.length - 1 - k) % Math.ceil(points.length / 48) === 0);
  const tendency =
    3 *
    theilSen(
      thinned.map(([time]) => (time - at) / HOUR),
      thinned.map(([, value]) => value),
    );
  const { word } = WORDS.find((entry) => Math.abs(tendency) < entry.below)!;
  return {
    pressure: now,
    tendency,
    words: word === "steady" ? "steady" : [tendency > 0 ? "rising" : "falling", word].filter(Boolean).join(" "),
  };
}
