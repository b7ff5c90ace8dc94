"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import { exceedanceInWords, seasonLevels } from "../../core/gauge/exceedance";
import { seriesOf } from "../../core/gauge/summary";
import type { FlowBand } from "../../core/lies/flow-band";
import { tellReason } from "../../core/lies/reasons";
import { SPECIES } from "../../core/lies/species-list";
import type { Field } from "../../core/flow/grid";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { database } from "../../store/database";
import { setGauge } from "../../store/river";
import { Button, FaultNote, Panel, Select } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { useStands } from "../../ui/use-stands";
import { useBands } from "../../ui/use-bands";
import { useEdges } from "../../ui/use-edges";
import { roundFlow } from "../../ui/use-field";
import { useLadder } from "../../ui/use-ladder";
import { type LieView, useLieView } from "../../ui/use-lie";
import { ApproachPanel } from "./approach";
import { FlowSlider } from "./flow-slider";
import { LieList } from "./lie-list";
import { NewReach } from "./new-reach";
import { Objects } from "./objects";
import { Plan } from "./plan";
import { type Place, ProbeWords, useProbe } from "./probe";
import { ReadingDialog } from "./reading-dialog";
import { SectionAtLie, SectionOnLine } from "./section";
import type { Line } from "./section-line";
import { SoundingsDialog } from "./soundings-dialog";
import { useObjects } from "./use-objects";

const NO_GAUGE = "none";
/** Factors of a score as they are told. */
const FACTORS: Record<string, string> = { ambush: "slow beside fast", bottom: "bottom", lane: "way up", rest: "rest before effort" };

