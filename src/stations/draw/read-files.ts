"use client";
import { nameOfFile } from "../../core/formats/file-name";
import type { Drawing } from "../../core/trace/drawing-schema";
import { DEMO_AERIAL, demoAerial } from "../../demo/aerial";
import { valueOf } from "../../state/query";
import { land } from "../../workers/land";
import type { HeightSheet, SheetPicture } from "../../workers/land.worker";

/** World files go by these endings. */
const WORLD = /\.(wld|tfw|jgw|pgw|wpw|tifw|jpgw|pngw)$/i;
const ASCII = /\.(asc|grd)$/i;
const OUTLINE = /\.(geojson|json)$/i;

type ReadFiles =
  | { kind: "drawing"; drawing: Drawing; name: string; refused: number }
  | { kind: "picture"; sheet: SheetPicture }
  | ({ kind: "heights"; sheet: SheetPicture } & Pick<HeightSheet, "drawing" | "cell">);

/** Files by what they hold: a drawing, a picture with its world file, or ground heights. */
export async function readFiles(files: readonly File[]): Promise<ReadFiles | undefined> {
  const world = files.find((one) => WORLD.test(one.name));
  const others = files.filter((one) => one !== world);
  const [file] = others;
  if (!file) return undefined;
  if (OUTLINE.test(file.name)) {
    const { drawing, name, rejected } = valueOf(await land.ask(async (api) => api.outline(file)));
    return { kind: "drawing", drawing, name: name ?? nameOfFile(file.name), refused: rejected.length };
  }
  if (!others.some((one) => ASCII.test(one.name))) {
    const read = await land.ask(async (api) => api.picture(file, world));
    // A TIFF of numbers is no picture, but ground heights.
    if (read.ok || read.fault.code !== "picture-of-heights") return { kind: "picture", sheet: valueOf(read) };
  }
  const { drawing, cell, ...sheet } = valueOf(await land.ask(async (api) => api.heights(others)));
  return { kind: "heights", sheet, drawing, cell };
}

/** The demo stream as a file, as if it had been saved from somewhere. */
export async function demoFile(): Promise<File> {
  const { width, height, name } = DEMO_AERIAL;
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext("2d")!.putImageData(new ImageData(demoAerial(), width, height), 0, 0);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/png"));
  return new File([blob!], name, { type: "image/png" });
}
