import { type Message, message } from "../quantity/message";
import { WATER_DENSITY } from "../quantity/provenance";
import type { Species } from "../fish/species-schema";
import { standardWeight } from "../fish/standard-weight";
import { clarityClass } from "../gauge/clarity";
import { isDirty } from "../tactics/colours";
import { familyOf } from "../tactics/family";
import type { Method, Snags } from "../tactics/lure-kinds";
import { lineDiameter, type LineMaterial, testFor } from "./lines";

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
/** Rods by method, m; shorter by a fifth in tight cover. Common practice, no source. */
const RODS: Record<Method, number> = {
  float: 3.9,
  drift: 3,
  sinker: 2.7,
  "drop-shot": 2.1,
  "dead-bait": 2.7,
  jig: 2.1,
  spoon: 2.1,
  plug: 2.1,
  spinner: 2.1,
};
const TIGHT = 0.8;

export interface StrengthQuestion {
  species: Species;
  /** Id of the fish that ships. */
  base: string;
  method: Method;
  water: { meanSpeed: number; visibleDepth: number; snags: Snags; weed: boolean };
}

export function strengthFor({ species, base, method, water }: StrengthQuestion): Strength {
  const length = species.forkLength / 100;
  const fish = (standardWeight(species, length * 1000) ?? 11 * (length * 100) ** 3 * 1e-3) / 1000;
  const dirty = isDirty(clarityClass(water.visibleDepth));
  const cover = water.weed && water.snags === "none" ? "some" : water.snags;
  const current = (0.5 * WATER_DENSITY * BODY * length ** 2 * water.meanSpeed ** 2) / 9.81;
  const pull = PULLS[cover] * fish + current;
  const test = testFor(Math.max(FINEST, (pull / (KNOT * DRAG)) * (dirty ? DIRTY : 1)));
  const family = familyOf(base);
  const braided = method !== "float" && family !== "trout" && family !== "coarse";
  const leaderMaterial: LineMaterial = dirty || family === "catfish" ? "mono" : "fluorocarbon";
  const mainMaterial: LineMaterial = braided ? "braid" : "mono";
  const mainTest = testFor(test * 1.25);
  const tight = water.snags === "many" || water.weed;
  const hook = test < FINE ? "fine" : "strong";
  return {
    fish,
    pull,
    main: { material: mainMaterial, test: mainTest, diameter: lineDiameter(mainMaterial, mainTest) },
    leader: { material: leaderMaterial, test, diameter: lineDiameter(leaderMaterial, test) },
    drag: DRAG * KNOT * test,
    dragShare: DRAG * KNOT,
    hook,
    rod: RODS[method] * (tight ? TIGHT : 1),
    reasons: [
      message("line-pull", { fish, pull, test, cover }),
      message(mainMaterial === "braid" ? "line-braid" : method === "float" ? "line-floats" : "line-mono"),
      message(`leader-${leaderMaterial}`),
      message("drag-set", { drag: DRAG * KNOT * test, share: DRAG * KNOT }),
      message(`hook-${hook}`),
      ...(tight ? [message("rod-short")] : []),
      ...(method === "float" ? [message("float-slack-first")] : []),
    ],
  };
}
