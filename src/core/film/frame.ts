import { sample } from "../flow/grid";

/** One picture of a film: brightness by rows, 0 to 255, and when it was taken, s. */
export interface Frame {
  width: number;
  height: number;
  grey: Uint8Array;
  seconds: number;
}

/** Brightness between pixels, their middles at whole and a half; NaN off the picture. */
export const brightness = ({ width, height, grey }: Frame, x: number, y: number): number =>
  x >= 0.5 && y >= 0.5 && x < width - 0.5 && y < height - 0.5 ? sample(grey, width, height, 1, x, y) : NaN;
