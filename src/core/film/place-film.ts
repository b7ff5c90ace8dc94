import { type Field, speedAt } from "../flow/grid";
import { probeAt } from "../flow/probe";
import { roughnessHeight, surfaceSpeed } from "../flow/profile";
import type { WaterReading } from "../flow/reach-schema";
import type { Seam } from "../water/seams";
import type { Arrow } from "./film-speeds";
import type { Point } from "./homography";

/** Where filmed water lies on a reach: the middle of its arrows, m, and how far its plane is turned, degrees. */
export interface FilmPlacement {
  at: Point;
  turn: number;
}

/** What is put on a reach. */
export interface Placeable {
  arrows: readonly Arrow[];
  seams: readonly Seam[];
}

const middleOf = (arrows: readonly Arrow[]): Point => [
  arrows.reduce((sum, { x }) => sum + x, 0) / arrows.length,
  arrows.reduce((sum, { y }) => sum + y, 0) / arrows.length,
];

/** Where its flow runs on the film's own plane, degrees from x. */
export function filmHeading(arrows: readonly Arrow[]): number {
  const [u, v] = arrows.reduce(([a, b], arrow) => [a + arrow.u, b + arrow.v] as const, [0, 0] as Point);
  return (Math.atan2(v, u) * 180) / Math.PI;
}

/** Arrows and seams in the reach's own m; `all` are the film's, where only some are placed. */
export function placeFilm({ arrows, seams }: Placeable, { at, turn }: FilmPlacement, all = arrows): Placeable {
  const [mx, my] = middleOf(all);
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const turned = (x: number, y: number): [number, number] => [c * x - s * y, s * x + c * y];
  const moved = (x: number, y: number): [number, number] => {
    const [px, py] = turned(x - mx, y - my);
    return [at[0] + px, at[1] + py];
  };
  return {
    arrows: arrows.map((arrow) => {
      const [x, y] = moved(arrow.x, arrow.y);
      const [u, v] = turned(arrow.u, arrow.v);
      return { ...arrow, x, y, u, v };
    }),
    seams: seams.map((seam) => ({ ...seam, points: seam.points.map(([x, y]) => moved(x, y)) })),
  };
}

/**
 * Places that are tried for a film: so far apart, m, and its flow so far from straight down the reach, degrees; about
 * the best one then again, more finely.
 */
const TRIED = { step: 2, turn: 8, furthest: 48, finer: 4 };
/** Arrows that are held against the model at each. */
const HELD = 60;

/**
 * Where a film fits a solved reach best: the place and turn at which its arrows differ least from the surface's speed;
 * one that lies outside the water counts as wholly wrong.
 */
export function firstPlacement(arrows: readonly Arrow[], field: Field): FilmPlacement {
  const { nx, ny, cell, u, v, depth, roughness } = field;
  const byMean = Float32Array.from({ length: nx * ny }, (_, k) => {
    const mean = speedAt(field, k);
    return mean > 0 ? surfaceSpeed(mean, depth[k]!, roughnessHeight(roughness[k]!, depth[k]!)) / mean : 1;
  });
  const held = spreadArrows(arrows, HELD);
  const [mx, my] = middleOf(arrows);
  const heading = (filmHeading(held) * Math.PI) / 180;
  const missed = ([x, y]: Point, turn: number) => {
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    return held.reduce((sum, arrow) => {
      const [dx, dy] = [arrow.x - mx, arrow.y - my];
      const i = Math.floor((x + c * dx - s * dy) / cell);
      const j = Math.floor((y + s * dx + c * dy) / cell);
      const k = j * nx + i;
      const [au, av] = [c * arrow.u - s * arrow.v, s * arrow.u + c * arrow.v];
      if (i < 0 || j < 0 || i >= nx || j >= ny || !(depth[k]! > 0)) return sum + Math.hypot(au, av);
      return sum + Math.hypot(byMean[k]! * u[k]! - au, byMean[k]! * v[k]! - av);
    }, 0);
  };
  let best = { x: (nx * cell) / 2, y: (ny * cell) / 2, turn: -heading, off: Infinity };
  const around = (about: typeof best, far: number, turned: number, parts: number) => {
    const turnStep = (TRIED.turn * Math.PI) / 180 / parts;
    for (let y = about.y - far; y <= about.y + far; y += TRIED.step / parts)
      for (let x = about.x - far; x <= about.x + far; x += TRIED.step / parts) {
        if (!(x >= 0 && y >= 0 && x < nx * cell && y < ny * cell)) continue;
        if (!(depth[Math.floor(y / cell) * nx + Math.floor(x / cell)]! > 0)) continue;
        for (let turn = about.turn - turned; turn <= about.turn + turned + 1e-9; turn += turnStep) {
          const off = missed([x, y], turn);
          if (off < best.off) best = { x, y, turn, off };
        }
      }
  };
  around(best, (Math.max(nx, ny) * cell) / 2, (TRIED.furthest * Math.PI) / 180, 1);
  around(best, TRIED.step, (TRIED.turn * Math.PI) / 180, TRIED.finer);
  return { at: [best.x, best.y], turn: (((((best.turn * 180) / Math.PI + 540) % 360) + 360) % 360) - 180 };
}

