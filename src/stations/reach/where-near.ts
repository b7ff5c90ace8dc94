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

/**
 * Where something that is moved about on the plan stands: how far down the reach, so that each step is told, and off
 * which bank. Told many times a second: only its own row across the river is looked at.
 */
export function whereOnPlan(field: Field, [x, y]: readonly [number, number], system: UnitSystem): string {
  const { nx, ny, cell, depth } = field;
  const i = Math.min(nx - 1, Math.max(0, Math.floor(x / cell)));
  let [first, last] = [-1, -1];
  for (let j = 0; j < ny; j++)
    if (depth[j * nx + i]! > 0) {
      if (first < 0) first = j;
      last = j;
    }
  const text = (value: number) => showText(value, "distance", system);
  const along = `${text(x)} down the reach`;
  if (first < 0) return along;
  const [left, right] = [y - first * cell, (last + 1) * cell - y];
  const side = left <= right ? "left" : "right";
  const off = Math.min(left, right);
  return `${along}, ${off <= 0 ? `on the ${side} bank` : `${text(off)} off the ${side} bank`}`;
}
