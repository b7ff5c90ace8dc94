import { showText, type UnitSystem } from "./quantity";
import { addWords } from "./messages";
import { TRACE } from "./messages/trace";
import type { Lacking } from "../core/trace/drawing";
import type { MarkName, Measure } from "../core/trace/marks";

addWords(TRACE);

/** What is drawn of a reach: its name, and what to do with it. */
export const MARK_WORDS: Record<MarkName, { name: string; how: string }> = {
  "left-bank": {
    name: "Left bank",
    how: "Tap along the water’s edge from upstream to downstream. Left as you look downstream.",
  },
  "right-bank": {
    name: "Right bank",
    how: "Tap along the other edge, again from upstream to downstream.",
  },
  middle: { name: "Middle line", how: "Instead of the banks: down the middle, from upstream to downstream." },
  width: { name: "Width", how: "A line straight across the water, edge to edge. Draw one wherever the width changes." },
  riffle: { name: "Riffle crest", how: "Where the riffle is shallowest." },
  pool: { name: "Deepest of a pool", how: "Where the pool is deepest." },
  "pool-head": { name: "Head of a pool", how: "Where the fast water drops in." },
  "pool-tail": { name: "Tail of a pool", how: "Where the pool shelves up again." },
  "deep-side": { name: "Deep side", how: "On the deeper side of the river." },
  depth: { name: "Depth", how: "Tap where it was taken, then type it: 0.6 m, 2 ft, knee, waist." },
  boulder: { name: "Stone", how: "On its middle." },
  log: { name: "Log", how: "From one end to the other." },
  "log-jam": { name: "Log jam", how: "Along its length." },
  wall: { name: "Wall", how: "Along its length: groynes, piers, walls in the water." },
  weed: { name: "Weed bed", how: "Down its middle; its width is set below." },
  overhang: { name: "Overhang", how: "Along the branches over the water." },
  undercut: { name: "Undercut bank", how: "Along the bank." },
  island: { name: "Island", how: "Around its edge." },
  inflow: { name: "Inflow", how: "Where it comes in. It’s kept in the drawing; the flow doesn’t use it yet." },
};

export const MEASURE_WORDS: Record<Measure, string> = {
  depth: "Depth",
  diameter: "Across",
  width: "Width",
  height: "Height above the bottom",
};

/** What ground heights have told. */
export function groundWords(
  { found, cell, level }: { found: boolean; cell: number; level: boolean },
  system: UnitSystem,
): string {
  const cells = `Ground heights on ${showText(cell, "distance", system)} cells.`;
  if (!found) return `${cells} No flat water was found in them. Draw the river yourself.`;
  const bed = "They show the water’s surface, not the bed, so the bed is laid under it.";
  return `${cells} ${bed} ${level ? "The surface was laid level: enter the gradient." : "The gradient is that of the surface."}`;
}

/** What is still to be done before a bed can be laid. */
export const LACKING_WORDS: Record<Lacking, string> = {
  scale: "Set the scale.",
  banks: "Draw both banks, or the middle line.",
  widths: "Draw at least one width across the middle line.",
  discharge: "Enter the flow on the day of the picture.",
  slope: "Enter the gradient.",
};
