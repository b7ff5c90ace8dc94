"use client";
import {
  Chart as ChartJS,
  type ChartData,
  type ChartOptions,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  LogarithmicScale,
  PointElement,
  Tooltip,
} from "chart.js";
import { useMemo } from "react";
import { Line } from "react-chartjs-2";
import type { SmoothPoint } from "../../core/book/smooth-rate";
import { findUnit, fromSI } from "../../core/quantity/units";
import { useSettings } from "../../state/settings";
import { CHART_FONT } from "../../widgets/chart-font";
import { useColours } from "../../widgets/colours";
import { leaveTooltip } from "../../widgets/leave-tooltip";
import { entryUnit, figureText, show } from "../../words/quantity";

ChartJS.register(LineController, LineElement, PointElement, LinearScale, LogarithmicScale, Filler, Tooltip);

const PLUGINS = [leaveTooltip];

/** Rate along ln Q with its band, and under it the hours it stands on. */
export function SmoothChart({ points }: { points: readonly SmoothPoint[] }) {
  const colours = useColours();
  const { system } = useSettings();
  const { unit } = show(1, "discharge", system);
  const data: ChartData<"line"> = useMemo(() => {
    const flowUnit = findUnit(entryUnit("discharge", system))!;
    const line = (of: (point: SmoothPoint) => number | null) =>
      points.map((point) => ({ x: fromSI(point.discharge, flowUnit), y: of(point) as number }));
    const plain = { pointRadius: 0, borderWidth: 0, spanGaps: false };
    return {
      datasets: [
        // The first lies on top.
        { ...plain, data: line((one) => one.rate), borderColor: colours.reed, borderWidth: 3, fill: false },
        { ...plain, data: line((one) => one.high), fill: "+1", backgroundColor: colours.reedSoft },
        { ...plain, data: line((one) => one.low), fill: false },
        {
          ...plain,
          data: line((one) => one.hours),
          yAxisID: "hours",
          fill: "origin",
          backgroundColor: colours.line,
        },
      ],
    };
  }, [points, system, colours]);
  const most = Math.max(...points.map((one) => one.hours));
  const options: ChartOptions<"line"> = useMemo(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      interaction: { mode: "index", intersect: false },
      plugins: {
        legend: { display: false },
        tooltip: {
          filter: (item) => item.datasetIndex === 0,
          callbacks: {
            title: ([item]) => (item ? `${figureText(item.parsed.x, 1)} ${unit}` : ""),
            label: (item) => {
              const one = points[item.dataIndex]!;
              return one.rate === null
                ? "hardly fished"
                : `${figureText(one.rate, 2)} an hour; 80 % between ${figureText(one.low!, 2)} and ${figureText(one.high!, 2)}`;
            },
          },
        },
      },
      scales: {
        x: {
          type: "logarithmic",
          grid: { color: colours.line },
          ticks: {
            color: colours.inkSoft,
            font: CHART_FONT,
            callback: (value) => ([1, 2, 5].includes(Number(String(value).replace(/[0.]/g, "")[0])) ? value : ""),
          },
          title: { display: true, text: `flow, ${unit}`, color: colours.inkSoft, font: CHART_FONT },
        },
        y: {
          min: 0,
          border: { display: false },
          grid: { color: colours.line },
          ticks: { color: colours.inkSoft, font: CHART_FONT },
          title: { display: true, text: "fish per rod-hour", color: colours.inkSoft, font: CHART_FONT },
        },
        // The hours lie along the foot: a quarter of the height.
        hours: { display: false, min: 0, max: most * 4 },
      },
    }),
    [points, colours, unit, most],
  );
  return (
    <Line
      data={data}
      options={options}
      plugins={PLUGINS}
      role="img"
      aria-label="Fish per rod-hour against flow, with its 80 % band. The sentence above gives the best flow"
    />
  );
}
