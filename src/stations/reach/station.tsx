"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import { seasonLevels } from "../../core/gauge/exceedance";
import { seriesOf } from "../../core/gauge/summary";
import type { FlowBand } from "../../core/fish/flow-band";
import { tellReason } from "../../core/fish/reasons";
import { FALLS } from "../../core/approach/landing";
import type { Lie } from "../../core/fish/read";
import { sunOver } from "../../core/approach/shadow";
import type { Session } from "../../core/book/records";
import { timeFor } from "../../core/tactics/time";
import type { Field } from "../../core/flow/grid";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { database } from "../../store/database";
import { logCatch, saveReach, setGauge } from "../../store/river";
import { Button, Panel, Select } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { useStands } from "../../ui/use-stands";
import { say } from "../../ui/toasts";
import { useAgreement } from "../../ui/use-agreement";
import { useBook } from "../../ui/use-book";
import { useFishes } from "../../ui/use-fishes";
import { useBands } from "../../ui/use-bands";
import { useEdges } from "../../ui/use-edges";
import { roundFlow } from "../../ui/use-field";
import { useLadder } from "../../ui/use-ladder";
import { type LieView, useLieView } from "../../ui/use-lie";
import { ApproachPanel } from "./approach";
import { FlowSlider } from "./flow-slider";
import { FishPanel } from "./fish-panel";
import { LieList } from "./lie-list";
import { NewReach } from "./new-reach";
import { Objects } from "./objects";
import { Plan } from "./plan";
import { type Place, ProbeWords, useProbe } from "./probe";
import { ProfileDialog } from "./profile-dialog";
import { ReadingDialog } from "./reading-dialog";
import { SeasonLine } from "./season-line";
import { SectionAtLie, SectionOnLine } from "./section";
import type { Line } from "./section-line";
import { SoundingsDialog } from "./soundings-dialog";
import { Status, WadingKey } from "./status";
import { StructureKey } from "./structure-marks";
import { TimePanel } from "./time-panel";
import { useObjects } from "./use-objects";
import { WaterWords } from "./water-words";

const NO_GAUGE = "none";
/** Factors of a score as they are told. */
const FACTORS: Record<string, string> = {
  ambush: "slow beside fast",
  bottom: "bottom",
  lane: "way up",
  rest: "rest before effort",
};

