"use client";
import { useMemo, useState } from "react";
import { RATE_KINDS, type RateKind } from "../../core/book/rate-terms";
import { PRIOR_HOURS } from "../../core/book/rate-terms";
import { type RateClass } from "../../core/book/rates";
import { useSettings } from "../../state/settings";
import { type Learning, useRates } from "../../state/use-learn";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { FaultNote } from "../../widgets/fault-note";
import { later } from "../../widgets/later";
import { Panel } from "../../widgets/panel";
import { Select } from "../../widgets/select";
import { bestClass, countedText, rateWords } from "../../words/learn";
import { faultText } from "../../words/messages";
import { figureText, show } from "../../words/quantity";
import { RATE_KIND_NAMES, rateLabel } from "../../words/rates";

const RateChart = later(() => import("./rate-chart").then((one) => one.RateChart));

interface RateRow extends RateClass {
  label: string;
}

const columnsIn = (first: string): ColumnDef<RateRow>[] => [
  { id: "class", header: first, cell: ({ row }) => row.original.label },
  { id: "hours", header: "Hours", cell: ({ row }) => figureText(row.original.hours, 1) },
  { id: "fish", header: "Fish", cell: ({ row }) => figureText(row.original.events, 0) },
  {
    id: "counted",
    header: "Counted per hour",
    cell: ({ row }) => countedText(row.original),
  },
  {
    id: "rate",
    header: "Likely per hour",
    cell: ({ row: { original } }) => figureText(original.rate, 2),
  },
  {
    id: "interval",
    header: "80 % interval",
    cell: ({ row: { original } }) =>
      original.interval ? `${figureText(original.interval[0], 2)} to ${figureText(original.interval[1], 2)}` : "–",
  },
];

const NONE: RateClass[] = [];

/** Fish an hour in classes of one property, effort beside. */
export function ByClass({ learning, made }: { learning: Learning; made: boolean }) {
  const { system } = useSettings();
  const [kind, setKind] = useState<RateKind>("flow");
  const rates = useRates(learning, kind);
  const classes = rates.value?.classes ?? NONE;
  const rows = useMemo(
    () => classes.map((one): RateRow => ({ ...one, label: rateLabel(one, kind, system) })),
    [classes, kind, system],
  );
  const first = `${RATE_KIND_NAMES[kind]}${kind === "flow" ? `, ${show(1, "discharge", system).unit}` : ""}`;
  const columns = useMemo(() => columnsIn(first), [first]);
  const best = bestClass(rows);
  const known = rows.some((one) => one.key !== "unknown" && one.hours > 0);
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div className="min-w-[min(16rem,100%)] flex-1">
          <h2 className="text-2xl">Fish per hour by {RATE_KIND_NAMES[kind]}</h2>
          {rates.value && (
            <p className="text-soft">
              {figureText(rates.value.total.hours, 0)} rod-hours, {rates.value.total.events} fish
              {made ? "; includes demo sessions" : ""}.
              {best &&
                ` Best so far: ${best.label}, ${rateWords({ ...best, rate: best.rate!, interval: best.interval! })}.`}
            </p>
          )}
        </div>
        <Select
          label="Group by"
          className="w-full sm:w-56"
          value={kind}
          onChange={(value) => setKind(value as RateKind)}
          choices={RATE_KINDS.map((value) => ({ value, label: RATE_KIND_NAMES[value] }))}
        />
      </div>
      {rates.fault && <FaultNote message={faultText(rates.fault, system)} onRetry={rates.retry} />}
      {rates.value && !known && (
        <p className="rounded-md border border-line p-4">
          No data on {RATE_KIND_NAMES[kind]} yet. Log sessions on Session, or fill in water settings.
        </p>
      )}
      <div className="h-[340px]">
        <RateChart classes={classes} labels={rows.map((one) => one.label)} />
      </div>
      <p className="mt-2 text-sm text-soft">
        Bar: fish per hour, pulled towards your other hours as if by {PRIOR_HOURS} more hours at that rate, so one lucky
        fish doesn’t dominate. Ring: as counted. Whisker: 80 % range, allowing for fish that come in bunches. Few hours
        make it long.
      </p>
      <Panel title="Figures" className="mt-5">
        <DataTable columns={columns} rows={rows} testId="rates" label="Fish per hour" />
      </Panel>
    </>
  );
}
