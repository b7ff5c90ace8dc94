/** What asking for depths is worth (`npm run own-river`): how far made-up beds are off around three lies. */
import { type Place, placeAt, placeIn } from "../src/core/trace/channel";
import type { Field } from "../src/core/flow/grid";
import { type Outline, tracedBed } from "../src/core/trace/traced-bed";
import { wantedDepths } from "../src/core/trace/wanted-depths";
import { drawn, type MadeRiver, valueAt } from "../src/testing/made-rivers";

/** Depths that were taken evenly, and those that come to them. */
const FIRST = 9;
const MORE = 3;
/** Three lies, by their shares along and across; around each so many widths. */
const LIES = [
  [0.2, 0.3],
  [0.5, 0.7],
  [0.8, 0.3],
] as const;
const AROUND = 0.5;
/** Water that a fish would hold in is deeper than this, m; what lies at the edge is not asked for. */
const HOLDS = 0.2;

export interface AskedError {
  before: number;
  even: number;
  asked: number;
  /** What the bed itself said of its error at the lies, before and after. */
  told: readonly [number, number];
}

/** Root mean square error of ln depth around lies: with nine even depths, with twelve, with nine and three asked. */
export function askedError(river: MadeRiver, day: Field): AskedError {
  const depthAt = (at: Place) => valueAt(day, river.origin, day.depth, at);
  const outline = drawn(river, day, FIRST);
  const { channel } = river;
  const length = (channel.axis.length - 1) * channel.step;
  const lies = LIES.map(([s, across]) => placeAt(channel, s * length, across));
  const error = (depths: Outline["depths"]) => {
    const bed = tracedBed({ ...outline, depths }, 1);
    let [sum, count] = [0, 0];
    for (let k = 0; k < bed.nx * bed.ny; k++) {
      const at: Place = [bed.origin[0] + (k % bed.nx) + 0.5, bed.origin[1] + Math.floor(k / bed.nx) + 0.5];
      const near = lies.some((lie) => Math.hypot(at[0] - lie[0], at[1] - lie[1]) < AROUND * channel.meanWidth);
      const truth = depthAt(at);
      if (!near || !(truth > HOLDS) || !(bed.depth[k]! > 0)) continue;
      sum += Math.log(bed.depth[k]! / truth) ** 2;
      count++;
    }
    return Math.sqrt(sum / count);
  };
  const bed = tracedBed(outline, 1);
  const wanted = wantedDepths(
    outline,
    {
      lies: lies.map(([x, y]) => ({ x: x - bed.origin[0], y: y - bed.origin[1], weight: 1 })),
      canStand: () => true,
    },
    MORE,
  );
  const asked = wanted.places.map(([x, y]) => {
    const at: Place = [x + bed.origin[0], y + bed.origin[1]];
    return { at, depth: depthAt(at) };
  });
  // Three more between the even ones, in the middle of the water.
  const even = Array.from({ length: MORE }, (_, k) => {
    const at = placeAt(channel, ((k + 0.5) / MORE) * length, placeIn(channel, lies[k]!).across < 0.5 ? 0.65 : 0.35);
    return { at, depth: depthAt(at) };
  });
  return {
    before: error(outline.depths),
    even: error([...outline.depths, ...even.filter(({ depth }) => depth > 0.03)]),
    asked: error([...outline.depths, ...asked.filter(({ depth }) => depth > 0.03)]),
    told: [wanted.now, wanted.after],
  };
}
