import type { BaitKind } from "../tactics/baits";
import { type BoxPart, METHOD, type Method } from "../tactics/methods";
import { baitOf, dropOf, floatOf, plugOf, shotOf, spinnerOf, weightsOf } from "./box-parts";
import type { OwnTackle } from "./request";
import type { TackleItem, TackleKind } from "./tackle-item";

type OfKind = (kind: TackleKind) => readonly TackleItem[];

/** What each part of a box gives a rig in water of a depth, m, with a bait that is wanted. */
const PARTS: { readonly [P in BoxPart]: (of: OfKind, depth: number, bait: BaitKind | undefined) => OwnTackle } = {
  float: (of) => floatOf(of("float"), of("shot")),
  shot: (of) => shotOf(of("shot")),
  weight: (of) => weightsOf(of("weight")),
  head: (of) => weightsOf(of("head")),
  body: (of) => dropOf(of("body")),
  spoon: (of) => ({ ...weightsOf(of("spoon")), ...dropOf(of("spoon")) }),
  plug: (of, depth) => plugOf(of("plug"), depth),
  spinner: (of) => spinnerOf(of("spinner")),
  bait: (of, _, bait) => baitOf(of("bait"), of("hook"), bait),
};

/**
 * What of a box goes into one way of fishing in water of a depth, m, with a bait that is wanted: what there is none of
 * is left to what is usual.
 */
export function tackleFor(method: Method, depth: number, box: readonly TackleItem[], bait?: BaitKind): OwnTackle {
  const own = box.filter((item) => item.deleted !== true && item.count !== 0);
  const of = (kind: TackleKind) => own.filter((item) => item.kind === kind);
  const rods = of("rod")
    .map(({ length }) => length!)
    .sort((a, b) => a - b);
  const rod = METHOD[method].longest ? rods.at(-1) : rods[0];
  const [line] = of("line");
  const [leader] = of("leader");
  const [reel] = of("reel");
  return {
    ...(rod !== undefined && { rodLength: rod }),
    ...(reel && { perTurn: reel.perTurn }),
    ...(leader && leaderOfBox(leader)),
    ...(line && lineOfBox(line)),
    ...Object.assign({}, ...METHOD[method].box.map((part) => PARTS[part](of, depth, bait))),
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
  ...(length !== undefined && { leader: Math.min(10, Math.max(0.1, length)) }),
});
