import type { StreakImage } from "./streaks";

type Rgb = readonly [number, number, number];

/** A painted picture: red, green, blue and how wet, per pixel. */
export interface Painted {
  width: number;
  height: number;
  pixels: Uint8ClampedArray<ArrayBuffer>;
}

/** Still water dark and almost plain, fast water pale, its streaks stronger the faster it runs. */
const SHARE = Float64Array.from({ length: 256 }, (_, speed) => (speed / 255) ** 1.15 * 0.94);

/** Colours of the water between those of its slowest and its fastest. */
export function paint(image: StreakImage, slow: Rgb, fast: Rgb): Painted {
  const { width, height, speed, streak, wet } = image;
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let p = 0; p < wet.length; p++) {
    if (wet[p] === 0) continue;
    const texture = (streak[p]! / 255 - 0.5) * (0.1 + (0.3 * speed[p]!) / 255);
    const t = Math.min(1, Math.max(0, SHARE[speed[p]!]! + texture));
    for (let c = 0; c < 3; c++) pixels[p * 4 + c] = slow[c]! + (fast[c]! - slow[c]!) * t;
    pixels[p * 4 + 3] = wet[p]!;
  }
  return { width, height, pixels };
}
