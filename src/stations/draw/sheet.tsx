"use client";
import { type KeyboardEvent, type MouseEvent, useEffect, useRef, useState } from "react";
import { type Tool, endLine, shortenLine, tapSheet, useDrawing } from "../../state/drawing";
import type { Place } from "../../core/trace/channel";
import { MARK_WORDS } from "../../words/drawing";
import { useZoom } from "../reach/use-zoom";
import { roomForZoom, ZoomButtons } from "../reach/zoom-buttons";
import { SheetMarks } from "./sheet-marks";
import type { LaidPicture } from "./use-laid-picture";

/** One press of an arrow key moves the cursor by so much of what is seen; with shift four times as far. */
const STEP = 1 / 60;
const ARROWS: Readonly<Record<string, Place>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Room that the sheet may take, px: most of the screen, but never all of it. */
function useRoom() {
  const ref = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const measure = () => {
      const wide = window.matchMedia("(min-width: 64rem)").matches;
      setRoom({ width: element.clientWidth, height: Math.max(260, window.innerHeight * (wide ? 0.68 : 0.5)) });
    };
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, room };
}

/** What a tap does now, for who cannot see it. */
const doesWhat = (tool: Tool): string => {
  if (tool === "move") return "choose a tool below first";
  return tool.startsWith("scale")
    ? "sets a point of the scale"
    : `draws: ${MARK_WORDS[tool as keyof typeof MARK_WORDS].name}`;
};

/**
 * The picture with what is drawn on it. A tap draws with the tool in hand; keys move a cursor and Enter taps; what is
 * drawn can be taken hold of by finger, mouse or keys.
 */
export function Sheet({ picture, laid }: { picture: string | undefined; laid: LaidPicture | undefined }) {
  const { drawing, tool } = useDrawing();
  const { ref, room } = useRoom();
  const box = useRef<HTMLDivElement>(null);
  const zoom = useZoom(box);
  const { width, height } = drawing.sheet;
  const whole = Math.min(room.width / width, room.height / height);
  const scale = whole * zoom.factor;
  const [cursor, setCursor] = useState<Place | undefined>();
  const onKey = (event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    const step = ARROWS[event.key];
    if (step) {
      const far = (Math.max(width, height) * STEP * (event.shiftKey ? 4 : 1)) / zoom.factor;
      const [x, y] = cursor ?? [width / 2, height / 2];
      setCursor([Math.min(width, Math.max(0, x + step[0] * far)), Math.min(height, Math.max(0, y + step[1] * far))]);
    } else if (event.key === "Enter" || event.key === " ") tapSheet(cursor ?? [width / 2, height / 2]);
    else if (event.key === "Escape") endLine();
    else if (event.key === "Backspace") shortenLine();
    else if (event.key === "+" || event.key === "=") zoom.inward?.();
    else if (event.key === "-") zoom.outward?.();
    else if (event.key === "0") zoom.whole();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onClick = (event: MouseEvent<SVGSVGElement>) => {
    if (zoom.panned()) return;
    // In hand there is something to draw with: what lies under the finger is not meant.
    if (tool === "move" && (event.target as Element).closest("[role=button]")) return;
    const frame = event.currentTarget.getBoundingClientRect();
    tapSheet([(event.clientX - frame.left) / scale, (event.clientY - frame.top) / scale]);
  };
  return (
    <div
      ref={ref}
      className="relative rounded-md border border-line bg-deep"
      style={{ paddingTop: roomForZoom(height * whole) }}
    >
      <div
        ref={box}
        tabIndex={0}
        role="group"
        onKeyDown={onKey}
        onBlur={() => setCursor(undefined)}
        className="mx-auto overflow-auto"
        style={{ maxWidth: width * whole, maxHeight: height * whole }}
        aria-label={`The drawing. Arrow keys move a cursor, Enter ${doesWhat(tool)}, Backspace takes the last point away, Escape ends the line, plus and minus zoom`}
      >
        {room.width > 0 && (
          <svg
            width={width * scale}
            height={height * scale}
            onClick={onClick}
            className={`block bg-paper ${tool === "move" ? "" : "cursor-crosshair"}`}
          >
            {picture && (
              <image href={picture} width={width * scale} height={height * scale} preserveAspectRatio="none" />
            )}
            {laid && (
              <image
                href={laid.url}
                width={laid.columns}
                height={laid.rows}
                preserveAspectRatio="none"
                transform={`scale(${scale}) matrix(${laid.matrix.join(" ")})`}
                style={{ imageRendering: "pixelated" }}
                opacity={0.75}
              />
            )}
            <SheetMarks scale={scale} />
            {cursor && (
              <g transform={`translate(${cursor[0] * scale} ${cursor[1] * scale})`} aria-hidden>
                <path d="M-14 0H14M0 -14V14" stroke="var(--paper)" strokeWidth={5} />
                <path d="M-14 0H14M0 -14V14" stroke="var(--ink)" strokeWidth={2} />
              </g>
            )}
          </svg>
        )}
      </div>
      <ZoomButtons zoom={zoom} whole="The whole picture" />
    </div>
  );
}
