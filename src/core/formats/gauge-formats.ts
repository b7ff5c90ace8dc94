/**
 * The registry of gauge formats: screens and the command line list them from here. Each has its name in
 * words/formats.ts and its reader in gauge-file.ts, records over these: a format without one does not compile. The
 * first that a text looks like reads it; the last takes what no other claims.
 */
const GAUGE_FORMATS = {
  waterml2: { extensions: [".xml", ".wml", ".waterml"] },
  rdb: { extensions: [".rdb", ".txt"] },
  csv: { extensions: [".csv", ".txt", ".tsv"] },
} as const;
export type GaugeFormat = keyof typeof GAUGE_FORMATS;
export const GAUGE_FORMAT_IDS = Object.keys(GAUGE_FORMATS) as GaugeFormat[];

/** What a file chooser accepts. */
export const GAUGE_EXTENSIONS = [...new Set(Object.values(GAUGE_FORMATS).flatMap(({ extensions }) => extensions))];
