/**
 * The name of a question: all its inputs, in their order, as one text. Two questions have one key only if every input
 * is the same (what is not given, null and NaN count as one); answers are kept, cancelled and told apart by it.
 */
export const keyOf = (...parts: readonly unknown[]): string => JSON.stringify(parts);

/** A short name for a long text: FNV-1a, 2 x 32 bits. A name, not a seal. */
export function shortName(text: string): string {
  let [a, b] = [0x811c9dc5, 0x1000193];
  for (let k = 0; k < text.length; k++) {
    a = Math.imul(a ^ text.charCodeAt(k), 0x01000193);
    b = Math.imul(b ^ text.charCodeAt(k), 0x01000197);
  }
  return `${(a >>> 0).toString(36)}${(b >>> 0).toString(36)}`;
}
