"use client";
import type { ReactNode } from "react";
import type { BottomAdvice, FloatAdvice, JigAdvice, PlugAdvice, RigAdvice, SpinnerAdvice } from "../../core/rig/advice";
import { sinkThrough } from "../../core/rig/sink";
import type { Water } from "../../core/rig/water";
import { PROFILE, pathOf, type Scene, W } from "./scene";

const LINE = { fill: "none", stroke: "var(--water-fast)", strokeWidth: 1.6 } as const;
/** Where a rig that lies or swims is drawn, along the current. */
const AT = PROFILE + 230;

/** Where the rod is: up-current (-1) or down-current (1), so far off, its tip so high over the water, m. */
export interface Rod {
  towards: 1 | -1;
  distance: number;
  tip: number;
}

/** The rig to scale in the water column, by its advice: float, weight on the bed, head, lure that swims. */
export function SideRig({
  advice,
  scene,
  water,
  rod,
}: {
  advice: RigAdvice;
  scene: Scene;
  water: Water;
  rod: Rod;
}): ReactNode {
  if ("hung" in advice) return <FloatRig rig={advice} scene={scene} />;
  if ("pieces" in advice) return <BottomRig rig={advice} scene={scene} rod={rod} />;
  if ("swept" in advice) return <JigRig rig={advice} scene={scene} water={water} rod={rod} />;
  return <SwimRig rig={advice} scene={scene} rod={rod} />;
}

function FloatRig({ rig, scene }: { rig: FloatAdvice; scene: Scene }) {
  const top = rig.shape.at(-1)!;
  const spread = Math.max(...rig.shape.map(({ x }) => Math.abs(x - top.x)), 0.01) * scale(scene);
  // A long streamer is shifted, never squeezed.
  const x0 = Math.min(W - 130, PROFILE + 90 + (rig.shape[0]!.x < top.x ? spread : 0));
  const at = (point: { x: number; z: number }): [number, number] => [
    x0 + (point.x - top.x) * scene.scale,
    scene.y(Math.max(0, point.z)),
  ];
  const pointAt = (below: number) =>
    rig.shape.reduce((best, point) =>
      Math.abs(top.s - point.s - below) < Math.abs(top.s - best.s - below) ? point : best,
    );
  const [hx, hy] = at(rig.shape[0]!);
  return (
    <g>
      <path d={pathOf(rig.shape.map(at))} {...LINE} />
      <path d={`M${x0} ${scene.surface - 30}V${scene.surface + 8}`} stroke="var(--ink)" strokeWidth={2} />
      <ellipse cx={x0} cy={scene.surface + 2} rx={6} ry={13} fill="var(--ochre)" stroke="var(--paper)" />
      {rig.shot.map((shot, k) => {
        const [x, y] = at(pointAt(shot.below));
        const before = rig.shot.slice(0, k).filter((other) => other.below === shot.below).length;
        return (
          <circle
            key={k}
            cx={x}
            cy={y + before * 9}
            r={2.5 + 3 * Math.cbrt(shot.grams * shot.count)}
            fill="var(--paper)"
            stroke="var(--ink)"
          />
        );
      })}
      <Bait x={hx} y={hy} />
    </g>
  );
}

const scale = ({ scale: s }: Scene): number => s;

const Bait = ({ x, y }: { x: number; y: number }) => (
  <circle cx={x} cy={y} r={4.5} fill="var(--ochre)" stroke="var(--paper)" />
);

/** Line from a point in the water to the rod tip, at its true slope. */
function ToRod({ x, y, scene, rod }: { x: number; y: number; scene: Scene; rod: Rod }) {
  const rise = rod.tip * scene.scale + (y - scene.surface);
  const run = rod.distance * scene.scale * rod.towards;
  return <path d={`M${x} ${y}L${x + run} ${y - rise}`} {...LINE} />;
}

