import { fitClarity } from "../gauge/clarity-fit";
import { flowsByMark, type LevelReading } from "../gauge/level-marks";
import { dischargeAt, EXTRAPOLATION, fitRating, type Rating, stageAt } from "../gauge/rating";
import { HOUR, readingAt, type Series, UNIT_OF } from "../gauge/series";
import { type Derived, type GaugeRecord, seriesOf } from "../gauge/summary";
import { fitTransfer, type TransferFit } from "../gauge/transfer";
import type { FieldReading, ReachRecord, WaterRecord } from "./records";

/** What the angler saw and felt of the water, in order of time. */
function ownReadings(readings: readonly FieldReading[]): Required<Pick<GaugeRecord, "seen" | "felt" | "byMark">> {
  const of = (kind: FieldReading["kind"]) =>
    readings
      .filter((one) => one.kind === kind && !one.deleted)
      .map((one) => ({ at: Date.parse(one.at), value: one.value }))
      .sort((a, b) => a.at - b.at);
  return {
    seen: of("clarity").map(({ at, value }) => ({ at, visibleDepth: value })),
    felt: of("temperature").map(({ at, value }) => ({ at, temperature: value })),
    byMark: flowsByMark(levelsOf(readings)),
  };
}

/** Levels that were read on marks. */
export const levelsOf = (readings: readonly FieldReading[]): LevelReading[] =>
  readings
    .filter((one) => one.kind === "level" && !one.deleted)
    .map(({ at, value, mark = "", flow }) => ({ at: Date.parse(at), mark, level: value, discharge: flow ?? null }));

/** A reach without a gauge, by what the angler read there alone; undefined where that is nothing. */
export function ungaugedRecord({ id, reach }: ReachRecord, readings: readonly FieldReading[]): GaugeRecord | undefined {
  const own = ownReadings(readings);
  if (own.seen.length + own.felt.length + own.byMark.length === 0) return undefined;
  return { station: { id, name: reach.name }, series: [], ...own };
}

/** The rating of a water, where its pairs bear one; null otherwise. */
function ratingOf(water: WaterRecord | undefined): Rating | null {
  try {
    return water && water.gaugings.length > 0 ? fitRating(water.gaugings) : null;
  } catch {
    // Pairs that bear no curve are told of where they are entered; the record is shown without them.
    return null;
  }
}

/**
 * A gauge's record with what the angler knows of its water: clarity refitted, and discharge from stage (or stage from
 * discharge) by the rating.
 */
export function riverRecord(
  record: GaugeRecord,
  water: WaterRecord | undefined,
  readings: readonly FieldReading[],
): GaugeRecord {
  const turbidity = seriesOf(record, "turbidity");
  const { seen, felt, byMark } = ownReadings(readings.filter((one) => one.station === record.station.id));
  const pairs = seen.flatMap(({ at, visibleDepth }) => {
    const reading = readingAt(turbidity, at, 2 * HOUR);
    return reading === null ? [] : [{ turbidity: reading, visibleDepth }];
  });
  const clarified: GaugeRecord = { ...record, clarityFit: fitClarity(pairs), seen, felt, byMark };
  const rating = ratingOf(water);
  return rating ? rated(clarified, rating) : clarified;
}

function rated(record: GaugeRecord, rating: Rating): GaugeRecord {
  const [discharge, stage] = [seriesOf(record, "discharge"), seriesOf(record, "stage")];
  if (Boolean(discharge) === Boolean(stage)) return record;
  const derived: Derived = {
    by: "rating",
    from: discharge ? "discharge" : "stage",
    pairs: rating.count,
    standardError: rating.standardError,
    guessAbove: EXTRAPOLATION * rating.maxGauged,
  };
  const made: Series = discharge
    ? {
        parameter: "stage",
        unit: UNIT_OF.stage,
        times: discharge.times,
        values: discharge.values.map((q) => (q > 0 ? stageAt(rating, q).value : NaN)),
      }
    : {
        parameter: "discharge",
        unit: UNIT_OF.discharge,
        times: stage!.times,
        values: stage!.values.map((h) => (Number.isNaN(h) ? NaN : dischargeAt(rating, h).value)),
      };
  return { ...record, series: [...record.series, made], derived: { ...record.derived, [made.parameter]: derived } };
}

/**
 * How a reach takes its flow from its gauge: fitted on the angler's own discharge readings there. Null where nothing
 * says that it differs.
 */
function transferOf(gauge: GaugeRecord, reach: ReachRecord, readings: readonly FieldReading[]): TransferFit | null {
  const { transfer } = reach;
  if (!transfer) return null;
  const discharge = seriesOf(gauge, "discharge");
  const pairs = readings
    .filter((one) => one.kind === "discharge" && one.reach === reach.id && !one.deleted)
    .flatMap((one) => {
      const q = readingAt(discharge, Date.parse(one.at) - transfer.lag * HOUR);
      return q === null ? [] : [{ gauge: q, reach: one.value }];
    });
  return fitTransfer(transfer.areaRatio, pairs);
}

/**
 * The record as it is at the reach: its discharge transferred, and the gauge's own stage left out, since it says
 * nothing there.
 */
export function recordAtReach(
  atGauge: GaugeRecord,
  reach: ReachRecord,
  readings: readonly FieldReading[],
): GaugeRecord {
  const gauge = withOwn(atGauge, ownReadings(readings.filter((one) => one.reach === reach.id)));
  const fit = transferOf(gauge, reach, readings);
  const discharge = seriesOf(gauge, "discharge");
  if (!fit || !discharge) return gauge;
  const lag = reach.transfer!.lag * HOUR;
  const made: Series = {
    ...discharge,
    times: discharge.times.map((time) => time + lag),
    values: discharge.values.map((q) => fit.factor * q ** fit.power),
  };
  return {
    ...gauge,
    series: [...gauge.series.filter((one) => one.parameter !== "discharge" && one.parameter !== "stage"), made],
    derived: { ...gauge.derived, discharge: { by: "transfer", pairs: fit.pairs } },
  };
}

/** What was read at the reach beside what was read at the gauge. */
const withOwn = (gauge: GaugeRecord, { seen, felt, byMark }: ReturnType<typeof ownReadings>): GaugeRecord =>
  seen.length + felt.length + byMark.length === 0
    ? gauge
    : {
        ...gauge,
        seen: [...(gauge.seen ?? []), ...seen].sort((a, b) => a.at - b.at),
        felt: [...(gauge.felt ?? []), ...felt].sort((a, b) => a.at - b.at),
        byMark: [...(gauge.byMark ?? []), ...byMark].sort((a, b) => a.at - b.at),
      };
