import type { ChartDataset } from "chart.js";
import type { Colours } from "../../widgets/colours";

export interface ForecastShown {
  time: number;
  low: number;
  median: number;
  high: number;
}

/** The usual range behind a plot, levels of `exceedance.ts` by time. */
export type Season = readonly { time: number; levels: readonly number[] | null }[];
/** What was fished, on the time axis. */
export interface Marks {
  sessions: readonly { from: number; to: number; fish: boolean }[];
  fish: readonly { time: number; value: number | null }[];
}
/** From a series' SI to what is shown. */
type Shown = (value: number) => number;

export type Points = { x: number; y: number | null }[];
type Layer = ChartDataset<"line", Points>;

const bare = { pointRadius: 0, borderWidth: 0, order: 3 } as const;

export function seasonLayers(season: Season | undefined, shown: Shown, colours: Colours): Layer[] {
  if (!season) return [];
  const level = (k: number): Points =>
    season.map((day) => ({ x: day.time, y: day.levels ? shown(day.levels[k]!) : null }));
  return [
    { label: "tenth", data: level(0), ...bare },
    { label: "tenth to nine tenths", data: level(4), ...bare, fill: "-1", backgroundColor: `${colours.reedSoft}80` },
    { label: "quarter", data: level(1), ...bare },
    { label: "middle half", data: level(3), ...bare, fill: "-1", backgroundColor: colours.reedSoft },
    {
      label: "usual",
      data: level(2),
      ...bare,
      order: 2,
      borderWidth: 1.2,
      borderColor: colours.reed,
      borderDash: [2, 4],
    },
  ];
}

export function aheadLayers(
  forecast: readonly ForecastShown[] | null,
  start: ForecastShown | undefined,
  shown: Shown,
  colours: Colours,
): Layer[] {
  if (!forecast) return [];
  const all = start ? [start, ...forecast] : forecast;
  const along = (of: (one: ForecastShown) => number): Points =>
    all.map((one) => ({ x: one.time, y: Number.isNaN(of(one)) ? null : shown(of(one)) }));
  return [
    {
      label: "forecast low",
      data: along((one) => one.low),
      ...bare,
      borderWidth: 1,
      borderColor: colours.ochre,
      borderDash: [1, 3],
      order: 2,
    },
    {
      label: "forecast high",
      data: along((one) => one.high),
      ...bare,
      borderWidth: 1,
      borderColor: colours.ochre,
      borderDash: [1, 3],
      order: 2,
      fill: "-1",
      backgroundColor: `${colours.ochre}26`,
    },
    {
      label: "forecast",
      data: along((one) => one.median),
      pointRadius: 0,
      borderWidth: 2.2,
      borderDash: [7, 5],
      borderColor: colours.ochre,
      order: 1,
    },
  ];
}

/** A bracket along the top over the hours when the river is likely to be right. */
export const windowLayer = ({ from, to }: { from: number; to: number }, colours: Colours): Layer => ({
  label: "window",
  yAxisID: "marks",
  data: [
    { x: from, y: 0.88 },
    { x: from, y: 0.95 },
    { x: to, y: 0.95 },
    { x: to, y: 0.88 },
  ],
  pointRadius: 0,
  borderWidth: 2.5,
  borderColor: colours.ink,
  order: 0,
});

/**
 * Sessions as bars on the floor of the plot (full with fish, hollow when blank), fish as rings on the line, now as a
 * thin upright.
 */
export function markLayers(marks: Marks | undefined, now: number, shown: Shown, colours: Colours): Layer[] {
  const upright: Layer = {
    label: "now",
    yAxisID: "marks",
    data: [
      { x: now, y: 0 },
      { x: now, y: 1 },
    ],
    pointRadius: 0,
    borderWidth: 1,
    borderColor: colours.inkSoft,
    borderDash: [3, 3],
    order: 1,
  };
  if (!marks) return [upright];
  const bars = (fish: boolean): Points =>
    marks.sessions
      .filter((one) => one.fish === fish)
      .flatMap((one) => [
        { x: one.from, y: 0.025 },
        { x: one.to, y: 0.025 },
        { x: one.to, y: null },
      ]);
  const common = { yAxisID: "marks", spanGaps: false, borderCapStyle: "square", order: 0 } as const;
  return [
    upright,
    {
      label: "sessions with fish",
      data: bars(true),
      ...common,
      pointStyle: "rect",
      pointRadius: 3.5,
      borderWidth: 7,
      borderColor: colours.clay,
      backgroundColor: colours.clay,
    },
    {
      label: "blank sessions",
      data: bars(false),
      ...common,
      pointStyle: "rect",
      pointRadius: 4,
      borderWidth: 1.6,
      borderColor: colours.clay,
      backgroundColor: colours.paper,
    },
    {
      label: "fish",
      data: marks.fish.map(({ time, value }) => ({ x: time, y: value === null ? null : shown(value) })),
      showLine: false,
      pointStyle: "circle",
      pointRadius: 4.5,
      borderWidth: 2,
      borderColor: colours.ochre,
      backgroundColor: colours.paper,
      order: -1,
    },
  ];
}
