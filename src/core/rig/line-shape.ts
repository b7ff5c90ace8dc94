import { WATER_DENSITY } from "../quantity/provenance";
import { LINE_NORMAL, LINE_TANGENTIAL, sphereForce } from "./drag";

/**
 * A weight on the line: its distance from the lower end along the line (m), its weight in water (N) and the sphere that
 * drags like it (m); `area`, Cd times area (m2), of what drags otherwise.
 */
export interface Weight {
  fromEnd: number;
  weight: number;
  diameter: number;
  area?: number;
}

/** Points from the lower end up: x down-current (m), z above the bed (m), s along the line from the lower end (m). */
export interface LinePoint {
  x: number;
  z: number;
  s: number;
}

export interface LineInput {
  /** Speed of the water past the line at height z, in the frame in which the line rests, m/s. */
  passing: (z: number) => number;
  /** m */
  length: number;
  lineDiameter: number;
  /** Weight of the line in water, N/m; negative where it floats. */
  lineWeight?: number;
  weights: readonly Weight[];
  /** Force at the lower end besides the weights, N: along the current and down. */
  end?: { along: number; down: number };
  steps?: number;
}

export interface LineShape {
  shape: LinePoint[];
  /** Force of the line on what holds its upper end, N: along the current (down-current positive) and down. */
  pullAlong: number;
  pullDown: number;
}

const STEPS = 60;

/** The line lies along the pull of what is below: up, and against the drag. */
function direction(along: number, down: number): readonly [number, number] {
  const pull = Math.sqrt(along * along + down * down);
  return pull > 1e-12 ? [-along / pull, down / pull] : [0, 1];
}

/**
 * Walks up a line from its lower end at height z0 with forces in equilibrium at every element (equations of a flexible
 * line: dT/ds = w sin(phi) - tangential drag, T dphi/ds = w cos(phi) - normal drag; Berteaux 1976, Buoy Engineering),
 * drag across and along it by the passing water. Stops early where `until` says so.
 */
export function lineShape(input: LineInput, z0: number, until?: (point: LinePoint) => boolean): LineShape {
  const steps = input.steps ?? STEPS;
  const step = input.length / steps;
  // Force that the line below exerts on the element above: along (down-current) and down.
  let along = input.end?.along ?? 0;
  let down = input.end?.down ?? 0;
  let [x, z] = [0, z0];
  const shape: LinePoint[] = [{ x, z, s: 0 }];
  const ordered = [...input.weights].sort((a, b) => a.fromEnd - b.fromEnd);
  let next = 0;
  const across = 0.5 * WATER_DENSITY * LINE_NORMAL * input.lineDiameter * step;
  const lengthways = 0.5 * WATER_DENSITY * LINE_TANGENTIAL * Math.PI * input.lineDiameter * step;
  const own = (input.lineWeight ?? 0) * step;
  // Normal direction (tz, -tx), tangential (tx, tz); z is up, so a downward pull is minus z.
  const dragOn = (v: number, tx: number, tz: number, share: number): readonly [number, number] => {
    const normal = v * tz;
    const tangential = v * tx;
    const fn = share * across * normal * Math.abs(normal);
    const ft = share * lengthways * tangential * Math.abs(tangential);
    return [fn * tz + ft * tx, fn * tx - ft * tz + share * own];
  };
  for (let k = 0; k < steps; k++) {
    const s = k * step;
    while (next < ordered.length && ordered[next]!.fromEnd <= s + 1e-9) {
      const { diameter, area = 0, weight } = ordered[next]!;
      const v = input.passing(z);
      along += sphereForce(diameter, v) + 0.5 * WATER_DENSITY * area * v * Math.abs(v);
      down += weight;
      next++;
    }
    // Midpoint rule: the direction and the water halfway along the element, by its own drag up to there.
    const [px, pz] = direction(along, down);
    const v = input.passing(z + 0.5 * pz * step);
    const [halfAlong, halfDown] = dragOn(v, px, pz, 0.5);
    const [tx, tz] = direction(along + halfAlong, down + halfDown);
    const [moreAlong, moreDown] = dragOn(v, tx, tz, 1);
    along += moreAlong;
    down += moreDown;
    x += tx * step;
    z += tz * step;
    const point = { x, z, s: s + step };
    shape.push(point);
    if (until?.(point)) break;
  }
  return { shape, pullAlong: along, pullDown: down };
}
