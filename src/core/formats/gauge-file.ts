import { DAY } from "../gauge/series";
import { InputError } from "../quantity/fault";
import { type CsvOptions, readGaugeCsv } from "./gauge-csv";
import { GAUGE_FORMAT_IDS, type GaugeFormat } from "./gauge-formats";
import { looksLikeRdb, readGaugeRdb } from "./gauge-rdb";
import { demandText, type GaugeFile } from "./gauge-text";
import { looksLikeWaterML2, readGaugeWaterML2 } from "./gauge-waterml2";

interface GaugeReader {
  /** Is it of this format, by its first lines? */
  looksLike: (text: string) => boolean;
  read: (text: string, options: CsvOptions) => GaugeFile;
}

const READERS: Record<GaugeFormat, GaugeReader> = {
  waterml2: { looksLike: looksLikeWaterML2, read: readGaugeWaterML2 },
  rdb: { looksLike: looksLikeRdb, read: readGaugeRdb },
  csv: { looksLike: () => true, read: readGaugeCsv },
};

/** What can be asked for: a format, or whichever the text looks like. */
export const STATED_FORMATS = ["auto", ...GAUGE_FORMAT_IDS] as const;
export type StatedFormat = (typeof STATED_FORMATS)[number];

/**
 * Reads a gauge file of any format; with "auto" the text itself tells which. A record that begins after `now` (ms), by
 * more than clocks and zones can differ, is refused: it is another year, or a forecast.
 */
export function readGaugeFile(
  text: string,
  options: CsvOptions & { format?: StatedFormat; now?: number } = {},
): GaugeFile {
  const record = readAs(text, options);
  const first = Math.min(...record.series.map(({ times }) => times[0]!));
  if (options.now !== undefined && first > options.now + DAY)
    throw new InputError("all-in-future", { first: new Date(first).toISOString() }, { file: options.file });
  return record;
}

function readAs(text: string, options: CsvOptions & { format?: StatedFormat }): GaugeFile {
  demandText(text, options.file);
  const stated = options.format ?? "auto";
  if (!STATED_FORMATS.includes(stated))
    throw new InputError("unknown-format", { stated: String(stated), known: STATED_FORMATS }, { file: options.file });
  const format = stated === "auto" ? GAUGE_FORMAT_IDS.find((id) => READERS[id].looksLike(text))! : stated;
  return READERS[format].read(text, options);
}
