import { type Surroundings, surroundingsOf, whereaboutsOf } from "../../core/fish/lie-place";
import type { Field } from "../../core/flow/grid";
import type { Feature } from "../../core/flow/reach-schema";
import { whereaboutsWords } from "../../words/place";
import { showText, type UnitSystem } from "../../words/quantity";

/** Worked out once for a field, when a place of it is first told. */
const known = new WeakMap<Field, { features: readonly Feature[]; around: Omit<Surroundings, "structure"> }>();

function around(field: Field, features: readonly Feature[]): Omit<Surroundings, "structure"> {
  const before = known.get(field);
  if (before && before.features === features) return before.around;
  const fresh = surroundingsOf(field, features);
  known.set(field, { features, around: fresh });
  return fresh;
}

/** Where a place is, m, by what can be seen from the bank; down the reach where nothing is near. */
export function whereNear(
  field: Field,
  features: readonly Feature[],
  [x, y]: readonly [number, number],
  system: UnitSystem,
): string {
  const words = whereaboutsWords(whereaboutsOf(around(field, features), x, y), system);
  return words === "" ? `${showText(x, "distance", system)} down the reach` : words;
}

/** The same for what is moved about on the plan: how far down the reach, too, so that each step is told. */
export const whereOnPlan = (
  field: Field,
  features: readonly Feature[],
  place: readonly [number, number],
  system: UnitSystem,
): string => {
  const along = `${showText(place[0], "distance", system)} down the reach`;
  const near = whereNear(field, features, place, system);
  return near === along ? along : `${along}, ${near}`;
};
