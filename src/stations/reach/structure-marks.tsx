"use client";
import { memo } from "react";
import type { Eddy } from "../../core/water/eddies";
import type { Structure } from "../../core/water/structure";

/**
 * What an angler reads in the water, drawn on the plan: foam lines as strings of bubbles, ledges as a line with teeth
 * into the deep, corners, pool parts by name, edges of the bottom.
 */
export const StructureMarks = memo(function StructureMarks({
  structure,
  eddies,
  lies,
  scale,
}: {
  structure: Structure;
  eddies: readonly Eddy[];
  lies: readonly { x: number; y: number }[];
  scale: number;
}) {
  const names = placed(
    [
      ...structure.pools.flatMap(
        ({ head, slot, deep, tail }) =>
          [
            ["head", head],
            ["slot", slot],
            ["deep", deep],
            ["tail", tail],
          ] as const,
      ),
      ...structure.corners.map((one) => ["corner", one] as const),
      ...structure.wakes
        .filter((one) => one.length > one.radius)
        .slice(0, 8)
        .map((one) => [one.name ?? "break", one] as const),
    ],
    lies,
    scale,
  );
  return (
    <g aria-hidden fill="none">
      {structure.bottoms.map(({ points }, k) => (
        <path
          key={`b${k}`}
          d={path(points, scale)}
          stroke="var(--reed)"
          strokeWidth={2}
          strokeDasharray="1 5"
          strokeLinecap="round"
        />
      ))}
      {eddies.slice(0, 6).map(({ outline }, k) => (
        <path
          key={`e${k}`}
          d={`${path(outline, scale)}Z`}
          stroke="var(--water-fast)"
          strokeWidth={1.2}
          strokeDasharray="2 4"
          strokeOpacity={0.9}
        />
      ))}
      {structure.ledges.map((one, k) => (
        <Teeth key={`l${k}`} points={one.points} scale={scale} />
      ))}
      {structure.foam.slice(0, 4).map((one, k) => (
        <Bubbles key={`f${k}`} points={one.points} scale={scale} />
      ))}
      {structure.corners.map((one, k) => (
        <g key={`c${k}`} transform={`translate(${one.x * scale} ${one.y * scale})`}>
          <path d="M7 -9L-5 0L7 9" stroke="var(--paper)" strokeWidth={5} strokeOpacity={0.7} />
          <path d="M7 -9L-5 0L7 9" stroke="var(--ink)" strokeWidth={2.2} />
        </g>
      ))}
      {structure.pools
        .flatMap(({ head, slot, deep, tail }) => [head, slot, deep, tail])
        .map(
          (at, k) =>
            at && (
              <g key={`p${k}`} transform={`translate(${at.x * scale} ${at.y * scale})`}>
                <path d="M-4 0H4M0 -4V4" stroke="var(--paper)" strokeWidth={3.4} strokeOpacity={0.7} />
                <path d="M-4 0H4M0 -4V4" stroke="var(--ink)" strokeWidth={1.4} />
              </g>
            ),
        )}
      {names.map(({ name, x, y }, k) => (
        <text key={`n${k}`} x={x} y={y} {...LETTERS}>
          {name}
        </text>
      ))}
    </g>
  );
});

/** What the marks mean: only those that are on the plan. */
export function StructureKey({
  structure,
  eddies,
  fish,
}: {
  structure: Structure;
  eddies: readonly Eddy[];
  fish: boolean;
}) {
  const marks = [
    structure.foam.length > 0 && "bubbles: foam lines, where food drifts",
    eddies.length > 0 && "dotted curls: eddies",
    structure.ledges.length > 0 && "a toothed line: a ledge, teeth towards deep water",
    structure.corners.length > 0 && "an arrowhead: a corner facing the current",
    structure.pools.length > 0 && "crosses: head, slot, deep and tail of a pool",
    structure.bottoms.length > 0 && "fine dots: where hard bottom meets soft",
    fish && "small fish: logged fish, solid if caught at about this flow",
  ].filter((one) => one !== false);
  return (
    <p className="mb-2 text-sm">
      Stitches: seams, closer where sharper{marks.map((mark) => `; ${mark}`).join("")}. The list under the section says
      the same in words.
    </p>
  );
}

