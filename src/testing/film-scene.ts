import { type Field, sample, speedAt } from "../core/flow/grid";
import { roughnessHeight, surfaceSpeed } from "../core/flow/profile";
import type { Frame } from "../core/film/frame";
import { composed, type Homography, inverse, type Point } from "../core/film/homography";
import { stream } from "../core/quantity/seeded";
import { gauss } from "./made-rivers";

/** How a made-up film is taken. */
export interface Camera {
  width: number;
  height: number;
  /** Degrees from its left edge to its right. */
  fieldOfView: number;
  /** Where it stands on the plane, m, and how high over the water. */
  at: Point;
  high: number;
  /** Where it looks, degrees: 0 along x, 90 along y; and how far down from level. */
  heading: number;
  tilt: number;
  /** Turned about its own axis, degrees. */
  roll: number;
}

export interface Scene {
  /** Speed of the surface, m/s; undefined on land. */
  surface: (at: Point) => Point | undefined;
  /** Corners of what is drawn, m. */
  low: Point;
  high: Point;
  framesPerSecond: number;
  seconds: number;
  /** The hand's shake, px; noise of each pixel, 0 to 255. */
  shake: number;
  noise: number;
  /** Marks on the water, to a square metre. */
  marks: number;
  seed: number;
  /** White pegs that stand still, m. */
  pegs?: readonly Point[];
}

/** From px of the film to the water's plane. */
export function cameraPlane({ width, height, fieldOfView, at, high, heading, tilt, roll }: Camera): Homography {
  const focal = width / (2 * Math.tan((fieldOfView * Math.PI) / 360));
  const [h, t, r] = [heading, tilt, roll].map((degrees) => (degrees * Math.PI) / 180) as [number, number, number];
  // Seen from above, y down: ahead, and the camera's right at a right angle to it.
  const [ahead, right] = [
    [Math.cos(h), Math.sin(h)],
    [-Math.sin(h), Math.cos(h)],
  ] as const;
  // A ray of (u, v): c across, d down from the axis, both over the focal length, after the roll is undone.
  const across = [Math.cos(r) / focal, -Math.sin(r) / focal, 0];
  across[2] = -(across[0]! * width) / 2 - (across[1]! * height) / 2;
  const below = [Math.sin(r) / focal, Math.cos(r) / focal, 0];
  below[2] = -(below[0]! * width) / 2 - (below[1]! * height) / 2;
  const one = [0, 0, 1];
  const sum = (...parts: (readonly [number, readonly number[]])[]) =>
    one.map((_, k) => parts.reduce((total, [by, part]) => total + by * part[k]!, 0));
  const forward = sum([Math.cos(t), one], [-Math.sin(t), below]);
  const down = sum([Math.sin(t), one], [Math.cos(t), below]);
  const row = (axis: 0 | 1) => sum([high * ahead[axis], forward], [high * right[axis], across], [at[axis], down]);
  return [...row(0), ...row(1), ...down];
}

/** Of what is drawn, m. */
const PIXEL = 0.035;
/** A peg with its dark ring, m from its middle. */
const PEG = 0.4;

/** Smooth texture of brightness about 0, spread about 1, of square tiles. */
function texture(random: () => number, nx: number, ny: number, size: number): Float32Array {
  const columns = Math.ceil(nx / size) + 2;
  const knots = Float32Array.from({ length: columns * (Math.ceil(ny / size) + 2) }, () => 2 * random() - 1);
  return Float32Array.from({ length: nx * ny }, (_, k) => {
    const [x, y] = [(k % nx) / size, Math.floor(k / nx) / size];
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const [a, b] = [x - i, y - j];
    const n = j * columns + i;
    return (
      (1 - b) * ((1 - a) * knots[n]! + a * knots[n + 1]!) +
      b * ((1 - a) * knots[n + columns]! + a * knots[n + columns + 1]!)
    );
  });
}

/**
 * Frames of a film of foam and ripples that drift with the water's surface, between banks that stand still, with a
 * shadow that stands still on the water and glare that dazzles. Made up.
 */
