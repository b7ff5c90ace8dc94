/** A place on the reach, m. */
export interface Place {
  x: number;
  y: number;
}

/** A lie that moves less than this from one flow to another is the same lie, m. Common practice, no source. */
export const SAME_LIE = 3;

/** A lie, and the other places to hold in it. */
export interface Spread extends Place {
  others?: readonly Place[];
}

/** How far a lie is from a place: the nearest of the places to hold in it, m. */
const awayFrom = (lie: Spread, { x, y }: Place): number =>
  [lie, ...(lie.others ?? [])].reduce((least, one) => Math.min(least, Math.hypot(one.x - x, one.y - y)), Infinity);

/** The lie that is at a place, the nearest within reach; undefined where none is. */
export function lieAt<Lie extends Spread>(lies: readonly Lie[], place: Place, within = SAME_LIE): Lie | undefined {
  let best: { lie: Lie; distance: number } | undefined;
  for (const lie of lies) {
    const distance = awayFrom(lie, place);
    if (distance <= within && (!best || distance < best.distance)) best = { lie, distance };
  }
  return best?.lie;
}

/** The number of a lie and where it was seen last. */
export interface NumberedPlace extends Place {
  number: number;
}

export type Numbered<Lie> = Lie & { number: number };

/**
 * Numbers for lies that stay with their places: a lie takes the number of the known place that it is at, the nearest
 * pairs first; one that is new takes the next number. With nothing known the numbers are the ranks.
 * @returns the lies with their numbers, in their order, and the places now known
 */
export function numberLies<Lie extends Spread>(
  lies: readonly Lie[],
  known: readonly NumberedPlace[],
): { lies: Numbered<Lie>[]; known: NumberedPlace[] } {
  const pairs = lies
    .flatMap((lie, index) => known.map((place) => ({ index, place, distance: awayFrom(lie, place) })))
    .filter(({ distance }) => distance <= SAME_LIE)
    .sort((a, b) => a.distance - b.distance);
  const numbers = new Map<number, number>();
  const taken = new Set<number>();
  for (const { index, place } of pairs) {
    if (numbers.has(index) || taken.has(place.number)) continue;
    numbers.set(index, place.number);
    taken.add(place.number);
  }
  let next = known.reduce((most, { number }) => Math.max(most, number), 0);
  const numbered = lies.map((lie, index): Numbered<Lie> => ({ ...lie, number: numbers.get(index) ?? ++next }));
  const seen = numbered.map(({ x, y, number }): NumberedPlace => ({ x, y, number }));
  return { lies: numbered, known: [...known.filter(({ number }) => !taken.has(number)), ...seen] };
}
