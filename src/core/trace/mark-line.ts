import type { Place } from "./channel";
import { type Mark, markKind } from "./marks";
import { smoothLine } from "./smooth-line";

/** A mark's line as it is drawn and laid, on the sheet. */
export const lineOf = ({ kind, places }: Pick<Mark, "kind" | "places">): readonly Place[] =>
  markKind(kind).smooth ? smoothLine(places, markKind(kind).geometry === "area") : places;
