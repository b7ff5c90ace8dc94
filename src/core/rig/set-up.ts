import type { Light } from "../gauge/light";
import type { Species } from "../fish/species-schema";
import type { Message } from "../quantity/message";
import type { LureChoice } from "../tactics/lure";
import type { Purpose } from "../tactics/purpose";
import { castLength } from "./cast-length";
import { type CastRoom, castRoom } from "./choose-weight";
import type { Leash } from "./line-pull";
import type { RigAsked } from "./request";
import type { Strength } from "./strength";

/** What every method is set up from. */
export interface SetUp {
  /** Of the fish that ships, whose habits hold. */
  species: string;
  fish: Species;
  water: RigAsked["water"] & { light: Light };
  lure: LureChoice;
  line: Pick<Strength, "main" | "rod" | "hook">;
  leash: Leash;
  /** What the weight is for, and why; of methods that fish none, what is usual. */
  purpose: { purpose: Purpose; why: Message };
  /** Height of the fish over the bed, m. */
  fishHeight: number;
  tackle: RigAsked["tackle"];
  style: RigAsked["style"];
}

/** What a cast of so much, g in all, leaves a weight to get down in. */
export const roomFor = ({ line, leash }: Pick<SetUp, "line" | "leash">, grams: number): CastRoom =>
  castRoom(castLength(grams, line.rod, leash.lineDiameter), leash.distance);
