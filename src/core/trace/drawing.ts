import { InputError } from "../quantity/fault";
import type { Place } from "./channel";
import { banksAbout } from "./banks-about";
import type { Drawing } from "./drawing-schema";
import { type Georeference, georeferenceOf } from "./georeference";
import { lineOf } from "./mark-line";
import { isWhole, type Mark, type MarkName, measureOf } from "./marks";
import type { DrawnReach } from "./traced-reach";

/** Marks of a kind that have all their places. */
const wholeMarks = ({ marks }: Pick<Drawing, "marks">, kind: MarkName): Mark[] =>
  marks.filter((one) => one.kind === kind && isWhole(one));

/** What a drawing lacks before a bed can be laid, in the order in which it is asked for. */
export type Lacking = "scale" | "banks" | "widths" | "discharge" | "slope";

export function lackingOf(drawing: Drawing): Lacking[] {
  const has = (kind: MarkName) => wholeMarks(drawing, kind).length > 0;
  const banks = has("left-bank") && has("right-bank");
  return [
    ...(georeferenceOf(drawing.scale) ? [] : (["scale"] as const)),
    ...(banks || has("middle") ? [] : (["banks"] as const)),
    ...(banks || !has("middle") || has("width") ? [] : (["widths"] as const)),
    ...(drawing.discharge === null ? (["discharge"] as const) : []),
    ...(drawing.slope === null ? (["slope"] as const) : []),
  ];
}

/**
 * A drawing on the ground, m east and north.
 * @throws InputError "no-scale", "no-banks", "no-widths"
 */
export function drawnOf(drawing: Drawing): DrawnReach {
  const ground = georeferenceOf(drawing.scale);
  if (!ground) throw new InputError("no-scale");
  const of = (kind: MarkName) => wholeMarks(drawing, kind);
  const lines = (kind: MarkName) => of(kind).map((one) => lineOf(one).map((at) => ground.toPlane(at)));
  const points = (kind: MarkName) => of(kind).map(({ places }) => ground.toPlane(places[0]!));
  const named = ({ name }: Mark) => (name ? { name } : {});
  const banks = banksOf(drawing, ground);
  return {
    ...banks,
    origin: ground.origin,
    riffles: points("riffle"),
    pools: points("pool"),
    poolHeads: points("pool-head"),
    poolTails: points("pool-tail"),
    deepSides: points("deep-side"),
    islands: lines("island"),
    depths: of("depth").map((one) => ({
      at: ground.toPlane(one.places[0]!),
      depth: measureOf(one, "depth"),
      ...(one.discharge !== undefined && { discharge: one.discharge }),
    })),
    boulders: of("boulder").map((one) => ({
      at: ground.toPlane(one.places[0]!),
      diameter: measureOf(one, "diameter"),
      height: measureOf(one, "height"),
      ...named(one),
    })),
    strips: (["log", "log-jam", "wall", "weed", "overhang", "undercut"] as const).flatMap((kind) =>
      of(kind).map((one) => ({
        kind,
        line: one.places.map((at) => ground.toPlane(at)),
        width: measureOf(one, "width"),
        height: measureOf(one, "height"),
        ...named(one),
      })),
    ),
  };
}

function banksOf(drawing: Drawing, ground: Georeference): Pick<DrawnReach, "left" | "right"> {
  const line = (kind: MarkName) => {
    const mark = wholeMarks(drawing, kind)[0];
    return mark && lineOf(mark).map((at) => ground.toPlane(at));
  };
  const [left, right, middle] = [line("left-bank"), line("right-bank"), line("middle")];
  if (left && right) return { left, right };
  if (!middle) throw new InputError("no-banks");
  const across = wholeMarks(drawing, "width").map(({ places }) => [
    ground.toPlane(places[0]!),
    ground.toPlane(places.at(-1)!),
  ]) as (readonly [Place, Place])[];
  if (across.length === 0) throw new InputError("no-widths");
  return banksAbout(middle, across);
}
