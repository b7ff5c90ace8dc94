import type { Species } from "../fish/species-schema";
import { InputError } from "../quantity/fault";
import { type Message, message } from "../quantity/message";
import { canHide, isLure } from "../tactics/lure";
import { isWeighted, METHOD } from "../tactics/methods";
import type { RigAdvice } from "./advice";
import { adviseFor, parseRigRequest } from "./advise";
import { type Choice, CHOICES } from "./choice-names";
import type { RigAsked } from "./request";
import { shotMass } from "./shot";
import { TAKING } from "./with-choices";

/** What one answer to a quarrel would make of the rig. */
interface Answer {
  value: string;
  /** As it is fished now. */
  chosen: boolean;
  figures: Message[];
}

interface Quarrel {
  applies: (asked: RigAsked, advice: RigAdvice) => boolean;
  /** What it is now. */
  now: (advice: RigAdvice, asked: RigAsked) => string | undefined;
  figures: (advice: RigAdvice) => Message[];
}

const weighted = ({ method }: RigAsked) => isWeighted(method);

/** The weight that is fished, g, with its contact and its fall. */
function weightFigures(advice: RigAdvice): Message[] {
  if ("hung" in advice) return [message("choice-shot", { grams: shotMass(advice.shot) })];
  const [grams, touch] =
    "head" in advice
      ? [advice.head.grams, advice.touch]
      : "pieces" in advice
        ? [advice.grams, advice.touchFraction]
        : [undefined, undefined];
  return grams === undefined || !("seconds" in advice)
    ? []
    : [message("choice-weight", { grams, touch, seconds: advice.seconds, swept: advice.swept })];
}

const QUARRELS: { readonly [K in Choice]: Quarrel } = {
  purpose: {
    applies: weighted,
    now: (advice) => ("purpose" in advice ? advice.purpose : undefined),
    figures: weightFigures,
  },
  presentation: {
    applies: weighted,
    now: (advice) => ("presentation" in advice ? advice.presentation : undefined),
    figures: weightFigures,
  },
  leader: {
    applies: ({ tackle }) => tackle.leaderTest === undefined,
    now: ({ line }) => line.school,
    figures: ({ line: { leader, pull, drag } }) => [
      message("choice-leader", { test: leader.test, diameter: leader.diameter, pull, drag }),
    ],
  },
  floatLine: {
    applies: ({ method, tackle }) => method === "float" && tackle.lineMaterial === undefined,
    now: ({ line }) => line.main.material,
    figures: (advice) =>
      "hung" in advice
        ? [
            message("choice-float", {
              diameter: advice.line.main.diameter,
              holdBack: advice.holdBack,
              lead: advice.lead,
              baitHeight: advice.baitHeight,
            }),
          ]
        : [],
  },
  countJig: {
    applies: ({ method }, { lure }) => method === "float" && "head" in lure.size,
    now: (_, { style: { countJig } }) => (countJig === undefined ? undefined : countJig ? "yes" : "no"),
    figures: (advice) =>
      "hung" in advice ? [message("choice-setting", { setting: advice.setting, baitHeight: advice.baitHeight })] : [],
  },
  bait: {
    applies: (_, { lure }) => !isLure(lure.category),
    now: (_, asked) => asked.tackle.bait?.kind,
    figures: (advice) => [
      ...("hook" in advice.lure.size ? [message("choice-hook", { hook: advice.lure.size.hook })] : []),
      ...weightFigures(advice),
    ],
  },
  retrieve: {
    applies: ({ method }) => METHOD[method].retrieves.length > 1,
    now: ({ retrieveKind }) => retrieveKind,
    figures: ({ reasons }) => reasons.filter(({ code }) => code.startsWith("retrieve-")),
  },
  hook: {
    applies: (_, { lure }) => canHide(lure.category),
    now: ({ lure }) => lure.hookStyle,
    figures: ({ lure }) => [message(`choice-hook-${lure.hookStyle}`)],
  },
};

/** What can be chosen of a rig, and what each answer makes of it: the same rig worked out with each in turn. */
export function choicesFor(asked: RigAsked, species: Species): { choice: Choice; answers: Answer[] }[] {
  const advice = adviseFor(asked, species);
  return CHOICES.filter((one) => QUARRELS[one].applies(asked, advice)).map((choice) => {
    const { now, figures } = QUARRELS[choice];
    const { values, take } = TAKING[choice];
    const chosen = now(advice, asked);
    return {
      choice,
      answers: values(asked).flatMap((value): Answer[] => {
        try {
          const taken = adviseFor(parseRigRequest(take(asked, value)), species);
          return [{ value, chosen: value === chosen, figures: figures(taken) }];
        } catch (error) {
          // What cannot be rigged at all is no answer.
          if (error instanceof InputError) return [];
          throw error;
        }
      }),
    };
  });
}
