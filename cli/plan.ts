import type { Book } from "../src/core/book/log-contents";
import type { ReachRecord, StationRecord } from "../src/core/book/records";
import { recordAtReach, riverRecord } from "../src/core/book/river-record";
import { seriesOfRecord } from "../src/core/book/surroundings";
import type { Lie } from "../src/core/fish/read";
import { speciesById } from "../src/core/fish/species";
import type { Species } from "../src/core/fish/species-schema";
import type { Weather } from "../src/core/gauge/weather";
import { readWeatherCsv } from "../src/core/formats/weather-csv";
import { readGaugeFile } from "../src/core/formats/gauge-file";
import type { GaugeFile } from "../src/core/formats/gauge-text";
import { sameRecord } from "../src/core/gauge/same-gauge";
import { type GaugeRecord, joinRecords } from "../src/core/gauge/summary";
import { planOf, type PlanWindow } from "../src/core/plan/plan";
import type { PlanReach } from "../src/core/plan/plan-reach";
import { InputError } from "../src/core/quantity/fault";
import { logOf, reachOutlook } from "../src/scenario/plan";
import { fishedLies, liesAsked, nearestWater, type PlanWater, reachInPlan } from "../src/scenario/plan-lies";
import { readReach } from "../src/scenario/read";
import { cautionWords } from "../src/words/cautions";
import { placeWords } from "../src/words/place";
import { factorWords, removedWords } from "../src/words/plan";
import { type Arguments, boundedOption, demandOption, instantOption, readText } from "./arguments";
import type { Command } from "./command";
import { bookOf } from "./rates";
import { solveReach } from "./solve";

/** Longest span that is planned for, and lies told of a window. */
const LONGEST_DAYS = 10;
const TOLD = 3;

export const plan: Command = {
  usage: "ARCHIVE GAUGE… --from ISO --to ISO --species S [--weather FILE.csv] [--cell M] [--progress]",
  about: `Ranks reaches and hours by forecast flow, clarity, temperature, light, tide, your rules and flow bands, lies and log.
A closed season (by the gauge's own days), water too warm for the fish, or a fast-rising river removes a reach or an hour.
Gauge files are joined to the archive's records: by gauge number, by repeated readings, or to the only gauge.
The forecast starts at the last reading before --from and uses nothing later. Cells are --cell m (1).
--weather is a CSV of hours for all reaches: time, and any of wind, gust, wind direction, cloud, air temperature, rain,
thunder. Without it, weather is not a factor.
windows[]{rank, reach, name, from, to, score, prime, discharge, low, high, visibleDepth, temperature, lies[], reasons[],
cautions[]},
removed[]{reach, name, reason}, notes[]{reach, name, note, at or days}: where a forecast ends within the span, and days
that are closed. Scores compare windows of one plan; they are not the chance of a fish.`,
  options: { from: true, to: true, species: true, weather: true, cell: true },
  run: async (args) => {
    const [archive, ...files] = args.positional;
    if (archive === undefined) throw new InputError("missing-argument", { what: "an archive" });
    const species = speciesById(demandOption(args, "species"));
    const [from, to] = spanOf(args);
    const book = await bookOf(archive);
    const read = files.map((file) => ({
      file,
      record: readGaugeFile(readText(file), { file, now: Math.max(to, Date.now()) }),
    }));
    const stations = book.stations.filter((one) => !one.deleted);
    const gauges = new Map(stations.map((one) => [one.id, gaugeOf(book, one, read, stations.length === 1)]));
    const strange = read.find(({ record }) => !stations.some((one) => isOf(record, one, book, stations.length === 1)));
    if (strange) throw new InputError("gauge-of-no-station", {}, { file: strange.file });
    const weather = weatherOf(args, from);
    const looked = book.reaches
      .filter((one) => !one.deleted)
      .map((one) =>
        lookAt(one, book, withWeather(gauges.get(one.station ?? ""), weather), { species, from, to }, args),
      );
    const reaches = looked.map(({ reach }) => reach);
    const { windows, removed, notes } = planOf(reaches, { species, from, to, farthest: null, zone: "UTC" });
    return {
      windows: windows.map((window, k) =>
        told(
          window,
          k + 1,
          looked.find(({ reach }) => reach.id === window.reach)!,
        ),
      ),
      removed: removed.map(({ reach, reason }) => ({
        reach,
        name: reaches.find((one) => one.id === reach)!.name,
        reason: removedWords(reason),
      })),
      notes: notes.map((note) => ({
        reach: note.reach,
        name: reaches.find((one) => one.id === note.reach)!.name,
        note: note.what,
        ...(note.what === "closed" ? { days: note.days } : { at: new Date(note.at).toISOString() }),
      })),
    };
  },
};

