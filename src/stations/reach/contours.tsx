"use client";
import type { UnitSystem } from "../../words/quantity";
import { contours } from "d3-contour";
import { useMemo } from "react";
import type { Field } from "../../core/flow/grid";
import { showText } from "../../words/quantity";
import { findUnit, toSI } from "../../core/quantity/units";

type Ring = readonly [number, number][];

/** The rings of one level of values on a grid, in cells. */
function ringsOf(values: ArrayLike<number>, nx: number, ny: number, level: number): Ring[] {
  return contours()
    .size([nx, ny])
    .thresholds([level])(Array.from(values))[0]!
    .coordinates.flatMap((polygon) => polygon as unknown as Ring[]);
}

const pathOf = (ring: Ring, nx: number, ny: number, size: number): string =>
  inside(ring, nx, ny)
    .map(([pen, x, y]) => `${pen}${(x * size).toFixed(1)},${(y * size).toFixed(1)}`)
    .join("");

/** One level as a path; `size` is pixels a cell. */
export const contourPath = (values: ArrayLike<number>, nx: number, ny: number, size: number, level: number): string =>
  ringsOf(values, nx, ny, level)
    .map((ring) => pathOf(ring, nx, ny, size))
    .join("");

/** A contour without the stretches where it only closes along the frame. */
function inside(ring: Ring, nx: number, ny: number): ["M" | "L", number, number][] {
  const framed = ([x, y]: readonly [number, number]) => x <= 0.51 || y <= 0.51 || x >= nx - 0.51 || y >= ny - 0.51;
  return ring.map((point, k) => [k === 0 || (framed(point) && framed(ring[k - 1]!)) ? "M" : "L", point[0], point[1]]);
}

/**
 * Height of the bed over the water's own level, m, carried sideways from the wet part of each column: below zero under
 * water.
 */
export function heightOverWater({ nx, ny, bed, depth }: Field): Float64Array {
  const height = new Float64Array(nx * ny);
  for (let i = 0; i < nx; i++) {
    let [sum, count] = [0, 0];
    for (let j = 0; j < ny; j++)
      if (depth[j * nx + i]! > 0) {
        sum += bed[j * nx + i]! + depth[j * nx + i]!;
        count++;
      }
    for (let j = 0; j < ny; j++) {
      const k = j * nx + i;
      height[k] = depth[k]! > 0 ? -depth[k]! : count ? Math.max(0, bed[k]! - sum / count) : 0;
    }
  }
  return height;
}

/** Depths that lines are drawn at, in the shown unit. */
const DEPTHS: Record<UnitSystem, readonly number[]> = {
  metric: [0.5, 1, 1.5, 2, 3, 4, 6, 8],
  us: [2, 4, 6, 8, 10, 15, 20, 25],
};
/** Shorter rings, m round, are left out. */
const LEAST_RING = 8;

/** Lines of equal depth, each with its figure where it lies farthest downstream. */
export function DepthLines({ field, scale, system }: { field: Field; scale: number; system: UnitSystem }) {
  const lines = useMemo(() => {
    const { nx, ny, cell, depth } = field;
    const unit = findUnit(system === "us" ? "ft" : "m")!;
    const deepest = depth.reduce((most, h) => Math.max(most, h), 0);
    return DEPTHS[system]
      .filter((value) => toSI(value, unit) < deepest)
      .map((value) => {
        const rings = ringsOf(depth, nx, ny, toSI(value, unit))
          .filter((ring) => ring.length * cell > LEAST_RING)
          .sort((a, b) => b.length - a.length);
        const foot = rings[0]?.reduce((far, point) => (point[0] > far[0] && point[0] < 0.95 * nx ? point : far), [
          0, 0,
        ] as [number, number]);
        return {
          value,
          d: rings.map((ring) => pathOf(ring, nx, ny, cell * scale)).join(""),
          foot: foot && foot[0] > 0 ? ([foot[0] * cell * scale, foot[1] * cell * scale] as const) : undefined,
        };
      });
  }, [field, scale, system]);
  return (
    <g aria-hidden fill="none" strokeLinejoin="round">
      {lines.map(({ value, d, foot }) => (
        <g key={value}>
          <path d={d} stroke="var(--water-slow)" strokeOpacity={0.5} strokeWidth={2.6} />
          <path d={d} stroke="var(--water-fast)" strokeWidth={1} />
          {foot && (
            <text
              x={foot[0] + 4}
              y={foot[1] + 4}
              fontSize={14}
              fill="var(--water-fast)"
              stroke="var(--water-slow)"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {value} {system === "us" ? "ft" : "m"}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** Where the names of the edges stand, as a share of the reach's length, so that they keep apart. */
const LABELS = [0.56, 0.3];

/** The water's edge at other flows that are solved already, as thin lines with their flow. */
export function GhostEdges({ fields, scale, system }: { fields: readonly Field[]; scale: number; system: UnitSystem }) {
  const edges = useMemo(
    () =>
      fields.map((field, k) => {
        const { nx, ny, cell, discharge } = field;
        const rings = ringsOf(
          heightOverWater(field).map((height) => -height),
          nx,
          ny,
          0,
        )
          .filter((ring) => ring.length * cell > LEAST_RING)
          .sort((a, b) => b.length - a.length);
        const top = rings[0]?.reduce(
          (high, point) => (point[1] < high[1] && Math.abs(point[0] / nx - LABELS[k]!) < 0.04 ? point : high),
          [LABELS[k]! * nx, ny] as [number, number],
        );
        return {
          discharge,
          d: rings.map((ring) => pathOf(ring, nx, ny, cell * scale)).join(""),
          top: top && ([top[0] * cell * scale, top[1] * cell * scale] as const),
        };
      }),
    [fields, scale],
  );
  return (
    <g aria-hidden fill="none">
      {edges.map(({ discharge, d, top }, k) => (
        <g key={discharge}>
          <path d={d} stroke="var(--paper)" strokeOpacity={0.55} strokeWidth={2.6} />
          <path d={d} stroke="var(--reed)" strokeWidth={1.5} strokeDasharray={k % 2 ? "9 4" : "2 4"} />
          {top && (
            <text
              x={top[0]}
              y={Math.max(12, top[1] - 5)}
              fontSize={14}
              fill="var(--reed)"
              stroke="var(--paper)"
              strokeWidth={3}
              paintOrder="stroke"
            >
              edge at {showText(discharge, "discharge", system)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
