import { InputError } from "../quantity/fault";

/** Lines of a text file, however they end, and bounds on them that are checked before anything is made. */

/** Two hundred years of quarter hours are 7 million; nobody has them in one file. */
export const MOST_LINES = 4_000_000;
/** Characters of a line that is looked at: longer ones are refused, since patterns take long over them. */
export const LONGEST_LINE = 8000;

/**
 * Lines of a text; they may end in LF, CR LF or CR, mixed as they will.
 * @throws InputError "too-many-lines"
 */
export function linesOf(text: string, file?: string): string[] {
  let count = 1;
  for (let at = text.indexOf("\n"); at >= 0; at = text.indexOf("\n", at + 1)) count++;
  if (count === 1 || text.includes("\r"))
    for (let at = text.indexOf("\r"); at >= 0; at = text.indexOf("\r", at + 1)) if (text[at + 1] !== "\n") count++;
  if (count > MOST_LINES) throw new InputError("too-many-lines", { most: MOST_LINES }, { file });
  return (text.startsWith("\uFEFF") ? text.slice(1) : text).split(/\r\n|\n|\r/);
}

/** Finds the line of a place in a text, without reading the text again each time. */
export class LineFinder {
  private starts: number[] | undefined;

  constructor(private readonly text: string) {}

  /** Line, from 1, of the character at an index. */
  lineAt(index: number): number {
    if (!this.starts) {
      this.starts = [0];
      for (let at = this.text.indexOf("\n"); at >= 0; at = this.text.indexOf("\n", at + 1)) this.starts.push(at + 1);
    }
    let [low, high] = [0, this.starts.length];
    while (high - low > 1) {
      const middle = (low + high) >>> 1;
      if (this.starts[middle]! <= index) low = middle;
      else high = middle;
    }
    return low + 1;
  }
}

/** Lines at which the elements of some names begin, in the order of the text; found when first asked for. */
export function elementLines(text: string, names: readonly string[]): (nth: number) => number {
  let lines: number[] | undefined;
  return (nth) => {
    if (!lines) {
      const finder = new LineFinder(text);
      const tag = new RegExp(`<(?:[\\w.-]{1,40}:)?(?:${names.join("|")})[\\s>/]`, "g");
      lines = [...text.matchAll(tag)].map((match) => finder.lineAt(match.index));
    }
    return lines[nth] ?? 1;
  };
}
