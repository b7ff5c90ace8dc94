"use client";
import { useEffect, useRef } from "react";
import type { Field } from "../../core/flow/grid";
import { newest } from "../../state/newest";
import { type Colours, rgb } from "../../widgets/colours";
import { painter } from "../../widgets/painting/client";

/** Finest picture, pixels a metre: nearer than that it is stretched. Quick pictures on coarse cells need fewer. */
const FINEST = 12;
const FINEST_A_CELL = 8;

interface Wanted {
  field: Field;
  scale: number;
  slow: string;
  fast: string;
}

/**
 * The water from above, drawn from the solved field: slow is dark and still, fast is pale and streaked. Never a hue
 * ramp.
 */
export function WaterCanvas({ field, scale, colours }: { field: Field; scale: number; colours: Colours }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { waterSlow, waterFast } = colours;
  const paint = useRef<((wanted: Wanted) => void) | undefined>(undefined);
  useEffect(() => {
    paint.current ??= newest((wanted: Wanted) => paintOn(canvas.current, wanted));
    paint.current({ field, scale, slow: waterSlow, fast: waterFast });
  }, [field, scale, waterSlow, waterFast]);
  return <canvas ref={canvas} width={1} height={1} aria-hidden className="absolute inset-0 size-full" />;
}

async function paintOn(canvas: HTMLCanvasElement | null, { field, scale, slow, fast }: Wanted): Promise<void> {
  const finest = Math.min(scale * Math.min(2, window.devicePixelRatio || 1), FINEST, FINEST_A_CELL / field.cell);
  const painted = await painter.ask(async (api) => api.water(field, finest, rgb(slow), rgb(fast)));
  const context = canvas?.getContext("2d");
  if (!canvas || !context) return;
  const { width, height, pixels } = painted;
  if (canvas.width !== width || canvas.height !== height) [canvas.width, canvas.height] = [width, height];
  context.putImageData(new ImageData(pixels, width, height), 0, 0);
}
