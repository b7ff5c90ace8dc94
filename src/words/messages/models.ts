import { fieldWords } from "../fields";
import type { Words } from "./message-format";
import { fixed, listed } from "./message-format";

/** Why a model refuses what it was given. */
export const MODELS: Words = {
  "unknown-class": (p) => `Rates are available by ${listed(p.known)}, not by “${p.name}”.`,
  "unknown-species": (p) => `“${p.id}” isn’t a species here. Species: ${listed(p.known)}.`,
  "no-readings-to-fit": () => "There are no readings to fit.",
  "readings-dry": () => "Every reading is on dry ground in the model. Correct the bed or the positions first.",
  "one-reading": () =>
    "One reading can’t separate roughness from an error in the bed. Take at least two, ideally a depth and a timed float.",
  "bed-changed": () => "The bed has changed since. Fit it again.",
  "readings-contradict": (p) =>
    `After the best fit the readings are still ${fixed(p.after, 1)} times their own error out. They disagree with each other or with the bed. Check positions and depths first.`,
  "readings-insensitive": () =>
    "These readings hardly depend on roughness or outlet level. Take depths and timed floats in the main run.",
  "outlet-only": () => "The readings don’t depend on roughness, so only the outlet level was fitted.",
  "roughness-only": () => "The readings don’t depend on the outlet level, so only roughness was fitted.",
  "two-readings": () =>
    "Two readings can fix one value, so only roughness was fitted. Add one near the downstream end to fit the level too.",
  "readings-alike": () =>
    "These readings can’t separate roughness from outlet level, so only roughness was fitted. Add a distant reading or a timed float.",
  "bad-cell": () => "The cell size must be positive.",
  "too-small": (p) => `A reach needs at least 4 x 3 cells; this one has ${p.nx} x ${p.ny}.`,
  "too-many-cells": (p) => `${p.nx} x ${p.ny} cells exceed the limit of ${p.most}. Use a larger cell.`,
  "too-far-apart": (p) => `Soundings lie ${fixed(Number(p.apart) / 1000, 0)} km apart: check their positions.`,
  "beyond-energy": (p, say) =>
    `The water would run at ${say.of(p.speed, "speed")} where the gradient allows ${say.of(p.allowed, "speed")}. The bed is too steep for this model.`,
  "other-field": () => "This field is from another reach: its cells or bed differ.",
  "bad-bed": (p) => `The bed height is impossible at column ${p.column}, row ${p.row}.`,
  "bad-roughness": (p) => `Manning's n must be 0 or more at column ${p.column}, row ${p.row}.`,
  "no-outlet": () => "The reach has no outlet. Set “downstream” to a stage, a normal slope or a rating.",
  "bad-reach": (p, say) => `The ${p.path ? fieldWords(String(p.path)) : "reach"} is not valid: ${say.tell(p.issue)}.`,
  "bed-count": (p) => `The bed has ${p.length} heights, and ${p.nx} x ${p.ny} = ${p.cells} are needed.`,
  "roughness-count": (p) => `There are ${p.length} roughness values; ${p.cells} are needed.`,
  "roughness-array": () => "Only a grid can have an array of roughness. Give one Manning n.",
  "swing-folds": (p) =>
    `A meander of ${p.wiggle} m in a reach of ${p.length} m would fold the channel over itself. Reduce the meander or lengthen the reach.`,
  "same-section": (p) => `Two sections are at ${p.x} m.`,
  "section-folds": (p) =>
    `Section ${p.section}, point ${p.point}: its distance across, ${p.y} m, must be greater than the point before it.`,
  "soundings-in-line": () => "The soundings are all in one line. Add some to the side.",
  "nothing-joined": (p) =>
    `No three soundings are within ${p.join} m of each other. Join points farther apart, or use larger cells.`,
  "stage-under-bed": (p) =>
    `The water level at the outlet, ${fixed(p.level, 2)} m, is below its bed at ${fixed(p.lowest, 2)} m, so the reach has no outlet.`,
  overtops: (p) =>
    `At ${p.discharge} m³/s the water at the outlet would reach ${fixed(p.level, 2)} m, over both its banks (${fixed(p.left, 2)} and ${fixed(p.right, 2)} m). Use a smaller flow or higher banks.`,
  "bad-discharge": (p) => `The discharge must be above 0 and at most ${p.most} m³/s; it is ${p.discharge}.`,
  "no-inlet": () => "No cell of the upstream end is wet: the reach has no inlet.",
  unstable: () => "The flow calculation failed on this bed. Check for cliffs near the inlet or outlet.",
  "too-few-soundings": (p) =>
    `A bed needs at least three soundings; there ${p.count === 1 ? "is one" : `are ${p.count}`}.`,
  "bad-width": () => "Give the wet width of the river, above 0.",
  "too-few-verticals": (p) => `Time the float in at least ${p.least} places across the river. More is better.`,
  "bad-distance": (p) => `Place ${p.number}: the distance from the edge must be within the river's width.`,
  "bad-depth": (p) => `Place ${p.number}: the depth must be above 0.`,
  "bad-run": (p) => `Place ${p.number}: give the length of the run and the seconds of each pass, both above 0.`,
  "same-place": (p) => `Two places are both at ${p.distance} m from the edge.`,
  "not-a-number": (p) => `Pair ${p.number} is not two numbers.`,
  "discharge-not-positive": (p) => `Pair ${p.number}: discharge must be above 0 to be fitted; it is ${p.discharge}.`,
  "too-few-pairs": (p) => `A rating needs at least three pairs at different stages (you gave ${p.size}).`,
  "not-a-rating": () => "In these pairs discharge doesn’t rise with stage, so no rating fits.",
  "bad-time": () => "A reading has no valid time.",
  "no-record": () => "There are no readings to join.",
  "bad-constituent": (p) =>
    `Line ${p.number}: give a constituent's name, its amplitude and its phase in degrees, such as “M2 1.20 145”.`,
  "not-a-number-text": (p) => `“${p.text}” is not a number.`,
  "ambiguous-comma": (p) => `“${p.text}” could be ${p.decimal} or ${p.thousands}. Write it without a comma.`,
  "feature-off-reach": (p) =>
    `The ${p.kind} at ${p.x}, ${p.y} is off the reach, which is ${p.length} x ${p.breadth} m.`,
  "feature-too-small": (p) =>
    `The ${p.kind} at ${p.x}, ${p.y} is smaller than one cell of ${p.cell} m. Make it larger or use smaller cells.`,
  "nothing-entered": () => "Enter a value.",
  "no-number": (p) => `“${p.text}” doesn’t start with a number.`,
  "unknown-unit-name": (p) => `“${p.unitName}” isn’t a known unit.`,
  "wrong-dimension": (p) => `“${p.unitName}” measures ${p.measures}, and ${p.wanted} is needed.`,
  "bad-rig": (p, say) => `The ${p.path ? fieldWords(String(p.path)) : "request"} is not valid: ${say.tell(p.issue)}.`,
  "bad-fish": (p, say) => `The ${p.path ? fieldWords(String(p.path)) : "request"} is not valid: ${say.tell(p.issue)}.`,
  "bad-rules": (p, say) => `The ${p.path ? fieldWords(String(p.path)) : "request"} is not valid: ${say.tell(p.issue)}.`,
  "bad-sink": (p, say) => `The ${p.path ? fieldWords(String(p.path)) : "request"} is not valid: ${say.tell(p.issue)}.`,
  "bad-drift": (p, say) => `The ${p.path ? fieldWords(String(p.path)) : "request"} is not valid: ${say.tell(p.issue)}.`,
  "landing-dry": (p) => `There is no water to cast to at ${fixed(p.x, 1)}, ${fixed(p.y, 1)} m.`,
  "no-lie-to-solve": () => "No lie holds fish at this flow.",
  "bad-visible-depth": () => "visibleDepth must be above zero.",
  "bad-water": (p) => `${p.name} must be from ${p.low} to ${p.high}; it is ${p.value}.`,
  "float-too-small": (p) =>
    `A float that carries ${p.capacity} g is too small: this bait takes ${fixed(p.carried, 1)} g of it.`,
  "too-shallow": (p) => `Too shallow to hold the shot ${p.wanted} m off the bottom.`,
};
