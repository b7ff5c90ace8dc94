"use client";
import type { UnitSystem } from "../../words/quantity";
import { useState } from "react";
import { clarityClass } from "../../core/gauge/clarity";
import type { ForecastSkill } from "../../core/gauge/backtest";
import { type Forecast, timeUnder } from "../../core/gauge/forecast";
import type { Outlook } from "../../core/gauge/outlook";
import { DAY } from "../../core/gauge/series";
import { entryText, entryUnit, showText } from "../../words/quantity";
import { parseQuantity } from "../../core/quantity/units";
import { messageText } from "../../words/messages";
import { Panel } from "../../widgets/panel";
import { TextField } from "../../widgets/field";
import { moment } from "../../words/river";
import { forecastSource } from "../../words/water";

const percent = (share: number) => `${Math.round(share * 100)} %`;

/**
 * What the river will do: when it is down to a level, when it has cleared, and how far such forecasts are to be
 * believed.
 */
export function RecessionPanel({
  outlook,
  skill,
  now,
  system,
}: {
  outlook: Outlook;
  skill: ForecastSkill[] | undefined;
  now: number;
  system: UnitSystem;
}) {
  const [entry, setEntry] = useState<string | undefined>();
  const { flow } = outlook;
  if (!flow) {
    return (
      <Panel title="The days ahead">
        <p className="text-soft">
          No forecast: it needs a discharge reading in the last six hours and at least three recessions. If the gauge
          only gives stage, add a rating in water settings.
        </p>
      </Panel>
    );
  }
  const wanted =
    entry === undefined
      ? { ok: true as const, value: suggested(outlook) }
      : parseQuantity(entry, "discharge", entryUnit("discharge", system));
  const level = wanted.ok && wanted.value > 0 ? wanted.value : undefined;
  return (
    <Panel title="The days ahead" source={forecastSource(flow, outlook.regime)}>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <TextField
          label="Flow at or below"
          className="w-36"
          value={entry ?? entryText(suggested(outlook), "discharge", system)}
          onChange={(event) => setEntry(event.target.value)}
          error={
            wanted.ok
              ? wanted.value > 0 || entry === undefined
                ? undefined
                : "Enter a flow above 0."
              : messageText(wanted.message)
          }
        />
        {level !== undefined && (
          <p className="min-w-[min(14rem,100%)] flex-1 pb-2 text-lg" aria-live="polite">
            {passing(outlook, level, now)}
          </p>
        )}
      </div>
      {outlook.visibleDepth && <p className="mt-2">{clearing(outlook, now, system)}</p>}
      {outlook.recession && (
        <p className="mt-2 text-soft">
          After rain it falls by about {percent(1 - Math.exp(-outlook.recession.lambdaPerDay))} a day (
          {outlook.recession.events} recessions on record, {percent(1 - Math.exp(-outlook.recession.low))} to{" "}
          {percent(1 - Math.exp(-outlook.recession.high))}).
        </p>
      )}
      <TrackRecord skill={skill} method={flow.method} />
      <RainRecord skill={skill} />
    </Panel>
  );
}

/**
 * A level to ask about at first: three quarters of today's flow, to two figures, and nothing that the river has never
 * been down to.
 */
function suggested({ flow, lowest }: Outlook): number {
  const wanted = Number((0.75 * flow!.discharge).toPrecision(2));
  return lowest === null || wanted >= lowest ? wanted : roundedUp(lowest);
}

const roundedUp = (value: number): number => {
  const step = 10 ** (Math.floor(Math.log10(value)) - 1);
  return Number((Math.ceil(value / step - 1e-9) * step).toPrecision(2));
};

function passing(outlook: Outlook, level: number, now: number): string {
  const flow = outlook.flow!;
  if (flow.discharge <= level) return "It is there now.";
  const { early, median, late, share } = timeUnder(flow, level);
  if (median === null)
    return early === null
      ? `Not expected within five days (${percent(share)} of the forecast paths get there).`
      : `Perhaps not within five days. At the earliest about ${moment(early, now)} (${percent(share)} of the forecast paths get there).`;
  const between = early !== null && early > now ? `between ${moment(early, now)} and` : "between now and";
  return `About ${moment(median, now)}, ${between} ${late === null ? "later than five days" : moment(late, now)}.`;
}

