"use client";
import { useEffect, useRef } from "react";
import type { Field } from "../../core/flow/grid";
import { sayFault } from "../../state/act";
import { Lane } from "../../state/lane";
import { type Colours, rgb } from "../../widgets/colours";
import { painter } from "../../widgets/painting/client";

const lane = new Lane();
/** Finest picture, pixels a metre: nearer than that it is stretched. */
const FINEST = 12;

/**
 * The water from above, drawn from the solved field: slow is dark and still, fast is pale and streaked. Never a hue
 * ramp.
 */
export function WaterCanvas({ field, scale, colours }: { field: Field; scale: number; colours: Colours }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { waterSlow, waterFast } = colours;
  useEffect(() => {
    const control = new AbortController();
    const finest = Math.min(scale * Math.min(2, window.devicePixelRatio || 1), FINEST);
    lane
      .run(() => painter.ask(async (api) => api.water(field, finest, rgb(waterSlow), rgb(waterFast))), control.signal)
      .then(({ width, height, pixels }) => {
        const element = canvas.current;
        const context = element?.getContext("2d");
        if (!element || !context || control.signal.aborted) return;
        if (element.width !== width || element.height !== height) [element.width, element.height] = [width, height];
        context.putImageData(new ImageData(pixels, width, height), 0, 0);
      })
      .catch((error: unknown) => {
        if (!control.signal.aborted) sayFault(error);
      });
    return () => control.abort();
  }, [field, scale, waterSlow, waterFast]);
  return <canvas ref={canvas} width={1} height={1} aria-hidden className="absolute inset-0 size-full" />;
}
