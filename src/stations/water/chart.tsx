"use client";
import { useMemo, useState } from "react";
import type { Outlook } from "../../core/gauge/outlook";
import type { RightWindow } from "../../core/gauge/right-window";
import { DAY } from "../../core/gauge/series";
import { seriesOf } from "../../core/gauge/summary";
import type { River } from "../../state/use-river";
import { Panel } from "../../widgets/panel";
import type { UnitSystem } from "../../words/quantity";
import { Hydrograph } from "./hydrograph";
import { type Span, SpanBrush } from "./span-brush";
import { TableTwin } from "./table-twin";

const SPANS = [
  { days: 14, label: "14 days" },
  { days: 90, label: "90 days" },
  { days: 366, label: "A year" },
  { days: 0, label: "All" },
] as const;
/** Room on the chart for the days ahead. */
const AHEAD = 5 * DAY;

/** The lanes with their span: a preset, or what the handles are drawn to. */
export function Chart({
  river,
  outlook,
  window,
  at,
  system,
}: {
  river: River;
  outlook: Outlook | null | undefined;
  window: RightWindow | null | undefined;
  at: number;
  system: UnitSystem;
}) {
  const gauge = river.gauge!;
  const main = seriesOf(gauge, "discharge") ?? seriesOf(gauge, "stage") ?? gauge.series[0]!;
  const whole = useMemo((): Span => ({ from: Math.min(main.times[0]!, at - 14 * DAY), to: at + AHEAD }), [main, at]);
  const [own, setOwn] = useState<{ span: Span; of: string } | undefined>();
  const [days, setDays] = useState<number>(14);
  const preset = useMemo(
    (): Span => ({ from: days === 0 ? whole.from : Math.max(whole.from, at - days * DAY), to: whole.to }),
    [days, whole, at],
  );
  const chosen = own?.of === gauge.station.id ? own.span : undefined;
  const span = chosen ?? preset;
  const reaches = useMemo(
    () => new Set(river.reaches.filter((one) => one.station === gauge.station.id).map((one) => one.id)),
    [river.reaches, gauge.station.id],
  );
  const pick = (wanted: number) => {
    setOwn(undefined);
    setDays(wanted);
  };
  return (
    <Panel
      title="The river’s record"
      className="mt-6"
      source="Lines: readings. Shading: usual range for the date (dark: middle half; pale: 10 to 90 %; dotted: median). Dashed with a band: forecast, 10 to 90 %. Rings: fish. Bars: sessions, hollow when blank. Bracket: when the river is likely to be right."
      aside={
        <div role="group" aria-label="Time range" className="flex flex-wrap gap-1">
          {SPANS.map(({ days: length, label }) => (
            <button
              key={length}
              type="button"
              aria-pressed={!chosen && days === length}
              onClick={() => pick(length)}
              className={`min-h-11 min-w-11 rounded px-2 text-sm sm:px-3 ${!chosen && days === length ? "bg-ink text-paper" : "hover:bg-deep"}`}
            >
              {label}
            </button>
          ))}
        </div>
      }
    >
      <Hydrograph
        gauge={gauge}
        reaches={reaches}
        outlook={outlook}
        window={window}
        span={span}
        now={at}
        system={system}
      />
      <div className="mt-2">
        <SpanBrush
          series={main}
          whole={whole}
          span={span}
          onChange={(next) => setOwn({ span: next, of: gauge.station.id })}
        />
      </div>
      <TableTwin gauge={gauge} outlook={outlook} span={span} now={at} system={system} />
    </Panel>
  );
}
