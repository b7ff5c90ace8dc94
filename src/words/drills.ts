import type { FloatState, Question } from "../core/drills/questions";
import type { Marked } from "../core/drills/score-reading";
import type { Grade } from "../core/drills/waters";
import { figureText, showText, type UnitSystem } from "./quantity";

export const GRADE_NAMES: Record<Grade, string> = {
  1: "One stone in plain water",
  2: "A pool with two stones and a jam",
  3: "A bend",
  4: "A garden of stones",
  5: "Two channels and a mess, at rising water",
};

export const QUESTION_NAMES: Record<Question["kind"], string> = {
  float: "What the float shows",
  clarity: "How clear it is",
  sounder: "A shadow on the sounder",
};

export const FLOAT_ANSWERS: Record<FloatState, string> = {
  off: "Off the bottom: deepen by a float’s length",
  dragging: "It drags: a hand shallower, unless dragging is wanted",
  rise: "The bottom rises there: leave the depth, lift over it",
};

/** What is asked. */
export function questionWords(question: Question, system: UnitSystem): string {
  switch (question.kind) {
    case "float":
      return question.dips
        ? "The float stands so, and on every drift it dips in the same place. What is it?"
        : "The float runs like this, drift after drift. What is it?";
    case "clarity":
      return `An angler of ${showText(question.height, "depth", system)} wades in, and loses sight of the bed at the ${question.mark}. What is the water called?`;
    case "sounder":
      return `Look at the shadow first, then at the mark. The transducer is ${showText(question.above, "depth", system)} over the bed, the mark ${showText(question.range, "depth", system)} away along it, and its shadow ${showText(question.shadow, "depth", system)} long. How high over the bed does it reach?`;
  }
}

export function optionWords(question: Question, index: number, system: UnitSystem): string {
  switch (question.kind) {
    case "float":
      return FLOAT_ANSWERS[question.options[index]!];
    case "clarity":
      return question.options[index]!;
    case "sounder":
      return showText(question.options[index]!, "depth", system);
  }
}

/** Why the right answer is right. */
export function answerWords(question: Question, system: UnitSystem): string {
  switch (question.kind) {
    case "float":
      return `Set at ${showText(question.setting, "depth", system)} over ${showText(question.depth, "depth", system)} of water. Upright or tipped up-current it is off the bottom; tipped down-current it drags; dipping in one place each time it meets the bottom there.`;
    case "clarity":
      return "By body marks: muddy under the shin, coloured to the knee and a little over, green to the waist and a little over, clear to twice that. The marks go with your height.";
    case "sounder":
      return "The mark alone does not say whether it lies on the bed. Two triangles are alike: height is to the transducer’s height as the shadow is to range and shadow together. A shadow that begins away from its mark is a fish off the bottom.";
  }
}

/** Why a mark on the water is as good as it is. */
export function markWords({ is, lie, distance, depth, speed, percentile, points }: Marked, system: UnitSystem): string {
  const water = `${showText(depth, "depth", system)} deep, ${showText(speed, "speed", system)}`;
  const better = `better than ${figureText(100 * percentile, 0)} % of the water`;
  const near = lie === null || distance === null ? "" : ` Lie ${lie} is ${showText(distance, "distance", system)} off.`;
  switch (is) {
    case "lie":
      return `On lie ${lie}: ${water}. ${points} points.`;
    case "near":
      return `Close: ${water}, ${better}.${near} ${points} points.`;
    case "again":
      return `On the same lie as a mark before: it counts once.`;
    case "good":
      return `Good water without a lie: ${water}, ${better}.${near} ${points} points.`;
    case "dry":
      return `That is dry ground.${near}`;
    case "thin":
      return `Too thin: ${water}.${near}`;
    case "fast":
      return `Too fast to hold in: ${water}.${near}`;
    case "still":
      return `Still water: nothing is brought there; ${water}.${near}`;
    case "poor":
      return `Neither food nor shelter to speak of: ${water}, ${better}.${near}`;
  }
}
