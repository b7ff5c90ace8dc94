"use client";
import { useMemo } from "react";
import type { ForecastSkill } from "../../core/gauge/backtest";
import type { Hindcast } from "../../core/gauge/hindcast";
import type { RateClass } from "../../core/book/rates";
import { keyOf } from "../../scenario/key";
import { useBook } from "../../state/use-book";
import { useLearning, useRates } from "../../state/use-learn";
import { useSkill } from "../../state/use-outlook";
import { useKeptStage } from "../../state/kept-answers";
import { valueOf } from "../../state/query";
import { useSettings } from "../../state/settings";
import type { River } from "../../state/use-river";
import { waterWorker } from "../../store/water-client";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { FaultNote } from "../../widgets/fault-note";
import { Panel } from "../../widgets/panel";
import { faultText } from "../../words/messages";
import { figureText, show, type UnitSystem } from "../../words/quantity";
import { rateLabel } from "../../words/rates";
import { countedText } from "../../words/learn";
import { dayAndTime } from "../../words/river";
import { capital, count } from "../../words/text";

/** What was said, and what came: the river's forecast, and the lies that the model put first. */
export function Outcomes({ river }: { river: River }) {
  const { reach, gauge } = river;
  const { system } = useSettings();
  const book = useBook();
  const learning = useLearning(book, reach?.id ?? null, river.minute);
  const skill = useSkill(gauge, river.atReach, Boolean(gauge));
  const past = useKeptStage(
    "outcomes",
    reach && learning.version && keyOf("outcomes", reach.id, gauge?.version, learning.version),
    async () => valueOf(await waterWorker.ask(async (api) => api.outcomes(reach!.id))),
    reach?.id,
  );
  const ranks = useRates(learning, "rank");
  const fault = skill.fault ?? past.fault ?? ranks.fault;
  return (
    <>
      <h2 className="text-2xl">Forecasts and results</h2>
      <p className="text-soft">{reach ? `On ${reach.reach.name}.` : "No reach chosen."}</p>
      {fault && <FaultNote message={faultText(fault, system)} onRetry={past.retry} />}
      <Panel title="Forecast a day before your sessions" className="mt-5">
        <Pending of={past} words="Working out what was forecast …" />
        {past.value && <Past past={past.value} system={system} />}
      </Panel>
      <Panel title="Forecast tested on the last year" className="mt-6">
        <Pending of={skill} words="Testing the forecast …" />
        {skill.value && <Calibration skill={skill.value} />}
      </Panel>
      <Panel title="The model’s first lies" className="mt-6">
        <Pending of={ranks} words="Counting …" />
        {ranks.value && <Ranks classes={ranks.value.classes} system={system} />}
      </Panel>
    </>
  );
}

/** What is being worked out for the first time. */
const Pending = ({ of, words }: { of: { pending: boolean; value: unknown }; words: string }) =>
  of.pending && of.value === undefined ? (
    <p role="status" className="text-soft">
      {words}
    </p>
  ) : null;

const pastColumns = (system: UnitSystem): ColumnDef<Hindcast>[] => {
  const flow = (value: number) => show(value, "discharge", system).figure;
  return [
    { id: "at", header: "Session", cell: ({ row }) => dayAndTime(row.original.at) },
    { id: "said", header: "Middle", cell: ({ row }) => flow(row.original.median) },
    {
      id: "band",
      header: "80 % range",
      cell: ({ row: { original } }) => `${flow(original.low)} to ${flow(original.high)}`,
    },
    { id: "came", header: "Actual", cell: ({ row }) => flow(row.original.came) },
  ];
};

const within = ({ low, high, came }: Hindcast): boolean => came >= low && came <= high;

function Past({ past, system }: { past: Hindcast[]; system: UnitSystem }) {
  const columns = useMemo(() => pastColumns(system), [system]);
  if (past.length === 0) return <p className="text-soft">No session on this reach had a forecast the day before.</p>;
  return (
    <>
      <p className="mb-2">
        {count(past.filter(within).length, "time")} of {past.length} the river was in the 80 % range. An honest forecast
        hits four in five. Flow in {show(past[0]!.came, "discharge", system).unit}.
      </p>
      <DataTable columns={columns} rows={past} testId="outcomes" label="Show sessions" />
    </>
  );
}

/** Leads that are drawn: Water has all of them as a table. */
const SHOWN_HOURS = [6, 24, 72];

/** Shares of the truths by tenths of what was said possible: level bars are an honest band. */
function Calibration({ skill }: { skill: readonly ForecastSkill[] }) {
  if (skill.length === 0) return <p className="text-soft">The record is too short to test the forecast.</p>;
  return (
    <div className="grid grid-cols-1 gap-6 sm:grid-cols-3">
      {skill
        .filter(({ hours }) => SHOWN_HOURS.includes(hours))
        .map(({ hours, tenths, cases, coverage80, medianError }) => {
          const most = Math.max(...tenths.map((one) => one / cases), 0.2);
          return (
            <figure key={hours}>
              <svg
                viewBox="0 0 100 50"
                role="img"
                aria-label={`${hours} h ahead, by tenths of the forecast range: ${tenths.map((one) => `${figureText((100 * one) / cases, 0)} %`).join(", ")}`}
                className="w-full"
              >
                {tenths.map((one, k) => {
                  const height = (44 * one) / cases / most;
                  return (
                    // The tenths have no name but their place.
                    <rect
                      key={`tenth-${k + 1}`}
                      x={k * 10 + 1}
                      y={46 - height}
                      width={8}
                      height={height}
                      fill="var(--reed)"
                    />
                  );
                })}
                <line
                  x1={0}
                  x2={100}
                  y1={46 - 4.4 / most}
                  y2={46 - 4.4 / most}
                  stroke="var(--ink)"
                  strokeDasharray="2 2"
                  strokeWidth={0.6}
                />
                <line x1={0} x2={100} y1={46} y2={46} stroke="var(--edge)" strokeWidth={0.6} />
              </svg>
              <figcaption className="text-sm text-soft">
                {hours} h ahead: {figureText(100 * coverage80, 0)} % of {figureText(cases, 0)} times in the band; error{" "}
                {figureText(100 * medianError, 1)} % (median). Dashed: an honest forecast.
              </figcaption>
            </figure>
          );
        })}
    </div>
  );
}

const rankColumns = (system: UnitSystem): ColumnDef<RateClass>[] => [
  {
    id: "rank",
    header: "Lies",
    cell: ({ row }) =>
      row.original.key === "unknown" ? "not modelled" : capital(rateLabel(row.original, "rank", system)),
  },
  { id: "hours", header: "Hours", cell: ({ row }) => figureText(row.original.hours, 1) },
  { id: "fish", header: "Fish", cell: ({ row }) => figureText(row.original.events, 0) },
  {
    id: "counted",
    header: "Counted per hour",
    cell: ({ row }) => countedText(row.original),
  },
  { id: "rate", header: "Likely per hour", cell: ({ row }) => figureText(row.original.rate, 2) },
  {
    id: "interval",
    header: "80 % interval",
    cell: ({ row: { original } }) =>
      original.interval
        ? `${figureText(original.interval[0], 2)} to ${figureText(original.interval[1], 2)}`
        : "not fished",
  },
];

function Ranks({ classes, system }: { classes: RateClass[]; system: UnitSystem }) {
  const columns = useMemo(() => rankColumns(system), [system]);
  if (classes.every((one) => one.key === "unknown" || one.hours === 0))
    return <p className="text-soft">No session was started at a modelled lie yet.</p>;
  return <DataTable columns={columns} rows={classes} testId="ranks" label="Fish per hour by lie rank" />;
}
