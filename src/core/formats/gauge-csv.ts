import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { type Parameter, UNIT_OF } from "../gauge/series";
import { isZone } from "../quantity/local-time";
import { findUnit } from "../quantity/units";
import { columnMark, csvTable, type CsvTable, eachRow } from "./csv";
import { type DateOrder, datesIn, isoDate, isOtherDate } from "./date-order";
import { type Column, demandText, dimensionOf, type GaugeFile, Gathering, oncePerParameter } from "./gauge-text";
import { instantReader, zoneOfFile } from "./instant";

/** Words by which a column is known. The longest match wins. */
const NAMES: readonly (readonly [RegExp, Parameter | "time"])[] = [
  [/^(date|time|datetime|date_?time|date time|timestamp|instant|at|when|sample_?time)$/, "time"],
  [/^(discharge|flow|streamflow|q)$/, "discharge"],
  [
    /^(stage|level|gage height|gauge height|gage_height|gauge_height|height|water level|water_level|river level)$/,
    "stage",
  ],
  [
    /^(water temperature|water_temperature|watertemperature|water temp|water_temp|watertemp|temperature|temp|wtemp)$/,
    "waterTemperature",
  ],
  [/^(turbidity|turb)$/, "turbidity"],
  [/^(air pressure|air_pressure|airpressure|pressure|barometer)$/, "airPressure"],
  [/^(rain|rainfall|rain fall|precipitation|precip)$/, "rain"],
];

interface Header {
  name: string;
  unit: string | undefined;
  zone: string | undefined;
}

/** "Flow (cfs)", "stage [m]", "water_temp_c", "turbidity, NTU", "time (Europe/London)" -> name and unit. */
export function readHeader(cell: string): Header {
  const text = cell.trim().replace(/^\uFEFF/, "");
  const bracketed = /^(.*?)\s*[([]\s*([^)\]]*)\s*[)\]]\s*$/.exec(text) ?? /^(.*?)\s*,\s*(.+)$/.exec(text);
  const tail = bracketed ? undefined : /^(.*)[_\s]([^_\s]+(?:\/[^_\s]+)?)$/.exec(text);
  const name = (bracketed ? bracketed[1]! : tail && (findUnit(tail[2]!) || /^utc$/i.test(tail[2]!)) ? tail[1]! : text)
    .trim()
    .toLowerCase();
  const inside = (bracketed?.[2] ?? (tail && name !== text.toLowerCase() ? tail[2] : undefined))?.trim();
  return {
    name,
    unit: inside && findUnit(inside) ? inside : undefined,
    zone: inside && !findUnit(inside) ? inside : undefined,
  };
}

/** What a column of that name holds. */
export const kindOfColumn = (name: string): Parameter | "time" | undefined =>
  NAMES.find(([pattern]) => pattern.test(name))?.[1];

/** What the angler says a column holds, where its name does not tell. */
export interface ColumnMatch {
  as: Parameter | "time" | "leave";
  /** Unit of a parameter; of a column left out, the one its header names. */
  unit?: string;
}

export interface CsvOptions {
  zone?: string;
  file?: string;
  /** One entry a column, in their order; without it columns are known by name. */
  columns?: readonly ColumnMatch[];
  /** Which comes first in dates that are not of ISO 8601; asked for where the file does not tell. */
  dates?: DateOrder;
  /** Refuse a column without a unit, so that it is asked for, instead of taking the usual one. */
  askUnits?: boolean;
}

/** Rows of a preview. */
const PREVIEWED = 3;

/** A column as its header names it, what it is taken for by name, and its first cells. */
export interface PreviewColumn {
  name: string;
  samples: string[];
  match: ColumnMatch;
}

/** The columns of a CSV, for matching them by hand. */
export function previewCsv(text: string, file?: string): PreviewColumn[] {
  demandText(text, file);
  const table = csvTable(text, file);
  const first: string[][] = [];
  for (const row of table.rows()) {
    if ("cells" in row) first.push(row.cells);
    if (first.length === PREVIEWED) break;
  }
  return table.header.map((cell, index) => {
    const header = readHeader(cell);
    const kind = kindOfColumn(header.name);
    const match: ColumnMatch =
      kind === "time" ? { as: "time" } : kind ? { as: kind, unit: header.unit } : { as: "leave", unit: header.unit };
    return { name: cell.trim(), samples: first.map((cells) => (cells[index] ?? "").trim()), match };
  });
}

/**
 * A CSV of readings: columns matched by name and unit, or as the angler says, one of them a time. Delimiter found by
 * itself.
 * `zone` is the IANA zone of clock times without an offset; without it they are read as UTC and the notes say so.
 */
