import type { Timing } from "../core/tactics/time";
import { count } from "./text";

/** How long a place is given: "150 minutes, 3 baits". */
export const timingText = ({ minutes, casts, drill }: Pick<Timing, "minutes" | "casts" | "drill">): string =>
  `${minutes} minutes, ${count(casts, drill === "soak" ? "bait" : "cast")}`;
