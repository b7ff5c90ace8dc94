"use client";
import { useMemo } from "react";
import type { Plan, PlanWindow } from "../../core/plan/plan";
import { useSettings } from "../../state/settings";
import { useMinute } from "../../state/clock";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { Panel } from "../../widgets/panel";
import { factorWords } from "../../words/plan";
import { figureText, show, showText, type UnitSystem } from "../../words/quantity";
import { airWords } from "../../words/sky";
import { windowName } from "./answer";

const columnsIn = (
  best: number,
  nameOf: (reach: string) => string,
  now: number,
  system: UnitSystem,
  /** Something is said of the air in some of the hours. */
  told: boolean,
): ColumnDef<PlanWindow>[] => [
  {
    id: "when",
    header: "Hours",
    cell: ({ row: { original } }) => `${nameOf(original.reach)}, ${windowName(original, now)}`,
  },
  {
    id: "flow",
    header: "Flow",
    cell: ({ row: { original } }) =>
      `${showText(original.discharge, "discharge", system)} (${figureIn(original.low, system)} to ${figureIn(original.high, system)})`,
  },
  ...(told
    ? [
        {
          id: "air",
          header: "Wind and sky",
          cell: ({ row }: { row: { original: PlanWindow } }) => airWords(row.original.weather, system) || "–",
        },
      ]
    : []),
  { id: "share", header: "Score", cell: ({ row }) => `${figureText((100 * row.original.score) / best, 0)} %` },
  {
    id: "why",
    header: "Main reasons",
    cell: ({ row: { original } }) => factorWords(original.factors[0]!, original, system),
  },
];

const figureIn = (discharge: number, system: UnitSystem): string => show(discharge, "discharge", system).figure;

/** Every window in figures, best first: what the stalks show. */
export function Hours({ plan, nameOf }: { plan: Plan; nameOf: (reach: string) => string }) {
  const { system } = useSettings();
  const now = useMinute();
  const best = plan.windows[0]!.score;
  const told = plan.windows.some(({ weather }) => weather !== null);
  const columns = useMemo(() => columnsIn(best, nameOf, now, system, told), [best, nameOf, now, system, told]);
  return (
    <Panel title="All hours, best first" className="mt-6 print:hidden">
      <DataTable columns={columns} rows={plan.windows} wide testId="windows" label="Hours, best first" />
      <p className="mt-2 text-sm text-soft">
        The score compares these hours; it isn’t the chance of a fish. It averages the forecast’s low, middle and high
        flows, so an uncertain river scores lower.
      </p>
    </Panel>
  );
}
