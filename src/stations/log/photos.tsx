"use client";
import { useLiveAnswer } from "../../state/live-answer";
import { useId, useState } from "react";
import { act, perform } from "../../state/act";
import { shrinkPhoto } from "../../state/shrink-photo";
import { addPhoto, removePhoto } from "../../store/photos";
import { database } from "../../store/database";
import { dayAndTime } from "../../words/river";

/**
 * Pictures of a fish: added from the camera, shrunk, without what the camera wrote into them. `zone` is that of its
 * water; undefined: of the one looked at.
 */
export function Photos({ fish, zone }: { fish: string; zone?: string }) {
  const [withPlace, setWithPlace] = useState(false);
  const [busy, setBusy] = useState(false);
  const input = useId();
  const photos = useLiveAnswer(
    async () => (await database().photos.where({ catch: fish }).toArray()).filter((one) => !one.deleted),
    [fish],
  );
  const take = (files: FileList | null) => {
    const list = [...(files ?? [])];
    if (list.length === 0) return;
    setBusy(true);
    act(() =>
      (async () => {
        for (const file of list) {
          const shot = await shrinkPhoto(file, withPlace, zone);
          await perform(() => addPhoto(database(), fish, shot), "Photo saved.");
        }
      })().finally(() => setBusy(false)),
    );
  };
  return (
    <section aria-label="Photos" className="mt-4">
      <ul className="flex flex-wrap gap-2">
        {photos?.map((one) => (
          <li key={one.id} className="relative">
            {/* eslint-disable-next-line @next/next/no-img-element -- a picture out of the browser's own book */}
            <img
              src={`data:image/jpeg;base64,${one.data}`}
              alt={`Photo of the fish${one.taken ? `, taken ${dayAndTime(one.taken, undefined, zone)}` : ""}`}
              width={one.width}
              height={one.height}
              className="h-28 w-auto rounded-md border border-line object-cover"
            />
            <button
              type="button"
              className="min-h-11 text-sm underline"
              onClick={() => act(() => perform(() => removePhoto(database(), one.id), "Photo deleted."))}
            >
              Delete photo
            </button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-x-4">
        <label
          htmlFor={input}
          className="inline-flex min-h-11 cursor-pointer items-center rounded-md border border-edge px-4 font-semibold focus-within:outline-2 hover:bg-deep"
        >
          {busy ? "Shrinking photo …" : "Add a photo"}
          <input
            id={input}
            type="file"
            accept="image/*"
            className="sr-only"
            onChange={(event) => {
              take(event.target.files);
              event.target.value = "";
            }}
          />
        </label>
        <label className="flex min-h-11 items-center gap-2 text-sm text-soft">
          <input
            type="checkbox"
            className="size-5"
            checked={withPlace}
            onChange={(event) => setWithPlace(event.target.checked)}
          />
          keep its location
        </label>
      </div>
    </section>
  );
}
