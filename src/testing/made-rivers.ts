import { alongAxis, type Channel, channelBetween, isBetween, type Place, placeIn } from "../core/trace/channel";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach-schema";
import type { Outline } from "../core/trace/traced-bed";
import { stream } from "../core/quantity/seeded";

/**
 * Made-up rivers whose true beds are known, and what an angler would draw and measure of them. Their beds come by other
 * rules than those that the tracing lays beds by: a sine-generated line (Langbein & Leopold 1966), pools and riffles as
 * a wave, bars that tilt with the bend, and smooth noise.
 */
export interface MadeRiver {
  name: string;
  reach: Reach;
  channel: Channel;
  slope: number;
  /** m3/s of the day on which it is drawn. */
  discharge: number;
  /** Of the grid's corner in the plan, m. */
  origin: Place;
  random: () => number;
}

const CELL = 1;
const LAND = 8;

/** Smooth noise along and across, of spread one. */
function noise(random: () => number, waves = 14) {
  const parts = Array.from({ length: waves }, () => ({
    along: (random() - 0.5) * 2.6,
    across: (random() - 0.5) * 7,
    phase: random() * 2 * Math.PI,
  }));
  return (s: number, across: number) =>
    parts.reduce((sum, one) => sum + Math.sin(2 * Math.PI * (one.along * s + one.across * across) + one.phase), 0) /
    Math.sqrt(waves / 2);
}

export function madeRiver(seed: number): MadeRiver {
  const random = stream(seed);
  const between = (low: number, high: number) => low + random() * (high - low);
  const width = between(9, 18);
  const slope = between(0.0015, 0.0045);
  const manning = between(0.03, 0.042);
  const bend = (Math.PI / 180) * (seed % 3 === 0 ? between(0, 12) : between(25, 50));
  const wavelength = width * between(9, 11);
  const length = width * 13;
  // The line down the middle, and banks at half a width from it.
  const phase = between(0, 2 * Math.PI);
  const axis: Place[] = [];
  let [x, y] = [0, 0];
  for (let s = 0; s <= length; s += 1) {
    axis.push([x, y]);
    const heading = bend * Math.sin((2 * Math.PI * s) / wavelength + phase);
    x += Math.cos(heading);
    y += Math.sin(heading);
  }
  const wander = between(0, 2 * Math.PI);
  const half = (s: number) => (width / 2) * (1 + 0.12 * Math.sin((2 * Math.PI * s) / (4.3 * width) + wander));
  const bank = (side: number) =>
    axis.map(([px, py], k): Place => {
      const [a, b] = [axis[Math.max(0, k - 1)]!, axis[Math.min(axis.length - 1, k + 1)]!];
      const span = Math.hypot(b[0] - a[0], b[1] - a[1]);
      return [px - (side * half(k) * (b[1] - a[1])) / span, py + (side * half(k) * (b[0] - a[0])) / span];
    });
  const channel = channelBetween(bank(-1), bank(1));
  // Depth under the banks' tops.
  const discharge = between(0.35, 0.6) * width * between(0.5, 0.9);
  const usual = ((discharge * manning) / (width * Math.sqrt(slope))) ** 0.6;
  const [spacing, wave, start] = [width * between(5, 7), between(0.25, 0.42), between(0, 2 * Math.PI)];
  const rough = noise(random);
  const tilt = between(0.8, 1.4);
  const sides = between(2.5, 6);
  const depthAt = (s: number, across: number) => {
    const turn = alongAxis(channel, channel.curvature, s - 0.7 * width) * width;
    const pool = 1 + wave * Math.sin((2 * Math.PI * s) / spacing + start) + 0.25 * Math.min(1, Math.abs(turn));
    const side = 1 - Math.abs(2 * across - 1) ** sides;
    const bar = Math.max(0.15, 1 + tilt * turn * (1 - 2 * across));
    return usual * 1.15 * pool * side * bar * Math.exp(0.18 * rough(s / width, across));
  };
  const all = [...channel.left, ...channel.right];
  const origin: Place = [
    Math.max(channel.left[0]![0], channel.right[0]![0]),
    Math.min(...all.map(([, py]) => py)) - LAND,
  ];
  const nx = Math.floor((Math.min(channel.left.at(-1)![0], channel.right.at(-1)![0]) - origin[0]) / CELL);
  const ny = Math.ceil((Math.max(...all.map(([, py]) => py)) + LAND - origin[1]) / CELL);
  const z: number[] = [];
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const at: Place = [origin[0] + (i + 0.5) * CELL, origin[1] + (j + 0.5) * CELL];
      const { s, across, edge } = placeIn(channel, at);
      const level = -slope * s;
      z.push(isBetween(channel, at) ? level - depthAt(s, across) : level + 0.4 * edge);
    }
  return {
    name: `river ${seed}`,
    reach: {
      schema: "low-heron/reach@1",
      id: `made-${seed}`,
      name: `River ${seed}`,
      bed: { kind: "grid", nx, ny, cell: CELL, z },
      roughness: manning,
      downstream: { kind: "normal", slope },
    },
    channel,
    slope,
    discharge,
    origin,
    random,
  };
}

