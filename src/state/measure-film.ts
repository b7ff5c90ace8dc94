"use client";
import type { FilmedWater, FilmMarks } from "../core/film/film-reader";
import type { Fault } from "../core/quantity/fault";
import { message } from "../core/quantity/message";
import type { Outcome } from "../workers/drive";
import { addFrame, beginFilm, measureFrames } from "../workers/film";
import { type FilmDraft, LONGEST } from "./film";

/** Frames that the worker may lag behind before the film waits for it. */
const AHEAD = 3;

const fault = (code: string): Outcome<never> => ({ ok: false, cancelled: false, fault: message(code) });

/**
 * Plays a film from its place of the draft and reads its frames. `onProgress` hears 0 to 1: half for the film, half for
 * what it shows. Never rejects.
 */
export async function measureFilm(
  video: HTMLVideoElement,
  { from, duration, width, height }: FilmDraft,
  marks: FilmMarks,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<Outcome<FilmedWater>> {
  const seconds = Math.min(LONGEST, duration - from);
  const picture = () => createImageBitmap(video, { resizeWidth: width, resizeHeight: height, resizeQuality: "medium" });
  try {
    await seek(video, from);
    const begun = await beginFilm(marks, await picture(), from, seconds);
    if (!begun.ok) return { ok: false, cancelled: false, fault: begun.fault };
    const refused = await play(video, from + seconds, picture, (at) => onProgress((at - from) / seconds / 2), signal);
    if (signal.aborted) return { ok: false, cancelled: true };
    if (refused) return { ok: false, cancelled: false, fault: refused };
    return await measureFrames((done) => onProgress(0.5 + done / 2), signal);
  } catch {
    return signal.aborted ? { ok: false, cancelled: true } : fault("film-not-played");
  }
}

/** Goes to an instant of a film, s; resolves when its frame is there. */
export const seek = (video: HTMLVideoElement, at: number): Promise<void> =>
  new Promise((resolve, reject) => {
    video.pause();
    video.addEventListener("seeked", () => resolve(), { once: true });
    video.addEventListener("error", () => reject(new Error("not played")), { once: true });
    // A film that stands at its start already would not say that it has come there.
    video.currentTime = Math.max(0.001, at);
  });

/** Plays to an instant, s, and hands each frame to the worker; waits where that lags. Resolves with what it refused. */
function play(
  video: HTMLVideoElement,
  until: number,
  picture: () => Promise<ImageBitmap>,
  onFrame: (at: number) => void,
  signal: AbortSignal,
): Promise<Fault | undefined> {
  return new Promise((resolve, reject) => {
    let [waiting, over] = [0, false];
    let refused: Fault | undefined;
    const settle = () => {
      if (waiting === 0 && over) resolve(refused);
    };
    const end = () => {
      over = true;
      video.pause();
      settle();
    };
    // A pause that comes before it plays is no fault.
    const go = () => {
      video.play().catch((error: unknown) => (error as Error).name !== "AbortError" && reject(error as Error));
    };
    const step = (_: number, { mediaTime }: VideoFrameCallbackMetadata) => {
      if (over) return;
      waiting++;
      if (waiting >= AHEAD) video.pause();
      picture()
        .then((bitmap) => addFrame(bitmap, mediaTime))
        .then((answer) => {
          if (!answer.ok) refused = answer.fault;
          waiting--;
          if (refused || signal.aborted || video.ended) end();
          else if (!over && video.paused && waiting < AHEAD) go();
          settle();
        })
        .catch(reject);
      onFrame(mediaTime);
      if (mediaTime >= until || signal.aborted) end();
      else video.requestVideoFrameCallback(step);
    };
    video.addEventListener("ended", end, { once: true });
    signal.addEventListener("abort", end, { once: true });
    video.addEventListener("error", () => reject(new Error("not played")), { once: true });
    video.requestVideoFrameCallback(step);
    video.muted = true;
    go();
  });
}
