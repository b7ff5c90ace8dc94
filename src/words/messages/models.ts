import { fieldWords } from "../fields";
import type { Words } from "./say";
import { fixed, listed } from "./say";

/** Why a model refuses what it was given. */
export const MODELS: Words = {
  "unknown-class": (p) => `Rates can be had by ${listed(p.known)}; not yet by “${p.name}”.`,
  "unknown-species": (p) => `“${p.id}” is not a species that can be read. Known: ${listed(p.known)}.`,
  "no-readings-to-fit": () => "There is no reading to fit to.",
  "readings-dry": () => "Every reading lies on ground that is dry in the model: mend the bed, or the places, first.",
  "one-reading": () =>
    "One reading cannot tell roughness from a fault of the bed: take at least two, better a depth and a timed float.",
  "readings-contradict": (p) =>
    `Even the best fit leaves the readings ${fixed(p.after, 1)} of their own errors off: they contradict one another, or the bed. Look at the places and the depths of the bed first.`,
  "readings-insensitive": () =>
    "The readings hardly move with roughness or with the level at the outlet: take depths and timed floats in the main run, at a flow that matters.",
  "outlet-only": () => "The readings say nothing of roughness: only the level at the outlet was fitted.",
  "roughness-only": () => "The readings say nothing of the level at the outlet: only roughness was fitted.",
  "two-readings": () =>
    "Two readings support one figure: only roughness was fitted. A third, near the foot of the reach, would tell the level there.",
  "readings-alike": () =>
    "These readings cannot tell roughness from the level at the outlet: only roughness was fitted. Add one far from the others, or a timed float.",
  "bad-cell": () => "The cell size must be positive.",
  "too-small": (p) => `A reach needs at least 4 x 3 cells; this one has ${p.nx} x ${p.ny}.`,
  "too-many-cells": (p) =>
    `${p.nx} x ${p.ny} cells are more than the ${p.most} that can be solved. Take a larger cell.`,
  "too-far-apart": (p) =>
    `Soundings lie ${fixed(Number(p.apart) / 1000, 0)} km apart: one of them has a slip in its position.`,
  "beyond-energy": (p, say) =>
    `The water would run at ${say.of(p.speed, "speed")} where its fall allows ${say.of(p.allowed, "speed")}: the bed falls too steeply for this model.`,
  "other-field": () => "The field is not of this reach: its cells or its bed are others.",
  "bad-bed": (p) => `The bed is no height on earth at column ${p.column}, row ${p.row}.`,
  "bad-roughness": (p) => `Manning's n is not a number of 0 or more at column ${p.column}, row ${p.row}.`,
  "no-outlet": () => "The reach has no outlet: give “downstream” as a stage, a normal slope or a rating.",
  "bad-reach": (p, say) =>
    `The ${p.path ? fieldWords(String(p.path)) : "reach"} is not as it should be: ${say.tell(p.issue)}.`,
  "bed-count": (p) => `The bed has ${p.length} heights, and ${p.nx} x ${p.ny} = ${p.cells} are needed.`,
  "roughness-count": (p) => `There are ${p.length} roughness values, and ${p.cells} are needed.`,
  "roughness-array": () => "Only a grid takes an array of roughness: give one Manning n.",
  "swing-folds": (p) =>
    `A swing of ${p.wiggle} m in a reach of ${p.length} m would fold the channel over itself: lessen the swing, or lengthen the reach.`,
  "same-section": (p) => `Two sections lie at ${p.x} m.`,
  "section-folds": (p) =>
    `Section ${p.section}, point ${p.point}: its distance across, ${p.y} m, does not lie beyond the point before it.`,
  "soundings-in-line": () => "The soundings lie in one line: a bed needs some to the side of it.",
  "nothing-joined": (p) =>
    `No three soundings lie within ${p.join} m of one another: join them farther, or take larger cells.`,
  "stage-under-bed": (p) =>
    `The water level at the outlet, ${fixed(p.level, 2)} m, lies under its bed at ${fixed(p.lowest, 2)} m: the reach has no outlet.`,
  overtops: (p) =>
    `At ${p.discharge} m³/s the water at the outlet would stand at ${fixed(p.level, 2)} m, over both its banks (${fixed(p.left, 2)} and ${fixed(p.right, 2)} m): take a smaller flow, or a bed with higher banks.`,
  "bad-discharge": (p) => `The discharge must be above 0 and at most ${p.most} m³/s; it is ${p.discharge}.`,
  "no-inlet": () => "No cell of the upstream end is wet: the reach has no inlet.",
  unstable: () =>
    "The flow could not be computed on this bed: it broke down. Look for cliffs in the bed near the inlet or outlet.",
  "too-few-soundings": (p) =>
    `A bed needs at least three soundings; there ${p.count === 1 ? "is one" : `are ${p.count}`}.`,
  "bad-width": () => "Give the wet width of the river, above 0.",
  "too-few-verticals": (p) => `Time the float in at least ${p.least} places across the river; more is better.`,
  "bad-distance": (p) => `Place ${p.number}: the distance from the edge must lie within the river's width.`,
  "bad-depth": (p) => `Place ${p.number}: the depth must be above 0.`,
  "bad-run": (p) => `Place ${p.number}: give the length of the run and the seconds of each pass, above 0.`,
  "same-place": (p) => `Two places are at ${p.distance} m from the edge.`,
  "not-a-number": (p) => `Pair ${p.number} is not two numbers.`,
  "discharge-not-positive": (p) => `Pair ${p.number}: discharge must be above 0 to be fitted; it is ${p.discharge}.`,
  "too-few-pairs": (p) =>
    `A rating has three unknowns: give at least three pairs at different stages (here ${p.size}).`,
  "not-a-rating": () => "In these pairs the discharge does not rise with the stage: no rating fits them.",
  "bad-time": () => "A reading has no valid time.",
  "no-record": () => "There is no record to join.",
  "bad-constituent": (p) =>
    `Line ${p.number}: give a constituent's name, its amplitude and its phase in degrees, such as “M2 1.20 145”.`,
  "not-a-number-text": (p) => `“${p.text}” is not a number.`,
  "ambiguous-comma": (p) =>
    `“${p.text}” could be ${p.decimal} or ${p.thousands}: write it without a comma, as the one or the other.`,
  "feature-off-reach": (p) =>
    `The ${p.kind} at ${p.x}, ${p.y} lies off the reach, which is ${p.length} x ${p.breadth} m.`,
  "feature-too-small": (p) =>
    `The ${p.kind} at ${p.x}, ${p.y} is smaller than a cell of ${p.cell} m. Make it larger, or the cell smaller.`,
  "nothing-entered": () => "Nothing was entered.",
  "no-number": (p) => `“${p.text}” does not start with a number.`,
  "unknown-unit-name": (p) => `“${p.unitName}” is not a unit known here.`,
  "wrong-dimension": (p) => `“${p.unitName}” measures ${p.measures}, and ${p.wanted} is wanted.`,
  "bad-rig": (p, say) =>
    `The ${p.path ? fieldWords(String(p.path)) : "request"} is not as it should be: ${say.tell(p.issue)}.`,
  "bad-fish": (p, say) =>
    `The ${p.path ? fieldWords(String(p.path)) : "request"} is not as it should be: ${say.tell(p.issue)}.`,
  "bad-rules": (p, say) =>
    `The ${p.path ? fieldWords(String(p.path)) : "request"} is not as it should be: ${say.tell(p.issue)}.`,
  "bad-sink": (p, say) =>
    `The ${p.path ? fieldWords(String(p.path)) : "request"} is not as it should be: ${say.tell(p.issue)}.`,
  "bad-drift": (p, say) =>
    `The ${p.path ? fieldWords(String(p.path)) : "request"} is not as it should be: ${say.tell(p.issue)}.`,
  "landing-dry": (p) => `There is no water to land in at ${fixed(p.x, 1)}, ${fixed(p.y, 1)} m.`,
  "no-lie-to-solve": () => "There is no lie to fish at this flow.",
  "bad-visible-depth": () => "visibleDepth must be above zero.",
  "bad-water": (p) => `${p.name} must be from ${p.low} to ${p.high}; it is ${p.value}.`,
  "float-too-small": (p) =>
    `A float that carries ${p.capacity} g is too small for this bait, which takes ${fixed(p.carried, 1)} g of it.`,
  "too-shallow": (p) => `The water is too shallow to fish the shot ${p.wanted} m off the bed.`,
};
