import { expose, transfer } from "comlink";
import type { Field } from "../../core/flow/grid";
import { paint, type Painted } from "./paint";
import { streaks } from "./streaks";

/** A worker of its own, so that the water is drawn while the lies are still being read. */
const api = {
  water(
    field: Field,
    pixelsPerMetre: number,
    slow: readonly [number, number, number],
    fast: readonly [number, number, number],
  ): Painted {
    const painted = paint(streaks(field, pixelsPerMetre), slow, fast);
    return transfer(painted, [painted.pixels.buffer]);
  },
};

export type PictureApi = typeof api;
expose(api);
