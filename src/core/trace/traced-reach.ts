import { InputError } from "../quantity/fault";
import type { Place } from "./channel";
import { checkReach } from "../flow/reach";
import type { Feature, Reach } from "../flow/reach-schema";
import { SLOPES } from "./drawing-schema";
import { planeAbout, type Position } from "./georeference";
import { inReach, onPlane } from "./place-in-reach";
import { tracedBedSolved } from "./solved-surface";
import { type Outline, type TracedBed, tracedBed } from "./traced-bed";

/** A line with a width: what it is, is told by its kind. */
interface Strip {
  kind: "log" | "log-jam" | "wall" | "weed" | "overhang" | "undercut";
  line: Place[];
  width: number;
  height: number;
  name?: string;
}

/**
 * What was drawn of a reach on a picture or walked, m east and north of the origin: both banks from their upstream
 * ends, and what lies between them.
 */
export interface DrawnReach {
  /** Where the plane's origin lies; null where nobody knows. */
  origin: Position | null;
  left: Place[];
  right: Place[];
  riffles: Place[];
  pools: Place[];
  poolHeads: Place[];
  poolTails: Place[];
  deepSides: Place[];
  islands: Place[][];
  /** Depths, m: taken on the day, or at another flow, m3/s. */
  depths: { at: Place; depth: number; discharge?: number }[];
  boulders: { at: Place; diameter: number; height: number; name?: string }[];
  strips: Strip[];
  /** Ground on the plane, m above the water at the upstream end, where a survey says it. */
  land?: (at: Place) => number | undefined;
}

export interface TraceOptions {
  id: string;
  name: string;
  /** Flow on the day it was seen, m3/s. */
  discharge: number;
  /** Fall of the water, m per m. */
  slope: number | undefined;
  /** Manning's n before any depth is known, s/m^(1/3). */
  roughness: number;
  /** m; without it as fine as the channel is narrow. */
  cell?: number;
}

export interface TracedReach {
  reach: Reach;
  /** Standard deviation of the bed's height by cell, m; null on land. */
  deviation: (number | null)[];
  /** Depth by cell on the day it was drawn, m; null on land. */
  depth: (number | null)[];
  /** The reach's own plane in the drawing's: its corner, and which way its x runs, degrees from north. */
  corner: Place;
  heading: number;
  /** m along the middle, and mean between the banks. */
  length: number;
  width: number;
  manning: number;
  /** Depths that were used, and those that lie outside the banks. */
  depths: number;
  outside: number;
}

/**
 * A reach from its outline: turned so that x runs from the upstream end to the downstream end, its bed laid by rules
 * and by the depths that were taken (traced-bed.ts).
 * @throws InputError "no-slope", "slope-beyond" and those of the bed
 */
export function traceReach(drawn: DrawnReach, options: TraceOptions): TracedReach {
  const { outline, frame } = outlineOf(drawn, options);
  return laid(drawn, options, frame, tracedBed(outline, options.cell));
}

/**
 * The same, its bed brought under the surface that the solver gives (solved-surface.ts). A generator, since it takes
 * seconds: each value is how far it has come, 0 to 1.
 * @throws InputError as traceReach
 */
export function* traceReachSolved(drawn: DrawnReach, options: TraceOptions): Generator<number, TracedReach> {
  const { outline, frame } = outlineOf(drawn, options);
  return laid(drawn, options, frame, yield* tracedBedSolved(outline, options.cell));
}

function laid(drawn: DrawnReach, options: TraceOptions, frame: ReturnType<typeof framed>, bed: TracedBed): TracedReach {
  const { heading } = frame;
  const { nx, ny, cell, origin, channel, manning } = bed;
  const local = (at: Place): Place => {
    const [x, y] = inReach(frame, at);
    return [x - origin[0], y - origin[1]];
  };
  const deviation = Array.from(bed.deviation, (one) => (Number.isFinite(one) ? Number(one.toFixed(3)) : null));
  const reach = checkReach({
    schema: "low-heron/reach@1",
    id: options.id,
    name: options.name,
    bed: { kind: "grid", nx, ny, cell, z: Array.from(bed.z, (one) => Number(one.toFixed(3))), deviation },
    roughness: Number(manning.toFixed(4)),
    downstream: { kind: "normal", slope: Number(bed.outletSlope.toPrecision(4)) },
    features: featuresOf(drawn, local),
    ...placeOf(drawn),
    bearing: heading,
  });
  return {
    reach,
    deviation,
    depth: Array.from(bed.depth, (one) => (one > 0 ? Number(one.toFixed(2)) : null)),
    corner: onPlane(frame, origin),
    heading,
    length: (channel.axis.length - 1) * channel.step,
    width: channel.meanWidth,
    manning,
    depths: bed.used,
    outside: drawn.depths.length - bed.used,
  };
}

