import type { Fished } from "../../core/book/bank-records";
import type { Lie } from "../../core/fish/read";
import type { RigAdvice } from "../../core/rig/advice";
import { shotMass } from "../../core/rig/shot";
import type { Way } from "../../core/rig/ways";
import type { Numbered } from "../../scenario/lie-identity";
import { placeWords } from "../../words/place";
import type { UnitSystem } from "../../words/quantity";
import { pieceOf, rigWords } from "../../words/rig";
import { capital } from "../../words/text";

/** A lie of a reading as a stretch keeps it. */
export const spotOf = (
  lie: Numbered<Lie>,
  lies: readonly Pick<Lie, "score">[],
): Pick<Fished, "lie" | "place" | "read"> => ({
  lie: placeWords(lie.place),
  read: {
    kind: lie.place.kind,
    rank: lie.rank,
    share: shareOf(lie, lies),
    depth: Math.round(100 * lie.depth) / 100,
    speed: Math.round(100 * lie.focalSpeed) / 100,
  },
  place: { x: Math.round(lie.x * 10) / 10, y: Math.round(lie.y * 10) / 10 },
});

/** Its score over that of the best, to a hundredth. */
function shareOf({ score }: Pick<Lie, "score">, lies: readonly Pick<Lie, "score">[]): number {
  const best = Math.max(...lies.map((one) => one.score));
  return best > 0 ? Math.round((100 * Math.max(0, score)) / best) / 100 : 0;
}

/**
 * What a rig ties on, as a stretch keeps it; the depth is that of the lowest shot under a float, else the lie's own.
 */
export function tackleOf(
  advice: RigAdvice,
  lie: Pick<Lie, "depth" | "upCurrent">,
  system: UnitSystem,
  way: Pick<Way, "from" | "cast"> | undefined,
): Pick<Fished, "method" | "lure" | "colour" | "piece" | "depth" | "rig"> {
  const { lure } = rigWords(advice, system);
  const depth = advice.method === "float" ? advice.setting : lie.depth;
  return {
    method: advice.method,
    lure: capital(lure.category),
    colour: lure.colours[0] ?? "",
    piece: pieceOf(advice.lure.size),
    depth: Math.round(depth * 100) / 100,
    rig: {
      retrieve: advice.retrieveKind,
      grams: gramsOf(advice),
      leader: "leader" in advice ? advice.leader : null,
      size: lure.size.slice(0, 60),
      castAngle: way ? Math.round(castAngleOf(way, lie)) : null,
    },
  };
}

/** What is cast, g: the weight, the head, the lure; the shot of a float. */
const gramsOf = (advice: RigAdvice): number => {
  const grams =
    "grams" in advice
      ? advice.grams
      : "head" in advice
        ? advice.head.grams
        : "plug" in advice
          ? advice.plug.grams
          : shotMass(advice.shot);
  return Math.round(grams * 100) / 100;
};

/** Degrees between a cast and straight upstream, at the fish. */
function castAngleOf({ from, cast }: Pick<Way, "from" | "cast">, { upCurrent }: Pick<Lie, "upCurrent">): number {
  const [dx, dy] = [cast.landing[0] - from[0], cast.landing[1] - from[1]];
  const up = (dx * upCurrent[0] + dy * upCurrent[1]) / Math.max(Math.hypot(dx, dy), 0.1);
  return (Math.acos(Math.min(1, Math.max(-1, up))) * 180) / Math.PI;
}

/** Is it rigged so already? What the model makes of the place at the moment is no matter of the rig. */
export const isRigged = (now: Fished, { read: _, ...wanted }: Partial<Fished>): boolean =>
  (Object.keys(wanted) as (keyof typeof wanted)[]).every(
    (key) => JSON.stringify(tied(now[key])) === JSON.stringify(tied(wanted[key])),
  );

/** What is tied on: a rig without the angle of its cast. */
const tied = (value: Fished[keyof Fished] | undefined) =>
  typeof value === "object" && value && "castAngle" in value ? { ...value, castAngle: null } : value;
