import { median } from "simple-statistics";
import { DAY, HOUR, lastReading, type Series } from "./series";
import { weighingOf } from "./forecast/combined";
import { type Dressing, dressingOf, errorsOf, knownAt, scoreOf, spansOf, stretchOf } from "./forecast/dressed";
import { type FlowModel, flowModel } from "./forecast/flow-forecast";
import type { FlowGrid } from "./forecast/flow-grid";
import { leadsOf } from "./forecast/leads";
import { type Trials, trialsWithoutRain } from "./forecast/trials";
import type { Rain } from "./rain/rain";

export interface ForecastSkill {
  hours: number;
  /** Median of |forecast - truth| / truth. */
  medianError: number;
  /** The same for "it stays as it is", "as yesterday at this hour" and "as last week at this hour". */
  persistenceError: number;
  yesterdayError: number;
  lastWeekError: number;
  /** Share of the truths within the 80 % band. */
  coverage80: number;
  cases: number;
  /** How many truths lay in each tenth of the paths, lowest first: level where the band is honest throughout. */
  tenths: number[];
  /** What rain known ahead does; only where the record has rain. */
  rain?: RainSkill;
}

interface RainSkill {
  /** Median error of the forecast that knows no rain, on the same cases. */
  withoutError: number;
  /** Both on the cases where the river rose by a quarter or more; null with too few. */
  rising: { error: number; withoutError: number; cases: number } | null;
}

/** Leads that a track record is told at, h; those that the record's own steps have. */
const BACKTEST_HOURS = [3, 6, 12, 24, 48, 72, 120] as const;
/** The last year is held out; of a shorter record, its last third. */
const HELD_OUT = 365 * DAY;
/** Fewest cases of a rise. */
const LEAST_RISES = 12;
/** A case is one of a rise from so much of ln Q. Common practice, no source. */
const ROSE = 0.25;
/** Fewest cases that make a track record. */
const LEAST_CASES = 30;

/** What became of the trials at one lead. */
interface Line {
  hours: number;
  /** Steps of the record's grid. */
  lead: number;
  /** Relative errors of the forecast, and of the plain sayings. */
  errors: number[];
  plain: Record<Plain, number[]>;
  held: number;
  tenths: number[];
  /** Of the trials so far, how far each truth lay off, in half bands. */
  scores: number[];
  /** Relative errors without rain, and which of the cases rose. */
  dry: number[];
  rose: boolean[];
}

/** What a forecast must beat: how many steps before the hour that is forecast is the one that it repeats. */
const PLAIN = {
  persistence: (lead: number) => lead,
  yesterday: (lead: number, day: number) => day * Math.max(1, Math.ceil(lead / day)),
  lastWeek: (_: number, day: number) => 7 * day,
};
type Plain = keyof typeof PLAIN;
const PLAIN_NAMES = Object.keys(PLAIN) as Plain[];

/**
 * The forecast tried on the held-out end of the record, at every hour of the day, with only what was known at each
 * time: its weights are those of before. Empty where the record is too short.
 */
export function backtest(discharge: Series, rain: Rain | null = null): ForecastSkill[] {
  const last = discharge.times.at(-1);
  const end = last === undefined ? null : lastReading(discharge, last, Infinity);
  if (!end) return [];
  const begins = end.time - Math.min(HELD_OUT, (end.time - discharge.times[0]!) / 3);
  return tried(flowModel(discharge, end.time, rain, begins), begins).flatMap(skillOf);
}

/** What the trials' forecasts err by, by weights from before the `first`; null with too few. */
function errorsBy(trials: Trials, grid: FlowGrid, first: number): Float32Array | null {
  const weighing = first < 0 ? null : weighingOf(trials, leadsOf(grid), knownAt(trials, trials.at[first]!));
  return weighing && errorsOf(trials, weighing, trials.at.length);
}

