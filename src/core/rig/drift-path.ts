import { speedAtHeight, surfaceSpeed } from "../flow/profile";
import type { Field } from "../flow/grid";
import type { Behaviour } from "./behaviour";
import { lineBow } from "./line-bow";
import { type PlaceWater, placeWater, within } from "./place";

/** A point of a drift: the bait at (x, y) m, z in the reach's own heights, over the bed there, m; t in s. */
interface DriftPoint {
  t: number;
  x: number;
  y: number;
  z: number;
  bed: number;
  /** Depth of the water there, m. */
  depth: number;
  /** It is on the stones, for so much of the time. */
  touch: number;
}

/** Why a drift is over. */
type DriftEnd = "time" | "aground" | "off-reach" | "line-drags" | "in";

export interface Drift {
  path: DriftPoint[];
  /** Times that it comes to touch the bed. */
  contacts: number;
  mends: number;
  end: DriftEnd;
}

export interface DriftOptions {
  behaviour: Behaviour;
  landing: readonly [number, number];
  /** Where the angler stands; without it the line is left out of it. */
  from?: readonly [number, number];
  /** Line that the rod holds off the water, m. */
  rodReach?: number;
  /** Most mends that are made before the float drags. */
  mends?: number;
  /** All speeds are multiplied by this: how sure is it? */
  pace?: number;
  /** Longest, s. */
  longest?: number;
  step?: number;
}

/** A drift is followed for so long, s; in steps of so long. */
const LONGEST = 60;
export const STEP = 0.25;
/** What it floats in at least, m. */
const AGROUND = 0.06;
/** Stones stand so many roughness heights apart: touches counted along the bed. */
const STONES = 2;
/** A lure is in when it has come so near, m; hanging below the angler it is left for so long, s. */
const IN = 2;
const HANGS = 15;
const STILL = 0.04;

interface State {
  x: number;
  y: number;
  /** Height of the bait over the bed, m. */
  height: number;
  touch: number;
  t: number;
}

/**
 * Plays a drift through a solved field. The bait sinks at its own fall, carried by the water of its height (log
 * profile); a float goes with the surface at its own share of its speed and hangs its bait by the shape of its line; a
 * weight goes along the bed as fast as the stones let it; a lure that swims comes in on its line, carried round by the
 * current.
 */
export function driftPath(field: Field, options: DriftOptions): Drift {
  const { behaviour, landing, pace = 1, step = STEP } = options;
  const first = placeWater(field, landing[0], landing[1], pace);
  const state: State = { x: landing[0], y: landing[1], height: first.depth, touch: 0, t: 0 };
  const path: DriftPoint[] = [];
  const touches = touchCounter(behaviour);
  const rests = restOf(options);
  const bow = bowOf(field, options, pace);
  const most = options.mends ?? Infinity;
  const longest = Math.max(options.longest ?? LONGEST, behaviour.kind === "bottom" ? behaviour.stays : 0);
  for (;;) {
    const water = placeWater(field, state.x, state.y, pace);
    const { u, v, height, touch, lead } = move(behaviour, water, state, options.from, step);
    path.push(point(state, water, lead, u, v));
    touches.take(height, touch, Math.hypot(u, v) * step, water.bedRoughness);
    Object.assign(state, { height, touch, t: state.t + step, x: state.x + u * step, y: state.y + v * step });
    const dragged = bow?.drift(state.x, state.y, u, v, step) === true && bow.mends() > most;
    const end =
      outOf(field, state, pace) ?? rests(state, Math.hypot(u, v), step) ?? (dragged ? "line-drags" : undefined);
    if (end || state.t >= longest)
      return { path, contacts: touches.count(), mends: Math.min(bow?.mends() ?? 0, most), end: end ?? "time" };
  }
}

/** The line lies on the water with what drifts; what lies still or is reeled in has it taut. */
function bowOf(field: Field, { behaviour, from, rodReach = 0 }: DriftOptions, pace: number) {
  const taut = behaviour.kind === "swum" || (behaviour.kind === "bottom" && behaviour.stays > 0);
  return from && !taut ? lineBow(field, from, rodReach, pace) : undefined;
}

function outOf(field: Field, { x, y }: State, pace: number): DriftEnd | undefined {
  if (!within(field, x, y)) return "off-reach";
  return placeWater(field, x, y, pace).depth < AGROUND ? "aground" : undefined;
}

/** Touches of the bed: each time that a bait comes down to it; along the bed by the stones that are passed. */
function touchCounter(behaviour: Behaviour) {
  let [count, along, down] = [0, 0, false];
  return {
    count: () => Math.round(count),
    take: (height: number, touch: number, moved: number, bedRoughness: number) => {
      if (behaviour.kind !== "bottom") {
        if (touch > 0.5 && !down) count++;
        down = touch > 0.5;
      } else if (height <= behaviour.height) {
        along += moved;
        count = Math.max(1, (touch * along) / (STONES * bedRoughness + 0.05));
      }
    },
  };
}

