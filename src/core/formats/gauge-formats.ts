/**
 * The registry of gauge formats: screens and the command line list them from here, by their names in words/formats.ts. Each has its reader in gauge-file.ts, a record over these: a format without one does not compile. The first
 * whose text it looks like reads a file; the last takes what no other claims.
 */
export const GAUGE_FORMATS = {
  waterml2: { extensions: [".xml", ".wml", ".waterml"] },
  rdb: { extensions: [".rdb", ".txt"] },
  csv: { extensions: [".csv", ".txt", ".tsv"] },
} as const;
export type GaugeFormat = keyof typeof GAUGE_FORMATS;
export const GAUGE_FORMAT_IDS = Object.keys(GAUGE_FORMATS) as GaugeFormat[];

/** What a file chooser accepts. */
export const GAUGE_EXTENSIONS = [...new Set(Object.values(GAUGE_FORMATS).flatMap(({ extensions }) => extensions))];
