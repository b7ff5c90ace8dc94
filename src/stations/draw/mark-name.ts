import { type Mark, markKind } from "../../core/trace/marks";
import { MARK_WORDS } from "../../words/drawing";

/** "Left bank", "Stone 2", "Stone 2, split stone". */
export const markName = ({ kind, name }: Pick<Mark, "kind" | "name">, number: number): string =>
  `${MARK_WORDS[kind].name}${markKind(kind).single ? "" : ` ${number}`}${name ? `, ${name}` : ""}`;

/** The number of each mark among those of its kind, by id. */
export function numbersOf(marks: readonly Mark[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  return new Map(
    marks.map(({ id, kind }) => {
      const number = (counts.get(kind) ?? 0) + 1;
      counts.set(kind, number);
      return [id, number];
    }),
  );
}
