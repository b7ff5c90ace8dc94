import { stream } from "../core/quantity/seeded";

/**
 * A made-up stream seen from above, for trying the drawing without a picture of one's own. Its true bed is known here
 * and hidden from the drawing: pools in the bends, bars on their insides, three stones and a fallen tree.
 */
export const DEMO_AERIAL = {
  name: "demo-stream.png",
  width: 1000,
  height: 560,
  /** m a pixel; up is north. */
  unit: 0.2,
  /** Two white stakes on the bank, px, and how far apart they are, m. */
  stakes: { a: [250, 500], b: [550, 500], metres: 60 },
  /** On the day of the picture: m3/s, m per m. */
  discharge: 3.2,
  slope: 0.003,
} as const;

const WIDTH = 13;
/** The middle is laid so far to the right, m; the stream runs on straight to the edge. */
const LAST = 193;
const STEP = 0.5;
const WAVE = 105;
/** Where the middle runs, m on the picture, x to the right and y down. */
const axis = (() => {
  const places: { x: number; y: number; heading: number }[] = [];
  let [x, y] = [6, 62];
  for (let s = 0; x < LAST; s += STEP) {
    const heading = 0.72 * Math.cos((2 * Math.PI * (s + 12)) / WAVE);
    places.push({ x, y, heading: -heading });
    x += Math.cos(heading) * STEP;
    y -= Math.sin(heading) * STEP;
  }
  return places;
})();

interface InStream {
  /** m along, and m to the right of the middle. */
  s: number;
  off: number;
  half: number;
}

const halfAt = (s: number) => (WIDTH / 2) * (1 + 0.16 * Math.sin((2 * Math.PI * s) / 47 + 1));

/** Where a place of the picture lies in the stream, m. */
function inStream(x: number, y: number): InStream {
  let [best, at] = [Infinity, 0];
  for (let k = 0; k < axis.length; k += 4) {
    const far = (axis[k]!.x - x) ** 2 + (axis[k]!.y - y) ** 2;
    if (far < best) [best, at] = [far, k];
  }
  for (let k = Math.max(0, at - 4); k <= Math.min(axis.length - 1, at + 4); k++) {
    const far = (axis[k]!.x - x) ** 2 + (axis[k]!.y - y) ** 2;
    if (far < best) [best, at] = [far, k];
  }
  const { x: ax, y: ay, heading } = axis[at]!;
  const off = (y - ay) * Math.cos(heading) - (x - ax) * Math.sin(heading);
  return { s: at * STEP, off, half: halfAt(at * STEP) };
}

/** True depth at a place of the picture, m from its corner; 0 or less on land. */
export const demoAerialDepth = (x: number, y: number): number => depthAt(inStream(x, y));

function depthAt({ s, off, half }: InStream): number {
  const turn = Math.sin((2 * Math.PI * (s - 6 + 12)) / WAVE);
  const side = off / half;
  const shape = 1 - Math.abs(side) ** 3;
  const tilt = 1 + 0.75 * turn * side;
  const pool = 0.34 + 0.3 * turn ** 2 + 0.05 * Math.sin(s / 7) * Math.sin(off);
  return pool * 1.25 * shape * tilt;
}

/** Bank points of the stream at even distances, px: what a careful hand would draw. */
export function demoAerialBanks(count: number): { left: [number, number][]; right: [number, number][] } {
  const bank = (side: 1 | -1) =>
    Array.from({ length: count }, (_, k): [number, number] => {
      const at = Math.round((k / (count - 1)) * (axis.length - 1));
      const { x, y, heading } = axis[at]!;
      const off = side * halfAt(at * STEP);
      return [(x - off * Math.sin(heading)) / DEMO_AERIAL.unit, (y + off * Math.cos(heading)) / DEMO_AERIAL.unit];
    });
  return { left: bank(-1), right: bank(1) };
}

/** The middle of the stream at a share of its length and of its width, px. */
export function demoAerialPlace(along: number, across: number): [number, number] {
  const at = Math.round(along * (axis.length - 1));
  const { x, y, heading } = axis[at]!;
  const off = (2 * across - 1) * halfAt(at * STEP);
  return [(x - off * Math.sin(heading)) / DEMO_AERIAL.unit, (y + off * Math.cos(heading)) / DEMO_AERIAL.unit];
}

