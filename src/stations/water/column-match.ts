import type { ColumnMatch, PreviewColumn } from "../../core/formats/gauge-csv";

/** Files with the same header are of the same kind: their matching is remembered by it. */
export const signatureOf = (columns: readonly PreviewColumn[]): string =>
  columns
    .map((one) => one.name)
    .join("\u241f")
    .slice(0, 2000);

/** Kinds of file whose matching is remembered; the oldest is forgotten first. */
const MOST_KINDS = 40;

export const remembering = (
  known: Record<string, ColumnMatch[]>,
  signature: string,
  match: readonly ColumnMatch[],
): Record<string, ColumnMatch[]> =>
  Object.fromEntries(
    [
      ...Object.entries(known).filter(([key]) => key !== signature),
      [signature, [...match]] as [string, ColumnMatch[]],
    ].slice(-MOST_KINDS),
  );
