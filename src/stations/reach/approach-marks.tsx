"use client";
import type { BoatStand } from "../../core/approach/boat";
import type { Stand } from "../../core/approach/stands";
import type { Target } from "../../core/approach/targets";

const at = (x: number, y: number, scale: number): string => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`;
const moved = (x: number, y: number, scale: number): string => `translate(${at(x, y, scale).replace(" ", ",")})`;

/** The stand, the way to it and the casts, on the plan: landing points as crosses up-current of their targets. */
export function ApproachMarks({ stand, scale }: { stand: Stand; scale: number }) {
  const middle =
    stand.casts.find(({ line, name }) => line === "bait" || (line === "lie" && name === "middle")) ?? stand.casts[0];
  return (
    <g aria-hidden fill="none">
      {stand.path.length > 1 && (
        <path
          d={`M${stand.path.map(([x, y]) => at(x, y, scale)).join("L")}`}
          stroke="var(--paper)"
          strokeWidth={4}
          strokeOpacity={0.6}
          strokeLinejoin="round"
        />
      )}
      {stand.path.length > 1 && (
        <path
          d={`M${stand.path.map(([x, y]) => at(x, y, scale)).join("L")}`}
          stroke="var(--ink)"
          strokeWidth={2}
          strokeDasharray="1 5"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
      {middle && (
        <path
          d={`M${at(stand.x, stand.y, scale)}L${at(...middle.landing.point, scale)}`}
          stroke="var(--water-fast)"
          strokeWidth={1.6}
          strokeDasharray="8 5"
        />
      )}
      <CastMarks casts={stand.casts} scale={scale} />
      <g transform={moved(stand.x, stand.y, scale)}>
        <circle r={11} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
        {[
          [-3.4, 1.2, -8],
          [3.4, -1.2, 8],
        ].map(([x, y, turn]) => (
          <g key={x} transform={`translate(${x},${y}) rotate(${turn})`} fill="var(--ink)">
            <ellipse cy={-1.8} rx={2.2} ry={3.4} />
            <ellipse cy={4} rx={1.7} ry={1.7} />
          </g>
        ))}
      </g>
    </g>
  );
}

/** Targets, and crosses up-current of them where the lure must land. */
function CastMarks({ casts, scale }: { casts: readonly Target[]; scale: number }) {
  return (
    <>
      {casts.map((cast, k) => (
        <g key={k}>
          {cast.landing.swept > 0.4 && (
            <path
              d={`M${at(...cast.landing.point, scale)}L${at(cast.x, cast.y, scale)}`}
              stroke="var(--ink)"
              strokeWidth={1}
              strokeDasharray="2 2"
            />
          )}
          {cast.landing.swept > 0.4 && (
            <path
              transform={moved(...cast.landing.point, scale)}
              d="M-4 -4L4 4M-4 4L4 -4"
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
          )}
          <g transform={moved(cast.x, cast.y, scale)}>
            <circle r={6} stroke="var(--paper)" strokeWidth={3} strokeOpacity={0.6} />
            <circle
              r={6}
              stroke="var(--ink)"
              strokeWidth={1.4}
              strokeDasharray={cast.line === "seam" ? "3 2" : undefined}
            />
          </g>
        </g>
      ))}
    </>
  );
}

/** The boat, bow up-current, its rope and its anchor. */
export function BoatMarks({ boat, lie, scale }: { boat: BoatStand; lie: { x: number; y: number }; scale: number }) {
  const turn = (Math.atan2(boat.anchor[1] - boat.y, boat.anchor[0] - boat.x) * 180) / Math.PI;
  return (
    <g aria-hidden fill="none">
      <path d={`M${at(boat.x, boat.y, scale)}L${at(...boat.anchor, scale)}`} stroke="var(--ink)" strokeWidth={1.6} />
      <circle
        cx={boat.anchor[0] * scale}
        cy={boat.anchor[1] * scale}
        r={3.5}
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth={1.5}
      />
      <path
        d={`M${at(boat.x, boat.y, scale)}L${at(lie.x, lie.y, scale)}`}
        stroke="var(--water-fast)"
        strokeWidth={1.6}
        strokeDasharray="8 5"
      />
      <CastMarks casts={boat.casts} scale={scale} />
      <path
        transform={`${moved(boat.x, boat.y, scale)} rotate(${turn.toFixed(1)})`}
        d="M-15 -6L4 -7Q15 -5 19 0Q15 5 4 7L-15 6Z"
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
    </g>
  );
}
