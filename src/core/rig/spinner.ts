import { type Message, message } from "../quantity/message";
import { WATER_DENSITY } from "../quantity/provenance";
import { DENSITY, submergedWeight } from "./drag";
import { lineShape } from "./line-shape";
import { bladeSpeed } from "./blade";
import { reelSpeed, TURNS } from "./reel";
import type { OwnTackle } from "./request";
import type { StrikeZone } from "./strike-zone";
import type { Water } from "./water";

/** One way to bring a spinner past a fish. */
interface SpinnerWay {
  /** Line to bring in, m/s, and turns of the reel a second. */
  retrieve: number;
  turns: number;
  secondsInZone: number;
  /** The hand and the reel can do it. */
  feasible: boolean;
}

export interface SpinnerRig {
  grams: number;
  /** Speed through the water that turns its blade, m/s. */
  blade: number;
  up: SpinnerWay;
  down: SpinnerWay;
  advice: "up" | "down";
  /** Depth that it runs at with the rod tip down and up, m. */
  depthTipLow: number;
  depthTipHigh: number;
  tip: "low" | "high";
}

export interface SpinnerQuestion {
  water: Water;
  zone: StrikeZone;
  grams: number;
  /** Number of its blade. */
  blade: number;
  distance: number;
  /** Depth of the fish under the surface, m. */
  fishDepth: number;
  lineDiameter: number;
  tackle: OwnTackle;
}

/** Down and across: degrees off the current. Common practice, no source. */
const ACROSS = 45;
/** Rod tip by the water, and held up, m. */
export const TIP = { low: 0.2, high: 2 };
/** Cd times area of a turning blade over mass (g) to two thirds, m2. From memory. */
const BLADE_AREA = 0.00016;

/**
 * Both schools, by arithmetic. Up: the current brings the lure down to the fish, so that line comes in at the current's
 * speed and the blade's, and it passes along the whole zone at that speed. Down and across: on a tight line under 45
 * degrees the current passes the lure by U cos(45), and carries it round by U sin(45); what the blade lacks is reeled,
 * and the lure crosses the zone. Time near the fish is the shorter of the ways through the zone.
 */
export function spinnerWays(
  current: number,
  blade: number,
  zone: StrikeZone,
  tackle: { perTurn?: number },
): Pick<SpinnerRig, "up" | "down" | "advice"> {
  const most = reelSpeed(tackle);
  const per = tackle.perTurn ?? TURNS.perTurn;
  const [along, across] = [zone.ahead + zone.behind, 2 * zone.side];
  const way = (retrieve: number, secondsInZone: number): SpinnerWay => ({
    retrieve,
    turns: retrieve / per,
    secondsInZone,
    feasible: retrieve <= most,
  });
  const up = way(current + blade, along / (current + blade));
  const [sin, cos] = [Math.sin((ACROSS * Math.PI) / 180), Math.cos((ACROSS * Math.PI) / 180)];
  const reeled = Math.max(0, blade - current * cos);
  const crosses = current * sin * cos + reeled * sin;
  const drops = Math.abs(current * sin * sin - reeled * cos);
  const down = way(reeled, Math.min(across / crosses, drops > 1e-9 ? along / drops : Infinity));
  const advice = up.feasible && (up.secondsInZone >= down.secondsInZone || !down.feasible) ? "up" : "down";
  return { up, down, advice };
}

/** Depth that a spinner runs at on a length of line, m: its weight against its drag and that of the line. */
export function spinnerDepth(
  { grams, distance, lineDiameter }: Pick<SpinnerQuestion, "grams" | "distance" | "lineDiameter">,
  speed: number,
  tip: number,
): number {
  const drag = 0.5 * WATER_DENSITY * BLADE_AREA * grams ** (2 / 3) * speed ** 2;
  const { shape } = lineShape(
    {
      passing: () => speed,
      length: distance,
      lineDiameter,
      weights: [],
      end: { along: drag, down: submergedWeight(grams / 1000, DENSITY.brass) },
    },
    0,
  );
  return Math.max(0, shape.at(-1)!.z - tip);
}

export function setSpinner(question: SpinnerQuestion): { rig: SpinnerRig; reasons: Message[] } {
  const { water, zone, tackle, fishDepth } = question;
  const grams = tackle.spinner?.grams ?? question.grams;
  const blade = tackle.spinner?.least ?? bladeSpeed(question.blade);
  const ways = spinnerWays(water.meanSpeed, blade, zone, tackle);
  const chosen = ways[ways.advice];
  const through = ways.advice === "up" ? blade : Math.max(blade, water.meanSpeed * Math.SQRT1_2);
  const depthAt = (tip: number) => Math.min(water.depth, spinnerDepth({ ...question, grams }, through, tip));
  const [depthTipLow, depthTipHigh] = [depthAt(TIP.low), depthAt(TIP.high)];
  const tip = Math.abs(depthTipLow - fishDepth) <= Math.abs(depthTipHigh - fishDepth) ? "low" : "high";
  const rig = { grams, blade, ...ways, depthTipLow, depthTipHigh, tip } as const;
  const other = ways[ways.advice === "up" ? "down" : "up"];
  return {
    rig,
    reasons: [
      message(`spinner-${ways.advice}`, {
        retrieve: chosen.retrieve,
        turns: chosen.turns,
        seconds: chosen.secondsInZone,
        other: other.secondsInZone,
        otherFeasible: other.feasible,
      }),
      ...(chosen.feasible ? [] : [message("spinner-too-fast", { retrieve: chosen.retrieve, most: reelSpeed(tackle) })]),
      message(Math.abs(depthTipLow - depthTipHigh) < 0.05 ? "spinner-bottom" : "spinner-tip", {
        tip,
        low: depthTipLow,
        high: depthTipHigh,
      }),
    ],
  };
}
