import { InputError } from "../errors";
import { readGaugeCsv } from "./gauge-csv";
import { looksLikeRdb, readGaugeRdb } from "./gauge-rdb";
import type { GaugeFile } from "./gauge-text";
import { demandText } from "./gauge-text";

export type GaugeFormat = "auto" | "csv" | "rdb";

/** Reads a gauge file of either format; with "auto" the text itself tells which. */
export function readGaugeFile(text: string, options: { format?: GaugeFormat; zone?: string; file?: string } = {}): GaugeFile {
  demandText(text, options.file);
  const format = options.format ?? "auto";
  if (format === "rdb" || (format === "auto" && looksLikeRdb(text))) return readGaugeRdb(text, options);
  if (format === "csv" || format === "auto") return readGaugeCsv(text, options);
  throw new InputError("unknown-format", `“${String(format)}” is not a gauge format read here: auto, csv or rdb.`, { file: options.file });
}
