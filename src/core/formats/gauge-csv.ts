import Papa from "papaparse";
import { InputError } from "../errors";
import { type Parameter, UNIT_OF } from "../gauge/series";
import { findUnit } from "../quantity/units";
import { type Column, demandText, dimensionOf, type GaugeFile, Gathering, oncePerParameter } from "./gauge-text";
import { ianaZone, readInstant, UTC } from "./instant";

/** Words by which a column is known. The longest match wins. */
const NAMES: readonly (readonly [RegExp, Parameter | "time"])[] = [
  [/^(date|time|datetime|date_?time|date time|timestamp|instant|at|when|sample_?time)$/, "time"],
  [/^(discharge|flow|streamflow|q)$/, "discharge"],
  [/^(stage|level|gage height|gauge height|gage_height|gauge_height|height|water level|water_level|river level)$/, "stage"],
  [/^(water temperature|water_temperature|watertemperature|water temp|water_temp|watertemp|temperature|temp|wtemp)$/, "waterTemperature"],
  [/^(turbidity|turb)$/, "turbidity"],
  [/^(air pressure|air_pressure|airpressure|pressure|barometer)$/, "airPressure"],
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
  const name = (bracketed ? bracketed[1]! : tail && (findUnit(tail[2]!) || /^utc$/i.test(tail[2]!)) ? tail[1]! : text).trim().toLowerCase();
  const inside = (bracketed?.[2] ?? (tail && name !== text.toLowerCase() ? tail[2] : undefined))?.trim();
  return { name, unit: inside && findUnit(inside) ? inside : undefined, zone: inside && !findUnit(inside) ? inside : undefined };
}

const kindOf = (name: string): Parameter | "time" | undefined => NAMES.find(([pattern]) => pattern.test(name))?.[1];

/**
 * A CSV of readings: columns matched by name and unit, one of them a time. Delimiter found by itself.
 * `zone` is the IANA zone of clock times without an offset; without it they are read as UTC and the notes say so.
 */
export function readGaugeCsv(text: string, options: { zone?: string; file?: string } = {}): GaugeFile {
  const { file } = options;
  demandText(text, file);
  const parsed = Papa.parse<string[]>(text, { delimitersToGuess: [",", ";", "\t", "|"], skipEmptyLines: false });
  const rows = parsed.data;
  const headerRow = rows.findIndex((row) => row.some((cell) => cell.trim() !== "") && !row[0]!.startsWith("#"));
  if (headerRow < 0) throw new InputError("no-header", "The file holds only comments.", { file, line: 1 });
  const headers = (rows[headerRow] ?? []).map(readHeader);
  const timeColumn = headers.findIndex((header) => kindOf(header.name) === "time");
  const where = { file, line: headerRow + 1 };
  if (timeColumn < 0) throw new InputError("no-time-column", `No column is named as a time (time, datetime, timestamp). The columns are: ${listed(headers)}.`, where);

  const notes: string[] = [];
  const columns = oncePerParameter(headers.flatMap((header, index): Column[] => {
    const kind = kindOf(header.name);
    if (!kind || kind === "time") return [];
    return [{ index, parameter: kind, unitName: unitFor(kind, header, where, notes) }];
  }), notes, (column) => headers[column.index]!.name);
  if (columns.length === 0) throw new InputError("no-known-column", `No column gives discharge, stage, water temperature or turbidity. The columns are: ${listed(headers)}.`, where);

  const zoneName = options.zone ?? headers[timeColumn]!.zone;
  const zone = zoneName ? (/^(utc|gmt|z)$/i.test(zoneName) ? UTC : ianaZone(zoneName)) : UTC;
  if (!zone) throw new InputError("unknown-zone", `“${zoneName}” is not a time zone known here.`, where);

  const gathering = new Gathering(columns);
  let previous = -Infinity;
  let unzoned = 0;
  // Papa keeps one row a line unless a quoted cell holds a line break; count those too so that line numbers stay true.
  let line = headerRow + 1;
  for (const row of rows.slice(headerRow + 1)) {
    line++;
    const here = line;
    line += row.reduce((breaks, cell) => breaks + (cell.match(/\n/g)?.length ?? 0), 0);
    if (row.every((cell) => cell.trim() === "") || row[0]!.startsWith("#")) continue;
    if (row.length < headers.length) {
      gathering.reject(here, `the line has ${row.length} of ${headers.length} cells`);
      continue;
    }
    const stamp = row[timeColumn]!;
    const instant = readInstant(stamp, zone, previous);
    if (!instant.ok) {
      gathering.reject(here, instant.reason);
      continue;
    }
    if (!/(Z|UTC|GMT|[+-]\d{2}:?\d{2})\s*$/i.test(stamp.replace(/^\d{4}-\d{2}-\d{2}/, ""))) unzoned++;
    previous = instant.time;
    gathering.take(here, instant.time, row);
  }
  const series = gathering.finish(file);
  if (unzoned && !zoneName) notes.push(`${unzoned} times have no offset and no zone was stated: they were read as UTC.`);
  return { station: { id: "", name: "" }, series, rejected: gathering.rejected, codes: gathering.codes, notes };
}

function unitFor(parameter: Parameter, header: Header, where: { file?: string; line: number }, notes: string[]): string {
  const dimension = dimensionOf(parameter);
  if (header.unit) {
    if (findUnit(header.unit)!.dimension !== dimension) throw new InputError("wrong-unit", `Column “${header.name}” is in ${header.unit}, which does not measure ${parameter}.`, where);
    return header.unit;
  }
  if (header.zone) throw new InputError("unknown-unit", `Column “${header.name}” is in “${header.zone}”, a unit not known here.`, where);
  const assumed = parameter === "waterTemperature" ? "C" : UNIT_OF[parameter];
  notes.push(`Column “${header.name}” names no unit: ${assumed} was taken.`);
  return assumed;
}

const listed = (headers: readonly Header[]): string => headers.map((header) => header.name || "(empty)").slice(0, 12).join(", ");
