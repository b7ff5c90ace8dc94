import { NO_WEATHER, type Weather, type WeatherHour } from "../gauge/weather";
import { InputError } from "../quantity/fault";
import { type Message, message } from "../quantity/message";
import { type DecimalMark, parseNumber } from "../quantity/number";
import { type Dimension, findUnit, toSI } from "../quantity/units";
import { columnMark, csvTable, eachRow } from "./csv";
import { readHeader } from "./gauge-csv";
import { demandText } from "./gauge-text";
import { instantReader, zoneOfFile } from "./instant";
import { type LineCounts, type Rejection, Tally } from "./tally";

type Kind = Exclude<keyof WeatherHour, "time">;

/** Words by which a column is known. */
const NAMES: readonly (readonly [RegExp, Kind | "time"])[] = [
  [/^(date|time|datetime|date_?time|date time|timestamp|instant)$/, "time"],
  [/^wind([ _]?speed)?$/, "wind"],
  [/^(wind[ _]?)?gusts?$/, "gust"],
  [/^(wind[ _]?)?(from|dir|direction)$/, "windFrom"],
  [/^(clouds?([ _]?cover)?|cloudiness)$/, "cloud"],
  [/^(air[ _]?)?(temperature|temp)$|^air$/, "air"],
  [/^(rain(fall)?|precip(itation)?)$/, "rain"],
  [/^(thunder(storms?)?|lightning)$/, "thunder"],
];

const DIMENSION: Partial<Record<Kind, Dimension>> = {
  wind: "speed",
  gust: "speed",
  air: "temperature",
  rain: "length",
};
/** What no air does: wider than any record (WMO archive of extremes, from memory). SI, rain in mm. */
const BOUNDS: Record<Exclude<Kind, "thunder">, readonly [number, number]> = {
  wind: [0, 120],
  gust: [0, 150],
  windFrom: [0, 360],
  cloud: [0, 1],
  air: [-90, 60],
  rain: [0, 450],
};
/** Hours of a forecast at most: three months. */
const MOST_HOURS = 2200;
const COMPASS = ["n", "nne", "ne", "ene", "e", "ese", "se", "sse", "s", "ssw", "sw", "wsw", "w", "wnw", "nw", "nnw"];
const YES = /^(yes|true|1|y)$/i;
const NO = /^(no|false|0|n)$/i;
const MILLIMETRES = 1000;

interface Column {
  index: number;
  kind: Kind;
  name: string;
  /** SI value of a number that stands in the column. */
  si: (value: number) => number;
  mark: DecimalMark | undefined;
}

export interface WeatherFile {
  weather: Weather;
  rejected: Rejection[];
  lines: LineCounts;
  notes: Message[];
}

/**
 * Hours of weather from a CSV: columns by name and unit (time; wind, gust, wind direction, cloud, air temperature,
 * rain, thunder), some of them. Wind and gust need their unit, cloud is in percent or oktas, a direction in degrees
 * or as a point of the compass.
 * @param issued ms; when the forecast was made, or was read
 * @throws InputError where the file as a whole is none
 */
