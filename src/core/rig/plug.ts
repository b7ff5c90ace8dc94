import type { Family } from "../fish/species-record";
import { habitsOf } from "../fish/species-habits";
import { type Message, message } from "../quantity/message";
import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import { castLength } from "./cast-length";
import { DENSITY } from "./drag";
import { lineShape } from "./line-shape";
import { reelSpeed, TURNS } from "./reel";
import type { OwnTackle } from "./request";
import { root } from "./solve";
import type { Water } from "./water";

export type Plug = NonNullable<OwnTackle["plug"]>;

export interface PlugRig {
  plug: Plug;
  /** Depth that it runs at beside the fish, m under the surface, on so much line, m. */
  depthReached: number;
  lineOut: number;
  touches: boolean;
  /** Line at which it would touch, and the cast that brings it down in time, m; null where no cast does. */
  lineNeeded: number | null;
  castNeeded: number | null;
  /** With the current, or against it. */
  direction: "with" | "against";
  /** Line to bring in, m/s, and turns of the reel a second. */
  retrieve: number;
  turns: number;
  feasible: boolean;
  /** By how much it would be driven over its best speed if it were held against this current, m/s. */
  over: number;
  /** Weight to add so that it neither rises nor sinks at this temperature, g; null where it sinks already. */
  suspend: number | null;
}

export interface PlugQuestion {
  species: string;
  water: Water & { temperature: number };
  /** Distance to the fish, m. */
  distance: number;
  lineDiameter: number;
  /** m */
  rod: number;
  /** Length of the lure, m. */
  length: number;
  tackle: OwnTackle;
}

/**
 * Depths of plugs are told on so much line of such a thickness at such a speed, m, m, m/s. Common practice, no
 * source.
 */
const TOLD_AT = { line: 30, diameter: 0.0003, speed: 1.2 };
/** Over its best speed by so much a plug looks unnatural, m/s: 2 mph. Common practice, no source. */
const UNNATURAL = 0.894;
/** A plug dives about one in three. Longest line that is worked, m. Common practice, no source. */
const DIVES_IN = 3;
const LONGEST = 40;
/** Nearer than this to the bed it touches, m. */
const TOUCH = 0.08;
/** Cd times area of a plug as a share of its length squared. From memory. */
const AREA = 0.03;

/** A plug for a fish that names none: floats a little, dives to about two metres. Common practice, no source. */
const USUAL: Record<Family, Omit<Plug, "length">> = {
  trout: { grams: 4, dives: 1.2, buoyancy: 0.6, least: 0.3, best: 0.7 },
  run: { grams: 14, dives: 3, buoyancy: 2, least: 0.4, best: 0.9 },
  bass: { grams: 9, dives: 2, buoyancy: 1.2, least: 0.4, best: 0.9 },
  striper: { grams: 28, dives: 2.5, buoyancy: 3, least: 0.5, best: 1.2 },
  walleye: { grams: 10, dives: 3, buoyancy: 1.5, least: 0.3, best: 0.8 },
  catfish: { grams: 18, dives: 3, buoyancy: 2, least: 0.4, best: 0.8 },
  panfish: { grams: 3, dives: 1.2, buoyancy: 0.5, least: 0.3, best: 0.6 },
  coarse: { grams: 4, dives: 1.2, buoyancy: 0.6, least: 0.3, best: 0.7 },
};

export const plugFor = ({ species, tackle, length }: Pick<PlugQuestion, "species" | "tackle" | "length">): Plug =>
  tackle.plug ?? { ...USUAL[habitsOf(species).family], length };

/** Density of water at a temperature, kg/m3 (Tanaka et al. 2001, Metrologia 38). */
export const waterDensity = (t: number): number =>
  999.97495 * (1 - ((t - 3.983035) ** 2 * (t + 301.797)) / (522528.9 * (t + 69.34881)));

/** Depth, m, of a plug that pulls down with `force` N at a speed, for each length of line, by the shape of its line. */
function depths(plug: Plug, force: number, diameter: number, speed: number, longest: number) {
  const drag = 0.5 * WATER_DENSITY * AREA * (plug.length ?? 0.07) ** 2 * speed ** 2;
  const { shape } = lineShape(
    {
      passing: () => speed,
      length: longest,
      lineDiameter: diameter,
      weights: [],
      end: { along: drag, down: force },
      steps: 240,
    },
    0,
  );
  return shape;
}

