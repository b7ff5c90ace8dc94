"use client";
import { type Field, speedAt } from "../../core/flow/grid";
import type { Lie } from "../../core/lies/read";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";

const W = 380;
const H = 210;
const PAD = { left: 8, right: 8, top: 26, bottom: 8 };

/** Across the river at a lie, looking down-current: the left bank on the left. Slow water dark, fast pale; depth drawn larger than width. */
export function Section({ field, lie, visibleDepth, system }: { field: Field; lie: Lie; visibleDepth: number; system: UnitSystem }) {
  const { nx, ny, cell } = field;
  const i = Math.min(nx - 1, Math.floor(lie.x / cell));
  const column = Array.from({ length: ny }, (_, j) => j * nx + i);
  const wet = column.filter((k) => field.depth[k]! > 0);
  const level = field.bed[Math.floor(lie.y / cell) * nx + i]! + lie.depth;
  const lowest = Math.min(...column.map((k) => field.bed[k]!));
  const [first, last] = [Math.max(0, Math.floor(wet[0]! / nx) - 4), Math.min(ny - 1, Math.floor(wet.at(-1)! / nx) + 4)];
  const high = level + 0.45 * (level - lowest);
  const x = (j: number) => PAD.left + ((j - first + 0.5) / (last - first + 1)) * (W - PAD.left - PAD.right);
  const y = (z: number) => PAD.top + ((high - z) / (high - lowest + 0.25 * (level - lowest))) * (H - PAD.top - PAD.bottom);
  const fastest = Math.max(0.3, ...wet.map((k) => speedAt(field, k)));
  const shown = column.slice(first, last + 1);
  const bed = `M${x(first)} ${H}${shown.map((k, n) => `L${x(first + n).toFixed(1)} ${y(Math.min(high, field.bed[k]!)).toFixed(1)}`).join("")}L${x(last)} ${H}Z`;
  const width = x(1) - x(0);
  const fishY = y(level - lie.depth + lie.focalHeight + 0.04);
  const fishX = x(lie.y / cell - 0.5);
  const seen = level - visibleDepth;
  return (
    <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={`Section across the river at lie ${lie.rank}: ${showText(lie.depth, "depth", system)} deep at the fish`} className="w-full">
      {wet.map((k) => {
        const j = Math.floor(k / nx);
        const t = Math.round((speedAt(field, k) / fastest) ** 1.1 * 100);
        return <rect key={k} x={x(j) - width / 2} width={width + 0.6} y={y(level)} height={Math.max(0, y(field.bed[k]!) - y(level))} fill={`color-mix(in srgb, var(--water-fast) ${t}%, var(--water-slow))`} />;
      })}
      <path d={bed} fill="var(--paper-deep)" stroke="var(--ink)" strokeWidth={1.6} strokeLinejoin="round" />
      <path d={`M${x(Math.floor(wet[0]! / nx))} ${y(level)}H${x(Math.floor(wet.at(-1)! / nx))}`} stroke="var(--ink)" strokeWidth={1.4} />
      {seen > lowest && <path d={`M${x(Math.floor(wet[0]! / nx))} ${y(seen)}H${x(Math.floor(wet.at(-1)! / nx))}`} stroke="var(--water-fast)" strokeWidth={1.8} strokeDasharray="2 5" />}
      <g transform={`translate(${fishX} ${fishY})`}>
        <path d="M-11 0C-6 -5 3 -5 9 0C3 5 -6 5 -11 0ZM-10 0L-16 -4.5V4.5Z" fill="var(--ochre)" stroke="var(--paper)" strokeWidth={1.2} />
      </g>
      <text x={PAD.left} y={16} fontSize={13} fill="var(--ink-soft)">left bank</text>
      <text x={W - PAD.right} y={16} fontSize={13} textAnchor="end" fill="var(--ink-soft)">right bank</text>
      <text x={W / 2} y={16} fontSize={13} textAnchor="middle" fill="var(--ink-soft)">{showText((wet.length) * cell, "distance", system)} of water</text>
    </svg>
  );
}
