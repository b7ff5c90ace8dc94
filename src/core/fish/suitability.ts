/** Value of a curve: straight between its points, level beyond. */
export function along(curve: Curve, x: number): number {
  const k = curve.findIndex(([at]) => at >= x);
  if (k === 0) return curve[0]![1];
  if (k < 0) return curve.at(-1)![1];
  const [[x0, y0], [x1, y1]] = [curve[k - 1]!, curve[k]!];
  return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
}

/** Share of warm-water ways at a temperature, 0..1. */
export const warmth = ({ turn: [cold, warm] }: Suitability, temperature: number): number =>
  Math.min(1, Math.max(0, (temperature - cold) / (warm - cold)));

/** How well a depth and a speed at the fish suit, each 0..1, at a temperature. */
export function suits(
  fish: Suitability,
  temperature: number,
): { depth: (depth: number) => number; speed: (speed: number) => number } {
  const share = warmth(fish, temperature);
  const mixed =
    ({ warm, cold }: { warm: Curve; cold: Curve }) =>
    (x: number) =>
      share * along(warm, x) + (1 - share) * along(cold, x);
  return { depth: mixed(fish.depth), speed: mixed(fish.speed) };
}
import type { Curve, Suitability } from "./species-schema";