/** Pull of the lip at 1 m/s, N: what takes the plug to the depth that is told of it. Grows with the speed's square. */
export function lipForce(plug: Plug): number {
  const { line, diameter, speed } = TOLD_AT;
  const buoyancy = (plug.buoyancy / 1000) * GRAVITY;
  const over = (force: number) =>
    depths(plug, force * speed ** 2 - buoyancy, diameter, speed, line).at(-1)!.z - plug.dives;
  return root(over, 0, 30, 1e-5, 100);
}

/** Depth, m, that a plug runs at on a length of line. */
export function plugDepth(plug: Plug, lip: number, diameter: number, speed: number, line: number): number {
  const pull = lip * speed ** 2 - (plug.buoyancy / 1000) * GRAVITY;
  return Math.max(0, depths(plug, pull, diameter, speed, line).at(-1)!.z);
}

/** g to add so that a plug hangs still at a temperature, its weight of a metal; null where it sinks by itself. */
export function suspendWeight(
  plug: Plug,
  temperature: number,
  metal: keyof typeof DENSITY = "tungsten",
): number | null {
  const volume = (plug.grams + plug.buoyancy) / waterDensity(20);
  const lift = waterDensity(temperature) * volume - plug.grams;
  return lift > 0 ? lift / (1 - WATER_DENSITY / DENSITY[metal]) : null;
}

/** How a plug runs beside the fish, and whether it can be worked there. */
export function setPlug(question: PlugQuestion): { rig: PlugRig; reasons: Message[] } {
  const { water, distance, lineDiameter, tackle } = question;
  const plug = plugFor(question);
  const lip = lipForce(plug);
  const current = water.meanSpeed;
  const over = current - plug.best;
  const reel = reelSpeed(tackle);
  const withCurrent = current + plug.best;
  // Bait fish do not swim hard upstream: against the current only where that is slow.
  const direction = over > 0 || withCurrent <= reel ? "with" : "against";
  const speed = direction === "with" ? Math.min(plug.best, Math.max(0, reel - current)) : plug.best;
  const retrieve = direction === "with" ? current + speed : Math.max(0, plug.best - current);
  const feasible = speed >= plug.least && (direction === "with" || over <= UNNATURAL);
  const lineOut = distance;
  const swims = Math.max(speed, plug.least);
  const dive = depths(plug, lip * swims ** 2 - (plug.buoyancy / 1000) * GRAVITY, lineDiameter, swims, LONGEST);
  const free = Math.max(0, interpolated(dive, lineOut));
  const depthReached = Math.min(water.depth, free);
  const there = dive.find(({ z }) => z >= water.depth - TOUCH);
  const lineNeeded = there ? there.s : null;
  const castNeeded = lineNeeded === null ? null : Math.max(lineNeeded, distance) + DIVES_IN * water.depth;
  const longest = Math.min(LONGEST, castLength(plug.grams, question.rod, lineDiameter));
  const rig: PlugRig = {
    plug,
    depthReached,
    lineOut,
    touches: free >= water.depth - TOUCH,
    lineNeeded,
    castNeeded: castNeeded !== null && castNeeded <= longest ? castNeeded : null,
    direction,
    retrieve,
    turns: retrieve / (tackle.perTurn ?? TURNS.perTurn),
    feasible,
    over,
    suspend: suspendWeight(plug, water.temperature),
  };
  return { rig, reasons: reasonsFor(question, rig) };
}

const interpolated = (shape: readonly { s: number; z: number }[], s: number): number =>
  shape.reduce((best, point) => (Math.abs(point.s - s) < Math.abs(best.s - s) ? point : best)).z;

function reasonsFor({ water, tackle }: PlugQuestion, rig: PlugRig): Message[] {
  const { depthReached, lineOut, touches, lineNeeded, castNeeded, direction, retrieve, turns, over, suspend } = rig;
  return [
    message(touches ? "plug-touches" : "plug-short", { depthReached, lineOut, depth: water.depth }),
    ...(touches || lineNeeded === null ? [] : [message("plug-line", { lineNeeded })]),
    ...(castNeeded === null ? (touches ? [] : [message("plug-other")]) : [message("plug-cast", { castNeeded })]),
    ...(over > UNNATURAL ? [message("plug-unnatural", { current: water.meanSpeed, best: rig.plug.best, over })] : []),
    rig.feasible
      ? message(`plug-${direction}`, { retrieve, turns })
      : message("plug-reel", { retrieve: water.meanSpeed + rig.plug.least, reel: reelSpeed(tackle) }),
    suspend === null
      ? message("plug-sinks")
      : message("plug-suspend", { grams: suspend, temperature: water.temperature }),
    message("plug-true"),
  ];
}
