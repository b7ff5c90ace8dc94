"use client";
import { useState } from "react";
import { type Walk, type WalkFile, walkOf } from "../../core/trace/walked";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { Select } from "../../widgets/select";
import { TextField } from "../../widgets/field";
import { MARK_WORDS } from "../../words/drawing";
import { showText } from "../../words/quantity";
import { LOCATING_WORDS } from "../../words/locating";
import { count } from "../../words/text";
import { TRACK_KINDS, type TrackKind } from "./walked-marks";
import { type Located, usePosition } from "../../state/use-position";

/** Positions that are surer than this make a line, m. A phone under the open sky does better. */
const SURE = 20;

/** A bank walked with this phone: its position only while asked, and marks on the way. */
export function WalkNow({ onWalked }: { onWalked: (walk: Walk, kinds: readonly TrackKind[]) => void }) {
  const system = useSettings((settings) => settings.system);
  const [kind, setKind] = useState<TrackKind>("left-bank");
  const [walking, setWalking] = useState(false);
  const [fixes, setFixes] = useState<Located[]>([]);
  const [places, setPlaces] = useState<WalkFile["places"]>([]);
  const [note, setNote] = useState("");
  const { state, last } = usePosition(walking, (fix) => {
    if (fix.accuracy <= SURE) setFixes((before) => [...before, fix]);
  });
  const mark = (name: string) => {
    if (last) setPlaces((before) => [...before, { at: last.at, name }]);
    setNote("");
  };
  const stop = () => {
    setWalking(false);
    const tracks = fixes.length > 1 ? [{ name: "", fixes: fixes.map(({ at, time }) => ({ at, time })) }] : [];
    if (tracks.length + places.length > 0) onWalked(walkOf({ tracks, places, refused: 0 }), [kind]);
    setFixes([]);
    setPlaces([]);
  };
  if (!walking)
    return (
      <div className="mt-4 flex flex-wrap items-end gap-2">
        <Select
          label="Or walk it now"
          className="w-44"
          value={kind}
          onChange={(value) => setKind(value as TrackKind)}
          choices={TRACK_KINDS.filter((one) => one !== "none").map((value) => ({
            value,
            label: MARK_WORDS[value].name,
          }))}
        />
        <Button onClick={() => setWalking(true)}>Start walking</Button>
      </div>
    );
  return (
    <section aria-label="Walking" className="mt-4 rounded-md border border-line p-4">
      <p role="status">
        {LOCATING_WORDS[state] ??
          (last &&
            `${MARK_WORDS[kind as "middle"].name}: ${count(fixes.length, "position")}, accurate to ${showText(last.accuracy, "distance", system)}${last.accuracy > SURE ? ", too rough to use" : ""}. ${count(places.length, "mark")}.`)}
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-2">
        <TextField
          label="Depth here"
          hint="Such as 0.6 m or knee"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button disabled={!last || note === ""} onClick={() => mark(note)}>
          Mark depth
        </Button>
        <Button disabled={!last} onClick={() => mark("stone")}>
          Stone here
        </Button>
        <Button disabled={!last} onClick={() => mark("riffle")}>
          Riffle here
        </Button>
        <Button disabled={!last} onClick={() => mark("head of pool")}>
          Head of a pool here
        </Button>
      </div>
      <Button tone="next" className="mt-3" onClick={stop}>
        Stop and draw it
      </Button>
    </section>
  );
}
