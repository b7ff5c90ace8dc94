"use client";
import { useMemo, useState } from "react";
import { RATE_KINDS, type RateKind, ratesIn } from "../../core/book/classes";
import { effortOf } from "../../core/book/effort";
import { PRIOR_HOURS, type RateClass } from "../../core/book/rates";
import { show, showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { Panel, Select } from "../../ui/parts";
import { useRiver } from "../../ui/river";
import { useSettings } from "../../ui/settings";
import { useBook } from "../../ui/use-book";
import { RateChart } from "./rate-chart";

const KIND_NAMES: Record<RateKind, string> = {
  flow: "flow",
  exceedance: "flow for the season",
  trend: "rising or falling",
  clarity: "clarity",
  temperature: "water temperature",
};

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
      ),
    );
  }, [book.sessions, book.catches, kind, reach, river.minute]);
  const labels = rates.classes.map((one) => labelOf(one, kind, system));
  const best = rates.classes.filter((one) => one.rate !== null && one.hours >= 2).sort((a, b) => b.rate! - a.rate!)[0];
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
        <div className="min-w-64 flex-1">
          <h1 className="text-2xl">Fish an hour, by {KIND_NAMES[kind]}</h1>
          <p className="text-soft">
            {rates.total.hours.toFixed(0)} rod-hours, {rates.total.events} fish
            {made ? "; made-up sessions are among them" : ""}.
            {best &&
              ` Most so far: ${labelOf(best, kind, system)}, ${best.rate!.toFixed(2)} an hour (80 %: ${best.interval![0].toFixed(2)} to ${best.interval![1].toFixed(2)}).`}
          </p>
        </div>
        <div className="flex w-full flex-wrap gap-3 sm:w-auto">
          <Select
            label="By"
            className="min-w-36 flex-1 sm:w-48"
            value={kind}
            onChange={(value) => setKind(value as RateKind)}
            choices={RATE_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }))}
          />
          <Select
            label="Reach"
            className="min-w-36 flex-1 sm:w-44"
            value={reach}
            onChange={setReach}
            choices={[
              { value: "all", label: "All reaches" },
              ...river.reaches.map((one) => ({ value: one.id, label: one.reach.name })),
            ]}
          />
        </div>
      </div>
      <div className="h-[340px]">
        <RateChart classes={rates.classes} labels={labels} />
      </div>
      <p className="mt-2 text-sm text-soft">
        Bar: the likeliest rate. Whisker: the truth lies in it four times in five. Where little was fished the whisker
        is long; where nobody fished there is nothing. A weak guess worth {PRIOR_HOURS} hours at your own mean keeps one
        lucky fish from shouting.
      </p>
      <Panel title="The same in figures" className="mt-5 overflow-x-auto">
        <table className="w-full text-left" data-testid="rates">
          <thead>
            <tr className="border-b border-line text-sm text-soft">
              <th className="py-1 font-normal">
                {KIND_NAMES[kind]}
                {kind === "flow" ? `, ${show(1, "discharge", system).unit}` : ""}
              </th>
              <th className="font-normal">Hours</th>
              <th className="font-normal">Fish</th>
              <th className="font-normal">An hour</th>
              <th className="font-normal">80 % interval</th>
            </tr>
          </thead>
          <tbody>
            {rates.classes.map((one, k) => (
              <tr key={one.label} className="border-b border-line">
                <th scope="row" className="py-1.5 font-semibold">
                  {labels[k]}
                </th>
                <td>{one.hours.toFixed(1)}</td>
                <td>{one.events}</td>
                <td>{one.rate === null ? "not fished" : one.rate.toFixed(2)}</td>
                <td>{one.interval ? `${one.interval[0].toFixed(2)} to ${one.interval[1].toFixed(2)}` : "–"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Panel>
    </div>
  );
}

/** A class in the angler's own units. */
function labelOf(one: RateClass, kind: RateKind, system: UnitSystem): string {
  if (one.low === null || one.high === null) return one.label;
  if (kind === "flow")
    return [one.low, one.high].map((q) => String(Number(show(q, "discharge", system).figure))).join(" to ");
  if (kind === "temperature" && system === "us")
    return `${show(Math.max(0, one.low), "temperature", system).figure} to ${showText(one.high, "temperature", system)}`;
  return one.label;
}
