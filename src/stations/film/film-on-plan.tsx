"use client";
import { useMemo } from "react";
import { apartArrows, placeFilm } from "../../core/film/place-film";
import { type MeasuredFilm, placeFilmAt } from "../../state/film";
import { DragPoint } from "../reach/drag-point";
import { SurfaceArrows } from "./surface-arrows";

/** The handle that turns the film is so far from the one that moves it, m. */
const ARM = 8;

/** Arrows are drawn so far apart, px: of more none could be told. */
const ARROWS_APART = 11;

/** A measured film over the plan of a reach, with a handle that moves it and one that turns it. */
export function FilmOnPlan({ measured, scale }: { measured: MeasuredFilm; scale: number }) {
  const { placement, water } = measured;
  const apart = Math.max(water.spacing, ARROWS_APART / scale);
  // Chosen once, and not at each step of a hand that moves the film.
  const drawn = useMemo(() => apartArrows(water.arrows, 0.9 * apart), [water, apart]);
  if (!placement) return null;
  const { arrows, seams } = placeFilm({ arrows: drawn, seams: water.seams }, placement, water.arrows);
  const { at, turn } = placement;
  const angle = (turn * Math.PI) / 180;
  const end: [number, number] = [at[0] + ARM * Math.cos(angle), at[1] + ARM * Math.sin(angle)];
  return (
    <g>
      <SurfaceArrows arrows={arrows} scale={scale} spacing={apart} colour="var(--ochre)" />
      {seams.map(({ points }, k) => (
        <path
          key={k}
          d={`M${points.map(([x, y]) => `${x * scale} ${y * scale}`).join("L")}`}
          fill="none"
          stroke="var(--ochre)"
          strokeWidth={2.6}
          strokeDasharray="1 5"
          strokeLinecap="round"
          aria-hidden
        />
      ))}
      <path
        d={`M${at[0] * scale} ${at[1] * scale}L${end[0] * scale} ${end[1] * scale}`}
        stroke="var(--ochre)"
        strokeWidth={1.5}
        aria-hidden
      />
      <DragPoint place={at} scale={scale} label="Film, its middle" onDrag={(place) => placeFilmAt({ at: place, turn })}>
        <circle r={8} fill="var(--ochre)" stroke="var(--paper)" strokeWidth={2.5} />
      </DragPoint>
      <DragPoint
        place={end}
        scale={scale}
        label="Film, its turn"
        onDrag={([x, y]) => placeFilmAt({ at, turn: (Math.atan2(y - at[1], x - at[0]) * 180) / Math.PI })}
      >
        <rect x={-6} y={-6} width={12} height={12} fill="var(--paper)" stroke="var(--ochre)" strokeWidth={2.5} />
      </DragPoint>
    </g>
  );
}