/** A number of the normal distribution (Box & Muller 1958). */
export const gauss = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Value of a field at a place in the plan. */
export function valueAt({ nx, ny, cell }: Field, origin: Place, values: ArrayLike<number>, [x, y]: Place): number {
  const [i, j] = [Math.floor((x - origin[0]) / cell), Math.floor((y - origin[1]) / cell)];
  return i < 0 || j < 0 || i >= nx || j >= ny ? NaN : values[j * nx + i]!;
}

/**
 * What an angler draws and measures of a river on the day: the water's edges to half a metre, where riffles cross and
 * pools are deepest to two metres, its slope to a tenth, and so many depths to four parts in a hundred.
 */
export function drawn(river: MadeRiver, field: Field, depths: number): Outline {
  const { channel, random, origin } = river;
  const count = Math.floor((channel.axis.length * channel.step) / 5);
  const place = (s: number, across: number): Place => {
    const k = Math.min(channel.axis.length - 2, Math.max(1, Math.round(s / channel.step)));
    const [a, b] = [channel.axis[k - 1]!, channel.axis[k + 1]!];
    const span = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const off = (across - 0.5) * channel.width[k]!;
    const [x, y] = channel.axis[k]!;
    return [x - (off * (b[1] - a[1])) / span, y + (off * (b[0] - a[0])) / span];
  };
  const depthAt = (at: Place) => valueAt(field, origin, field.depth, at);
  const edge = (s: number, side: -1 | 1): Place => {
    let last = 0.5;
    for (let off = 0; off <= 0.8; off += 0.01) {
      const across = 0.5 + side * off;
      if (depthAt(place(s, across)) > 0.03) last = across;
    }
    const [x, y] = place(s, last);
    return [x + 0.25 * gauss(random), y + 0.25 * gauss(random)];
  };
  const stations = Array.from({ length: count + 1 }, (_, k) => ((channel.axis.length - 1) * channel.step * k) / count);
  const means = stations.map((s) => {
    const across = [0.15, 0.3, 0.45, 0.6, 0.75, 0.9].map((share) => depthAt(place(s, share)) || 0);
    return across.reduce((sum, one) => sum + one, 0) / across.length;
  });
  const extremes = (sign: number) =>
    stations
      .filter(
        (_, k) =>
          k > 1 && k < count - 1 && [-2, -1, 1, 2].every((d) => sign * means[k]! >= sign * (means[k + d] ?? means[k]!)),
      )
      .map((s) => place(s + 2 * gauss(random), 0.5));
  const taken = Array.from({ length: depths }, (_, k) => {
    const s = ((k + 0.5) / depths) * (channel.axis.length - 1) * channel.step;
    const at = place(s, k % 2 === 0 ? 0.35 : 0.65);
    return { at, depth: depthAt(at) * (1 + 0.04 * gauss(random)) };
  }).filter(({ depth }) => depth > 0.03);
  return {
    left: stations.map((s) => edge(s, -1)),
    right: stations.map((s) => edge(s, 1)),
    flow: { discharge: river.discharge, slope: river.slope * (1 + 0.1 * gauss(random)), roughness: 0.035 },
    riffles: extremes(-1),
    pools: extremes(1),
    depths: taken,
  };
}
