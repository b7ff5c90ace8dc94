"use client";
import { useState } from "react";
import type { Unkept } from "../../state/act";
import { useSettings } from "../../state/settings";
import { gaugedFlow } from "../../state/use-river";
import { type Place, ProbeWords } from "./probe";
import { WadingKey } from "./status";
import { StructureKey } from "./structure-marks";
import type { ReachView } from "./use-reach-view";
import { whereOnPlan } from "./where-near";
import type { WantedDepthsView } from "./use-wanted-depths";
import { FaultNote } from "../../widgets/fault-note";
import { later } from "../../widgets/later";

const Objects = later(() => import("./objects").then((one) => one.Objects));
const WantedPanel = later(() => import("./wanted-panel").then((one) => one.WantedPanel));
const ReadingDialog = later(() => import("./reading-dialog").then((one) => one.ReadingDialog));

/** What stands under the plan while it is looked into or shaped: the probe, the objects, and the keys to its marks. */
export function BedPanels({ view, shaping, wanted }: { view: ReachView; shaping: boolean; wanted: WantedDepthsView }) {
  const { system, layer, height } = useSettings();
  const [readingAt, setReadingAt] = useState<Place | undefined>();
  const { scenario, editor, probe, fishHere } = view;
  const { river, conditions, field } = scenario;
  const shown = field.shown?.field;
  const reading = scenario.reading.value;
  if (!shown) return null;
  return (
    <>
      {probe.place && (
        <ProbeWords
          field={shown}
          where={whereOnPlan(shown, probe.place, system)}
          place={probe.place}
          system={system}
          onLift={() => probe.put(undefined)}
          onRead={editor && (() => setReadingAt(probe.place))}
        />
      )}
      {!shaping && <ReadingFault fault={editor?.fault} />}
      {shaping && editor && (
        <Objects editor={editor} length={shown.nx * shown.cell} breadth={shown.ny * shown.cell} system={system} />
      )}
      {layer === "wading" && reading && <WadingKey reading={reading} />}
      {layer === "structure" && reading && (
        <StructureKey structure={reading.structure} eddies={reading.eddies} fish={fishHere.some((one) => one.place)} />
      )}
      {wanted.asking && !shaping && editor && (
        <WantedPanel
          wanted={wanted}
          where={(place) => whereOnPlan(shown, place, system)}
          lies={reading?.lies ?? []}
          onEnter={setReadingAt}
          system={system}
        />
      )}
      {editor && readingAt && (
        <ReadingDialog
          place={readingAt}
          where={whereOnPlan(shown, readingAt, system)}
          flow={river.now?.discharge ?? conditions.discharge}
          gauged={gaugedFlow(river)}
          minute={river.minute}
          system={system}
          height={height}
          onClose={() => setReadingAt(undefined)}
          onKeep={editor.addReading}
          onOwn={(reading) => editor.addOwn(readingAt, reading)}
        />
      )}
    </>
  );
}

/** A reading that could not be kept, its dialog gone; while the bed is shaped it is told there. */
const ReadingFault = ({ fault }: { fault: Unkept | undefined }) =>
  fault && (
    <FaultNote
      message={fault.text}
      todo="It isn’t saved yet."
      onRetry={fault.retry}
      other={fault.inMemory && { label: "Use a temporary log", run: fault.inMemory }}
    />
  );
