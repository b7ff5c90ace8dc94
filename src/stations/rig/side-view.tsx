"use client";
import type { UnitSystem } from "../../words/quantity";
import { roughnessHeight, speedAtHeight } from "../../core/flow/profile";
import type { Lie } from "../../core/fish/read";
import { showText } from "../../words/quantity";
import type { RigAdvice } from "../../core/rig/advise";

const W = 560;
const H = 380;
const TOP = 64;
const BOTTOM = 46;
const PROFILE = 132;

/**
 * The lie from the side, to scale: the water column with its speed profile, the bed, and the rig as it hangs in the
 * current (flowing right).
 */
export function SideView({
  lie,
  rig,
  roughness,
  visibleDepth,
  system,
}: {
  lie: Lie;
  rig: RigAdvice;
  roughness: number;
  visibleDepth: number;
  system: UnitSystem;
}) {
  const scale = (H - TOP - BOTTOM) / lie.depth;
  const y = (z: number) => H - BOTTOM - z * scale;
  const ks = roughnessHeight(roughness, lie.depth);
  const fastest = Math.max(0.05, rig.surfaceSpeed);
  const profile = Array.from({ length: 41 }, (_, k) => {
    const z = (k / 40) * lie.depth;
    return `${k === 0 ? "M" : "L"}${(20 + (speedAtHeight(lie.meanSpeed, lie.depth, ks, z) / fastest) * (PROFILE - 30)).toFixed(1)} ${y(z).toFixed(1)}`;
  }).join("");
  const top = rig.shape.at(-1)!;
  const spread = Math.max(...rig.shape.map((point) => Math.abs(point.x - top.x)), 0.01);
  // One scale for both axes, so that angles are true; a long streamer is shifted, never squeezed.
  const floatX = Math.min(
    W - 130,
    Math.max(PROFILE + 70, PROFILE + 70 + (rig.shape[0]!.x < top.x ? spread * scale : 0)),
  );
  const x = (point: { x: number }) => floatX + (point.x - top.x) * scale;
  const line = rig.shape
    .map((point, k) => `${k === 0 ? "M" : "L"}${x(point).toFixed(1)} ${y(Math.max(0, point.z)).toFixed(1)}`)
    .join("");
  const pointAt = (below: number) =>
    rig.shape.reduce((best, point) =>
      Math.abs(top.s - point.s - below) < Math.abs(top.s - best.s - below) ? point : best,
    );
  const hook = rig.shape[0]!;
  const seenTo = lie.depth - visibleDepth;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full rounded-md border border-line"
      role="img"
      aria-label={`Side view: ${showText(lie.depth, "depth", system)} of water, float set ${showText(rig.setting, "depth", system)} to the lowest shot, bait ${showText(rig.baitHeight, "depth", system)} off the bed`}
    >
      <rect x={0} y={y(lie.depth)} width={W} height={H - BOTTOM - y(lie.depth)} fill="var(--water-slow)" />
      {seenTo > 0 && (
        <rect x={0} y={y(seenTo)} width={W} height={H - BOTTOM - y(seenTo)} fill="black" fillOpacity={0.22} />
      )}
      <path
        d={`M0 ${H - BOTTOM}${Array.from({ length: 29 }, (_, k) => `Q${k * 20 + 10} ${H - BOTTOM - 4 - 8 * Math.min(1, ks * scale * 0.05) * (k % 3 === 1 ? 1.6 : 0.7)} ${k * 20 + 20} ${H - BOTTOM}`).join("")}V${H}H0Z`}
        fill="var(--stone)"
      />
      <path d={profile} fill="none" stroke="var(--water-fast)" strokeWidth={2} />
      <path d={`M20 ${y(0)}V${y(lie.depth)}`} stroke="var(--water-fast)" strokeOpacity={0.5} />
      {[0.25, 0.5, 0.75, 1].map((t) => {
        const end = 20 + (speedAtHeight(lie.meanSpeed, lie.depth, ks, t * lie.depth) / fastest) * (PROFILE - 30);
        return (
          <path
            key={t}
            d={`M20 ${y(t * lie.depth)}H${end}m-5 -3 5 3-5 3`}
            fill="none"
            stroke="var(--water-fast)"
            strokeOpacity={0.8}
            strokeWidth={1.2}
          />
        );
      })}
      <path d={`M0 ${y(lie.depth)}H${W}`} stroke="var(--water-fast)" strokeWidth={1.5} />
      <g transform={`translate(${Math.min(W - 60, floatX + 90)} ${y(lie.focalHeight + 0.05)})`}>
        <path
          d="M-34 0C-20 -13 8 -13 26 0C8 13 -20 13 -34 0ZM-31 0L-48 -11V11Z"
          transform="scale(-1 1)"
          fill="var(--stone)"
          stroke="var(--water-fast)"
          strokeWidth={1.2}
        />
      </g>
      <path d={line} fill="none" stroke="var(--water-fast)" strokeWidth={1.6} />
      <path d={`M${floatX} ${y(lie.depth) - 30}V${y(lie.depth) + 8}`} stroke="var(--ink)" strokeWidth={2} />
      <ellipse cx={floatX} cy={y(lie.depth) + 2} rx={6} ry={13} fill="var(--ochre)" stroke="var(--paper)" />
      {rig.shot.map((shot, k) => {
        const at = pointAt(shot.below);
        return (
          <circle
            key={k}
            cx={x(at)}
            cy={y(at.z) + rig.shot.slice(0, k).filter((other) => other.below === shot.below).length * 9}
            r={2.5 + 3.2 * Math.cbrt(shot.grams * shot.count)}
            fill="var(--paper)"
            stroke="var(--ink)"
          />
        );
      })}
      <circle cx={x(hook)} cy={y(Math.max(0, hook.z))} r={4} fill="var(--ochre)" stroke="var(--paper)" />
      <g className="text-[22px] sm:text-[14px]" fill="var(--ink)">
        <text x={12} y={26}>
          surface {showText(rig.surfaceSpeed, "speed", system)}
        </text>
        <text x={floatX} y={26} textAnchor="middle">
          float {showText(rig.floatSpeed, "speed", system)} →
        </text>
      </g>
      <g className="text-[22px] sm:text-[14px]" fill="var(--paper)">
        <text x={12} y={H - 16}>
          {showText(lie.depth, "depth", system)} deep
        </text>
        <text x={W - 12} y={H - 16} textAnchor="end">
          bait {showText(rig.baitHeight, "depth", system)} off the bed
        </text>
      </g>
    </svg>
  );
}
