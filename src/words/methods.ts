import type { AdviceOf, BottomAdvice, JigAdvice, RigAdvice } from "../core/rig/advice";
import type { Way } from "../core/rig/ways";
import type { Method } from "../core/tactics/methods";
import type { Retrieve } from "../core/tactics/retrieve-kinds";
import { messageText } from "./messages";
import { RETRIEVE_SENTENCES } from "./retrieve-sentences";
import { RETRIEVE_NAMES } from "./retrieves";
import { figureText, show, showText, type UnitSystem } from "./quantity";
import { count } from "./text";
import { piecesText, weightParts, weightText } from "./weight";

/** The figure of a card that is read at arm's length. */
interface CardFigure {
  label: string;
  figure: string;
  unit: string;
}

type Cast = Pick<Way["cast"], "mends">;
type School = Way["school"];

/** How a method is spoken of. */
interface MethodWords<M extends Method> {
  name: string;
  /** How it is set, in short: for the table of methods. */
  set: (advice: AdviceOf<M>, school: School, system: UnitSystem) => string;
  /** What the hand does once it has landed: a sentence for the card, a few words for the table. */
  hand: (advice: AdviceOf<M>, cast: Cast, school: School) => { sentence: string; short: string };
  figure: (advice: AdviceOf<M>, system: UnitSystem) => CardFigure;
  /** The sentences beside the figure. */
  beside: (advice: AdviceOf<M>, system: UnitSystem) => string[];
  /** Where the bait is in the side view. */
  pictured: (advice: AdviceOf<M>, system: UnitSystem) => string;
}

const deep = (metres: number, system: UnitSystem) => showText(metres, "depth", system);

/** Codes of the reasons that go with the figure. */
const BESIDE = [
  "hold-back",
  "run-free",
  "bait-leads",
  "bait-trails",
  "bait-under",
  "weight-touch",
  "weight-down",
  "weight-hold",
  "weight-slow",
  "weight-more",
  "weight-felt",
  "weight-less",
  "bait-floats",
  "drop-shot-hook",
  "weight-sink",
  "plug-touches",
  "plug-short",
  "plug-with",
  "plug-against",
  "plug-reel",
  "spinner-tip",
  "spinner-bottom",
];
const reasonsBeside = ({ reasons }: RigAdvice, system: UnitSystem): string[] =>
  reasons
    .filter(({ code }) => BESIDE.includes(code))
    .slice(0, 2)
    .map((one) => messageText(one, system));

/** A retrieve other than the method's own is told besides. */
const besides = (sentence: string, own: Retrieve, done: Retrieve): string =>
  done === own ? sentence : `${sentence} ${RETRIEVE_SENTENCES[done]}`;
const mended = ({ mends }: Cast, retrieve: Retrieve, held = "") => ({
  sentence: besides(mends === 0 ? "No mend." : `Mend ${count(mends, "time")}.`, "dead-drift", retrieve),
  short: `${held}${mends === 0 ? "no mend" : count(mends, "mend")}`,
});
const turning = (turns: number, still: string, retrieve: Retrieve) => ({
  sentence: besides(turns < 0.05 ? still : `${figureText(turns, 1)} turns a second.`, "steady", retrieve),
  short: turns < 0.05 ? "hold it" : `${figureText(turns, 1)} turns a second`,
});
/** Spinners are worked upstream from below, and down and across from above. */
const side = (school: School) => (school === "from-below" ? "up" : "down");

/** A weight that lies on the bottom. */
const lying = (name: string, label: string): MethodWords<"sinker" | "drop-shot" | "dead-bait"> => ({
  name,
  set: (advice, _, system) => weightText(advice.grams, system),
  hand: ({ holds, retrieveKind }) => ({
    sentence: RETRIEVE_SENTENCES[retrieveKind],
    short: retrieveKind !== "hold" ? RETRIEVE_NAMES[retrieveKind] : holds ? "leave it in place" : "it rolls",
  }),
  figure: (advice, system) => ({ label, ...weightParts(advice.grams, system) }),
  beside: reasonsBeside,
  pictured: bottomPictured(name),
});

/** A head or a spoon that is let down and lifted. */
const lifted = (name: string, label: string): MethodWords<"jig" | "spoon"> => ({
  name,
  set: ({ head, countdown }, _, system) => `${weightText(head.grams, system)}, count ${figureText(countdown, 0)}`,
  hand: ({ retrieveKind }) => ({
    sentence: `Let it sink. ${RETRIEVE_SENTENCES[retrieveKind]}`,
    short: RETRIEVE_NAMES[retrieveKind],
  }),
  figure: ({ head, countdown }: JigAdvice, system) => {
    const { figure, unit } = weightParts(head.grams, system);
    return { label: `${label}, ${head.metal}`, figure, unit: `${unit}, count ${figureText(countdown, 0)}` };
  },
  beside: reasonsBeside,
  pictured: ({ swept }, system) => `${name.toLowerCase()} drifts ${showText(swept, "distance", system)} while it sinks`,
});