export function* filmOf(scene: Scene, camera: Camera): Generator<Frame> {
  const random = stream(scene.seed);
  const { low, high, surface, framesPerSecond } = scene;
  const [nx, ny] = [0, 1].map((axis) => Math.ceil((high[axis]! - low[axis]!) / PIXEL)) as [number, number];
  const ground = texture(random, nx, ny, 7);
  const shade = texture(random, nx, ny, 110);
  const isWater = Uint8Array.from({ length: nx * ny }, (_, k) =>
    surface([low[0] + ((k % nx) + 0.5) * PIXEL, low[1] + (Math.floor(k / nx) + 0.5) * PIXEL]) ? 1 : 0,
  );
  const anywhere = (): Point => [low[0] + random() * (high[0] - low[0]), low[1] + random() * (high[1] - low[1])];
  const marks = Array.from(
    { length: Math.round(scene.marks * (high[0] - low[0]) * (high[1] - low[1])) },
    (): { at: Point; size: number; bright: number; age: number } => ({
      at: anywhere(),
      size: 0.03 + 0.07 * random(),
      bright: (random() < 0.7 ? 1 : -0.7) * (25 + 60 * random()),
      age: random() * 4,
    }),
  );
  const toFilm = inverse(cameraPlane(camera));
  const grain = Float32Array.from({ length: 1 << 16 }, () => gauss(random));
  const still = ground.map((value, n) =>
    isWater[n] ? 92 - 22 * Math.min(1, Math.max(0, 4 * shade[n]!)) : 128 + 40 * value,
  );
  for (const peg of scene.pegs ?? [])
    for (let n = 0; n < nx * ny; n++) {
      const off = Math.hypot(
        low[0] + ((n % nx) + 0.5) * PIXEL - peg[0],
        low[1] + (Math.floor(n / nx) + 0.5) * PIXEL - peg[1],
      );
      if (off < PEG) still[n] = off < PEG / 2 ? 240 : 30;
    }
  let [sx, sy, turn] = [0, 0, 0];
  for (let k = 0; k < scene.seconds * framesPerSecond; k++) {
    const step = 1 / framesPerSecond;
    const raster = still.slice();
    for (const mark of marks) {
      const flow = surface(mark.at);
      mark.age -= step;
      if (!flow || mark.age < 0 || !inBox(mark.at, low, high)) {
        mark.at = anywhere();
        mark.age = 4;
        continue;
      }
      const half: Point = [mark.at[0] + (flow[0] * step) / 2, mark.at[1] + (flow[1] * step) / 2];
      const [u, v] = surface(half) ?? flow;
      mark.at = [mark.at[0] + u * step, mark.at[1] + v * step];
      splat(raster, isWater, nx, ny, [(mark.at[0] - low[0]) / PIXEL, (mark.at[1] - low[1]) / PIXEL], mark);
    }
    // A hand wanders back to where it pointed.
    const pull = Math.exp(-step / 0.5);
    const push = scene.shake * Math.sqrt(1 - pull ** 2);
    [sx, sy] = [sx * pull + push * gauss(random), sy * pull + push * gauss(random)];
    turn = turn * pull + (push * gauss(random)) / camera.width;
    const shaken: Homography = [Math.cos(turn), -Math.sin(turn), sx, Math.sin(turn), Math.cos(turn), sy, 0, 0, 1];
    yield frameOf(raster, { nx, ny, low }, inverse(composed(shaken, toFilm)), camera, {
      seconds: k * step,
      noise: scene.noise,
      grain,
      from: Math.floor(random() * grain.length),
    });
  }
}

const inBox = ([x, y]: Point, low: Point, high: Point) => x > low[0] && y > low[1] && x < high[0] && y < high[1];

function splat(
  raster: Float32Array,
  isWater: Uint8Array,
  nx: number,
  ny: number,
  [x, y]: Point,
  { size, bright }: { size: number; bright: number },
): void {
  const spread = size / PIXEL / 2;
  const reach = Math.ceil(2.5 * spread);
  const [left, top] = [Math.max(0, Math.floor(x) - reach), Math.max(0, Math.floor(y) - reach)];
  const [right, low] = [Math.min(nx - 1, Math.floor(x) + reach), Math.min(ny - 1, Math.floor(y) + reach)];
  const bell = (off: number) => Math.exp(-(off ** 2) / (2 * spread ** 2));
  const across = Array.from({ length: Math.max(0, right - left + 1) }, (_, k) => bell(left + k + 0.5 - x));
  for (let j = top; j <= low; j++) {
    const own = bright * bell(j + 0.5 - y);
    for (let i = left; i <= right; i++) if (isWater[j * nx + i] === 1) raster[j * nx + i]! += own * across[i - left]!;
  }
}

function frameOf(
  raster: Float32Array,
  { nx, ny, low }: { nx: number; ny: number; low: Point },
  toPlane: Homography,
  { width, height }: Camera,
  { seconds, noise, grain, from }: { seconds: number; noise: number; grain: Float32Array; from: number },
): Frame {
  const grey = new Uint8Array(width * height);
  const [a, b, c, d, e, f, g, h, l] = toPlane as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  for (let k = 0; k < grey.length; k++) {
    const [u, v] = [(k % width) + 0.5, Math.floor(k / width) + 0.5];
    const w = g * u + h * v + l;
    const i = Math.floor(((a * u + b * v + c) / w - low[0]) / PIXEL);
    const j = Math.floor(((d * u + e * v + f) / w - low[1]) / PIXEL);
    // Beyond what is drawn: far ground, or the sky.
    const value = w > 0 ? (i >= 0 && j >= 0 && i < nx && j < ny ? raster[j * nx + i]! : 110) : 200;
    grey[k] = Math.max(0, Math.min(255, value + noise * grain[(from + k * 7919) & 0xffff]!));
  }
  return { width, height, grey, seconds };
}

/** Speed of a solved field's surface, by its log profile, with the field's corner at `origin`. */
export function surfaceOf(field: Field, origin: Point): Scene["surface"] {
  const { nx, ny, cell } = field;
  const surface = Float64Array.from({ length: nx * ny }, (_, k) => {
    const [mean, depth] = [speedAt(field, k), field.depth[k]!];
    return depth > 0.02 && mean > 0 ? surfaceSpeed(mean, depth, roughnessHeight(field.roughness[k]!, depth)) / mean : 1;
  });
  return ([px, py]) => {
    const [x, y] = [px - origin[0], py - origin[1]];
    const k = Math.floor(y / cell) * nx + Math.floor(x / cell);
    if (x < 0 || y < 0 || x >= nx * cell || y >= ny * cell || !(field.depth[k]! > 0.02)) return undefined;
    const by = surface[k]!;
    return [by * sample(field.u, nx, ny, cell, x, y), by * sample(field.v, nx, ny, cell, x, y)];
  };
}
