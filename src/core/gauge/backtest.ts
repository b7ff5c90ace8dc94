import { median } from "simple-statistics";
import { DAY, HOUR, lastReading, type Series } from "./series";
import { leadsOf, weightsOf } from "./forecast/combined";
import { type Dressing, dressingOf, errorsOf, knownAt, scoreOf, spansOf, stretchOf } from "./forecast/dressed";
import { type FlowModel, flowModel } from "./forecast/flow-forecast";

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
}

/** Leads that a track record is told at, h; those that the record's own steps have. */
const BACKTEST_HOURS = [3, 6, 12, 24, 48, 72, 120] as const;
/** The last year is held out; of a shorter record, its last third. */
const HELD_OUT = 365 * DAY;
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
export function backtest(discharge: Series): ForecastSkill[] {
  const last = discharge.times.at(-1);
  const end = last === undefined ? null : lastReading(discharge, last, Infinity);
  return end ? tried(flowModel(discharge, end.time)).flatMap(skillOf) : [];
}

function tried({ grid, trials }: FlowModel): Line[] {
  const { at, ahead } = trials;
  const day = DAY / grid.step;
  const heldOut = Math.min(HELD_OUT / grid.step, grid.y.length / 3);
  const first = at.findIndex((k) => k >= grid.y.length - heldOut);
  const weights = first < 0 ? null : weightsOf(trials, leadsOf(grid), knownAt(trials, at[first]!));
  if (!weights) return [];
  const errors = errorsOf(trials, weights, at.length);
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
    if (n >= first && dressing) lines.forEach((line, l) => judge({ grid, trials }, errors, n, line, dressing, l));
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
});

/** Holds one trial's forecast of one lead against what came. */
function judge(
  { grid, trials }: Pick<FlowModel, "grid" | "trials">,
  errors: Float32Array,
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

const skillOf = ({ hours, errors, plain, held, tenths }: Line): ForecastSkill[] =>
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
        },
      ];
