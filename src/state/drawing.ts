"use client";
import { create } from "zustand";
import type { Drawing } from "../core/trace/drawing-schema";
import type { Scale } from "../core/trace/georeference";
import { addMark, addPlace, onSheet, type PlacedMark, putOn, removeMark, removePlace } from "../core/trace/edit";
import { isWhole, markKind, type MarkName } from "../core/trace/marks";
import type { Place } from "../core/trace/channel";
import { database } from "../store/database";
import { draftOf, keepDraft } from "../store/drawings";
import { newId } from "../store/identity";
import { act } from "./act";

/** What a tap on the sheet does: draw a mark of a kind, choose and move, or set one of the two points of the scale. */
export type Tool = MarkName | "move" | "scale-a" | "scale-b";

/** The draft of a reach that is new. */
export const NEW = "new";

interface DrawingState {
  /** Id of the reach that is drawn again, or NEW; undefined until the draft has been read. */
  id: string | undefined;
  name: string;
  drawing: Drawing;
  past: readonly Drawing[];
  future: readonly Drawing[];
  tool: Tool;
  /** The line that the next tap goes on with. */
  open: string | undefined;
  chosen: string | undefined;
  /** The two points of the scale as they were set, before they make one. */
  ends: { a?: Place; b?: Place };
}

/** Paper to draw on where there is no picture: units across. */
const PAPER = { width: 1200, height: 800 };

const EMPTY: Drawing = { sheet: PAPER, scale: { kind: "unknown" }, marks: [], discharge: null, slope: null };

const FRESH: Omit<DrawingState, "id"> = {
  name: "",
  drawing: EMPTY,
  past: [],
  future: [],
  tool: "move",
  open: undefined,
  chosen: undefined,
  ends: {},
};

/** Steps that can be taken back. */
const MOST_STEPS = 200;

export const useDrawing = create<DrawingState>(() => ({ id: undefined, ...FRESH }));

/** Writes go one after another, so that what is told to be over is over (draftWritten). */
let writing: Promise<void> = Promise.resolve();

function keep(): void {
  const { id, name, drawing } = useDrawing.getState();
  if (id === undefined) return;
  writing = writing.catch(() => undefined).then(() => keepDraft(database(), id, name, drawing));
  act(() => writing);
}

/** Waits until what was drawn is written: a draft that goes is not written again after that. */
export const draftWritten = (): Promise<void> => writing.catch(() => undefined);

/** The draft was kept as a reach, or given up: the next one is read anew. */
export const closeDraft = (): void => useDrawing.setState({ id: undefined, ...FRESH });

/** The draft that was asked for last: an earlier one that comes late is not shown. */
let asked: string | undefined;

/** Opens a draft: what was drawn last under its id, or else what the reach was laid from, or nothing. */
export async function openDraft(id: string, from: { name: string; drawing: Drawing } | undefined): Promise<void> {
  asked = id;
  const draft = await draftOf(database(), id);
  if (asked !== id) return;
  const opened = draft ?? from;
  useDrawing.setState({
    ...FRESH,
    id,
    ...(opened && { name: opened.name, drawing: opened.drawing, ends: endsOf(opened.drawing.scale) }),
  });
}

/** A drawing from a file in place of the one before, as a step that can be taken back. */
export function openDrawing(name: string, drawing: Drawing): void {
  draw(() => drawing);
  useDrawing.setState({ name, open: undefined, chosen: undefined, tool: "move", ends: endsOf(drawing.scale) });
  keep();
}

/** Puts what was walked on the drawing, by its place on earth, as one step. @throws InputError those of putOn */
export function putWalked(marks: readonly PlacedMark[], isPicture: boolean): void {
  draw((now) => putOn(now, marks, isPicture));
  useDrawing.setState({ ends: endsOf(useDrawing.getState().drawing.scale), open: undefined, tool: "move" });
}

/**
 * Another picture under the drawing. One that says itself where it lies takes what was drawn to its place on the
 * ground, where that was known; any other keeps what was drawn at its share of the sheet, and its scale is to be set.
 */
export function replaceSheet({ width, height, scale }: { width: number; height: number; scale: Scale }): void {
  draw((now) => onSheet(now, { width, height }, scale));
  useDrawing.setState({ ends: endsOf(useDrawing.getState().drawing.scale) });
}

