import type { Species } from "../core/fish/species-schema";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach-schema";
import type { RigAdvice } from "../core/rig/advice";
import { type Angler, type Approach, approachLie, approachRequest, positionOf } from "./approach";
import type { Conditions } from "./conditions";
import { livingFish, type LivingFish, type SeasonChoice } from "./fish";
import { type ReachReading, readingRequest } from "./reading";
import { readReach } from "./read";
import { adviseRig } from "../core/rig/advise";
import { type OwnTackle, rigRequest } from "./rig";
import { type Ways, waysOf } from "./ways";
import { waysRequest } from "./ways-request";

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
  ways: Ways | null;
  /** Of the first way; of a float where no cast can be made. */
  rig: RigAdvice | null;
}

/**
 * The one way from conditions to the card: a solved field (field.ts) is read for the fish as it lives then, and for the
 * first lie it is worked out where to stand, which ways there are to fish it, and what to tie on. The screens run the
 * same stages one by one, each under its key.
 */
export function runScenario(field: Field, input: ScenarioInput): Scenario {
  const { reach, conditions, species, season, angler, tackle, leave } = input;
  const position = positionOf(reach);
  const fish = livingFish(species, season, conditions, position?.latitude);
  const request = readingRequest(fish.species, conditions, reach.features);
  const reading = readReach(field, request);
  const [lie] = reading.lies;
  if (!lie) return { fish, reading, approach: null, ways: null, rig: null };
  const about = { lie, reading: request, base: species.id };
  const asked = approachRequest(reach, { ...about, angler, leave, at: conditions.at, place: position });
  const approach = approachLie(field, reading, asked);
  const phase = fish.way?.phase;
  const ways = waysOf(
    field,
    reading,
    waysRequest(approach, {
      ...about,
      conditions,
      phase,
      school: "from-below",
      own: tackle,
      liked: [],
      style: angler.style,
    }),
  );
  const alone = () =>
    adviseRig(
      rigRequest(field, lie, conditions, species.id, { method: "float", phase, features: reach.features }, tackle),
    );
  return { fish, reading, approach, ways, rig: ways.ways[0]?.advice ?? alone() };
}
