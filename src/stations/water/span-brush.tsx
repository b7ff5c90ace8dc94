"use client";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { extent } from "d3-array";
import { scaleLinear, scaleLog } from "d3-scale";
import * as Slider from "radix-ui/slider";
import { useMemo } from "react";
import { envelope } from "../../core/gauge/envelope";
import { DAY, HOUR, type Series } from "../../core/gauge/series";
import { dayOnly } from "../../words/river";

export interface Span {
  from: number;
  to: number;
}

/** Each thumb answers to its own side, so that two that stand close do not cover each other. */
const THUMB = {
  start:
    "relative block h-9 w-4 -translate-x-1/2 cursor-ew-resize touch-none rounded-l border-2 border-ink bg-paper after:absolute after:-inset-y-1 after:right-0 after:w-11",
  end: "relative block h-9 w-4 translate-x-1/2 cursor-ew-resize touch-none rounded-r border-2 border-ink bg-paper after:absolute after:-inset-y-1 after:left-0 after:w-11",
} as const;
const SHORTEST = 2 * DAY;
const POINTS = 500;

/**
 * The whole record in small, with the part in view between two handles: drag them by mouse or touch, move them by arrow
 * keys.
 */
export function SpanBrush({
  series,
  whole,
  span,
  onChange,
}: {
  series: Series;
  whole: Span;
  span: Span;
  onChange: (span: Span) => void;
}) {
  const length = whole.to - whole.from;
  const step = Math.max(HOUR, Math.round(length / 1500 / HOUR) * HOUR);
  const path = useMemo(() => silhouette(series, whole), [series, whole]);
  const percent = scaleLinear([whole.from, whole.to], [0, 100]);
  const place = (time: number) => `${percent(time)}%`;
  const move = (by: number) => {
    const width = span.to - span.from;
    const from = Math.min(Math.max(whole.from, span.from + by * width), whole.to - width);
    onChange({ from, to: from + width });
  };
  return (
    <div className="flex items-center gap-2">
      <button
        type="button"
        aria-label="Earlier"
        onClick={() => move(-0.5)}
        className="grid size-11 shrink-0 place-items-center rounded-md hover:bg-deep"
      >
        <ChevronLeft size={20} aria-hidden />
      </button>
      <div className="relative h-12 flex-1">
        <svg
          viewBox={`0 0 ${POINTS} 100`}
          preserveAspectRatio="none"
          className="absolute inset-0 size-full"
          aria-hidden
        >
          <path d={path} className="fill-deep stroke-soft" strokeWidth={1} vectorEffect="non-scaling-stroke" />
        </svg>
        <div
          aria-hidden
          className="absolute inset-y-0 border-x border-ink bg-ochre/15"
          style={{ left: place(span.from), width: `${((span.to - span.from) / length) * 100}%` }}
        />
        <Slider.Root
          className="absolute inset-0 flex touch-pan-y items-center"
          min={whole.from}
          max={whole.to}
          step={step}
          minStepsBetweenThumbs={Math.max(1, Math.ceil(SHORTEST / step))}
          value={[span.from, span.to]}
          onValueChange={([from, to]) => onChange({ from: from!, to: to! })}
        >
          <Slider.Track className="h-full flex-1" />
          <Slider.Thumb aria-label="Start of the chart" aria-valuetext={dayOnly(span.from)} className={THUMB.start} />
          <Slider.Thumb aria-label="End of the chart" aria-valuetext={dayOnly(span.to)} className={THUMB.end} />
        </Slider.Root>
      </div>
      <button
        type="button"
        aria-label="Later"
        onClick={() => move(0.5)}
        className="grid size-11 shrink-0 place-items-center rounded-md hover:bg-deep"
      >
        <ChevronRight size={20} aria-hidden />
      </button>
    </div>
  );
}

/** The record as filled outlines on a log scale, in a box of POINTS by 100: one for each stretch without a gap. */
function silhouette(series: Series, whole: Span): string {
  const points = envelope(series, whole.from, whole.to, POINTS);
  const [low, high] = extent(points, ([, value]) => (value > 0 ? value : undefined));
  if (low === undefined) return "";
  const across = scaleLinear([whole.from, whole.to], [0, POINTS]);
  const up = scaleLog([low, high === low ? low * 2 : high], [92, 8]);
  const [x, y] = [(time: number) => across(time).toFixed(1), (value: number) => up(value).toFixed(1)];
  const stretches: [number, number][][] = [[]];
  for (const point of points) {
    if (point[1] > 0) stretches.at(-1)!.push(point);
    else if (stretches.at(-1)!.length > 0) stretches.push([]);
  }
  return stretches
    .filter((one) => one.length > 0)
    .map(
      (one) =>
        `M${x(one[0]![0])},100 L${one.map(([time, value]) => `${x(time)},${y(value)}`).join(" L")} L${x(one.at(-1)![0])},100 Z`,
    )
    .join(" ");
}
