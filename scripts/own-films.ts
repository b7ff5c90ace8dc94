/** Films of made-up rivers (`npm run own-river`): how well the surface's speed and the seams are read from them. */
import { filmReader } from "../src/core/film/film-reader";
import { homographyOf, inverse, type Point, project } from "../src/core/film/homography";
import type { Grid } from "../src/core/flow/grid";
import { rasteriseReach } from "../src/core/flow/rasterise";
import { solveSteady } from "../src/core/flow/steady";
import { isWithin, placeAt, placeIn } from "../src/core/trace/channel";
import { findSeams } from "../src/core/water/seams";
import { type Camera, cameraPlane, filmOf, type Scene, surfaceOf } from "../src/testing/film-scene";
import { madeRiver, type MadeRiver } from "../src/testing/made-rivers";

/** A speed is right within this share; of slow water, within so much, m/s; a seam within so much, m. */
export const FILMED = { share: 0.15, speed: 0.05, seam: 1 };
/** Made-up rivers that are filmed, by seed, and frames a second. */
const FILMS = [
  [1, 30],
  [2, 60],
  [3, 30],
  [4, 30],
  [6, 60],
  [9, 30],
] as const;
const SIZE = { width: 960, height: 540 };
/** Of a film of 30 frames a second; of 60 half of it. */
const SECONDS = 10;
/** How far a marked point is put wrong, px and m. */
const MARKED = { pixels: 1, metres: 0.05 };

interface FilmedRiver {
  name: string;
  framesPerSecond: number;
  /** Water whose speed is right, and of the arrows. */
  water: number;
  arrows: number;
  /** Points of the true seams with one near; null without a seam. */
  seams: number | null;
  /** Of one core. */
  seconds: number;
}

/** A wall from the left bank: so many widths up from the middle, to such a share across; its top over the bed, m. */
const WALL = { above: 0.3, across: 0.4, thick: 0.6, top: 3 };

/** The river's bed with a wall in it, behind which the water is slow. */
function walled({ channel, origin }: MadeRiver, grid: Grid): Grid {
  const middle = ((channel.axis.length - 1) * channel.step) / 2 - WALL.above * channel.meanWidth;
  const z = grid.z.map((level, k) => {
    const at: Point = [
      origin[0] + ((k % grid.nx) + 0.5) * grid.cell,
      origin[1] + (Math.floor(k / grid.nx) + 0.5) * grid.cell,
    ];
    const { s, across } = placeIn(channel, at);
    return Math.abs(s - middle) < WALL.thick && across < WALL.across ? level + WALL.top : level;
  });
  return { ...grid, z };
}

