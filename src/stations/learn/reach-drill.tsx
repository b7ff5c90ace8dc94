"use client";
import { type KeyboardEvent, type PointerEvent, useState } from "react";
import type { Marks, Point, ReadingScore } from "../../core/drills/score-reading";
import { drillWater, type Grade } from "../../core/drills/waters";
import type { Field } from "../../core/flow/grid";
import { speciesById } from "../../core/fish/species";
import { stream } from "../../core/quantity/seeded";
import { USUAL } from "../../scenario/conditions";
import { keyOf } from "../../scenario/key";
import { type ReachReading, readingRequest } from "../../scenario/reading";
import { act } from "../../state/act";
import { useStage, valueOf } from "../../state/query";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { useColours } from "../../widgets/colours";
import { FaultNote } from "../../widgets/fault-note";
import { GRADE_NAMES, markWords } from "../../words/drills";
import { faultText } from "../../words/messages";
import { figureText, showText } from "../../words/quantity";
import { reader, solveInBackground } from "../../workers/clients";
import { Footprint } from "../reach/footprint";
import { Stitches } from "../reach/seam-marks";
import { WaterCanvas } from "../reach/water-canvas";

const LIES = 3;
/** Pixels a metre. */
const SCALE = 12;
const NONE: Marks = { lies: [], seam: null };

interface Told {
  reading: ReachReading;
  told: ReadingScore;
}

/** A made-up water: three lies and the seam are marked, then the field answers. */
export function ReachDrill({
  grade,
  seed,
  onDone,
  onClose,
}: {
  grade: Grade;
  seed: number;
  onDone: (score: number) => void;
  onClose: () => void;
}) {
  const { system } = useSettings();
  const [water] = useState(() => drillWater(grade, seed, stream(97 * seed + grade)));
  const [marks, setMarks] = useState<Marks>(NONE);
  const [told, setTold] = useState<Told | undefined>();
  const field = useStage("drill", keyOf(water.reach.id, water.discharge), async (signal) => {
    const outcome = await solveInBackground(
      0,
      { reach: water.reach, discharge: water.discharge, cell: undefined },
      undefined,
      () => undefined,
      signal,
    );
    if (outcome.ok) return outcome.value;
    // One that was cancelled has its signal's own reason.
    if (outcome.cancelled) throw signal.reason;
    return valueOf<Field>({ ok: false, fault: outcome.fault });
  });
  const put = ({ x, y }: Point) => {
    if (told) return;
    setMarks((before) =>
      before.lies.length < LIES ? { ...before, lies: [...before.lies, { x, y }] } : { ...before, seam: { x, y } },
    );
  };
  const answer = () =>
    act(async () => {
      const request = readingRequest(speciesById("brown-trout"), { ...USUAL, light: "day" }, water.reach.features);
      const found = valueOf(await reader.ask(async (api) => api.drill(field.value!, request, marks)));
      setTold(found);
      onDone(found.told.total);
    });
  const asked =
    marks.lies.length < LIES
      ? `Mark lie ${marks.lies.length + 1} of ${LIES}: where would a trout hold?`
      : marks.seam
        ? "All marked."
        : "Now mark one point on the seam, where fast water meets slow.";
  return (
    <section aria-label={GRADE_NAMES[grade]}>
      <h2 className="text-2xl">{GRADE_NAMES[grade]}</h2>
      <p className="text-soft" role="status">
        {told
          ? `${figureText(told.told.total, 0)} of 100.`
          : field.value
            ? `${asked} Current from left to right, ${showText(water.discharge, "discharge", system)}${water.risenFrom === null ? "" : `, up from ${showText(water.risenFrom, "discharge", system)} since yesterday`}.`
            : "Working out the flow …"}
      </p>
      {field.fault && <FaultNote message={faultText(field.fault, system)} onRetry={field.retry} />}
      {field.value && <DrillMap field={field.value} marks={marks} told={told} onPut={put} />}
      <div className="mt-3 flex flex-wrap gap-3">
        {!told && (
          <>
            <Button
              tone={marks.seam ? "next" : "plain"}
              disabled={marks.lies.length < LIES || !marks.seam}
              onClick={answer}
            >
              Check answer
            </Button>
            <Button
              disabled={marks.lies.length === 0}
              onClick={() =>
                setMarks(({ lies, seam }) => (seam ? { lies, seam: null } : { lies: lies.slice(0, -1), seam: null }))
              }
            >
              Undo last mark
            </Button>
          </>
        )}
        <Button tone={told ? "next" : "plain"} onClick={onClose}>
          {told ? "Next drill" : "Cancel"}
        </Button>
      </div>
      {told && (
        <ol className="mt-4 grid gap-1">
          {told.told.marks.map((one, k) => (
            <li key={`${one.x} ${one.y}`}>
              Mark {k + 1}. {markWords(one, system)}
            </li>
          ))}
          <li>
            {told.told.seam
              ? `The seam: ${showText(told.told.seam.distance, "distance", system)} from the nearest; ${told.told.seam.points} points.`
              : "There is no seam here."}
          </li>
        </ol>
      )}
    </section>
  );
}