/** The most distinct arrows that stand so far apart, m. */
export function apartArrows(arrows: readonly Arrow[], apart: number): Arrow[] {
  const chosen: Arrow[] = [];
  for (const arrow of arrows.toSorted((a, b) => b.quality - a.quality))
    if (chosen.every((one) => Math.hypot(one.x - arrow.x, one.y - arrow.y) >= apart)) chosen.push(arrow);
  return chosen;
}

/** At most so many arrows, spread evenly. */
function spreadArrows(arrows: readonly Arrow[], most: number): Arrow[] {
  const xs = arrows.map(({ x }) => x);
  const ys = arrows.map(({ y }) => y);
  const [width, height] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  // Those in one row have no area, but a length.
  for (let apart = Math.max(Math.sqrt((width * height) / most), (width + height) / most, 0.01); ; apart *= 1.1) {
    const chosen = apartArrows(arrows, apart);
    if (chosen.length <= most) return chosen;
  }
}

/** How filmed speeds compare with those of a solved surface, where that is wet. */
export interface FilmAgreement {
  /** Arrows that lie in the model's water, of all. */
  inside: number;
  of: number;
  /** The model's surface speed over the filmed one, in the middle. */
  ratio: number;
  /** Share of those inside within a fifth, or 0.08 m/s. */
  alike: number;
}

/** Slower water says nothing that a reading can hold, m/s. */
const STANDING = 0.01;

/** The model's surface speed at an arrow, m/s; undefined where it has no water. */
function modelAt({ x, y }: Arrow, field: Field): number | undefined {
  if (!(x >= 0 && y >= 0 && x < field.nx * field.cell && y < field.ny * field.cell)) return undefined;
  const { depth, surface } = probeAt(field, x, y);
  return depth > 0 ? surface : undefined;
}

const ALIKE = { share: 0.2, speed: 0.08 };

export function compareFilm(arrows: readonly Arrow[], field: Field): FilmAgreement {
  const pairs = arrows.flatMap((arrow) => {
    const model = modelAt(arrow, field);
    return model === undefined ? [] : [{ filmed: Math.hypot(arrow.u, arrow.v), model }];
  });
  const ratios = pairs.map(({ filmed, model }) => model / Math.max(0.01, filmed)).toSorted((a, b) => a - b);
  const alike = pairs.filter(
    ({ filmed, model }) => Math.abs(model - filmed) <= Math.max(ALIKE.speed, ALIKE.share * filmed),
  );
  return {
    inside: pairs.length,
    of: arrows.length,
    ratio: ratios[Math.floor(ratios.length / 2)] ?? NaN,
    alike: alike.length / Math.max(1, pairs.length),
  };
}

/**
 * A film is put on a reach to a metre or so: beside a seam that is another speed. Places count whose speed is within so
 * much of that of all around them, so far, m; as a share, and m/s. Own choice.
 */
const EVEN = { around: 1.5, share: 0.2, speed: 0.08 };

/** Arrows in water of even speed, wherever the film is put. */
export const evenArrows = (arrows: readonly Arrow[]): Arrow[] =>
  arrows.filter((arrow) => {
    const own = Math.hypot(arrow.u, arrow.v);
    return arrows.every(
      ({ x, y, u, v }) =>
        Math.hypot(x - arrow.x, y - arrow.y) > EVEN.around ||
        Math.abs(Math.hypot(u, v) - own) <= Math.max(EVEN.speed, EVEN.share * own),
    );
  });

/** Even arrows in the model’s water as readings of surface speed at a flow, m3/s, and instant, ms; at most so many. */
export function filmReadings(
  even: readonly Arrow[],
  field: Field,
  { most, discharge, at }: { most: number; discharge: number; at: number },
): WaterReading[] {
  const wet = even.filter((arrow) => Math.hypot(arrow.u, arrow.v) >= STANDING && modelAt(arrow, field) !== undefined);
  if (wet.length === 0) return [];
  return spreadArrows(wet, most).map(({ x, y, u, v }) => ({
    x: Number(x.toFixed(2)),
    y: Number(y.toFixed(2)),
    kind: "surface-speed" as const,
    value: Number(Math.hypot(u, v).toFixed(3)),
    discharge: Number(discharge.toPrecision(4)),
    at: new Date(at).toISOString(),
  }));
}
