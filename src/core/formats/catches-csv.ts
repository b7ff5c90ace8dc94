import { message, type Message } from "../quantity/message";
import { type Dimension, parseQuantity } from "../quantity/units";
import type { Stretch } from "../book/bank-records";
import { hoursOf, rodHours } from "../book/effort";
import { type Catch, FINS, LOST_CAUSES, type Session } from "../book/records";
import { csvTable, eachRow } from "./csv";
import { unguarded, writeCsv } from "./csv-write";
import { type DateOrder, type DatesSeen, datesIn, isOtherDate, isoDate } from "./date-order";
import { demandText } from "./gauge-text";
import { readInstant, type Zone } from "./instant";
import { type LineCounts, type Rejection, Tally } from "./tally";

/** Fish and sessions as CSV, SI and ISO 8601; fish back in, their columns matched by name or by hand. */

/** What a column can hold, with the names under which it is known by itself. */
export const CATCH_COLUMNS = {
  at: ["at", "time", "datetime", "date", "when", "caught"],
  species: ["species", "fish", "kind"],
  length: ["length", "size"],
  weight: ["weight", "mass"],
  girth: ["girth"],
  lie: ["lie", "place", "spot", "where", "location"],
  lure: ["lure", "bait", "fly"],
  colour: ["colour", "color"],
  piece: ["piece"],
  fin: ["fin"],
  lost: ["lost"],
  kept: ["kept"],
  angler: ["angler", "partner"],
  notes: ["notes", "note", "comment", "remarks"],
} as const;
export type CatchColumn = keyof typeof CATCH_COLUMNS;
export const CATCH_COLUMN_NAMES = Object.keys(CATCH_COLUMNS) as CatchColumn[];

const HEADER = [
  "at",
  "reach",
  "species",
  "length (m)",
  "weight (kg)",
  "girth (m)",
  "lie",
  "lure",
  "colour",
  "piece",
  "method",
  "depth (m)",
  "cast",
  "rod",
  "angler",
  "fin",
  "lost",
  "kept",
  "discharge (m3/s)",
  "stage (m)",
  "water (degC)",
  "visibleDepth (m)",
  "exceedance",
  "trend",
  "notes",
];

/** Fish, one to a line, with the river of their hour. */
export function writeCatches(
  catches: readonly Catch[],
  sessions: readonly Session[],
  reachName: (id: string) => string,
): string {
  const reaches = new Map(sessions.map((one) => [one.id, reachName(one.reach)]));
  return writeCsv(
    HEADER,
    catches.map((one) => [one.at, reaches.get(one.session) ?? "", ...saidOf(one), ...riverOf(one), one.notes]),
  );
}

type Cell = string | number | null;

const saidOf = (one: Catch): Cell[] => [
  one.species,
  one.length,
  ...[one.weight, one.girth].map((size) => size ?? null),
  one.lie,
  one.lure,
  one.colour ?? "",
  one.piece ?? "",
  one.method ?? "",
  ...[one.depth, one.cast, one.rod].map((size) => size ?? null),
  one.angler ?? "",
  one.fin ?? "",
  one.lost ?? "",
  one.kept === undefined ? "" : one.kept ? "yes" : "no",
];

const riverOf = ({ river }: Catch): Cell[] =>
  river
    ? [river.discharge, river.stage, river.waterTemperature, river.visibleDepth, river.exceedance, river.trend]
    : [null, null, null, null, null, null];

/** Sessions, one stretch of effort to a line where they were kept in stretches, else the whole session. */
export function writeEffort(
  sessions: readonly Session[],
  stretches: readonly Stretch[],
  reachName: (id: string) => string,
  now: number,
): string {
  const header = [
    "session",
    "reach",
    "species",
    "rod",
    "angler",
    "start",
    "end",
    "rodHours",
    "lie",
    "method",
    "lure",
    "colour",
    "piece",
    "depth (m)",
    "casts",
    "discharge (m3/s)",
    "trend",
    "notes",
  ];
  const rows = sessions.flatMap((session) => {
    const own = stretches.filter((one) => one.session === session.id && !one.deleted);
    const head = [session.id, reachName(session.reach), session.species];
    if (own.length === 0)
      return [
        [
          ...head,
          session.rods,
          "",
          session.start,
          session.end ?? "",
          rodHours(session, now),
          ...["", "", "", "", "", null, null],
          session.river?.discharge ?? null,
          session.river?.trend ?? "",
          session.notes,
        ],
      ];
    return own.map((one) => [
      ...head,
      one.rod,
      one.angler,
      one.start,
      one.end ?? "",
      hoursOf(one, now),
      one.lie,
      one.method ?? "",
      one.lure,
      one.colour,
      one.piece,
      one.depth,
      one.casts.reduce((sum, { count }) => sum + count, 0),
      one.river?.discharge ?? null,
      one.river?.trend ?? "",
      session.notes,
    ]);
  });
  return writeCsv(header, rows);
}

/** A fish as a file tells it. */
export interface CatchDraft extends Pick<Catch, "species" | "length" | "lie" | "lure" | "notes"> {
  /** ms */
  at: number;
  weight?: number;
  girth?: number;
  colour?: string;
  piece?: string;
  angler?: string;
  fin?: Catch["fin"];
  lost?: Catch["lost"];
  kept?: boolean;
}

export interface CatchFile {
  drafts: CatchDraft[];
  rejected: Rejection[];
  lines: LineCounts;
}

