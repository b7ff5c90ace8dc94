import type { StationRecord } from "../../core/book/records";
import { choicesOf } from "../../words/text";

/** What stands for no choice in a list. */
export const NONE = "none";

/** The gauges that a reach may go by, and none. */
export const gaugeChoices = (stations: readonly StationRecord[]) => [
  { value: NONE, label: "No gauge" },
  ...choicesOf(
    stations,
    (one) => one.id,
    (one) => one.name,
  ),
];
