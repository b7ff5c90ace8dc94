import { InputError } from "../quantity/fault";
import { message, type Message } from "../quantity/message";
import { messageOf, pathOf } from "../quantity/issue";
import { parseNumber } from "../quantity/number";
import { type Dimension, findUnit, parseQuantity } from "../quantity/units";
import {
  type Measure,
  MEASURES,
  TACKLE_KINDS,
  type TackleDraft,
  type TackleItem,
  tackleItemSchema,
} from "../rig/tackle-item";
import { csvTable, eachRow } from "./csv";
import { unguarded, writeCsv } from "./csv-write";
import { readHeader } from "./gauge-csv";
import { demandText } from "./gauge-text";
import { type LineCounts, type Rejection, Tally } from "./tally";

/** How a measure is written in a file: a bare number is in this unit; `scale` takes SI to what is kept. */
const WRITTEN: Record<Measure, { dimension?: Dimension; unit: string; scale: number }> = {
  length: { dimension: "length", unit: "m", scale: 1 },
  grams: { dimension: "mass", unit: "g", scale: 1000 },
  capacity: { dimension: "mass", unit: "g", scale: 1000 },
  test: { dimension: "mass", unit: "kg", scale: 1 },
  diameter: { dimension: "length", unit: "mm", scale: 1 },
  perTurn: { dimension: "length", unit: "m", scale: 1 },
  dives: { dimension: "length", unit: "m", scale: 1 },
  buoyancy: { dimension: "mass", unit: "g", scale: 1000 },
  least: { dimension: "speed", unit: "m/s", scale: 1 },
  best: { dimension: "speed", unit: "m/s", scale: 1 },
  density: { unit: "kg/m3", scale: 1 },
  hook: { unit: "", scale: 1 },
  blade: { unit: "", scale: 1 },
  lasts: { unit: "min", scale: 1 },
};
const NAMES = Object.keys(MEASURES) as Measure[];
const WORDS = ["metal", "material", "form", "flex", "bait"] as const;
const DROP = ["dropGrams", "dropMetal", "dropDepth", "dropSeconds"] as const;
/** A bare number in a file is in the unit of its column; kept values per one of it. */
const PER_UNIT: Partial<Record<Measure, number>> = { diameter: 1000 };
/** More pieces than this are no tackle box. */
export const MOST_PIECES = 2000;

const headOf = (name: Measure): string => (WRITTEN[name].unit ? `${name} (${WRITTEN[name].unit})` : name);

/** The box as a CSV, one piece to a line, SI but for grams and the millimetres of a line. */
export function writeTackle(box: readonly TackleItem[]): string {
  const header = ["kind", "name", "count", ...NAMES.map(headOf), ...WORDS, ...DROP];
  const rows = box.map((item) => [
    item.kind,
    item.name,
    item.count,
    ...NAMES.map((name) => (item[name] === undefined ? null : round(item[name] * (PER_UNIT[name] ?? 1)))),
    ...WORDS.map((name) => item[name] ?? null),
    item.drop?.grams ?? null,
    item.drop?.metal ?? null,
    item.drop?.depth ?? null,
    item.drop?.seconds ?? null,
  ]);
  return writeCsv(header, rows);
}

const round = (value: number): number => Number(value.toPrecision(9));

export interface TackleFile {
  items: TackleDraft[];
  rejected: Rejection[];
  lines: LineCounts;
}

/** What the screens call pieces and measures, beside the names that files have: both are read. */
const KIND_ALIASES: Readonly<Record<string, TackleItem["kind"]>> = {
  mainline: "line",
  sinker: "weight",
  jighead: "head",
  jig: "head",
  softbody: "body",
  softbait: "body",
};
const MEASURE_ALIASES: Readonly<Partial<Record<Measure, readonly string[]>>> = {
  grams: ["weight", "mass"],
  capacity: ["carries"],
  diameter: ["thickness"],
  perTurn: ["lineaturn"],
  dives: ["divesto"],
  buoyancy: ["floatsby"],
  least: ["worksfrom"],
  best: ["bestat"],
};

/** Letters only, so that "Per turn (m)" is perTurn. */
const plain = (cell: string): string =>
  cell
    .replace(/\(.*\)/, "")
    .replace(/[^a-z]/gi, "")
    .toLowerCase();

