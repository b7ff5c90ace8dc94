"use client";
import { useMemo } from "react";
import { compareFilm, evenArrows, filmReadings, firstPlacement, placeFilm } from "../../core/film/place-film";
import type { Field } from "../../core/flow/grid";
import type { WaterReading } from "../../core/flow/reach-schema";
import { type MeasuredFilm, useFilm } from "../../state/film";
import { Button } from "../../widgets/button";
import { agreementWords } from "../../words/film";
import { count } from "../../words/text";

/** Readings that one film gives at most: a reach holds 200. */
const MOST_READINGS = 24;

/** A measured film on the reach that is looked at: put there, moved, and its speeds as readings. */
export function FilmBar({
  measured,
  reach,
  field,
  discharge,
  onAdd,
}: {
  measured: MeasuredFilm;
  /** Id of the reach that is looked at. */
  reach: string;
  field: Field;
  /** When it was filmed, m3/s: as it is shown. */
  discharge: number;
  onAdd: ((readings: readonly WaterReading[]) => void) | undefined;
}) {
  const { water, placement, at, name } = measured;
  const even = useMemo(() => evenArrows(water.arrows), [water]);
  if (water.arrows.length === 0) return null;
  if (measured.reach !== reach || !placement)
    return (
      <button
        type="button"
        className="min-h-11 text-left underline"
        onClick={() =>
          useFilm.setState({ measured: { ...measured, reach, placement: firstPlacement(water.arrows, field) } })
        }
      >
        Show the measured film here
      </button>
    );
  const { arrows } = placeFilm(water, placement);
  const placed = placeFilm({ arrows: even, seams: [] }, placement, water.arrows);
  const readings = filmReadings(placed.arrows, field, { most: MOST_READINGS, discharge, at });
  return (
    <section aria-label={`Film: ${name}`} className="mt-2 max-w-3xl rounded-md border border-line p-3">
      <p>
        Drag the round handle to move the film, the square one to turn it, until its banks and stones fit.{" "}
        <span role="status">{agreementWords(compareFilm(arrows, field))}</span>
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        {onAdd && (
          <Button disabled={readings.length === 0} onClick={() => onAdd(readings)}>
            Add {count(readings.length, "speed reading")}
          </Button>
        )}
        <Button onClick={() => useFilm.setState({ measured: { ...measured, reach: undefined, placement: undefined } })}>
          Hide the film
        </Button>
      </div>
      <p className="mt-1 text-sm text-soft">
        Readings come from water of even speed, and count for the flow shown. Set the flow of the time you filmed first.
      </p>
    </section>
  );
}
