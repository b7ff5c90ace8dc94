import type { Place } from "./probe";
import { letterOf } from "./wanted-letter";

/** A place where a depth would help, by its letter: numbers are the lies'. */
export const WantedMark = ({ place, number, scale }: { place: Place; number: number; scale: number }) => (
  <g transform={`translate(${place[0] * scale} ${place[1] * scale})`} aria-hidden>
    <circle r={10} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.6} strokeDasharray="3 3" />
    <text textAnchor="middle" dominantBaseline="central" className="fill-ink text-[12px] font-semibold">
      {letterOf(number)}
    </text>
  </g>
);
