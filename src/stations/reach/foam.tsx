"use client";
import { useEffect, useRef } from "react";
import { type Field, sample } from "../../core/flow/grid";
import type { Colours } from "../../widgets/colours";
import { whileWatched } from "../../widgets/while-watched";

const COUNT = 130;
/** Widest canvas, px: a plan zoomed in farther is drawn smaller and stretched. */
const WIDEST = 2600;
/** Motion runs faster than the river so that it can be followed. */
const QUICKENED = 3;

interface Bubble {
  x: number;
  y: number;
  age: number;
  r: number;
}

/** Foam: small open circles drifting on the solved field. Still for those who ask for less motion. */
export function Foam({ field, scale, colours }: { field: Field; scale: number; colours: Colours }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context) return;
    const { nx, ny, cell } = field;
    const ratio = context.canvas.width / (nx * cell);
    const size = ratio / scale;
    const still = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
    const wet = Array.from(field.depth.keys()).filter((k) => field.depth[k]! > 0.15);
    if (wet.length === 0) return;
    const place = (age: number): Bubble => {
      const k = wet[Math.floor(Math.random() * wet.length)]!;
      return {
        x: ((k % nx) + Math.random()) * cell,
        y: (Math.floor(k / nx) + Math.random()) * cell,
        age,
        r: 1.4 + 1.6 * Math.random(),
      };
    };
    const bubbles = Array.from({ length: COUNT }, () => place(Math.random() * 12));
    const move = (dt: number) => {
      for (const bubble of bubbles) {
        const at = (values: Float32Array) => sample(values, nx, ny, cell, bubble.x, bubble.y);
        bubble.x += at(field.u) * 1.15 * dt * QUICKENED;
        bubble.y += at(field.v) * 1.15 * dt * QUICKENED;
        bubble.age += dt;
        if (bubble.age > 14 || at(field.depth) < 0.08 || bubble.x > nx * cell || bubble.x < 0)
          Object.assign(bubble, place(0));
      }
    };
    const draw = () => {
      context.clearRect(0, 0, context.canvas.width, context.canvas.height);
      context.strokeStyle = colours.ink;
      context.lineWidth = 1.1 * size;
      for (const bubble of bubbles) {
        context.globalAlpha = 0.55 * Math.min(1, bubble.age, 14 - bubble.age);
        context.beginPath();
        context.arc(bubble.x * ratio, bubble.y * ratio, bubble.r * size, 0, 2 * Math.PI);
        context.stroke();
      }
    };
    if (still) {
      for (const bubble of bubbles) bubble.age = 6;
      draw();
      return;
    }
    return whileWatched(context.canvas, (dt) => {
      move(dt);
      draw();
    });
  }, [field, scale, colours]);
  const drawn = Math.min(scale, WIDEST / (field.nx * field.cell));
  return (
    <canvas
      ref={canvas}
      width={Math.round(field.nx * field.cell * drawn)}
      height={Math.round(field.ny * field.cell * drawn)}
      aria-hidden
      className="pointer-events-none absolute inset-0 size-full"
    />
  );
}
