import { message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { numberIn } from "../quantity/number";
import { findUnit, toSI } from "../quantity/units";
import { columnMark, csvTable, eachRow } from "./csv";
import { readHeader } from "./gauge-csv";
import { readInstant, UTC } from "./instant";
import { type Frame, SoundingsGathering, type SoundingsFile } from "./soundings-text";

const PAIRS: readonly { frame: Frame; a: RegExp; b: RegExp }[] = [
  { frame: "geographic", a: /^(lon|lng|long|longitude)$/, b: /^(lat|latitude)$/ },
  { frame: "projected", a: /^(e|east|easting)$/, b: /^(n|north|northing)$/ },
  { frame: "reach", a: /^(x|down|chainage|distance)$/, b: /^(y|across|offset)$/ },
];
const DEPTH = /^(depth|water.?depth|sounding)$/;
const HEIGHT = /^(z|height|level|elevation|bed|bed.?level)$/;
const TIME = /^(time|datetime|date.?time|timestamp|utc)$/;

/**
 * Soundings of a CSV: two columns for the place (latitude and longitude, easting and northing, or x and y), one for
 * depth or height, perhaps a time.
 */
export function readSoundingsCsv(text: string, file?: string): SoundingsFile {
  const table = csvTable(text, file);
  const headers = table.header.map(readHeader);
  const where = { file, line: table.headerLine };
  const column = (pattern: RegExp) => headers.findIndex((header) => pattern.test(header.name));
  const pair = PAIRS.find(({ a, b }) => column(a) >= 0 && column(b) >= 0);
  const names = headers
    .map((header) => header.name || "(empty)")
    .slice(0, 12)
    .join(", ");
  if (!pair) throw new InputError("no-place-columns", { names }, where);
  const measure = column(DEPTH) >= 0 ? "depth" : "height";
  const valueColumn = measure === "depth" ? column(DEPTH) : column(HEIGHT);
  if (valueColumn < 0) throw new InputError("no-depth-column", { names }, where);
  const header = headers[valueColumn]!;
  const unit = findUnit(header.unit ?? "m")!;
  if (header.zone || unit.dimension !== "length")
    throw new InputError("not-a-length", { name: header.name, unit: header.zone ?? header.unit }, where);
  const [a, b, time] = [column(pair.a), column(pair.b), column(TIME)];
  const gathering = new SoundingsGathering(pair.frame, measure, file);
  if (!header.unit) gathering.notes.push(message("assumed-metres", { name: header.name }));
  const marks = new Map([a, b, valueColumn].map((index) => [index, columnMark(table, index)]));
  eachRow(table.rows(), gathering.tally, (line, cells) => {
    const number = (index: number) => numberIn(cells[index]!, marks.get(index));
    const instant = time >= 0 && cells[time]!.trim() !== "" ? readInstant(cells[time]!, UTC) : undefined;
    if (instant && !instant.ok) gathering.reject(line, instant.reason);
    else gathering.take(line, number(a), number(b), toSI(number(valueColumn), unit), instant?.time);
  });
  return gathering.finish();
}
