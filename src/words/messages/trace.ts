import type { Words } from "./message-format";

/** What is refused of an outline that was drawn. */
export const TRACE: Words = {
  "no-banks": () => "Draw both banks, or the line down the middle with its width.",
  "no-widths": () => "Draw the width of the water across the middle line at least once.",
  "no-scale": () => "Set the scale first.",
  "no-place": () => "Nobody has said where on earth this lies. Set the scale by two known points first.",
  "nothing-drawn": () => "The file has nothing drawn in it.",
  "too-many-drawn": (p) => `The file has more than ${p.most} features.`,
  "drawn-twice": (p) => `there is a second ${String(p.kind).replace("-", " ")}`,
  "bank-too-short": (p) => `The ${p.bank} bank is shorter than 1 m.`,
  "banks-cross": (p) =>
    `The banks cross, or left and right are swapped, ${Number(p.at).toFixed(0)} m from the upstream end. Draw both from upstream to downstream.`,
  "ends-together": () => "The reach ends where it begins. Draw both banks from upstream to downstream.",
  "no-slope": () => "The gradient isn’t known: add a property slope to the file, or use --slope.",
  "slope-beyond": (p) => `The gradient must be from ${p.low} to ${p.high} m per m.`,
  "too-many-depths": (p) => `More than ${p.most} depths. Open a sounder’s track as soundings instead.`,
  "not-a-depth": (p) => `“${p.text}” isn’t a depth`,
  "not-drawn": (p) => `kind “${p.kind}” isn’t known for a ${p.geometry}`,
  "no-tracks": () => "The file has no track and no place in it.",
  "off-picture": () => "Part of it lies beyond the picture.",
  "too-far": (p) => `It lies ${(Number(p.metres) / 1000).toFixed(1)} km from what is drawn.`,
  "not-tiff": () => "This isn’t a TIFF that can be read.",
  "picture-beyond": () => "The picture is larger than 1 GB or 150 million pixels.",
  "picture-broken": () => "The picture is damaged or cut short.",
  "picture-of-heights": () => "This file holds ground heights, not a picture.",
  "not-world-file": () => "A world file is six numbers, one per line.",
  "epsg-unknown": (p) => `The coordinate system of this file (EPSG ${p.epsg}) isn’t known here.`,
  "depths-not-placed": () => "Depths need a longitude, a latitude and a depth.",
};