/** Reach: the river from above at a flow, its seams, its lies. */
export function ReachStation() {
  const view = useLieView();
  const { system, showWading, showDepths, showStructure, light, school, fall, style, height, set } = useSettings();
  const { list: fishes, of: fishOf, nameOf } = useFishes();
  const book = useBook();
  const [building, setBuilding] = useState(false);
  const [shaping, setShaping] = useState(false);
  const [sounding, setSounding] = useState(false);
  const [readingAt, setReadingAt] = useState<Place | undefined>();
  const { river, field, reading, lie, flow, fish } = view;
  const [changing, setChanging] = useState(false);
  const reach = river.reach?.reach;
  const scale = useFlowScale(view);
  const bare = !reach;
  const editor = useObjects(river.reach);
  const probe = useProbe(reach?.id);
  const timing =
    lie &&
    timeFor(lie, {
      visibleDepth: view.look.visibleDepth,
      temperature: view.look.temperature,
      style,
      species: view.look.species,
      base: fish.base,
    });
  const sun =
    river.place && reach?.bearing !== undefined
      ? sunOver(river.minute, river.place.latitude, river.place.longitude, reach.bearing)
      : undefined;
  const found = useStands(field.settled ? field.field : undefined, reading, lie, {
    visibleDepth: view.look.visibleDepth,
    height,
    fall: FALLS[fall],
    casts: timing?.castsEach ?? 4,
    sun,
    features: reach?.features,
  });
  const edges = useEdges(reach, roundFlow(flow), showDepths);
  const [laid, setLine] = useState<{ reach: string; line: Line } | undefined>();
  const line = laid && laid.reach === reach?.id ? laid.line : undefined;
  const ladder = useLadder(reach, scale.own[0], scale.own[1], roundFlow(flow), !field.settled);
  const bands = useBands(reach, ladder, view.look, field.settled ? reading?.lies : undefined);
  const here = useMemo(() => {
    const sessions = new Set(
      book.sessions.filter((session) => session.reach === reach?.id).map((session) => session.id),
    );
    return book.catches.filter((one) => sessions.has(one.session));
  }, [book.sessions, book.catches, reach?.id]);
  const against = useAgreement(reach, here, fishOf, ladder);
  const hereRunning = book.running && book.running.reach === reach?.id ? book.running : undefined;
  const logHere = async (session: Session, at: Lie) => {
    const one = await logCatch(database(), session, { lie: at.place, place: { x: at.x, y: at.y } });
    say(`The fish is in the book, on lie ${at.rank}.`, {
      label: "Undo",
      run: () => void database().catches.update(one.id, { deleted: true, updatedAt: new Date().toISOString() }),
    });
  };
  return (
    <div className="mx-auto max-w-[1400px]">
      <div className="mb-3 flex flex-wrap items-end gap-3">
        {river.reaches.length > 0 && (
          <Select
            label="Reach"
            hideLabel
            className="min-w-36 flex-1 sm:w-40 sm:flex-none"
            value={river.reach?.id ?? ""}
            onChange={(id) => set({ reach: id, station: null, flow: null, lie: 1 })}
            choices={river.reaches.map((one) => ({ value: one.id, label: one.reach.name }))}
          />
        )}
        {river.reach && !river.reach.demo && river.stations.length > 0 && (
          <Select
            label="Gauge of this reach"
            hideLabel
            className="min-w-36 flex-1 sm:w-48 sm:flex-none"
            value={river.reach.station ?? NO_GAUGE}
            onChange={(id) => void setGauge(database(), river.reach!.id, id === NO_GAUGE ? null : id)}
            choices={[
              { value: NO_GAUGE, label: "No gauge" },
              ...river.stations.map((one) => ({ value: one.id, label: one.name })),
            ]}
          />
        )}
        <Select
          label="Fish"
          hideLabel
          className="min-w-36 flex-1 sm:w-44 sm:flex-none"
          value={fish.id}
          onChange={(id) => set({ species: id, lie: 1 })}
          choices={fishes.map(({ id, name }) => ({ value: id, label: name }))}
        />
        <Select
          label="Light"
          hideLabel
          className="min-w-36 flex-1 sm:w-40 sm:flex-none"
          value={light}
          onChange={(value) => set({ light: value as typeof light, lie: 1 })}
          choices={[
            {
              value: "auto",
              label:
                river.light === "day"
                  ? "Light as now"
                  : river.light === "twilight"
                    ? "Dusk or dawn, as now"
                    : "Dark now: by day",
            },
            { value: "day", label: "By day" },
            { value: "twilight", label: "Dusk or dawn" },
            { value: "night", label: "By night" },
          ]}
        />
        <button
          type="button"
          aria-pressed={showWading}
          onClick={() => set({ showWading: !showWading })}
          className={`min-h-11 flex-1 rounded-md border border-line px-2 sm:flex-none sm:px-3 ${showWading ? "bg-ink text-paper" : "hover:bg-deep"}`}
        >
          Wading
        </button>
        <button
          type="button"
          aria-pressed={showDepths}
          onClick={() => set({ showDepths: !showDepths })}
          className={`min-h-11 flex-1 rounded-md border border-line px-2 sm:flex-none sm:px-3 ${showDepths ? "bg-ink text-paper" : "hover:bg-deep"}`}
        >
          Depths
        </button>
        <button
          type="button"
          aria-pressed={showStructure}
          onClick={() => set({ showStructure: !showStructure })}
          className={`min-h-11 flex-1 rounded-md border border-line px-2 sm:flex-none sm:px-3 ${showStructure ? "bg-ink text-paper" : "hover:bg-deep"}`}
        >
          Structure
        </button>
        {reach && (
          <button
            type="button"
            aria-pressed={shaping}
            onClick={() => setShaping(!shaping)}
            className={`min-h-11 flex-1 rounded-md border border-line px-2 sm:flex-none sm:px-3 ${shaping ? "bg-ink text-paper" : "hover:bg-deep"}`}
          >
            Shape the bed
          </button>
        )}
        <Button className="flex-1 px-2! sm:ml-auto sm:flex-none sm:px-4!" onClick={() => setBuilding(true)}>
          Make a reach
        </Button>
      </div>
      {bare && (
        <p className="rounded-md border border-line p-4">
          No reach in the book yet. Make one from a template, or open a reach file.
        </p>
      )}
      {reach && (
        <>
          <h1 className="sr-only">
            {reach.name} at {showText(flow, "discharge", system)}
          </h1>
          <div className="-mx-4 lg:-mx-6">
            {field.field ? (
              <Plan
                field={field.field}
                reach={reach}
                reading={reading}
                chosen={lie?.rank}
                onChoose={(rank) => set({ lie: rank })}
                showWading={showWading}
                showDepths={showDepths}
                edges={edges}
                line={line}
                onLine={(next) => setLine({ reach: reach.id, line: next })}
                editor={shaping ? editor : undefined}
                probe={probe.place}
                onProbe={probe.put}
                showStructure={showStructure}
                stand={found.stands.find((one) => one.school === school)}
                boat={school === "from-boat" ? found.boat : undefined}
                fish={here}
                territory={fish.species.territory}
                system={system}
              />
            ) : (
              <div className="grid h-60 place-items-center text-soft">
                {field.fault ? "" : "Working out the flow …"}
              </div>
            )}
          </div>
          <Status view={view} />
          {probe.place && field.field && (
            <ProbeWords
              field={field.field}
              place={probe.place}
              system={system}
              onLift={() => probe.put(undefined)}
              onRead={editor && (() => setReadingAt(probe.place))}
            />
          )}
          {shaping && editor && field.field && (
            <Objects
              editor={editor}
              length={field.field.nx * field.field.cell}
              breadth={field.field.ny * field.field.cell}
              system={system}
            />
          )}
          {showWading && reading && <WadingKey view={view} />}
          {showStructure && reading && (
            <StructureKey structure={reading.structure} eddies={reading.eddies} fish={here.some((one) => one.place)} />
          )}
          <FlowSlider
            flow={flow}
            range={scale.range}
            band={scale.band}
            solved={field.solved.map((one) => one.discharge)}
            rungs={ladder.rungs}
            now={river.now?.discharge ?? null}
            system={system}
            onChange={(q) => set({ flow: q })}
            onNow={() => set({ flow: null })}
          />
          {reading && reading.lies.length === 0 && (
            <p className="mt-4 rounded-md border border-line p-4">
              No place stands out for a {fish.name.toLowerCase()} at this flow: the water is too thin, too fast, or much
              the same everywhere.
            </p>
          )}
          {reading && reading.lies.length === 0 && <WaterWords reading={reading} system={system} />}
          {reading && lie && field.field && (
            <div className="mt-4 grid gap-x-8 gap-y-6 lg:grid-cols-[1.15fr_1.1fr_1fr]">
              <Panel
                title={`Lies for ${fish.name.toLowerCase()}`}
                aside={
                  <button type="button" className="-my-2 py-2 text-sm underline" onClick={() => setChanging(true)}>
                    {fish.profile ? "change this fish" : "copy and change this fish"}
                  </button>
                }
              >
                <SeasonLine fish={fish} way={view.way} temperature={view.look.temperature} system={system} />
                <LieList
                  lies={reading.lies}
                  chosen={lie.rank}
                  onChoose={(rank) => set({ lie: rank })}
                  system={system}
                />
              </Panel>
              <Panel
                title={line ? "Along the line" : `Across the river at lie ${lie.rank}`}
                aside={
                  <button
                    type="button"
                    className="-my-2 py-2 text-sm underline"
                    onClick={() =>
                      setLine(
                        line
                          ? undefined
                          : { reach: reach.id, line: lineNear(field.field!, probe.place ?? [lie.x, lie.y]) },
                      )
                    }
                  >
                    {line ? `at lie ${lie.rank} again` : "lay a line of my own"}
                  </button>
                }
              >
                {line ? (
                  <SectionOnLine
                    field={field.field}
                    line={line}
                    visibleDepth={view.look.visibleDepth}
                    system={system}
                  />
                ) : (
                  <SectionAtLie field={field.field} lie={lie} visibleDepth={view.look.visibleDepth} system={system} />
                )}
                <p className="mt-1 text-sm text-soft">
                  {line ? "Drag its ends on the plan, or move them by arrow keys. " : "Looking down-current. "}Dotted:
                  seen to here. Depth is drawn larger than width.
                </p>
                <WaterWords reading={reading} system={system} />
                {field.settled && (
                  <ApproachPanel
                    lie={lie.rank}
                    found={found}
                    sunKnown={reach.bearing !== undefined && river.place !== undefined}
                    bearing={reach.bearing}
                    onBearing={(bearing) => void saveReach(database(), { ...reach, bearing })}
                    system={system}
                  />
                )}
              </Panel>
              <Panel title={`Why lie ${lie.rank}`}>
                {bands[lie.rank - 1] && <p className="mb-2 font-semibold">{bandWords(bands[lie.rank - 1]!, system)}</p>}
                <ul className="grid gap-2">
                  {lie.reasons.map((reason) => (
                    <li key={reason.kind}>{tellReason(reason, system)}</li>
                  ))}
                </ul>
                <p className="mt-2 text-sm text-soft">
                  Score {(lie.score * 1000).toFixed(0)} ={" "}
                  {Object.entries(lie.factors)
                    .map(([name, value]) =>
                      name === "netEnergy"
                        ? `net energy ${(value * 1000).toFixed(0)} mW`
                        : `${FACTORS[name] ?? name} ${value.toFixed(2)}`,
                    )
                    .join(" × ")}
                  {lie.factors.netEnergy === undefined && " × 1000"}. It compares places on this day; it is no chance of
                  a fish.
                </p>
                {lie.hold.of > 1 && (
                  <p className="mt-2 text-sm">
                    {["First", "Second", "Third"][lie.hold.place - 1]} of {lie.hold.of} lies in hold {lie.hold.name}:{" "}
                    {lie.hold.place === 1
                      ? "the best fish has it; when it is gone the next one moves up."
                      : "the next fish has it. Fish the hold from the nearer lie to the farther."}
                  </p>
                )}
                <p className="mt-2 text-sm text-soft">
                  Dashed ring: its territory, {showText(fish.species.territory, "distance", system)} across.
                </p>
                {timing && <TimePanel lie={lie.rank} timing={timing} />}
                {hereRunning && (
                  <Button tone="next" className="mt-4 min-h-14 w-full" onClick={() => void logHere(hereRunning, lie)}>
                    Fish from lie {lie.rank}
                  </Button>
                )}
                <Link
                  href="/rig"
                  className="mt-4 flex min-h-12 items-center justify-between rounded-md bg-ink px-4 font-semibold text-paper"
                >
                  Rig for lie {lie.rank}
                  <span aria-hidden>→</span>
                </Link>
              </Panel>
            </div>
          )}
          {reading && lie && (
            <FishPanel catches={here} against={against} lie={lie} probe={probe.place} system={system} nameOf={nameOf} />
          )}
        </>
      )}
      {changing && <ProfileDialog key={fish.id} fish={fish} onClose={() => setChanging(false)} />}
      <NewReach
        open={building}
        onOpenChange={setBuilding}
        stations={river.stations}
        onSoundings={() => {
          setBuilding(false);
          setSounding(true);
        }}
      />
      {editor && readingAt && (
        <ReadingDialog
          place={readingAt}
          flow={river.now?.discharge ?? flow}
          minute={river.minute}
          system={system}
          onClose={() => setReadingAt(undefined)}
          onKeep={(reading) =>
            editor.keepReadings(
              [...editor.readings, reading],
              "The reading is in the book. Fit the bed to it under “Shape the bed”.",
            )
          }
        />
      )}
      <SoundingsDialog open={sounding} onOpenChange={setSounding} stations={river.stations} />
    </div>
  );
}

