export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A name within a sentence: "the split stone" of "The split stone". */
export const inSentence = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** "1 cast", "3 casts". */
export const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** Names of which some are alike, told apart by a number: "Mill run (1)", "Mill run (2)". */
export const toldApart = (names: readonly string[]): string[] =>
  names.map((name, k) =>
    names.filter((one) => one === name).length === 1
      ? name
      : `${name} (${names.slice(0, k + 1).filter((one) => one === name).length})`,
  );

/** Choices of a list from records with their names, told apart. */
export function choicesOf<T>(records: readonly T[], id: (one: T) => string, name: (one: T) => string) {
  const names = toldApart(records.map(name));
  return records.map((one, k) => ({ value: id(one), label: names[k]! }));
}
