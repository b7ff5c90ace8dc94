/** Beds fitted to filmed speeds (`npm run own-river`): how many speeds are right where a reach was filmed. */
import { fitReach } from "../src/core/flow/fit-reach";
import { probeAt } from "../src/core/flow/probe";
import type { Field } from "../src/core/flow/grid";
import type { Reach, WaterReading } from "../src/core/flow/reach-schema";
import { finish } from "../src/core/flow/steps";
import { type Place, placeIn } from "../src/core/trace/channel";
import type { Outline } from "../src/core/trace/traced-bed";
import { tracedBedSolved } from "../src/core/trace/solved-surface";
import { gauss, type MadeRiver } from "../src/testing/made-rivers";

/** Readings of one film: places, how far along, in widths, and how far off each is, share. */
export const FILMED_READINGS = 24;
const FILMED = 1;
export const FILMED_OFF = 0.08;
const CELL = 1;

export interface FilmedBed {
  seconds: number;
  /** The traced reach, with roughness and outlet fitted, and with the bed. */
  traced: Reach;
  fitted: Reach;
  origin: Place;
  moved: boolean;
  isFilmed: (at: Place) => boolean;
}

/** A traced reach with surface speeds at places spread over one width of it, and fitted to them. */
export function filmedBed(river: MadeRiver, day: Field, outline: Outline): FilmedBed {
  const bed = finish(tracedBedSolved(outline, CELL));
  const middle = ((bed.channel.axis.length - 1) * bed.channel.step) / 2;
  const isFilmed = (at: Place) => Math.abs(placeIn(bed.channel, at).s - middle) <= (FILMED / 2) * bed.channel.meanWidth;
  const traced: Reach = {
    schema: "low-heron/reach@1",
    id: "filmed",
    name: "filmed",
    bed: {
      kind: "grid",
      nx: bed.nx,
      ny: bed.ny,
      cell: bed.cell,
      z: Array.from(bed.z),
      deviation: Array.from(bed.deviation, (one) => (Number.isFinite(one) ? one : null)),
    },
    roughness: bed.manning,
    downstream: { kind: "normal", slope: bed.outletSlope },
  };
  const places = Array.from({ length: bed.nx * bed.ny }, (_, k): Place => [
    ((k % bed.nx) + 0.5) * bed.cell,
    (Math.floor(k / bed.nx) + 0.5) * bed.cell,
  ]).filter(([x, y], k) => bed.depth[k]! > 0.1 && isFilmed([x + bed.origin[0], y + bed.origin[1]]));
  const readings = Array.from(
    { length: FILMED_READINGS },
    (_, k) => places[Math.floor(((k + 0.5) / FILMED_READINGS) * places.length)]!,
  )
    .map(([x, y]): WaterReading => {
      const truth = probeAt(day, x + bed.origin[0] - river.origin[0], y + bed.origin[1] - river.origin[1]);
      const value = truth.surface * (1 + FILMED_OFF * gauss(river.random));
      return { x, y, kind: "surface-speed", value, discharge: river.discharge, at: "2026-06-01T10:00:00Z" };
    })
    .filter(({ value }) => value > 0.02);
  const began = performance.now();
  const fit = finish(fitReach(traced, readings, CELL));
  return {
    seconds: (performance.now() - began) / 1000,
    traced,
    fitted: fit.reach,
    origin: bed.origin,
    moved: fit.fitted.includes("bed"),
    isFilmed,
  };
}
