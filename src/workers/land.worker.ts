import { imageSize } from "image-size";
import { scaleOf } from "../core/formats/file-place";
import { tiffPicture } from "../core/formats/geotiff";
import { layHeights } from "../core/formats/heights";
import { readHeights } from "../core/formats/heights-file";
import { readWorldFile } from "../core/formats/world-file";
import { readOutline, type OutlineFile } from "../core/formats/outline-geojson";
import { readTracks } from "../core/formats/tracks";
import { LARGEST_FILE } from "../core/formats/largest-file";
import { type Answer, answer, answerLater } from "../core/quantity/answer";
import { InputError } from "../core/quantity/fault";
import type { Drawing } from "../core/trace/drawing-schema";
import { drawnOf } from "../core/trace/drawing";
import { type Walk, walkOf } from "../core/trace/walked";
import { flatWater } from "../core/trace/flat-water";
import { hillshade } from "../core/trace/hillshade";
import { drawingOfWater } from "../core/trace/water-drawing";
import type { Scale } from "../core/trace/georeference";
import {
  outlineOf,
  type TracedReach,
  type TraceOptions,
  traceReach,
  traceReachSolved,
} from "../core/trace/traced-reach";
import { type DepthsAsked, type WantedDepths, wantedDepths } from "../core/trace/wanted-depths";
import { offer } from "./alive";
import { drive, type Outcome } from "./drive";

/** A picture made small enough to be drawn on. */
export interface SheetPicture {
  name: string;
  picture: Blob;
  width: number;
  height: number;
  /** Where its own file says that it lies; "unknown" where it says nothing. */
  scale: Scale;
}

/** Longest side of a picture that is drawn on, px; largest that is opened, px and bytes. Own choice. */
const LONGEST = 2400;
const MOST_PIXELS = 150e6;
const LARGEST_PICTURE = 1024 * 1024 * 1024;
/** A picture's size stands within so many bytes from its start. */
const HEADER = 1024 * 1024;

const isTiff = (head: Uint8Array) =>
  (head[0] === 0x49 && head[1] === 0x49 && (head[2] === 42 || head[2] === 43)) ||
  (head[0] === 0x4d && head[1] === 0x4d && (head[3] === 42 || head[3] === 43));

async function openPicture(file: File, world: File | undefined): Promise<SheetPicture> {
  if (file.size > LARGEST_PICTURE) throw new InputError("picture-beyond", {}, { file: file.name });
  const head = new Uint8Array(await file.slice(0, HEADER).arrayBuffer());
  const placed = world && readWorldFile(await world.slice(0, 4096).text(), world.name);
  const { canvas, full, affine, epsg } = await (isTiff(head) ? fromTiff(file) : fromImage(file, head));
  const { width, height } = canvas;
  // A world file counts the pixels of the whole picture.
  const step = [full.width / width, full.height / height] as const;
  const own = placed
    ? {
        x: [placed.x[0], placed.x[1] * step[0], placed.x[2] * step[1]] as const,
        y: [placed.y[0], placed.y[1] * step[0], placed.y[2] * step[1]] as const,
      }
    : affine;
  return {
    name: file.name,
    picture: await canvas.convertToBlob({ type: "image/jpeg", quality: 0.85 }),
    width,
    height,
    scale: own ? scaleOf(own, epsg ?? degreesIf(own), width, height) : { kind: "unknown" },
  };
}

/** Coordinates that can only be degrees, in a file that does not say, are taken for WGS 84. */
const degreesIf = ({ x, y }: { x: readonly number[]; y: readonly number[] }): number | null =>
  Math.abs(x[0]!) <= 180 && Math.abs(y[0]!) <= 90 && Math.abs(x[1]!) < 0.001 ? 4326 : null;

async function fromTiff(file: File) {
  const { rgba, width, height, affine, epsg } = await tiffPicture(file, LONGEST, file.name);
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext("2d")!.putImageData(new ImageData(rgba, width, height), 0, 0);
  return { canvas, full: { width, height }, affine, epsg };
}

