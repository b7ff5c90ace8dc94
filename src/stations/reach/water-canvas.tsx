"use client";
import { useEffect, useRef } from "react";
import type { Field } from "../../core/flow/grid";
import { type Colours, rgb } from "../../ui/colours";
import { Latest } from "../../ui/latest";
import { pictureWorker } from "../../workers/clients";

const queue = new Latest();
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
    let gone = false;
    queue.ask(async () => {
      if (gone) return;
      const { width, height, pixels } = await pictureWorker().water(
        field,
        Math.min(scale * Math.min(2, window.devicePixelRatio || 1), FINEST),
        rgb(waterSlow),
        rgb(waterFast),
      );
      const element = canvas.current;
      const context = element?.getContext("2d");
      if (!element || !context) return;
      if (element.width !== width || element.height !== height) [element.width, element.height] = [width, height];
      context.putImageData(new ImageData(pixels, width, height), 0, 0);
    });
    return () => {
      gone = true;
    };
  }, [field, scale, waterSlow, waterFast]);
  return <canvas ref={canvas} width={1} height={1} aria-hidden className="absolute inset-0 size-full" />;
}
