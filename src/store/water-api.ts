import { type Answer, answer, answerLater } from "../core/quantity/answer";
import { InputError } from "../core/quantity/fault";
import { type CsvOptions, type PreviewColumn, previewCsv } from "../core/formats/gauge-csv";
import { nameOfFile } from "../core/formats/file-name";
import { readGaugeFile } from "../core/formats/gauge-file";
import { addCounts, type GaugeFile } from "../core/formats/gauge-text";
import { LARGEST_FILE } from "../core/formats/largest-file";
import { addLines, type LineCounts, type Rejection } from "../core/formats/tally";
import type { ForecastSkill } from "../core/gauge/backtest";
import { leftOut, type LoneJump, loneJumps } from "../core/gauge/lone-jumps";
import { type Outlook, outlookOf, forecastSkill } from "../core/gauge/outlook";
import { type GaugeSummary, joinRecords, summariseGauge } from "../core/gauge/summary";
import { database } from "./database";
import { storeFault } from "./failure";
import { gaugeLike, type GaugeTarget, keepGauge } from "./gauges";
import { gaugeAtReach, gaugeOf } from "./river";

/** What an import would bring, without the readings: those stay here until they are kept. */
export interface GaugeImport extends Pick<GaugeFile, "codes" | "notes" | "zone" | "customary"> {
  summary: GaugeSummary;
  /** What became of all their data lines. */
  lines: LineCounts;
  /** Lone leaps: kept unless they are left out. */
  jumps: LoneJump[];
  /** The gauge of the book that this is a record of. */
  sameAs: string | undefined;
  /** Refused lines, with their file where there are several. */
  rejected: (Rejection & { file: string })[];
}

/** Whose record: of a station, or as it is at a reach. */
export type RecordOf = { station: string } | { reach: string };

const recordOf = async (of: RecordOf) =>
  "station" in of ? gaugeOf(database(), of.station) : gaugeAtReach(database(), await database().reaches.get(of.reach));

let opened: GaugeFile | undefined;

/** Reads gauge files of one station, in their order, as one record. */
async function open(files: readonly File[], options: CsvOptions): Promise<Answer<GaugeImport>> {
  opened = undefined;
  const texts = await Promise.all(
    files.map(async (file) => ({ name: file.name, text: file.size > LARGEST_FILE ? null : await file.text() })),
  );
  const found = answer(() => {
    const read = texts.map(({ name, text }) => {
      if (text === null) throw new InputError("file-too-large", { megabytes: LARGEST_FILE / 1048576 }, { file: name });
      return { name, record: readGaugeFile(text, { ...options, file: name, now: Date.now() }) };
    });
    const codes = read.reduce<Record<string, number>>((sum, { record }) => addCounts(sum, record.codes), {});
    const notes = [...new Set(read.flatMap(({ record }) => record.notes))];
    const lines = read.map(({ record }) => record.lines).reduce(addLines);
    opened = { ...joinRecords(read.map(({ record }) => record)), rejected: [], lines, codes, notes };
    return {
      codes,
      notes,
      lines,
      zone: read.find(({ record }) => record.zone)?.record.zone,
      ...(read.some(({ record }) => record.customary) && { customary: true as const }),
      summary: summariseGauge(opened),
      jumps: loneJumps(opened.series),
      sameAs: undefined,
      rejected: read.flatMap(({ name, record }) =>
        record.rejected.map((one) => ({ ...one, file: read.length > 1 ? name : "" })),
      ),
    };
  });
  if (!found.ok || !opened) return found;
  // A book that does not answer here says so when the record is to be kept.
  const sameAs = await gaugeLike(database(), opened, nameOfFile(files[0]!.name)).catch(() => undefined);
  return { ok: true, value: { ...found.value, sameAs } };
}

/** Long records are read, kept and thought about here, off the page: they never cross to it but once, to be drawn. */
export const waterApi = {
  open,
  /** Keeps these files, which were opened last or are opened again where this has been begun anew; the station's id. */
  keep: (
    files: readonly File[],
    options: CsvOptions,
    target: GaugeTarget,
    without: readonly Pick<LoneJump, "parameter" | "at">[] = [],
  ): Promise<Answer<string>> =>
    answerLater(async () => {
      if (!opened) await open(files, options);
      if (!opened) throw new InputError("nothing-open");
      try {
        const series = opened.series.map((one) => leftOut(one, without));
        const id = await keepGauge(database(), { ...opened, series }, target);
        opened = undefined;
        return id;
      } catch (error) {
        // Told by its fault, since errors lose their kind on the way to the page.
        const { code, values, ...where } = storeFault(error);
        throw new InputError(code, values, where);
      }
    }),
  /** The columns of a CSV, for matching them by hand. */
  columns: (file: File): Promise<Answer<PreviewColumn[]>> =>
    answerLater(async () => previewCsv(await file.slice(0, 65_536).text(), file.name)),
  outlook: (of: RecordOf, at: number): Promise<Answer<Outlook | null>> =>
    answerLater(async () => {
      const record = await recordOf(of);
      return record ? outlookOf(record, at) : null;
    }),
  track: (of: RecordOf): Promise<Answer<ForecastSkill[]>> =>
    answerLater(async () => {
      const record = await recordOf(of);
      return record ? forecastSkill(record) : [];
    }),
};

export type WaterApi = typeof waterApi;
