"use client";
import { useMemo, useState } from "react";
import { visibleDepthFromTurbidity } from "../../core/gauge/clarity";
import { DEFAULT_CLARITY_FIT } from "../../core/gauge/clarity-fit";
import type { Outlook } from "../../core/gauge/outlook";
import { DAY, readingsBetween, type Series } from "../../core/gauge/series";
import { type GaugeRecord, seriesOf } from "../../core/gauge/summary";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { show, showText, type Shown, type UnitSystem } from "../../words/quantity";
import { dayInUtc } from "../../words/river";
import type { Span } from "./span-brush";

interface Row {
  day: number;
  ahead: boolean;
  /** Text of each measure. */
  cells: (string | null)[];
}

interface Measure {
  name: string;
  kind: Shown;
  of: Series;
  shown: (value: number) => number;
  ahead?: readonly { time: number; low: number; median: number; high: number }[] | null;
}

interface TwinProps {
  gauge: GaugeRecord;
  outlook: Outlook | null | undefined;
  span: Span;
  now: number;
  system: UnitSystem;
}

/** The chart as a table: each day's least and most, and the days ahead, newest first. */
export function TableTwin(props: TwinProps) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-3" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">Show as a table</summary>
      {open && <Rows {...props} />}
    </details>
  );
}

function Rows({ gauge, outlook, span, now, system }: TwinProps) {
  const measures = useMemo(() => measuresOf(gauge, outlook), [gauge, outlook]);
  const rows = useMemo(() => rowsOf(measures, span, now, system), [measures, span, now, system]);
  const columns = useMemo(
    (): ColumnDef<Row>[] => [
      {
        id: "day",
        header: "Day (UTC)",
        cell: ({ row }) => `${dayInUtc(row.original.day)}${row.original.ahead ? ", forecast" : ""}`,
      },
      ...measures.map(({ name }, k): ColumnDef<Row> => ({
        id: name,
        header: name,
        cell: ({ row }) => <span className={row.original.ahead ? "italic" : ""}>{row.original.cells[k] ?? "–"}</span>,
      })),
    ],
    [measures],
  );
  return <DataTable columns={columns} rows={rows} label="The river’s record by day" className="max-h-96" />;
}

function measuresOf(gauge: GaugeRecord, outlook: Outlook | null | undefined): Measure[] {
  const fit = gauge.clarityFit ?? DEFAULT_CLARITY_FIT;
  const asRead = (value: number) => value;
  const possible: (Omit<Measure, "of"> & { of: Series | undefined })[] = [
    {
      name: "Discharge",
      kind: "discharge",
      of: seriesOf(gauge, "discharge"),
      shown: asRead,
      ahead: outlook?.flow?.points,
    },
    { name: "Stage", kind: "stage", of: seriesOf(gauge, "stage"), shown: asRead },
    {
      name: "Bed seen to",
      kind: "depth",
      of: seriesOf(gauge, "turbidity"),
      shown: (value) => visibleDepthFromTurbidity(value, fit),
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
  return possible.filter((measure): measure is Measure => measure.of !== undefined);
}

/** A row for each day of the span that holds anything, newest first. */
function rowsOf(measures: readonly Measure[], span: Span, now: number, system: UnitSystem): Row[] {
  const out: Row[] = [];
  for (let day = Math.floor(Math.min(span.to, now + 5 * DAY) / DAY) * DAY; day + DAY > span.from; day -= DAY) {
    const ahead = day > now;
    const cells = measures.map((measure) =>
      ahead ? forecastCell(measure, day, system) : readCell(measure, day, system),
    );
    if (cells.some((cell) => cell !== null)) out.push({ day, ahead, cells });
  }
  return out;
}

function readCell({ of, kind, shown }: Measure, day: number, system: UnitSystem): string | null {
  const values = [...readingsBetween(of, day, day + DAY - 1)].map(([, value]) => shown(value));
  return values.length ? rangeText(values, values, kind, system) : null;
}

function forecastCell({ ahead, kind }: Measure, day: number, system: UnitSystem): string | null {
  const own = (ahead ?? []).filter(({ time, low }) => time >= day && time < day + DAY && !Number.isNaN(low));
  const middle = own[Math.floor(own.length / 2)];
  if (!middle) return null;
  const [lows, highs] = [own.map((one) => one.low), own.map((one) => one.high)];
  return `about ${showText(middle.median, kind, system)}, ${rangeText(lows, highs, kind, system)}`;
}

function rangeText(lows: readonly number[], highs: readonly number[], kind: Shown, system: UnitSystem): string {
  const [low, high] = [show(Math.min(...lows), kind, system), show(Math.max(...highs), kind, system)];
  return low.text === high.text ? low.text : `${low.figure} to ${high.text}`;
}
