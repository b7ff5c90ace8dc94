import { proxy, transfer } from "comlink";
import type { FilmedWater, FilmMarks } from "../core/film/film-reader";
import type { Answer } from "../core/quantity/answer";
import { clientOf } from "./client";
import type { Outcome } from "./drive";
import type { FilmApi } from "./film.worker";
import { untilAborted } from "./until-aborted";

/** The worker that reads a film; one film at a time. */
const film = clientOf<FilmApi>(() => new Worker(new URL("./film.worker.ts", import.meta.url), { type: "module" }));

export const beginFilm = (marks: FilmMarks, first: ImageBitmap, at: number, seconds: number): Promise<Answer<void>> =>
  film.ask(async (api) => api.begin(marks, transfer(first, [first]), at, seconds));

export const addFrame = (bitmap: ImageBitmap, at: number): Promise<Answer<void>> =>
  film.ask(async (api) => api.add(transfer(bitmap, [bitmap]), at));

/** What the frames show. Never rejects. */
export const measureFrames = (onProgress: (done: number) => void, signal: AbortSignal): Promise<Outcome<FilmedWater>> =>
  untilAborted(film, signal, () => film.ask(async (api) => api.measure(proxy(onProgress))));
