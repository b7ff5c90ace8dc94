"use client";
import { useMemo, useState } from "react";
import { RATE_KINDS, type RateKind, ratesIn } from "../../core/book/classes";
import { effortOf } from "../../core/book/effort";
import { PRIOR_HOURS, type RateClass } from "../../core/book/rates";
import { figureText, show } from "../../words/quantity";
import { RATE_KIND_NAMES, rateLabel, rateScale } from "../../words/rates";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { Panel } from "../../widgets/panel";
import { Select } from "../../widgets/select";
import { useRiver } from "../../state/use-river";
import { useSettings } from "../../state/settings";
import { useBook } from "../../state/use-book";
import { choicesOf, count } from "../../words/text";
import { later } from "../../widgets/later";

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
    header: "An hour, as counted",
    cell: ({ row: { original } }) =>
      original.hours > 0 ? figureText(original.events / original.hours, 2) : "not fished",
  },
  {
    id: "rate",
    header: "Drawn towards your mean",
    cell: ({ row: { original } }) => figureText(original.rate, 2),
  },
  {
    id: "interval",
    header: "80 % interval",
    cell: ({ row: { original } }) =>
      original.interval ? `${figureText(original.interval[0], 2)} to ${figureText(original.interval[1], 2)}` : "–",
  },
];

/** Learn: what this river's own record says. */
export function LearnStation() {
  const river = useRiver();
  const book = useBook();
  const { system } = useSettings();
  const [kind, setKind] = useState<RateKind>("flow");
  const [reach, setReach] = useState("all");
  const rates = useMemo(() => {
    const sessions = reach === "all" ? book.sessions : book.sessions.filter((session) => session.reach === reach);
    const ids = new Set(sessions.map((session) => session.id));
    return ratesIn(
      kind,
      effortOf(
        sessions,
        book.catches.filter((one) => ids.has(one.session)),
        river.minute,
        undefined,
        book.stretches,
      ),
      rateScale(system),
    );
  }, [book.sessions, book.catches, book.stretches, kind, reach, river.minute, system]);
  const rows = useMemo(
    () => rates.classes.map((one): RateRow => ({ ...one, label: rateLabel(one, kind, system) })),
    [rates, kind, system],
  );
  const first = `${RATE_KIND_NAMES[kind]}${kind === "flow" ? `, ${show(1, "discharge", system).unit}` : ""}`;
  const columns = useMemo(() => columnsIn(first), [first]);
  const best = rows.filter((one) => one.rate !== null && one.hours >= 2).sort((a, b) => b.rate! - a.rate!)[0];
  const made = book.sessions.some((session) => session.demo);
  if (book.ready && rates.total.hours === 0)
    return (
      <p className="rounded-md border border-line p-4">
        Nothing to learn from yet: log a session, blank or not, and its hours and fish appear here by flow.
      </p>
    );
  return (
    <div className="mx-auto max-w-5xl">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div className="min-w-[min(16rem,100%)] flex-1">
          <h1 className="text-2xl">Fish an hour, by {RATE_KIND_NAMES[kind]}</h1>
          <p className="text-soft">
            {figureText(rates.total.hours, 0)} rod-hours, {rates.total.events} fish
            {made ? "; made-up sessions are among them" : ""}.
            {best &&
              ` Most so far: ${best.label}, ${count(best.events, "fish", "fish")} in ${figureText(best.hours, 1)} h; ${figureText(best.rate!, 2)} an hour as drawn (80 %: ${figureText(best.interval![0], 2)} to ${figureText(best.interval![1], 2)}).`}
          </p>
        </div>
        <div className="flex w-full flex-wrap gap-3 sm:w-auto">
          <Select
            label="By"
            className="min-w-[min(9rem,100%)] flex-1 sm:w-48"
            value={kind}
            onChange={(value) => setKind(value as RateKind)}
            choices={RATE_KINDS.map((value) => ({ value, label: RATE_KIND_NAMES[value] }))}
          />
          <Select
            label="Reach"
            className="min-w-[min(9rem,100%)] flex-1 sm:w-44"
            value={reach}
            onChange={setReach}
            choices={[
              { value: "all", label: "All reaches" },
              ...choicesOf(
                river.reaches,
                (one) => one.id,
                (one) => one.reach.name,
              ),
            ]}
          />
        </div>
      </div>
      <div className="h-[340px]">
        <RateChart classes={rates.classes} labels={rows.map((one) => one.label)} />
      </div>
      <p className="mt-2 text-sm text-soft">
        Bar: fish an hour, drawn towards your own mean as by {PRIOR_HOURS} more hours at it, so that one lucky fish does
        not shout. Ring: as counted. Whisker: the truth lies in it four times in five. Where little was fished the
        whisker is long; where nobody fished there is nothing.
      </p>
      <Panel title="The same in figures" className="mt-5">
        <DataTable columns={columns} rows={rows} testId="rates" label="Fish an hour" />
      </Panel>
    </div>
  );
}
