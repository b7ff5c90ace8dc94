import type { RigRequest } from "../core/rig/request";
import { OUNCE } from "../core/quantity/units";

/** A weight of the trade: what is fished where, g from and to, and where that is from. */
export interface TradeCase {
  name: string;
  range: readonly [number, number];
  source: string;
  request: RigRequest;
}

const PRACTICE = "common practice, no source";
const oz = (share: number) => share * OUNCE * 1000;

const water = (depth: number, meanSpeed: number, more: Partial<RigRequest["water"]> = {}): RigRequest["water"] => ({
  depth,
  meanSpeed,
  bedRoughness: 0.1,
  visibleDepth: 1,
  temperature: 13,
  ...more,
});

const of = (name: string, range: readonly [number, number], request: RigRequest): TradeCase => ({
  name,
  range,
  source: PRACTICE,
  request,
});

/** What anglers fish with, for the rig's own choice to be held against. */
export const TRADE_CASES: readonly TradeCase[] = [
  of("jigging spoon in 12 m of current", [28, 60], { method: "spoon", species: "walleye", water: water(12, 0.6) }),
  of("dead bait, 2 m, slow", [30, 50], { method: "dead-bait", species: "zander", water: water(2, 0.4) }),
  of("dead bait, 3 m", [30, 50], { method: "dead-bait", species: "zander", water: water(3, 0.55) }),
  of("dead bait, 4 m, strong", [30, 50], { method: "dead-bait", species: "walleye", water: water(4, 0.7) }),
  of("drop shot in 6 m, slow", [20, 30], { method: "drop-shot", species: "walleye", water: water(6, 0.4) }),
  of("drop shot in 6 m", [20, 30], { method: "drop-shot", species: "zander", water: water(6, 0.5) }),
  of("bank drift, knee-deep run", [0.1, 0.4], { method: "drift", species: "brown-trout", water: water(0.5, 0.5) }),
  of("bank drift, knee-deep and quick", [0.1, 0.4], {
    method: "drift",
    species: "rainbow-trout",
    water: water(0.5, 0.7),
  }),
  of("bank drift, waist-deep and strong", [0.6, 1.5], {
    method: "drift",
    species: "brown-trout",
    water: water(1, 0.9),
  }),
  of("bank drift, waist-deep and stronger", [0.6, 1.5], {
    method: "drift",
    species: "rainbow-trout",
    water: water(1, 1.1),
  }),
  of("trout mini jig, slow pocket", [oz(1 / 32), oz(1 / 16)], {
    method: "jig",
    species: "brown-trout",
    water: water(0.8, 0.3),
  }),
  of("trout mini jig in a wind of 6 m/s", [oz(1 / 16), oz(1 / 16)], {
    method: "jig",
    species: "brown-trout",
    water: water(1, 0.3, { wind: 6 }),
  }),
  of("stand-up finesse head, shallow", [oz(1 / 10), oz(1 / 10)], {
    method: "jig",
    species: "smallmouth-bass",
    water: water(1, 0.2, { temperature: 8 }),
  }),
  of("stand-up finesse head, faster and deeper", [oz(1 / 6), oz(1 / 6)], {
    method: "jig",
    species: "smallmouth-bass",
    water: water(3, 0.6, { temperature: 8 }),
  }),
  of("walleye jig in current, until it just touches", [oz(3 / 16), oz(3 / 8)], {
    method: "jig",
    species: "walleye",
    water: water(3, 0.6),
  }),
  of("walleye jig in deep strong current", [oz(3 / 16), oz(3 / 8)], {
    method: "jig",
    species: "walleye",
    water: water(4, 0.9),
  }),
  of("perch jig", [4, 5], { method: "jig", species: "yellow-perch", water: water(3, 0.1) }),
  of("perch jig that holds bottom in flow", [9, 9], {
    method: "jig",
    species: "yellow-perch",
    water: water(3, 0.4),
    style: { purpose: "hold" },
  }),
  of("river paddle-tail in strong water", [oz(1 / 4), oz(1 / 4)], {
    method: "jig",
    species: "smallmouth-bass",
    water: water(3, 1, { temperature: 22 }),
  }),
  of("big swimbait, deep and fast", [oz(1), oz(1)], {
    method: "jig",
    species: "striped-bass",
    water: water(6, 0.6, { temperature: 18 }),
  }),
  of("sliding sinker with a floated bait", [oz(1 / 4), oz(1 / 2)], {
    method: "sinker",
    species: "walleye",
    water: water(2.5, 0.3),
  }),
  of("sliding sinker in slow water for trout", [oz(1 / 4), oz(1 / 2)], {
    method: "sinker",
    species: "rainbow-trout",
    water: water(2, 0.2),
  }),
];
