import { GRAVITY } from "../quantity/provenance";
import type { Feature } from "../flow/reach-schema";
import { within } from "../flow/features";
import { cellsOf, type Field, speedAt } from "../flow/grid";
import { components, maskedBlur, slidingMax, smoothstep } from "./smooth";

/** What hides a fish, each 0..1 by cell. Thresholds are common practice, no source. */
export interface Cover {
  depth: Float32Array;
  brokenSurface: Float32Array;
  wood: Float32Array;
  stone: Float32Array;
  /** Under a cut bank or an overhang. */
  overhead: Float32Array;
  /** 1 - product of (1 - part). */
  total: Float32Array;
}

/** A break found on the bed or placed by the angler. */
export interface Break {
  x: number;
  y: number;
  /** Half its size, m. */
  radius: number;
  kind: "stone" | "wood" | "wall";
  name?: string;
}

/** What a break is called by: its own name, or its kind. */
export type BreakName = Pick<Break, "kind" | "name">;

/** How far a break's shelter reaches from its edge, m. */
const SHELTER = 1.5;

/**
 * The breaks of a reach: its features that stand in the water, or on a bed without any the humps that stand clear of
 * both banks.
 */
export function breaksOf(field: Field, features: readonly Feature[] | undefined): Break[] {
  const placed = (features ?? []).flatMap((feature) => breakOf(feature) ?? []);
  if (placed.length > 0) return placed;
  const { nx, ny, cell } = field;
  const all = new Uint8Array(nx * ny).fill(1);
  const around = maskedBlur(field.bed, all, nx, ny, 2.5 / cell);
  const proud = cellsOf(new Uint8Array(nx * ny), (k) =>
    field.bed[k]! - around[k]! > 0.3 || field.depth[k] === 0 ? 1 : 0,
  );
  return components(proud, nx, ny)
    .filter(
      (group) =>
        group.every((k) => k >= nx && k < nx * (ny - 1)) &&
        group.length * cell * cell <= 80 &&
        group.length * cell * cell >= 0.5,
    )
    .map((group) => ({
      x: (group.reduce((sum, k) => sum + (k % nx), 0) / group.length + 0.5) * cell,
      y: (group.reduce((sum, k) => sum + Math.floor(k / nx), 0) / group.length + 0.5) * cell,
      radius: Math.sqrt((group.length * cell * cell) / Math.PI),
      kind: "stone" as const,
    }));
}

function breakOf(feature: Feature): Break | undefined {
  switch (feature.kind) {
    case "boulder":
    case "pier":
      return { x: feature.x, y: feature.y, radius: feature.diameter / 2, kind: "stone", name: feature.name };
    case "log":
    case "log-jam":
      return {
        x: feature.x,
        y: feature.y,
        radius: Math.max(feature.length, feature.width) / 2,
        kind: "wood",
        name: feature.name,
      };
    case "wall":
      // A wall breaks the current at its end in the river; its root is in the bank.
      return {
        x: feature.x,
        y: Math.abs(feature.to) > Math.abs(feature.from) ? feature.to : feature.from,
        radius: Math.max(0.5, feature.thickness),
        kind: "wall",
        name: feature.name,
      };
    default:
      return undefined;
  }
}

/** Places where something hangs over the fish: cut banks and overhanging trees. */
export const roofsOf = (features: readonly Feature[] | undefined): Feature[] =>
  (features ?? []).filter((one) => one.kind === "undercut" || one.kind === "overhang");

export const froude = (depth: number, speed: number): number => (depth > 0 ? speed / Math.sqrt(GRAVITY * depth) : 0);

/** Cover of every wet cell for water that can be seen into to `visibleDepth` m. */
export function coverOf(
  field: Field,
  breaks: readonly Break[],
  visibleDepth: number,
  roofs: readonly Feature[] = [],
): Cover {
  const { nx, ny, cell } = field;
  const make = () => new Float32Array(nx * ny);
  const cover: Cover = {
    depth: make(),
    brokenSurface: make(),
    wood: make(),
    stone: make(),
    overhead: make(),
    total: make(),
  };
  for (let k = 0; k < nx * ny; k++) {
    const h = field.depth[k]!;
    if (h <= 0) continue;
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    cover.depth[k] = smoothstep(0.5, 1.3, h / visibleDepth) * smoothstep(0.25, 0.6, h);
    cover.brokenSurface[k] = smoothstep(0.35, 0.7, froude(h, speedAt(field, k)));
    for (const one of breaks) {
      const apart = Math.hypot(x - one.x, y - one.y) - one.radius;
      if (apart > SHELTER) continue;
      const near = 1 - smoothstep(0.3, SHELTER, apart);
      if (one.kind === "wood") cover.wood[k] = Math.max(cover.wood[k]!, near);
      else cover.stone[k] = Math.max(cover.stone[k]!, 0.6 * near);
    }
    // Full under its roof, fading out over half its size beyond the edge.
    for (const roof of roofs)
      cover.overhead[k] = Math.max(cover.overhead[k]!, 1 - smoothstep(1, 1.5, within(roof, x, y)));
    cover.total[k] =
      1 -
      (1 - cover.overhead[k]!) *
        (1 - cover.depth[k]!) *
        (1 - cover.brokenSurface[k]!) *
        (1 - cover.wood[k]!) *
        (1 - cover.stone[k]!);
  }
  return cover;
}

/** How far a fish bolts to hide, m. Common practice, no source. */
export const REFUGE_WITHIN = 4;

/** Best hiding place within `reach` m of each cell, 0..1: depth, wood or stone to bolt to. */
export function refugeOf(field: Field, cover: Cover, reach = REFUGE_WITHIN): Float32Array {
  const { nx, ny, cell } = field;
  const radius = Math.max(1, Math.round(reach / cell));
  const hide = cover.depth.map((depth, k) => Math.max(depth, cover.wood[k]!, cover.stone[k]!, cover.overhead[k]!));
  return slidingMax(hide, nx, ny, radius);
}
