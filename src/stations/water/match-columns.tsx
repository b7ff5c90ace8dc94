"use client";
import { useState } from "react";
import type { ColumnMatch, PreviewColumn } from "../../core/formats/gauge-csv";
import type { Parameter } from "../../core/gauge/series";
import { Button } from "../../widgets/button";
import { Select } from "../../widgets/select";

const MEANINGS: readonly { value: ColumnMatch["as"]; label: string }[] = [
  { value: "leave", label: "Ignore" },
  { value: "time", label: "Time" },
  { value: "discharge", label: "Discharge" },
  { value: "stage", label: "Stage" },
  { value: "waterTemperature", label: "Water temperature" },
  { value: "turbidity", label: "Turbidity" },
  { value: "airPressure", label: "Air pressure" },
  { value: "rain", label: "Rain since the reading before" },
];
const UNITS: Partial<Record<Parameter, readonly string[]>> = {
  discharge: ["m3/s", "l/s", "cfs"],
  stage: ["m", "cm", "mm", "ft", "in"],
  waterTemperature: ["C", "F"],
  turbidity: ["NTU", "FNU"],
  airPressure: ["hPa", "inHg", "mmHg"],
  rain: ["mm", "in"],
};
/** The unit that the header names, where it fits; otherwise it is asked for. */
const unitOf = (parameter: Parameter, named: string | undefined): string | undefined =>
  UNITS[parameter]?.find((unit) => unit === named);

/** Columns offered at most. */
const MOST = 40;

/** What each column of a CSV holds, said by hand; remembered for files with the same header. */
export function MatchColumns({
  columns,
  busy,
  onMatch,
}: {
  columns: readonly PreviewColumn[];
  busy: boolean;
  onMatch: (match: ColumnMatch[]) => void;
}) {
  const [match, setMatch] = useState<ColumnMatch[]>(() => columns.map((one) => one.match));
  const change = (k: number, part: Partial<ColumnMatch>) =>
    setMatch((all) => all.map((one, n) => (n === k ? { ...one, ...part } : one)));
  const times = match.filter((one) => one.as === "time").length;
  const measures = match.filter((one) => one.as !== "time" && one.as !== "leave");
  const bare = match.findIndex((one) => one.as !== "time" && one.as !== "leave" && !one.unit);
  const fault =
    times === 0 || times > 2
      ? "Choose the time column, or a date and a time column."
      : measures.length === 0
        ? "Choose at least one reading column."
        : bare >= 0
          ? `Choose the unit of ${columns[bare]!.name || `column ${bare + 1}`}.`
          : undefined;
  return (
    <section className="rounded-md border border-line p-3">
      <h3>Match columns</h3>
      <p className="mb-2 text-sm text-soft">Remembered for files with the same header.</p>
      <ul className="grid gap-2">
        {columns.slice(0, MOST).map((column, k) => {
          const own = match[k]!;
          const units = own.as === "time" || own.as === "leave" ? undefined : UNITS[own.as];
          return (
            <li key={k} className="grid grid-cols-[1fr_1fr] items-center gap-2 sm:grid-cols-[1.4fr_1.2fr_0.8fr]">
              <span className="min-w-0">
                <span className="block truncate font-semibold">{column.name || `column ${k + 1}`}</span>
                <span className="block truncate text-sm text-soft">such as {column.samples[0] || "nothing"}</span>
              </span>
              <Select
                label={`What ${column.name || `column ${k + 1}`} holds`}
                hideLabel
                value={own.as}
                onChange={(value) =>
                  change(k, { as: value as ColumnMatch["as"], unit: unitOf(value as Parameter, column.match.unit) })
                }
                choices={MEANINGS}
              />
              {units ? (
                <Select
                  label={`Unit of ${column.name || `column ${k + 1}`}`}
                  hideLabel
                  value={own.unit ?? ""}
                  placeholder="which unit?"
                  onChange={(unit) => change(k, { unit })}
                  choices={units.map((unit) => ({ value: unit, label: unit }))}
                />
              ) : (
                <span className="hidden sm:block" />
              )}
            </li>
          );
        })}
      </ul>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button
          disabled={Boolean(fault) || busy}
          onClick={() =>
            onMatch(
              match.map((one) =>
                one.as === "leave" || one.as === "time" ? { as: one.as } : { as: one.as, unit: one.unit },
              ),
            )
          }
        >
          Apply columns
        </Button>
        {fault && <p className="text-soft">{fault}</p>}
      </div>
    </section>
  );
}