function BottomRig({ rig, scene, rod }: { rig: BottomAdvice; scene: Scene; rod: Rod }) {
  const bed = scene.y(0.01);
  const lead = Math.max(8, rig.leader * scene.scale);
  if (rig.method === "drop-shot") {
    const hook = scene.y(rig.hookDistance);
    return (
      <g>
        <path d={`M${AT} ${bed - 4}V${hook}`} {...LINE} />
        <ToRod x={AT} y={hook} scene={scene} rod={rod} />
        <Weight x={AT} y={bed - 5} grams={rig.grams} />
        <Bait x={AT + 7} y={hook} />
      </g>
    );
  }
  // The bait lies down-current of its weight, as high as it floats.
  const [bx, by] = rig.method === "dead-bait" ? [AT + 8, bed - 6] : [AT + lead, scene.y(rig.baitHeight)];
  return (
    <g>
      <path d={`M${AT} ${bed - 4}L${bx} ${by}`} {...LINE} />
      <ToRod x={AT} y={bed - 5} scene={scene} rod={rod} />
      {Array.from({ length: rig.pieces }, (_, k) => (
        <Weight key={k} x={AT - k * 10} y={bed - 5} grams={rig.piece} />
      ))}
      <Bait x={bx} y={by} />
    </g>
  );
}

const Weight = ({ x, y, grams }: { x: number; y: number; grams: number }) => (
  <circle cx={x} cy={y} r={Math.min(9, 2.5 + 2 * Math.cbrt(grams))} fill="var(--paper)" stroke="var(--ink)" />
);

function JigRig({ rig, scene, water, rod }: { rig: JigAdvice; scene: Scene; water: Water; rod: Rod }) {
  const { profile } = sinkThrough(water, rig.fall);
  const end = Math.min(W - 150, Math.max(AT, PROFILE + 60 + rig.swept * scene.scale));
  const points = profile
    .map(({ x, z }): [number, number] => [end + (x - rig.swept) * scene.scale, scene.y(z)])
    .filter(([x]) => x > PROFILE + 10);
  const y = scene.y(0.02) - 5;
  return (
    <g>
      <path d={pathOf(points)} {...LINE} strokeDasharray="2 6" strokeWidth={2.4} />
      <ToRod x={end} y={y} scene={scene} rod={rod} />
      {rig.tandem && <Weight x={end + 4 * rod.towards} y={scene.y(rig.tandem.apart)} grams={rig.tandem.upper} />}
      <Weight x={end} y={y} grams={rig.head.grams} />
      <path
        d={`M${end + 6} ${y}q10 -6 20 0t14 -2`}
        fill="none"
        stroke="var(--ochre)"
        strokeWidth={4}
        strokeLinecap="round"
      />
    </g>
  );
}

function SwimRig({ rig, scene, rod }: { rig: PlugAdvice | SpinnerAdvice; scene: Scene; rod: Rod }) {
  const down = rig.method === "plug" ? rig.depthReached : rig.tip === "low" ? rig.depthTipLow : rig.depthTipHigh;
  const y = Math.min(scene.y(0.06), scene.surface + down * scene.scale);
  return (
    <g>
      <ToRod x={AT} y={y} scene={scene} rod={rod} />
      {rig.method === "plug" ? (
        <path
          d={`M${AT - 4} ${y}q16 -11 34 0q-18 11 -34 0m0 2l-9 7`}
          fill="var(--ochre)"
          stroke="var(--paper)"
          strokeWidth={1.4}
        />
      ) : (
        <g>
          <ellipse
            cx={AT + 5}
            cy={y - 5}
            rx={9}
            ry={4}
            fill="var(--ochre)"
            stroke="var(--paper)"
            transform={`rotate(-24 ${AT + 5} ${y})`}
          />
          <path d={`M${AT} ${y}H${AT + 26}m0 0l7 -4m-7 4l7 4`} stroke="var(--paper)" strokeWidth={2} fill="none" />
        </g>
      )}
    </g>
  );
}