/** The flows at which a lie fishes, in words. */
function bandWords({ low, high, best, openBelow, openAbove }: FlowBand, system: UnitSystem): string {
  const text = (value: number) => showText(value, "discharge", system);
  const range =
    openBelow && openAbove
      ? "at every flow looked at"
      : openBelow
        ? `up to ${text(high)}`
        : openAbove
          ? `from ${text(low)} up`
          : `between ${text(low)} and ${text(high)}`;
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
  return [
    [x, held((wet[0] ?? 0) * cell - ASHORE)],
    [x, held(((wet.at(-1) ?? ny) + 1) * cell + ASHORE)],
  ];
}

/** Range of the flow slider and the season's middle half, from the record where there is one. */
function useFlowScale({ river, flow }: LieView): {
  range: [number, number];
  own: [number, number];
  band: [number, number] | null;
} {
  const discharge = river.gauge && seriesOf(river.gauge, "discharge");
  const at = river.now?.at;
  const own = useMemo(() => {
    if (!discharge || !at) return { low: 0.5, high: 40, band: null };
    const flows = discharge.values.filter((q) => q > 0).sort();
    const levels = seasonLevels(discharge, Date.parse(at));
    return {
      low: (flows[0] ?? 0.5) * 0.8,
      high: flows[Math.floor(flows.length * 0.995)] ?? 40,
      band: levels ? ([levels[1]!, levels[3]!] as [number, number]) : null,
    };
  }, [discharge, at]);
  return {
    range: [Math.min(own.low, flow), Math.max(own.high, flow, own.low * 4)],
    own: [own.low, own.high],
    band: own.band,
  };
}
