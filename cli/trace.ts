import { drawnOf } from "../src/core/trace/drawing";
import { SLOPES, USUAL_ROUGHNESS } from "../src/core/trace/drawing-schema";
import { planeAbout, type Position } from "../src/core/trace/georeference";
import { type TracedReach, type TraceOptions, traceReachSolved } from "../src/core/trace/traced-reach";
import { finish } from "../src/core/flow/steps";
import { readOutline } from "../src/core/formats/outline-geojson";
import { readSoundings } from "../src/core/formats/soundings-file";
import { InputError } from "../src/core/quantity/fault";
import { messageText } from "../src/words/messages";
import { type Arguments, boundedOption, only, readText } from "./arguments";
import type { Command } from "./command";

export const trace: Command = {
  usage: "FILE.geojson --discharge Q [--depths CSV] [--slope M_PER_M] [--roughness N] [--cell M]",
  about: `Lays the bed of a reach under an outline; Q is the flow in m3/s on the day it was seen. The bed is brought under the surface that the solver gives at Q; the outlet's slope is what its own depths need. Output: a reach (low-heron/reach@1, its bed of kind grid) with traced.
traced: heading (degrees from north, where the river runs to), length, width, manning, depths, outside, uncertainty, rejected[]. Of the depths, outside lie beyond the banks and are not used. uncertainty is the median standard deviation of the bed, m. rejected[] goes by feature of the outline or line of the depths.
FILE.geojson (RFC 7946) has lines of kind left-bank and right-bank, each from its upstream end. Without them, lines of kind width lie across a line of kind middle.
Points are of kind riffle, pool, pool-head, pool-tail, deep-side, inflow or boulder (diameter, height). Those of kind depth have depth in m, or ankle, shin, knee, thigh, waist, chest; discharge, m3/s, where it was taken at another flow. Lines are of kind log, log-jam and wall (width, height), weed, overhang and undercut (width); a Polygon is an island. Inflows are read and not used.
--depths are more depths with longitude and latitude, taken at the same flow; --slope is the fall of the water, m per m, where the file has no property slope; --roughness is Manning's n before depths are known (0.035).`,
  options: { discharge: true, depths: true, slope: true, roughness: true, cell: true },
  run: (args) => {
    const file = only(args, "an outline");
    const { drawing, name, rejected } = readOutline(readText(file), file);
    const drawn = drawnOf(drawing);
    const more = depthsAsked(args, drawn.origin);
    const traced = finish(
      traceReachSolved(
        { ...drawn, depths: [...drawn.depths, ...more.depths] },
        { id: "traced", name: name ?? file, ...waterAsked(args, drawing.slope) },
      ),
    );
    return reachWithTrace(traced, [
      ...rejected.map(({ line, reason }) => ({ feature: line, reason: messageText(reason) })),
      ...more.rejected,
    ]);
  },
};

/** The water of the day and the cells, as the options have them. */
export function waterAsked(args: Arguments, slope: number | null): Omit<TraceOptions, "id" | "name"> {
  const optional = (name: string, low: number, high: number) =>
    args.values[name] === undefined ? undefined : boundedOption(args, name, low, high);
  return {
    discharge: boundedOption(args, "discharge", 0.001, 1e5),
    slope: optional("slope", ...SLOPES) ?? slope ?? undefined,
    roughness: optional("roughness", 0.01, 0.2) ?? USUAL_ROUGHNESS,
    cell: optional("cell", 0.25, 10),
  };
}

/** The reach with what was found of it. */
export function reachWithTrace(traced: TracedReach, rejected: readonly object[]) {
  const { reach, heading, length, width, manning, deviation, depths, outside } = traced;
  const uncertainty = median(deviation.filter((one): one is number => one !== null));
  return { ...reach, traced: { heading, length, width, manning, depths, outside, uncertainty, rejected } };
}

/** Depths of the file that --depths names, on the plane about an origin, and its refused lines. */
export function depthsAsked(args: Arguments, origin: Position | null) {
  const path = args.values.depths;
  if (path === undefined) return { depths: [], rejected: [] };
  const { frame, measure, soundings, rejected } = readSoundings(readText(path), path);
  if (frame !== "geographic" || measure !== "depth" || !origin)
    throw new InputError("depths-not-placed", {}, { file: path });
  const { toPlane } = planeAbout(origin);
  return {
    depths: soundings.map(({ a, b, value }) => ({ at: toPlane([a, b]), depth: value })),
    rejected: rejected.map(({ line, reason }) => ({ line, reason: messageText(reason) })),
  };
}

const median = (values: number[]): number | null =>
  values.length === 0 ? null : [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
