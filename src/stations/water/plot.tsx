"use client";
import "chartjs-adapter-date-fns";
import {
  Chart as ChartJS,
  type ChartData,
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
import { CHART_FONT } from "../../widgets/chart-font";
import { useColours } from "../../widgets/colours";
import { leaveTooltip } from "../../widgets/leave-tooltip";
import { figureText } from "../../words/quantity";
import { axisMoment, dayAndTime } from "../../words/river";
import {
  type ForecastShown,
  aheadLayers,
  type Marks,
  markLayers,
  windowLayer,
  type Points,
  type Season,
  seasonLayers,
} from "./plot-layers";

ChartJS.register(LineElement, PointElement, LinearScale, LogarithmicScale, TimeScale, Filler, Tooltip);

/** A tick with the decimals that part it from the next one, and no more. */
function tickText(value: number, ticks: readonly { value: number }[]): string {
  const steps = ticks.slice(1).map((one, k) => Math.abs(one.value - ticks[k]!.value));
  const step = Math.min(...steps.filter((one) => one > 0), Math.abs(value) || Infinity);
  const decimals = Number.isFinite(step) ? Math.min(6, Math.max(0, Math.ceil(-Math.log10(step) - 1e-9))) : 0;
  const most = figureText(value, decimals, false);
  // "0.50" is "0.5", where the next tick needs no more.
  return decimals > 0
    ? figureText(value, (String(Number(value.toFixed(decimals))).split(".")[1] ?? "").length, false)
    : most;
}

const LEAVE = [leaveTooltip];

/** Points that the widest chart can show: two a pixel. */
const POINTS = 1400;
/** Room for the figures at the left of every plot, so that the plots share one time axis. */
const AXIS_WIDTH = 54;

export interface PlotProps {
  name: string;
  series: Series;
  from: number;
  to: number;
  /** From the series' SI to what is shown. */
  shown: (value: number) => number;
  /** A figure with its unit, for the reading under the pointer. */
  say: (shown: number) => string;
  forecast: readonly ForecastShown[] | null;
  /** Where the forecast starts. */
  start?: ForecastShown;
  now: number;
  log?: boolean;
  showTime?: boolean;
  /** Drawn behind: the usual range, levels of `exceedance.ts` by time. */
  season?: Season;
  marks?: Marks;
  /** When the river is likely to be right, ms. */
  window?: { from: number; to: number } | null;
}

/**
 * One plot of the hydrograph: readings as a line, the days ahead as a widening band, on a time axis that all plots
 * share.
 */
export function Plot(props: PlotProps) {
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
    window,
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
        ...(window ? [windowLayer(window, colours)] : []),
      ],
    }),
    [name, drawn, from, to, shown, forecast, start, now, season, marks, window, colours],
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
            title: (items) => (items[0] ? dayAndTime(Number(items[0].parsed.x)) : ""),
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
          ticks: {
            font: CHART_FONT,
            color: colours.inkSoft,
            maxRotation: 0,
            autoSkipPadding: 24,
            callback: (time) => axisMoment(Number(time), to - from),
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
            callback: (value, _, ticks) => tickText(Number(value), ticks),
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
      plugins={LEAVE}
      role="img"
      aria-label={`${name} against time${forecast ? ", with its forecast" : ""}; the table below has the same data`}
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
