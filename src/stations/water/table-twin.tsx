"use client";
import { useMemo, useState } from "react";
import { DEFAULT_CLARITY_FIT } from "../../core/gauge/clarity-fit";
import { visibleDepthFromTurbidity } from "../../core/gauge/clarity";
import type { Outlook } from "../../core/gauge/outlook";
import { DAY, readingsBetween, type Series } from "../../core/gauge/series";
import { type GaugeRecord, seriesOf } from "../../core/gauge/summary";
import { showText, type Shown } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import type { Span } from "./span-brush";

interface Row {
  day: number;
  ahead: boolean;
  /** Text of each column. */
  cells: (string | null)[];
}

interface Column {
  name: string;
  kind: Shown;
  of: Series;
  shown: (value: number) => number;
  ahead?: readonly { time: number; low: number; median: number; high: number }[] | null;
}

/** Rows shown at most; the newest are kept. */
const MOST = 400;

/** The chart as a table: each day's least and most, and the days ahead, newest first. */
export function TableTwin(props: TwinProps) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-3" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">The same as a table</summary>
      {open && <Rows {...props} />}
    </details>
  );
}

interface TwinProps {
  gauge: GaugeRecord;
  outlook: Outlook | undefined;
  span: Span;
  now: number;
  system: UnitSystem;
}

function Rows({ gauge, outlook, span, now, system }: TwinProps) {
  const { names, rows } = useMemo(() => {
    const fit = gauge.clarityFit ?? DEFAULT_CLARITY_FIT;
    const turbidity = seriesOf(gauge, "turbidity");
    const asRead = (value: number) => value;
    const possible: (Omit<Column, "of"> & { of: Series | undefined })[] = [
      {
        name: "Discharge",
        kind: "discharge",
        of: seriesOf(gauge, "discharge"),
        shown: asRead,
        ahead: outlook?.flow?.points,
      },
      { name: "Stage", kind: "depth", of: seriesOf(gauge, "stage"), shown: asRead },
      {
        name: "Bed seen to",
        kind: "depth",
        of: turbidity,
        shown: (value: number) => visibleDepthFromTurbidity(value, fit),
        ahead: outlook?.visibleDepth,
      },
      {
        name: "Water",
        kind: "temperature",
        of: seriesOf(gauge, "waterTemperature"),
        shown: asRead,
        ahead: outlook?.temperature,
      },
    ];
    const columns = possible.filter((column): column is Column => column.of !== undefined);
    const out: Row[] = [];
    for (
      let day = Math.floor(Math.min(span.to, now + 5 * DAY) / DAY) * DAY;
      day + DAY > span.from && out.length < MOST;
      day -= DAY
    ) {
      const ahead = day > now;
      const cells = columns.map(({ of, kind, shown, ahead: points }) => {
        if (ahead) {
          const own = (points ?? []).filter(
            (point) => point.time >= day && point.time < day + DAY && !Number.isNaN(point.low),
          );
          const middle = own[Math.floor(own.length / 2)];
          return middle
            ? `about ${showText(middle.median, kind, system)}, ${range(
                own.map((one) => one.low),
                own.map((one) => one.high),
                kind,
                system,
              )}`
            : null;
        }
        const values = readingsOf(of, day).map(shown);
        return values.length ? range(values, values, kind, system) : null;
      });
      if (cells.some((cell) => cell !== null)) out.push({ day, ahead, cells });
    }
    return { names: columns.map((column) => column.name), rows: out };
  }, [gauge, outlook, span, now, system]);
  return (
    <div className="max-h-96 overflow-auto">
      <table className="w-full min-w-[34rem] text-left">
        <thead className="sticky top-0 bg-paper">
          <tr className="border-b border-line text-sm text-soft">
            <th className="py-1 font-normal">Day (UTC)</th>
            {names.map((name) => (
              <th key={name} className="font-normal">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.day} className={`border-b border-line ${row.ahead ? "italic" : ""}`}>
              <th scope="row" className="py-1 font-semibold">
                {dayName(row.day)}
                {row.ahead && ", forecast"}
              </th>
              {row.cells.map((cell, k) => (
                <td key={k}>{cell ?? "–"}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length === MOST && (
        <p className="py-2 text-sm text-soft">The newest {MOST} days of the chart; move it to see earlier ones.</p>
      )}
    </div>
  );
}

const readingsOf = (series: Series, day: number): number[] =>
  [...readingsBetween(series, day, day + DAY - 1)].map(([, value]) => value);
const dayName = (day: number): string =>
  new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    year: "numeric",
    timeZone: "UTC",
  }).format(new Date(day));

function range(lows: readonly number[], highs: readonly number[], kind: Shown, system: UnitSystem): string {
  const [low, high] = [showText(Math.min(...lows), kind, system), showText(Math.max(...highs), kind, system)];
  return low === high ? low : `${low.replace(/ .*$/, "")} to ${high}`;
}
