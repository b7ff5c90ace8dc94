"use client";
import { useState } from "react";
import type { ReachRecord } from "../../core/book/records";
import { isPlaced, positionInReach } from "../../core/trace/place-in-reach";
import { useFilm } from "../../state/film";
import { type Locating, usePosition } from "../../state/use-position";
import { later } from "../../widgets/later";
import type { ReachView } from "./use-reach-view";
import type { WantedDepthsView } from "./use-wanted-depths";
import { type Here, WhereAmI } from "./where-am-i";

const FilmBar = later(() => import("../film/film-bar").then((one) => one.FilmBar));

export interface Locator {
  /** It is known where the reach lies: the angler's place on it can be asked for. */
  possible: boolean;
  locating: boolean;
  locate: (wanted: boolean) => void;
  state: Locating;
  here: Here | undefined;
}

/** The angler's own place on a reach, on request and only then. */
export function useHere(record: ReachRecord | undefined): Locator {
  const [wanted, setWanted] = useState<string | undefined>();
  const traced = record?.traced;
  const possible = isPlaced(traced);
  const locating = possible && wanted === record?.id;
  const { state, last } = usePosition(locating);
  const place = locating && last ? positionInReach(traced, last.at) : undefined;
  return {
    possible,
    locating,
    locate: (on) => setWanted(on ? record?.id : undefined),
    state,
    here: place && last && { place, accuracy: last.accuracy },
  };
}

/** What ties the plan to the ground: the picture under it, and where the angler is. */
export function GroundBar({
  view,
  slider,
  locator,
  wanted,
}: {
  view: ReachView;
  slider: { through: number; onChange: (through: number) => void } | undefined;
  locator: Locator;
  wanted: WantedDepthsView | undefined;
}) {
  const { scenario, approach } = view;
  const shown = scenario.field.shown?.field;
  const record = scenario.river.reach;
  const measured = useFilm((state) => state.measured);
  const { possible, locating, locate, state, here } = locator;
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center gap-x-6 empty:mt-0">
        {slider && <PictureSlider {...slider} />}
        {possible && !locating && (
          <button type="button" className="min-h-11 underline" onClick={() => locate(true)}>
            Where am I?
          </button>
        )}
        {wanted?.possible && !wanted.asking && (
          <button type="button" className="min-h-11 underline" onClick={() => wanted.ask(true)}>
            Where would a depth help?
          </button>
        )}
      </div>
      {measured && record && shown && wanted && (
        <FilmBar
          measured={measured}
          reach={record.id}
          field={shown}
          discharge={scenario.conditions.discharge}
          onAdd={view.editor?.addFilmed}
        />
      )}
      {locating && shown && (
        <WhereAmI
          state={state}
          here={here}
          size={[shown.nx * shown.cell, shown.ny * shown.cell]}
          lies={scenario.reading.value?.lies ?? []}
          lie={scenario.lie}
          stand={approach.value?.stands[0]}
          onHide={() => locate(false)}
        />
      )}
    </>
  );
}

/** How far the picture under the plan comes through the water. */
const PictureSlider = ({ through, onChange }: { through: number; onChange: (through: number) => void }) => (
  <label className="flex min-h-11 flex-wrap items-center gap-x-3">
    <span className="text-sm">Picture</span>
    <input
      type="range"
      min={0}
      max={1}
      step={0.05}
      value={through}
      onChange={(event) => onChange(Number(event.target.value))}
      className="w-40 accent-(--ochre)"
    />
  </label>
);
