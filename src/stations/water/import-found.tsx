"use client";
import { useMemo } from "react";
import type { Parameter } from "../../core/gauge/series";
import type { SeriesSummary } from "../../core/gauge/summary";
import { useSettings } from "../../state/settings";
import type { GaugeImport } from "../../store/water-api";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { Refused } from "../../widgets/refused";
import { messageText } from "../../words/messages";
import { figureText, type Shown, showText, type UnitSystem } from "../../words/quantity";
import { dayAndTime } from "../../words/river";

const NAMES: Record<Parameter, string> = {
  discharge: "discharge",
  stage: "stage",
  waterTemperature: "water temperature",
  turbidity: "turbidity",
  airPressure: "air pressure",
  rain: "rain",
  other: "other",
};
const SHOWN: Partial<Record<Parameter, Shown>> = {
  discharge: "discharge",
  stage: "stage",
  waterTemperature: "temperature",
  turbidity: "turbidity",
};

/** How many stretches have no reading, and the longest of them. */
const gapWords = ({ count, longest }: SeriesSummary["gaps"]): string =>
  count === 0
    ? "none"
    : `${figureText(count, 0)}${count > 1 ? ", longest" : ","} ${longest < 48 ? `${figureText(longest, longest < 10 ? 1 : 0)} h` : `${figureText(longest / 24, 0)} days`}`;

function columnsIn(system: UnitSystem): ColumnDef<SeriesSummary>[] {
  const value = (x: number | null, { parameter, unit }: SeriesSummary) => {
    const kind = SHOWN[parameter];
    return kind ? showText(x, kind, system) : `${figureText(x, 1)} ${unit}`;
  };
  return [
    { id: "series", header: "Series", cell: ({ row }) => NAMES[row.original.parameter] },
    { id: "count", header: "Readings", cell: ({ row }) => figureText(row.original.count, 0) },
    { id: "missing", header: "Gaps", cell: ({ row }) => gapWords(row.original.gaps) },
    { id: "min", header: "Minimum", cell: ({ row }) => value(row.original.min, row.original) },
    { id: "max", header: "Maximum", cell: ({ row }) => value(row.original.max, row.original) },
  ];
}

/** What gauge files hold, with what was refused of them. */
export function ImportFound({ found, onMatch }: { found: GaugeImport; onMatch: (() => void) | undefined }) {
  const system = useSettings((settings) => settings.system);
  const columns = useMemo(() => columnsIn(system), [system]);
  const { summary, notes, codes, rejected, lines } = found;
  const { now } = summary;
  return (
    <>
      <DataTable columns={columns} rows={summary.series} label="File contents" />
      {now && (
        <p>
          Last reading {dayAndTime(now.at)}: <strong>{showText(now.discharge, "discharge", system)}</strong>
          {now.trend && `, ${now.trend}`}.
        </p>
      )}
      {notes.map((note) => (
        <p key={note.code} className="text-soft">
          {messageText(note, system)}
        </p>
      ))}
      {Object.keys(codes).length > 0 && (
        <p className="text-soft">
          Codes instead of numbers, kept as gaps:{" "}
          {Object.entries(codes)
            .map(([code, n]) => `${code} × ${n}`)
            .join(", ")}
          .
        </p>
      )}
      {onMatch && (
        <button type="button" className="min-h-11 justify-self-start text-left underline" onClick={onMatch}>
          Change the columns
        </button>
      )}
      <Refused rejected={rejected} lines={lines} system={system} />
    </>
  );
}
