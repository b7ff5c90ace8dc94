import type { Species } from "../core/fish/species-schema";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach-schema";
import type { RigAdvice } from "../core/rig/advise";
import { type Angler, type Approach, type ApproachRequest, approachLie, positionOf, sunFor } from "./approach";
import type { Conditions } from "./conditions";
import { livingFish, type LivingFish, type SeasonChoice } from "./fish";
import { type ReachReading, readingRequest } from "./reading";
import { readReach } from "./read";
import { type OwnTackle, rigFor, rigRequest } from "./rig";

/** Everything that the answer hangs on. */
export interface ScenarioInput {
  reach: Reach;
  conditions: Conditions;
  species: Species;
  season: SeasonChoice;
  angler: Angler;
  tackle: OwnTackle;
  /** The river is told to be left. */
  leave: boolean;
}

export interface Scenario {
  fish: LivingFish;
  reading: ReachReading;
  /** For the first lie; null where there is none. */
  approach: Approach | null;
  rig: RigAdvice | null;
}

/**
 * The one way from conditions to the card: a solved field (field.ts) is read for the fish as it lives then, and for the
 * first lie it is worked out where to stand and what to tie on. The screens run the same stages one by one, each under
 * its key.
 */
export function runScenario(field: Field, input: ScenarioInput): Scenario {
  const { reach, conditions, species, season, angler, tackle, leave } = input;
  const position = positionOf(reach);
  const fish = livingFish(species, season, conditions, position?.latitude);
  const request = readingRequest(fish.species, conditions, reach.features);
  const reading = readReach(field, request);
  const [lie] = reading.lies;
  if (!lie) return { fish, reading, approach: null, rig: null };
  const approach: ApproachRequest = {
    lie,
    reading: request,
    angler,
    base: species.id,
    sun: sunFor(conditions, position, reach.bearing),
    leave,
  };
  return {
    fish,
    reading,
    approach: approachLie(field, reading, approach),
    rig: rigFor(rigRequest(field, lie, conditions, species.id, tackle)),
  };
}
