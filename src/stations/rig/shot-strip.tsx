"use client";
import type { FloatAdvice } from "../../core/rig/advice";
import { figureText, showText, type UnitSystem } from "../../words/quantity";
import { weightText } from "../../words/weight";

const [W, H] = [360, 62];
const [LEFT, RIGHT] = [22, 340];

/** The shot along the line from the float to the hook, drawn, and as a list for who hears it. */
export function ShotStrip({ advice, system }: { advice: FloatAdvice; system: UnitSystem }) {
  const { shot, setting, leader, capacity, shotting } = advice;
  const x = (below: number) => LEFT + ((RIGHT - LEFT) * below) / (setting + leader);
  const groups = grouped(shot);
  return (
    <div className="mt-1 border-t border-line pt-1 sm:mt-1.5 sm:pt-1.5">
      <h2 className="text-lg leading-tight">
        Shot, {shotting}, for a float of {weightText(capacity, system)}
      </h2>
      <svg viewBox={`0 0 ${W} ${H}`} className="w-full" aria-hidden>
        <path d={`M${LEFT} 30H${RIGHT}`} stroke="var(--ink)" strokeWidth={1.4} />
        <ellipse cx={LEFT - 6} cy={30} rx={13} ry={6.5} fill="var(--ochre)" />
        <path d={`M${RIGHT} 30q6 0 6 5t-6 3`} fill="none" stroke="var(--ochre)" strokeWidth={3} />
        <text x={2} y={12} className="text-[14px]" fill="var(--ink-soft)">
          g
        </text>
        <text x={2} y={58} className="text-[14px]" fill="var(--ink-soft)">
          {system === "us" ? "in" : "cm"}
        </text>
        {groups.map(({ below, grams }) => (
          <g key={below}>
            <circle cx={x(below)} cy={30} r={3 + 3.4 * Math.cbrt(grams)} fill="var(--ink)" />
            <text x={x(below)} y={12} textAnchor="middle" className="text-[14px]" fill="var(--ink)">
              {figureText(grams, 2)}
            </text>
            <text x={x(below)} y={58} textAnchor="middle" className="text-[14px]" fill="var(--ink)">
              {system === "us" ? figureText(below / 0.0254, 0) : figureText(100 * below, 0)}
            </text>
          </g>
        ))}
      </svg>
      <ul className="sr-only" aria-label="Shot on the line, from the float">
        {shot.map(({ size, grams, count, below }, k) => (
          <li key={k}>
            {count} of {size}, {weightText(grams, system)} each, {showText(below, "depth", system)} under the float
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Shot of one place together, so that its figures do not lie over one another. */
function grouped(shot: FloatAdvice["shot"]): { below: number; grams: number }[] {
  const groups: { below: number; grams: number }[] = [];
  for (const { below, grams, count } of shot) {
    const last = groups.at(-1);
    if (last && Math.abs(last.below - below) < 1e-6) last.grams += grams * count;
    else groups.push({ below, grams: grams * count });
  }
  return groups;
}
