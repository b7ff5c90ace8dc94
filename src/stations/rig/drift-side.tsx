"use client";
import type { Lie } from "../../core/fish/read";
import type { StrikeZone } from "../../core/rig/strike-zone";
import type { Way } from "../../core/rig/ways";
import { useSettings } from "../../state/settings";
import { figureText, showText } from "../../words/quantity";

const [W, H] = [720, 240];
const [TOP, BOTTOM, SIDE] = [34, 34, 16];

/** The drift from the side: the bed and the surface along its way, the bait's height, and where the fish takes it. */
export function DriftSide({ way, lie, zone, at }: { way: Way; lie: Lie; zone: StrikeZone; at: number }) {
  const system = useSettings((settings) => settings.system);
  const { path } = way.cast.drift;
  const along: number[] = [0];
  for (let k = 1; k < path.length; k++)
    along.push(along[k - 1]! + Math.hypot(path[k]!.x - path[k - 1]!.x, path[k]!.y - path[k - 1]!.y));
  const length = Math.max(along.at(-1)!, 0.5);
  const low = Math.min(...path.map(({ bed }) => bed));
  const high = Math.max(...path.map(({ bed, depth }) => bed + depth));
  const px = (metres: number) => SIDE + (metres / length) * (W - 2 * SIDE);
  const py = (z: number) => TOP + ((high - z) / Math.max(high - low, 0.1)) * (H - TOP - BOTTOM);
  const line = (of: (k: number) => number) =>
    path.map((_, k) => `${k === 0 ? "M" : "L"}${px(along[k]!).toFixed(1)} ${py(of(k)).toFixed(1)}`).join("");
  // The nearest point of the way to the fish is where the fish is drawn.
  const nearest = path.reduce(
    (best, { x, y }, k) =>
      Math.hypot(x - lie.x, y - lie.y) < Math.hypot(path[best]!.x - lie.x, path[best]!.y - lie.y) ? k : best,
    0,
  );
  const fish = path[nearest]!;
  const now = path[at]!;
  const stretch = ((W - 2 * SIDE) / length / ((H - TOP - BOTTOM) / Math.max(high - low, 0.1))) ** -1;
  const flat = (metres: number) => ((W - 2 * SIDE) / length) * metres;
  return (
    <figure>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full rounded-md border border-line"
        role="img"
        aria-label={`The drift from the side: ${showText(length, "distance", system)} long, the bait ${showText(fish.z - fish.bed, "depth", system)} off the bottom at the fish`}
      >
        <path
          d={`${line((k) => path[k]!.bed + path[k]!.depth)}L${px(length)} ${H}L${SIDE} ${H}Z`}
          fill="var(--water-slow)"
        />
        <path d={`${line((k) => path[k]!.bed)}L${px(length)} ${H}L${SIDE} ${H}Z`} fill="var(--stone)" />
        <rect
          x={px(along[nearest]!) - flat(zone.ahead)}
          y={py(fish.bed + lie.focalHeight + zone.height)}
          width={flat(zone.ahead + zone.behind)}
          height={Math.max(
            4,
            py(Math.max(fish.bed, fish.bed + lie.focalHeight - zone.height)) -
              py(fish.bed + lie.focalHeight + zone.height),
          )}
          fill="none"
          stroke="var(--reed-soft)"
          strokeWidth={2}
          strokeDasharray="6 4"
        />
        <path d={line((k) => path[k]!.z)} fill="none" stroke="var(--ochre)" strokeWidth={3} />
        <path
          d={`M${px(along[nearest]!) - 14} ${py(fish.bed + lie.focalHeight)}c6 -6 18 -6 28 0c-10 6 -22 6 -28 0z`}
          fill="var(--reed-soft)"
          stroke="var(--water-slow)"
        />
        <circle
          cx={px(along[at]!)}
          cy={py(now.z)}
          r={5.5}
          fill="var(--ochre)"
          stroke="var(--paper)"
          strokeWidth={1.5}
        />
        <g className="text-[22px] sm:text-[14px]" fill="var(--ink)">
          <text x={SIDE} y={22}>
            landed
          </text>
          <text x={W - SIDE} y={22} textAnchor="end">
            {showText(length, "distance", system)} on
          </text>
        </g>
      </svg>
      <figcaption className="text-sm text-soft">
        {stretch > 1.2 ? `Heights are drawn ${figureText(stretch, 1)} times larger than lengths. ` : ""}
        Dashed: where the fish will take it.
      </figcaption>
    </figure>
  );
}
