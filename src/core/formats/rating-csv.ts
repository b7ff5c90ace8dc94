import { message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import type { Gauging } from "../gauge/rating";
import { numberIn } from "../quantity/number";
import { findUnit, toSI } from "../quantity/units";
import { columnMark, csvRows, kindOfColumn, readHeader } from "./gauge-csv";
import { demandText, type Rejection } from "./gauge-text";

/**
 * Stage-discharge pairs from a CSV: columns by name and unit; two bare columns of numbers are stage, m, and discharge,
 * m3/s.
 */
export function readPairs(text: string, file?: string): { gaugings: Gauging[]; rejected: Rejection[] } {
  demandText(text, file);
  const { rows, headerRow: first } = csvRows(text, file);
  const bare = rows[first]!.every((cell) => Number.isFinite(numberIn(cell)));
  const headers = bare ? [] : rows[first]!.map(readHeader);
  const column = (parameter: "stage" | "discharge", otherwise: number) => {
    const index = bare ? otherwise : headers.findIndex((header) => kindOfColumn(header.name) === parameter);
    if (index < 0)
      throw new InputError(
        "no-named-column",
        { parameter, columns: headers.map((one) => one.name) },
        { file, line: first + 1 },
      );
    const header = headers[index];
    if (header?.zone)
      throw new InputError(
        "unknown-unit",
        { name: header.name, unit: header.zone },
        {
          file,
          line: first + 1,
        },
      );
    const unit = findUnit(header?.unit ?? (parameter === "stage" ? "m" : "m3/s"))!;
    if (unit.dimension !== (parameter === "stage" ? "length" : "discharge"))
      throw new InputError(
        "wrong-unit",
        { name: header!.name, unit: header!.unit, parameter },
        { file, line: first + 1 },
      );
    return { index, unit };
  };
  const [stage, discharge] = [column("stage", 0), column("discharge", 1)];
  const gaugings: Gauging[] = [];
  const rejected: Rejection[] = [];
  for (let k = bare ? first : first + 1; k < rows.length; k++) {
    const row = rows[k]!;
    if (row[0]!.startsWith("#") || row.every((cell) => cell.trim() === "")) continue;
    const [h, q] = [stage, discharge].map(({ index, unit }) => {
      return toSI(numberIn(row[index] ?? "", columnMark(rows, first, index)), unit);
    }) as [number, number];
    if (!Number.isFinite(h) || !Number.isFinite(q)) rejected.push({ line: k + 1, reason: message("not-a-pair") });
    else if (q <= 0)
      rejected.push({ line: k + 1, reason: message("pair-discharge", { text: row[discharge.index]!.trim() }) });
    else gaugings.push({ stage: h, discharge: q });
  }
  if (gaugings.length === 0)
    throw new InputError(
      "no-pairs",
      { line: rejected[0]?.line, reason: rejected[0]?.reason },
      { file, line: rejected[0]?.line },
    );
  return { gaugings, rejected };
}
