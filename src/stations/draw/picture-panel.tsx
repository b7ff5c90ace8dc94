"use client";
import { useSettings } from "../../state/settings";
import { FaultNote } from "../../widgets/fault-note";
import { FileField } from "../../widgets/file-field";
import { Panel } from "../../widgets/panel";
import { faultText } from "../../words/messages";
import { groundWords } from "../../words/drawing";
import { showText } from "../../words/quantity";
import { count } from "../../words/text";
import { DEMO_AERIAL } from "../../demo/aerial";
import type { SheetFiles } from "./use-picture";

/** What is drawn on: a picture from a file, or a drawing that was saved. */
export function PicturePanel({ files }: { files: SheetFiles }) {
  const system = useSettings((settings) => settings.system);
  const { picture, busy, fault, refused, ground, demo, kept } = files;
  return (
    <Panel title="Picture">
      <FileField
        label="Picture from above (PNG, JPEG, WebP or GeoTIFF, with its world file), ground heights (GeoTIFF or ASC), or a drawing (GeoJSON)"
        accept=".png,.jpg,.jpeg,.webp,.tif,.tiff,.wld,.tfw,.jgw,.pgw,.asc,.geojson,.json"
        multiple
        disabled={busy}
        onFiles={(chosen) => files.open(chosen)}
      />
      {busy && <p role="status">Opening …</p>}
      {fault && (
        <div className="mt-2">
          <FaultNote message={faultText(fault, system)} todo="Nothing changed. Choose another file." />
        </div>
      )}
      {refused > 0 && <p role="status">{count(refused, "feature")} of the file couldn’t be read and was left out.</p>}
      {ground && <p role="status">{groundWords(ground, system)}</p>}
      {!picture && (
        <button
          type="button"
          className="mt-1 min-h-11 text-left underline"
          disabled={busy}
          onClick={() => files.openDemo()}
        >
          Try the demo picture
        </button>
      )}
      {picture && (
        <label className="mt-2 flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5"
            checked={kept}
            onChange={(event) => files.keep(event.target.checked)}
          />
          Save the picture with the reach, in this browser only
        </label>
      )}
      <p className="mt-1 text-sm text-soft">
        The picture stays on this device.
        {demo &&
          ` On the demo picture the two white stakes are ${showText(DEMO_AERIAL.stakes.metres, "distance", system)} apart, and up is north.`}
      </p>
    </Panel>
  );
}
