"use client";
import type { UnitSystem } from "../../words/quantity";
import { useMemo } from "react";
import type { Field } from "../../core/flow/grid";
import { type SectionAlong, sectionAlong } from "../../core/flow/section-along";
import type { Lie } from "../../core/fish/read";
import type { Numbered } from "../../scenario/lie-identity";
import { showText } from "../../words/quantity";
import type { Line } from "./section-line";

const W = 380;
const H = 152;
const PAD = { left: 8, right: 8, top: 26, bottom: 8 };
/** Dry ground shown beyond the water, m. */
const BANK = 2;

/** Across the river at a lie, looking down-current: the left bank on the left. */
export function SectionAtLie({
  field,
  lie,
  visibleDepth,
  system,
}: {
  field: Field;
  lie: Numbered<Lie>;
  visibleDepth: number;
  system: UnitSystem;
}) {
  const section = useMemo(() => sectionAlong(field, [lie.x, 0], [lie.x, field.ny * field.cell]), [field, lie.x]);
  return (
    <Section
      section={section}
      label={`Section across the river at lie ${lie.number}: ${showText(lie.depth, "depth", system)} deep at the fish`}
      ends={["left bank", "right bank"]}
      fish={{ s: lie.y, height: lie.focalHeight }}
      visibleDepth={visibleDepth}
      system={system}
    />
  );
}

/** Along a line laid by hand, from its first end to its second, with its sums in words. */
export function SectionOnLine({
  field,
  line,
  visibleDepth,
  system,
}: {
  field: Field;
  line: Line;
  visibleDepth: number;
  system: UnitSystem;
}) {
  const section = useMemo(() => sectionAlong(field, line[0], line[1]), [field, line]);
  const deepest = section.points.reduce((most, point) => (point.depth > most.depth ? point : most));
  const quickest = section.points.reduce((most, point) => (point.speed > most.speed ? point : most));
  if (section.wetted === 0) return <p className="text-soft">The line is on dry ground.</p>;
  return (
    <>
      <Section
        section={section}
        label="Section along the line"
        ends={["A", "B"]}
        visibleDepth={visibleDepth}
        system={system}
      />
      <ul className="mt-2 grid gap-1 text-sm">
        <li>
          {showText(section.wetted, "distance", system)} of water, {showText(section.area, "area", system)};{" "}
          {showText(section.area / section.wetted, "depth", system)} deep on average.
        </li>
        <li>
          Deepest {showText(deepest.depth, "depth", system)}, {showText(deepest.s, "distance", system)} from A; fastest{" "}
          {showText(quickest.speed, "speed", system)}, {showText(quickest.s, "distance", system)} from A.
        </li>
        <li>
          {showText(section.discharge, "discharge", system)} cross it, of{" "}
          {showText(field.discharge, "discharge", system)} in the river.
        </li>
      </ul>
    </>
  );
}

/** Bed, water and its speed along a section: slow dark, fast pale; depth drawn larger than width. */
function Section({
  section,
  label,
  ends,
  fish,
  visibleDepth,
  system,
}: {
  section: SectionAlong;
  label: string;
  ends: readonly [string, string];
  fish?: { s: number; height: number };
  visibleDepth: number;
  system: UnitSystem;
}) {
  const wet = section.points.filter((point) => point.depth > 0);
  if (wet.length === 0) return null;
  const [from, to] = [wet[0]!.s - BANK, wet.at(-1)!.s + BANK];
  const shown = section.points.filter((point) => point.s >= from && point.s <= to);
  const level = wet.reduce((sum, point) => sum + point.bed + point.depth, 0) / wet.length;
  const lowest = shown.reduce((low, point) => Math.min(low, point.bed), Infinity);
  const high = level + 0.45 * (level - lowest);
  const [first, last] = [shown[0]!.s, shown.at(-1)!.s];
  const x = (s: number) => PAD.left + ((s - first) / (last - first)) * (W - PAD.left - PAD.right);
  const y = (z: number) =>
    PAD.top + ((high - z) / (high - lowest + 0.25 * (level - lowest))) * (H - PAD.top - PAD.bottom);
  const fastest = wet.reduce((most, point) => Math.max(most, point.speed), 0.3);
  const width = x(shown[1]!.s) - x(shown[0]!.s);
  const bed = `M${x(first)} ${H}${shown.map((point) => `L${x(point.s).toFixed(1)} ${y(Math.min(high, point.bed)).toFixed(1)}`).join("")}L${x(last)} ${H}Z`;
  const surface = shown
    .map((point, k) =>
      point.depth > 0
        ? `${k > 0 && shown[k - 1]!.depth > 0 ? "L" : "M"}${x(point.s).toFixed(1)} ${y(point.bed + point.depth).toFixed(1)}`
        : "",
    )
    .join("");
  const seen = shown
    .map((point, k) =>
      point.depth > visibleDepth
        ? `${k > 0 && shown[k - 1]!.depth > visibleDepth ? "L" : "M"}${x(point.s).toFixed(1)} ${y(point.bed + point.depth - visibleDepth).toFixed(1)}`
        : "",
    )
    .join("");
  const at =
    fish && wet.reduce((best, point) => (Math.abs(point.s - fish.s) < Math.abs(best.s - fish.s) ? point : best));
  return (
    <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={label} className="w-full">
      {shown.map(
        (point) =>
          point.depth > 0 && (
            <rect
              key={point.s}
              x={x(point.s) - width / 2}
              width={width + 0.6}
              y={y(point.bed + point.depth)}
              height={Math.max(0, y(point.bed) - y(point.bed + point.depth))}
              fill={`color-mix(in srgb, var(--water-fast) ${Math.round((point.speed / fastest) ** 1.1 * 100)}%, var(--water-slow))`}
            />
          ),
      )}
      <path d={bed} fill="var(--paper-deep)" stroke="var(--ink)" strokeWidth={1.6} strokeLinejoin="round" />
      <path d={surface} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
      {seen && <path d={seen} fill="none" stroke="var(--water-fast)" strokeWidth={1.8} strokeDasharray="2 5" />}
      {fish && at && (
        <g transform={`translate(${x(fish.s)} ${y(at.bed + fish.height + 0.04)})`}>
          <path
            d="M-11 0C-6 -5 3 -5 9 0C3 5 -6 5 -11 0ZM-10 0L-16 -4.5V4.5Z"
            fill="var(--ochre)"
            stroke="var(--paper)"
            strokeWidth={1.2}
          />
        </g>
      )}
      <text x={PAD.left} y={16} fontSize={14} fill="var(--ink-soft)">
        {ends[0]}
      </text>
      <text x={W - PAD.right} y={16} fontSize={14} textAnchor="end" fill="var(--ink-soft)">
        {ends[1]}
      </text>
      <text x={W / 2} y={16} fontSize={14} textAnchor="middle" fill="var(--ink-soft)">
        {showText(section.wetted, "distance", system)} of water
      </text>
    </svg>
  );
}
