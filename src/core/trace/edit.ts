import type { Place } from "./channel";
import type { Drawing } from "./drawing";
import { georeferenceOf, planeAbout, type Scale } from "./georeference";
import { type Mark, markKind, type MarkName, type Measure, MOST_MARKS, MOST_PLACES } from "./marks";

/** Steps of drawing, each a new drawing; one that would make no drawing leaves it as it was. */

const inSheet = ({ sheet }: Drawing, [x, y]: Place): [number, number] => [
  Math.min(sheet.width, Math.max(0, x)),
  Math.min(sheet.height, Math.max(0, y)),
];

const changed = (drawing: Drawing, id: string, by: (mark: Mark) => Mark): Drawing => ({
  ...drawing,
  marks: drawing.marks.map((one) => (one.id === id ? by(one) : one)),
});

/** Begins a mark; of a kind that is drawn once, the one before goes. */
export function addMark(drawing: Drawing, kind: MarkName, id: string, at: Place): Drawing {
  const others = markKind(kind).single ? drawing.marks.filter((one) => one.kind !== kind) : drawing.marks;
  if (others.length >= MOST_MARKS) return drawing;
  return { ...drawing, marks: [...others, { id, kind, places: [inSheet(drawing, at)] }] };
}

export const addPlace = (drawing: Drawing, id: string, at: Place): Drawing =>
  changed(drawing, id, (mark) =>
    mark.places.length >= MOST_PLACES ? mark : { ...mark, places: [...mark.places, inSheet(drawing, at)] },
  );

export const movePlace = (drawing: Drawing, id: string, index: number, to: Place): Drawing =>
  changed(drawing, id, (mark) => ({
    ...mark,
    places: mark.places.map((one, k) => (k === index ? inSheet(drawing, to) : one)),
  }));

/** Takes a place out; a mark that has too few left goes. */
export function removePlace(drawing: Drawing, id: string, index: number): Drawing {
  const next = changed(drawing, id, (mark) => ({ ...mark, places: mark.places.filter((_, k) => k !== index) }));
  return { ...next, marks: next.marks.filter((one) => one.places.length > 0) };
}

export const removeMark = (drawing: Drawing, id: string): Drawing => ({
  ...drawing,
  marks: drawing.marks.filter((one) => one.id !== id),
});

export const nameMark = (drawing: Drawing, id: string, name: string): Drawing =>
  changed(drawing, id, ({ name: _, ...mark }) => (name === "" ? mark : { ...mark, name: name.slice(0, 60) }));

export const measureMark = (drawing: Drawing, id: string, measure: Measure, value: number): Drawing =>
  changed(drawing, id, (mark) => ({ ...mark, measures: { ...mark.measures, [measure]: value } }));

/** A line drawn the other way round: banks run from their upstream ends. */
export const turnMark = (drawing: Drawing, id: string): Drawing =>
  changed(drawing, id, (mark) => ({ ...mark, places: mark.places.toReversed() }));

/**
 * A drawing on another sheet: where both say where they lie, every mark goes to its place on the ground; where the
 * sheet is of the same size, or nothing is drawn, the marks stay; else they keep their share of the sheet. A scale that
 * the new sheet does not bring is kept only on a sheet of the same size.
 */
export function onSheet(drawing: Drawing, sheet: Drawing["sheet"], scale: Scale): Drawing {
  const alike = Math.abs(sheet.width - drawing.sheet.width) < 1 && Math.abs(sheet.height - drawing.sheet.height) < 1;
  if (alike && scale.kind === "unknown") return { ...drawing, sheet };
  const [from, to] = [georeferenceOf(drawing.scale), georeferenceOf(scale)];
  const [fx, fy] = [sheet.width / drawing.sheet.width, sheet.height / drawing.sheet.height];
  const moved = (at: Place): [number, number] => {
    if (!from?.origin || !to?.origin) return [at[0] * fx, at[1] * fy];
    const position = planeAbout(from.origin).toPosition(from.toPlane(at));
    const [x, y] = to.toSheet(planeAbout(to.origin).toPlane(position));
    return [x, y];
  };
  return {
    ...drawing,
    sheet,
    scale,
    marks: drawing.marks.map((mark) => ({ ...mark, places: mark.places.map(moved) })),
  };
}
