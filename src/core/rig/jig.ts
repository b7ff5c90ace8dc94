import { habitsOf } from "../fish/species-habits";
import { type Message, message } from "../quantity/message";
import { WATER_DENSITY } from "../quantity/provenance";
import type { LureChoice, Snags } from "../tactics/lure";
import { contactOf, type Dragged, type Leash } from "./contact";
import { type Metal } from "./drag";
import { dressed } from "./dressing";
import { dragOf, type Falling, fallSpeed, weightInWater } from "./fall";
import { HEADS, SPOONS } from "./ladders";
import type { OwnStyle, OwnTackle } from "./request";
import { sinkThrough } from "./sink";
import type { Water } from "./water";

type JigFall = "slack" | "semi-slack" | "tight";

/** One head of the ladder in this water. */
interface Rung {
  grams: number;
  /** In still water, m/s. */
  fall: number;
  /** To the bed: s, and how far it is swept, m. */
  seconds: number;
  swept: number;
  /** Share of the time on the bottom when it is led down along it. */
  touch: number;
  /** It comes down within a cast, and keeps touching. */
  touches: boolean;
}

export interface JigRig {
  head: { grams: number; metal: Metal };
  fall: number;
  seconds: number;
  swept: number;
  touch: number;
  touches: boolean;
  ladder: Rung[];
  /** Counts, s, to the height of the fish. */
  countdown: number;
  /** How it is let down, and how long each way takes from the length of a cast, s. */
  fallOn: JigFall;
  falls: Record<JigFall, number>;
  /** Two layers at once: a lighter head above the other. */
  tandem: { upper: number; apart: number; layers: [number, number] } | null;
  falling: Falling;
}

export interface JigQuestion {
  method: "jig" | "spoon";
  species: string;
  water: Water & { wind: number; light: "day" | "twilight" | "night"; snags: Snags; temperature: number };
  lure: LureChoice;
  leash: Leash;
  /** Height of the fish over the bed, m. */
  fishHeight: number;
  tackle: OwnTackle;
  style: OwnStyle;
}

/** Farthest that a lure is thrown up-current of the fish, m. Common practice, no source. */
const FARTHEST_UP = 12;
/** Share of the time on the bottom that is felt as ticking along it; less in low light, when fish look up. */
const TICKS = { day: 0.3, twilight: 0.2, night: 0.2 } as const;
/**
 * The lightest head that is felt in a wind, g for m/s squared: 1.8 g at 6 m/s, 5 g at 10. Common practice, no source.
 */
const FELT = 0.05;
/** A second jig rides so far above the other, m. Common practice, no source. */
const APART = 0.5;

/** A head as it goes along the bed; its Cd times area from its drag at 1 m/s. */
export const headDragged = (falling: Falling): Dragged => ({
  weight: weightInWater(falling),
  fall: fallSpeed(falling),
  area: dragOf(falling, 1) / (0.5 * WATER_DENSITY),
});

/** Heads are taken to be of tungsten unless the angler says otherwise: lead is banned or limited in many places. */
const NON_TOXIC: Metal = "tungsten";

/** Heads or spoons in order, lightest first: the angler's own, or those carried for the fish. */
const carried = ({ method, species, tackle }: JigQuestion): readonly number[] =>
  tackle.heads
    ? [...new Set(tackle.heads)].sort((a, b) => a - b)
    : method === "spoon"
      ? SPOONS
      : HEADS[habitsOf(species).family];

function rung(question: JigQuestion, grams: number): Rung & { falling: Falling } {
  const { water, lure, leash, tackle, style } = question;
  const twice = style.tandem ? 1.5 : 1;
  const falling = dressed(grams * twice, tackle.metal ?? NON_TOXIC, lure.category, lure, tackle.dragArea);
  const fall = fallSpeed(falling);
  const { seconds, swept } = sinkThrough(water, fall);
  const { touch } = contactOf(water, headDragged(falling), leash);
  const touches = swept <= FARTHEST_UP && touch >= TICKS[water.light];
  return { grams, fall, seconds, swept, touch, touches, falling };
}

/**
 * The lightest head that comes down within a cast and keeps touching; one that is felt in the wind; one rung lighter
 * where bites come short and the depth allows it.
 */