function clearing(outlook: Outlook, now: number, system: UnitSystem): string {
  const points = outlook.visibleDepth!;
  const first = points[0]!;
  const today = clarityClass(first.median);
  const change = points.find((point) => clarityClass(point.median) !== today && point.time - now < 5 * DAY);
  const last = points.at(-1)!;
  if (!change)
    return `Clarity: likely to stay ${today}; in five days you can see to about ${showText(last.median, "depth", system)} (${showText(last.low, "depth", system)} to ${showText(last.high, "depth", system)}).`;
  return `Clarity: ${today}, and ${clarityClass(change.median)} by about ${moment(change.time, now)} (visible to ${showText(change.median, "depth", system)}, ${showText(change.low, "depth", system)} to ${showText(change.high, "depth", system)}).`;
}

/** The least error of what needs no forecast. */
function simpleRule({ persistenceError, yesterdayError, lastWeekError }: ForecastSkill): string {
  const rules = [
    [persistenceError, "no change"],
    [yesterdayError, "yesterday"],
    [lastWeekError, "last week"],
  ] as const;
  const [error, name] = rules.reduce((best, one) => (one[0] < best[0] ? one : best));
  return `${percent(error)}, ${name}`;
}

/** How far such forecasts are to be believed: tried on the held-out end of the record. */
function TrackRecord({ skill, method }: { skill: ForecastSkill[] | undefined; method: Forecast["method"] }) {
  if (method === "recession")
    return <p className="mt-2 text-sm text-soft">No track record: testing needs more data.</p>;
  if (!skill)
    return (
      <p role="status" className="mt-2 text-sm text-soft">
        Testing the forecast on the last year …
      </p>
    );
  if (skill.length === 0)
    return <p className="mt-2 text-sm text-soft">No track record: the record is too short to test.</p>;
  return (
    <SkillTable
      heads={["Ahead", "Error", "Simple rule", "In the band"]}
      rows={skill.map((one) => [one.hours, percent(one.medianError), simpleRule(one), percent(one.coverage80)])}
    >
      Tested {skill[0]!.cases} times on the last year, or the last third of a shorter record, using only what was known
      then. Errors are medians. The simple rule is the best of no change, yesterday and last week at that hour.
    </SkillTable>
  );
}

/** What the rain forecast adds on rises, by horizon; nothing where the record has no rain or too few rises. */
function RainRecord({ skill }: { skill: ForecastSkill[] | undefined }) {
  const rises = (skill ?? []).flatMap(({ hours, rain }) => (rain?.rising ? [{ hours, ...rain.rising }] : []));
  if (rises.length === 0) return null;
  return (
    <SkillTable
      heads={["Ahead", "With rain", "Without", "Rises"]}
      rows={rises.map((one) => [one.hours, percent(one.error), percent(one.withoutError), String(one.cases)])}
    >
      Errors on rises of a quarter or more. “With rain” knows the rain as far ahead as your weather forecast does now,
      with the errors of such forecasts.
    </SkillTable>
  );
}

/** Figures by lead; the first after the lead stands out. */
function SkillTable({
  heads,
  rows,
  children,
}: {
  heads: readonly string[];
  rows: readonly (readonly [hours: number, first: string, ...others: string[]])[];
  children: React.ReactNode;
}) {
  return (
    <table className="mt-3 w-full text-left max-sm:text-[max(14px,min(1rem,4vw))]">
      <caption className="pb-1 text-left text-sm text-soft">{children}</caption>
      <thead>
        <tr className="text-sm text-soft">
          {heads.map((head) => (
            <th key={head} className="font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([hours, first, ...others]) => (
          <tr key={hours} className="border-t border-line">
            <th scope="row" className="py-1 font-normal">
              {hours} h
            </th>
            <td className="font-semibold">{first}</td>
            {others.map((text, k) => (
              <td key={heads[k + 2]} className="max-sm:text-sm">
                {text}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
