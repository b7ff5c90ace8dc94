"use client";
import { contours } from "d3-contour";
import { rasteriseReach } from "../../core/flow/rasterise";
import type { Reach, Template } from "../../core/flow/reach-schema";
import { centreline, templateSize } from "../../core/flow/template";
import { answer } from "../../core/quantity/answer";

/** Cells along the sketch, and shades from the thinnest water to the deepest part. */
const ALONG = 100;
const SHADES = 5;
/** Water shown over the crests, m: thin water, so that the riffle is not dry. */
const THIN = 0.25;
const W = 560;

/**
 * The bed from above as it would be made, dark where it is deep, with what the measures mean: how far it swings, and
 * where it is deepest. Nothing where the measures make no bed.
 */
export function BedSketch({ reach }: { reach: Reach & { bed: Template } }) {
  const sketch = sketchOf(reach);
  if (!sketch) return null;
  const { scale, height, shades, deepest, swing, bed } = sketch;
  return (
    <svg
      viewBox={`0 0 ${W} ${height}`}
      role="img"
      aria-label="The bed from above, flow to the right; dark is deep"
      className="w-full rounded-md border border-line bg-deep"
    >
      {shades.map((d, k) => (
        <path
          key={k}
          d={d}
          fillRule="evenodd"
          fill={`color-mix(in srgb, var(--water-slow) ${Math.round((100 * (k + 0.5)) / SHADES)}%, var(--water-fast))`}
        />
      ))}
      {bed.wiggle > 0 && (
        <g stroke="var(--ochre)" fill="none" strokeWidth={2}>
          <path d={`M0 ${swing.axis}H${W}`} strokeDasharray="3 6" strokeWidth={1.4} />
          <path d={`M${swing.x} ${swing.axis}V${swing.y}m-4 5l4 -5l4 5`} />
          <Label x={swing.x + 8} y={(swing.axis + swing.y) / 2 + 5} text="swing" />
        </g>
      )}
      <circle
        cx={deepest[0] * scale}
        cy={deepest[1] * scale}
        r={7}
        fill="none"
        stroke="var(--ochre)"
        strokeWidth={2.4}
      />
      <Label
        x={deepest[0] * scale + (deepest[0] * scale > W - 110 ? -96 : 12)}
        y={deepest[1] * scale + 5}
        text="deepest part"
      />
    </svg>
  );
}

const Label = ({ x, y, text }: { x: number; y: number; text: string }) => (
  <text
    x={x}
    y={y}
    fontSize={14}
    fill="var(--ink)"
    stroke="var(--paper)"
    strokeWidth={3.5}
    paintOrder="stroke"
    strokeLinejoin="round"
  >
    {text}
  </text>
);

function sketchOf(reach: Reach & { bed: Template }) {
  const { bed } = reach;
  const { length, breadth } = templateSize(bed);
  const cell = Math.max(length / ALONG, 0.25);
  // Stones are moved on the plan afterwards: in so small a picture they would be dots.
  const found = answer(() => rasteriseReach({ ...reach, features: [] }, cell));
  if (!found.ok) return undefined;
  const grid = found.value;
  const scale = W / (grid.nx * cell);
  const { nx, ny } = grid;
  // How far each cell lies under the crests, which fall with the reach.
  const under = Array.from(grid.z, (z, k) => bed.slope * (length - ((k % nx) + 0.5) * cell) - z);
  const deepestAt = under.reduce((best, value, k) => (value > under[best]! ? k : best), 0);
  const side = cell * scale;
  const shades = contours()
    .size([nx, ny])
    .thresholds(Array.from({ length: SHADES }, (_, k) => -THIN + (k * (bed.poolDepth + THIN)) / SHADES))(under)
    .map(({ coordinates }) =>
      coordinates
        .flat()
        .map((ring) => `M${ring.map(([x, y]) => `${(x! * side).toFixed(1)} ${(y! * side).toFixed(1)}`).join("L")}Z`)
        .join(""),
    );
  const deepest = [((deepestAt % nx) + 0.5) * cell, (Math.floor(deepestAt / nx) + 0.5) * cell] as const;
  const axis = (breadth / 2) * scale;
  return {
    bed,
    scale,
    height: Math.ceil(grid.ny * cell * scale),
    shades,
    deepest,
    swing: { x: (length / 4) * scale, y: centreline(bed, length / 4) * scale, axis },
  };
}