export function readWeatherCsv(
  text: string,
  { issued, file, zone: zoneName }: { issued: number; file?: string; zone?: string },
): WeatherFile {
  demandText(text, file);
  const table = csvTable(text, file);
  const headers = table.header.map(readHeader);
  const where = { file, line: table.headerLine };
  const kinds = headers.map(({ name }) => NAMES.find(([pattern]) => pattern.test(name))?.[1]);
  const timeColumn = kinds.indexOf("time");
  if (timeColumn < 0) throw new InputError("no-time-column", { columns: headers.map(({ name }) => name) }, where);
  const columns = headers.flatMap((header, index): Column[] => {
    const kind = kinds[index];
    if (!kind || kind === "time" || kinds.indexOf(kind) < index) return [];
    return [{ index, kind, name: header.name, si: unitOf(kind, header, where), mark: columnMark(table, index) }];
  });
  if (columns.length === 0)
    throw new InputError("no-weather-column", { columns: headers.map(({ name }) => name) }, where);
  const named = headers[timeColumn]!.zone;
  const zone = zoneOfFile(named, zoneName);
  if (!zone) throw new InputError("unknown-zone", { zone: zoneName ?? named }, where);
  const read = instantReader(zone.zone);

  const tally = new Tally();
  const hours = new Map<number, WeatherHour>();
  let unzoned = 0;
  eachRow(table.rows(), tally, (line, cells) => {
    const instant = read(cells[timeColumn]!.trim());
    if (!instant.ok) return tally.reject(line, instant.reason);
    if (hours.has(instant.time)) return tally.reject(line, message("hour-twice"));
    if (!instant.zoned) unzoned++;
    const hour: WeatherHour = { time: instant.time, ...NO_WEATHER };
    let [told, bad] = [0, 0];
    for (const column of columns) {
      const cell = (cells[column.index] ?? "").trim();
      if (cell === "") continue;
      if (take(hour, column, cell)) told++;
      else {
        bad++;
        tally.reject(line, message("not-weather", { name: column.name, text: cell.slice(0, 40) }));
      }
    }
    if (told > 0) hours.set(instant.time, hour);
    if (bad === 0 && told > 0) tally.read();
    else if (bad === 0) tally.gap();
    if (hours.size > MOST_HOURS) throw new InputError("too-many-hours", { most: MOST_HOURS }, where);
  });
  if (hours.size === 0) {
    const first = tally.ordered()[0];
    throw new InputError("no-weather", { line: first?.line, reason: first?.reason }, { file, line: first?.line });
  }
  return {
    weather: { issued, hours: [...hours.values()].sort((a, b) => a.time - b.time) },
    rejected: tally.ordered(),
    lines: tally.counts,
    notes: unzoned && zone.name === undefined ? [message("no-offset", { unzoned })] : [],
  };
}

/** Reads one cell into an hour; false where it is no such thing. */
function take(hour: WeatherHour, { kind, si, mark }: Column, cell: string): boolean {
  if (kind === "thunder") {
    if (!YES.test(cell) && !NO.test(cell)) return false;
    hour.thunder = YES.test(cell);
    return true;
  }
  const point = kind === "windFrom" ? COMPASS.indexOf(cell.toLowerCase()) : -1;
  const parsed = parseNumber(cell, mark);
  const value = point >= 0 ? point * 22.5 : parsed.ok ? si(parsed.value) : NaN;
  const [least, most] = BOUNDS[kind];
  if (!(value >= least && value <= most)) return false;
  hour[kind] = kind === "windFrom" ? value % 360 : value;
  return true;
}

/** How a column's numbers become SI. */
function unitOf(
  kind: Kind,
  { name, unit, zone }: ReturnType<typeof readHeader>,
  where: { file?: string; line: number },
): (value: number) => number {
  const dimension = DIMENSION[kind];
  if (!dimension) {
    const oktas = /^oktas?$/i.test(zone ?? "");
    if (kind === "cloud" && zone !== undefined && !oktas && zone !== "%")
      throw new InputError("unknown-unit", { name, unit: zone }, where);
    return kind === "cloud" ? (value) => value / (oktas ? 8 : 100) : (value) => value;
  }
  if (zone !== undefined) throw new InputError("unknown-unit", { name, unit: zone }, where);
  if (unit === undefined && kind !== "air" && kind !== "rain") throw new InputError("unit-not-said", { name }, where);
  const found = findUnit(unit ?? (kind === "air" ? "C" : "mm"))!;
  if (found.dimension !== dimension) throw new InputError("wrong-unit", { name, unit, parameter: kind }, where);
  const millimetres = found.factor * MILLIMETRES;
  return kind === "rain" ? (value) => value * millimetres : (value) => toSI(value, found);
}
