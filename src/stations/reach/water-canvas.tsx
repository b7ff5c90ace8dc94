"use client";
import { useEffect, useRef, useState } from "react";
import type { Field } from "../../core/flow/grid";
import { type Colours, rgb } from "../../ui/colours";
import { pictureWorker } from "../../workers/clients";
import type { StreakImage } from "../../workers/streaks";

/** The water from above, drawn from the solved field: slow is dark and still, fast is pale and streaked. Never a hue ramp. */
export function WaterCanvas({ field, scale, colours, onPainted }: { field: Field; scale: number; colours: Colours; onPainted?: () => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [image, setImage] = useState<StreakImage | undefined>();
  useEffect(() => {
    let gone = false;
    void pictureWorker().streaks(field, Math.min(scale * Math.min(2, window.devicePixelRatio || 1), 12)).then((answer) => {
      if (!gone) setImage(answer);
    });
    return () => {
      gone = true;
    };
  }, [field, scale]);
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context || !image) return;
    context.putImageData(paint(image, colours), 0, 0);
    onPainted?.();
  }, [image, colours, onPainted]);
  return <canvas ref={canvas} width={image?.width ?? 1} height={image?.height ?? 1} aria-hidden className="absolute inset-0 size-full" />;
}

function paint(image: StreakImage, colours: Colours): ImageData {
  const [slow, fast] = [rgb(colours.waterSlow), rgb(colours.waterFast)];
  const out = new ImageData(image.width, image.height);
  for (let p = 0; p < image.wet.length; p++) {
    if (image.wet[p] === 0) continue;
    const speed = image.speed[p]! / 255;
    // Streaks grow with speed; still water is almost plain.
    const texture = (image.streak[p]! / 255 - 0.5) * (0.1 + 0.3 * speed);
    const t = Math.min(1, Math.max(0, speed ** 1.15 * 0.94 + texture));
    for (let c = 0; c < 3; c++) out.data[p * 4 + c] = slow[c]! + (fast[c]! - slow[c]!) * t;
    out.data[p * 4 + 3] = image.wet[p]!;
  }
  return out;
}
