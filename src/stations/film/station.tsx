"use client";
import Link from "next/link";
import { useRef } from "react";
import { useFilm } from "../../state/film";
import { FilmPanel } from "./film-panel";
import { FilmPicture } from "./film-picture";
import { GroundPanel } from "./ground-panel";
import { MeasurePanel } from "./measure-panel";
import { SurfacePicture } from "./surface-picture";
import { useMeasuring } from "./use-measuring";

/** Ten seconds of film: what is known of its ground, and the surface speeds and seams that it shows. */
export function FilmStation() {
  const { draft, measured } = useFilm();
  const video = useRef<HTMLVideoElement>(null);
  const measuring = useMeasuring(video);
  return (
    <div className="mx-auto max-w-[1400px]">
      <div className="mb-3 flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-2xl">Film the water</h1>
        <Link href="/reach" className="min-h-11 underline">
          Back to Reach
        </Link>
      </div>
      <div className="flex flex-col gap-x-8 lg:grid lg:grid-cols-[minmax(0,1fr)_23rem]">
        <div>
          {draft ? (
            <FilmPicture key={draft.url} draft={draft} video={video} locked={measuring.busy} />
          ) : (
            <p className="mb-6 max-w-2xl rounded-md border border-line p-4">
              Film about ten seconds of the water from the bank or a bridge, with something that stands still in the
              picture. You need the distances between four points that you can see, or between two and a level line.
            </p>
          )}
          {measured && <SurfacePicture measured={measured} />}
        </div>
        <div className={draft ? "mt-6 lg:mt-0" : ""}>
          <FilmPanel draft={draft} video={video} busy={measuring.busy} />
          {draft && <GroundPanel draft={draft} busy={measuring.busy} />}
          {draft && <MeasurePanel measuring={measuring} measured={measured} />}
        </div>
      </div>
    </div>
  );
}
