import { DAY } from "../series";

/** Day of the year that is the warmest north of the equator: some four weeks after midsummer. Common practice. */
const WARMEST = 200;
const YEAR = 365.25;

/** How far the season is in summer north of the equator, -1..1. */
export const summerAt = (at: number): number => Math.cos((2 * Math.PI * (at / DAY - WARMEST)) / YEAR);

/**
 * Potential evaporation, mm a day, as a sine over the year about its mean, as where no air is read; never under zero.
 * Common practice, no source.
 * @param swing share of the mean that it swings by; below zero south of the equator
 */
export const evaporationBy = (summer: number, { mean, swing }: { mean: number; swing: number }): number =>
  Math.max(0, mean * (1 + swing * summer));
