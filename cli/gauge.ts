import { InputError } from "../src/core/quantity/fault";
import { addLines } from "../src/core/formats/tally";
import { addCounts } from "../src/core/formats/gauge-text";
import type { CsvOptions } from "../src/core/formats/gauge-csv";
import { DATE_ORDERS } from "../src/core/formats/date-order";
import { readGaugeFile, STATED_FORMATS } from "../src/core/formats/gauge-file";
import { backtest } from "../src/core/gauge/backtest";
import { loneJumps } from "../src/core/gauge/lone-jumps";
import { HORIZON } from "../src/core/gauge/forecast";
import { outlookOf } from "../src/core/gauge/outlook";
import { rightWindow } from "../src/core/gauge/right-window";
import { NO_LIMITS, stateNow, verdictOf } from "../src/core/gauge/verdict";
import { VERDICT_NAMES } from "../src/words/verdict";
import { type Rain, rainOf } from "../src/core/gauge/rain/rain";
import { HOUR, knownBy, mergeSeries } from "../src/core/gauge/series";
import { type GaugeNow, type GaugeRecord, joinRecords, seriesOf, summariseGauge } from "../src/core/gauge/summary";
import { messageText } from "../src/words/messages";
import { type Arguments, boundedOption, choiceOption, instantOption, readText } from "./arguments";
import type { Command } from "./command";

export const gauge: Command = {
  usage: `FILE… [--format ${STATED_FORMATS.join("|")}] [--at ISO] [--zone IANA] [--dates dmy|mdy] [--hours N] [--rain FILE] [--backtest]`,
  about: `Reads a gauge file and says what the river is doing. Output: station, series[], rejected[], lines, codes, notes, suspect[], now, recession, verdict, verdictRule, regime, window, forecast[].
exceedance is the fraction (0..1) of the season's record at or above the discharge; ratePerHour is d(ln Q)/dt, 1/h.
regime is what makes the river rise and fall, null for a record under 60 days. forecast[] is the flow ahead, m3/s, for --hours N (72; 120 at most), empty where the record bears none.
verdict is one of ${Object.values(VERDICT_NAMES).join(" | ")}, null where neither flow nor clarity is known; verdictRule says why. window{kind, from, to, probability} is when it is likely to be prime, else fishable, within --hours, null where it is not.
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
      ...outlookAhead(joined, now, rain, hours),
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

/** What the river is fit for now and when it will be, its kind, and its flow ahead. */
function outlookAhead(record: GaugeRecord, now: GaugeNow | null, rain: Rain | null, hours: number) {
  const at = now && Date.parse(now.at);
  const judged = now && verdictOf(stateNow(now), NO_LIMITS);
  const outlook = at === null ? null : outlookOf(record, at, rain);
  const window = outlook && rightWindow(outlook, NO_LIMITS, hours);
  return {
    verdict: judged ? VERDICT_NAMES[judged.verdict] : null,
    verdictRule: judged?.rule ?? null,
    regime: outlook?.regime ?? null,
    window: window && {
      ...window,
      from: new Date(window.from).toISOString(),
      to: new Date(window.to).toISOString(),
    },
    forecast: (outlook?.flow?.points ?? [])
      .filter(({ time }) => time > at! && time <= at! + hours * HOUR)
      .map(({ time, low, median, high }) => ({ at: new Date(time).toISOString(), p10: low, p50: median, p90: high })),
  };
}