const DEMO_STONES: readonly (readonly [along: number, across: number, diameter: number])[] = [
  [0.28, 0.42, 1.6],
  [0.47, 0.6, 1.2],
  [0.72, 0.5, 2],
];

type Rgb = readonly [number, number, number];
const mix = (a: Rgb, b: Rgb, t: number): Rgb => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];
const GRASS: Rgb = [112, 124, 82];
const GRASS_DARK: Rgb = [84, 98, 62];
const GRAVEL: Rgb = [178, 168, 146];
const SHALLOW: Rgb = [134, 132, 104];
const DEEP: Rgb = [40, 62, 60];

/** The picture, red, green, blue and opacity by pixel. */
export function demoAerial(): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, unit, stakes } = DEMO_AERIAL;
  const pixels = new Uint8ClampedArray(width * height * 4);
  const random = stream(41);
  const paint = (i: number, j: number, colour: Rgb, grain = 0) => {
    const k = (j * width + i) * 4;
    for (let c = 0; c < 3; c++) pixels[k + c] = colour[c]! + grain;
    pixels[k + 3] = 255;
  };
  const under = (i: number, j: number): Rgb => {
    const k = (j * width + i) * 4;
    return [pixels[k]!, pixels[k + 1]!, pixels[k + 2]!];
  };
  /** Paints over what lies within a box about a place. */
  const over = (
    at: readonly [number, number],
    far: number,
    by: (dx: number, dy: number, was: Rgb) => Rgb | undefined,
  ) => {
    for (let j = Math.max(0, Math.floor(at[1] - far)); j <= Math.min(height - 1, at[1] + far); j++)
      for (let i = Math.max(0, Math.floor(at[0] - far)); i <= Math.min(width - 1, at[0] + far); i++) {
        const colour = by(i - at[0], j - at[1], under(i, j));
        if (colour) paint(i, j, colour);
      }
  };
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) {
      const [x, y] = [(i + 0.5) * unit, (j + 0.5) * unit];
      const at = inStream(x, y);
      const beside = Math.abs(at.off) - at.half;
      const grain = random() - 0.5;
      if (beside < 0) paint(i, j, mix(SHALLOW, DEEP, Math.min(1, Math.max(0, depthAt(at) / 1.1) ** 0.7)), grain * 9);
      else {
        const patch = 0.5 + 0.5 * Math.sin(x / 9 + 2 * Math.sin(y / 13)) * Math.cos(y / 11);
        paint(i, j, beside < 1.6 ? mix(GRAVEL, GRASS, beside / 1.6) : mix(GRASS, GRASS_DARK, patch), grain * 22);
      }
    }
  for (const [along, across, diameter] of DEMO_STONES) {
    const r = diameter / 2 / unit;
    over(demoAerialPlace(along, across), 5 * r, (dx, dy, was) => {
      if (Math.hypot(dx, dy) < r) return [142, 138, 130];
      return Math.hypot((dx - 2.2 * r) / 2, dy) < r ? mix(was, [205, 212, 206], 0.5) : undefined;
    });
  }
  for (let k = 0; k < 60; k++) {
    const at = [random() * width, random() * height] as const;
    const r = 10 + random() * 16;
    const { off, half } = inStream(at[0] * unit, at[1] * unit);
    if (Math.abs(off) < half + 1 + r * unit || Math.hypot(at[0] - 400, at[1] - 500) < 190) continue;
    over(at, r + 12, (dx, dy, was) => (Math.hypot(dx - 6, dy - 8) < r ? mix(was, [30, 38, 26], 0.45) : undefined));
    over(at, r, (dx, dy) => {
      const far = Math.hypot(dx, dy) / r;
      return far < 1 ? mix([58, 76, 42], [92, 110, 62], far * (0.5 + random() * 0.5)) : undefined;
    });
  }
  for (const at of [stakes.a, stakes.b])
    over(at, 4, (dx, dy) => (Math.hypot(dx, dy) < 4 ? [250, 250, 246] : undefined));
  return pixels;
}
