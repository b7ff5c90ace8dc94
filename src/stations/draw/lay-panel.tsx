"use client";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { georeferenceOf } from "../../core/trace/georeference";
import { lackingOf } from "../../core/trace/drawing";
import type { TracedReach } from "../../core/trace/traced-reach";
import { writeOutline } from "../../core/formats/outline-geojson";
import { act } from "../../state/act";
import { closeDraft, draftWritten, draw, NEW, nameDrawing, useDrawing } from "../../state/drawing";
import { saveFile } from "../../state/files";
import { laySolvedLast } from "../../state/lay-solved";
import type { Stage } from "../../state/query";
import { useSettings } from "../../state/settings";
import type { River } from "../../state/use-river";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { addTraced, retrace } from "../../store/drawings";
import { newId } from "../../store/identity";
import { removeReach } from "../../store/reaches";
import { Button } from "../../widgets/button";
import { CommitField } from "../../widgets/commit-field";
import { FaultNote } from "../../widgets/fault-note";
import { Panel } from "../../widgets/panel";
import { readWith } from "../../widgets/read-with";
import { Select } from "../../widgets/select";
import { LACKING_WORDS } from "../../words/drawing";
import { numberEntry, quantityEntry, textEntry } from "../../words/entry";
import { faultText } from "../../words/messages";
import { entryText, entryUnit, figureText, showText } from "../../words/quantity";
import { count } from "../../words/text";
import { NotKept } from "../not-kept";
import { gaugeChoices, NONE } from "../reach/gauge-choices";
import { fallLabel } from "../reach/template-measures";
import { UNSURE } from "./use-laid-picture";

/** The water on the day of the picture, the bed that follows, and the reach that is kept. */
export function LayPanel({ traced, river }: { traced: Stage<TracedReach>; river: River }) {
  const { drawing, name, id } = useDrawing();
  const { system } = useSettings();
  const [station, setStation] = useState<string | undefined>();
  const gauge = station ?? river.stations[0]?.id ?? NONE;
  const lacking = lackingOf(drawing);
  const set = (change: { discharge?: number; slope?: number }) => draw((now) => ({ ...now, ...change }));
  const flow = quantityEntry("discharge", entryUnit("discharge", system), {
    low: 0,
    open: true,
    high: 1e5,
    beyond: "Enter a flow above 0.",
  });
  return (
    <Panel title="Water and bed" className="mt-6">
      <div className="grid gap-3 sm:grid-cols-2">
        <CommitField
          label="Flow that day"
          hint="When the picture or the depths were taken"
          shown={drawing.discharge === null ? "" : entryText(drawing.discharge, "discharge", system)}
          read={readWith(flow)}
          onKeep={(discharge: number) => set({ discharge })}
        />
        <CommitField
          label={fallLabel(system)}
          hint="1 lazy, 3 usual, 8 steep"
          shown={drawing.slope === null ? "" : figureText(drawing.slope * 1000, 2)}
          read={readWith(numberEntry({ low: 0.01, high: 50, beyond: "Enter a number from 0.01 to 50." }))}
          onKeep={(slope: number) => set({ slope: slope / 1000 })}
        />
        <CommitField label="Name" maxLength={120} shown={name} read={readWith(textEntry(120))} onKeep={nameDrawing} />
        {id === NEW && (
          <Select label="Gauge" value={gauge} onChange={setStation} choices={gaugeChoices(river.stations)} />
        )}
      </div>
      {lacking.length > 0 && (
        <ul className="mt-3 list-disc pl-5 text-soft">
          {lacking.map((one) => (
            <li key={one}>{LACKING_WORDS[one]}</li>
          ))}
        </ul>
      )}
      {traced.pending && <p role="status">Laying the bed …</p>}
      {traced.fault && (
        <FaultNote message={faultText(traced.fault, system)} todo="Change the drawing and it’s tried again." />
      )}
      {traced.value && !traced.fault && <Laid traced={traced.value} />}
      <Keep traced={traced} station={gauge === NONE ? null : gauge} />
    </Panel>
  );
}

