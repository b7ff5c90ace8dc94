import type { Timing } from "../core/tactics/time";
import { addWords } from "./messages";
import { TIMING } from "./messages/timing";
import { count } from "./text";

addWords(TIMING);

/** How long a place is given: "150 minutes, 3 baits". */
export const timingText = ({ minutes, casts, drill }: Pick<Timing, "minutes" | "casts" | "drill">): string =>
  `${minutes} minutes, ${count(casts, drill === "soak" ? "bait" : "cast")}`;
