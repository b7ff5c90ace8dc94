import { type Message, message } from "../quantity/message";
import { type DecimalMark, parseNumber, type ParsedNumber } from "../quantity/number";
import { HIGHEST, MOST_DISCHARGE } from "../quantity/bounds";
import { InputError } from "../quantity/fault";
import { type Parameter, type Series, seriesFromColumns, UNIT_OF } from "../gauge/series";
import type { GaugeRecord } from "../gauge/summary";
import { type Dimension, findUnit, FOOT, toSI } from "../quantity/units";
import { LARGEST_FILE } from "./largest-file";
import { type LineCounts, type Rejection, Tally } from "./tally";

export interface GaugeFile extends GaugeRecord {
  rejected: Rejection[];
  /** What became of the data lines: the three add up to all of them. */
  lines: LineCounts;
  /** Codes that stood in place of numbers, and how often: counted as gaps. */
  codes: Record<string, number>;
  /** Things worth knowing that cost no data. */
  notes: Message[];
  /** Zone of the IANA database that the file names for its times. */
  zone?: string;
  /** It is written in feet and cubic feet. */
  customary?: true;
}

/**
 * Codes that agencies write in place of a number (USGS NWIS help: "Ice", "Eqp", "Dis", "Rat", "Mnt", "Bkw", "Ssn",
 * "***" ...).
 */
const CODES = new Set([
  "ice",
  "eqp",
  "dis",
  "rat",
  "mnt",
  "bkw",
  "ssn",
  "***",
  "pr",
  "fld",
  "tst",
  "pmp",
  "--",
  "-",
  "na",
  "n/a",
  "null",
  "m",
  "missing",
  "-999999",
  "-9999",
  "-999",
]);

/** Codes of no flow (the same help): a reading of zero, not a missing one. */
const NO_FLOW = new Set(["zfl", "dry"]);
/** Negative flows from which a river runs back with the tide, and so many different ones: a code repeats itself. */
const EBB = { least: 12, different: 6, share: 0.005 };

const DIMENSION_OF: Partial<Record<Parameter, Dimension>> = {
  discharge: "discharge",
  stage: "length",
  waterTemperature: "temperature",
  turbidity: "turbidity",
  airPressure: "pressure",
  rain: "length",
};

/** Refuses what is not text: empty, or holding bytes that no text file holds. */
export function demandText(text: string, file?: string): void {
  if (text.trim() === "") throw new InputError("empty-file", {}, { file });
  if (text.length > LARGEST_FILE)
    throw new InputError("file-too-large", { megabytes: LARGEST_FILE / 1048576 }, { file });
  const head = text.slice(0, 4096);
  let odd = 0;
  for (const char of head) {
    const code = char.codePointAt(0)!;
    if (code === 0) throw new InputError("binary-file", {}, { file, line: 1 });
    if ((code < 32 && code !== 9 && code !== 10 && code !== 13) || code === 0xfffd) odd++;
  }
  if (odd > head.length * 0.02) throw new InputError("binary-file", {}, { file, line: 1 });
}

/** A number as nearly all files write it: read at once. */
const PLAIN = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;

export interface Column {
  index: number;
  parameter: Parameter;
  unitName: string;
}

/** Gathers the readings of a file column by column, and what was refused. */
export class Gathering {
  readonly tally = new Tally();
  readonly codes: Record<string, number> = {};
  private readonly times: number[] = [];
  /** For each of them its line, and what became of it. */
  private readonly lines: number[] = [];
  private readonly became: ("read" | "gaps" | "rejected")[] = [];
  private readonly readings: number[][];
  /** Negative flows: of a river that runs back, or wrong; the whole file tells. */
  private readonly ebb: { row: number; column: number; cell: string }[] = [];
  private readonly units;

  /** `marks`: the decimal mark of each column, where its own cells tell it. */
  constructor(
    private readonly columns: readonly Column[],
    private readonly marks: readonly (DecimalMark | undefined)[] = [],
  ) {
    this.readings = columns.map(() => []);
    this.units = columns.map((column) => findUnit(column.unitName));
  }

  /** Is a column in feet, or cubic feet? */
  get customary(): { customary?: true } {
    const isFeet = this.units.some((unit) => unit && (unit.factor === FOOT || unit.factor === FOOT ** 3));
    return isFeet ? { customary: true } : {};
  }

  reject(line: number, reason: Message): void {
    this.tally.reject(line, reason);
  }

  /** Takes one row's cells at `time`. A bad cell is refused and becomes a gap; the others of the row are kept. */
  take(line: number, time: number, cells: readonly (string | undefined)[]): void {
    this.times.push(time);
    this.lines.push(line);
    const before = this.tally.counts.rejected;
    let any = false;
    for (let k = 0; k < this.columns.length; k++) {
      const column = this.columns[k]!;
      const value = this.valueOf(line, column, (cells[column.index] ?? "").trim(), k);
      this.readings[k]!.push(value);
      any ||= !Number.isNaN(value);
    }
    this.note(this.tally.counts.rejected > before ? "rejected" : any ? "read" : "gaps");
  }

  private note(became: "read" | "gaps" | "rejected"): void {
    this.became.push(became);
    if (became === "read") this.tally.read();
    if (became === "gaps") this.tally.gap();
  }

  /** A reading that the gauge gave as missing, and its reason. */
  missing(line: number, time: number, reason: string): void {
    this.count(reason);
    this.times.push(time);
    this.lines.push(line);
    for (const readings of this.readings) readings.push(NaN);
    this.note("gaps");
  }

  private count(code: string): void {
    this.codes[code] = (this.codes[code] ?? 0) + 1;
  }

