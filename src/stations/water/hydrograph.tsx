"use client";
import "chartjs-adapter-date-fns";
import { Chart as ChartJS, type ChartData, type ChartOptions, Filler, LinearScale, LineElement, LogarithmicScale, PointElement, TimeScale, Tooltip } from "chart.js";
import { useMemo } from "react";
import { Line } from "react-chartjs-2";
import { seasonBand } from "../../core/gauge/exceedance";
import { DAY, type Series } from "../../core/gauge/series";
import { fromSI, findUnit, type UnitSystem } from "../../core/quantity/units";
import { envelope } from "../../core/gauge/envelope";
import { CHART_FONT } from "../../ui/chart-font";
import { useColours } from "../../ui/colours";

ChartJS.register(LineElement, PointElement, LinearScale, LogarithmicScale, TimeScale, Filler, Tooltip);

/** Points that the widest chart can show: two a pixel. */
const POINTS = 1400;

/** Discharge against time with the season's usual band (quarter to three quarters, and tenth to nine tenths) behind it. */
export function Hydrograph({ discharge, from, to, system }: { discharge: Series; from: number; to: number; system: UnitSystem }) {
  const colours = useColours();
  const unit = findUnit(system === "us" ? "cfs" : "m3/s")!;
  const data = useMemo((): ChartData<"line", { x: number; y: number | null }[]> => {
    const band = seasonBand(discharge, from, to + DAY);
    const step = Math.max(1, Math.floor(band.length / 200));
    const level = (k: number) => band.filter((_, index) => index % step === 0).map((day) => ({ x: day.time, y: day.levels ? fromSI(day.levels[k]!, unit) : null }));
    const none = { pointRadius: 0, borderWidth: 0, order: 1 };
    return {
      datasets: [
        { label: "tenth", data: level(0), ...none },
        { label: "usual range, tenth to nine tenths", data: level(4), ...none, fill: "-1", backgroundColor: `${colours.reedSoft}80` },
        { label: "quarter", data: level(1), ...none },
        { label: "usual range, middle half", data: level(3), ...none, fill: "-1", backgroundColor: colours.reedSoft },
        { label: "discharge", data: envelope(discharge, from, to, POINTS).map(([x, y]) => ({ x, y: Number.isNaN(y) ? null : fromSI(y, unit) })), order: 0, pointRadius: 0, borderWidth: 2.2, borderColor: colours.ink, spanGaps: false },
      ],
    };
  }, [discharge, from, to, unit, colours]);
  const options = useMemo((): ChartOptions<"line"> => ({
    animation: false,
    maintainAspectRatio: false,
    parsing: false,
    interaction: { mode: "nearest", axis: "x", intersect: false },
    plugins: { legend: { display: false }, tooltip: { filter: (item) => item.dataset.label === "discharge", callbacks: { label: (item) => `${Number(item.parsed.y).toPrecision(3)} ${system === "us" ? "cfs" : "m³/s"}` } } },
    scales: {
      x: { type: "time", min: from, max: to, grid: { display: false }, ticks: { font: CHART_FONT, color: colours.inkSoft, maxRotation: 0, autoSkipPadding: 24 }, time: { tooltipFormat: "d MMM yyyy, HH:mm", displayFormats: { hour: "d MMM HH:mm", day: "d MMM", month: "MMM yy" } } },
      y: {
        type: "logarithmic", grid: { color: colours.line }, border: { display: false },
        afterBuildTicks: (axis) => (axis.ticks = axis.ticks.filter(({ value }) => [1, 2, 5].includes(Number((value / 10 ** Math.floor(Math.log10(value) + 1e-9)).toPrecision(3))))),
        ticks: { font: CHART_FONT, color: colours.inkSoft, callback: (value) => String(Number(Number(value).toPrecision(2))) },
      },
    },
  }), [from, to, system, colours]);
  return <Line data={data} options={options} aria-label="Discharge against time, with the usual range for the season" role="img" />;
}