/** Half the height of a word and of a letter's width, px; and the room that a print takes. */
const WORD = { height: 7, letter: 3.2, print: 15 };

/**
 * Names beside their places, px, clear of the prints and of each other; a name for which there is no room is left to
 * the list.
 */
function placed(
  names: readonly (readonly [string, { x: number; y: number } | undefined])[],
  lies: readonly { x: number; y: number }[],
  scale: number,
): { name: string; x: number; y: number }[] {
  const out: { name: string; x: number; y: number }[] = [];
  const half = (name: string) => name.length * WORD.letter + 3;
  for (const [name, at] of names) {
    if (!at) continue;
    const [px, py] = [at.x * scale, at.y * scale];
    const beside = half(name) + 10;
    const spot = [
      [0, 18],
      [0, -12],
      [beside, 4],
      [-beside, 4],
      [0, 34],
      [0, -28],
      [beside, 20],
      [-beside, -12],
    ]
      .map(([dx, dy]) => ({ name, x: px + dx!, y: py + dy! }))
      .find(
        ({ x, y }) =>
          lies.every(
            (lie) =>
              Math.abs(lie.x * scale - x) > half(name) + WORD.print ||
              Math.abs(lie.y * scale - (y - 4)) > WORD.height + WORD.print,
          ) &&
          out.every(
            (other) => Math.abs(other.x - x) > half(name) + half(other.name) || Math.abs(other.y - y) > 2 * WORD.height,
          ),
      );
    if (spot) out.push(spot);
  }
  return out;
}

/** Small words on the water, readable over streaks. */
const LETTERS = {
  textAnchor: "middle",
  fontSize: 12,
  fontWeight: 600,
  fill: "var(--ink)",
  stroke: "var(--paper)",
  strokeWidth: 3,
  paintOrder: "stroke",
} as const;

type Points = readonly (readonly [number, number])[];
const path = (points: Points, scale: number): string =>
  `M${points.map(([x, y]) => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`).join("L")}`;

/** Places every `step` px along a line, with the way it runs there. */
function along(points: Points, scale: number, step: number): { x: number; y: number; tx: number; ty: number }[] {
  const out: { x: number; y: number; tx: number; ty: number }[] = [];
  let left = step / 2;
  for (let k = 1; k < points.length; k++) {
    const [ax, ay, bx, by] = [
      points[k - 1]![0] * scale,
      points[k - 1]![1] * scale,
      points[k]![0] * scale,
      points[k]![1] * scale,
    ];
    const size = Math.hypot(bx - ax, by - ay);
    for (; left <= size; left += step)
      out.push({
        x: ax + ((bx - ax) * left) / size,
        y: ay + ((by - ay) * left) / size,
        tx: (bx - ax) / size,
        ty: (by - ay) / size,
      });
    left -= size;
  }
  return out;
}

/** A ledge: a line with teeth that point into the deep water, on its right. */
function Teeth({ points, scale }: { points: Points; scale: number }) {
  const teeth = along(points, scale, 11)
    .map(({ x, y, tx, ty }) => `M${x.toFixed(1)} ${y.toFixed(1)}l${(-6 * ty).toFixed(1)} ${(6 * tx).toFixed(1)}`)
    .join("");
  return (
    <>
      <path d={path(points, scale) + teeth} stroke="var(--paper)" strokeWidth={4} strokeOpacity={0.55} />
      <path d={path(points, scale) + teeth} stroke="var(--ink)" strokeWidth={1.6} />
    </>
  );
}

/** A foam line: a string of small open circles. */
function Bubbles({ points, scale }: { points: Points; scale: number }) {
  return (
    <>
      {along(points, scale, 14).map(({ x, y }, k) => (
        <circle
          key={k}
          cx={x}
          cy={y}
          r={k % 3 === 0 ? 3.4 : 2.3}
          fill="var(--paper)"
          fillOpacity={0.85}
          stroke="var(--ink)"
          strokeWidth={1.1}
        />
      ))}
    </>
  );
}
