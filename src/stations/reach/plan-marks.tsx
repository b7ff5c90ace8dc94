"use client";
import { memo, type ReactNode } from "react";
import type { Lie } from "../../core/fish/read";
import type { Field } from "../../core/flow/grid";
import type { Feature } from "../../core/flow/reach-schema";
import type { Numbered } from "../../scenario/lie-identity";
import type { Holds } from "../../core/flow/ensemble";
import type { Robustness } from "../../scenario/robustness";
import type { NumberedReading } from "../../state/scenario/use-reading";
import { useSettings } from "../../state/settings";
import { kindWords } from "../../words/lie";
import { placeWords } from "../../words/place";
import type { UnitSystem } from "../../words/quantity";
import { ApproachMarks, BoatMarks } from "./approach-marks";
import { DepthLines, GhostEdges } from "./contours";
import { Features, GroundPatterns } from "./features";
import { FeltMarks, useFelt } from "./felt-marks";
import { FishMarks } from "./fish-marks";
import { Footprint } from "./footprint";
import { Handles } from "./handles";
import { markPlaces } from "./mark-places";
import { ProbeMark } from "./probe";
import { ReadingMarks } from "./reading-marks";
import { Curl, Stitches } from "./seam-marks";
import { SectionLine } from "./section-line";
import { StructureMarks } from "./structure-marks";
import { TemplateHandles } from "./template-handles";
import type { BedEditor } from "./use-bed-editor";
import type { ReachView } from "./use-reach-view";
import { whereOnPlan } from "./where-near";
import { WadingCells, WadingPatterns } from "./wading-cells";

const NO_FEATURES: readonly Feature[] = [];

/** Eddies drawn at most: smaller ones are told in words. */
const MOST_EDDIES = 6;

/** Everything drawn over the water, bottom layer first. */
export function PlanMarks({
  view,
  shown,
  editor,
  scale,
}: {
  view: ReachView;
  shown: Field;
  editor: BedEditor | undefined;
  scale: number;
}) {
  const { system, layer } = useSettings();
  const { scenario, edges } = view;
  const reading = scenario.reading.value;
  const felt = useFelt(scenario.river.reach?.id, scenario.river.minute);
  const size: [number, number] = [shown.nx * shown.cell, shown.ny * shown.cell];
  return (
    <>
      <defs>
        <GroundPatterns />
        <WadingPatterns />
      </defs>
      {layer === "depths" && <DepthLines field={shown} scale={scale} system={system} />}
      {layer === "depths" && <GhostEdges fields={edges} scale={scale} system={system} />}
      {!editor && <Features features={scenario.river.reach?.reach.features ?? []} scale={scale} />}
      {reading && <WaterMarks reading={reading} robustness={view.robustness} scale={scale} />}
      {editor ? (
        <BedMarks editor={editor} scale={scale} system={system} where={(place) => whereOnPlan(shown, place, system)} />
      ) : (
        <FishingMarks view={view} shown={shown} size={size} scale={scale} />
      )}
      <FeltMarks felt={felt} scale={scale} />
      <Frame size={size} scale={scale} system={system} />
    </>
  );
}

/** What the water itself shows: wading, eddies, seams, structure. */
const WaterMarks = memo(function WaterMarks({
  reading,
  robustness,
  scale,
}: {
  reading: NumberedReading;
  robustness: Robustness | undefined;
  scale: number;
}) {
  const layer = useSettings((settings) => settings.layer);
  return (
    <>
      {layer === "wading" && <WadingCells wading={reading.wading} field={reading.of.field} scale={scale} />}
      {reading.eddies.slice(0, MOST_EDDIES).map((eddy, k) => (
        <Curl key={k} x={eddy.x * scale} y={eddy.y * scale} size={Math.min(1.6, Math.sqrt(eddy.area) / 4)} />
      ))}
      {reading.seams.map((seam, k) => (
        <Stitches key={k} seam={seam} scale={scale} sure={sureness(robustness?.seams[k])} />
      ))}
      {layer === "structure" && (
        <StructureMarks structure={reading.structure} eddies={reading.eddies} lies={reading.lies} scale={scale} />
      )}
    </>
  );
});

/** While the bed is shaped: handles, readings and objects. */
function BedMarks({
  editor,
  scale,
  system,
  where,
}: {
  editor: BedEditor;
  scale: number;
  system: UnitSystem;
  where: (place: readonly [number, number]) => string;
}) {
  return (
    <>
      {editor.template && <TemplateHandles template={editor.template} scale={scale} system={system} editor={editor} />}
      <ReadingMarks readings={editor.readings} scale={scale} />
      <Handles editor={editor} scale={scale} where={where} />
    </>
  );
}

