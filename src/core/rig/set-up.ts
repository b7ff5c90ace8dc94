import type { Light } from "../gauge/light";
import type { Species } from "../fish/species-schema";
import type { LureChoice } from "../tactics/lure";
import type { Leash } from "./contact";
import type { RigAsked } from "./request";
import type { Strength } from "./strength";

/** What every method is set up from. */
export interface SetUp {
  /** Of the fish that ships, whose habits hold. */
  species: string;
  fish: Species;
  water: RigAsked["water"] & { light: Light };
  lure: LureChoice;
  line: Strength;
  leash: Leash;
  /** Height of the fish over the bed, m. */
  fishHeight: number;
  tackle: RigAsked["tackle"];
  style: RigAsked["style"];
}
