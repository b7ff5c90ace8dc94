import type { Weather } from "./weather";
import { type ClarityFit, DEFAULT_CLARITY_FIT } from "./clarity-fit";
import { type ClarityClass, clarityClass, visibleDepthFromTurbidity } from "./clarity";
import { exceedance, LEAST_YEARS, seasonRecord } from "./exceedance";
import { type Recession, recession } from "./recession";
import { InputError } from "../quantity/fault";
import type { FlowByMark } from "./level-marks";
import { HOUR, lastReading, mergeSeries, type Parameter, readingAt, type Series } from "./series";
import { stageTrendAt, type Trend, trendAt } from "./trend";

interface GaugeStation {
  id: string;
  name: string;
}

export interface GaugeRecord {
  station: GaugeStation;
  series: Series[];
  /** Changes whenever anything that the record was made of does; undefined where nobody keeps count. */
  version?: string;
  /** Series that were not read but worked out, and from what. */
  derived?: Partial<Record<Parameter, Derived>>;
  /** Conversion of turbidity to visible depth; the default where the angler has not refitted it. */
  clarityFit?: ClarityFit;
  /** Visible depths that the angler read, in order of time; used where the gauge has no turbidity. */
  seen?: readonly { at: number; visibleDepth: number }[];
  /** Flows by the angler's own level marks, in order of time; used where the gauge has none. */
  byMark?: readonly FlowByMark[];
  /** The weather over it, as it was and as it is forecast. */
  weather?: Weather | null;
  /** Temperatures that the angler read, in order of time; used where the gauge has none. */
  felt?: readonly { at: number; temperature: number }[];
}

/** How a series was worked out, for "where does this come from". */
export type Derived =
  | {
      by: "rating";
      from: "discharge" | "stage";
      pairs: number;
      /** Of ln Q; null with too few pairs. */
      standardError: number | null;
      /** Discharge, m3/s, beyond which it is only a guess: past the gaugings of the rating. */
      guessAbove: number;
    }
  | {
      by: "transfer";
      /** The angler's own readings that it was fitted on; 0: by the ratio of the catchments. */
      pairs: number;
    };

/** What the river is doing at one instant. SI; null where the record does not say. */
export interface GaugeNow {
  at: string;
  discharge: number | null;
  /** Where it is by a level mark of the angler's own. */
  dischargeFrom?: "mark";
  stage: number | null;
  waterTemperature: number | null;
  /** Where it is the angler's own. */
  waterTemperatureFrom?: "reading";
  turbidity: number | null;
  /** m, by the turbidity fit, or as the angler read it. */
  visibleDepth: number | null;
  visibleDepthFrom: "turbidity" | "reading" | null;
  clarity: ClarityClass | null;
  /** Fraction of the season's record at or above this discharge, and of how many years that record is. */
  exceedance: number | null;
  seasonYears: number;
  trend: Trend["limb"] | null;
  /** d(ln Q)/dt, 1/h. */
  ratePerHour: number | null;
  /** Hours on this limb. */
  trendHours: number | null;
  /** Of a gauge without discharge, m/h: its trend is that of its stage. */
  stageRatePerHour?: number | null;
}

export interface SeriesSummary {
  parameter: Parameter;
  unit: string;
  count: number;
  first: string | null;
  last: string | null;
  min: number | null;
  max: number | null;
  /** Readings that the file holds as missing. */
  missing: number;
  /** Stretches without a reading, missing or never written, and the longest of them, h. */
  gaps: { count: number; longest: number };
}

export const seriesOf = (record: GaugeRecord, parameter: Parameter): Series | undefined =>
  record.series.find((series) => series.parameter === parameter);

/** Several records of one station as one, without duplicates: at equal instants the later record wins. */
export function joinRecords(records: readonly GaugeRecord[]): GaugeRecord {
  const [first, ...rest] = records;
  if (!first) throw new InputError("no-record", {});
  const joined: GaugeRecord = { station: first.station, series: [...first.series] };
  for (const record of rest) {
    for (const series of record.series) {
      const at = joined.series.findIndex((own) => own.parameter === series.parameter);
      if (at < 0) joined.series.push(series);
      else joined.series[at] = mergeSeries(joined.series[at]!, series);
    }
  }
  return joined;
}

