import { alongAxis, isBetween, type Place, placeIn } from "../core/trace/channel";
import type { HeightGrid } from "../core/trace/flat-water";
import { stream } from "../core/quantity/seeded";
import { madeRiver, type MadeRiver } from "./made-rivers";

/**
 * What a survey from the air sees of a made-up river: its surface with a centimetre of noise, ground that is rough and
 * rises from it; no bed. Rows run from the north; the river's x runs east.
 */
export function madeHeights(seed: number, cell = 1): { river: MadeRiver; grid: HeightGrid } {
  const river = madeRiver(seed);
  const random = stream(seed + 500);
  const { channel, slope, origin } = river;
  const { nx: across, ny: along, cell: own } = river.reach.bed as { nx: number; ny: number; cell: number };
  const [wide, high] = [across * own, along * own + 40];
  const [nx, ny] = [Math.floor(wide / cell), Math.floor(high / cell)];
  const z = new Float32Array(nx * ny);
  const straight = Float64Array.from(channel.axis, (_, k) => -slope * k * channel.step);
  for (let k = 0; k < z.length; k++) {
    const at: Place = [origin[0] + ((k % nx) + 0.5) * cell, origin[1] - 20 + (Math.floor(k / nx) + 0.5) * cell];
    const { s, edge } = placeIn(channel, at);
    const surface = 100 + alongAxis(channel, straight, s);
    const noise = random() - 0.5;
    z[k] = isBetween(channel, at)
      ? surface + 0.01 * noise
      : surface +
        Math.min(1.6, 0.5 * edge) +
        0.3 * Math.sin(at[0] / 7) * Math.cos(at[1] / 5) * Math.min(1, edge / 6) +
        0.12 * noise;
  }
  return { river, grid: { nx, ny, cell, z } };
}
