import type { Message } from "../quantity/message";
import type { LureChoice } from "../tactics/lure";
import type { Method } from "../tactics/methods";
import type { Retrieve } from "../tactics/retrieve-kinds";
import type { BottomMethod, BottomRig } from "./bottom";
import type { FloatMore } from "./float-advice";
import type { FloatRig, FloatTackle } from "./float";
import type { JigRig } from "./jig";
import type { PlugRig } from "./plug";
import type { SpinnerRig } from "./spinner";
import type { Strength } from "./strength";

interface Advised {
  lure: Pick<LureChoice, "category" | "size" | "colours" | "hookStyle" | "body" | "lasts"> & {
    /** The angler's own name for the bait. */ bait?: string;
  };
  line: Omit<Strength, "reasons" | "cautions">;
  /** What the hand does. */
  retrieveKind: Retrieve;
  /** What to change when nothing comes, small things first. */
  changes: Message[];
  reasons: Message[];
  cautions: Message[];
}
export type FloatAdvice = Advised &
  FloatRig &
  FloatMore & { method: "float"; capacity: number; leader: number; /** What hangs on the line. */ hung: FloatTackle };
export type BottomAdvice = Advised & BottomRig & { method: BottomMethod };
export type JigAdvice = Advised & Omit<JigRig, "falling"> & { method: "jig" | "spoon"; falling: JigRig["falling"] };
export type PlugAdvice = Advised & PlugRig & { method: "plug" };
export type SpinnerAdvice = Advised & SpinnerRig & { method: "spinner" };
/** A rig and a lure for one place in the water, with reasons. */
export type RigAdvice = FloatAdvice | BottomAdvice | JigAdvice | PlugAdvice | SpinnerAdvice;

/** The advice for a way of fishing. */
export type AdviceOf<M extends Method> = RigAdvice & { method: M };