/**
 * Pieces from a CSV: a column `kind` and one `name`, measures by name; a cell may carry its own unit ("1/8 oz"). A line
 * that is no piece is refused with its number and why.
 * @throws InputError where there is no such table
 */
export function readTackle(text: string, file?: string): TackleFile {
  demandText(text, file);
  const table = csvTable(text, file);
  const names = table.header.map(plain);
  const at = (name: string) =>
    [plain(name), ...(MEASURE_ALIASES[name as Measure] ?? [])]
      .map((one) => names.indexOf(one))
      .find((index) => index >= 0) ?? -1;
  const unitAt = (name: string) => (at(name) < 0 ? undefined : readHeader(table.header[at(name)]!).unit);
  for (const name of ["kind", "name"])
    if (at(name) < 0)
      throw new InputError(
        "no-named-column",
        { parameter: name, columns: table.header },
        { file, line: table.headerLine },
      );
  const tally = new Tally();
  const items: TackleDraft[] = [];
  eachRow(table.rows(), tally, (line, cells) => {
    const cell = (name: string) => unguarded((at(name) < 0 ? "" : (cells[at(name)] ?? "")).trim());
    const made = items.length >= MOST_PIECES ? message("box-full", { most: MOST_PIECES }) : pieceOf(cell, unitAt);
    if ("code" in made) tally.reject(line, made);
    else {
      items.push(made);
      tally.read();
    }
  });
  return { items, rejected: tally.rejected, lines: tally.counts };
}

/** A piece from the cells of a line, or what is wrong with them. */
function pieceOf(cell: (name: string) => string, unitAt: (name: string) => string | undefined): TackleDraft | Message {
  const draft: Record<string, unknown> = {
    kind: kindOf(cell("kind")),
    name: cell("name"),
    count: cell("count") === "" ? null : Number(cell("count")),
  };
  for (const name of NAMES) {
    if (cell(name) === "") continue;
    const value = measureOf(name, cell(name), unitAt(name));
    if (typeof value !== "number") return message("cell-measure", { name, why: value });
    draft[name] = value;
  }
  for (const name of WORDS) if (cell(name) !== "") draft[name] = cell(name).toLowerCase();
  if (DROP.some((name) => cell(name) !== ""))
    draft.drop = {
      grams: Number(cell("dropGrams")),
      metal: cell("dropMetal").toLowerCase(),
      depth: Number(cell("dropDepth")),
      seconds: Number(cell("dropSeconds")),
    };
  const parsed = tackleItemSchema.safeParse(
    { schema: "low-heron/tackle@1", id: "new", updatedAt: "2000-01-01T00:00:00Z", ...draft },
    { reportInput: true },
  );
  if (parsed.success) return draft as TackleDraft;
  const issue = parsed.error.issues[0]!;
  return message("cell-measure", { name: pathOf(issue), why: messageOf(issue) });
}

const kindOf = (text: string): string => {
  const word = plain(text).replace(/s$/, "");
  return TACKLE_KINDS.find((kind) => word === kind.replace(/s$/, "")) ?? KIND_ALIASES[word] ?? word;
};

/** A measure as it is kept, or why it is none; `stated`: the unit of a bare number, where its column names one. */
export function measureOf(name: Measure, text: string, stated?: string): number | Message {
  const { dimension, unit: usual, scale } = WRITTEN[name];
  // A bare number is in the unit of its column.
  const unit = stated && findUnit(stated)!.dimension === dimension ? stated : usual;
  if (name === "hook") return hookNumber(text);
  if (!dimension) {
    const number = parseNumber(text);
    return number.ok ? number.value : number.message;
  }
  const parsed = parseQuantity(text, dimension, unit);
  return parsed.ok ? Number((parsed.value * scale).toPrecision(12)) : parsed.message;
}

/** "12" is 12; "1/0" is 0, "2/0" is -1. */
function hookNumber(text: string): number | Message {
  const over = /^(\d{1,2})\s*\/\s*0$/.exec(text.trim());
  if (over) return 1 - Number(over[1]);
  const number = parseNumber(text);
  return number.ok ? number.value : number.message;
}