function tried({ grid, trials }: FlowModel, begins: number): Line[] {
  const { at, ahead } = trials;
  const day = DAY / grid.step;
  const first = at.findIndex((k) => grid.start + k * grid.step > begins);
  const errors = errorsBy(trials, grid, first);
  if (!errors) return [];
  const dry = trials.rain ? errorsBy(trialsWithoutRain(trials), grid, first) : null;
  const lines = BACKTEST_HOURS.map((hours) => lineOf(hours, (hours * HOUR) / grid.step)).filter(({ lead }) =>
    Number.isInteger(lead),
  );
  const leads = lines.map(({ lead }) => lead);
  const dressings: (Dressing | null)[] = [];
  let scored = 0;
  for (let n = 0; n < at.length; n++) {
    const dressing = dressingOf(trials, errors, leads, n, day);
    dressings.push(dressing);
    for (const known = knownAt(trials, at[n]!); scored < known; scored++)
      lines.forEach(({ lead, scores }, l) => {
        const band = dressings[scored]?.bands[l];
        const score = band ? scoreOf(errors[scored * ahead + lead - 1]!, band) : NaN;
        if (!Number.isNaN(score)) scores.push(score);
      });
    if (n >= first && dressing)
      lines.forEach((line, l) => judge({ grid, trials }, { errors, dry }, n, line, dressing, l));
  }
  return lines;
}

const lineOf = (hours: number, lead: number): Line => ({
  hours,
  lead,
  errors: [],
  plain: { persistence: [], yesterday: [], lastWeek: [] },
  held: 0,
  tenths: new Array<number>(10).fill(0),
  scores: [],
  dry: [],
  rose: [],
});

/** Holds one trial's forecast of one lead against what came. */
function judge(
  { grid, trials }: Pick<FlowModel, "grid" | "trials">,
  { errors, dry }: { errors: Float32Array; dry: Float32Array | null },
  n: number,
  line: Line,
  { like, bands }: Dressing,
  l: number,
): void {
  const { at, ahead, came } = trials;
  const k = n * ahead + line.lead - 1;
  const [error, band] = [errors[k]!, bands[l]!];
  if (Number.isNaN(error) || Number.isNaN(band.middle)) return;
  const truth = grid.back(came[k]!);
  const relative = (y: number) => Math.abs(grid.back(y) - truth) / Math.max(Math.abs(truth), grid.least);
  line.errors.push(relative(came[k]! - error));
  if (dry) line.dry.push(relative(came[k]! - dry[k]!));
  line.rose.push(came[k]! - grid.y[at[n]!]! > ROSE);
  const day = DAY / grid.step;
  for (const name of PLAIN_NAMES) {
    const off = relative(grid.y[at[n]! + line.lead - PLAIN[name](line.lead, day)] ?? NaN);
    if (!Number.isNaN(off)) line.plain[name].push(off);
  }
  const stretch = stretchOf(line.scores, spansOf(trials, knownAt(trials, at[n]!), line.lead));
  if (scoreOf(error, band) <= stretch) line.held++;
  let [under, count] = [0, 0];
  for (const other of like) {
    const off = stretch * (errors[other * ahead + line.lead - 1]! - band.middle);
    if (Number.isNaN(off)) continue;
    count++;
    // A truth that paths come to exactly lies in their middle.
    under += off < error ? 1 : off === error ? 0.5 : 0;
  }
  line.tenths[Math.min(9, Math.floor((10 * under) / count))]!++;
}

const middleOf = (values: readonly number[]): number => (values.length > 0 ? median([...values]) : NaN);

function withRain({ errors, dry, rose }: Pick<Line, "errors" | "dry" | "rose">): { rain?: RainSkill } {
  if (dry.length === 0) return {};
  const [known, without] = [errors, dry].map((all) => all.filter((off, n) => rose[n] && !Number.isNaN(off)));
  const cases = known!.length;
  const rising = cases < LEAST_RISES ? null : { error: median(known!), withoutError: middleOf(without!), cases };
  return { rain: { withoutError: middleOf(dry.filter((off) => !Number.isNaN(off))), rising } };
}

const skillOf = ({ hours, errors, plain, held, tenths, ...line }: Line): ForecastSkill[] =>
  errors.length < LEAST_CASES
    ? []
    : [
        {
          hours,
          medianError: median(errors),
          persistenceError: middleOf(plain.persistence),
          yesterdayError: middleOf(plain.yesterday),
          lastWeekError: middleOf(plain.lastWeek),
          coverage80: held / errors.length,
          cases: errors.length,
          tenths,
          ...withRain({ errors, ...line }),
        },
      ];
