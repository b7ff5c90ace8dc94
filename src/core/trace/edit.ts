import type { Place } from "./channel";
import type { Drawing } from "./drawing-schema";
import { InputError } from "../quantity/fault";
import { type Georeference, georeferenceOf, planeAbout, type Position, type Scale } from "./georeference";
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

/** What is put on a drawing by its place on earth. */
export interface PlacedMark extends Omit<Mark, "places"> {
  positions: readonly Position[];
}

/** Paper around what is put on a bare drawing, m, and the farthest that things of one reach lie apart, m. */
const MARGIN = 10;
const FARTHEST = 5000;

/** Paper of a metre a unit, north up, on which all of the positions lie. */
function paperFor(positions: readonly Position[]): Pick<Drawing, "sheet" | "scale"> {
  const middle = (axis: 0 | 1) => {
    const values = positions.map((one) => one[axis]);
    return (values.reduce((a, b) => Math.min(a, b)) + values.reduce((a, b) => Math.max(a, b))) / 2;
  };
  const origin: [number, number] = [middle(0), middle(1)];
  const { toPlane } = planeAbout(origin);
  const half = (axis: 0 | 1) =>
    positions.reduce((most, one) => Math.max(most, Math.abs(toPlane(one)[axis])), 0) + MARGIN;
  const [east, north] = [half(0), half(1)];
  return {
    sheet: { width: 2 * east, height: 2 * north },
    scale: { kind: "file", east: [-east, 1, 0], north: [north, 0, -1], origin },
  };
}

/**
 * Puts marks on a drawing by where they lie on earth: on paper of their own where nothing is drawn yet; else where they
 * lie on the sheet, which grows to hold them where it is paper. A kind that is drawn once replaces the one before.
 * @throws InputError "not-placed" on a drawing whose place nobody has said, "too-many-drawn", "too-far", "off-picture"
 */
export function putOn(drawing: Drawing, marks: readonly PlacedMark[], isPicture: boolean): Drawing {
  if (marks.length === 0) return drawing;
  if (drawing.marks.length + marks.length > MOST_MARKS) throw new InputError("too-many-drawn", { most: MOST_MARKS });
  const positions = marks.flatMap((one) => one.positions);
  const bare = drawing.marks.length === 0 && drawing.scale.kind === "unknown" && !isPicture;
  const before = georeferenceOf(drawing.scale);
  if (!bare && !before?.origin) throw new InputError("not-placed");
  const known = bare ? [] : drawing.marks.flatMap(({ places }) => places.map((at) => positionOn(before!, at)));
  const paper = paperFor([...positions, ...known]);
  const size = Math.max(paper.sheet.width, paper.sheet.height);
  if (size > FARTHEST) throw new InputError("too-far", { metres: size });
  const sheet = isPicture ? drawing : onSheet(drawing, paper.sheet, paper.scale);
  const ground = georeferenceOf(sheet.scale)!;
  const { toPlane } = planeAbout(ground.origin!);
  const put = marks.map(({ positions: own, ...mark }): Mark => {
    const places = own.map((at) => ground.toSheet(toPlane(at))).filter((at) => isOn(sheet, at));
    if (places.length === 0) throw new InputError("off-picture");
    return { ...mark, places: places.map((at) => inSheet(sheet, at)) };
  });
  const replaced = (one: Mark) => markKind(one.kind).single && put.some(({ kind }) => kind === one.kind);
  return { ...sheet, marks: [...sheet.marks.filter((one) => !replaced(one)), ...put] };
}

/** A hair beyond the edge is on it. */
const isOn = ({ sheet }: Drawing, [x, y]: Place) => x >= -1 && y >= -1 && x <= sheet.width + 1 && y <= sheet.height + 1;

const positionOn = (ground: Georeference, at: Place): Position =>
  planeAbout(ground.origin!).toPosition(ground.toPlane(at));