/** The last instant at which any parameter was truly read, ms; null for an empty record. */
export function lastInstant(record: GaugeRecord): number | null {
  let last = -Infinity;
  for (const series of record.series) {
    for (let k = series.times.length - 1; k >= 0; k--) {
      if (Number.isNaN(series.values[k]!)) continue;
      last = Math.max(last, series.times[k]!);
      break;
    }
  }
  return last === -Infinity ? null : last;
}

/** Is every reading of a record too old to speak of an instant? */
export const isStale = (record: GaugeRecord, at: number): boolean =>
  record.series.every((one) => lastReading(one, at) === null) && flowByMark(record, at) === undefined;

/** The screens' clock ticks so often: what is read between two ticks counts at once, ms. */
const TICK = 60_000;

/** Does a reading of the angler's own still tell of the water? Instants and how long it lasts, ms. */
export const stillTells = (read: number, at: number, lasts: number): boolean => read <= at + TICK && at - read <= lasts;

/** A level tells of the water for so long. Common practice, no source: streams rise within hours. */
export const LEVEL_LASTS = 6 * HOUR;

const flowByMark = ({ byMark }: GaugeRecord, at: number): FlowByMark | undefined =>
  byMark?.findLast((one) => stillTells(one.at, at, LEVEL_LASTS));

/** The gauge's flow at an instant, or that by a mark where it tells none. */
function flowAt(record: GaugeRecord, read: number | null, at: number): Pick<GaugeNow, "discharge" | "dischargeFrom"> {
  const own = read === null ? flowByMark(record, at) : undefined;
  return own ? { discharge: own.discharge, dischargeFrom: "mark" } : { discharge: read };
}

/** A depth read by the angler tells of the water for so long. Common practice, no source. */
export const SEEN_LASTS = 12 * HOUR;
/**
 * A temperature read by the angler tells of the water for so long. Common practice, no source: streams swing by two to
 * five degrees between morning and afternoon.
 */
export const FELT_LASTS = 6 * HOUR;

/** What the angler read, and how long it stands in for a gauge that does not tell, ms. */
export interface OwnValue {
  value: number;
  until: number;
}
/** Visible depth, m, and water temperature, degC, that the angler read; null without one that still tells. */
export interface OwnWater {
  visibleDepth: OwnValue | null;
  temperature: OwnValue | null;
}

/** The angler's own readings that still tell of the water at an instant, ms. */
export function ownWaterAt({ seen, felt }: Pick<GaugeRecord, "seen" | "felt">, at: number): OwnWater {
  const clear = seen?.findLast((one) => stillTells(one.at, at, SEEN_LASTS));
  const warm = felt?.findLast((one) => stillTells(one.at, at, FELT_LASTS));
  return {
    visibleDepth: clear ? { value: clear.visibleDepth, until: clear.at + SEEN_LASTS } : null,
    temperature: warm ? { value: warm.temperature, until: warm.at + FELT_LASTS } : null,
  };
}

function clarityBy(
  { clarityFit = DEFAULT_CLARITY_FIT }: GaugeRecord,
  turbidity: number | null,
): Pick<GaugeNow, "visibleDepth" | "visibleDepthFrom" | "clarity"> {
  if (turbidity === null) return { visibleDepth: null, visibleDepthFrom: null, clarity: null };
  const visibleDepth = visibleDepthFromTurbidity(turbidity, clarityFit);
  return { visibleDepth, visibleDepthFrom: "turbidity", clarity: clarityClass(visibleDepth) };
}

/** The angler's own readings as the state of the river; nothing where they tell no more. */
function ownNow({ visibleDepth, temperature }: OwnWater): Partial<GaugeNow> {
  return {
    ...(temperature && { waterTemperature: temperature.value, waterTemperatureFrom: "reading" }),
    ...(visibleDepth && {
      visibleDepth: visibleDepth.value,
      visibleDepthFrom: "reading",
      clarity: clarityClass(visibleDepth.value),
    }),
  };
}

