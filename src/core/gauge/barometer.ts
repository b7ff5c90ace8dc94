import { theilSen } from "./trend";
import { HOUR, readingAt, readingsBetween, type Series } from "./series";

/**
 * Classes of barometric tendency over three hours, hPa, as the shipping forecast has them (UK Met Office glossary):
 * slowly to 1.5, plain to 3.5, quickly to 6, very rapidly over.
 */
const CLASSES = [
  { below: 0.1, change: "steady" },
  { below: 1.6, change: "slow" },
  { below: 3.6, change: "plain" },
  { below: 6.1, change: "quick" },
  { below: Infinity, change: "very-rapid" },
] as const;

export interface Barometer {
  /** hPa */
  pressure: number;
  /** hPa in three hours */
  tendency: number;
  change: (typeof CLASSES)[number]["change"];
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
  const { change } = CLASSES.find((entry) => Math.abs(tendency) < entry.below)!;
  return { pressure: now, tendency, change };
}
