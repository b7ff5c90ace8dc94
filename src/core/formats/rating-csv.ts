import { message } from "../quantity/message";
import { HIGHEST, MOST_DISCHARGE } from "../quantity/bounds";
import { InputError } from "../quantity/fault";
import type { Gauging } from "../gauge/rating";
import { numberIn } from "../quantity/number";
import { findUnit, toSI } from "../quantity/units";
import { columnMark, csvTable, eachRow } from "./csv";
import { kindOfColumn, readHeader } from "./gauge-csv";
import { demandText } from "./gauge-text";
import { type LineCounts, type Rejection, Tally } from "./tally";

export interface PairsFile {
  gaugings: Gauging[];
  rejected: Rejection[];
  lines: LineCounts;
}

/** Are the pairs of a text bare numbers, without a header that names their units? */
export function barePairs(text: string): boolean {
  return text.trim() !== "" && csvTable(text).header.every((cell) => Number.isFinite(numberIn(cell)));
}

/**
 * Stage-discharge pairs from a CSV: columns by name and unit; two bare columns of numbers are stage, m, and discharge,
 * m3/s.
 */
export function readPairs(text: string, file?: string): PairsFile {
  demandText(text, file);
  const table = csvTable(text, file);
  const { header: cells, headerLine } = table;
  const bare = cells.every((cell) => Number.isFinite(numberIn(cell)));
  const headers = bare ? [] : cells.map(readHeader);
  const column = (parameter: "stage" | "discharge", otherwise: number) => {
    const index = bare ? otherwise : headers.findIndex((header) => kindOfColumn(header.name) === parameter);
    if (index < 0)
      throw new InputError(
        "no-named-column",
        { parameter, columns: headers.map((one) => one.name) },
        { file, line: headerLine },
      );
    const header = headers[index];
    if (header?.zone)
      throw new InputError(
        "unknown-unit",
        { name: header.name, unit: header.zone },
        {
          file,
          line: headerLine,
        },
      );
    const unit = findUnit(header?.unit ?? (parameter === "stage" ? "m" : "m3/s"))!;
    if (unit.dimension !== (parameter === "stage" ? "length" : "discharge"))
      throw new InputError(
        "wrong-unit",
        { name: header!.name, unit: header!.unit, parameter },
        { file, line: headerLine },
      );
    return { index, unit };
  };
  const [stage, discharge] = [column("stage", 0), column("discharge", 1)];
  const marks = [stage, discharge].map(({ index }) => columnMark(table, index));
  const gaugings: Gauging[] = [];
  const tally = new Tally();
  const take = (line: number, row: readonly string[]) => {
    const [h, q] = [stage, discharge].map(({ index, unit }, k) => toSI(numberIn(row[index] ?? "", marks[k]), unit)) as [
      number,
      number,
    ];
    if (!Number.isFinite(h) || !Number.isFinite(q)) return tally.reject(line, message("not-a-pair"));
    if (q <= 0)
      return tally.reject(line, message("pair-discharge", { text: row[discharge.index]!.trim().slice(0, 40) }));
    if (Math.abs(h) > HIGHEST || q > MOST_DISCHARGE) return tally.reject(line, message("impossible-pair"));
    tally.read();
    gaugings.push({ stage: h, discharge: q });
  };
  if (bare) take(headerLine, cells);
  eachRow(table.rows(), tally, take);
  const rejected = tally.ordered();
  if (gaugings.length === 0)
    throw new InputError(
      "no-pairs",
      { line: rejected[0]?.line, reason: rejected[0]?.reason },
      { file, line: rejected[0]?.line },
    );
  return { gaugings, rejected, lines: tally.counts };
}