/** Reach: the river from above at a flow, its seams, its lies. */
export function ReachStation() {
  const view = useLieView();
  const { system, showWading, showDepths, species, light, school, height, set } = useSettings();
  const [building, setBuilding] = useState(false);
  const [shaping, setShaping] = useState(false);
  const [sounding, setSounding] = useState(false);
  const [readingAt, setReadingAt] = useState<Place | undefined>();
  const { river, field, reading, lie, flow } = view;
  const reach = river.reach?.reach;
  const scale = useFlowScale(view);
  const bare = !reach;
  const editor = useObjects(river.reach);
  const probe = useProbe(reach?.id);
  const stands = useStands(field.settled ? field.field : undefined, lie, view.look.visibleDepth, height);
  const edges = useEdges(reach, roundFlow(flow), showDepths);
  const [laid, setLine] = useState<{ reach: string; line: Line } | undefined>();
  const line = laid && laid.reach === reach?.id ? laid.line : undefined;
  const ladder = useLadder(reach, scale.own[0], scale.own[1], roundFlow(flow), !field.settled);
  const bands = useBands(reach, ladder, view.look, field.settled ? reading?.lies : undefined);
  return (
    <div className="mx-auto max-w-[1400px]">
      <div className="mb-3 flex flex-wrap items-end gap-3">
        {river.reaches.length > 0 && <Select label="Reach" hideLabel className="min-w-36 flex-1 sm:w-48 sm:flex-none" value={river.reach?.id ?? ""} onChange={(id) => set({ reach: id, station: null, flow: null, lie: 1 })} choices={river.reaches.map((one) => ({ value: one.id, label: one.reach.name }))} />}
        {river.reach && !river.reach.demo && river.stations.length > 0 && <Select label="Gauge of this reach" hideLabel className="min-w-36 flex-1 sm:w-48 sm:flex-none" value={river.reach.station ?? NO_GAUGE} onChange={(id) => void setGauge(database(), river.reach!.id, id === NO_GAUGE ? null : id)} choices={[{ value: NO_GAUGE, label: "No gauge" }, ...river.stations.map((one) => ({ value: one.id, label: one.name }))]} />}
        <Select label="Fish" hideLabel className="min-w-36 flex-1 sm:w-44 sm:flex-none" value={species} onChange={(id) => set({ species: id, lie: 1 })} choices={SPECIES.map(({ id, name }) => ({ value: id, label: name }))} />
        <Select label="Light" hideLabel className="min-w-36 flex-1 sm:w-52 sm:flex-none" value={light} onChange={(value) => set({ light: value as typeof light, lie: 1 })} choices={[{ value: "auto", label: river.light === "day" ? "Light as now" : river.light === "twilight" ? "Dusk or dawn, as now" : "Dark now: by day" }, { value: "day", label: "By day" }, { value: "twilight", label: "Dusk or dawn" }, { value: "night", label: "By night" }]} />
        <button type="button" aria-pressed={showWading} onClick={() => set({ showWading: !showWading })} className={`min-h-11 rounded-md border border-line px-3 ${showWading ? "bg-ink text-paper" : "hover:bg-deep"}`}>Wading</button>
        <button type="button" aria-pressed={showDepths} onClick={() => set({ showDepths: !showDepths })} className={`min-h-11 rounded-md border border-line px-3 ${showDepths ? "bg-ink text-paper" : "hover:bg-deep"}`}>Depths</button>
        {reach && <button type="button" aria-pressed={shaping} onClick={() => setShaping(!shaping)} className={`min-h-11 rounded-md border border-line px-3 ${shaping ? "bg-ink text-paper" : "hover:bg-deep"}`}>Shape the bed</button>}
        <Button className="sm:ml-auto" onClick={() => setBuilding(true)}>Make a reach</Button>
      </div>
      {bare && <p className="rounded-md border border-line p-4">No reach in the book yet. Make one from a template, or open a reach file.</p>}
      {reach && (
        <>
          <h1 className="sr-only">{reach.name} at {showText(flow, "discharge", system)}</h1>
          <div className="-mx-4 lg:-mx-6">
            {field.field
              ? <Plan field={field.field} reach={reach} reading={reading} chosen={lie?.rank} onChoose={(rank) => set({ lie: rank })} showWading={showWading} showDepths={showDepths} edges={edges} line={line} onLine={(next) => setLine({ reach: reach.id, line: next })} editor={shaping ? editor : undefined} probe={probe.place} onProbe={probe.put} stand={stands.find((one) => one.school === school)} system={system} />
              : <div className="grid h-60 place-items-center text-soft">{field.fault ? "" : "Working out the flow …"}</div>}
          </div>
          <Status view={view} />
          {probe.place && field.field && <ProbeWords field={field.field} place={probe.place} system={system} onLift={() => probe.put(undefined)} onRead={editor && (() => setReadingAt(probe.place))} />}
          {shaping && editor && field.field && <Objects editor={editor} length={field.field.nx * field.field.cell} breadth={field.field.ny * field.field.cell} system={system} />}
          {showWading && reading && <WadingKey view={view} />}
          <FlowSlider flow={flow} range={scale.range} band={scale.band} solved={field.solved.map((one) => one.discharge)} rungs={ladder.rungs} now={river.now?.discharge ?? null} system={system} onChange={(q) => set({ flow: q })} onNow={() => set({ flow: null })} />
          {reading && reading.lies.length === 0 && <p className="mt-4 rounded-md border border-line p-4">No water here that a {SPECIES.find((one) => one.id === species)?.name.toLowerCase()} could hold in at this flow.</p>}
          {reading && lie && field.field && (
            <div className="mt-4 grid gap-x-8 gap-y-6 lg:grid-cols-[1.15fr_1.1fr_1fr]">
              <Panel title={`Lies for ${SPECIES.find((one) => one.id === species)!.name.toLowerCase()}`}>
                <LieList lies={reading.lies} chosen={lie.rank} onChoose={(rank) => set({ lie: rank })} system={system} />
              </Panel>
              <Panel title={line ? "Along the line" : `Across the river at lie ${lie.rank}`} aside={<button type="button" className="-my-2 py-2 text-sm underline" onClick={() => setLine(line ? undefined : { reach: reach.id, line: lineNear(field.field!, probe.place ?? [lie.x, lie.y]) })}>{line ? `at lie ${lie.rank} again` : "lay a line of my own"}</button>}>
                {line ? <SectionOnLine field={field.field} line={line} visibleDepth={view.look.visibleDepth} system={system} /> : <SectionAtLie field={field.field} lie={lie} visibleDepth={view.look.visibleDepth} system={system} />}
                <p className="mt-1 text-sm text-soft">{line ? "Drag its ends on the plan, or move them by arrow keys. " : "Looking down-current. "}Dotted: seen to here. Depth is drawn larger than width.</p>
                <SeamTable view={view} />
                {field.settled && <ApproachPanel lie={lie.rank} stands={stands} school={school} onSchool={(next) => set({ school: next })} system={system} />}
              </Panel>
              <Panel title={`Why lie ${lie.rank}`}>
                {bands[lie.rank - 1] && <p className="mb-2 font-semibold">{bandWords(bands[lie.rank - 1]!, system)}</p>}
                <ul className="grid gap-2">{lie.reasons.map((reason) => <li key={reason.kind}>{tellReason(reason, system)}</li>)}</ul>
                <p className="mt-2 text-sm text-soft">Score {(lie.score * 1000).toFixed(0)} = {Object.entries(lie.factors).map(([name, value]) => (name === "netEnergy" ? `net energy ${(value * 1000).toFixed(0)} mW` : `${FACTORS[name] ?? name} ${value.toFixed(2)}`)).join(" × ")}{lie.factors.netEnergy === undefined && " × 1000"}. It compares places on this day; it is no chance of a fish.</p>
                <Link href="/rig" className="mt-4 flex min-h-12 items-center justify-between rounded-md bg-ink px-4 font-semibold text-paper">Rig for lie {lie.rank}<span aria-hidden>→</span></Link>
              </Panel>
            </div>
          )}
        </>
      )}
      <NewReach open={building} onOpenChange={setBuilding} stations={river.stations} onSoundings={() => { setBuilding(false); setSounding(true); }} />
      {editor && readingAt && <ReadingDialog place={readingAt} flow={river.now?.discharge ?? flow} minute={river.minute} system={system} onClose={() => setReadingAt(undefined)} onKeep={(reading) => editor.keepReadings([...editor.readings, reading], "The reading is in the book. Fit the bed to it under “Shape the bed”.")} />}
      <SoundingsDialog open={sounding} onOpenChange={setSounding} stations={river.stations} />
    </div>
  );
}

