import type { Presentation } from "../tactics/purpose";
import { COMMON_PRACTICE, sourced, WATER_DENSITY } from "../quantity/provenance";
import { LINE_NORMAL } from "./drag";
import { speedIn } from "./sink";
import { root } from "./solve";
import type { Water } from "./water";

/** The line from a weight to the rod: how it is fished, m. */
export interface Leash {
  lineDiameter: number;
  /** How far off the rod tip is along the water, and how high over it, m. Under the rod it is straight above. */
  distance: number;
  tipHeight: number;
  presentation: Presentation;
  /** Of a drifting boat over its line, down-current, m/s. */
  boatSpeed?: number;
  /** What the angler's own drops and drifts say of the line's pull: times what is worked out. */
  factor?: number;
}

/** What the line does to its weight, N, and how it meets the rod. */
export interface LinePull {
  /** Along the current, down-current positive; across it, towards the rod; up. */
  along: number;
  across: number;
  up: number;
  /** The line at the rod tip, degrees from the vertical. */
  angle: number;
  /** Drag of the line, N. */
  drag: number;
}

/** Line that is out beyond the straight way to the tip, as a share of it: a bow that still feels the weight. */
export const SLACK = sourced(0.1, "share", COMMON_PRACTICE);
const LAYERS = 12;

/**
 * A bow of so much slack is steep at its ends, where the current takes hold of it less. In even water a weightless line
 * has s / a = t / asinh(t), t the tangent of its angle at the end, and the tension k a / asinh(t) (a half of the chord,
 * s of the line); against the flat sag its pull along the chord and across it are these shares.
 */
const STEEP = (() => {
  const t = root((x) => x / Math.asinh(x) - 1 - SLACK.value, 0.01, 10, 1e-9, 200);
  const tension = 1 / (2 * Math.asinh(t));
  const flat = Math.sqrt(1 / (24 * SLACK.value));
  return { along: tension / Math.hypot(1, t) / flat, across: (tension * t) / Math.hypot(1, t) / 0.5 };
})();

/** Unit vector from the weight to the rod tip: x down-current, y across, z up. */
function chordOf({ depth }: Water, { distance, tipHeight, presentation }: Leash) {
  const rise = depth + tipHeight;
  const run = presentation === "vertical" ? 0 : distance;
  const length = Math.hypot(run, rise);
  const [level, z] = [run / length, rise / length];
  const x = presentation === "up" ? level : presentation === "down" ? -level : 0;
  return { x, y: presentation === "across" ? level : 0, z, length, wet: depth / rise };
}

/**
 * Forces of the line from a weight on the bed to the rod tip, in equilibrium with the current that passes at U(z) - v:
 * a flat-sag cable between its two ends (Irvine 1981, Cable Structures, chapter 2). The drag of each element is that of
 * the part of the current across the chord, 1/2 rho Cd d |Un| Un; the end bears its share by lever, R; and the tension
 * along the chord follows from the line that is out, T^2 = integral of Q^2 ds / (2 slack), Q the transverse force along
 * the line; both as steep as the bow is. Its own weight is left out: a metre of it weighs less than a hundredth of a
 * shot.
 * @param v speed of the weight along the bed, m/s
 */
export function linePull(water: Water, leash: Leash, v = 0): LinePull {
  const chord = chordOf(water, leash);
  const across2 = 1 - chord.x ** 2;
  const across = Math.sqrt(across2);
  const step = (chord.length * chord.wet) / LAYERS;
  const each = 0.5 * WATER_DENSITY * LINE_NORMAL * leash.lineDiameter * across2 * step * (leash.factor ?? 1);
  const loads: number[] = [];
  let [total, end] = [0, 0];
  for (let k = 0; k < LAYERS; k++) {
    const passing = speedIn(water, ((k + 0.5) / LAYERS) * water.depth) - v;
    const load = each * passing * Math.abs(passing);
    loads.push(load);
    total += load;
    end += load * (1 - ((k + 0.5) * step) / chord.length);
  }
  let [shear, square] = [end, 0];
  for (const load of loads) {
    square += (shear - load / 2) ** 2 * step;
    shear -= load;
  }
  square += shear ** 2 * (chord.length - LAYERS * step);
  const tension = STEEP.along * Math.sqrt(square / (2 * SLACK.value * chord.length));
  // The transverse direction: the part of the current that is across the chord.
  const n = across > 1e-9 ? [across, (-chord.x * chord.y) / across, (-chord.x * chord.z) / across] : [0, 0, 0];
  const force = (transverse: number) =>
    [
      tension * chord.x + STEEP.across * transverse * n[0]!,
      tension * chord.y + STEEP.across * transverse * n[1]!,
      tension * chord.z + STEEP.across * transverse * n[2]!,
    ] as const;
  const [along, sideways, up] = force(end);
  const tip = force(end - total);
  const pull = Math.hypot(...tip);
  const slant = pull > 0 ? tip[2] / pull : chord.z;
  return { along, across: sideways, up, angle: degrees(Math.acos(Math.min(1, Math.max(-1, slant)))), drag: total };
}

export const degrees = (radians: number): number => (radians * 180) / Math.PI;
