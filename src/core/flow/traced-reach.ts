import { InputError } from "../quantity/fault";
import type { Place } from "./channel";
import { toPlane } from "./plane";
import { checkReach } from "./reach";
import type { Feature, Reach } from "./reach-schema";
import { tracedBed } from "./traced-bed";

/** Longitude and latitude, degrees. */
export type Position = readonly [number, number];

/**
 * What was drawn of a reach on a picture or walked: both banks from their upstream ends, and what lies between
 * them.
 */
export interface DrawnReach {
  left: Position[];
  right: Position[];
  riffles: Position[];
  pools: Position[];
  /** Depths taken on the day, m. */
  depths: { at: Position; depth: number }[];
  boulders: { at: Position; diameter: number; height: number; name?: string }[];
  logs: { line: Position[]; width: number; height: number; jam: boolean; name?: string }[];
  /** Fall of the water, m per m. */
  slope?: number;
  name?: string;
}

export interface TraceOptions {
  id: string;
  name: string;
  /** Flow on the day it was seen, m3/s. */
  discharge: number;
  /** Fall of the water where the drawing does not say it, m per m. */
  slope?: number;
  /** Manning's n before any depth is known, s/m^(1/3). */
  roughness: number;
  /** m; without it as fine as the channel is narrow. */
  cell?: number;
}

export interface TracedReach {
  reach: Reach;
  /** Standard deviation of the bed's height by cell, m; null on land. */
  deviation: (number | null)[];
  /** Where the river runs to, degrees from north. */
  heading: number;
  /** m along the middle, and mean between the banks. */
  length: number;
  width: number;
  manning: number;
  /** Depths that were used, and those that lie outside the banks. */
  depths: number;
  outside: number;
}

/** Falls that water has which anyone wades or boats, m per m. */
const SLOPES: readonly [number, number] = [1e-5, 0.05];

/**
 * A reach from its outline: turned so that x runs from the upstream end to the downstream end, its bed laid by rules
 * and by the depths that were taken (traced-bed.ts).
 * @throws InputError "no-slope", "slope-beyond" and those of the bed
 */
export function traceReach(drawn: DrawnReach, options: TraceOptions): TracedReach {
  const slope = options.slope ?? drawn.slope;
  if (slope === undefined) throw new InputError("no-slope");
  if (!(slope >= SLOPES[0] && slope <= SLOPES[1]))
    throw new InputError("slope-beyond", { low: SLOPES[0], high: SLOPES[1] });
  const { inReach, heading, middle } = framed(drawn);
  const outline = {
    left: drawn.left.map(inReach),
    right: drawn.right.map(inReach),
    riffles: drawn.riffles.map(inReach),
    pools: drawn.pools.map(inReach),
    depths: drawn.depths.map(({ at, depth }) => ({ at: inReach(at), depth })),
    flow: { discharge: options.discharge, slope, roughness: options.roughness },
  };
  const bed = tracedBed(outline, options.cell);
  const { nx, ny, cell, origin, channel, manning } = bed;
  const local = (at: Position): Place => {
    const [x, y] = inReach(at);
    return [x - origin[0], y - origin[1]];
  };
  const reach = checkReach({
    schema: "low-heron/reach@1",
    id: options.id,
    name: drawn.name ?? options.name,
    bed: { kind: "grid", nx, ny, cell, z: Array.from(bed.z, (one) => Number(one.toFixed(3))) },
    roughness: Number(manning.toFixed(4)),
    downstream: { kind: "normal", slope },
    features: featuresOf(drawn, local),
    latitude: middle[1],
    longitude: middle[0],
    bearing: ((heading % 360) + 360) % 360,
  });
  return {
    reach,
    deviation: Array.from(bed.deviation, (one) => (Number.isFinite(one) ? Number(one.toFixed(3)) : null)),
    heading,
    length: (channel.axis.length - 1) * channel.step,
    width: channel.meanWidth,
    manning,
    depths: bed.used,
    outside: drawn.depths.length - bed.used,
  };
}

/** The drawing's plan, turned: x from between the upstream ends to between the downstream ends, y to the right. */
function framed({ left, right, riffles, pools, depths, boulders, logs }: DrawnReach) {
  const all: Position[] = [
    ...left,
    ...right,
    ...riffles,
    ...pools,
    ...depths.map(({ at }) => at),
    ...boulders.map(({ at }) => at),
    ...logs.flatMap(({ line }) => line),
  ];
  const plane = toPlane(
    "geographic",
    all.map(([a, b]) => ({ a, b })),
  );
  const placeOf = new Map(all.map((one, k) => [one, plane[k]!]));
  const between = (a: Position, b: Position): Place => {
    const [p, q] = [placeOf.get(a)!, placeOf.get(b)!];
    return [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  };
  const start = between(left[0]!, right[0]!);
  const end = between(left.at(-1)!, right.at(-1)!);
  const long = Math.hypot(end[0] - start[0], end[1] - start[1]);
  if (!(long > 1)) throw new InputError("ends-together");
  const [de, dn] = [(end[0] - start[0]) / long, (end[1] - start[1]) / long];
  const mean = (axis: 0 | 1) => all.reduce((sum, one) => sum + one[axis], 0) / all.length;
  return {
    inReach: (at: Position): Place => {
      const [e, n] = placeOf.get(at)!;
      const [x, y] = [e - start[0], n - start[1]];
      return [x * de + y * dn, x * dn - y * de];
    },
    heading: (Math.atan2(de, dn) * 180) / Math.PI,
    middle: [mean(0), mean(1)] as Position,
  };
}

const featuresOf = ({ boulders, logs }: DrawnReach, local: (at: Position) => Place): Feature[] => [
  ...boulders.map(({ at, diameter, height, name }, k): Feature => {
    const [x, y] = local(at);
    return { kind: "boulder", id: `boulder-${k + 1}`, x, y, diameter, height, ...(name && { name }) };
  }),
  ...logs.map(({ line, width, height, jam, name }, k): Feature => {
    const [a, b] = [local(line[0]!), local(line.at(-1)!)];
    return {
      kind: jam ? "log-jam" : "log",
      id: `log-${k + 1}`,
      x: (a[0] + b[0]) / 2,
      y: (a[1] + b[1]) / 2,
      length: Math.max(0.5, Math.hypot(b[0] - a[0], b[1] - a[1])),
      width,
      height,
      angle: (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI,
      ...(name && { name }),
    };
  }),
];