/** The flows at which a lie fishes, in words. */
function bandWords({ low, high, best, openBelow, openAbove }: FlowBand, system: UnitSystem): string {
  const text = (value: number) => showText(value, "discharge", system);
  const range = openBelow && openAbove ? "at every flow looked at" : openBelow ? `up to ${text(high)}` : openAbove ? `from ${text(low)} up` : `between ${text(low)} and ${text(high)}`;
  return `Fishes ${range}, best about ${text(best)}.`;
}

/** Dry ground at both ends of a new line, m. */
const ASHORE = 1.5;

/** A line across the river at a place, from bank to bank. */
function lineNear(field: Field, [x]: readonly [number, number]): Line {
  const { nx, ny, cell, depth } = field;
  const i = Math.min(nx - 1, Math.floor(x / cell));
  const wet = Array.from({ length: ny }, (_, j) => j).filter((j) => depth[j * nx + i]! > 0);
  const held = (y: number) => Math.min((ny - 0.5) * cell, Math.max(0.5 * cell, y));
  return [[x, held((wet[0] ?? 0) * cell - ASHORE)], [x, held(((wet.at(-1) ?? ny) + 1) * cell + ASHORE)]];
}

/** Range of the flow slider and the season's middle half, from the record where there is one. */
function useFlowScale({ river, flow }: LieView): { range: [number, number]; own: [number, number]; band: [number, number] | null } {
  const discharge = river.gauge && seriesOf(river.gauge, "discharge");
  const at = river.now?.at;
  const own = useMemo(() => {
    if (!discharge || !at) return { low: 0.5, high: 40, band: null };
    const flows = discharge.values.filter((q) => q > 0).sort();
    const levels = seasonLevels(discharge, Date.parse(at));
    return { low: (flows[0] ?? 0.5) * 0.8, high: flows[Math.floor(flows.length * 0.995)] ?? 40, band: levels ? ([levels[1]!, levels[3]!] as [number, number]) : null };
  }, [discharge, at]);
  return { range: [Math.min(own.low, flow), Math.max(own.high, flow, own.low * 4)], own: [own.low, own.high], band: own.band };
}

