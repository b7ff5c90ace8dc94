import type { BottomAdvice, FloatAdvice, JigAdvice, PlugAdvice, RigAdvice, SpinnerAdvice } from "./advice";
import { bottomDragged } from "./bottom";
import { contactOf, type Dragged } from "./contact";
import { headDragged } from "./jig";
import { reelSpeed } from "./reel";
import type { RigAsked } from "./request";
import { drillFor } from "../tactics/drill-for";
import type { Presentation } from "../tactics/purpose";
import { tipOver } from "./rod";
import { shotMass } from "./shot";
import { fishFloat, type FloatTackle } from "./float";
import { lipForce, plugDepth } from "./plug";
import { spinnerDepth, TIP } from "./spinner";
import type { PlaceWater } from "./place";

/** How a rig goes once it is in the water: everything that the drift needs to know, by the kind of way it goes. */
export type Behaviour =
  | {
      kind: "float";
      /** Line under the float, to the bait, m. */
      length: number;
      /** Fall of the bait until it hangs, m/s. */
      fall: number;
      /** At a mean speed, m/s: the float's own over that of the surface, and lift and lead of the bait, m. */
      at: (meanSpeed: number) => { ratio: number; lift: number; lead: number };
    }
  | {
      kind: "bottom";
      fall: number;
      /** Once down, at a mean speed: along the bed, as a share of it, and the share of the time on the stones. */
      at: (meanSpeed: number) => { share: number; touch: number };
      /** Height over the bed once it is down, m. */
      height: number;
      /** It stays where it lies for so long, s; 0: it is drifted or walked. */
      stays: number;
      /** Walked towards the angler at so much, m/s. */
      walked: number;
    }
  | {
      kind: "swum";
      /** Speed through the water that it must have, m/s; the most that the reel brings in. */
      least: number;
      most: number;
      fall: number;
      /** Depth at a length of line, m; it is kept so far off the bed. */
      depthAt: (line: number) => number;
      clear: number;
    };

/** Speeds that a response is worked out at, as multiples of the place's own, m/s. */
const SPEEDS = [0, 0.4, 0.7, 1, 1.3, 1.8, 2.6];
/** A bait that lies still is left so long, s; a finesse bait in one place. Common practice, no source. */
export const STAYS = { soak: 300, worked: 30 };
const DOWN = 0.05;
/** A jig is lifted and let down towards the angler at so much, m/s; a spinner is kept so far off the bed, m. */
const WALKED = 0.15;
const CLEAR = 0.15;

/** Linear between worked-out speeds, held beyond. */
function response<T extends Record<string, number>>(speeds: readonly number[], of: (speed: number) => T) {
  const values = speeds.map(of);
  const names = Object.keys(values[0]!) as (keyof T)[];
  return (speed: number): T => {
    let k = 1;
    while (k < speeds.length - 1 && speeds[k]! < speed) k++;
    const [a, b] = [speeds[k - 1]!, speeds[k]!];
    const share = Math.min(1, Math.max(0, (speed - a) / Math.max(b - a, 1e-9)));
    return Object.fromEntries(
      names.map((name) => [name, values[k - 1]![name]! + share * (values[k]![name]! - values[k - 1]![name]!)]),
    ) as T;
  };
}

export interface BehaviourOptions {
  advice: RigAdvice;
  /** The water of the lie. */
  water: Pick<PlaceWater, "depth" | "meanSpeed" | "bedRoughness">;
  lineDiameter: number;
  distance: number;
  tipHeight: number;
  presentation: Presentation;
  /** What the bank has taught of the line's pull. */
  factor?: number;
  /** It lies still and is waited on. */
  soaks: boolean;
  /** Fastest that the reel brings line in, m/s. */
  reel: number;
  /** Another setting or hold-back than the advice's own. */
  setting?: number;
  holdBack?: number;
}

/** Of a rig that was asked for and advised, cast so far, m. */
export const behaviourOptions = (asked: RigAsked, advice: RigAdvice, distance: number): BehaviourOptions => ({
  advice,
  water: asked.water,
  lineDiameter: advice.line.main.diameter,
  distance,
  tipHeight: tipOver(advice.line.rod),
  presentation: "presentation" in advice ? advice.presentation : "across",
  factor: asked.tackle.pullFactor,
  soaks: drillFor(asked.method, asked.species, advice.retrieveKind) === "soak",
  reel: reelSpeed(asked.tackle),
});