/** A film from the right bank, hand-held, of about a width of the river's length, below a wall. */
function filmRiver(river: MadeRiver, framesPerSecond: number): FilmedRiver {
  const { channel, random } = river;
  const length = SECONDS * (framesPerSecond > 30 ? 0.5 : 1);
  const day = solveSteady(walled(river, rasteriseReach(river.reach)), {
    discharge: river.discharge,
    downstream: { kind: "normal", slope: river.slope },
  });
  const surface = surfaceOf(day, river.origin);
  const middle = ((channel.axis.length - 1) * channel.step) / 2;
  const w = channel.meanWidth;
  const place = (along: number, across: number): Point => placeAt(channel, middle + along * w, across);
  const corners = [place(-0.6, -0.02), place(0.6, -0.02), place(0.3, 1.02), place(-0.3, 1.02)];
  const [at, look] = [place(-0.1 + 0.2 * random(), 1.35), place(0, 0.5)];
  const camera: Camera = {
    ...SIZE,
    fieldOfView: 72,
    at,
    high: 0.35 * w,
    heading: (Math.atan2(look[1] - at[1], look[0] - at[0]) * 180) / Math.PI,
    tilt: 24 + 3 * random(),
    roll: 4 * random() - 2,
  };
  const film = corners.map((corner) => project(inverse(cameraPlane(camera)), corner));
  const off = (by: number) => by * (2 * random() - 1);
  const marked = film.map(([x, y]): Point => [x + off(MARKED.pixels), y + off(MARKED.pixels)]);
  const measured = corners.map(([x, y]): Point => [x + off(MARKED.metres), y + off(MARKED.metres)]);
  const [low, high] = [Math.min, Math.max].map((of) =>
    [0, 1].map((axis) => of(...corners.map((corner) => corner[axis]!)) + (of === Math.min ? -4 : 4)),
  ) as unknown as [Point, Point];
  const scene: Scene = {
    surface,
    low,
    high,
    framesPerSecond,
    seconds: length,
    shake: 4,
    noise: 6,
    marks: 12,
    seed: Math.floor(1e6 * random()),
  };
  let [reader, spent] = [undefined as ReturnType<typeof filmReader> | undefined, 0];
  for (const frame of filmOf(scene, camera)) {
    const from = performance.now();
    reader ??= filmReader({ toPlane: homographyOf(marked, measured), water: marked, still: marked }, frame, length);
    reader.add(frame);
    spent += performance.now() - from;
  }
  const from = performance.now();
  const work = reader!.measure();
  let step = work.next();
  while (!step.done) step = work.next();
  spent += performance.now() - from;
  const speeds = step.value;
  const isRight = (arrow: { u: number; v: number }, truth: Point) =>
    Math.abs(Math.hypot(arrow.u, arrow.v) - Math.hypot(...truth)) <=
    Math.max(FILMED.speed, FILMED.share * Math.hypot(...truth));
  const held = speeds.arrows.flatMap((arrow) => {
    const truth = surface([arrow.x, arrow.y]);
    return truth ? [isRight(arrow, truth)] : [];
  });
  // All the water of the four corners, measured or not.
  let [water, right] = [0, 0];
  for (let x = low[0]; x < high[0]; x += 0.25)
    for (let y = low[1]; y < high[1]; y += 0.25) {
      const truth = surface([x, y]);
      if (!truth || !isWithin(corners, [x, y])) continue;
      water++;
      const near = speeds.arrows.find((arrow) => Math.hypot(arrow.x - x, arrow.y - y) < speeds.spacing);
      if (near && isRight(near, truth)) right++;
    }
  const seen = speeds.seams.flatMap(({ points }) => points);
  const own = findSeams(day)
    .flatMap(({ points }) => points.map(([x, y]): Point => [x + river.origin[0], y + river.origin[1]]))
    .filter((point) => isWithin(corners, point));
  const found = own.filter(([x, y]) => seen.some(([a, b]) => Math.hypot(a - x, b - y) <= FILMED.seam));
  return {
    name: river.name,
    framesPerSecond,
    water: right / water,
    arrows: held.filter(Boolean).length / held.length,
    seams: own.length === 0 ? null : found.length / own.length,
    seconds: spent / 1000,
  };
}

const percent = (share: number) => `${Math.round(100 * share)} %`;

/** Films of six rivers, as a part of docs/own-river.md. */
export function filmedPart(): string {
  const all = FILMS.map(([seed, framesPerSecond]) => {
    const one = filmRiver(madeRiver(seed), framesPerSecond);
    process.stderr.write(`film of ${one.name}: ${percent(one.water)} of the water, ${one.seconds.toFixed(1)} s\n`);
    return one;
  });
  const mean = (of: (one: FilmedRiver) => number | null) => {
    const values = all.map(of).filter((one) => one !== null);
    return percent(values.reduce((sum, one) => sum + one, 0) / values.length);
  };
  return `## Ten seconds of film

Six of the same rivers, with a wall built out from one bank, are filmed from the other: ${SIZE.width} x ${SIZE.height}, tilted, hand-held, noisy, with a shadow that stands on the water; ${SECONDS} s at 30 frames a second, half of that at 60. Four points are marked to a pixel and measured to ${100 * MARKED.metres} cm (\`scripts/own-films.ts\`). A speed is right within ${100 * FILMED.share} % or ${FILMED.speed} m/s; a seam of the true water within ${FILMED.seam} m. All water between the points counts, what was not measured as wrong.

| river | frames a second | water right | arrows right | seams found | one core, s |
|---|---|---|---|---|---|
${all
  .map(
    (one) =>
      `| ${one.name.replace("river ", "")} | ${one.framesPerSecond} | ${percent(one.water)} | ${percent(one.arrows)} | ${one.seams === null ? "has none" : percent(one.seams)} | ${one.seconds.toFixed(0)} |`,
  )
  .join("\n")}
| mean | | ${mean((one) => one.water)} | ${mean((one) => one.arrows)} | ${mean((one) => one.seams)} | |
`;
}
