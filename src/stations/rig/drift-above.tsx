"use client";
import { memo } from "react";
import type { Field } from "../../core/flow/grid";
import { placeWater } from "../../core/rig/place";
import type { Lie } from "../../core/fish/read";
import type { StrikeZone } from "../../core/rig/strike-zone";
import type { Way } from "../../core/rig/ways";
import { useSettings } from "../../state/settings";
import { figureText, showText } from "../../words/quantity";
import { landingWords } from "../../words/cast";

const W = 720;
/** Room round what is shown, m. */
const ROUND = 2;

/** The drift from above: where one stands, where it lands, how it goes, and where the fish takes it. */
export function DriftAbove({
  way,
  lie,
  field,
  zone,
  at,
}: {
  way: Way;
  lie: Lie;
  field: Field;
  zone: StrikeZone;
  at: number;
}) {
  const system = useSettings((settings) => settings.system);
  const { landing, drift } = way.cast;
  const points = [way.from, landing, [lie.x, lie.y] as const, ...drift.path.map(({ x, y }) => [x, y] as const)];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x0, x1] = [Math.min(...xs) - ROUND, Math.max(...xs) + ROUND];
  const [y0, y1] = [Math.min(...ys) - ROUND, Math.max(...ys) + ROUND];
  const scale = Math.min(W / (x1 - x0), 360 / (y1 - y0));
  const H = (y1 - y0) * scale;
  const left = (W - (x1 - x0) * scale) / 2;
  const px = (x: number) => left + (x - x0) * scale;
  const py = (y: number) => (y - y0) * scale;
  const now = drift.path[at]!;
  const turn = (Math.atan2(-lie.upCurrent[1], -lie.upCurrent[0]) * 180) / Math.PI;
  return (
    <svg
      viewBox={`0 0 ${W} ${Math.round(H)}`}
      className="w-full rounded-md border border-line"
      role="img"
      aria-label={`The drift from above: it lands ${landingWords(landing, lie, system)} and is near the fish for ${figureText(way.cast.seconds, 1)} seconds; a cast of ${showText(Math.hypot(landing[0] - way.from[0], landing[1] - way.from[1]), "distance", system)}`}
    >
      <Water field={field} x0={x0 - left / scale} y0={y0} scale={scale} width={W} height={Math.round(H)} />
      {/* Where the fish takes it: ahead of it more than behind. */}
      <rect
        x={-zone.behind * scale}
        y={-zone.side * scale}
        width={(zone.ahead + zone.behind) * scale}
        height={2 * zone.side * scale}
        transform={`translate(${px(lie.x)} ${py(lie.y)}) rotate(${turn + 180})`}
        fill="none"
        stroke="var(--reed-soft)"
        strokeWidth={2}
        strokeDasharray="6 4"
      />
      <path
        d={`M${px(way.from[0])} ${py(way.from[1])}L${px(landing[0])} ${py(landing[1])}`}
        stroke="var(--water-fast)"
        strokeWidth={1.4}
        strokeDasharray="2 5"
      />
      <path
        d={drift.path.map(({ x, y }, k) => `${k === 0 ? "M" : "L"}${px(x).toFixed(1)} ${py(y).toFixed(1)}`).join("")}
        fill="none"
        stroke="var(--ochre)"
        strokeWidth={3}
        strokeLinejoin="round"
      />
      <path
        d={`M${px(way.from[0])} ${py(way.from[1])}L${px(now.x)} ${py(now.y)}`}
        stroke="var(--water-fast)"
        strokeWidth={1.2}
      />
      <g transform={`translate(${px(lie.x)} ${py(lie.y)}) rotate(${turn + 180})`}>
        <path
          d="M14 0C8 -6 -4 -6 -14 0C-4 6 8 6 14 0ZM-13 0L-21 -5V5Z"
          fill="var(--reed-soft)"
          stroke="var(--water-slow)"
        />
      </g>
      <circle cx={px(landing[0])} cy={py(landing[1])} r={6} fill="none" stroke="var(--paper)" strokeWidth={2} />
      <circle cx={px(now.x)} cy={py(now.y)} r={5.5} fill="var(--ochre)" stroke="var(--paper)" strokeWidth={1.5} />
      <g transform={`translate(${px(way.from[0])} ${py(way.from[1])})`}>
        <circle r={9} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
        <path d="M0 -4V5M-4 0H4" stroke="var(--ink)" strokeWidth={2} />
      </g>
    </svg>
  );
}

/** Squares of the water: slow is dark, fast is pale, dry is paper. Drawn once for a cast. */
const Water = memo(function Water({
  field,
  x0,
  y0,
  scale,
  width,
  height,
}: {
  field: Field;
  x0: number;
  y0: number;
  scale: number;
  width: number;
  height: number;
}) {
  const step = 8;
  const squares = [];
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step) {
      const water = placeWater(field, x0 + (x + step / 2) / scale, y0 + (y + step / 2) / scale);
      if (water.depth > 0.03)
        squares.push(
          <rect
            key={`${x} ${y}`}
            x={x}
            y={y}
            width={step}
            height={step}
            fill="var(--water-fast)"
            fillOpacity={Math.min(0.75, 0.6 * water.meanSpeed).toFixed(2)}
          />,
        );
      else squares.push(<rect key={`${x} ${y}`} x={x} y={y} width={step} height={step} fill="var(--paper-deep)" />);
    }
  return (
    <g shapeRendering="crispEdges">
      <rect width={width} height={height} fill="var(--water-slow)" />
      {squares}
    </g>
  );
});