/** The water from above; marked by finger, or by arrow keys and Enter. */
function DrillMap({
  field,
  marks,
  told,
  onPut,
}: {
  field: Field;
  marks: Marks;
  told: Told | undefined;
  onPut: (at: Point) => void;
}) {
  const colours = useColours();
  const [width, height] = [field.nx * field.cell, field.ny * field.cell];
  const [cursor, setCursor] = useState<Point>({ x: width / 2, y: height / 2 });
  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = {
      x: ((event.clientX - box.left) / box.width) * width,
      y: ((event.clientY - box.top) / box.height) * height,
    };
    setCursor(at);
    onPut(at);
  };
  const onKey = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 5 : 1;
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    if (move) {
      setCursor(({ x, y }) => ({
        x: Math.min(width - 0.5, Math.max(0.5, x + move[0])),
        y: Math.min(height - 0.5, Math.max(0.5, y + move[1])),
      }));
    } else if (event.key === "Enter" || event.key === " ") onPut(cursor);
    else return;
    event.preventDefault();
  };
  return (
    <div className="relative mt-3 w-full overflow-hidden rounded-md" style={{ aspectRatio: `${width} / ${height}` }}>
      <WaterCanvas field={field} scale={SCALE} colours={colours} />
      <svg
        viewBox={`0 0 ${width * SCALE} ${height * SCALE}`}
        className="absolute inset-0 size-full touch-manipulation"
        role="application"
        aria-label="The water from above. Arrow keys move the cross, Enter marks."
        tabIndex={0}
        onPointerUp={onPointer}
        onKeyDown={onKey}
      >
        {told?.reading.seams.map((seam) => (
          <Stitches key={seam.points[0]!.join()} seam={seam} scale={SCALE} sure={1} />
        ))}
        {told?.reading.lies.map((lie) => (
          <g key={lie.rank} transform={`translate(${lie.x * SCALE} ${lie.y * SCALE})`}>
            <Footprint number={lie.rank} kind={lie.kind} size={1.4} chosen={false} upCurrent={lie.upCurrent} />
          </g>
        ))}
        {marks.lies.map((mark, k) => (
          <Mark key={`${mark.x} ${mark.y}`} at={mark} text={String(k + 1)} />
        ))}
        {marks.seam && <Mark at={marks.seam} text="s" />}
        {!told && (
          <path
            d={`M${cursor.x * SCALE - 9} ${cursor.y * SCALE}h18m-9 -9v18`}
            stroke="var(--paper)"
            strokeWidth={2}
            opacity={0.8}
          />
        )}
      </svg>
    </div>
  );
}

const Mark = ({ at, text }: { at: Point; text: string }) => (
  <g transform={`translate(${at.x * SCALE} ${at.y * SCALE})`}>
    <circle r={12} fill="var(--paper)" stroke="var(--ochre)" strokeWidth={4} />
    <text textAnchor="middle" dy={5} fontSize={15} fontWeight={700} fill="var(--ink)">
      {text}
    </text>
  </g>
);
