import { habitsOf } from "../fish/species-habits";
import { type Message, message } from "../quantity/message";
import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import type { Species } from "../fish/species-schema";
import { standardWeight } from "../fish/standard-weight";
import { clarityClass } from "../gauge/clarity";
import { isDirty } from "../tactics/colours";
import type { Snags } from "../tactics/lure-kinds";
import { METHOD, type Method } from "../tactics/methods";
import { lineDiameter, type LineMaterial, testFor } from "./lines";
import type { OwnTackle } from "./request";

/** Line, hook, rod and drag for a fish in its water. */
export interface Strength {
  /** Weight of the fish that is looked for, kg. */
  fish: number;
  /** What it pulls at its hardest, kg. */
  pull: number;
  main: { material: LineMaterial; test: number; diameter: number };
  leader: { material: LineMaterial; test: number; diameter: number };
  /** What the drag is set to, kg, and the share of the leader's test that this is. */
  drag: number;
  dragShare: number;
  hook: "fine" | "strong";
  /** m */
  rod: number;
  reasons: Message[];
}

/**
 * A hooked fish pulls about half its weight in open water, its whole weight towards wood. Common practice, no source.
 */
const PULLS: Record<Snags, number> = { none: 0.5, some: 0.7, many: 1 };
/** A knot keeps about 85 % of a line; a drag is set to a quarter to a third of that. Common practice, no source. */
const KNOT = 0.85;
const DRAG = 0.3;
/** In coloured water nothing is lost by a stronger leader. Common practice, no source. */
const DIRTY = 1.3;
/** Body drag of a fish held in the current: Cd times area as a share of its length squared. From memory. */
const BODY = 0.015;
/** The finest leader that bites in clear water come on, 3 lb, kg. Common practice, no source. */
const FINEST = 1.36;
/** Under this leader a fine hook is enough, kg. Common practice, no source. */
const FINE = 3;
/** A main line is a quarter stronger than its leader, so that the leader breaks. Common practice, no source. */
const STRONGER = 1.25;
/** Share of a rod's length in tight cover. Common practice, no source. */
const TIGHT = 0.8;

export interface StrengthQuestion {
  species: Species;
  /** Id of the fish that ships. */
  base: string;
  method: Method;
  water: { meanSpeed: number; visibleDepth: number; snags: Snags; weed: boolean };
  /** Line, leader and rod that are owned: taken as they are, and told where they are too weak. */
  own?: Pick<
    OwnTackle,
    "lineMaterial" | "lineTest" | "lineDiameter" | "leaderMaterial" | "leaderTest" | "leaderDiameter" | "rodLength"
  >;
}

/** Weight of a fish without a published standard: 11 g for each (10 cm)^3 of its fork length. From memory. */
const PLAIN_WEIGHT = 11e-3;

/** Weight of the fish looked for, what it pulls here, and the leader that this wants, kg. */
function pullOf({ species, water }: StrengthQuestion, cover: Snags): { fish: number; pull: number; wanted: number } {
  const centimetres = species.forkLength;
  const fish = (standardWeight(species, centimetres * 10) ?? PLAIN_WEIGHT * centimetres ** 3) / 1000;
  const current = (0.5 * WATER_DENSITY * BODY * (centimetres / 100) ** 2 * water.meanSpeed ** 2) / GRAVITY;
  const pull = PULLS[cover] * fish + current;
  const dirty = isDirty(clarityClass(water.visibleDepth)) ? DIRTY : 1;
  return { fish, pull, wanted: testFor(Math.max(FINEST, (pull / (KNOT * DRAG)) * dirty)) };
}

/** Main line and leader: those that are owned, or what the fish and the water want. */
function linesFor(
  { base, method, water, own = {} }: StrengthQuestion,
  wanted: number,
): Pick<Strength, "main" | "leader"> {
  const family = habitsOf(base).family;
  const braided = method !== "float" && family !== "trout" && family !== "coarse";
  const seen = !isDirty(clarityClass(water.visibleDepth)) && family !== "catfish";
  return {
    main: lineOf(
      own.lineMaterial ?? (braided ? "braid" : "mono"),
      own.lineTest ?? testFor(wanted * STRONGER),
      own.lineDiameter,
    ),
    leader: lineOf(
      own.leaderMaterial ?? (seen ? "fluorocarbon" : "mono"),
      own.leaderTest ?? wanted,
      own.leaderDiameter,
    ),
  };
}

export function strengthFor(question: StrengthQuestion): Strength {
  const { method, water, own = {} } = question;
  const cover = water.weed && water.snags === "none" ? "some" : water.snags;
  const { fish, pull, wanted } = pullOf(question, cover);
  const { main, leader } = linesFor(question, wanted);
  const weakest = Math.min(leader.test, main.test);
  const tight = water.snags === "many" || water.weed;
  const hook = leader.test < FINE ? "fine" : "strong";
  const drag = DRAG * KNOT * weakest;
  return {
    fish,
    pull,
    main,
    leader,
    drag,
    dragShare: DRAG * KNOT,
    hook,
    rod: own.rodLength ?? METHOD[method].rod * (tight ? TIGHT : 1),
    reasons: [
      message("line-pull", { fish, pull, test: wanted, cover }),
      ...(weakest < wanted ? [message("line-weak", { test: weakest, wanted })] : []),
      message(lineReason(main.material, method)),
      ...(leader.material === "braid" ? [] : [message(`leader-${leader.material}`)]),
      message("drag-set", { drag, share: DRAG * KNOT }),
      message(`hook-${hook}`),
      ...(tight && own.rodLength === undefined ? [message("rod-short")] : []),
      ...(method === "float" ? [message("float-slack-first")] : []),
    ],
  };
}

/** What is said of a main line: fluorocarbon sinks, which a float does not want. */
const lineReason = (material: LineMaterial, method: Method): string =>
  material === "fluorocarbon"
    ? "line-sinks"
    : material === "braid"
      ? "line-braid"
      : method === "float"
        ? "line-floats"
        : "line-mono";

const lineOf = (material: LineMaterial, test: number, diameter = lineDiameter(material, test)) => ({
  material,
  test,
  diameter,
});
