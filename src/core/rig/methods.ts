import { type Message, message } from "../quantity/message";
import type { Method } from "../tactics/methods";
import type { AdviceOf, BottomAdvice, JigAdvice, RigAdvice } from "./advice";
import {
  type Behaviour,
  type BehaviourOptions,
  driftBehaviour,
  floatBehaviour,
  jigBehaviour,
  lyingBehaviour,
  plugBehaviour,
  spinnerBehaviour,
} from "./behaviour";
import { setBottom } from "./bottom";
import { TOUCHING } from "./choose-weight";
import { setUpFloat } from "./float-set-up";
import { setJig } from "./jig";
import { setPlug } from "./plug";
import type { SetUp } from "./set-up";
import { setSpinner } from "./spinner";
import { strikeZone } from "./strike-zone";

type Drop<T, K> = T extends unknown ? Omit<T, Extract<keyof T, K>> : never;
/** What setting up gives: the advice without what every method has. */
type RigOf<M extends Method> = Drop<
  AdviceOf<M>,
  "method" | "lure" | "line" | "retrieveKind" | "changes" | "reasons" | "cautions"
>;

/** How a method is rigged, how its rig behaves in the water, and what is changed when nothing bites. */
interface Rigging<M extends Method> {
  setUp: (from: SetUp) => { rig: RigOf<M>; reasons: Message[] };
  behaviour: (options: BehaviourOptions, advice: AdviceOf<M>) => Behaviour;
  /** After the colour: a float's length deeper, a shot or a head more or less, a longer line, the other rod tip. */
  changes: (advice: AdviceOf<M>) => Message[];
}

/** The blade and mass of a spinner, and the length of a plug, where the lure says none. Common practice, no source. */
const USUAL = { blade: 2, plug: 0.07 };

const bottom =
  <M extends BottomAdvice["method"]>(method: M) =>
  (question: SetUp) =>
    setBottom({ method, ...question }) as { rig: RigOf<M>; reasons: Message[] };
const jig =
  <M extends JigAdvice["method"]>(method: M) =>
  (question: SetUp) =>
    setJig({ method, ...question }) as { rig: RigOf<M>; reasons: Message[] };
const longerLeader = ({ leader }: BottomAdvice): Message[] => [message("try-longer-leader", { leader: 1.5 * leader })];

function otherHead({ ladder, head }: JigAdvice): Message[] {
  const at = ladder.findIndex(({ grams }) => grams === head.grams);
  const [lighter, heavier] = [ladder[at - 1], ladder[at + 1]];
  if (lighter?.touches) return [message("try-lighter-head", { grams: lighter.grams })];
  return heavier ? [message("try-heavier-head", { grams: heavier.grams })] : [];
}

/** Every method's rigging, once. */
const RECORDS: { readonly [M in Method]: Rigging<M> } = {
  float: {
    setUp: setUpFloat,
    behaviour: floatBehaviour,
    changes: ({ setting, deepenBy }) => [message("try-deeper", { setting: setting + deepenBy })],
  },
  drift: {
    setUp: bottom("drift"),
    behaviour: driftBehaviour,
    changes: (advice) => {
      if (advice.touchFraction <= TOUCHING.most) return [message("try-shot-more", { grams: advice.piece })];
      // With the lightest single shot there is none to take off: the bait is let farther from it.
      return advice.pieces > 1 ? [message("try-shot-less", { grams: advice.piece })] : longerLeader(advice);
    },
  },
  freeline: {
    setUp: bottom("freeline"),
    behaviour: driftBehaviour,
    changes: longerLeader,
  },
  sinker: {
    setUp: bottom("sinker"),
    behaviour: lyingBehaviour,
    changes: longerLeader,
  },
  "drop-shot": {
    setUp: bottom("drop-shot"),
    behaviour: lyingBehaviour,
    changes: longerLeader,
  },
  "dead-bait": {
    setUp: bottom("dead-bait"),
    behaviour: lyingBehaviour,
    changes: longerLeader,
  },
  jig: {
    setUp: jig("jig"),
    behaviour: jigBehaviour,
    changes: otherHead,
  },
  spoon: {
    setUp: jig("spoon"),
    behaviour: jigBehaviour,
    changes: otherHead,
  },
  plug: {
    setUp: ({ species, water, lure, line, leash: { distance, lineDiameter }, tackle }) =>
      setPlug({
        species,
        water,
        rod: line.rod,
        distance,
        lineDiameter,
        length: "length" in lure.size ? lure.size.length : USUAL.plug,
        tackle,
      }),
    behaviour: plugBehaviour,
    changes: ({ lineNeeded, touches }) =>
      lineNeeded !== null && !touches ? [message("try-longer-line", { line: lineNeeded })] : [],
  },
  spinner: {
    setUp: ({ fish, water, lure, leash: { distance, lineDiameter }, fishHeight, tackle }) => {
      const { blade, mass } = "blade" in lure.size ? lure.size : { blade: USUAL.blade, mass: lure.body.grams / 1000 };
      return setSpinner({
        water,
        zone: strikeZone(fish, water, "spinner"),
        grams: mass * 1000,
        blade,
        distance,
        fishDepth: water.depth - fishHeight,
        lineDiameter,
        tackle,
      });
    },
    behaviour: spinnerBehaviour,
    changes: ({ tip }) => [message("try-tip", { tip })],
  },
};

/** By method, for what may be any of them: an advice goes only to the rigging of its own method. */
export const RIGGING = RECORDS as unknown as Readonly<Record<Method, Rigging<Method>>>;
const riggingOf = ({ method }: RigAdvice): Rigging<Method> => RIGGING[method];

/** Of a rig as advised, in the water of a lie. */
export const behaviourOf = (options: BehaviourOptions): Behaviour =>
  riggingOf(options.advice).behaviour(options, options.advice);
