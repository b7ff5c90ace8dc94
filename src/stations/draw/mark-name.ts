import { type Mark, markKind } from "../../core/trace/marks";
import { MARK_WORDS } from "../../words/drawing";

/** "Left bank", "Stone 2", "Stone 2, split stone". */
export const markName = ({ kind, name }: Pick<Mark, "kind" | "name">, number: number): string =>
  `${MARK_WORDS[kind].name}${markKind(kind).single ? "" : ` ${number}`}${name ? `, ${name}` : ""}`;