const withWeather = (gauge: GaugeRecord | undefined, weather: Weather | null): GaugeRecord | undefined =>
  gauge && { ...gauge, weather };

/** The weather that was given; null without. */
function weatherOf(args: Arguments, issued: number): Weather | null {
  const file = args.values.weather;
  return file === undefined ? null : readWeatherCsv(readText(file), { issued, file }).weather;
}

function spanOf(args: Arguments): [number, number] {
  const [from, to] = ["from", "to"].map((name) => {
    demandOption(args, name);
    return instantOption(args, name)!;
  }) as [number, number];
  if (!(to > from)) throw new InputError("span-upside-down", {}, { path: "--to" });
  if (to - from > LONGEST_DAYS * 86_400_000)
    throw new InputError("span-too-long", { days: LONGEST_DAYS }, { path: "--to" });
  return [from, to];
}

type Read = { file: string; record: GaugeFile };

function isOf(record: GaugeFile, station: StationRecord, book: Book, only: boolean): boolean {
  const own = book.series.filter((one) => one.station === station.id && !one.deleted).map(seriesOfRecord);
  return only || (station.code !== "" && record.station.id === station.code) || sameRecord(record.series, own);
}

/** What is known of a gauge: the archive's readings, the files', and what the angler knows of its water. */
function gaugeOf(book: Book, station: StationRecord, files: readonly Read[], only: boolean): GaugeRecord {
  const series = book.series.filter((one) => one.station === station.id && !one.deleted).map(seriesOfRecord);
  const own: GaugeRecord = { station: { id: station.id, name: station.name }, series };
  const joined = joinRecords([
    own,
    ...files.filter(({ record }) => isOf(record, station, book, only)).map(({ record }) => record),
  ]);
  return riverRecord(
    joined,
    book.waters.find((one) => one.id === station.id && !one.deleted),
    book.readings,
  );
}

interface Looked {
  reach: PlanReach;
  /** The lies in each water that was read. */
  lies: (PlanWater & { lies: Lie[] })[];
}

function lookAt(
  record: ReachRecord,
  book: Book,
  gauge: GaugeRecord | undefined,
  { species, from, to }: { species: Species; from: number; to: number },
  args: Arguments,
): Looked {
  const river = reachOutlook(
    record,
    {
      gauge: gauge && recordAtReach(gauge, record, book.readings),
      station: book.stations.find((one) => one.id === record.station),
      water: book.waters.find((one) => one.id === record.station),
    },
    from,
  );
  const cell = boundedOption(args, "cell", 0.1, 20, 1);
  const solved = new Map<number, ReturnType<typeof solveReach>>();
  const solvedAt = (discharge: number) => {
    const known = solved.get(discharge) ?? solveReach({ reach: record.reach, discharge, cell }, args);
    solved.set(discharge, known);
    return known;
  };
  const lies = liesAsked(record.reach, river, species, { at: from, to }).map(
    ({ discharge, visibleDepth, request }) => ({
      discharge,
      visibleDepth,
      lies: readReach(solvedAt(discharge), request).lies,
    }),
  );
  const log = logOf(record.id, species.id, book, from);
  return { lies, reach: reachInPlan(river, { rules: book.rules, log, lies, travel: null }) };
}

function told(window: PlanWindow, rank: number, { reach, lies }: Looked) {
  const near = nearestWater(lies, window);
  const { from, to, factors, log: _, cautions, ...rest } = window;
  return {
    rank,
    name: reach.name,
    ...rest,
    from: new Date(from).toISOString(),
    to: new Date(to).toISOString(),
    lies: fishedLies(near?.lies ?? [])
      .slice(0, TOLD)
      .map((lie, k) => ({
        rank: k + 1,
        x: lie.x,
        y: lie.y,
        kind: lie.kind,
        score: lie.score,
        name: placeWords(lie.place),
      })),
    factors,
    reasons: factors.map((factor) => factorWords(factor, window, "metric")).filter(Boolean),
    cautions: cautions.map((one) => cautionWords(one, "metric")),
  };
}
