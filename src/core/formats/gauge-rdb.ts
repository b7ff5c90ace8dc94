import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { type Column, demandText, type GaugeFile, Gathering, oncePerParameter } from "./gauge-text";
import { LONGEST_LINE, linesOf } from "./lines";
import { PARAMETER_CODES } from "./parameter-codes";
import { codedZone, ianaZone, type Instant, instantReader, UTC } from "./instant";

/** Tab-separated RDB begins with # comments, a header row and a format row such as 5s 15s 20d. */
export const looksLikeRdb = (text: string): boolean =>
  /^#/.test(text.trimStart()) && /\n(agency_cd|site_no)\t/.test(text);

const isFormatRow = (cells: readonly string[]): boolean => cells.every((cell) => /^\d+[sdn]$/.test(cell.trim()));

interface Layout {
  timeColumn: number;
  zoneColumn: number;
  siteColumn: number;
  columns: Column[];
}

function layoutOf(headers: readonly string[], line: number, file: string | undefined, notes: Message[]): Layout {
  const timeColumn = headers.findIndex((name) => /^(datetime|date)$/i.test(name));
  if (timeColumn < 0) throw new InputError("no-datetime-column", {}, { file, line });
  const found = headers.flatMap((name, index): Column[] => {
    // "12345_00060" or, for daily values, "12345_00060_00003"; "…_cd" columns carry flags.
    const match = /^(?:\d+_)?(\d{5})(?:_\d{5})?$/.exec(name);
    const known = match && PARAMETER_CODES[match[1]!];
    return known ? [{ index, ...known }] : [];
  });
  const columns = oncePerParameter(found, notes, (column) => headers[column.index]!);
  if (columns.length === 0)
    throw new InputError(
      "no-carrying-column",
      {},
      {
        file,
        line,
      },
    );
  return { timeColumn, zoneColumn: headers.indexOf("tz_cd"), siteColumn: headers.indexOf("site_no"), columns };
}

/** The readers of a file's times by their tz_cd code; without one the stated zone holds, or UTC. */
function readersOf(
  stated: string | undefined,
  file: string | undefined,
): (code: string) => ((text: string) => Instant) | undefined {
  const fallback = stated ? ianaZone(stated) : UTC;
  if (!fallback) throw new InputError("unknown-zone", { zone: stated }, { file });
  const readers = new Map<string, (text: string) => Instant>();
  return (code) => {
    const zone = code === "" ? fallback : codedZone(code);
    if (!readers.has(code) && zone) readers.set(code, instantReader(zone));
    return readers.get(code);
  };
}

/** The zone code of a row; empty where it has none. */
const codeOf = (cells: readonly string[], { zoneColumn }: Layout): string =>
  zoneColumn < 0 ? "" : cells[zoneColumn]!.trim();

/** "#    USGS 01234567 NAME OF STATION" in the comments. */
function stationName(comments: readonly string[], id: string): string {
  for (const comment of comments) {
    const match = /^#\s+(?:\S+\s+)?(\d{6,15})\s+(\S.*)$/.exec(comment);
    if (match && match[1] === id) return match[2]!.trim();
  }
  return "";
}

/**
 * Reads RDB as public agencies publish it, in both its instantaneous and daily forms. Only the first station's rows are
 * taken.
 */
export function readGaugeRdb(text: string, options: { zone?: string; file?: string } = {}): GaugeFile {
  const { file } = options;
  demandText(text, file);
  const lines = linesOf(text, file);
  const comments = lines.filter((line) => line.startsWith("#"));
  const headerLine = lines.findIndex((line) => !line.startsWith("#") && line.trim() !== "");
  if (headerLine < 0) throw new InputError("no-header", {}, { file, line: lines.length });
  if (lines[headerLine]!.length > LONGEST_LINE)
    throw new InputError("line-too-long", { most: LONGEST_LINE }, { file, line: headerLine + 1 });
  const headers = lines[headerLine]!.split("\t").map((name) => name.trim());
  const notes: Message[] = [];
  const layout = layoutOf(headers, headerLine + 1, file, notes);
  const readerFor = readersOf(options.zone, file);

  const gathering = new Gathering(layout.columns);
  let site: string | undefined;
  let unzoned = 0;
  for (let k = headerLine + 1; k < lines.length; k++) {
    const row = lines[k]!;
    if (row.trim() === "" || row.startsWith("#")) continue;
    if (row.length > LONGEST_LINE) {
      gathering.reject(k + 1, message("long-text-line", { most: LONGEST_LINE }));
      continue;
    }
    const cells = row.split("\t");
    // A last cell that is empty is often not written.
    if (cells.length === headers.length - 1) cells.push("");
    // Files of several stations say their header again.
    if (row === lines[headerLine] || isFormatRow(cells)) continue;
    const read = readRow(cells, headers.length, layout, readerFor);
    if (!read.ok) {
      gathering.reject(k + 1, read.reason);
      continue;
    }
    const rowSite = layout.siteColumn < 0 ? "" : cells[layout.siteColumn]!.trim();
    site ??= rowSite;
    if (rowSite !== site) {
      gathering.reject(k + 1, message("other-station", { rowSite, site }));
      continue;
    }
    if (!read.zoned && !codeOf(cells, layout)) unzoned++;
    gathering.take(k + 1, read.time, cells);
  }
  const series = gathering.finish(file);
  if (unzoned && !options.zone) notes.push(message("no-offset", { unzoned }));
  const id = site ?? "";
  return {
    station: { id, name: stationName(comments, id) },
    series,
    rejected: gathering.tally.ordered(),
    lines: gathering.tally.counts,
    codes: gathering.codes,
    notes,
    ...gathering.customary,
  };
}

function readRow(
  cells: readonly string[],
  width: number,
  layout: Layout,
  readerFor: (code: string) => ((text: string) => Instant) | undefined,
) {
  if (cells.length > width && cells.slice(width).some((cell) => cell.trim() !== ""))
    return { ok: false as const, reason: message("long-line", { length: cells.length, wanted: width }) };
  if (cells.length < width)
    return { ok: false as const, reason: message("short-line", { length: cells.length, wanted: width }) };
  const code = codeOf(cells, layout);
  const read = readerFor(code);
  if (!read) return { ok: false as const, reason: message("unknown-zone-code", { code }) };
  return read(cells[layout.timeColumn]!);
}
