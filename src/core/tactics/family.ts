import type { Family } from "../fish/species-habits";
import type { Method } from "./lure-kinds";

/** Ways that a fish is fished for in rivers, the usual ones first. Common practice, no source. */
export const METHODS_FOR: Readonly<Record<Family, readonly Method[]>> = {
  trout: ["float", "drift", "jig", "spinner", "spoon", "plug"],
  run: ["float", "drift", "jig", "spoon", "spinner", "plug"],
  bass: ["jig", "drop-shot", "plug", "spinner", "drift", "float", "spoon"],
  striper: ["jig", "plug", "spoon", "dead-bait", "drift", "sinker"],
  walleye: ["jig", "drift", "sinker", "drop-shot", "plug", "spinner", "float", "dead-bait"],
  catfish: ["sinker", "dead-bait", "drift", "float", "jig"],
  panfish: ["float", "jig", "drop-shot", "spinner", "drift", "spoon"],
  coarse: ["float", "drift", "sinker", "jig", "spinner"],
};