/** When a rig is done: left long enough where it lies or hangs, or back at the rod. */
function restOf({ behaviour, from }: DriftOptions) {
  let still = 0;
  const stays = behaviour.kind === "bottom" ? behaviour.stays : 0;
  const comesIn = behaviour.kind === "swum" || (behaviour.kind === "bottom" && behaviour.walked > 0);
  return ({ x, y }: State, speed: number, step: number): DriftEnd | undefined => {
    if (comesIn && from && Math.hypot(x - from[0], y - from[1]) < IN) return "in";
    if (speed >= STILL) return undefined;
    still += step;
    return (stays > 0 && still >= stays) || (behaviour.kind === "swum" && still >= HANGS) ? "time" : undefined;
  };
}

interface Move {
  /** Over the ground, m/s. */
  u: number;
  v: number;
  /** Of the bait over the bed from here on, m. */
  height: number;
  touch: number;
  /** Of the bait before what is followed, m. */
  lead: number;
}

function move(
  behaviour: Behaviour,
  water: PlaceWater,
  state: State,
  from: readonly [number, number] | undefined,
  step: number,
): Move {
  const { meanSpeed, depth, bedRoughness } = water;
  const [ux, uy] = meanSpeed > 1e-6 ? [water.u / meanSpeed, water.v / meanSpeed] : [0, 0];
  const sinking = Math.max(0, Math.min(state.height, depth) - behaviour.fall * step);
  switch (behaviour.kind) {
    case "float": {
      const { ratio, lift, lead } = behaviour.at(meanSpeed);
      const hangs = Math.max(0, depth - behaviour.length + lift);
      const speed = ratio * surfaceSpeed(meanSpeed, depth, bedRoughness);
      const height = Math.max(hangs, sinking);
      // A bait on its way down has not been dragged behind yet.
      const hung = depth > hangs ? (depth - height) / (depth - hangs) : 1;
      return { u: speed * ux, v: speed * uy, height, touch: height <= 0.01 ? 1 : 0, lead: lead * hung };
    }
    case "bottom": {
      if (sinking > behaviour.height) {
        const speed = speedAtHeight(meanSpeed, depth, bedRoughness, state.height);
        return { u: speed * ux, v: speed * uy, height: sinking, touch: 0, lead: 0 };
      }
      const { share, touch } = behaviour.at(meanSpeed);
      const [ex, ey] = from ? unit(from[0] - state.x, from[1] - state.y) : [0, 0];
      return {
        u: share * water.u + behaviour.walked * ex,
        v: share * water.v + behaviour.walked * ey,
        height: Math.min(behaviour.height, depth),
        touch,
        lead: 0,
      };
    }
    case "swum":
      return swum(behaviour, water, state, from ?? [state.x, state.y], sinking);
  }
}

/** On a taut line: what of the current goes across the line carries the lure round, what goes along it is reeled. */
function swum(
  behaviour: Behaviour & { kind: "swum" },
  water: PlaceWater,
  state: State,
  from: readonly [number, number],
  sinking: number,
): Move {
  const distance = Math.hypot(from[0] - state.x, from[1] - state.y);
  const [ex, ey] = unit(from[0] - state.x, from[1] - state.y);
  const alongLine = water.u * ex + water.v * ey;
  const reeled = Math.min(behaviour.most, Math.max(0, behaviour.least + alongLine));
  const clear = Math.min(Math.max(0.02, behaviour.clear), 0.5 * water.depth);
  const runs = water.depth - Math.min(water.depth - clear, behaviour.depthAt(distance));
  const height = Math.max(runs, sinking);
  return {
    u: water.u - alongLine * ex + reeled * ex,
    v: water.v - alongLine * ey + reeled * ey,
    height,
    touch: height <= 0.03 ? 1 : 0,
    lead: 0,
  };
}

const unit = (x: number, y: number): readonly [number, number] => {
  const size = Math.hypot(x, y);
  return size > 1e-6 ? [x / size, y / size] : [0, 0];
};

function point(state: State, water: PlaceWater, lead: number, u: number, v: number): DriftPoint {
  const speed = Math.max(Math.hypot(u, v), 1e-6);
  return {
    t: state.t,
    x: state.x + (lead * u) / speed,
    y: state.y + (lead * v) / speed,
    z: water.bed + Math.min(state.height, water.depth),
    bed: water.bed,
    depth: water.depth,
    touch: state.touch,
  };
}
