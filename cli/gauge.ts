import { InputError } from "../src/core/quantity/fault";
import { addLines } from "../src/core/formats/tally";
import { addCounts } from "../src/core/formats/gauge-text";
import type { CsvOptions } from "../src/core/formats/gauge-csv";
import { DATE_ORDERS } from "../src/core/formats/date-order";
import { readGaugeFile, STATED_FORMATS } from "../src/core/formats/gauge-file";
import { backtest } from "../src/core/gauge/backtest";
import { loneJumps } from "../src/core/gauge/lone-jumps";
import { forecastFlow } from "../src/core/gauge/forecast/flow-forecast";
import { HORIZON } from "../src/core/gauge/forecast";
import { regimeOf } from "../src/core/gauge/regime";
import { type Rain, rainOf } from "../src/core/gauge/rain/rain";
import { HOUR, knownBy, mergeSeries, type Series } from "../src/core/gauge/series";
import { type GaugeRecord, joinRecords, seriesOf, summariseGauge } from "../src/core/gauge/summary";
import { messageText } from "../src/words/messages";
import { type Arguments, boundedOption, choiceOption, instantOption, readText } from "./arguments";
import type { Command } from "./command";

export const gauge: Command = {
  usage: `FILE… [--format ${STATED_FORMATS.join("|")}] [--at ISO] [--zone IANA] [--dates dmy|mdy] [--hours N] [--rain FILE] [--backtest]`,
  about: `Reads a gauge file and says what the river is doing. Output: station, series[], rejected[], lines, codes, notes, suspect[], now, recession, regime, forecast[].
exceedance is the fraction (0..1) of the season's record at or above the discharge; ratePerHour is d(ln Q)/dt, 1/h.
regime is what makes the river rise and fall, null for a record under 60 days. forecast[] is the flow ahead, m3/s, for --hours N (72; 120 at most), empty where the record bears none.
--rain is a file of rain (time and rain in mm or in, or parameter 00045), each what fell since the row before: what fell is fitted to the flow by a model of the catchment (GR4), rows after --at are forecast rain. It is used where it helps.
--backtest adds backtest[]: the forecast tried on the held-out last year (errors are medians of |forecast - truth|/truth), against no change, yesterday and last week at the same hour.
series[].gaps counts the stretches without a reading, longer than half as long again as the usual step; suspect[] the lone leaps of discharge or stage while the other stands still (they are kept).
Times without an offset are read in --zone, or as UTC; dates that could have the day or month first need --dates. Several files are joined into one record; of two readings at one instant the later file wins. Each data line is read, a gap or rejected: lines counts them; rejected lists the bad ones with their reasons (5000 at most); agency codes such as Ice count as missing.`,
  options: { format: true, at: true, zone: true, dates: true, hours: true, rain: true, backtest: false },
  run: (args) => {
    if (args.positional.length === 0)
      throw new InputError("missing-argument", { what: "a gauge file, or several of one station" });
    const format = choiceOption(args, "format", STATED_FORMATS, "auto");
    const at = instantOption(args, "at");
    const hours = boundedOption(args, "hours", 1, HORIZON / HOUR, 72);
    const dates = args.values.dates === undefined ? undefined : choiceOption(args, "dates", DATE_ORDERS, "dmy");
    const options = { zone: args.values.zone, dates };
    const files = args.positional.map((file) => ({
      file,
      record: readGaugeFile(readText(file), { ...options, format, file, now: Math.max(at ?? 0, Date.now()) }),
    }));
    const named = files.length > 1 ? (file: string) => ({ file }) : () => ({});
    const joined = joinRecords(files.map(({ record }) => record));
    const { station, series, now, recession } = summariseGauge(joined, at);
    const discharge = seriesOf(joined, "discharge");
    const rain = now && rainGiven(joined, args, options, Date.parse(now.at));
    return {
      station,
      series,
      rejected: files.flatMap(({ file, record }) =>
        record.rejected.map(({ line, reason }) => ({ line, reason: messageText(reason), ...named(file) })),
      ),
      lines: files.map(({ record }) => record.lines).reduce(addLines),
      codes: files.reduce<Record<string, number>>((sum, { record }) => addCounts(sum, record.codes), {}),
      notes: [...new Set(files.flatMap(({ record }) => record.notes.map((note) => messageText(note))))],
      suspect: loneJumps(joined.series).map(({ at: time, ...jump }) => ({
        ...jump,
        at: new Date(time).toISOString(),
      })),
      now,
      recession,
      regime: discharge ? regimeOf(discharge) : null,
      forecast: discharge && now ? forecastOf(discharge, rain, Date.parse(now.at), hours) : [],
      ...(args.flags.has("backtest") ? { backtest: discharge ? backtest(discharge, rain) : [] } : {}),
    };
  },
};

/** The rain of the record and of --rain, of which what comes after `at` is forecast; null without any. */
function rainGiven(record: GaugeRecord, args: Arguments, options: CsvOptions, at: number): Rain | null {
  const file = args.values.rain;
  const own = seriesOf(record, "rain");
  if (file === undefined) return rainOf(own, null, at);
  const given = seriesOf(readGaugeFile(readText(file), { ...options, file }), "rain");
  if (!given) throw new InputError("no-rain", {}, { file });
  const told = own ? mergeSeries(knownBy(own, at), given) : given;
  const last = told.times.at(-1)!;
  const rain = rainOf(told, null, last);
  return rain && { ...rain, ahead: Math.max(0, last - at) };
}

const forecastOf = (discharge: Series, rain: Rain | null, at: number, hours: number) =>
  (forecastFlow(discharge, at, rain)?.points ?? [])
    .filter(({ time }) => time > at && time <= at + hours * HOUR)
    .map(({ time, low, median, high }) => ({ at: new Date(time).toISOString(), p10: low, p50: median, p90: high }));
