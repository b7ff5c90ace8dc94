"use client";
import { create } from "zustand";
import type { FilmedWater } from "../core/film/film-reader";
import type { Distances } from "../core/film/ground-points";
import type { Point } from "../core/film/homography";
import type { FilmPlacement } from "../core/film/place-film";

/** How the ground of a film is known: by the distances of four points, or by two points and a level line. */
export type KnownBy = "distances" | "level";

/** A film that was opened, and what was marked on it; px of its frames as they are read. */
export interface FilmDraft {
  name: string;
  url: string;
  width: number;
  height: number;
  /** s */
  duration: number;
  /** Where the part that is measured begins, s. */
  from: number;
  knownBy: KnownBy;
  /** A to D; with a level line only A and B count. */
  points: readonly Point[];
  /** Ends of the level line. */
  level: readonly Point[];
  /** Corners of the water, where a level line is known instead of four points. */
  water: readonly Point[];
  /** m; null where not entered. */
  distances: Record<keyof Distances, number | null>;
  /** Degrees. */
  fieldOfView: number;
}

/** What was measured, and on which reach it was put where. It is not stored. */
export interface MeasuredFilm {
  name: string;
  /** ms since 1970 UTC, when it was measured. */
  at: number;
  water: FilmedWater;
  reach?: string;
  placement?: FilmPlacement;
}

interface FilmState {
  draft: FilmDraft | undefined;
  measured: MeasuredFilm | undefined;
}

/** The film of this visit: it is never stored. */
export const useFilm = create<FilmState>(() => ({ draft: undefined, measured: undefined }));

export const changeFilm = (change: Partial<FilmDraft>): void =>
  useFilm.setState(({ draft }) => ({ draft: draft && { ...draft, ...change } }));

/** Frames are read this wide at most, px, and so much of a film, s. */
const WIDEST = 960;
export const LONGEST = 10;

/** A draft of a film that was just opened, its points where water often is. */
export function draftOf(name: string, url: string, video: HTMLVideoElement): FilmDraft {
  const scale = Math.min(1, WIDEST / video.videoWidth);
  const [width, height] = [Math.round(video.videoWidth * scale), Math.round(video.videoHeight * scale)];
  const at = (x: number, y: number): Point => [x * width, y * height];
  return {
    name,
    url,
    width,
    height,
    duration: video.duration,
    from: 0,
    knownBy: "distances",
    points: [at(0.3, 0.4), at(0.7, 0.4), at(0.85, 0.8), at(0.15, 0.8)],
    level: [at(0.05, 0.15), at(0.95, 0.15)],
    water: [at(0.3, 0.35), at(0.7, 0.35), at(0.9, 0.9), at(0.1, 0.9)],
    distances: { ab: null, bc: null, cd: null, da: null, ac: null },
    fieldOfView: 66,
  };
}

/** Moves or turns the film on its reach. */
export const placeFilmAt = (placement: FilmPlacement): void =>
  useFilm.setState(({ measured }) => ({ measured: measured && { ...measured, placement } }));