function bottomPictured(name: string) {
  return ({ baitHeight }: BottomAdvice, system: UnitSystem): string =>
    `${name.toLowerCase()}, bait ${deep(baitHeight, system)} off the bottom`;
}

/** Every method's words, once. */
const RECORDS: { readonly [M in Method]: MethodWords<M> } = {
  float: {
    name: "Float",
    set: ({ setting, holdBack }, _, system) =>
      `${deep(setting, system)}, ${holdBack > 0 ? `held back ${figureText(100 * holdBack, 0)} %` : "running free"}`,
    hand: ({ holdBack, retrieveKind }, cast) => mended(cast, retrieveKind, holdBack > 0 ? "hold back, " : ""),
    figure: ({ setting, sliding }, system) => ({
      label: `Float to lowest shot${sliding ? ", sliding, with a stop" : ""}`,
      ...show(setting, "depth", system),
    }),
    beside: ({ holdBack, lead, baitHeight }, system) => {
      const pace = `${figureText(100 * (1 - holdBack), 0)} % of the surface speed`;
      const off = Math.abs(lead);
      return [
        `${holdBack > 0 ? `Hold back to ${pace}` : "Let it run free"}: the bait ${
          off < 0.02 ? "runs under the float" : `${lead > 0 ? "leads" : "trails"} by ${deep(off, system)}`
        }, ${deep(baitHeight, system)} off the bottom.`,
      ];
    },
    pictured: ({ setting, baitHeight }, system) =>
      `float set ${deep(setting, system)} to the lowest shot, bait ${deep(baitHeight, system)} off the bottom`,
  },
  drift: {
    name: "Bottom drift",
    set: (advice, _, system) =>
      `${piecesText(advice, system)}, ${showText(advice.hookDistance, "smallLength", system)} up`,
    hand: ({ retrieveKind }, cast) => mended(cast, retrieveKind),
    figure: ({ pieces, piece, size }, system) => ({
      label: "Shot above the hook",
      figure: `${pieces} ×`,
      unit: weightText(piece, system, size),
    }),
    beside: reasonsBeside,
    pictured: bottomPictured("Bottom drift"),
  },
  freeline: {
    name: "Freeline",
    set: ({ leader }, _, system) => `no weight, ${showText(leader, "depth", system)} leader`,
    hand: ({ retrieveKind }, cast) => mended(cast, retrieveKind),
    figure: () => ({ label: "On the line", figure: "no weight", unit: "" }),
    beside: reasonsBeside,
    pictured: bottomPictured("Freeline"),
  },
  sinker: lying("Sliding sinker", "Holding sinker"),
  "drop-shot": lying("Drop shot", "Weight under the hook"),
  "dead-bait": lying("Dead bait", "Head for the bait"),
  jig: lifted("Jig", "Head"),
  spoon: lifted("Spoon", "Spoon"),
  plug: {
    name: "Plug",
    set: ({ lineOut, touches }, _, system) =>
      `${showText(lineOut, "distance", system)} of line${touches ? "" : ", off the bottom"}`,
    hand: ({ turns, retrieveKind }) => turning(turns, `${figureText(turns, 1)} turns a second.`, retrieveKind),
    figure: ({ lineOut }, system) => ({ label: "Line out at the fish", ...show(lineOut, "distance", system) }),
    beside: reasonsBeside,
    pictured: ({ depthReached }, system) => `plug ${deep(depthReached, system)} down`,
  },
  spinner: {
    name: "Spinner",
    set: (advice, school) => {
      const { turns } = advice[side(school)];
      return turns < 0.05 ? "held" : `${figureText(turns, 1)} turns a second`;
    },
    hand: (advice, _, school) =>
      turning(advice[side(school)].turns, "Hold it and let it swing round.", advice.retrieveKind),
    figure: (advice) => {
      const { turns } = advice[advice.advice];
      if (turns < 0.05) return { label: "Down and across", figure: "hold", unit: "the current turns it" };
      const label = advice.advice === "up" ? "Cast upstream" : "Down and across";
      return { label, figure: figureText(turns, 1), unit: "turns a second" };
    },
    beside: reasonsBeside,
    pictured: ({ tip, depthTipLow, depthTipHigh }, system) =>
      `spinner ${deep(tip === "low" ? depthTipLow : depthTipHigh, system)} down`,
  },
};

/** By method, for what may be any of them: an advice goes only to the words of its own method. */
const WORDS = RECORDS as unknown as Readonly<Record<Method, MethodWords<Method>>>;
export const methodWords = ({ method }: RigAdvice): MethodWords<Method> => WORDS[method];
export const methodName = (method: Method): string => WORDS[method].name;

/** What a way is called: spinners by the side that they are worked from. */
export const wayName = ({ method, school }: Pick<Way, "method" | "school">): string =>
  method === "spinner" ? `Spinner, ${side(school)}` : methodName(method);

/** How a way is set, in short. */
export const setWords = ({ advice, school }: Pick<Way, "advice" | "school">, system: UnitSystem): string =>
  methodWords(advice).set(advice, school, system);
