/**
 * Least speed of blades through the water, m/s: 0.3 of the smallest to 0.5 of the largest. Common practice, no
 * source.
 */
export const bladeSpeed = (number: number): number => 0.3 + 0.04 * Math.min(5, Math.max(0, number));