/** Held, it stays where it came down; moved, it comes towards the angler. */
const keptBy = ({ soaks }: BehaviourOptions, { retrieveKind }: RigAdvice) =>
  retrieveKind === "hold" ? { stays: soaks ? STAYS.soak : STAYS.worked, walked: 0 } : { stays: 0, walked: WALKED };

export const jigBehaviour = (options: BehaviourOptions, advice: JigAdvice): Behaviour =>
  along(options, headDragged(advice.falling), DOWN, keptBy(options, advice));

/** Of what is drifted along the bed. */
export const driftBehaviour = (options: BehaviourOptions, advice: BottomAdvice): Behaviour =>
  along(options, bottomDragged(advice, advice.lure.body), advice.baitHeight, { stays: 0, walked: 0 });

/** Of what lies where it came down, until it is moved. */
export const lyingBehaviour = (options: BehaviourOptions, advice: BottomAdvice): Behaviour =>
  along(options, bottomDragged(advice, advice.lure.body), advice.baitHeight, keptBy(options, advice));

export function plugBehaviour(options: BehaviourOptions, advice: PlugAdvice): Behaviour {
  const { plug } = advice;
  const lip = lipForce(plug);
  const through = Math.max(plug.best, plug.least);
  return {
    kind: "swum",
    least: plug.best,
    most: advice.direction === "with" ? Math.max(advice.retrieve, plug.best) : plug.best,
    fall: plug.buoyancy > 0 ? 0.3 * through : 0.3 * through + 0.1,
    clear: 0,
    depthAt: depthTable(options.distance, (line) => plugDepth(plug, lip, options.lineDiameter, through, line)),
  };
}

export function spinnerBehaviour(options: BehaviourOptions, { grams, blade, tip }: SpinnerAdvice): Behaviour {
  return {
    kind: "swum",
    least: blade,
    most: options.reel,
    fall: 0.5,
    clear: CLEAR,
    depthAt: depthTable(options.distance, (line) =>
      spinnerDepth({ grams, distance: line, lineDiameter: options.lineDiameter }, blade, TIP[tip]),
    ),
  };
}

function depthTable(distance: number, of: (line: number) => number): (line: number) => number {
  const lines = [0.5, 2, 4, 7, 10, 14, Math.max(20, 1.5 * distance)];
  const at = response(lines, (line) => ({ depth: of(line) }));
  return (line) => at(line).depth;
}

export function floatBehaviour({ water, setting, holdBack }: BehaviourOptions, advice: FloatAdvice): Behaviour {
  const tackle: FloatTackle = advice.hung;
  const set = setting ?? advice.setting;
  const length = set + advice.leader;
  const held = holdBack ?? advice.holdBack;
  const base = Math.max(water.meanSpeed, 0.1);
  // Where it hangs just clear of the bed, or touching: the lift then hangs on the speed alone.
  const depth = Math.max(water.depth, length);
  const at = response(
    SPEEDS.map((times) => times * base),
    (meanSpeed) => {
      const rig = fishFloat({ depth, meanSpeed, bedRoughness: water.bedRoughness }, tackle, set, advice.shotting, held);
      return { ratio: rig.surfaceSpeed > 0 ? rig.floatSpeed / rig.surfaceSpeed : 1, lift: rig.lift, lead: rig.lead };
    },
  );
  const { fall } = bottomDragged({ pieces: 1, piece: shotMass(advice.shot), metal: tackle.metal }, tackle.bait);
  return { kind: "float", length, fall, at };
}

function along(
  { water, lineDiameter, distance, tipHeight, presentation, factor }: BehaviourOptions,
  dragged: Dragged,
  height: number,
  kept: { stays: number; walked: number },
): Behaviour {
  const base = Math.max(water.meanSpeed, 0.1);
  const at = response(
    SPEEDS.map((times) => times * base),
    (meanSpeed) => {
      const contact = contactOf({ ...water, meanSpeed }, dragged, {
        lineDiameter,
        distance,
        tipHeight,
        presentation,
        factor,
      });
      return { share: meanSpeed > 0 ? contact.speed / meanSpeed : 0, touch: contact.touch };
    },
  );
  return { kind: "bottom", fall: dragged.fall, at, height, ...kept };
}
