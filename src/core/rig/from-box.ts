import type { Method } from "../tactics/lure-kinds";
import { sphereDiameter } from "./drag";
import { bodyWeight, dragAreaFromDrop } from "./fall";
import { bodyMass } from "../tactics/sizes";
import type { OwnTackle } from "./request";
import { bladeSpeed } from "./spinner";
import type { TackleItem, TackleKind } from "./tackle-item";

/** Weights of each way that takes more than one. */
const WEIGHTS: Partial<Record<Method, TackleKind>> = {
  jig: "head",
  "dead-bait": "head",
  spoon: "spoon",
  sinker: "weight",
  "drop-shot": "weight",
};
/** Ways that are fished with the longest rod; others with the shortest. */
const LONG: readonly Method[] = ["float", "drift"];

/**
 * What of a box goes into one way of fishing in water of a depth, m: what there is none of is left to what is usual.
 */
export function tackleFor(method: Method, depth: number, box: readonly TackleItem[]): OwnTackle {
  const own = box.filter((item) => item.deleted !== true && item.count !== 0);
  const of = (kind: TackleKind) => own.filter((item) => item.kind === kind);
  const rods = of("rod")
    .map(({ length }) => length!)
    .sort((a, b) => a - b);
  const rod = LONG.includes(method) ? rods.at(-1) : rods[0];
  const [line] = of("line");
  const [leader] = of("leader");
  const [reel] = of("reel");
  const weights = WEIGHTS[method] === undefined ? [] : of(WEIGHTS[method]);
  return {
    ...(rod !== undefined && { rodLength: rod }),
    ...(reel && { perTurn: reel.perTurn }),
    ...(leader && leaderOfBox(leader)),
    ...(line && lineOfBox(line)),
    ...(weights.length > 0 && { heads: weights.map(({ grams }) => grams!), ...metalOf(weights) }),
    ...(method === "float" && floatOf(of("float"), of("shot"))),
    ...(method === "drift" && shotOf(of("shot"))),
    ...(method === "plug" && plugOf(of("plug"), depth)),
    ...(method === "spinner" && spinnerOf(of("spinner"))),
    ...(BAITED.includes(method) && baitOf(of("bait"), of("hook"))),
    ...((method === "jig" || method === "spoon") && dropOf(of(method === "jig" ? "body" : "spoon"))),
  };
}

const lineOfBox = ({ material = "mono", test, diameter }: TackleItem): OwnTackle => ({
  lineMaterial: material,
  lineTest: test,
  ...(diameter !== undefined && { lineDiameter: diameter }),
});

const leaderOfBox = ({ material = "fluorocarbon", test, diameter, length }: TackleItem): OwnTackle => ({
  leaderMaterial: material,
  leaderTest: test,
  ...(diameter !== undefined && { leaderDiameter: diameter }),
  ...(length !== undefined && { leader: Math.min(3, Math.max(0.1, length)) }),
});

/** Metal of the first that says its own. */
function metalOf(items: readonly TackleItem[]): Pick<OwnTackle, "metal"> {
  const metal = items.find((item) => item.metal !== undefined)?.metal;
  return metal ? { metal } : {};
}

/** Ways that put a bait on a hook. */
const BAITED: readonly Method[] = ["float", "drift", "sinker", "drop-shot", "dead-bait"];

/** The first bait in the box, a ball of its mass where its thickness is not said; and the hooks there are. */
function baitOf([bait]: readonly TackleItem[], hooks: readonly TackleItem[]): OwnTackle {
  const density = bait?.density ?? USUAL_BAIT;
  return {
    ...(hooks.length > 0 && { hooks: hooks.map(({ hook }) => hook!) }),
    ...(bait && {
      bait: {
        name: bait.name,
        grams: Math.min(500, bait.grams!),
        density,
        diameter: bait.diameter ?? sphereDiameter(bait.grams! / 1000, density),
      },
    }),
  };
}
/** Density of a bait that does not say its own: flesh, a little heavier than water, kg/m3. From memory. */
const USUAL_BAIT = 1080;

/** Sizes of shot by the angler's own names, with how many there are. */
const shotOf = (shot: readonly TackleItem[]): OwnTackle =>
  shot.length === 0
    ? {}
    : {
        shot: shot.map(({ name, grams, count }) => ({
          size: name.slice(0, 20),
          grams: grams!,
          ...(count !== null && { count: Math.min(999, count) }),
        })),
        ...metalOf(shot),
      };

/** The floats there are, and shot for them. */
const floatOf = (floats: readonly TackleItem[], shot: readonly TackleItem[]): OwnTackle => ({
  ...shotOf(shot),
  ...(floats.length > 0 && {
    floats: floats.map(({ capacity, length }) => ({ capacity: capacity!, ...(length !== undefined && { length }) })),
  }),
});

/** The plug whose depth comes nearest to a third more than the water's: it must touch on a shorter line. */
function plugOf(plugs: readonly TackleItem[], depth: number): OwnTackle {
  const [plug] = [...plugs].sort((a, b) => Math.abs(a.dives! - 1.3 * depth) - Math.abs(b.dives! - 1.3 * depth));
  if (!plug) return {};
  const { grams, dives, buoyancy = 0.1 * plug.grams!, least = 0.4, best = 0.9, length } = plug;
  return { plug: { grams: grams!, dives: dives!, buoyancy, least, best, ...(length !== undefined && { length }) } };
}

function spinnerOf([spinner]: readonly TackleItem[]): OwnTackle {
  if (!spinner) return {};
  const { grams, least, blade = 2 } = spinner;
  return { spinner: { grams: grams!, least: least ?? bladeSpeed(blade) } };
}

/** Drag of the dressing from a timed drop, where one was made. */
function dropOf(items: readonly TackleItem[]): OwnTackle {
  const timed = items.find(({ drop }) => drop !== undefined);
  if (!timed?.drop) return {};
  const { drop, kind, length } = timed;
  const dressing = kind === "body" ? bodyWeight(timed.grams ?? bodyMass(length!), 1100) : 0;
  const dragArea = dragAreaFromDrop({ grams: drop.grams, metal: drop.metal, dressing }, drop);
  return dragArea === undefined ? {} : { dragArea: Math.min(0.05, dragArea) };
}
