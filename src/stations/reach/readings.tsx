"use client";
import type { UnitSystem } from "../../words/quantity";
import type { WaterReading } from "../../core/flow/reach-schema";
import { Trash2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { ReachFit } from "../../core/flow/fit-reach";
import { isGuessed, LEAST_READINGS } from "../../core/flow/guessed-bed";
import { figureText, showText } from "../../words/quantity";
import { bedKey, cellOf } from "../../scenario/field";
import { act } from "../../state/act";
import { messageText } from "../../words/messages";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { fitInWorker } from "../../workers/clients";
import type { BedEditor } from "./use-bed-editor";

/** Cells that a fit is solved on, m at the finest: depth is near grid-converged there. */
const FIT_CELL = 1;
const KINDS = { depth: "Depth", "surface-speed": "Surface speed" } as const;
const quantity = (kind: WaterReading["kind"]) => (kind === "depth" ? "depth" : "speed");

/** Readings taken in the water, and the fit of the bed's roughness and of the level at its foot to them. */
export function Readings({ editor, system }: { editor: BedEditor; system: UnitSystem }) {
  const [progress, setProgress] = useState<number | undefined>();
  const [found, setFound] = useState<{ of: string; result: ReachFit } | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const abort = useRef<AbortController | undefined>(undefined);
  const { readings } = editor;
  // A result is of this bed, these objects and these readings; any change of them makes it stale.
  const state = JSON.stringify([bedKey(editor.reach), editor.features, readings]);
  const result = found?.of === state ? found.result : undefined;
  useEffect(() => () => abort.current?.abort(), []);

  async function fit(): Promise<void> {
    const control = new AbortController();
    abort.current = control;
    setFault(undefined);
    setProgress(0);
    const answer = await fitInWorker(
      editor.reach,
      Math.max(FIT_CELL, cellOf(editor.reach)),
      setProgress,
      control.signal,
    );
    setProgress(undefined);
    if (answer.ok) setFound({ of: state, result: answer.value });
    else if (!answer.cancelled) setFault(messageText(answer.fault, system));
  }

  return (
    <section aria-label="Readings in the water" className="mt-4 border-t border-line pt-3">
      <h2 className="text-base">Readings in the water</h2>
      {readings.length === 0 && (
        <p className="mt-1 text-soft">
          No readings yet. Close “Edit the bed”, move the probe to where you stood, and add a depth or timed float.
          Roughness and outlet level are then fitted to them.
        </p>
      )}
      {readings.length > 0 && (
        <table className="mt-2 w-full max-w-3xl text-left">
          <thead>
            <tr className="border-b border-line text-sm text-soft">
              <th className="py-1 font-normal">Reading</th>
              <th className="font-normal">Position</th>
              <th className="font-normal">Flow</th>
              <th className="font-normal">Reading</th>
              {result && (
                <>
                  <th className="font-normal">Model</th>
                  <th className="font-normal">Fitted</th>
                </>
              )}
              <th>
                <span className="sr-only">Delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {readings.map((reading, k) => {
              const kind = quantity(reading.kind);
              const value = (x: number | null) => (x === null ? "dry" : showText(x, kind, system));
              return (
                <tr key={k} className="border-b border-line">
                  <th scope="row" className="py-1 font-normal">
                    {k + 1}. {KINDS[reading.kind]}
                  </th>
                  <td>
                    {showText(reading.x, "distance", system)}, {showText(reading.y, "distance", system)}
                  </td>
                  <td>{showText(reading.discharge, "discharge", system)}</td>
                  <td className="font-semibold">{value(reading.value)}</td>
                  {result && (
                    <>
                      <td>{value(result.residuals[k]!.before)}</td>
                      <td>{value(result.residuals[k]!.after)}</td>
                    </>
                  )}
                  <td className="text-right">
                    <button
                      type="button"
                      aria-label={`Delete reading ${k + 1}`}
                      className="grid size-11 place-items-center rounded-md hover:bg-deep"
                      onClick={() => editor.removeReading(reading)}
                    >
                      <Trash2 size={16} aria-hidden />
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {isGuessed(editor.reach) && (
        <p className="mt-2 text-soft">
          This bed is partly guessed: {LEAST_READINGS} or more readings at one flow move it too.
        </p>
      )}
      {fault && (
        <div className="mt-2">
          <FaultNote message={fault} todo="Nothing changed." />
        </div>
      )}
      {readings.length > 0 && (
        <div className="mt-3 flex flex-wrap items-center gap-3">
          {progress === undefined ? (
            <Button onClick={() => act(fit)}>Fit the bed to the readings</Button>
          ) : (
            <>
              <span role="status">Fitting …</span>
              <progress value={progress} max={1} aria-label="Fitting" className="h-2 w-32 accent-(--ochre)" />
              <button type="button" className="min-h-11 underline" onClick={() => abort.current?.abort()}>
                Stop fitting
              </button>
            </>
          )}
        </div>
      )}
      {result && (
        <FitResult
          result={result}
          system={system}
          onTake={() => {
            editor.take(result);
            setFound(undefined);
          }}
        />
      )}
    </section>
  );
}

/** What a fit found, and whether to take it. */
function FitResult({ result, system, onTake }: { result: ReachFit; system: UnitSystem; onTake: () => void }) {
  return (
    <div role="status" className="mt-3 grid gap-1">
      {result.roughness && (
        <p>
          <strong>Manning’s n × {figureText(result.roughness.factor, 2)}</strong>
          {typeof result.reach.roughness === "number" && `, now ${result.reach.roughness}`}; within about ±{" "}
          {Math.round((result.roughness.error - 1) * 100)} %.
        </p>
      )}
      {result.outlet && (
        <p>
          {result.outlet.unit === "m"
            ? `Outlet level changed by ${showText(result.outlet.change, "depth", system)}, ± ${showText(result.outlet.error, "depth", system)}.`
            : `Water slope below the reach × ${figureText(Math.exp(result.outlet.change), 2)}, within about ± ${Math.round((Math.exp(result.outlet.error) - 1) * 100)} %.`}
        </p>
      )}
      {result.bedMoved !== null && (
        <p>The guessed bed moves by up to {showText(result.bedMoved, "smallLength", system)} near the readings.</p>
      )}
      {result.why && <p>{messageText(result.why, system)}</p>}
      <p className="text-soft">
        The readings were {figureText(result.misfit.before, 1)} times their own error out before
        {result.misfit.after < result.misfit.before && `, and ${figureText(result.misfit.after, 1)} after`}. About 1 is
        the best possible (a stick is good to ± {showText(0.05, "smallLength", system)}, a float to ± 8 %).
      </p>
      {result.fitted.length > 0 && (
        <Button tone="next" className="mt-1 justify-self-start" onClick={onTake}>
          Apply fit
        </Button>
      )}
    </div>
  );
}
