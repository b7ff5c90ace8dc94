import type { Family } from "../fish/species-record";
import { habitsOf } from "../fish/species-habits";
import { type Message, message } from "../quantity/message";
import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import type { Species } from "../fish/species-schema";
import { standardWeight } from "../fish/standard-weight";
import { clarityClass, isClear } from "../gauge/clarity";
import type { Light } from "../gauge/light";
import { isDirty } from "../tactics/colours";
import type { Snags } from "../tactics/lure-kinds";
import { METHOD, type Method } from "../tactics/methods";
import { type LeaderSchool, lineDiameter, type LineMaterial, testFor } from "./lines";
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
  /** How the leader is chosen: fine and unseen, or strong enough for the fish and the snags. */
  school: LeaderSchool;
  reasons: Message[];
  /** The fish can break the leader here. */
  cautions: Message[];
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
/**
 * Leaders of the fine school, kg, by clarity, in daylight: clear-water steelhead on 3 to 4 lb, trout and panfish on 2
 * to 3, bass and walleye on 6 to 8; one size up at dusk and by night. Common practice, no source.
 */
const FINE_LEADERS: Readonly<Record<Family, Readonly<Record<"gin-clear" | "clear" | "green", number>> | null>> = {
  trout: { "gin-clear": 0.91, clear: 1.36, green: 1.81 },
  run: { "gin-clear": 1.36, clear: 1.81, green: 3.63 },
  bass: { "gin-clear": 2.72, clear: 3.63, green: 4.54 },
  striper: { "gin-clear": 5.44, clear: 6.8, green: 9.07 },
  walleye: { "gin-clear": 2.72, clear: 3.63, green: 4.54 },
  catfish: null,
  panfish: { "gin-clear": 0.91, clear: 1.36, green: 1.81 },
  coarse: { "gin-clear": 1.36, clear: 1.81, green: 2.72 },
};
/** Where pike or other toothy fish are about: 12 lb, kg. Common practice, no source. */
const TOOTHY = 5.44;
/** Under this leader a fine hook is enough, kg. Common practice, no source. */
const FINE = 3;
/** A main line is a quarter stronger than its leader, so that the leader breaks. Common practice, no source. */
const STRONGER = 1.25;
/** A main line over a fine leader holds so much of what a strong leader would. Common practice, no source. */
const OF_STRONG = 0.6;
/** Share of a rod's length in tight cover. Common practice, no source. */
const TIGHT = 0.8;

export interface StrengthQuestion {
  species: Species;
  /** Id of the fish that ships. */
  base: string;
  method: Method;
  water: { meanSpeed: number; visibleDepth: number; snags: Snags; weed: boolean; teeth?: boolean };
  light?: Light;
  /** Main line of a float rig, of one's choice: nylon where none is said. */
  floatLine?: "mono" | "braid";
  /** The school that is followed; by clarity and snags where none is. */
  school?: LeaderSchool;
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

/** The leader of the fine school in this water, kg; none in colour, and none for fish that are not shy. */
function fineLeader({ base, water, light }: StrengthQuestion): number | undefined {
  const clarity = clarityClass(water.visibleDepth);
  if (clarity === "muddy" || clarity === "coloured") return undefined;
  const test = FINE_LEADERS[habitsOf(base).family]?.[clarity];
  return test === undefined || light === undefined || light === "day" ? test : testFor(1.2 * test);
}

/** Main line and leader: those that are owned, or what the fish and the water want. */
function linesFor(
  { base, method, water, own = {}, floatLine }: StrengthQuestion,
  wanted: number,
  /** What the main line is chosen by, kg. */
  carried: number,
): Pick<Strength, "main" | "leader"> {
  const family = habitsOf(base).family;
  const braided = method !== "float" && family !== "trout" && family !== "coarse";
  const seen = !isDirty(clarityClass(water.visibleDepth)) && family !== "catfish";
  return {
    main: lineOf(
      own.lineMaterial ?? (braided || floatLine === "braid" ? "braid" : "mono"),
      own.lineTest ?? testFor(carried * STRONGER),
      own.lineDiameter,
    ),
    leader: lineOf(
      own.leaderMaterial ?? (seen ? "fluorocarbon" : "mono"),
      own.leaderTest ?? wanted,
      own.leaderDiameter,
    ),
  };
}

/** The leader by its school, kg: fine where the water is clear and nothing is to be snagged, or as the angler says. */
function leaderFor(question: StrengthQuestion, cover: Snags, strong: number) {
  const { water } = question;
  const fine = fineLeader(question);
  const shy = fine !== undefined && cover === "none" && isClear(water.visibleDepth);
  const school: LeaderSchool = question.school ?? (shy ? "fine" : "strong");
  const bare = school === "fine" && fine !== undefined ? Math.min(fine, strong) : strong;
  return { fine, school, wanted: water.teeth ? Math.max(TOOTHY, bare) : bare };
}

export function strengthFor(question: StrengthQuestion): Strength {
  const { method, water, own = {} } = question;
  const cover = water.weed && water.snags === "none" ? "some" : water.snags;
  const { fish, pull, wanted: strong } = pullOf(question, cover);
  const { fine, school, wanted } = leaderFor(question, cover, strong);
  // A fine leader is tied to a main line that would do for the fish, nearly.
  const { main, leader } = linesFor(question, wanted, Math.max(wanted, OF_STRONG * strong));
  const weakest = Math.min(leader.test, main.test);
  const tight = water.snags === "many" || water.weed;
  const hook = leader.test < FINE ? "fine" : "strong";
  const drag = DRAG * KNOT * weakest;
  const breaks = pull > KNOT * weakest;
  return {
    fish,
    pull,
    main,
    leader,
    drag,
    dragShare: DRAG * KNOT,
    hook,
    rod: own.rodLength ?? METHOD[method].rod * (tight ? TIGHT : 1),
    school,
    cautions: breaks ? [message("leader-breaks", { fish, pull, holds: KNOT * weakest, drag })] : [],
    reasons: [
      message("line-pull", { fish, pull, test: strong, cover }),
      ...(fine === undefined || own.leaderTest !== undefined
        ? []
        : [message(`leader-school-${school}`, { fine: Math.min(fine, strong), strong })]),
      ...(water.teeth ? [message("leader-teeth", { test: TOOTHY })] : []),
      ...(weakest < wanted ? [message("line-weak", { test: weakest, wanted })] : []),
      message(lineReason(main.material, method), { diameter: main.diameter }),
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
      ? method === "float"
        ? "line-float-braid"
        : "line-braid"
      : method === "float"
        ? "line-floats"
        : "line-mono";

const lineOf = (material: LineMaterial, test: number, diameter = lineDiameter(material, test)) => ({
  material,
  test,
  diameter,
});
