"use client";
import { type RefObject, useState } from "react";
import { asFault } from "../../core/quantity/answer";
import type { Fault } from "../../core/quantity/fault";
import { act } from "../../state/act";
import { changeFilm, type FilmDraft, LONGEST } from "../../state/film";
import { seek } from "../../state/measure-film";
import { FaultNote } from "../../widgets/fault-note";
import { FileField } from "../../widgets/file-field";
import { Panel } from "../../widgets/panel";
import "../../words/film";
import { faultText } from "../../words/messages";
import { figureText } from "../../words/quantity";
import { openDemoFilm, openFilm } from "./open-film";

/** The film: from a file, and where in it the part begins that is measured. */
export function FilmPanel({
  draft,
  video,
  busy,
}: {
  draft: FilmDraft | undefined;
  video: RefObject<HTMLVideoElement | null>;
  busy: boolean;
}) {
  const [opening, setOpening] = useState(false);
  const [fault, setFault] = useState<Fault | undefined>();
  const open = (work: () => Promise<void>) =>
    act(async () => {
      setOpening(true);
      setFault(undefined);
      try {
        await work();
      } catch (error) {
        setFault(asFault(error));
      } finally {
        setOpening(false);
      }
    });
  const last = draft ? Math.max(0, draft.duration - 2) : 0;
  return (
    <Panel title="Film">
      <FileField
        label="Video file"
        accept="video/*"
        disabled={busy || opening}
        onFiles={([file]) => open(() => openFilm(file!))}
      />
      {opening && <p role="status">Opening …</p>}
      {fault && (
        <div className="mt-2">
          <FaultNote message={faultText(fault)} todo="Nothing changed. Choose another file." />
        </div>
      )}
      {!draft && (
        <button
          type="button"
          className="mt-1 min-h-11 text-left underline"
          disabled={opening}
          onClick={() => open(openDemoFilm)}
        >
          Try the demo film
        </button>
      )}
      {draft && (
        <p className="mt-2 break-words">
          {draft.name}, {figureText(draft.duration, 1)} s
        </p>
      )}
      {draft && last > 0 && (
        <label className="mt-1 flex min-h-11 flex-wrap items-center gap-x-3">
          <span className="text-sm">Start at {figureText(draft.from, 1)} s</span>
          <input
            type="range"
            min={0}
            max={last}
            step={0.1}
            value={draft.from}
            disabled={busy}
            aria-label="Start of the measured part, s"
            onChange={(event) => {
              const from = Number(event.target.value);
              changeFilm({ from });
              if (video.current) act(() => seek(video.current!, from));
            }}
            className="w-40 accent-(--ochre)"
          />
        </label>
      )}
      <p className="mt-1 text-sm text-soft">
        Up to {LONGEST} s are measured. The film stays on this device and isn’t saved.
      </p>
    </Panel>
  );
}