/**
 * What was drawn as an outline of the reach: turned, with the water of its day.
 * @throws InputError "no-slope", "slope-beyond", "ends-together"
 */
export function outlineOf(drawn: DrawnReach, { slope, discharge, roughness }: Omit<TraceOptions, "id" | "name">) {
  if (slope === undefined) throw new InputError("no-slope");
  if (!(slope >= SLOPES[0] && slope <= SLOPES[1]))
    throw new InputError("slope-beyond", { low: SLOPES[0], high: SLOPES[1] });
  const frame = framed(drawn);
  const turned = (at: Place) => inReach(frame, at);
  const all = (places: readonly Place[]) => places.map(turned);
  const outline: Outline = {
    left: all(drawn.left),
    right: all(drawn.right),
    riffles: all(drawn.riffles),
    pools: all(drawn.pools),
    poolHeads: all(drawn.poolHeads),
    poolTails: all(drawn.poolTails),
    deepSides: all(drawn.deepSides),
    islands: drawn.islands.map(all),
    depths: drawn.depths.map((one) => ({ ...one, at: turned(one.at) })),
    land: drawn.land && ((at) => drawn.land!(onPlane(frame, at))),
    flow: { discharge, slope, roughness },
  };
  return { outline, frame };
}

/** The drawing's plan, turned: x from between the upstream ends to between the downstream ends, y to the right. */
function framed({ left, right }: DrawnReach) {
  const between = (a: Place, b: Place): Place => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const corner = between(left[0]!, right[0]!);
  const end = between(left.at(-1)!, right.at(-1)!);
  const [east, north] = [end[0] - corner[0], end[1] - corner[1]];
  if (!(Math.hypot(east, north) > 1)) throw new InputError("ends-together");
  const degrees = (Math.atan2(east, north) * 180) / Math.PI;
  return { corner, heading: ((degrees % 360) + 360) % 360 };
}

/** Where the middle of the banks lies on earth. */
function placeOf({ origin, left, right }: DrawnReach): { latitude?: number; longitude?: number } {
  if (!origin) return {};
  const banks = [...left, ...right];
  const mean = (axis: 0 | 1) => banks.reduce((sum, one) => sum + one[axis], 0) / banks.length;
  const [longitude, latitude] = planeAbout(origin).toPosition([mean(0), mean(1)]);
  return { latitude: Number(latitude.toFixed(5)), longitude: Number(longitude.toFixed(5)) };
}

/** A wall that stands across within so many degrees is one of the solver's own; any other is laid as a bar. */
const ACROSS = 20;

const featuresOf = ({ boulders, strips }: DrawnReach, local: (at: Place) => Place): Feature[] => [
  ...boulders.map(({ at, diameter, height, name }, k): Feature => {
    const [x, y] = local(at);
    return { kind: "boulder", id: `boulder-${k + 1}`, x, y, diameter, height, ...(name && { name }) };
  }),
  ...strips.flatMap((strip, k) => {
    const line = strip.line.map(local);
    // Each stretch of a bent line is a rectangle of its own.
    return line.slice(1).map((to, part) => featureOf(strip, line[part]!, to, `${strip.kind}-${k + 1}-${part + 1}`));
  }),
];

function featureOf({ kind, width, height, name }: Strip, a: Place, b: Place, id: string): Feature {
  const angle = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
  const lain = {
    id,
    x: (a[0] + b[0]) / 2,
    y: (a[1] + b[1]) / 2,
    length: Math.max(0.5, Math.hypot(b[0] - a[0], b[1] - a[1])),
    width,
    angle,
    ...(name && { name }),
  };
  switch (kind) {
    case "weed":
      return { kind: "patch", substrate: "weed", ...lain };
    case "overhang":
    case "undercut":
      return { kind, ...lain };
    case "log":
    case "log-jam":
      return { kind, height, ...lain };
    case "wall":
      return Math.abs(Math.abs(angle) - 90) <= ACROSS
        ? {
            kind,
            id,
            x: lain.x,
            from: Math.min(a[1], b[1]),
            to: Math.max(a[1], b[1]),
            thickness: width,
            height,
            ...(name && { name }),
          }
        : { kind: "log", height, ...lain, name: name ?? "wall" };
  }
}
