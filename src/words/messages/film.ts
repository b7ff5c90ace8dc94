import type { Words } from "./message-format";

/** What is refused of a film, or of what was marked on it. */
export const FILM: Words = {
  "not-a-film": () => "This browser can’t play the file as a video.",
  "film-not-played": () => "The video stopped before its end. Choose it again, or a shorter one.",
  "film-too-short": (p) =>
    `Only ${p.frames} frames could be used. Film for at least two seconds, and hold the camera as still as you can.`,
  "film-distance-missing": (p) =>
    `Enter the distance from ${String(p.from).toUpperCase()} to ${String(p.to).toUpperCase()}.`,
  "film-area-size": () =>
    "The water between the points must be from 1 to 300 m across, and below the level line. Check points and distances.",
  "points-in-line": () => "Three of the four points are almost in one line. Move one of them.",
  "distances-do-not-close": (p) =>
    `The distances between ${p.names} can’t be right: one is longer than the other two together.`,
  "not-below-the-level": () => "Both points must be below the level line.",
};
