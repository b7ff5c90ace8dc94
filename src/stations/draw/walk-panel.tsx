"use client";
import { useState } from "react";
import { asFault } from "../../core/quantity/answer";
import type { Fault } from "../../core/quantity/fault";
import type { Walk } from "../../core/trace/walked";
import { act } from "../../state/act";
import { putWalked } from "../../state/drawing";
import { valueOf } from "../../state/query";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { FileField } from "../../widgets/file-field";
import { Panel } from "../../widgets/panel";
import { Select } from "../../widgets/select";
import { land } from "../../workers/land";
import { MARK_WORDS } from "../../words/drawing";
import { faultText } from "../../words/messages";
import { showText } from "../../words/quantity";
import { count } from "../../words/text";
import { WalkNow } from "./walk-now";
import { guessKind, marksOfWalk, TRACK_KINDS, type TrackKind } from "./walked-marks";

/** The banks walked: a track from a file, or with this phone. */
export function WalkPanel({ isPicture }: { isPicture: boolean }) {
  const { system, height } = useSettings();
  const [walk, setWalk] = useState<Walk | undefined>();
  const [kinds, setKinds] = useState<TrackKind[]>([]);
  const [fault, setFault] = useState<Fault | undefined>();
  const [done, setDone] = useState<string | undefined>();
  const tell = (error: unknown) => setFault(asFault(error));
  const open = async (file: File) => {
    setFault(undefined);
    setDone(undefined);
    try {
      const read = valueOf(await land.ask(async (api) => api.walk(file)));
      setWalk(read);
      setKinds(read.tracks.map(guessKind));
    } catch (error) {
      setWalk(undefined);
      tell(error);
    }
  };
  const put = (from: Walk, as: readonly TrackKind[]) => {
    const { marks, unknown } = marksOfWalk(from, as, height);
    try {
      putWalked(marks, isPicture);
      setFault(undefined);
      setWalk(undefined);
      const left = unknown > 0 ? ` ${count(unknown, "place")} left out: the name says nothing of the river.` : "";
      setDone(`${count(marks.length, "thing")} drawn.${left}`);
    } catch (error) {
      tell(error);
    }
  };
  return (
    <Panel title="Walk the banks" className="mt-6">
      <FileField
        label="Track of a walk (GPX or GeoJSON)"
        accept=".gpx,.geojson,.json"
        onFiles={([file]) => act(() => open(file!))}
      />
      {fault && (
        <div className="mt-2">
          <FaultNote message={faultText(fault, system)} todo="Nothing changed." />
        </div>
      )}
      {done && <p role="status">{done}</p>}
      {walk && (
        <>
          <ul className="mt-3 grid gap-3">
            {walk.tracks.map(({ name, fixes, positions, jumps, gap }, k) => (
              <li key={k}>
                <Select
                  label={name || `Track ${k + 1}`}
                  value={kinds[k]!}
                  onChange={(value) => setKinds(kinds.with(k, value as TrackKind))}
                  choices={TRACK_KINDS.map((value) => ({
                    value,
                    label: value === "none" ? "Leave out" : MARK_WORDS[value].name,
                  }))}
                />
                <p className="mt-1 text-sm text-soft">
                  {count(fixes, "position")} simplified to {count(positions.length, "point")}
                  {jumps > 0 && `, ${count(jumps, "jump")} left out`}
                  {gap > 20 && `, longest gap ${showText(gap, "distance", system)}`}.
                </p>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-sm text-soft">
            Walk from upstream to downstream, or swap the ends afterwards. {count(walk.places.length, "marked place")}{" "}
            in the file{walk.refused > 0 && `, ${count(walk.refused, "position")} unreadable`}.
          </p>
          <Button tone="next" className="mt-2" onClick={() => put(walk, kinds)}>
            Put on the drawing
          </Button>
        </>
      )}
      <WalkNow onWalked={put} />
    </Panel>
  );
}
