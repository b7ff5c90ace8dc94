import { expose } from "comlink";
import type { Field } from "../core/flow/grid";
import { streaks, type StreakImage } from "./streaks";

/** A worker of its own, so that the water is drawn while the lies are still being read. */
const api = { streaks: (field: Field, pixelsPerMetre: number): StreakImage => streaks(field, pixelsPerMetre) };

export type PictureApi = typeof api;
expose(api);
