"use client";
import "chartjs-adapter-date-fns";
import {
  Chart as ChartJS,
  type ChartData,
  type ChartDataset,
  type ChartOptions,
  Filler,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
  TimeScale,
  Tooltip,
} from "chart.js";
import { useMemo } from "react";
import { Line } from "react-chartjs-2";
import { envelope } from "../../core/gauge/envelope";
import { indexAtOrBefore, type Series } from "../../core/gauge/series";
import { CHART_FONT } from "../../ui/chart-font";
import { type Colours, useColours } from "../../ui/colours";

ChartJS.register(LineElement, PointElement, LinearScale, LogarithmicScale, TimeScale, Filler, Tooltip);

/** Points that the widest chart can show: two a pixel. */
const POINTS = 1400;
/** Room for the figures at the left of every lane, so that the lanes share one time axis. */
const AXIS_WIDTH = 54;

export interface Ahead {
  time: number;
  low: number;
  median: number;
  high: number;
}

export interface LaneProps {
  name: string;
  series: Series;
  from: number;
  to: number;
  /** From the series' SI to what is shown. */
  shown: (value: number) => number;
  /** A figure with its unit, for the reading under the pointer. */
  say: (shown: number) => string;
  forecast: readonly Ahead[] | null;
  /** Where the forecast starts. */
  start?: Ahead;
  now: number;
  log?: boolean;
  showTime?: boolean;
  /** Drawn behind: the usual range, levels of `exceedance.ts` by time. */
  season?: readonly { time: number; levels: readonly number[] | null }[];
  marks?: {
    sessions: readonly { from: number; to: number; fish: boolean }[];
    fish: readonly { time: number; value: number | null }[];
  };
}

type Points = { x: number; y: number | null }[];
type Layer = ChartDataset<"line", Points>;

/**
 * One lane of the hydrograph: readings as a line, the days ahead as a widening band, on a time axis that all lanes
 * share.
 */
export function Lane(props: LaneProps) {
  const {
    name,
    series,
    from,
    to,
    shown,
    say,
    forecast,
    start,
    now,
    log = false,
    showTime = false,
    season,
    marks,
  } = props;
  const colours = useColours();
  const overview = useMemo(() => overviewOf(series), [series]);
  const drawn = countBetween(series, from, to) > OVERVIEW ? overview : series;
  const data = useMemo(
    (): ChartData<"line", Points> => ({
      datasets: [
        ...seasonLayers(season, shown, colours),
        ...aheadLayers(forecast, start, shown, colours),
        {
          label: name,
          data: envelope(drawn, from, Math.min(to, now), POINTS).map(([x, y]) => ({
            x,
            y: Number.isNaN(y) ? null : shown(y),
          })),
          order: 0,
          pointRadius: 0,
          borderWidth: 2.2,
          borderJoinStyle: "round",
          borderColor: colours.ink,
          spanGaps: false,
        },
        ...markLayers(marks, now, shown, colours),
      ],
    }),
    [name, drawn, from, to, shown, forecast, start, now, season, marks, colours],
  );
  const options = useMemo(
    (): ChartOptions<"line"> => ({
      animation: false,
      maintainAspectRatio: false,
      layout: { autoPadding: false, padding: { top: 4, right: 16 } },
      parsing: false,
      interaction: { mode: "nearest", axis: "x", intersect: false },
      plugins: {
        legend: { display: false },
        tooltip: {
          filter: (item) => item.dataset.label === name || item.dataset.label === "forecast",
          callbacks: {
            label: (item) => `${item.dataset.label === name ? "" : "forecast "}${say(Number(item.parsed.y))}`,
          },
        },
      },
      scales: {
        x: {
          type: "time",
          display: showTime,
          min: from,
          max: to,
          grid: { display: false },
          border: { color: colours.line },
          ticks: { font: CHART_FONT, color: colours.inkSoft, maxRotation: 0, autoSkipPadding: 24 },
          time: {
            tooltipFormat: "d MMM yyyy, HH:mm",
            displayFormats: { hour: "d MMM HH:mm", day: "d MMM", month: "MMM yy" },
          },
        },
        y: {
          type: log ? "logarithmic" : "linear",
          grid: { color: colours.line },
          border: { display: false },
          beginAtZero: false,
          grace: log ? undefined : "6%",
          afterFit: (axis) => {
            axis.width = AXIS_WIDTH;
          },
          ...(log
            ? {
                afterBuildTicks: (axis: { ticks: { value: number }[] }) => {
                  axis.ticks = axis.ticks.filter(({ value }) =>
                    [1, 2, 5].includes(Number((value / 10 ** Math.floor(Math.log10(value) + 1e-9)).toPrecision(3))),
                  );
                },
              }
            : {}),
          ticks: {
            font: CHART_FONT,
            color: colours.inkSoft,
            maxTicksLimit: log ? undefined : 4,
            callback: (value) => String(Number(Number(value).toPrecision(3))),
          },
        },
        marks: { type: "linear", display: false, min: 0, max: 1 },
      },
    }),
    [from, to, name, say, log, showTime, colours],
  );
  return (
    <Line
      data={data}
      options={options}
      role="img"
      aria-label={`${name} against time${forecast ? ", with its forecast" : ""}; the table below holds the same`}
    />
  );
}

/** Readings of an overview: a span that holds more is drawn from it, so that moving over ten years stays quick. */
const OVERVIEW = 24_000;

/** A long series thinned once, its peaks and troughs kept; thinning it again for the chart keeps them still. */
function overviewOf(series: Series): Series {
  if (series.times.length <= OVERVIEW) return series;
  const points = envelope(series, series.times[0]!, series.times.at(-1)!, OVERVIEW);
  return {
    ...series,
    times: Float64Array.from(points, ([time]) => time),
    values: Float64Array.from(points, ([, value]) => value),
  };
}

const countBetween = (series: Series, from: number, to: number): number =>
  indexAtOrBefore(series, to) - indexAtOrBefore(series, from);

const bare = { pointRadius: 0, borderWidth: 0, order: 3 } as const;

function seasonLayers(season: LaneProps["season"], shown: LaneProps["shown"], colours: Colours): Layer[] {
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

function aheadLayers(
  forecast: readonly Ahead[] | null,
  start: Ahead | undefined,
  shown: LaneProps["shown"],
  colours: Colours,
): Layer[] {
  if (!forecast) return [];
  const all = start ? [start, ...forecast] : forecast;
  const along = (of: (one: Ahead) => number): Points =>
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

/**
 * Sessions as bars on the floor of the lane (full with fish, hollow when blank), fish as rings on the line, now as a
 * thin upright.
 */
function markLayers(marks: LaneProps["marks"], now: number, shown: LaneProps["shown"], colours: Colours): Layer[] {
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
