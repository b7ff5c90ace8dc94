"use client";
import { speedAtHeight } from "../../core/flow/profile";
import type { Lie } from "../../core/fish/read";
import type { RigAdvice } from "../../core/rig/advice";
import type { Water } from "../../core/rig/water";
import { showText, type UnitSystem } from "../../words/quantity";
import { methodWords } from "../../words/methods";
import { BOTTOM, H, pathOf, PROFILE, type Scene, sceneOf, W } from "./scene";
import { type Rod, SideRig } from "./side-rigs";

/**
 * The lie from the side, to scale: the water column with its speed profile, the bed, how deep one sees, the rig as it
 * fishes, and the fish at its height. The current runs to the right.
 */
export function SideView({
  lie,
  advice,
  water,
  visibleDepth,
  rod,
  system,
}: {
  lie: Pick<Lie, "depth" | "meanSpeed" | "focalHeight" | "focalSpeed">;
  advice: RigAdvice;
  water: Water;
  visibleDepth: number;
  rod: Rod;
  system: UnitSystem;
}) {
  const scene = sceneOf(lie);
  const speed = (z: number) =>
    speedAtHeight(water.meanSpeed, water.depth, Math.min(water.bedRoughness, 0.5 * water.depth), z);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full rounded-md border border-line"
      role="img"
      aria-label={sideWords(lie, advice, system)}
    >
      <defs>
        <linearGradient id="column" x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor="var(--water-fast)" stopOpacity={0.34} />
          <stop offset="0.55" stopColor="var(--water-fast)" stopOpacity={0.08} />
          <stop offset="1" stopColor="black" stopOpacity={0.1} />
        </linearGradient>
      </defs>
      <rect x={0} y={scene.surface} width={W} height={scene.bed - scene.surface} fill="var(--water-slow)" />
      <rect x={0} y={scene.surface} width={W} height={scene.bed - scene.surface} fill="url(#column)" />
      <SeenDepth scene={scene} visibleDepth={visibleDepth} fish={lie.focalHeight} system={system} />
      <Bed scene={scene} roughness={water.bedRoughness} />
      <Profile scene={scene} speed={speed} />
      <path d={`M0 ${scene.surface}H${W}`} stroke="var(--water-fast)" strokeWidth={1.5} />
      <Fish scene={scene} height={lie.focalHeight} />
      <SideRig advice={advice} scene={scene} water={water} rod={rod} />
      <Labels lie={lie} advice={advice} surface={speed(water.depth)} system={system} />
    </svg>
  );
}

/** What the picture shows, in words. */
export function sideWords(lie: Pick<Lie, "depth">, advice: RigAdvice, system: UnitSystem): string {
  return `Side view: ${showText(lie.depth, "depth", system)} of water, ${methodWords(advice).pictured(advice, system)}`;
}

function SeenDepth({
  scene,
  visibleDepth,
  fish,
  system,
}: {
  scene: Scene;
  visibleDepth: number;
  fish: number;
  system: UnitSystem;
}) {
  if (visibleDepth >= scene.depth) return null;
  const y = scene.y(scene.depth - visibleDepth);
  // Where the line comes near the fish and the rig on the bed its figure stands over the water.
  const nearBed = y > scene.y(fish) - 60;
  return (
    <g>
      <rect x={0} y={y} width={W} height={scene.bed - y} fill="black" fillOpacity={0.24} />
      <path d={`M0 ${y}H${W}`} stroke="var(--water-fast)" strokeDasharray="1 7" strokeWidth={2} strokeLinecap="round" />
      <text
        x={nearBed ? W / 2 : W - 12}
        y={nearBed ? 26 : y - 7}
        textAnchor={nearBed ? "middle" : "end"}
        className="text-[22px] sm:text-[14px]"
        fill={nearBed ? "var(--ink)" : "var(--water-fast)"}
      >
        {nearBed
          ? `visible to ${showText(visibleDepth, "depth", system)}`
          : `visible to here, ${showText(visibleDepth, "depth", system)}`}
      </text>
    </g>
  );
}

function Bed({ scene, roughness }: { scene: Scene; roughness: number }) {
  const stone = Math.min(14, Math.max(3, 0.25 * roughness * scene.scale));
  const stones = Array.from(
    { length: 37 },
    (_, k) => `Q${k * 20 + 10} ${scene.bed - stone * (k % 3 === 1 ? 1.6 : 0.8)} ${k * 20 + 20} ${scene.bed}`,
  ).join("");
  return <path d={`M0 ${scene.bed}${stones}V${H}H0Z`} fill="var(--stone)" />;
}

function Profile({ scene, speed }: { scene: Scene; speed: (z: number) => number }) {
  const fastest = Math.max(0.05, speed(scene.depth));
  const x = (z: number) => 20 + (speed(z) / fastest) * (PROFILE - 44);
  const line = pathOf(
    Array.from({ length: 41 }, (_, k): [number, number] => {
      const z = (k / 40) * scene.depth;
      return [x(z), scene.y(z)];
    }),
  );
  return (
    <g fill="none" stroke="var(--water-fast)">
      <path d={line} strokeWidth={2} />
      <path d={`M20 ${scene.y(0)}V${scene.y(scene.depth)}`} strokeOpacity={0.5} />
      {[0.25, 0.5, 0.75, 1].map((t) => (
        <path
          key={t}
          d={`M20 ${scene.y(t * scene.depth)}H${x(t * scene.depth).toFixed(1)}m-5 -3 5 3-5 3`}
          strokeOpacity={0.8}
          strokeWidth={1.2}
        />
      ))}
    </g>
  );
}

const Fish = ({ scene, height }: { scene: Scene; height: number }) => (
  <g transform={`translate(${W - 92} ${Math.min(scene.bed - 15, scene.y(height))})`}>
    {/* It faces up-current, to the left. */}
    <path
      d="M34 0C20 -13 -8 -13 -30 0C-8 13 20 13 34 0ZM31 0L48 -11V11Z"
      fill="var(--reed-soft)"
      stroke="var(--water-fast)"
      strokeWidth={1.2}
    />
    <circle cx={-17} cy={-3} r={2} fill="var(--water-slow)" />
  </g>
);

function Labels({
  lie,
  advice,
  surface,
  system,
}: {
  lie: Pick<Lie, "depth" | "focalSpeed">;
  advice: RigAdvice;
  surface: number;
  system: UnitSystem;
}) {
  return (
    <>
      <g className="text-[22px] sm:text-[14px]" fill="var(--ink)">
        <text x={12} y={26}>
          surface {showText(surface, "speed", system)} →
        </text>
        {advice.method === "float" && (
          <text x={W - 12} y={26} textAnchor="end">
            float {showText(advice.floatSpeed, "speed", system)} →
          </text>
        )}
      </g>
      <g className="text-[22px] sm:text-[14px]" fill="var(--paper)">
        <text x={12} y={H - BOTTOM / 3}>
          {showText(lie.depth, "depth", system)} deep
        </text>
        <text x={W - 12} y={H - BOTTOM / 3} textAnchor="end">
          {showText(lie.focalSpeed, "speed", system)} at the fish
        </text>
      </g>
    </>
  );
}
