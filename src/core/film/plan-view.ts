import { polygonArea } from "d3-polygon";
import { InputError } from "../quantity/fault";
import { isWithin } from "../trace/channel";
import { TEMPLATE } from "./correlate";
import { brightness, type Frame } from "./frame";
import type { Motion } from "./stabilise";
import { type Homography, inverse, type Point, project, scaleAt } from "./homography";

/** Water that is followed as one window is so wide: this share of the size of what is measured, in m. Own choice. */
const WINDOW = { share: 1 / 12, least: 0.3, most: 3 };
/** Pixels of the plan at most: a phone holds ninety frames of them, 5 bytes each. */
const MOST_PIXELS = 200_000;
/** Samples along each side of a pixel at most, where the film is finer than the plan. */
const FINEST = 2;
/** What is filmed is refused where it is smaller or larger than this across, m. */
const SIZE = [1, 300] as const;

/** A film's water from above: a raster of square pixels, x right and y down. */
export interface PlanView {
  nx: number;
  ny: number;
  /** m of a pixel, and where its corner lies on the plane, m. */
  pixel: number;
  corner: Point;
  /** 1 where a pixel is of the water that is measured. */
  inside: Uint8Array;
  /** Where the samples of each pixel lie on the first frame, px: x and y by turns. */
  samples: Float32Array;
  /** Samples of a pixel. */
  each: number;
}

/**
 * The raster that what was marked on a film, px, is seen on from above.
 * @throws InputError "film-area-size" where that is too small or too large to be measured, as where it runs past the
 * horizon
 */
export function planViewOf(toPlane: Homography, water: readonly Point[]): PlanView {
  const facing = (point: Point) => toPlane[6]! * point[0] + toPlane[7]! * point[1] + toPlane[8]!;
  const ring = water.map((point) => project(toPlane, point));
  const size = Math.sqrt(Math.abs(polygonArea(ring as [number, number][])));
  const turned = water.some((point) => facing(point) * facing(water[0]!) <= 0);
  if (turned || !(size >= SIZE[0] && size <= SIZE[1])) throw new InputError("film-area-size", {});
  const [low, high] = [Math.min, Math.max].map((of) => [0, 1].map((axis) => of(...ring.map((one) => one[axis]!)))) as [
    [number, number],
    [number, number],
  ];
  const window = Math.min(WINDOW.most, Math.max(WINDOW.least, size * WINDOW.share));
  const middle: Point = [0, 1].map((axis) => water.reduce((sum, one) => sum + one[axis]!, 0) / water.length) as [
    number,
    number,
  ];
  const seen = scaleAt(toPlane, middle);
  const box = (high[0] - low[0]) * (high[1] - low[1]);
  const pixel = Math.max(window / TEMPLATE, seen, Math.sqrt(box / MOST_PIXELS));
  const [nx, ny] = [Math.ceil((high[0] - low[0]) / pixel), Math.ceil((high[1] - low[1]) / pixel)];
  const inside = new Uint8Array(nx * ny);
  for (let k = 0; k < nx * ny; k++) {
    const at: Point = [low[0] + ((k % nx) + 0.5) * pixel, low[1] + (Math.floor(k / nx) + 0.5) * pixel];
    inside[k] = isWithin(ring, at) ? 1 : 0;
  }
  const fine = Math.max(1, Math.min(FINEST, Math.round(pixel / seen)));
  const toFilm = inverse(toPlane);
  const samples = new Float32Array(2 * nx * ny * fine * fine);
  for (let k = 0; k < samples.length / 2; k++) {
    const [n, part] = [Math.floor(k / fine ** 2), k % fine ** 2];
    const point = project(toFilm, [
      low[0] + ((n % nx) + ((part % fine) + 0.5) / fine) * pixel,
      low[1] + (Math.floor(n / nx) + (Math.floor(part / fine) + 0.5) / fine) * pixel,
    ]);
    samples.set(point, 2 * k);
  }
  return { nx, ny, pixel, corner: low, inside, samples, each: fine ** 2 };
}

/** Not a brightness: off the picture, or dazzled. */
export const UNSEEN = 0;
/** From here on water only mirrors the sky or the sun. */
const DAZZLED = 250;

/**
 * A frame seen from above, brightness 1 to 255, UNSEEN where it does not show the plan. `moved` is how the camera moved
 * since the first frame.
 */
export function fromAbove({ nx, ny, samples, each }: PlanView, frame: Frame, moved: Motion): Uint8Array {
  const { a, b, x: dx, y: dy } = moved;
  const seen = new Uint8Array(nx * ny);
  for (let k = 0; k < seen.length; k++) {
    let sum = 0;
    for (let n = 2 * k * each; n < 2 * (k + 1) * each; n += 2) {
      const u = samples[n]!;
      const v = samples[n + 1]!;
      const value = brightness(frame, a * u - b * v + dx, b * u + a * v + dy);
      sum += value >= DAZZLED ? NaN : value;
    }
    if (sum >= 0) seen[k] = Math.max(1, Math.round(sum / each));
  }
  return seen;
}
