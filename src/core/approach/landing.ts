import { type Field, sample } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { type MainCurrent, mainCurrent } from "../water/main-current";
import { streamline } from "../water/streamline";

/**
 * How fast a lure falls, m/s. A 1/16 oz head with a small curl tail falls 7 to 8 ft in about four seconds: 0.57 m/s; a
 * lightly shotted bait and a heavy
 * head by the feel of it. Common practice, no source: time one drop in known depth.
 */
export const FALLS = { light: 0.25, jig: 0.57, heavy: 1.1 } as const;
export type Fall = keyof typeof FALLS;

/** Where to throw so that it is down when it comes to a place. */
export interface Landing {
  point: [number, number];
  /** How far the current sweeps it while it sinks, m, and for how long, s. */
  swept: number;
  seconds: number;
  /** It could not be thrown so far up: the water ends first, and it arrives higher than wanted. */
  short: boolean;
}

/** Farthest up-current that is looked at, m. */
const FARTHEST = 40;
/** Layers that the water is cut into. */
const LAYERS = 40;

/**
 * The landing point for a place and a height over its bed, m: up along the main current while the lure rises, layer by
 * layer, at the speed of its own layer
 * (log profile). In even water the sweep is the mean speed over the layers fallen through, times depth over fall speed.
 */
export function landingFor(
  field: Field,
  x: number,
  y: number,
  height: number,
  fall: number,
  main: MainCurrent = mainCurrent(field),
): Landing {
  const { nx, ny, cell } = field;
  const at = (values: ArrayLike<number>, [px, py]: readonly [number, number]) => sample(values, nx, ny, cell, px, py);
  const way = streamline(main, x, y, FARTHEST, -1);
  let [z, swept, seconds, leg, gone] = [height, 0, 0, 0, 0];
  let point: [number, number] = [x, y];
  for (;;) {
    const depth = at(field.depth, point);
    if (z >= depth) return { point, swept, seconds, short: false };
    // One layer, or what is left of it to the surface.
    const dt = Math.min(depth / LAYERS, depth - z + 1e-9) / fall;
    const ds =
      dt *
      speedAtHeight(
        Math.hypot(at(field.u, point), at(field.v, point)),
        depth,
        roughnessHeight(at(field.roughness, point), depth),
        z + 0.5 * fall * dt,
      );
    [z, swept, seconds, gone] = [z + fall * dt, swept + ds, seconds + dt, gone + ds];
    // On along the line to where so much of it is behind.
    for (;;) {
      const [from, to] = [way[leg]!, way[leg + 1]];
      if (!to) return { point: from, swept, seconds, short: z < depth };
      const size = Math.hypot(to[0] - from[0], to[1] - from[1]);
      if (gone <= size) {
        point = [from[0] + ((to[0] - from[0]) * gone) / size, from[1] + ((to[1] - from[1]) * gone) / size];
        break;
      }
      gone -= size;
      leg++;
    }
  }
}