async function fromImage(file: File, head: Uint8Array) {
  // A few bytes can claim a picture that no memory holds: its size is read before it is opened.
  let size: { width: number; height: number };
  try {
    size = imageSize(head);
  } catch {
    throw new InputError("not-a-picture", {}, { file: file.name });
  }
  if (size.width * size.height > MOST_PIXELS) throw new InputError("picture-beyond", {}, { file: file.name });
  const scale = Math.min(1, LONGEST / Math.max(size.width, size.height));
  const small = {
    width: Math.max(1, Math.round(size.width * scale)),
    height: Math.max(1, Math.round(size.height * scale)),
  };
  const bitmap = await createImageBitmap(file, {
    resizeWidth: small.width,
    resizeHeight: small.height,
    resizeQuality: "medium",
    // A map is not turned by what a camera wrote.
    imageOrientation: "none",
  }).catch(() => {
    throw new InputError("picture-broken", {}, { file: file.name });
  });
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  canvas.getContext("2d")!.drawImage(bitmap, 0, 0);
  bitmap.close();
  return { canvas, full: size, affine: null, epsg: null };
}

/** Ground heights as a picture of their relief, with the river that was found in them, if one was. */
export interface HeightSheet extends SheetPicture {
  drawing: Drawing | null;
  /** m a cell. */
  cell: number;
}

async function openHeights(files: readonly File[]): Promise<HeightSheet> {
  const tiles = [];
  for (const file of files) {
    if (file.size > LARGEST_PICTURE) throw new InputError("picture-beyond", {}, { file: file.name });
    tiles.push(await readHeights(file, file.name));
  }
  const { grid, scale } = layHeights(tiles);
  const { nx, ny } = grid;
  const shade = hillshade(grid);
  const rgba = new Uint8ClampedArray(nx * ny * 4);
  shade.forEach((light, k) => {
    const grey = Number.isNaN(light) ? 255 : 60 + 190 * light;
    rgba.set([grey, grey, grey * 0.97, 255], 4 * k);
  });
  const canvas = new OffscreenCanvas(nx, ny);
  canvas.getContext("2d")!.putImageData(new ImageData(rgba, nx, ny), 0, 0);
  const found = answer(() => drawingOfWater(flatWater(grid), grid, scale));
  return {
    name: files[0]!.name,
    picture: await canvas.convertToBlob({ type: "image/jpeg", quality: 0.9 }),
    width: nx,
    height: ny,
    scale,
    drawing: found.ok ? found.value : null,
    cell: grid.cell,
  };
}

function demandSize(file: File): void {
  if (file.size > LARGEST_FILE)
    throw new InputError("file-too-large", { megabytes: LARGEST_FILE / 1048576 }, { file: file.name });
}

const api = {
  /** Opens a picture, with its world file where there is one; it never leaves the device. */
  picture: (file: File, world?: File): Promise<Answer<SheetPicture>> => answerLater(() => openPicture(file, world)),
  /** Opens ground heights, several tiles of them too. */
  heights: (files: readonly File[]): Promise<Answer<HeightSheet>> => answerLater(() => openHeights(files)),
  outline: (file: File): Promise<Answer<OutlineFile>> =>
    answerLater(async () => {
      demandSize(file);
      return readOutline(await file.text(), file.name);
    }),
  walk: (file: File): Promise<Answer<Walk>> =>
    answerLater(async () => {
      demandSize(file);
      return walkOf(readTracks(await file.text(), file.name));
    }),
  trace: (drawing: Drawing, options: TraceOptions): Answer<TracedReach> =>
    answer(() => traceReach(drawnOf(drawing), options)),
  /** The same under the surface that the solver gives, in slices; `onProgress` hears 0..1. A newer call ends this. */
  traceSolved: (
    drawing: Drawing,
    options: TraceOptions,
    onProgress: (done: number) => void,
  ): Promise<Outcome<TracedReach>> => {
    function* work(): Generator<number, TracedReach> {
      return yield* traceReachSolved(drawnOf(drawing), options);
    }
    return drive(work(), (done, ends) => ends && onProgress(done));
  },
  /** Where depths would make lies surer; on foot only where wading is easy or needs care. */
  wanted: (
    drawing: Drawing,
    options: Omit<TraceOptions, "id" | "name">,
    { lies, wading }: { lies: DepthsAsked["lies"]; wading: WadingGrid },
  ): Answer<WantedDepths> =>
    answer(() =>
      wantedDepths(outlineOf(drawnOf(drawing), options).outline, {
        lies,
        canStand: ([x, y]) => {
          const { nx, ny, cell, classes } = wading;
          const [i, j] = [Math.floor(x / cell), Math.floor(y / cell)];
          const kind = i < 0 || j < 0 || i >= nx || j >= ny ? 0 : classes[j * nx + i]!;
          return kind === 1 || kind === 2;
        },
      }),
    ),
};

/** Wading by cell of a field. */
export interface WadingGrid {
  nx: number;
  ny: number;
  /** m */
  cell: number;
  classes: Uint8Array;
}

export type LandApi = typeof api;
offer(api);