  /** Of two lines at one instant the later stands; the earlier is told. */
  private tellRepeated(): void {
    if (this.times.every((time, k) => k === 0 || time > this.times[k - 1]!)) return;
    const last = new Map<number, number>();
    this.times.forEach((time, k) => last.set(time, k));
    this.times.forEach((time, k) => {
      const by = last.get(time)!;
      const was = this.became[k]!;
      if (by === k || was === "rejected") return;
      this.tally.withdraw(this.lines[k]!, was, message("repeated-instant", { line: this.lines[by]! }));
      this.became[k] = "rejected";
    });
  }

  /** Negative flows are kept where a tide could have made them, and refused where they are stray or a code. */
  private judgeEbb(): void {
    const different = new Set(this.ebb.map(({ row, column }) => this.readings[column]![row]));
    const { least, different: enough, share } = EBB;
    if (this.ebb.length >= Math.max(least, share * this.times.length) && different.size >= enough) return;
    for (const { row, column, cell } of this.ebb.splice(0)) {
      this.readings[column]![row] = NaN;
      const reason = message("is-negative", { parameter: this.columns[column]!.parameter, cell });
      const was = this.became[row]!;
      if (was === "rejected") this.tally.add(this.lines[row]!, reason);
      else this.tally.withdraw(this.lines[row]!, was, reason);
      this.became[row] = "rejected";
    }
  }

  private valueOf(line: number, column: Column, cell: string, k: number): number {
    if (cell === "") return NaN;
    const isFlow = column.parameter === "discharge";
    if (NO_FLOW.has(cell.toLowerCase())) {
      if (isFlow) return 0;
      this.count(cell);
      return NaN;
    }
    const mark = this.marks[k];
    const parsed: ParsedNumber =
      mark !== "," && PLAIN.test(cell) ? { ok: true, value: Number(cell) } : parseNumber(cell, mark);
    const number = parsed.ok ? parsed.value : NaN;
    if ((Number.isNaN(number) || number <= -999) && CODES.has(cell.toLowerCase())) {
      this.count(cell);
      return NaN;
    }
    if (!Number.isFinite(number)) {
      const asked = !parsed.ok && parsed.message.code === "ambiguous-comma";
      this.reject(
        line,
        asked
          ? message("ambiguous-cell", { ...parsed.message.values, parameter: column.parameter })
          : message("not-a-reading", { parameter: column.parameter, text: cell.slice(0, 40) }),
      );
      return NaN;
    }
    const unit = this.units[k];
    // Rain is kept in millimetres, as everybody says it.
    const value = unit ? toSI(number, unit) * (column.parameter === "rain" ? 1000 : 1) : number;
    if (isFlow && value < 0 && -value <= MOST_DISCHARGE) {
      this.ebb.push({ row: this.times.length - 1, column: k, cell: cell.slice(0, 40) });
      return value;
    }
    const fault = impossible(column.parameter, value);
    if (fault) {
      this.reject(line, message(fault, { parameter: column.parameter, cell: cell.slice(0, 40) }));
      return NaN;
    }
    return value;
  }

  /** The series with at least one true reading; with none at all the file is refused. */
  finish(file?: string): Series[] {
    const series = this.series();
    if (series.length === 0) {
      const first = this.tally.ordered()[0];
      throw new InputError("no-readings", { line: first?.line, reason: first?.reason }, { file, line: first?.line });
    }
    return series;
  }

  /** The series with at least one true reading. */
  series(): Series[] {
    this.judgeEbb();
    this.tellRepeated();
    return this.columns
      .map((column, k) => ({
        ...seriesFromColumns(column.parameter, this.times, this.readings[k]!),
        unit: UNIT_OF[column.parameter] || column.unitName,
      }))
      .filter((entry) => entry.values.some((value) => !Number.isNaN(value)));
  }
}

/** More than this in one reading, even of a day, has hardly ever fallen, mm (WMO archive of extremes, from memory). */
const MOST_RAIN = 2000;

/** Why a reading cannot be, or undefined. Bounds are wide: they catch wrong units and broken sensors, not floods. */
function impossible(parameter: Parameter, value: number): string | undefined {
  if (parameter === "discharge" && value < -MOST_DISCHARGE) return "is-negative";
  if (parameter === "discharge" && value > MOST_DISCHARGE) return "is-too-much";
  if (parameter === "stage" && Math.abs(value) > HIGHEST) return "is-no-stage";
  if (parameter === "turbidity" && (value < 0 || value > 100_000)) return "is-no-turbidity";
  if (parameter === "waterTemperature" && (value < -3 || value > 50)) return "is-no-temperature";
  if (parameter === "rain" && (value < 0 || value > MOST_RAIN)) return "is-no-rain";
  if (parameter === "airPressure" && (value < 500 || value > 1100)) return "is-no-pressure";
  return undefined;
}

/** Two counts by code as one. */
export const addCounts = (
  a: Readonly<Record<string, number>>,
  b: Readonly<Record<string, number>>,
): Record<string, number> =>
  Object.fromEntries(
    [...new Set([...Object.keys(a), ...Object.keys(b)])].map((code) => [code, (a[code] ?? 0) + (b[code] ?? 0)]),
  );

/** The first column wins when two carry the same parameter; the others become a note. */
export function oncePerParameter(
  columns: readonly Column[],
  notes: Message[],
  nameOf: (column: Column) => string,
): Column[] {
  const taken = new Set<Parameter>();
  return columns.filter((column) => {
    if (!taken.has(column.parameter)) return Boolean(taken.add(column.parameter));
    notes.push(message("column-left-out", { name: nameOf(column), parameter: column.parameter }));
    return false;
  });
}

export const dimensionOf = (parameter: Parameter): Dimension | undefined => DIMENSION_OF[parameter];