/** What the bed is like, and how much of it is guessed. */
function Laid({ traced }: { traced: TracedReach }) {
  const system = useSettings((settings) => settings.system);
  const wet = traced.depth.flatMap((depth, k) => (depth === null ? [] : [{ depth, off: traced.deviation[k] ?? 0 }]));
  const unsure = wet.filter(({ depth, off }) => off > UNSURE * depth).length / Math.max(1, wet.length);
  const mean = wet.reduce((sum, { depth }) => sum + depth, 0) / Math.max(1, wet.length);
  return (
    <div role="status" className="mt-3">
      <p>
        {showText(traced.length, "distance", system)} long, {showText(traced.width, "distance", system)} wide,{" "}
        {showText(mean, "depth", system)} deep on average. {count(traced.depths, "depth")} used
        {traced.outside > 0 && `, ${count(traced.outside, "depth")} outside the water`}.
      </p>
      <p className="text-sm text-soft">
        {unsure > 0.005
          ? `${figureText(100 * unsure, 0)} % of the water is guessed to worse than ${100 * UNSURE} %: dotted on the picture. Depths there help most.`
          : "Depths are known to 30 % everywhere."}
      </p>
    </div>
  );
}

/** Keeps the reach, and the drawing as a file. */
function Keep({ traced, station }: { traced: Stage<TracedReach>; station: string | null }) {
  const { drawing, name, id } = useDrawing();
  const { set } = useSettings();
  const router = useRouter();
  const [done, setDone] = useState(0);
  // It takes seconds: who has gone on to another page meanwhile stays there.
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);
  const { save, fault, busy } = useSave(() => {
    if (useDrawing.getState().id === id) closeDraft();
    if (here.current) router.push("/reach");
  });
  const placed = georeferenceOf(drawing.scale)?.origin != null && drawing.marks.length > 0;
  const keep = async () => {
    if (!traced.value || traced.earlier || id === undefined) return;
    const called = name || "My reach";
    setDone(0);
    await save(
      async () => {
        const { drawing, laid } = await laySolvedLast({ id: id === NEW ? newId() : id, name: called }, setDone);
        await draftWritten();
        if (id === NEW) {
          const record = await addTraced(database(), id, drawing, laid, station);
          // Without a gauge the flow of the day it was drawn is the one that is known.
          set({ reach: record.id, station: null, flow: station === null ? drawing.discharge : null, lie: null });
          return () => removeReach(database(), record.id).then(() => undefined);
        }
        const undo = await retrace(database(), id, drawing, laid);
        set({ reach: id, lie: null });
        return undo;
      },
      `${called} ${id === NEW ? "saved" : "updated"}.`,
    );
  };
  return (
    <div className="mt-4">
      {fault && <NotKept fault={fault} />}
      <div className="flex flex-wrap gap-2">
        <Button tone="next" disabled={busy || !traced.value || traced.earlier} onClick={() => act(keep)}>
          {id === NEW ? "Add this reach" : "Update the reach"}
        </Button>
        <Button
          disabled={!placed}
          onClick={() => saveFile("reach.geojson", writeOutline(drawing, name || "My reach"), "application/geo+json")}
        >
          Save as GeoJSON
        </Button>
      </div>
      {busy && (
        <p className="mt-1 flex flex-wrap items-center gap-3 text-sm text-soft">
          <span role="status">Fitting the bed to the water of that day …</span>
          <progress value={done} max={1} aria-label="Fitting the bed" className="h-2 w-32 accent-(--ochre)" />
        </p>
      )}
      {!placed && drawing.marks.length > 0 && (
        <p className="mt-1 text-sm text-soft">GeoJSON needs the place on the map: set the scale by two known places.</p>
      )}
    </div>
  );
}
