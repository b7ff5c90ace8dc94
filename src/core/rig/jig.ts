import { type Message, message } from "../quantity/message";
import { WATER_DENSITY } from "../quantity/provenance";
import type { Presentation, Purpose } from "../tactics/purpose";
import { chooseStep, type Fit, type Step, stepOf, TOUCHING } from "./choose-weight";
import { contactOf, type Dragged } from "./contact";
import { type Metal } from "./drag";
import { dressed } from "./dressing";
import { dragOf, type Falling, fallSpeed, weightInWater } from "./fall";
import { headsFor, SPOONS } from "./ladders";
import type { Leash } from "./line-pull";
import { roomFor, type SetUp } from "./set-up";
import { sinkThrough } from "./sink";
import { weightReasons } from "./weight-reasons";

type JigFall = "slack" | "semi-slack" | "tight";

/** One head of the ladder in this water. */
interface Rung extends Step {
  /** In still water, m/s. */
  fall: number;
  /** It comes down within a cast, and keeps touching. */
  touches: boolean;
}

export interface JigRig {
  head: { grams: number; metal: Metal };
  purpose: Purpose;
  presentation: Presentation;
  /** The line under the rod, degrees from the vertical; null of a cast line. */
  angle: number | null;
  fall: number;
  seconds: number;
  swept: number;
  touch: number;
  touches: boolean;
  ladder: Rung[];
  fit: Fit;
  /** Counts, s, to the height of the fish. */
  countdown: number;
  /** How it is let down, and how long each way takes from the length of a cast, s. */
  fallOn: JigFall;
  falls: Record<JigFall, number>;
  /** Two layers at once: a lighter head above the other. */
  tandem: { upper: number; apart: number; layers: [number, number] } | null;
  falling: Falling;
}

export type JigQuestion = Pick<
  SetUp,
  "species" | "water" | "lure" | "leash" | "line" | "purpose" | "fishHeight" | "tackle" | "style"
> & { method: "jig" | "spoon" };

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
  tackle.heads ? [...new Set(tackle.heads)].sort((a, b) => a - b) : method === "spoon" ? SPOONS : headsFor(species);

function rung(question: JigQuestion, grams: number): Rung & { falling: Falling } {
  const { water, lure, leash, tackle, style, fishHeight } = question;
  const twice = style.tandem ? 1.5 : 1;
  const falling = dressed(grams * twice, tackle.metal ?? NON_TOXIC, lure.category, lure, tackle.dragArea);
  const dragged = headDragged(falling);
  const contact = contactOf(water, dragged, leash);
  const room = roomFor(question, grams * twice);
  const step = stepOf({ water, leash, room, fishHeight }, grams, dragged.fall, contact);
  return { ...step, fall: dragged.fall, touches: step.reaches && step.touch >= TOUCHING.least, falling };
}

/** The head or spoon for what it is wanted for, and no lighter than is felt in the wind. */
export function setJig(question: JigQuestion): { rig: JigRig; reasons: Message[] } {
  const { water, style, leash, fishHeight, purpose } = question;
  const ladder = carried(question).map((grams) => rung(question, grams));
  const chosenFor = chooseStep(ladder, purpose.purpose);
  const leastFelt = FELT * water.wind ** 2;
  const felt = ladder.findIndex(({ grams }) => grams >= leastFelt);
  const at = Math.max(chosenFor.at, felt < 0 ? ladder.length - 1 : felt);
  const chosen = ladder[at]!;
  const fallOn = style.fall ?? "semi-slack";
  const slack = chosen.seconds;
  // Under the rod it falls straight; from a cast a tight line swings it in.
  const tight = leash.presentation === "vertical" ? slack : pendulumSeconds(chosen.fall, leash, water.depth);
  const falls = { slack, "semi-slack": (slack + Math.max(slack, tight)) / 2, tight: Math.max(slack, tight) };
  const upper = ladder[at - 1]?.grams ?? chosen.grams;
  const rig: JigRig = {
    head: { grams: chosen.grams, metal: chosen.falling.metal },
    purpose: purpose.purpose,
    presentation: leash.presentation,
    angle: leash.presentation === "vertical" ? chosen.angle : null,
    fall: chosen.fall,
    seconds: chosen.seconds,
    swept: chosen.swept,
    touch: chosen.touch,
    touches: chosen.touches,
    ladder: ladder.map(({ falling, ...one }) => one),
    fit: at > chosenFor.at ? "felt" : chosenFor.fit,
    countdown: sinkThrough(water, chosen.fall, Math.min(fishHeight, water.depth)).seconds,
    fallOn,
    falls,
    tandem: style.tandem
      ? { upper, apart: Math.min(APART, water.depth / 2), layers: [0, Math.min(APART, water.depth / 2)] }
      : null,
    falling: chosen.falling,
  };
  return { rig, reasons: reasonsFor(question, rig, { at, leastFelt, windy: at > chosenFor.at }) };
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
  { water, method, purpose }: JigQuestion,
  rig: JigRig,
  { at, leastFelt, windy }: { at: number; leastFelt: number; windy: boolean },
): Message[] {
  const { head, touch, countdown, falls, fallOn, tandem } = rig;
  return [
    ...weightReasons(purpose, rig, at),
    ...(windy ? [message("jig-wind", { wind: water.wind, least: leastFelt })] : []),
    message("jig-count", { countdown }),
    message(`jig-${fallOn}`, { seconds: falls[fallOn], slack: falls.slack }),
    ...(tandem ? [message("jig-tandem", { upper: tandem.upper, lower: head.grams, apart: tandem.apart })] : []),
    ...(method === "spoon" ? [message("spoon-deep")] : []),
    ...(water.snags === "none" ? [] : [message("jig-snags", { touch })]),
    ...(head.metal === "lead" ? [message("lead-banned")] : []),
  ];
}
