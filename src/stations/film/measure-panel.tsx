"use client";
import Link from "next/link";
import type { MeasuredFilm } from "../../state/film";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { Panel } from "../../widgets/panel";
import { filmedWords } from "../../words/film";
import { faultText } from "../../words/messages";
import type { Measuring } from "./use-measuring";

/** Measuring, and what was found. */
export function MeasurePanel({ measuring, measured }: { measuring: Measuring; measured: MeasuredFilm | undefined }) {
  const system = useSettings((settings) => settings.system);
  const { busy, done, fault, start, stop } = measuring;
  return (
    <Panel title="Surface speed" className="mt-6">
      {busy ? (
        <div className="flex flex-wrap items-center gap-3">
          <progress value={done} aria-label="Measuring the film" className="w-40 accent-(--ochre)" />
          <span role="status">{done < 0.5 ? "Watching the film …" : "Following the water …"}</span>
          <Button onClick={stop}>Cancel</Button>
        </div>
      ) : (
        <Button tone="next" onClick={start}>
          Measure the film
        </Button>
      )}
      {fault && (
        <div className="mt-2">
          <FaultNote message={faultText(fault, system)} todo="Nothing was measured." />
        </div>
      )}
      {measured && !busy && (
        <>
          <p role="status" className="mt-3">
            {filmedWords(measured.water, system)}
          </p>
          {measured.water.arrows.length > 0 && (
            <p className="mt-2">
              <Link href="/reach" className="inline-flex min-h-11 items-center underline">
                Put it on a reach
              </Link>
            </p>
          )}
        </>
      )}
    </Panel>
  );
}
