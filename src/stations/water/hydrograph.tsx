"use client";
import { useMemo } from "react";
import type { GaugeRecord } from "../../core/gauge/summary";
import { seriesOf } from "../../core/gauge/summary";
import { seasonBand } from "../../core/gauge/exceedance";
import { type ClarityFit, DEFAULT_CLARITY_FIT } from "../../core/gauge/clarity-fit";
import { visibleDepthFromTurbidity } from "../../core/gauge/clarity";
import type { Outlook } from "../../core/gauge/outlook";
import type { RightWindow } from "../../core/gauge/right-window";
import { DAY, lastReading, readingAt, type Series } from "../../core/gauge/series";
import { findUnit, fromSI } from "../../core/quantity/units";
import { type Entered, entryUnit, figureText, show as showQuantity, type UnitSystem } from "../../words/quantity";
import { useBook } from "../../state/use-book";
import { Plot } from "./plot";
import type { ForecastShown } from "./plot-layers";
import type { Span } from "./span-brush";

/** Points of the usual range that a chart can show. */
const BAND_POINTS = 200;

/**
 * Discharge (or, where the gauge has none, stage), clarity and temperature, one under the other on one axis of time,
 * with the days ahead.
 */
export function Hydrograph({
  gauge,
  reaches,
  outlook,
  window,
  span,
  now,
  system,
}: {
  gauge: GaugeRecord;
  reaches: ReadonlySet<string>;
  outlook: Outlook | null | undefined;
  window: RightWindow | null | undefined;
  span: Span;
  now: number;
  system: UnitSystem;
}) {
  const { from, to } = span;
  const discharge = seriesOf(gauge, "discharge");
  const stage = discharge ? undefined : seriesOf(gauge, "stage");
  const temperature = seriesOf(gauge, "waterTemperature");
  const turbidity = seriesOf(gauge, "turbidity");
  const { a, b } = gauge.clarityFit ?? DEFAULT_CLARITY_FIT;
  const marks = useMarks(reaches, discharge ?? stage, now);
  const season = useMemo(
    () =>
      outlook?.season
        ? seasonBand(outlook.season, from - DAY, to + DAY, Math.ceil((to - from) / DAY / BAND_POINTS))
        : undefined,
    [outlook, from, to],
  );
  const show = useMemo(() => scalesIn(system, { a, b }), [system, a, b]);
  const starts = useMemo(
    () => ({ flow: startOf(discharge, now), depth: startOf(turbidity, now), warm: startOf(temperature, now) }),
    [discharge, turbidity, temperature, now],
  );
  const ratios = useMemo(() => isAlwaysRunning(discharge, outlook), [discharge, outlook]);
  const common = { from, to, now };
  return (
    <div className="grid grid-cols-1 gap-1">
      {discharge && (
        <Row name={`Discharge, ${show.flow.unit}`} height="h-[230px] lg:h-[270px]">
          <Plot
            {...common}
            name="Discharge"
            series={discharge}
            shown={show.flow.scaled}
            say={show.flow.say}
            forecast={outlook?.flow?.points ?? null}
            start={starts.flow}
            season={season}
            marks={marks}
            window={window}
            log={ratios}
            showTime={!turbidity && !temperature}
          />
        </Row>
      )}
      {stage && (
        <Row name={`Stage, ${show.level.unit}`} height="h-[200px] lg:h-[230px]">
          <Plot
            {...common}
            name="Stage"
            series={stage}
            shown={show.level.scaled}
            say={show.level.say}
            forecast={null}
            marks={marks}
            showTime={!turbidity && !temperature}
          />
        </Row>
      )}
      {turbidity && (
        <Row name={`Clarity: visible to, ${show.depth.unit}`} height="h-[104px]">
          <Plot
            {...common}
            name="Clarity"
            series={turbidity}
            shown={show.depth.scaled}
            say={show.depth.say}
            forecast={outlook?.turbidity ?? null}
            start={starts.depth}
            showTime={!temperature}
          />
        </Row>
      )}
      {temperature && (
        <Row name={`Water, ${show.warm.unit}`} height="h-[118px]">
          <Plot
            {...common}
            name="Water temperature"
            series={temperature}
            shown={show.warm.scaled}
            say={show.warm.say}
            forecast={outlook?.temperature ?? null}
            start={starts.warm}
            showTime
          />
        </Row>
      )}
    </div>
  );
}

/** From SI to a plot's figures, and a figure in words. */
function scalesIn(system: UnitSystem, fit: Pick<ClarityFit, "a" | "b">) {
  const scale = (kind: Entered, digits: number, lead = "", toSI = (value: number) => value) => {
    const unit = findUnit(entryUnit(kind, system))!;
    const label = showQuantity(0, kind, system).unit;
    return {
      unit: label,
      scaled: (value: number) => fromSI(toSI(value), unit),
      say: (value: number) => `${lead}${figureText(value, digits)} ${label}`,
    };
  };
  return {
    flow: scale("discharge", system === "us" ? 0 : 1),
    level: scale("stage", 2, "stage "),
    depth: scale("depth", 1, "visible to ", (ntu) => visibleDepthFromTurbidity(ntu, fit)),
    warm: scale("temperature", 1),
  };
}

function Row({ name, height, children }: { name: string; height: string; children: React.ReactNode }) {
  return (
    <div>
      <p className="text-sm text-soft">{name}</p>
      <div className={height}>{children}</div>
    </div>
  );
}

/** The last reading as the point that a forecast grows from. */
function startOf(series: Series | undefined, now: number): ForecastShown | undefined {
  const last = lastReading(series, now);
  return last ? { time: last.time, low: last.value, median: last.value, high: last.value } : undefined;
}

/** Sessions and fish of the gauge's reaches, for the chart. */
function useMarks(reaches: ReadonlySet<string>, line: Series | undefined, now: number) {
  const { sessions, catches } = useBook();
  return useMemo(() => {
    const own = sessions.filter((one) => reaches.has(one.reach));
    const ids = new Set(own.map((one) => one.id));
    const fish = catches.filter((one) => ids.has(one.session));
    const withFish = new Set(fish.map((one) => one.session));
    return {
      // In order of time, as the chart's look-up wants them.
      sessions: own.toReversed().map((one) => ({
        from: Date.parse(one.start),
        to: one.end === null ? now : Date.parse(one.end),
        fish: withFish.has(one.id),
      })),
      fish: fish
        .map((one) => Date.parse(one.at))
        .sort((a, b) => a - b)
        .map((time) => ({ time, value: readingAt(line, time) })),
    };
  }, [sessions, catches, reaches, line, now]);
}

/** A river that dries up, or runs back with the tide, has no place on a scale of ratios. */
const isAlwaysRunning = (discharge: Series | undefined, outlook: Outlook | null | undefined): boolean =>
  !discharge?.values.some((q) => q <= 0) && !outlook?.flow?.points.some(({ low }) => low <= 0);