/** The state of the river at `at` (ms). A parameter whose last reading is stale is null. */
export function gaugeNow(record: GaugeRecord, at: number): GaugeNow {
  const discharge = seriesOf(record, "discharge");
  const q = readingAt(discharge, at);
  const turbidity = readingAt(seriesOf(record, "turbidity"), at);
  const waterTemperature = readingAt(seriesOf(record, "waterTemperature"), at);
  const own = ownWaterAt(record, at);
  const stage = seriesOf(record, "stage");
  const level = readingAt(stage, at);
  const byStage = q === null && stage && level !== null ? stageTrendAt(stage, at) : null;
  const trend = discharge && q !== null ? trendAt(discharge, at) : byStage;
  const season = discharge && q !== null ? seasonRecord(discharge, at) : undefined;
  return {
    at: new Date(at).toISOString(),
    ...flowAt(record, q, at),
    stage: level,
    waterTemperature,
    turbidity,
    ...clarityBy(record, turbidity),
    // What the gauge reads goes first.
    ...ownNow({
      visibleDepth: turbidity === null ? own.visibleDepth : null,
      temperature: waterTemperature === null ? own.temperature : null,
    }),
    exceedance: season && q !== null ? exceedance(season.values, q) : null,
    seasonYears: season?.years ?? 0,
    trend: trend?.limb ?? null,
    ratePerHour: byStage ? null : (trend?.ratePerHour ?? null),
    trendHours: trend?.hours ?? null,
    ...(byStage && { stageRatePerHour: byStage.ratePerHour }),
  };
}

/** A step longer than this share of the usual one (the median) is a gap. */
const GAP = 1.5;

function gapsOf({ times, values }: Series): SeriesSummary["gaps"] {
  const read = times.filter((_, k) => !Number.isNaN(values[k]!));
  const steps = read.slice(1).map((time, k) => time - read[k]!);
  const usual = Float64Array.from(steps).sort()[Math.floor(steps.length / 2)] ?? Infinity;
  // Before the first reading and after the last one the gauge may have given none.
  const ends = read.length > 0 ? [read[0]! - times[0]!, times.at(-1)! - read.at(-1)!] : [];
  const long = [...steps, ...ends].filter((step) => step > GAP * usual);
  return { count: long.length, longest: long.reduce((a, b) => Math.max(a, b), 0) / HOUR };
}

/**
 * The state of the river at `at` (ms); where the record ended before, as the gauge had it at its last reading, but for
 * what the angler has read since. Undefined for an empty record.
 */
export function gaugeNowOrLast(record: GaugeRecord, at: number): { now: GaugeNow; stale: boolean } | undefined {
  const last = lastInstant(record);
  if (last === null) return undefined;
  if (!isStale(record, at)) return { now: gaugeNow(record, at), stale: false };
  const since = {
    seen: record.seen?.filter((one) => one.at > last),
    felt: record.felt?.filter((one) => one.at > last),
  };
  const ended = gaugeNow({ ...record, seen: [], felt: [] }, last);
  return { now: { ...ended, ...ownNow(ownWaterAt(since, at)) }, stale: true };
}

/** Exceedance where the record has seen enough of this season to say what is usual; null otherwise. */
export const usualExceedance = ({ exceedance: share, seasonYears }: Pick<GaugeNow, "exceedance" | "seasonYears">) =>
  seasonYears >= LEAST_YEARS ? share : null;

export function summariseSeries(series: Series): SeriesSummary {
  let count = 0;
  let min = Infinity;
  let max = -Infinity;
  for (const value of series.values) {
    if (Number.isNaN(value)) continue;
    count++;
    min = Math.min(min, value);
    max = Math.max(max, value);
  }
  const iso = (time: number | undefined) => (time === undefined ? null : new Date(time).toISOString());
  return {
    parameter: series.parameter,
    unit: series.unit,
    count,
    first: iso(series.times[0]),
    last: iso(series.times.at(-1)),
    min: count ? min : null,
    max: count ? max : null,
    missing: series.values.length - count,
    gaps: gapsOf(series),
  };
}

export interface GaugeSummary {
  station: GaugeStation;
  series: SeriesSummary[];
  now: GaugeNow | null;
  recession: Recession | null;
}

/** Everything the gauge command and the import preview say of a record: one function, so that they cannot differ. */
export function summariseGauge(record: GaugeRecord, at?: number): GaugeSummary {
  const instant = at ?? lastInstant(record);
  const discharge = seriesOf(record, "discharge");
  return {
    station: record.station,
    series: record.series.map(summariseSeries),
    now: instant === null ? null : gaugeNow(record, instant),
    recession: discharge ? recession(discharge) : null,
  };
}
