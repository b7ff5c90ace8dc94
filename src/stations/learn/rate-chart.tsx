"use client";
import { rateWords } from "../../words/learn";
import { figureText } from "../../words/quantity";
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart as ChartJS,
  type ChartData,
  type ChartDataset,
  type ChartOptions,
  LinearScale,
  type Plugin,
  Tooltip,
} from "chart.js";
import { useMemo } from "react";
import { Bar } from "react-chartjs-2";
import type { RateClass } from "../../core/book/rates";
import { useColours } from "../../widgets/colours";
import { CHART_FONT } from "../../widgets/chart-font";
import { leaveTooltip } from "../../widgets/leave-tooltip";

ChartJS.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

/** The bars' own dataset carries their intervals, so that the whiskers are always those of the bars drawn. */
type WithIntervals = ChartDataset<"bar"> & {
  intervals: ([number, number] | null)[];
  /** Fish an hour as counted. */
  counted: (number | null)[];
  ink: string;
  paper: string;
};

const whiskers: Plugin<"bar"> = {
  id: "whiskers",
  afterDatasetsDraw(chart) {
    const { ctx, scales, data } = chart;
    const { intervals, counted, ink, paper } = data.datasets[0] as WithIntervals;
    ctx.save();
    ctx.strokeStyle = ink;
    ctx.lineWidth = 2;
    chart.getDatasetMeta(0).data.forEach((bar, k) => {
      const interval = intervals[k];
      if (!interval) return;
      const [low, high] = interval.map((rate) => scales.y!.getPixelForValue(rate)) as [number, number];
      ctx.beginPath();
      ctx.moveTo(bar.x, low);
      ctx.lineTo(bar.x, high);
      for (const end of [low, high]) {
        ctx.moveTo(bar.x - 7, end);
        ctx.lineTo(bar.x + 7, end);
      }
      ctx.stroke();
      const rate = counted[k];
      if (rate == null) return;
      ctx.beginPath();
      ctx.arc(bar.x, scales.y!.getPixelForValue(rate), 4.5, 0, 2 * Math.PI);
      ctx.fillStyle = paper;
      ctx.fill();
      ctx.stroke();
    });
    ctx.restore();
  },
};

const PLUGINS = [whiskers, leaveTooltip];

/** Catches per rod-hour by class, with the 80 % interval as a whisker and the hours fished under each bar. */
export function RateChart({ classes, labels }: { classes: readonly RateClass[]; labels: readonly string[] }) {
  const colours = useColours();
  const data: ChartData<"bar"> = useMemo(
    () => ({
      labels: classes.map((one, k) => [
        labels[k]!.replace(" to ", "–"),
        ...(one.hours > 0 ? [`${figureText(one.hours, 1)} h`, `${one.events} fish`] : ["not", "fished"]),
      ]),
      datasets: [
        {
          data: classes.map((one) => one.rate ?? 0),
          backgroundColor: colours.reed,
          maxBarThickness: 56,
          intervals: classes.map((one) => one.interval),
          counted: classes.map((one) => (one.hours > 0 ? one.events / one.hours : null)),
          ink: colours.ink,
          paper: colours.paper,
        } as WithIntervals,
      ],
    }),
    [classes, labels, colours],
  );
  const highest = Math.max(
    0.5,
    ...classes.map((one) => Math.max(one.interval?.[1] ?? 0, one.hours > 0 ? one.events / one.hours : 0)),
  );
  const options: ChartOptions<"bar"> = useMemo(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      plugins: {
        legend: { display: false },
        tooltip: {
          callbacks: {
            label: (item) => {
              const one = classes[item.dataIndex]!;
              return one.rate === null ? "not fished" : rateWords({ ...one, rate: one.rate, interval: one.interval! });
            },
          },
        },
      },
      scales: {
        x: {
          grid: { display: false },
          ticks: { color: colours.inkSoft, font: CHART_FONT, maxRotation: 0, autoSkip: false },
        },
        y: {
          min: 0,
          max: Math.ceil(highest * 5) / 5,
          border: { display: false },
          grid: { color: colours.line },
          ticks: { color: colours.inkSoft, font: CHART_FONT },
          title: { display: true, text: "fish per rod-hour", color: colours.inkSoft, font: CHART_FONT },
        },
      },
    }),
    [classes, colours, highest],
  );
  return (
    <Bar
      data={data}
      options={options}
      plugins={PLUGINS}
      aria-label="Catches per rod-hour; the table below has the same data"
      role="img"
    />
  );
}
