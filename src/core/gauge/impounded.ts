/** Level against full pool on an impounded water, and what of the shore it bares. */
export interface DrawDown {
  /** m under full pool; negative when over it. */
  below: number;
  /**
   * Bared beach along the slope, m: drop over the sine of the shore's angle. Null where no slope is given or the water
   * is up.
   */
  beach: number | null;
}

/** `slope` is rise over run of the shore, such as 0.1 for one in ten. */
export function drawDown(level: number, fullPool: number, slope: number | null): DrawDown {
  const below = fullPool - level;
  return { below, beach: slope && slope > 0 && below > 0 ? below * Math.sqrt(1 + 1 / slope ** 2) : null };
}
