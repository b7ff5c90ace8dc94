/**
 * How forecasts of flow do on made-up rivers of every regime (src/testing/rivers.ts): the tables of docs/forecast.md.
 * `npm run forecast [-- RIVERS]`
 */
import { median } from "simple-statistics";
import { backtest, type ForecastSkill } from "../src/core/gauge/backtest";
import { regimeOf } from "../src/core/gauge/regime";
import { HORIZON } from "../src/core/gauge/forecast";
import { HOUR, type Series, seriesFromColumns } from "../src/core/gauge/series";
import { madeRiver, type RegimeMade, REGIMES_MADE } from "../src/testing/rivers";

const rivers = Number(process.argv[2] ?? 4);
const YEARS = 3;
const seeds = Array.from({ length: rivers }, (_, n) => 101 + n);
const print = (line = ""): void => void process.stdout.write(`${line}\n`);
const percent = (share: number): string => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;
const WAYS = { persistenceError: "no change", yesterdayError: "yesterday", lastWeekError: "last week" } as const;
type Way = keyof typeof WAYS;

/** Of several rivers: the middle of each figure. */
function middle(skills: readonly ForecastSkill[]): ForecastSkill {
  const of = (figure: (one: ForecastSkill) => number) => median(skills.map(figure));
  return {
    hours: skills[0]!.hours,
    medianError: of((one) => one.medianError),
    persistenceError: of((one) => one.persistenceError),
    yesterdayError: of((one) => one.yesterdayError),
    lastWeekError: of((one) => one.lastWeekError),
    coverage80: skills.reduce((sum, one) => sum + one.coverage80, 0) / skills.length,
    cases: skills.reduce((sum, one) => sum + one.cases, 0),
    tenths: [],
  };
}

const bestOf = (skill: ForecastSkill): Way =>
  (Object.keys(WAYS) as Way[]).reduce((best, way) => (skill[way] < skill[best] ? way : best));

/** Means of each day, as a gauge that publishes daily values has them. */
function daily({ times, values }: Series): Series {
  const days = Array.from({ length: Math.floor(times.length / 24) }, (_, day) => {
    const read = values.subarray(24 * day, 24 * (day + 1)).filter((q) => !Number.isNaN(q));
    return { time: times[24 * day]!, mean: read.length > 12 ? read.reduce((sum, q) => sum + q, 0) / read.length : NaN };
  });
  return seriesFromColumns(
    "discharge",
    days.map(({ time }) => time),
    days.map(({ mean }) => mean),
  );
}

function table(title: string, hours: readonly number[], recordOf: (regime: RegimeMade, seed: number) => Series): void {
  let [worse, outside, cells] = [0, 0, 0];
  print(`## ${title}`);
  print();
  print("| river | named | lead | median error | best plain saying | in the 80 % band | cases |");
  print("| :--- | :--- | ---: | ---: | ---: | ---: | ---: |");
  for (const regime of REGIMES_MADE) {
    const records = seeds.map((seed) => recordOf(regime, seed));
    const named = [...new Set(records.map((one) => regimeOf(one) ?? "none"))].join(", ");
    const all = records.map((one) => backtest(one));
    for (const lead of hours) {
      const found = all.flatMap((one) => one.filter((skill) => skill.hours === lead));
      if (found.length === 0) continue;
      const skill = middle(found);
      const plain = bestOf(skill);
      cells++;
      if (skill.medianError > skill[plain]) worse++;
      if (skill.coverage80 < 0.7 || skill.coverage80 > 0.9) outside++;
      print(
        `| ${regime} | ${named} | ${lead} h | ${percent(skill.medianError)} | ${percent(skill[plain])}, ${WAYS[plain]} | ${skill.coverage80.toFixed(2)} | ${skill.cases} |`,
      );
    }
  }
  print();
  print(
    `Of ${cells} lines, in ${worse} a plain saying was nearer, and in ${outside} the band held under 70 or over 90 %.`,
  );
  print();
}

/** What rain known ahead does: it is tried with the errors that rain forecasts have (rain-way.ts). */
function rainTable(hours: readonly number[]): void {
  print("## Rain known ahead");
  print();
  print(
    "The same rivers with the rain of each hour: what fell, and five days ahead as a forecast would tell it (each day off by a lognormal factor whose spread is 0.3 on the first day and grows by 0.12 a day). The model of the catchment (GR4H) is fitted before the held-out year. A rise is a case whose flow came out a quarter or more higher.",
  );
  print();
  print("| river | lead | median error | without rain | on rises | without rain | rises | in the 80 % band |");
  print("| :--- | ---: | ---: | ---: | ---: | ---: | ---: | ---: |");
  for (const regime of REGIMES_MADE) {
    const all = seeds.map((seed) => {
      const { discharge, rain } = madeRiver(regime, seed, YEARS);
      return backtest(discharge, { start: discharge.times[0]! - HOUR, hours: rain, ahead: HORIZON });
    });
    for (const lead of hours) {
      const found = all.flatMap((one) => one.filter((skill) => skill.hours === lead));
      const rains = found.flatMap(({ rain }) => rain ?? []);
      const rising = rains.flatMap((one) => one.rising ?? []);
      const of = (values: number[]) => (values.length > 0 ? percent(median(values)) : "-");
      const cases = rising.reduce((sum, one) => sum + one.cases, 0);
      const { medianError, coverage80 } = middle(found);
      print(
        `| ${regime} | ${lead} h | ${percent(medianError)} | ${of(rains.map((one) => one.withoutError))} | ${of(rising.map((one) => one.error))} | ${of(rising.map((one) => one.withoutError))} | ${cases} | ${coverage80.toFixed(2)} |`,
      );
    }
  }
  print();
}

print("# Forecasts of flow, measured");
print();
print(
  `Written by \`npm run forecast\`: ${rivers} made-up rivers of each regime, by a generator that shares no code with the demo's gauge (\`src/testing/rivers.ts\`), ${YEARS} years of hours with gaps and rounded as gauges round. The last year is held out; each forecast knows only what was read before it, and is weighed by the two years before. An error is |forecast − truth| / truth (of a river that dries up or runs back, over a small share of its usual flow at least); its median over all cases of a river, then the middle of the rivers. Plain sayings: no change, as yesterday at that hour, as last week at that hour; the best of the three is told.`,
);
print();
table("Three years of hours", [3, 6, 12, 24, 48, 72, 120], (regime, seed) => madeRiver(regime, seed, YEARS).discharge);
table("Ten years of daily means", [24, 72, 120], (regime, seed) => daily(madeRiver(regime, seed, 10).discharge));
table("Forty days of hours", [3, 24, 72], (regime, seed) => madeRiver(regime, seed, 40 / 365.25).discharge);
rainTable([6, 24, 72]);
