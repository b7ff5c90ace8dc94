import { type FilmedWater, type FilmMarks, type FilmReader, filmReader } from "../core/film/film-reader";
import type { Frame } from "../core/film/frame";
import { type Answer, answer } from "../core/quantity/answer";
import { InputError } from "../core/quantity/fault";
import { offer } from "./alive";
import { cancel, drive, type Outcome } from "./drive";

let canvas: OffscreenCanvas | undefined;
/** Brightness of a picture (luma of ITU-R BT.601), which is closed. */
function frameOf(bitmap: ImageBitmap, seconds: number): Frame {
  const { width, height } = bitmap;
  if (canvas?.width !== width || canvas.height !== height) canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d", { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const { data } = context.getImageData(0, 0, width, height);
  const grey = new Uint8Array(width * height);
  for (let k = 0; k < grey.length; k++)
    grey[k] = (77 * data[4 * k]! + 150 * data[4 * k + 1]! + 29 * data[4 * k + 2]!) >> 8;
  return { width, height, grey, seconds };
}

let reader: FilmReader | undefined;
/** Of the film that is read: where none was begun, none of its frames could be used. */
function begun(): FilmReader {
  if (!reader) throw new InputError("film-too-short", { frames: 0 });
  return reader;
}

const api = {
  /** Begins a film of so many seconds with its first frame. */
  begin: (marks: FilmMarks, first: ImageBitmap, at: number, seconds: number): Answer<void> =>
    answer(() => {
      const frame = frameOf(first, at);
      reader = filmReader(marks, frame, seconds);
      reader.add(frame);
    }),
  /** Reads the next frame. */
  add: (bitmap: ImageBitmap, at: number): Answer<void> => answer(() => begun().add(frameOf(bitmap, at))),
  /** What the film shows; `onProgress` hears 0..1. */
  measure: (onProgress: (done: number) => void): Promise<Outcome<FilmedWater>> => {
    function* work(): Generator<number, FilmedWater> {
      const film = begun();
      reader = undefined;
      return yield* film.measure();
    }
    return drive(work(), (done, ends) => ends && onProgress(done));
  },
  cancel,
};

export type FilmApi = typeof api;
offer(api);
