"use client";
import { useMemo } from "react";
import type { Drawing } from "../../core/trace/drawing-schema";
import { georeferenceOf } from "../../core/trace/georeference";
import { onPlane } from "../../core/trace/place-in-reach";
import type { TracedReach } from "../../core/trace/traced-reach";
import { type Colours, rgb, useColours } from "../../widgets/colours";

/** Depths over the drawing: a picture of a pixel a cell, and how its cells lie on the sheet (an SVG matrix). */
export interface LaidPicture {
  url: string;
  columns: number;
  rows: number;
  matrix: [number, number, number, number, number, number];
}

/** A depth is unsure where its standard deviation is more than this share of it. Own choice. */
export const UNSURE = 0.3;

export function useLaidPicture(traced: TracedReach | undefined, drawing: Drawing): LaidPicture | undefined {
  const colours = useColours();
  const { scale } = drawing;
  return useMemo(() => {
    const ground = georeferenceOf(scale);
    if (!traced || !ground || traced.reach.bed.kind !== "grid") return undefined;
    const { nx, ny, cell } = traced.reach.bed;
    const onSheet = (i: number, j: number) => ground.toSheet(onPlane(traced, [i * cell, j * cell]));
    const [o, right, down] = [onSheet(0, 0), onSheet(1, 0), onSheet(0, 1)];
    return {
      url: paint(traced, nx, ny, colours),
      columns: nx,
      rows: ny,
      matrix: [right[0] - o[0], right[1] - o[1], down[0] - o[0], down[1] - o[1], o[0], o[1]],
    };
  }, [traced, scale, colours]);
}

/** Dark where it is deep; where nothing near was measured every other cell is left open. */
function paint({ depth, deviation }: TracedReach, nx: number, ny: number, { waterSlow, waterFast }: Colours): string {
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [nx, ny];
  const context = canvas.getContext("2d");
  if (!context) return "";
  const image = context.createImageData(nx, ny);
  const deepest = depth.reduce<number>((most, one) => Math.max(most, one ?? 0), 0.1);
  const [deep, shallow] = [rgb(waterSlow), rgb(waterFast)];
  depth.forEach((one, k) => {
    if (one === null) return;
    const unsure = (deviation[k] ?? 0) > UNSURE * one;
    if (unsure && ((k % nx) + Math.floor(k / nx)) % 2) return;
    const share = one / deepest;
    for (let c = 0; c < 3; c++) image.data[4 * k + c] = shallow[c]! + (deep[c]! - shallow[c]!) * share;
    image.data[4 * k + 3] = 255;
  });
  context.putImageData(image, 0, 0);
  return canvas.toDataURL();
}