/** Where to stand, fish of the past, the lies, the section's line and the probe. */
function FishingMarks({
  view,
  shown,
  size,
  scale,
}: {
  view: ReachView;
  shown: Field;
  size: readonly [number, number];
  scale: number;
}) {
  const { system, school, layer, set } = useSettings();
  const { scenario, approach, fishHere, line, probe } = view;
  const { lie, fish, reading } = scenario;
  const found = approach.value;
  const stand = found?.stands.find((one) => one.school === school);
  const lies = reading.value?.lies ?? [];
  const features = scenario.river.reach?.reach.features ?? NO_FEATURES;
  const marks = markPlaces(lies, features, scale);
  return (
    <>
      {stand && <ApproachMarks stand={stand} scale={scale} />}
      {school === "from-boat" && found?.boat && lie && <BoatMarks boat={found.boat} lie={lie} scale={scale} />}
      {lie && (
        <circle
          cx={lie.x * scale}
          cy={lie.y * scale}
          r={(fish.species.territory * scale) / 2}
          fill="none"
          stroke="var(--ochre)"
          strokeWidth={1.4}
          strokeDasharray="4 4"
          aria-hidden
        />
      )}
      <FishMarks catches={fishHere} discharge={shown.discharge} all={layer === "structure"} scale={scale} />
      {lies.flatMap((one) =>
        one.others.map(({ x, y }) => <OtherPlaceMark key={`${x} ${y}`} x={x * scale} y={y * scale} />),
      )}
      {lies.map((one, index) => (
        <LieMark
          key={one.number}
          lie={one}
          at={marks[index]!}
          sure={sureness(view.robustness?.lies[index])}
          chosen={one.number === lie?.number}
          scale={scale}
          onChoose={() => set({ lie: { x: one.x, y: one.y } })}
        />
      ))}
      {line.line && (
        <SectionLine
          line={line.line}
          scale={scale}
          size={size}
          where={(place) => whereOnPlan(shown, place, system)}
          onChange={line.lay}
        />
      )}
      {probe.place && <ProbeMark place={probe.place} scale={scale} />}
    </>
  );
}

/** One more place to hold in a lie: a ring, without a number. */
const OtherPlaceMark = ({ x, y }: { x: number; y: number }) => (
  <g transform={`translate(${x} ${y})`} aria-hidden fill="none">
    <circle r={4.5} stroke="var(--paper)" strokeWidth={4} strokeOpacity={0.7} />
    <circle r={4.5} stroke="var(--ink)" strokeWidth={1.8} />
  </g>
);

/** How plainly something is drawn that was found so often: what wanders is soft, never gone. */
const LEAST_PLAIN = 0.5;
const sureness = (holds: Holds | undefined): number =>
  holds ? LEAST_PLAIN + ((1 - LEAST_PLAIN) * holds.found) / holds.of : 1;

function LieMark({
  lie,
  at,
  sure,
  chosen,
  scale,
  onChoose,
}: {
  lie: Numbered<Lie>;
  /** Where it is drawn, px: beside its place where that lies on a stone. */
  at: { x: number; y: number };
  sure: number;
  chosen: boolean;
  scale: number;
  onChoose: () => void;
}) {
  const [homeX, homeY] = [lie.x * scale - at.x, lie.y * scale - at.y];
  const moved = Math.hypot(homeX, homeY) > 1;
  return (
    <g
      transform={`translate(${at.x} ${at.y})`}
      role="button"
      tabIndex={0}
      aria-label={`Lie ${lie.number}, ${kindWords(lie)}: ${placeWords(lie.place)}`}
      aria-pressed={chosen}
      className="cursor-pointer"
      onClick={onChoose}
      onKeyDown={(event) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        onChoose();
      }}
    >
      <circle r={22} fill="transparent" />
      {moved && (
        <g aria-hidden fill="none">
          <path d={`M0 0L${homeX} ${homeY}`} stroke="var(--paper)" strokeWidth={4} strokeOpacity={0.7} />
          <path d={`M0 0L${homeX} ${homeY}`} stroke="var(--ink)" strokeWidth={1.6} />
          <circle cx={homeX} cy={homeY} r={2.4} fill="var(--ink)" stroke="var(--paper)" />
        </g>
      )}
      <g opacity={chosen ? 1 : sure}>
        <Footprint number={lie.number} kind={lie.kind} size={1.15} chosen={chosen} upCurrent={lie.upCurrent} />
      </g>
    </g>
  );
}

/** Letters on whatever lies under them. */
const HALO = { stroke: "var(--paper)", strokeWidth: 3.5, paintOrder: "stroke", strokeLinejoin: "round" } as const;

/** Banks by name, the way of the flow, and the scale. */
function Frame({
  size: [length, breadth],
  scale,
  system,
}: {
  size: readonly [number, number];
  scale: number;
  system: UnitSystem;
}): ReactNode {
  return (
    <>
      <text x={12} y={18} fill="var(--ink-soft)" fontSize={14} {...HALO}>
        left bank
      </text>
      <text x={12} y={breadth * scale - 10} fill="var(--ink-soft)" fontSize={14} {...HALO}>
        flow →
      </text>
      <ScaleBar x={length * scale - 16} y={breadth * scale - 12} scale={scale} system={system} />
    </>
  );
}

function ScaleBar({ x, y, scale, system }: { x: number; y: number; scale: number; system: UnitSystem }) {
  const metres = system === "us" ? 30 * 0.3048 : 10;
  return (
    <g stroke="var(--ink)" strokeWidth={1.5} aria-hidden>
      <path d={`M${x - metres * scale} ${y}H${x}`} />
      <text x={x - (metres * scale) / 2} y={y - 6} textAnchor="middle" fontSize={14} fill="var(--ink-soft)" {...HALO}>
        {system === "us" ? "30 ft" : "10 m"}
      </text>
    </g>
  );
}
