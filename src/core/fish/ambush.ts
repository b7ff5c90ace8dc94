import type { Light } from "../gauge/light";
import type { Ambusher } from "./species-schema";
import { cellsOf, type Field, speedAt } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { bottomOf, hardness, mixedBottom } from "../water/bottoms";
import type { Cover } from "../water/cover";
import { focalHeightIn } from "./net-energy";
import type { ScoreField } from "./score-field";
import { slidingMax, slidingMin } from "../water/smooth";
import { suits } from "./suitability";

/** Speed difference at which the ambush term has risen to two thirds, m/s. Common practice, no source. */
const KEEN = 0.3;
/**
 * A step of the bed within `reach` m that counts as a whole ledge, m: 4 ft dropping to 7 or 8. Common practice, no
 * source.
 */
const LEDGE = { reach: 2, step: 1 };
/** Hard and soft bottom within this of a place make an edge, m. Common practice, no source. */
const EDGE_REACH = 1.5;
/** Light at the surface as a share of noon's. Common practice, no source. */
const BRIGHT: Record<Light, number> = { day: 1, twilight: 0.35, night: 0.05 };

/**
 * How well each cell serves a fish that waits beside the current: the product of its suitabilities by depth, focal
 * speed, light and bottom, of fast water
 * within its reach (an ambush), and of stone, wood and ledges near by. Every factor is 0..1 and is told with the lie.
 */
export function scoreAmbush(
  field: Field,
  species: Ambusher,
  cover: Cover,
  at: { temperature: number; visibleDepth: number; light: Light },
): ScoreField {
  const { nx, ny, cell } = field;
  const cells = nx * ny;
  const { depth: byDepth, speed: bySpeed } = suits(species.suitability, at.temperature);
  const speeds = cellsOf(new Float32Array(cells), (k) => speedAt(field, k));
  const radius = (metres: number) => Math.max(1, Math.round(metres / cell));
  const fastest = slidingMax(speeds, nx, ny, radius(species.ambush.reach));
  // What runs by close at hand serves better than what runs by at arm's length: the mean of the two.
  const close = slidingMax(speeds, nx, ny, radius(species.ambush.reach / 2));
  const ledge = ledgesOf(field, radius(LEDGE.reach));
  const mixed = mixedBottom(field);
  const edge = edgesOf(field, radius(EDGE_REACH));
  const make = () => new Float32Array(cells);
  const parts = { depth: make(), speed: make(), ambush: make(), cover: make(), light: make(), bottom: make() };
  const score = new Float64Array(cells).fill(NaN);
  const focalSpeed = new Float64Array(cells);
  for (let k = 0; k < cells; k++) {
    const h = field.depth[k]!;
    if (h < species.leastDepth) continue;
    const focal = speedAtHeight(speeds[k]!, h, roughnessHeight(field.roughness[k]!, h), focalHeightIn(species, h));
    focalSpeed[k] = focal;
    parts.depth[k] = byDepth(h);
    parts.speed[k] = bySpeed(focal);
    parts.ambush[k] =
      1 - species.ambush.weight * Math.exp(-Math.max(0, 0.5 * (fastest[k]! + close[k]!) - speeds[k]!) / KEEN);
    parts.cover[k] = coverFactor(species, [
      cover.stone[k]! / MOST_STONE,
      Math.max(cover.wood[k]!, cover.overhead[k]!),
      ledge[k]!,
      edge?.[k] ?? 0,
    ]);
    parts.light[k] = 1 - species.shy * BRIGHT[at.light] * Math.exp(-h / at.visibleDepth) * (1 - cover.overhead[k]!);
    parts.bottom[k] = mixed ? (species.substrate[bottomOf(field.roughness[k]!)] ?? 1) : 1;
    score[k] =
      parts.depth[k]! * parts.speed[k]! * parts.ambush[k]! * parts.cover[k]! * parts.light[k]! * parts.bottom[k]!;
  }
  return {
    score,
    focalSpeed,
    factors: mixed
      ? parts
      : { depth: parts.depth, speed: parts.speed, ambush: parts.ambush, cover: parts.cover, light: parts.light },
    reasons: (k) => [
      { kind: "ambush", fast: fastest[k]!, slow: speeds[k]!, reach: species.ambush.reach },
      ...(ledge[k]! > 0.5 && species.cover.ledge > 0.2
        ? [{ kind: "ledge" as const, step: ledge[k]! * LEDGE.step }]
        : []),
      ...(edge?.[k] && species.cover.edge ? [{ kind: "edge" as const }] : []),
      ...(parts.light[k]! < 0.75 ? [{ kind: "bright" as const }] : []),
      ...(mixed && parts.bottom[k]! < 1 ? [{ kind: "bottom" as const, substrate: bottomOf(field.roughness[k]!) }] : []),
    ],
  };
}

/** What cover.ts gives a stone at its edge. */
const MOST_STONE = 0.6;

/**
 * From what a bare place keeps to 1 where the cover it likes best is whole: stone, wood (or a roof), ledge and edge of
 * the bottom, each by its weight.
 */
function coverFactor(
  { cover: { stone, wood, ledge, edge = 0 } }: Ambusher,
  [s, w, l, e]: readonly [number, number, number, number],
): number {
  const most = Math.max(stone, wood, ledge, edge, 1e-6);
  const without =
    (1 - (stone / most) * Math.min(1, s)) *
    (1 - (wood / most) * w) *
    (1 - (ledge / most) * l) *
    (1 - (edge / most) * e);
  return 1 - most * without;
}

/** 1 where hard and soft bottom both lie within reach; undefined where the reach has one bottom only. */
function edgesOf(field: Field, radius: number): Float32Array | undefined {
  const hard = hardness(field);
  if (!hard) return undefined;
  const { nx, ny } = field;
  const is = (kind: number) =>
    slidingMax(
      cellsOf(new Float32Array(nx * ny), (k) => (hard[k] === kind ? 1 : 0)),
      nx,
      ny,
      radius,
    );
  const [firm, soft] = [is(1), is(0)];
  return firm.map((one, k) => one * soft[k]!);
}

/** How much of a whole ledge lies within reach of each cell, 0..1: deep and shallow water side by side. */
function ledgesOf(field: Field, radius: number): Float32Array {
  const { nx, ny, cell } = field;
  const deepest = slidingMax(field.depth, nx, ny, radius);
  const shallowest = slidingMin(
    field.depth.map((h) => (h > 0.05 ? h : Infinity)),
    nx,
    ny,
    radius,
  );
  // A bed that only slopes is no ledge: what an even bank of one in four would give is taken off.
  const slope = 0.25 * 2 * radius * cell;
  return field.depth.map((h, k) =>
    h > 0 ? Math.min(1, Math.max(0, (deepest[k]! - shallowest[k]! - slope) / LEDGE.step)) : 0,
  );
}