/** What is being shown, and how sure it is. */
function Status({ view }: { view: LieView }) {
  const { field, flow, river, isNow } = view;
  const system = useSettings((settings) => settings.system);
  if (field.fault) return <div className="my-3"><FaultNote message={field.fault.message} todo={field.fault.path ? `Look at ${field.fault.path} of the reach, or pick another flow.` : "Pick another flow."} /></div>;
  const shown = field.field;
  const text = !shown ? "" : field.earlierBed ? "Shown: the flow before the bed was changed." : field.fromLadder ? `From the flows solved on both sides, ${showText(shown.cell, "distance", system)} cells: edges are soft.` : !field.exact ? `Shown: ${showText(shown.discharge, "discharge", system)}, the nearest solved.` : !field.settled ? `First picture, ${showText(shown.cell, "distance", system)} cells: edges are soft.` : verdictWords(shown.verdict);
  return (
    <div className="mb-1 flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1 text-sm text-soft">
      {field.progress !== undefined ? (
        <>
          <span role="status">Solving {showText(roundFlow(flow), "discharge", system)} …</span>
          <progress value={field.progress} max={1} aria-label="Solving" className="h-2 w-32 accent-(--ochre)" />
          <button type="button" className="min-h-8 underline" onClick={field.cancel}>stop</button>
        </>
      ) : field.cancelled && !field.settled ? <button type="button" className="min-h-8 underline" onClick={field.retry}>Stopped. Solve {showText(roundFlow(flow), "discharge", system)}</button> : null}
      <span>{text}</span>
      {field.settled && shown && shown.massError > 0.005 && <span className="font-semibold text-clay">▲ {(shown.massError * 100).toFixed(1)} % of the water is unaccounted for.</span>}
      {isNow && river.now?.exceedance != null && <span className="ml-auto hidden md:inline">{exceedanceInWords(river.now.exceedance)}</span>}
    </div>
  );
}

function verdictWords(verdict: string): string {
  if (verdict === "converged") return "Settled. Eddy outlines are soft by about a metre.";
  return verdict === "shedding" ? "Settled on average; wakes pulse, so seams wander by about a metre." : "Not settled: take this as a rough picture.";
}

function WadingKey({ view }: { view: LieView }) {
  const { safe, caution, stayOut } = view.reading!.wading;
  const system = useSettings((settings) => settings.system);
  return (
    <div className="mb-2 border-l-4 border-double border-clay pl-3 text-sm">
      <p>Clear: easy wading, {showText(safe, "area", system)}. Dotted: with care, {showText(caution, "area", system)}, closer dots stronger. Hatched: stay out, {showText(stayOut, "area", system)}.</p>
      <p className="text-soft">By depth × speed at this flow, over an even bed. A staff, a belt, a way out; never alone in cold or high water; out at once when it rises.</p>
    </div>
  );
}

/** The seams in words: the stitches' twin. */
function SeamTable({ view }: { view: LieView }) {
  const system = useSettings((settings) => settings.system);
  const seams = view.reading!.seams.slice(0, 6);
  if (seams.length === 0) return <p className="mt-3 text-soft">No seam stands out at this flow.</p>;
  return (
    <details className="mt-3">
      <summary className="min-h-9 font-semibold">{view.reading!.seams.length} seams, {view.reading!.eddies.length} eddies in words</summary>
      <ul className="mt-1 grid gap-1 text-sm">
        {seams.map((seam, k) => {
          const [from, to] = [seam.points[0]!, seam.points.at(-1)!];
          return <li key={k}>{showText(from[0], "distance", system)} to {showText(to[0], "distance", system)} down the reach, about {showText((from[1] + to[1]) / 2, "distance", system)} from the left edge: {showText(seam.speedDifference, "speed", system)} across it, slow on its {seam.slowSide}.</li>;
        })}
        {view.reading!.eddies.slice(0, 4).map((eddy, k) => <li key={`e${k}`}>Eddy at {showText(eddy.x, "distance", system)} down, {showText(eddy.y, "distance", system)} across: {showText(eddy.area, "area", system)}, turning back at up to {showText(eddy.returnSpeed, "speed", system)}.</li>)}
      </ul>
    </details>
  );
}