/** Which column of a file holds what; null: nothing. */
export type CatchMatch = Record<CatchColumn, number | null>;

const plain = (cell: string): string =>
  cell
    .replace(/\(.*\)/, "")
    .replace(/[^a-z]/gi, "")
    .toLowerCase();

/** The header of a file, and what its columns seem to hold. */
export function catchColumns(text: string, file?: string): { header: string[]; match: CatchMatch } {
  demandText(text, file);
  const { header } = csvTable(text, file);
  const names = header.map(plain);
  const match = Object.fromEntries(
    CATCH_COLUMN_NAMES.map((name) => {
      const at = CATCH_COLUMNS[name].map((one) => names.indexOf(one)).find((index) => index >= 0);
      return [name, at ?? null];
    }),
  ) as CatchMatch;
  return { header, match };
}

/** What the dates of a file tell of their order; `sample` where it must be asked for. */
export function datesOf(text: string, { at }: CatchMatch, file?: string): DatesSeen {
  function* texts(): Generator<string> {
    for (const row of csvTable(text, file).rows()) if ("cells" in row) yield cellAt(row.cells, at);
  }
  return datesIn(texts());
}

export interface CatchReading {
  match: CatchMatch;
  /** Zone of clock readings without an offset, and which comes first in dates that are not of ISO 8601. */
  zone: Zone;
  dates: DateOrder | undefined;
  /** Id of a species from what a cell says; undefined where there is none of that name. */
  species: (text: string) => string | undefined;
  /** What a fish is where no column says. */
  usual: string;
  /** Units of bare numbers. */
  units: { length: string; weight: string };
  /** Nothing later than that is taken, ms. */
  now: number;
}

/**
 * Fish of a CSV, each line taken or refused with its number and why.
 * @throws InputError where there is no such table
 */
export function readCatches(text: string, reading: CatchReading, file?: string): CatchFile {
  demandText(text, file);
  const table = csvTable(text, file);
  const tally = new Tally();
  const drafts: CatchDraft[] = [];
  const order = reading.dates ?? datesOf(text, reading.match, file).order;
  eachRow(table.rows(), tally, (line, cells) => {
    const made = draftOf((name) => cellAt(cells, reading.match[name]), { ...reading, dates: order });
    if ("code" in made) tally.reject(line, made);
    else {
      drafts.push(made);
      tally.read();
    }
  });
  return { drafts, rejected: tally.ordered(), lines: tally.counts };
}

const cellAt = (cells: readonly string[], index: number | null): string =>
  index === null ? "" : unguarded((cells[index] ?? "").trim());

function draftOf(cell: (name: CatchColumn) => string, reading: CatchReading): CatchDraft | Message {
  const at = timeOf(cell("at"), reading);
  if (typeof at === "object") return at;
  if (at > reading.now) return message("catch-in-future");
  const named = cell("species");
  const species = named ? reading.species(named) : reading.usual;
  if (species === undefined) return message("catch-no-species", { text: named.slice(0, 40) });
  const sizes: Partial<Record<"length" | "weight" | "girth", number>> = {};
  for (const [name, dimension, unit, most] of [
    ["length", "length", reading.units.length, 4],
    ["girth", "length", reading.units.length, 4],
    ["weight", "mass", reading.units.weight, 500],
  ] as const) {
    const size = sizeOf(cell(name), dimension, unit, most);
    if (typeof size === "object") return message("cell-measure", { name, why: size });
    if (size !== undefined) sizes[name] = size;
  }
  const fin = FINS.find((one) => one === cell("fin").toLowerCase());
  const lost = cell("lost").toLowerCase();
  const kept = cell("kept").toLowerCase();
  return {
    at,
    species,
    lie: cell("lie").slice(0, 120),
    lure: cell("lure").slice(0, 120),
    notes: cell("notes").slice(0, 2000),
    ...sizes,
    length: sizes.length ?? null,
    ...(cell("colour") && { colour: cell("colour").slice(0, 40) }),
    ...(cell("piece") && { piece: cell("piece").slice(0, 60) }),
    ...(cell("angler") && { angler: cell("angler").slice(0, 60) }),
    ...(fin && { fin }),
    ...(lost && !NO.has(lost) && { lost: LOST_CAUSES.find((one) => one === lost) ?? ("unknown" as const) }),
    ...((YES.has(kept) || NO.has(kept)) && { kept: YES.has(kept) }),
  };
}

/** The instant of a cell, ms, or why there is none: a date of either order is not guessed. */
function timeOf(text: string, { zone, dates }: CatchReading): number | Message {
  if (text === "") return message("catch-no-time");
  if (!dates && isOtherDate(text) && datesIn([text]).sample !== undefined)
    return message("catch-either-date", { text: text.slice(0, 40) });
  const instant = readInstant(isoDate(text, dates ?? "dmy"), zone);
  return instant.ok ? instant.time : instant.reason;
}

const YES = new Set(["yes", "y", "true", "1", "kept"]);
const NO = new Set(["no", "n", "false", "0", "released", "landed"]);

/** A size, SI; undefined where nothing is said; or why it is none. */
function sizeOf(text: string, dimension: Dimension, unit: string, most: number): number | undefined | Message {
  if (text === "") return undefined;
  const parsed = parseQuantity(text, dimension, unit);
  if (!parsed.ok) return parsed.message;
  return parsed.value > 0 && parsed.value < most ? parsed.value : message("catch-size", { text: text.slice(0, 40) });
}
