import { type Field, sample } from "../../core/flow/grid";

/**
 * A picture of the water: per pixel its speed relative to the fastest, streak texture, and how wet it is. All 0..255.
 */
export interface StreakImage {
  width: number;
  height: number;
  speed: Uint8ClampedArray<ArrayBuffer>;
  streak: Uint8ClampedArray<ArrayBuffer>;
  wet: Uint8ClampedArray<ArrayBuffer>;
  /** Speed that 255 stands for, m/s. */
  fastest: number;
}

/** Steps of the line integral to each side, in pixels. */
const REACH = 14;

/**
 * Line-integral streaks of the solved field (Cabral & Leedom 1993): noise smeared along the current, so that the
 * picture is the flow itself.
 */
export function streaks(field: Field, pixelsPerMetre: number): StreakImage {
  const { nx, ny, cell } = field;
  const width = Math.round(nx * cell * pixelsPerMetre);
  const height = Math.round(ny * cell * pixelsPerMetre);
  const count = width * height;
  const [us, vs, hs] = [new Float32Array(count), new Float32Array(count), new Float32Array(count)];
  let fastest = 0.3;
  const level = levels(field);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const p = y * width + x;
      const [mx, my] = [(x + 0.5) / pixelsPerMetre, (y + 0.5) / pixelsPerMetre];
      // The edge of the water is where its level meets the bed: smoother than the cells.
      hs[p] = sample(level, nx, ny, cell, mx, my) - sample(field.bed, nx, ny, cell, mx, my);
      if (hs[p]! <= 0) continue;
      us[p] = sample(field.u, nx, ny, cell, mx, my);
      vs[p] = sample(field.v, nx, ny, cell, mx, my);
    }
  }
  const speeds = new Float32Array(count);
  for (let p = 0; p < count; p++) {
    const speed = Math.sqrt(us[p]! * us[p]! + vs[p]! * vs[p]!);
    if (speed < 1e-4) continue;
    speeds[p] = speed;
    // From here on only the direction is needed.
    us[p]! /= speed;
    vs[p]! /= speed;
  }
  const sorted = speeds.filter((_, p) => hs[p]! > 0.03).sort();
  fastest = Math.max(fastest, sorted[Math.floor(sorted.length * 0.985)] ?? 0);
  const noise = new Float32Array(count);
  for (let p = 0; p < count; p++) {
    const s = Math.sin(p * 12.9898 + Math.floor(p / width) * 78.233) * 43758.5453;
    noise[p] = s - Math.floor(s);
  }
  const smeared = { width, height, us, vs, speeds, noise, fastest };
  const image: StreakImage = {
    width,
    height,
    fastest,
    speed: new Uint8ClampedArray(count),
    streak: new Uint8ClampedArray(count),
    wet: new Uint8ClampedArray(count),
  };
  for (let p = 0; p < count; p++) {
    if (hs[p]! <= 0) continue;
    image.wet[p] = Math.min(255, (hs[p]! / 0.08) * 255);
    image.speed[p] = (speeds[p]! / fastest) * 255;
    image.streak[p] = integral(p, smeared) * 255;
  }
  return image;
}

/** Water level of every cell, carried a few cells on to dry ground. */
function levels({ nx, ny, depth, bed }: Field): Float32Array {
  let level = Float32Array.from(depth, (h, k) => (h > 0 ? h + bed[k]! : NaN));
  for (let pass = 0; pass < 3; pass++) {
    const next = Float32Array.from(level);
    for (let j = 0; j < ny; j++) {
      for (let i = 0; i < nx; i++) {
        const k = j * nx + i;
        if (!Number.isNaN(level[k]!)) continue;
        let [sum, count] = [0, 0];
        for (let b = Math.max(0, j - 1); b <= Math.min(ny - 1, j + 1); b++) {
          for (let a = Math.max(0, i - 1); a <= Math.min(nx - 1, i + 1); a++) {
            const other = level[b * nx + a]!;
            if (Number.isNaN(other)) continue;
            sum += other;
            count++;
          }
        }
        if (count > 0) next[k] = sum / count;
      }
    }
    level = next;
  }
  return level.map((w, k) => (Number.isNaN(w) ? bed[k]! - 1 : w));
}

/** Noise, and what smears it: per pixel the direction of the current and its speed, m/s. */
interface Smeared {
  width: number;
  height: number;
  us: Float32Array;
  vs: Float32Array;
  speeds: Float32Array;
  noise: Float32Array;
  fastest: number;
}

function integral(start: number, { width, height, us, vs, speeds, noise, fastest }: Smeared): number {
  let sum = noise[start]!;
  let weight = 1;
  // Fast water streaks long, still water hardly.
  const reach = 3 + REACH * Math.min(1, speeds[start]! / (0.6 * fastest));
  for (const sign of [1, -1]) {
    let x = (start % width) + 0.5;
    let y = Math.floor(start / width) + 0.5;
    for (let step = 0; step < reach; step++) {
      const p = (y | 0) * width + (x | 0);
      if (speeds[p] === 0) break;
      x += sign * us[p]!;
      y += sign * vs[p]!;
      if (x < 0 || y < 0 || x >= width || y >= height) break;
      sum += noise[(y | 0) * width + (x | 0)]!;
      weight++;
    }
  }
  // Averages of n uniform numbers narrow as 1/sqrt(n): widen them again.
  return 0.5 + (sum / weight - 0.5) * Math.sqrt(weight) * 0.9;
}
