"use client";
import { useMemo, useRef } from "react";
import type { Drawing } from "../../core/trace/drawing-schema";
import { movePlace } from "../../core/trace/edit";
import { lineOf } from "../../core/trace/mark-line";
import { type Mark, markKind } from "../../core/trace/marks";
import { choose, dropDrawing, setEnd, showDrawing, useDrawing } from "../../state/drawing";
import { DragPoint } from "../reach/drag-point";
import { markName, numbersOf } from "./mark-name";

/** How marks are drawn: banks and the middle in ink, all else by its own pen. */
interface Pen {
  stroke: string;
  dash?: string;
  width?: number;
}
const PEN: Partial<Record<Mark["kind"], Pen>> = {
  middle: { stroke: "var(--ink)", dash: "10 6" },
  width: { stroke: "var(--ink)", width: 1.6 },
  log: { stroke: "var(--clay)", width: 5 },
  "log-jam": { stroke: "var(--clay)", width: 9, dash: "3 3" },
  wall: { stroke: "var(--ink)", width: 6 },
  weed: { stroke: "var(--reed)", width: 7, dash: "2 5" },
  overhang: { stroke: "var(--reed)", width: 4, dash: "8 4" },
  undercut: { stroke: "var(--clay)", width: 3, dash: "2 3" },
  island: { stroke: "var(--ink)", width: 2 },
};
const BANK: Pen = { stroke: "var(--ink)", width: 2.6 };

/** Everything that is drawn, and the two points of the scale. */
export function SheetMarks({ scale }: { scale: number }) {
  const { drawing, chosen, open, ends, tool } = useDrawing();
  const numbers = useMemo(() => numbersOf(drawing.marks), [drawing.marks]);
  return (
    <>
      {drawing.marks.map((mark) => (
        <MarkShape
          key={mark.id}
          mark={mark}
          number={numbers.get(mark.id)!}
          scale={scale}
          held={mark.id === chosen || mark.id === open}
          quiet={tool !== "move"}
        />
      ))}
      {(["a", "b"] as const).map(
        (which) => ends[which] && <ScaleEnd key={which} which={which} at={ends[which]} scale={scale} />,
      )}
      {ends.a && ends.b && (
        <path
          d={`M${ends.a[0] * scale} ${ends.a[1] * scale}L${ends.b[0] * scale} ${ends.b[1] * scale}`}
          stroke="var(--ochre)"
          strokeWidth={2}
          strokeDasharray="2 4"
          pointerEvents="none"
        />
      )}
    </>
  );
}

function ScaleEnd({ which, at, scale }: { which: "a" | "b"; at: readonly [number, number]; scale: number }) {
  return (
    <DragPoint
      place={at}
      scale={scale}
      label={`Scale point ${which.toUpperCase()}`}
      onDrop={(place) => setEnd(which, place)}
    >
      <circle r={8} fill="var(--paper)" stroke="var(--ochre)" strokeWidth={3} />
      <text y={5} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--ink)">
        {which.toUpperCase()}
      </text>
    </DragPoint>
  );
}

function MarkShape({
  mark,
  number,
  scale,
  held,
  quiet,
}: {
  mark: Mark;
  number: number;
  scale: number;
  held: boolean;
  quiet: boolean;
}) {
  const { geometry } = markKind(mark.kind);
  const pen = PEN[mark.kind] ?? BANK;
  const path = lineOf(mark)
    .map(([x, y]) => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`)
    .join("L");
  const closed = geometry === "area" && mark.places.length > 2 ? "Z" : "";
  const name = markName(mark, number);
  return (
    <g>
      {geometry !== "point" && (
        <g
          onClick={(event) => {
            if (quiet) return;
            event.stopPropagation();
            choose(mark.id);
          }}
          fill="none"
          strokeLinejoin="round"
          strokeLinecap="round"
        >
          <path d={`M${path}${closed}`} stroke="transparent" strokeWidth={quiet ? 0 : 24} />
          <path d={`M${path}${closed}`} stroke="var(--paper)" strokeWidth={(pen.width ?? 2.6) + 3} opacity={0.8} />
          <path
            d={`M${path}${closed}`}
            stroke={held ? "var(--ochre)" : pen.stroke}
            strokeWidth={pen.width ?? 2.6}
            strokeDasharray={pen.dash}
            fill={closed ? "color-mix(in srgb, var(--ink) 18%, transparent)" : "none"}
          />
        </g>
      )}
      {(geometry === "point" || held) &&
        mark.places.map((place, k) => (
          <Handle key={k} mark={mark} index={k} name={name} place={place} scale={scale} held={held} />
        ))}
    </g>
  );
}

/** A place of a mark, to be taken hold of. */
function Handle({
  mark,
  index,
  name,
  place,
  scale,
  held,
}: {
  mark: Mark;
  index: number;
  name: string;
  place: readonly [number, number];
  scale: number;
  held: boolean;
}) {
  const before = useRef<Drawing | undefined>(undefined);
  const point = markKind(mark.kind).geometry === "point";
  const label = point ? name : `${name}, point ${index + 1} of ${mark.places.length}`;
  return (
    <DragPoint
      place={place}
      scale={scale}
      label={label}
      onDrag={(to) => {
        before.current ??= useDrawing.getState().drawing;
        showDrawing(movePlace(before.current, mark.id, index, to));
      }}
      onDrop={() => {
        if (before.current) dropDrawing(before.current);
        before.current = undefined;
        choose(mark.id);
      }}
      onCancel={() => {
        if (before.current) showDrawing(before.current);
        before.current = undefined;
        choose(mark.id);
      }}
    >
      {point ? (
        <PointMark mark={mark} held={held} />
      ) : (
        <circle r={5.5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
      )}
    </DragPoint>
  );
}

/** Letters that stand for points on the sheet; what they mean stands in the list beside it. */
const LETTERS: Partial<Record<Mark["kind"], string>> = {
  riffle: "R",
  pool: "P",
  "pool-head": "H",
  "pool-tail": "T",
  "deep-side": "D",
  inflow: "I",
};

function PointMark({ mark, held }: { mark: Mark; held: boolean }) {
  const stroke = held ? "var(--ochre)" : "var(--ink)";
  if (mark.kind === "boulder") return <circle r={9} fill="var(--stone)" stroke={stroke} strokeWidth={2.4} />;
  if (mark.kind === "depth") return <path d="M0 -10V10M-6 4L0 10L6 4" stroke={stroke} strokeWidth={2.6} fill="none" />;
  return (
    <>
      <circle r={11} fill="var(--paper)" stroke={stroke} strokeWidth={2.2} />
      <text y={5} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--ink)">
        {LETTERS[mark.kind]}
      </text>
    </>
  );
}