export function readGaugeCsv(text: string, options: CsvOptions = {}): GaugeFile {
  const { file } = options;
  demandText(text, file);
  const table = csvTable(text, file);
  const headers = table.header.map(readHeader);
  const said = options.columns;
  if (said && said.length !== headers.length)
    throw new InputError(
      "wrong-columns",
      { matched: said.length, count: headers.length },
      {
        file,
        line: table.headerLine,
      },
    );
  const timeColumns = timeColumnsOf(headers, said);
  const where = { file, line: table.headerLine };
  if (timeColumns.length === 0) throw new InputError("no-time-column", { columns: listed(headers) }, where);

  const notes: Message[] = [];
  const columns = oncePerParameter(
    headers.flatMap((header, index): Column[] => {
      const match = said?.[index];
      const kind = match ? match.as : kindOfColumn(header.name);
      if (!kind || kind === "time" || kind === "leave") return [];
      return [
        {
          index,
          parameter: kind,
          unitName: unitFor(
            kind,
            match?.unit ? { ...header, unit: match.unit, zone: findUnit(match.unit) ? undefined : match.unit } : header,
            where,
            options.askUnits ? "ask" : notes,
          ),
        },
      ];
    }),
    notes,
    (column) => headers[column.index]!.name,
  );
  if (columns.length === 0) throw new InputError("no-known-column", { columns: listed(headers) }, where);

  const named = timeColumns.map((index) => headers[index]!.zone).find(Boolean);
  const zone = zoneOfFile(named, options.zone);
  if (!zone) throw new InputError("unknown-zone", { zone: options.zone ?? named }, where);

  const gathering = new Gathering(
    columns,
    columns.map(({ index }) => columnMark(table, index)),
  );
  const timeIn = (cells: readonly string[]) => timeColumns.map((index) => cells[index]!.trim()).join(" ");
  const order = orderOf(table, timeIn, options, notes);
  const read = instantReader(zone.zone);
  let unzoned = 0;
  eachRow(table.rows(), gathering.tally, (line, cells) => {
    const text = timeIn(cells);
    const instant = read(order ? isoDate(text, order) : text);
    if (!instant.ok) return gathering.reject(line, instant.reason);
    if (!instant.zoned) unzoned++;
    gathering.take(line, instant.time, cells);
  });
  const series = gathering.finish(file);
  if (unzoned && !zone.name) notes.push(message("no-offset", { unzoned }));
  if (unzoned && zone.name === named && named && options.zone && named !== options.zone)
    notes.push(message("zone-of-file", { zone: named }));
  const { tally, codes } = gathering;
  return {
    station: { id: "", name: "" },
    series,
    rejected: tally.ordered(),
    lines: tally.counts,
    codes,
    notes,
    ...gathering.customary,
    ...(named && isZone(named) && { zone: named }),
  };
}

/** The column of times, by what was said or by name; a day and a clock time may stand in two columns. */
function timeColumnsOf(headers: readonly Header[], said: readonly ColumnMatch[] | undefined): number[] {
  const all = headers.flatMap((header, index) =>
    (said ? said[index]!.as : kindOfColumn(header.name)) === "time" ? [index] : [],
  );
  const [date, time] = ["date", "time"].map((name) => all.find((index) => headers[index]!.name === name));
  if (!said && date !== undefined && time !== undefined) return [date, time];
  return said ? all.slice(0, 2) : all.slice(0, 1);
}

/** How dates that are not of ISO 8601 are read; undefined where there are none. Refuses to guess. */
function orderOf(
  table: CsvTable,
  timeIn: (cells: readonly string[]) => string,
  { dates, file }: CsvOptions,
  notes: Message[],
): DateOrder | undefined {
  function* texts(): Generator<string> {
    for (const row of table.rows()) if ("cells" in row) yield timeIn(row.cells);
  }
  // Nearly all files are of ISO 8601, and long: their first time tells, and they are read as they stand.
  const [first] = texts();
  if (first === undefined || !isOtherDate(first)) return undefined;
  const { sample, order, mixed } = datesIn(texts());
  // With the year first there is but one order.
  if (sample === undefined) return "dmy";
  const text = sample.slice(0, 40);
  if (!dates && !order)
    throw new InputError(mixed ? "mixed-dates" : "ambiguous-dates", { text }, { file, line: table.headerLine });
  const used = dates ?? order!;
  notes.push(message("dates-read", { order: used, text }));
  return used;
}

/** `notes`: where an assumed unit is told; "ask": none is assumed. */
function unitFor(
  parameter: Parameter,
  header: Header,
  where: { file?: string; line: number },
  notes: Message[] | "ask",
): string {
  const dimension = dimensionOf(parameter);
  if (header.unit && !header.zone) {
    if (findUnit(header.unit)!.dimension !== dimension)
      throw new InputError("wrong-unit", { name: header.name, unit: header.unit, parameter }, where);
    return header.unit;
  }
  if (header.zone) throw new InputError("unknown-unit", { name: header.name, unit: header.zone }, where);
  if (notes === "ask") throw new InputError("unit-not-said", { name: header.name, parameter }, where);
  const assumed = defaultUnit(parameter);
  notes.push(message("assumed-unit", { name: header.name, assumed }));
  return assumed;
}

const defaultUnit = (parameter: Parameter): string => (parameter === "waterTemperature" ? "C" : UNIT_OF[parameter]);

/** Names of the first columns, for a fault. */
const listed = (headers: readonly Header[]): string[] => headers.map((header) => header.name).slice(0, 12);
