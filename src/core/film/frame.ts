/** One picture of a film: brightness by rows, 0 to 255, and when it was taken, s. */
export interface Frame {
  width: number;
  height: number;
  grey: Uint8Array;
  seconds: number;
}

/** Brightness between pixels, their middles at whole and a half; NaN off the picture. */
export function brightness({ width, height, grey }: Frame, x: number, y: number): number {
  const px = x - 0.5;
  const py = y - 0.5;
  const i = Math.floor(px);
  const j = Math.floor(py);
  if (!(i >= 0 && j >= 0 && i < width - 1 && j < height - 1)) return NaN;
  const a = px - i;
  const b = py - j;
  const k = j * width + i;
  return (
    (1 - b) * ((1 - a) * grey[k]! + a * grey[k + 1]!) + b * ((1 - a) * grey[k + width]! + a * grey[k + width + 1]!)
  );
}
