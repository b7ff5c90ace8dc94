"use client";
import { type RefObject, useRef } from "react";
import type { Point } from "../../core/film/homography";
import { changeFilm, type FilmDraft } from "../../state/film";
import { useWidth } from "../../widgets/use-width";
import { DragPoint } from "../reach/drag-point";
import { useZoom } from "../reach/use-zoom";
import { roomForZoom, ZoomButtons } from "../reach/zoom-buttons";

const LETTERS = ["A", "B", "C", "D"];

/** The film where it begins, with the points that are known on it; each can be dragged, or moved by keys. */
export function FilmPicture({
  draft,
  video,
  locked,
}: {
  draft: FilmDraft;
  video: RefObject<HTMLVideoElement | null>;
  /** It is being measured: nothing moves. */
  locked: boolean;
}) {
  const { ref: outer, width: room } = useWidth();
  const box = useRef<HTMLDivElement>(null);
  const zoom = useZoom(box);
  const whole = draft.height * (room / draft.width);
  const scale = (room / draft.width) * zoom.factor;
  const [width, height] = [draft.width * scale, draft.height * scale];
  const from = useRef(draft.from);
  return (
    <div
      ref={outer}
      className="relative rounded-md border border-line bg-deep"
      style={{ paddingTop: roomForZoom(whole) }}
    >
      <div
        ref={box}
        className="overflow-auto"
        style={{ maxHeight: whole || undefined }}
        tabIndex={0}
        role="group"
        aria-label="The film where it starts. Each point can be dragged or moved with the arrow keys"
      >
        <div className="relative" style={{ width, height }}>
          <video
            ref={video}
            src={draft.url}
            muted
            playsInline
            preload="auto"
            className="absolute inset-0 h-full w-full"
            aria-hidden
            tabIndex={-1}
            onLoadedMetadata={(event) => (event.currentTarget.currentTime = Math.max(0.001, from.current))}
          />
          {room > 0 && !locked && (
            <svg width={width} height={height} className="absolute inset-0">
              <Marks draft={draft} scale={scale} />
            </svg>
          )}
        </div>
      </div>
      <ZoomButtons zoom={zoom} whole="The whole frame" />
    </div>
  );
}

const within = ({ width, height }: FilmDraft, [x, y]: Point): Point => [
  Math.min(width, Math.max(0, x)),
  Math.min(height, Math.max(0, y)),
];

function Marks({ draft, scale }: { draft: FilmDraft; scale: number }) {
  const { knownBy, points, level, water } = draft;
  const put = (name: "points" | "level" | "water", k: number) => (place: Point) =>
    changeFilm({ [name]: draft[name].with(k, within(draft, place)) });
  const path = (line: readonly Point[], closed: boolean) =>
    `M${line.map(([x, y]) => `${x * scale} ${y * scale}`).join("L")}${closed ? "Z" : ""}`;
  const known = knownBy === "distances" ? points : points.slice(0, 2);
  return (
    <>
      <Line d={path(known, knownBy === "distances")} />
      {knownBy === "level" && (
        <>
          <Line d={path(level, false)} dashed />
          <Line d={path(water, true)} />
          {water.map((place, k) => (
            <DragPoint
              key={`water ${k}`}
              place={place}
              scale={scale}
              label={`Corner ${k + 1} of the water`}
              onDrag={put("water", k)}
            >
              <rect x={-6} y={-6} width={12} height={12} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.6} />
            </DragPoint>
          ))}
          {level.map((place, k) => (
            <DragPoint
              key={`level ${k}`}
              place={place}
              scale={scale}
              label={`Level line, ${k === 0 ? "left" : "right"} end`}
              onDrag={put("level", k)}
            >
              <circle r={7} fill="var(--ochre)" stroke="var(--paper)" strokeWidth={2} />
            </DragPoint>
          ))}
        </>
      )}
      {known.map((place, k) => (
        <DragPoint key={LETTERS[k]} place={place} scale={scale} label={`Point ${LETTERS[k]}`} onDrag={put("points", k)}>
          <circle r={13} fill="none" stroke="var(--paper)" strokeWidth={4.5} />
          <circle r={13} fill="none" stroke="var(--ink)" strokeWidth={2} />
          <circle r={1.6} fill="var(--ink)" stroke="var(--paper)" strokeWidth={1} />
          <text
            x={place[0] > 0.92 * draft.width ? -17 : 17}
            y={-12}
            textAnchor={place[0] > 0.92 * draft.width ? "end" : "start"}
            className="fill-ink text-[15px] font-semibold"
            stroke="var(--paper)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {LETTERS[k]}
          </text>
        </DragPoint>
      ))}
    </>
  );
}

/** A line that shows on any ground. */
const Line = ({ d, dashed = false }: { d: string; dashed?: boolean }) => (
  <g fill="none" aria-hidden strokeDasharray={dashed ? "10 7" : undefined}>
    <path d={d} stroke="var(--paper)" strokeWidth={4} strokeOpacity={0.8} />
    <path d={d} stroke="var(--ink)" strokeWidth={1.6} />
  </g>
);