export function setJig(question: JigQuestion): { rig: JigRig; reasons: Message[] } {
  const { water, style, leash, fishHeight } = question;
  const ladder = carried(question).map((grams) => rung(question, grams));
  const lightest = ladder.findIndex(({ touches }) => touches);
  const needed = lightest < 0 ? ladder.length - 1 : lightest;
  const leastFelt = FELT * water.wind ** 2;
  const felt = ladder.findIndex(({ grams }) => grams >= leastFelt);
  const windy = Math.max(needed, felt < 0 ? ladder.length - 1 : felt);
  // Lighter falls slower: a rung down, where even that gets there in the time of a cast.
  const lighter = windy > 0 && ladder[windy - 1]!.swept <= FARTHEST_UP && windy > needed ? windy - 1 : windy;
  const chosen = ladder[style.short ? lighter : windy]!;
  const fallOn = style.fall ?? "semi-slack";
  const tight = pendulumSeconds(chosen.fall, leash, water.depth);
  const slack = chosen.seconds;
  const falls = { slack, "semi-slack": (slack + Math.max(slack, tight)) / 2, tight: Math.max(slack, tight) };
  const upper = ladder.filter(({ grams }) => grams < chosen.grams).at(-1)?.grams ?? chosen.grams;
  const rig: JigRig = {
    head: { grams: chosen.grams, metal: chosen.falling.metal },
    fall: chosen.fall,
    seconds: chosen.seconds,
    swept: chosen.swept,
    touch: chosen.touch,
    touches: chosen.touches,
    ladder: ladder.map(({ falling, ...one }) => one),
    countdown: sinkThrough(water, chosen.fall, Math.min(fishHeight, water.depth)).seconds,
    fallOn,
    falls,
    tandem: style.tandem
      ? { upper, apart: Math.min(APART, water.depth / 2), layers: [0, Math.min(APART, water.depth / 2)] }
      : null,
    falling: chosen.falling,
  };
  return { rig, reasons: reasonsFor(question, rig, { lightest, leastFelt, needed, windy }) };
}

/**
 * Seconds of a fall on a tight line: the lure swings in on a circle about the rod tip, driven by the part of its weight
 * along the circle, so that its speed is the terminal one times the root of the sine of the angle from the vertical.
 * From the surface a cast away to the bed; the line's own drag left out.
 */
export function pendulumSeconds(
  fall: number,
  { distance, tipHeight }: Pick<Leash, "distance" | "tipHeight">,
  depth: number,
): number {
  const length = Math.hypot(distance, tipHeight);
  const from = Math.acos(tipHeight / length);
  const to = length > tipHeight + depth ? Math.acos((tipHeight + depth) / length) : 0.02;
  const steps = 60;
  let seconds = 0;
  for (let k = 0; k < steps; k++) {
    const angle = from + ((to - from) * (k + 0.5)) / steps;
    seconds += (length * (Math.abs(from - to) / steps)) / (fall * Math.sqrt(Math.max(Math.sin(angle), 1e-3)));
  }
  return seconds;
}

function reasonsFor(
  { water, style, method }: JigQuestion,
  rig: JigRig,
  { lightest, leastFelt, needed, windy }: { lightest: number; leastFelt: number; needed: number; windy: number },
): Message[] {
  const { head, seconds, swept, touch, countdown, falls, fallOn, tandem, ladder } = rig;
  return [
    lightest < 0
      ? message("jig-none-touches", { grams: head.grams, swept, touch })
      : head.grams <= ladder[needed]!.grams
        ? message("jig-lightest", { grams: head.grams, touch, light: water.light })
        : message("jig-heavier", { grams: head.grams, touch, least: ladder[needed]!.grams }),
    ...(windy > needed ? [message("jig-wind", { wind: water.wind, least: leastFelt })] : []),
    message("jig-sink", { seconds, swept }),
    message("jig-count", { countdown }),
    message(`jig-${fallOn}`, { seconds: falls[fallOn], slack: falls.slack }),
    ...(style.short ? [message(head.grams < ladder[windy]!.grams ? "short-lighter" : "short-slower")] : []),
    ...(tandem ? [message("jig-tandem", { upper: tandem.upper, lower: head.grams, apart: tandem.apart })] : []),
    ...(method === "spoon" ? [message("spoon-deep")] : []),
    ...(water.snags === "none" ? [] : [message("jig-snags", { touch })]),
    ...(head.metal === "lead" ? [message("lead-banned")] : []),
  ];
}
