import { BODY_MARKS, type BodyMark, CLARITY_CLASSES, clarityClass, MARKED_HEIGHT } from "../gauge/clarity";
import { COMMON_PRACTICE, sourced } from "../quantity/provenance";

/** Short drills: a picture or a figure, a few answers, one of them right by the rule that the program itself uses. */
export const QUESTIONS = ["float", "clarity", "sounder"] as const;
export type QuestionKind = (typeof QUESTIONS)[number];

/** What a float shows: upright or tipped up-current off the bottom, down-current dragging, dipping in one place. */
export type FloatState = "off" | "dragging" | "rise";

export type Question =
  | {
      kind: "float";
      /** Degrees that it is tipped, down-current positive. */
      lean: number;
      /** It dips in the same place on each drift. */
      dips: boolean;
      depth: number;
      setting: number;
      options: FloatState[];
      answer: number;
    }
  | {
      kind: "clarity";
      mark: BodyMark;
      /** Of the angler, m. */
      height: number;
      options: string[];
      answer: number;
    }
  | {
      kind: "sounder";
      /** Height of the transducer over the bed, distance to the mark, and length of its shadow, m. */
      above: number;
      range: number;
      shadow: number;
      options: number[];
      answer: number;
    };

/** Set so much deeper than the water a float drags; so much shallower its bait is off the bottom, m. */
const DRAGS = sourced(0.08, "m", COMMON_PRACTICE);

/**
 * Height of a thing over the bed from the shadow that it throws on a sounder's side picture: the ray over its top meets
 * the bed at the shadow's end, and two triangles are alike. Its mark alone says where it is, not whether it is on the
 * bed.
 */
export const heightFromShadow = (above: number, range: number, shadow: number): number =>
  (above * shadow) / (range + shadow);

/** A question of a kind. @param random uniform on 0..1, seeded by who asks */
export function question(kind: QuestionKind, random: () => number): Question {
  const between = (low: number, high: number) => low + (high - low) * random();
  const round = (value: number, step: number) => Math.round(value / step) * step;
  switch (kind) {
    case "float": {
      const depth = round(between(0.6, 2), 0.1);
      const states: FloatState[] = ["off", "dragging", "rise"];
      const state = states[Math.floor(3 * random())]!;
      const apart = between(DRAGS.value, 0.35);
      const setting = state === "dragging" ? depth + apart : depth - apart;
      const lean = state === "dragging" ? between(14, 32) : between(-14, 2);
      return { kind, lean, dips: state === "rise", depth, setting, options: states, answer: states.indexOf(state) };
    }
    case "clarity": {
      const { name: mark, depth } = BODY_MARKS.value[Math.floor(BODY_MARKS.value.length * random())]!;
      const height = round(between(1.55, 1.95), 0.05);
      const options = CLARITY_CLASSES.value.map(({ name }) => name as string);
      return { kind, mark, height, options, answer: options.indexOf(clarityClass((depth * height) / MARKED_HEIGHT)) };
    }
    case "sounder": {
      const [above, range, shadow] = [
        round(between(2, 6), 0.5),
        round(between(3, 10), 0.5),
        round(between(0.5, 6), 0.5),
      ];
      const height = heightFromShadow(above, range, shadow);
      const others = [height / 2.2, height * 1.8].map((value) => Math.min(value, above));
      const options = [height, ...others].map((value) => Number(value.toFixed(1))).sort((a, b) => a - b);
      return { kind, above, range, shadow, options, answer: options.indexOf(Number(height.toFixed(1))) };
    }
  }
}
