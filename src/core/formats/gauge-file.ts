import { DAY } from "../gauge/series";
import { InputError } from "../quantity/fault";
import { type CsvOptions, readGaugeCsv } from "./gauge-csv";
import { looksLikeRdb, readGaugeRdb } from "./gauge-rdb";
import { demandText, type GaugeFile } from "./gauge-text";
import { looksLikeWaterML2, readGaugeWaterML2 } from "./gauge-waterml2";

export const GAUGE_FORMATS = ["auto", "csv", "rdb", "waterml2"] as const;
export type GaugeFormat = (typeof GAUGE_FORMATS)[number];

/** The format of a text by its first lines. */
const formatOf = (text: string): Exclude<GaugeFormat, "auto"> =>
  looksLikeWaterML2(text) ? "waterml2" : looksLikeRdb(text) ? "rdb" : "csv";

/**
 * Reads a gauge file of any format; with "auto" the text itself tells which. A record that begins after `now` (ms), by
 * more than clocks and zones can differ, is refused: it is another year, or a forecast.
 */
export function readGaugeFile(
  text: string,
  options: CsvOptions & { format?: GaugeFormat; now?: number } = {},
): GaugeFile {
  const record = readAs(text, options);
  const first = Math.min(...record.series.map(({ times }) => times[0]!));
  if (options.now !== undefined && first > options.now + DAY)
    throw new InputError("all-in-future", { first: new Date(first).toISOString() }, { file: options.file });
  return record;
}

function readAs(text: string, options: CsvOptions & { format?: GaugeFormat }): GaugeFile {
  demandText(text, options.file);
  const stated = options.format ?? "auto";
  if (!GAUGE_FORMATS.includes(stated))
    throw new InputError("unknown-format", { stated: String(stated), known: GAUGE_FORMATS }, { file: options.file });
  const format = stated === "auto" ? formatOf(text) : stated;
  if (format === "waterml2") return readGaugeWaterML2(text, options);
  return format === "rdb" ? readGaugeRdb(text, options) : readGaugeCsv(text, options);
}
