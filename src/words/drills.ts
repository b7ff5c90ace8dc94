import type { FloatState, Question } from "../core/drills/questions";
import type { Marked } from "../core/drills/score-reading";
import type { Grade } from "../core/drills/waters";
import { figureText, showText, type UnitSystem } from "./quantity";

export const GRADE_NAMES: Record<Grade, string> = {
  1: "One stone in plain water",
  2: "A pool with two stones and a jam",
  3: "A bend",
  4: "A boulder garden",
  5: "Two channels and wood, water rising",
};

export const QUESTION_NAMES: Record<Question["kind"], string> = {
  float: "What the float shows",
  clarity: "How clear it is",
  sounder: "A shadow on the sounder",
};

const FLOAT_ANSWERS: Record<FloatState, string> = {
  off: "It’s off the bottom: go a float’s length deeper",
  dragging: "It drags: go a hand shallower, unless you want it to drag",
  rise: "The bottom rises there: keep the depth and lift over it",
};

/** What is asked. */
export function questionWords(question: Question, system: UnitSystem): string {
  switch (question.kind) {
    case "float":
      return question.dips
        ? "The float looks like this and dips in the same place on every drift. What is it?"
        : "The float runs like this, drift after drift. What is it?";
    case "clarity":
      return `An angler of ${showText(question.height, "depth", system)} wades in and loses sight of the bottom at the ${question.mark}. What do you call this clarity?`;
    case "sounder":
      return `Look at the shadow first, then the mark. The transducer is ${showText(question.above, "depth", system)} above the bottom, the mark is ${showText(question.range, "depth", system)} away, and its shadow is ${showText(question.shadow, "depth", system)} long. How high off the bottom does it reach?`;
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
      return `Set at ${showText(question.setting, "depth", system)} over ${showText(question.depth, "depth", system)} of water. Upright or tipped upstream: it is off the bottom. Tipped downstream: it drags. Dipping in one place each time: it hits the bottom there.`;
    case "clarity":
      return "By body marks: muddy below the shin, coloured to just over the knee, green to just over the waist, clear to twice that. Your height sets the marks.";
    case "sounder":
      return "Height ÷ transducer height = shadow ÷ (range + shadow). A shadow that starts away from its mark is a fish off the bottom.";
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
      return `Same lie as an earlier mark: it counts once.`;
    case "good":
      return `Good water, but no lie: ${water}, ${better}.${near} ${points} points.`;
    case "dry":
      return `That’s dry ground.${near}`;
    case "thin":
      return `Too shallow: ${water}.${near}`;
    case "fast":
      return `Too fast to hold in: ${water}.${near}`;
    case "still":
      return `Still water brings no food; ${water}.${near}`;
    case "poor":
      return `Little food and little shelter: ${water}, ${better}.${near}`;
  }
}
