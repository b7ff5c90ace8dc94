import { type Message, message } from "../quantity/message";
import type { Presentation, Purpose } from "../tactics/purpose";
import type { Fit, Step } from "./choose-weight";

interface Chosen {
  ladder: readonly (Step & { pieces?: number; piece?: number; size?: string | null })[];
  purpose: Purpose;
  presentation: Presentation;
  fit: Fit;
}

/** Sizes nearer to each other than this are one to the hand. Common practice, no source. */
const APART = 1.1;

const named = ({ grams, pieces = 1, piece = grams, size }: Chosen["ladder"][number]) => ({
  grams,
  pieces,
  piece,
  ...(size != null && { size }),
});

/** Why this size: what it is for, what it does in this water, and what the ones beside it would do. */
export function weightReasons(
  { why }: { why: Message },
  { ladder, purpose, presentation, fit }: Chosen,
  at: number,
): Message[] {
  const step = ladder[at]!;
  const { touch, seconds, swept, angle, reaches } = step;
  const figures = { ...named(step), touch, seconds, swept, angle, vertical: presentation === "vertical" };
  const beside = (other: Chosen["ladder"][number] | undefined, which: "lighter" | "heavier"): Message[] =>
    other
      ? [
          message("weight-beside", {
            ...named(other),
            which,
            touch: other.touch,
            seconds: other.seconds,
            swept: other.swept,
            angle: other.angle,
            holds: other.holds,
            reaches: other.reaches,
            vertical: presentation === "vertical",
            purpose,
          }),
        ]
      : [];
  return [
    message(fit === "serves" ? `weight-${purpose}` : `weight-${fit}`, { ...figures, purpose, reaches }),
    why,
    ...(presentation === "vertical" ? [] : [message("weight-sink", { seconds, swept })]),
    ...beside(
      ladder.findLast(({ grams }) => grams < step.grams / APART),
      "lighter",
    ),
    ...beside(
      ladder.find(({ grams }) => grams > step.grams * APART),
      "heavier",
    ),
  ];
}