/** Makes a step that can be taken back; one that changes nothing is none. */
export function draw(by: (drawing: Drawing) => Drawing): void {
  const { drawing, past } = useDrawing.getState();
  const next = by(drawing);
  if (next === drawing) return;
  useDrawing.setState({ drawing: next, past: [...past, drawing].slice(-MOST_STEPS), future: [] });
  keep();
}

/** Shows a drawing under a hand that moves something, without making a step of it. */
export const showDrawing = (drawing: Drawing): void => useDrawing.setState({ drawing });

/** The hand let go: one step from what was before it took hold. */
export function dropDrawing(before: Drawing): void {
  const { drawing, past } = useDrawing.getState();
  if (drawing === before) return;
  useDrawing.setState({ past: [...past, before].slice(-MOST_STEPS), future: [] });
  keep();
}

export function nameDrawing(name: string): void {
  useDrawing.setState({ name });
  keep();
}

export function undoDrawing(): void {
  const { past, drawing, future } = useDrawing.getState();
  const before = past.at(-1);
  if (!before) return;
  useDrawing.setState({
    drawing: before,
    past: past.slice(0, -1),
    future: [drawing, ...future],
    ...stillThere(before),
    ends: endsOf(before.scale),
  });
  keep();
}

export function redoDrawing(): void {
  const { past, drawing, future } = useDrawing.getState();
  const next = future[0];
  if (!next) return;
  useDrawing.setState({
    drawing: next,
    past: [...past, drawing],
    future: future.slice(1),
    ...stillThere(next),
    ends: endsOf(next.scale),
  });
  keep();
}

/** What is chosen and gone on with, as far as a drawing still has it. */
function stillThere({ marks }: Drawing): Pick<DrawingState, "open" | "chosen"> {
  const { open, chosen } = useDrawing.getState();
  const has = (id: string | undefined) => (marks.some((one) => one.id === id) ? id : undefined);
  return { open: has(open), chosen: has(chosen) };
}

/** Takes another tool; a line that was begun and is none yet goes. */
export function takeTool(tool: Tool): void {
  endLine();
  useDrawing.setState({ tool });
}

/** Ends the line that is drawn. */
export function endLine(): void {
  const { open, drawing } = useDrawing.getState();
  const mark = drawing.marks.find((one) => one.id === open);
  useDrawing.setState({ open: undefined });
  if (mark && !isWhole(mark)) draw((now) => removeMark(now, mark.id));
}

export const choose = (chosen: string | undefined): void => useDrawing.setState({ chosen });

/** The two points of a scale, where it has them. */
function endsOf(scale: Scale): DrawingState["ends"] {
  if (scale.kind === "length") return { a: scale.from, b: scale.to };
  return scale.kind === "points" ? { a: scale.a.on, b: scale.b.on } : {};
}

/** Sets one of the two points of the scale; a scale that goes by them goes with them. */
export function setEnd(which: "a" | "b", at: Place): void {
  const to: [number, number] = [at[0], at[1]];
  useDrawing.setState(({ ends }) => ({ ends: { ...ends, [which]: to } }));
  draw((now) => {
    const { scale } = now;
    if (scale.kind === "length") return { ...now, scale: { ...scale, [which === "a" ? "from" : "to"]: to } };
    if (scale.kind === "points") return { ...now, scale: { ...scale, [which]: { ...scale[which], on: to } } };
    return now;
  });
}

/** A tap on the sheet with a kind of mark in hand. */
export function tapSheet(at: Place): void {
  const { tool, open } = useDrawing.getState();
  if (tool === "move") return;
  if (tool === "scale-a" || tool === "scale-b") {
    setEnd(tool === "scale-a" ? "a" : "b", at);
    return useDrawing.setState({ tool: tool === "scale-a" ? "scale-b" : "move" });
  }
  if (open !== undefined) return draw((now) => addPlace(now, open, at));
  const id = newId();
  draw((now) => addMark(now, tool, id, at));
  useDrawing.setState({ chosen: id, open: markKind(tool).geometry === "point" ? undefined : id });
}

/** Takes the last place of the line that is drawn away. */
export function shortenLine(): void {
  const { open, drawing } = useDrawing.getState();
  const mark = drawing.marks.find((one) => one.id === open);
  if (!mark) return;
  draw((now) => removePlace(now, mark.id, mark.places.length - 1));
  if (mark.places.length === 1) useDrawing.setState({ open: undefined });
}
