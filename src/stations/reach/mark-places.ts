import type { Feature } from "../../core/flow/reach-schema";

interface Spot {
  x: number;
  y: number;
}

/** Half the breadth of a lie's mark with its rim, and the clear space about it, px. */
const MARK = 11;
const CLEAR = 2;
/** Farthest that a mark is moved from its place, px; turns tried, and steps outward. */
const FARTHEST = 34;
const TURNS = 16;
const STEP = 4;

interface Round extends Spot {
  r: number;
}

/** What a mark must not lie on, as rounds, px: a stone, a pier, and wood along its length. */
function roundsOf(feature: Feature, scale: number): Round[] {
  if (feature.kind === "boulder" || feature.kind === "pier")
    return [{ x: feature.x * scale, y: feature.y * scale, r: (feature.diameter * scale) / 2 }];
  if (feature.kind !== "log" && feature.kind !== "log-jam") return [];
  const turn = (feature.angle * Math.PI) / 180;
  const half = Math.max(0, (feature.length - feature.width) / 2);
  const count = Math.max(1, Math.ceil((2 * half) / (feature.width / 2)));
  return Array.from({ length: count + 1 }, (_, k) => {
    const along = half * ((2 * k) / count - 1);
    return {
      x: (feature.x + along * Math.cos(turn)) * scale,
      y: (feature.y + along * Math.sin(turn)) * scale,
      r: (feature.width * scale) / 2,
    };
  });
}

/**
 * Where the marks of lies are drawn, px: at their places, or moved as little as it takes to leave the stones in sight
 * and the marks of better lies free. In the order of the lies.
 */
export function markPlaces(lies: readonly Spot[], features: readonly Feature[], scale: number): Spot[] {
  const stones = features.flatMap((one) => roundsOf(one, scale));
  const placed: Spot[] = [];
  for (const lie of lies) {
    const home = { x: lie.x * scale, y: lie.y * scale };
    const free = ({ x, y }: Spot) =>
      stones.every((one) => Math.hypot(one.x - x, one.y - y) >= one.r + MARK + CLEAR) &&
      placed.every((one) => Math.hypot(one.x - x, one.y - y) >= 2 * MARK + CLEAR);
    placed.push([...candidates(home)].find(free) ?? home);
  }
  return placed;
}

/** Places ever farther from a first one. */
function* candidates(home: Spot): Generator<Spot> {
  yield home;
  for (let away = STEP; away <= FARTHEST; away += STEP)
    for (let turn = 0; turn < TURNS; turn++) {
      const angle = (2 * Math.PI * turn) / TURNS;
      yield { x: home.x + away * Math.cos(angle), y: home.y + away * Math.sin(angle) };
    }
}
