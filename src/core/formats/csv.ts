import Papa from "papaparse";
import { InputError } from "../quantity/fault";
import { type Message, message } from "../quantity/message";
import { type DecimalMark, decimalMarkOf } from "../quantity/number";
import { LONGEST_LINE, linesOf } from "./lines";
import type { Tally } from "./tally";

/** A data line of a CSV: its cells, as many as the header has, or why it is refused. */
export type CsvRow = { line: number; cells: string[] } | { line: number; why: Message };

export interface CsvTable {
  header: string[];
  headerLine: number;
  /** Data lines after the header: empty ones and comments are none. */
  rows: () => Generator<CsvRow>;
}

const DELIMITERS = [",", ";", "\t", "|"];
const MOST_COLUMNS = 300;
const LONGEST_HEADER = 200;
/** Lines that the delimiter is guessed from. */
const GUESSED = 50;
/** Lines that a quoted cell may run over. */
const LONGEST_CELL = 20;

const isComment = (line: string): boolean => line.startsWith("#");
const isBlank = (line: string): boolean => line.trim() === "";
const quotesIn = (line: string): number => line.split('"').length - 1;

/** A CSV (RFC 4180), its delimiter found by itself; its header is the first line neither empty nor a comment. */
export function csvTable(text: string, file?: string): CsvTable {
  const lines = linesOf(text, file);
  const first = lines.findIndex((line) => !isBlank(line) && !isComment(line));
  if (first < 0) throw new InputError("no-header", {}, { file, line: 1 });
  const where = { file, line: first + 1 };
  if (lines[first]!.length > LONGEST_LINE) throw new InputError("line-too-long", { most: LONGEST_LINE }, where);
  const delimiter = delimiterOf(lines.slice(first, first + 4 * GUESSED));
  const header = cellsOf(lines[first]!, delimiter);
  if (!header) throw new InputError("stray-quote", {}, where);
  if (header.length > MOST_COLUMNS) throw new InputError("too-many-columns", { most: MOST_COLUMNS }, where);
  if (header.some((cell) => cell.length > LONGEST_HEADER))
    throw new InputError("header-too-long", { most: LONGEST_HEADER }, where);
  return { header, headerLine: first + 1, rows: () => rowsOf(lines, first + 1, header.length, delimiter) };
}

function delimiterOf(lines: readonly string[]): string {
  const sample = lines.filter((line) => !isBlank(line) && !isComment(line) && line.length <= LONGEST_LINE);
  const { meta } = Papa.parse(sample.slice(0, GUESSED).join("\n"), { delimitersToGuess: DELIMITERS, preview: GUESSED });
  return DELIMITERS.includes(meta.delimiter) ? meta.delimiter : ",";
}

/** Cells of one line; undefined where its quotes do not pair. */
function cellsOf(line: string, delimiter: string): string[] | undefined {
  if (!line.includes('"')) return line.split(delimiter);
  const { data, errors } = Papa.parse<string[]>(line, { delimiter, newline: "\n" });
  return errors.length === 0 && data.length === 1 ? data[0] : undefined;
}

/** Each physical line is a row of its own, so that a stray quote costs no more than its line. */
function* rowsOf(lines: readonly string[], from: number, width: number, delimiter: string): Generator<CsvRow> {
  for (let k = from; k < lines.length; k++) {
    const [text, line] = [lines[k]!, k + 1];
    if (isBlank(text) || (isComment(text) && !text.includes(delimiter))) continue;
    if (text.length > LONGEST_LINE) {
      yield { line, why: message("long-text-line", { most: LONGEST_LINE }) };
      continue;
    }
    let cells = cellsOf(text, delimiter);
    if (!cells && quotesIn(text) % 2 === 1) {
      const whole = overLines(lines, k, width, delimiter);
      if (whole) {
        cells = whole.cells;
        k = whole.last;
      }
    }
    if (!cells) yield { line, why: message("stray-quote-line") };
    else if (cells.length > width && cells.slice(width).some((cell) => cell.trim() !== ""))
      yield { line, why: message("long-line", { length: cells.length, wanted: width }) };
    else if (cells.length < width) yield { line, why: message("short-line", { length: cells.length, wanted: width }) };
    else yield { line, cells: cells.slice(0, width) };
  }
}

/** A row whose quoted cell holds line breaks: the lines to the next odd quote, where they make one row of the width. */
function overLines(lines: readonly string[], from: number, width: number, delimiter: string) {
  const until = Math.min(lines.length, from + LONGEST_CELL);
  for (let last = from + 1; last < until; last++) {
    if (quotesIn(lines[last]!) % 2 === 0) continue;
    const text = lines.slice(from, last + 1).join("\n");
    const cells = text.length <= LONGEST_LINE ? cellsOf(text, delimiter) : undefined;
    return cells?.length === width ? { cells, last } : undefined;
  }
  return undefined;
}

/** Tallies the rows of a table: refused ones with their reason, blank ones as gaps; the others are taken. */
export function eachRow(rows: Iterable<CsvRow>, tally: Tally, take: (line: number, cells: string[]) => void): void {
  for (const row of rows) {
    if ("why" in row) tally.reject(row.line, row.why);
    else if (row.cells.every((cell) => cell.trim() === "")) tally.gap();
    else take(row.line, row.cells);
  }
}

/** Rows looked at for the decimal mark of a column. */
const MARK_ROWS = 2000;

/** The decimal mark that the cells of a column show; undefined where none of them tells. */
export function columnMark(table: CsvTable, index: number): DecimalMark | undefined {
  function* cells(): Generator<string> {
    let count = 0;
    for (const row of table.rows()) {
      if (count++ === MARK_ROWS) return;
      if ("cells" in row) yield row.cells[index] ?? "";
    }
  }
  return decimalMarkOf(cells());
}
