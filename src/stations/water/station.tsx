"use client";
import { useMemo, useState } from "react";
import { exceedanceInWords } from "../../core/gauge/exceedance";
import { daysToFall, recession } from "../../core/gauge/recession";
import { DAY } from "../../core/gauge/series";
import { type GaugeNow, seriesOf } from "../../core/gauge/summary";
import { show, showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { Button, Figure, Panel, Select } from "../../ui/parts";
import { type River, useRiver } from "../../ui/river";
import { useSettings } from "../../ui/settings";
import { ARROW, clarityWords, dayAndTime, trendWords } from "../../ui/words";
import { Hydrograph } from "./hydrograph";
import { ImportGauge } from "./import-gauge";

const SPANS = [{ days: 14, label: "14 days" }, { days: 90, label: "90 days" }, { days: 366, label: "A year" }, { days: 0, label: "All" }] as const;

/** Water: what the river is doing. */
export function WaterStation() {
  const { system, station: picked, set } = useSettings();
  const river = useRiver(picked);
  const [importing, setImporting] = useState(false);
  const [span, setSpan] = useState<number>(14);
  const discharge = river.gauge && seriesOf(river.gauge, "discharge");
  const fall = useMemo(() => (discharge ? recession(discharge) : null), [discharge]);
  const to = river.now ? Date.parse(river.now.at) : river.minute;
  const from = span === 0 ? (discharge?.times[0] ?? to) : to - span * DAY;
  return (
    <div className="mx-auto max-w-6xl">
      <div className="mb-4 flex flex-wrap items-start justify-between gap-3">
        <div className="max-w-2xl">
          <h1 className="text-2xl">{river.station?.name ?? "No gauge for this reach"}</h1>
          {river.now && <p className="mt-1 text-lg">{sentence(river.now, river.stale, system)}</p>}
        </div>
        <div className="flex flex-wrap items-end gap-3">
          {river.stations.length > 1 && river.station && <Select label="Gauge" hideLabel className="w-56" value={river.station.id} onChange={(id) => set({ station: id })} choices={river.stations.map((one) => ({ value: one.id, label: one.name }))} />}
          <Button onClick={() => setImporting(true)}>Open a gauge file</Button>
        </div>
      </div>
      {river.now && <Cautions now={river.now} system={system} />}
      {river.now && <NowFigures river={river} system={system} />}
      {discharge ? (
        <Panel title="Discharge" className="mt-6" aside={<SpanPicker span={span} onChange={setSpan} />}>
          <div className="h-[300px] lg:h-[340px]"><Hydrograph discharge={discharge} from={from} to={to} system={system} /></div>
          <p className="mt-2 text-sm text-soft">Line: {system === "us" ? "cfs" : "m³/s"}, as read. Shaded: the usual range for the date over the whole record; dark the middle half, pale a tenth to nine tenths. Gaps are gaps.</p>
          {fall && river.now?.discharge && (
            <p className="mt-2">This river falls by about {Math.round((1 - Math.exp(-fall.lambdaPerDay)) * 100)} % a day once the rain is through ({fall.events} falls on record; {Math.round((1 - Math.exp(-fall.low)) * 100)} to {Math.round((1 - Math.exp(-fall.high)) * 100)} %). Without rain, half of today’s flow in about {daysToFall(2, 1, fall.lambdaPerDay).toFixed(1)} days ({daysToFall(2, 1, fall.high).toFixed(1)} to {daysToFall(2, 1, fall.low).toFixed(1)}).</p>
          )}
        </Panel>
      ) : (
        <p className="mt-6 rounded-md border border-line p-4">{river.station ? "This gauge gives no discharge, so there is nothing to draw and no flow to look at a reach by." : "Open a gauge file to see the river’s flow here. Reaches can be looked at without one, at any flow you pick."}</p>
      )}
      <ImportGauge open={importing} onOpenChange={setImporting} stations={river.stations} />
    </div>
  );
}

function sentence(now: GaugeNow, stale: boolean, system: UnitSystem): string {
  const parts = [now.discharge === null ? "No discharge reading" : `${showText(now.discharge, "discharge", system)} and ${trendWords(now)}`];
  if (now.exceedance !== null) parts.push(exceedanceInWords(now.exceedance));
  const clarity = clarityWords(now);
  if (now.clarity) parts.push(`${clarity.word.toLowerCase()}, ${clarity.seen}`);
  return `${stale ? `As last read, ${dayAndTime(now.at)}: ` : ""}${parts.join("; ")}.`;
}

function NowFigures({ river, system }: { river: River; system: UnitSystem }) {
  const now = river.now!;
  const discharge = show(now.discharge, "discharge", system);
  const stage = show(now.stage, "depth", system);
  const temperature = show(now.waterTemperature, "temperature", system);
  const clarity = clarityWords(now);
  const perHour = now.ratePerHour === null ? undefined : `${now.ratePerHour >= 0 ? "+" : "−"}${Math.abs(now.ratePerHour * 100).toFixed(1)} % an hour`;
  return (
    <section className="grid grid-cols-2 gap-x-6 gap-y-4 border-y border-line py-4 md:grid-cols-3 lg:grid-cols-6" aria-label="The river now">
      <Figure label="Discharge" figure={discharge.figure} unit={discharge.unit} note="read at the gauge" />
      <Figure label="Stage" figure={stage.figure} unit={stage.unit} note="read at the gauge" />
      <Figure label="Trend" figure={now.trend ? `${ARROW[now.trend]} ${now.trend}` : "–"} note={perHour ?? "too few readings"} />
      <Figure label="For the season" figure={now.exceedance === null ? "–" : `${Math.round(now.exceedance * 100)} %`} note={now.exceedance === null ? "no record" : "of the time it is at or above this"} />
      <Figure label="Clarity" figure={clarity.word} note={now.visibleDepth === null ? clarity.seen : `${clarity.seen}, about ${showText(now.visibleDepth, "depth", system)}, from ${now.turbidity?.toFixed(1)} NTU by rule of thumb`} />
      <Figure label="Water" figure={temperature.figure} unit={temperature.unit} note="read at the gauge" />
    </section>
  );
}

/** Rising by this much an hour is rising fast. Common practice, no source. */
const FAST = 0.05;
/** Under this, water takes breath and hands in minutes, degC (usual caution). */
const COLD = 15;

function Cautions({ now, system }: { now: GaugeNow; system: UnitSystem }) {
  const cautions: string[] = [];
  if (now.ratePerHour !== null && now.trend === "rising" && now.ratePerHour > FAST) cautions.push("Rising fast: leave the water, and go out by the way you know.");
  if (now.waterTemperature !== null && now.waterTemperature >= 20) cautions.push(`${showText(now.waterTemperature, "temperature", system)}: leave trout and salmon alone in water this warm. Local rules stand.`);
  if (now.waterTemperature !== null && now.waterTemperature < COLD) cautions.push(`Cold water, ${showText(now.waterTemperature, "temperature", system)}: it takes breath and hands in minutes. Life jacket or dry layers, a staff and a belt, and not alone in high water.`);
  if (cautions.length === 0) return null;
  return <ul className="mb-4 grid gap-1 border-l-4 border-double border-clay pl-3">{cautions.map((text) => <li key={text}><span aria-hidden>▲ </span><span className="sr-only">Caution: </span>{text}</li>)}</ul>;
}

function SpanPicker({ span, onChange }: { span: number; onChange: (days: number) => void }) {
  return (
    <div role="group" aria-label="Span of the chart" className="flex gap-1">
      {SPANS.map(({ days, label }) => (
        <button key={days} type="button" aria-pressed={span === days} onClick={() => onChange(days)} className={`min-h-10 rounded px-3 text-sm ${span === days ? "bg-ink text-paper" : "hover:bg-deep"}`}>{label}</button>
      ))}
    </div>
  );
}
