import { message, type Message } from "../quantity/message";
import { type Dimension, findUnit, parseQuantity } from "../quantity/units";
import type { EffortInterval, RigRecord } from "../book/bank-records";
import { hoursOf, rodHours } from "../book/effort";
import { type Catch, FINS, LOST_CAUSES, type Session } from "../book/records";
import { csvTable, eachRow } from "./csv";
import { unguarded, writeCsv } from "./csv-write";
import { type CsvUnits, inUnit, SI_CSV } from "./csv-units";
import { type DateOrder, type DatesSeen, datesIn, isOtherDate, isoDate } from "./date-order";
import { readHeader } from "./gauge-csv";
import { demandText } from "./gauge-text";
import { readInstant, type Zone } from "./instant";
import { type LineCounts, type Rejection, Tally } from "./tally";

/** Fish and sessions as CSV, SI and ISO 8601; fish back in, their columns matched by name or by hand. */

/** What a column can hold, with the names under which it is known by itself. */
export const CATCH_COLUMNS = {
  at: ["at", "datetime", "date", "when", "caught", "time"],
  time: ["time", "clock", "hour"],
  water: ["reach", "water", "river", "beat"],
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

const headerIn = (units: CsvUnits): string[] => [
  "at",
  "reach",
  "species",
  `length (${units.fish})`,
  `weight (${units.mass})`,
  `girth (${units.fish})`,
  "lie",
  "lure",
  "colour",
  "piece",
  "method",
  `depth (${units.depth})`,
  ...rigHeader(units),
  "cast",
  "rod",
  "angler",
  "fin",
  "lost",
  "kept",
  `discharge (${units.discharge})`,
  `stage (${units.depth})`,
  `water (${units.temperature})`,
  `visibleDepth (${units.depth})`,
  "exceedance",
  "trend",
  "notes",
];

/** Fish, one to a line, with the river of their hour. */
export function writeCatches(
  catches: readonly Catch[],
  sessions: readonly Session[],
  reachName: (id: string) => string,
  units: CsvUnits = SI_CSV,
): string {
  const reaches = new Map(sessions.map((one) => [one.id, reachName(one.reach)]));
  return writeCsv(
    headerIn(units),
    catches.map((one) => [
      one.at,
      reaches.get(one.session) ?? "",
      ...saidOf(one, units),
      ...riverOf(one, units),
      one.notes,
    ]),
  );
}

type Cell = string | number | null;

/** Hours to a third of a second. */
const round = (hours: number): number => Number(hours.toFixed(4));

const saidOf = (one: Catch, units: CsvUnits): Cell[] => [
  one.species,
  inUnit(one.length, units.fish),
  inUnit(one.weight, units.mass),
  inUnit(one.girth, units.fish),
  one.lie,
  one.lure,
  one.colour ?? "",
  one.piece ?? "",
  one.method ?? "",
  inUnit(one.depth, units.depth),
  ...rigOf(one.rig, units),
  ...[one.cast, one.rod].map((number) => number ?? null),
  one.angler ?? "",
  one.fin ?? "",
  one.lost ?? "",
  one.kept === undefined ? "" : one.kept ? "yes" : "no",
];

/** The rig that was fished: what the hand did, its weight, its leader, and the angle of the cast. */
const rigHeader = (units: CsvUnits): string[] => ["retrieve", "rig (g)", `leader (${units.depth})`, "castAngle (deg)"];
const rigOf = (rig: RigRecord | undefined, units: CsvUnits): Cell[] => [
  rig?.retrieve ?? "",
  rig?.grams ?? null,
  inUnit(rig?.leader ?? null, units.depth),
  rig?.castAngle ?? null,
];

const riverOf = ({ river }: Catch, units: CsvUnits): Cell[] =>
  river
    ? [
        inUnit(river.discharge, units.discharge),
        inUnit(river.stage, units.depth),
        inUnit(river.waterTemperature, units.temperature),
        inUnit(river.visibleDepth, units.depth),
        river.exceedance,
        river.trend,
      ]
    : [null, null, null, null, null, null];

/** Sessions, one stretch of effort to a line where they were kept in stretches, else the whole session. */
export function writeEffort(
  sessions: readonly Session[],
  stretches: readonly EffortInterval[],
  reachName: (id: string) => string,
  now: number,
  units: CsvUnits = SI_CSV,
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
    `depth (${units.depth})`,
    ...rigHeader(units),
    "casts",
    `discharge (${units.discharge})`,
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
          round(rodHours(session, now)),
          ...["", "", "", "", "", null],
          ...rigOf(undefined, units),
          null,
          inUnit(session.river?.discharge, units.discharge),
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
      round(hoursOf(one, now)),
      one.lie,
      one.method ?? "",
      one.lure,
      one.colour,
      one.piece,
      inUnit(one.depth, units.depth),
      ...rigOf(one.rig, units),
      one.casts.reduce((sum, { count }) => sum + count, 0),
      inUnit(one.river?.discharge, units.discharge),
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
  /** Reach that its water is; undefined where the file does not say. */
  reach?: string;
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
  // "water (degC)" is no name of a water.
  const names = header.map((cell) => (readHeader(cell).unit && /water|river/i.test(cell) ? "" : plain(cell)));
  const match = Object.fromEntries(
    CATCH_COLUMN_NAMES.map((name) => {
      const at = CATCH_COLUMNS[name].map((one) => names.indexOf(one)).find((index) => index >= 0);
      return [name, at ?? null];
    }),
  ) as CatchMatch;
  // A clock time stands in a column of its own only beside one of days.
  if (match.time === match.at) match.time = null;
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
  /** Id of a reach from what a cell says; undefined where there is none of that name. */
  water?: (text: string) => string | undefined;
  /** Id of a species from what a cell says; undefined where there is none of that name. */
  species: (text: string) => string | undefined;
  /** What a fish is where no column says. */
  usual: string;
  /** Units of bare numbers, where the column's header names none. */
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
  const unitsOf = { length: reading.units.length, girth: reading.units.length, weight: reading.units.weight };
  for (const name of ["length", "girth", "weight"] as const) {
    const index = reading.match[name];
    const unit = index === null ? undefined : readHeader(table.header[index]!).unit;
    if (unit && findUnit(unit)!.dimension === (name === "weight" ? "mass" : "length")) unitsOf[name] = unit;
  }
  eachRow(table.rows(), tally, (line, cells) => {
    const made = draftOf((name) => cellAt(cells, reading.match[name]), { ...reading, dates: order, unitsOf });
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

type Sizes = Record<"length" | "girth" | "weight", string>;

function draftOf(
  cell: (name: CatchColumn) => string,
  reading: CatchReading & { unitsOf: Sizes },
): CatchDraft | Message {
  const at = timeOf(`${cell("at")} ${cell("time")}`.trim(), reading);
  if (typeof at === "object") return at;
  if (at > reading.now) return message("catch-in-future");
  const named = cell("species");
  const species = named ? reading.species(named) : reading.usual;
  if (species === undefined) return message("catch-no-species", { text: named.slice(0, 40) });
  const reach = waterOf(cell("water"), reading);
  if (typeof reach === "object") return reach;
  const sizes: Partial<Record<"length" | "weight" | "girth", number>> = {};
  for (const [name, dimension, unit, most] of [
    ["length", "length", reading.unitsOf.length, 4],
    ["girth", "length", reading.unitsOf.girth, 4],
    ["weight", "mass", reading.unitsOf.weight, 500],
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
    ...(reach !== undefined && { reach }),
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

/** The reach that a cell names; undefined where it says nothing; or why it is none. */
function waterOf(text: string, { water }: CatchReading): string | undefined | Message {
  if (text === "" || !water) return undefined;
  return water(text) ?? message("catch-no-water", { text: text.slice(0, 40) });
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
