import Papa from "papaparse";

/**
 * A CSV (RFC 4180) with a header. Texts that a spreadsheet would take for a formula are written with an apostrophe
 * before them.
 */
export const writeCsv = (header: readonly string[], rows: readonly (readonly (string | number | null)[])[]): string =>
  `${Papa.unparse({ fields: [...header], data: rows.map((row) => row.map((cell) => cell ?? "")) }, { escapeFormulae: true, newline: "\n" })}\n`;

/** A cell as it was before `writeCsv` guarded it. */
export const unguarded = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);
