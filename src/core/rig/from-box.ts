import { METHOD, type Method } from "../tactics/methods";
import { RIGGING } from "./methods";
import type { OwnTackle } from "./request";
import type { TackleItem, TackleKind } from "./tackle-item";

/**
 * What of a box goes into one way of fishing in water of a depth, m: what there is none of is left to what is usual.
 */
export function tackleFor(method: Method, depth: number, box: readonly TackleItem[]): OwnTackle {
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
    ...RIGGING[method].fromBox(of, depth),
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
