"use client";
import { useState } from "react";
import type { Catch, ReachRecord } from "../../core/book/records";
import type { Field } from "../../core/flow/grid";
import { distanceFromReach, isPlaced, positionInReach } from "../../core/trace/place-in-reach";
import { act, perform } from "../../state/act";
import { useSettings } from "../../state/settings";
import { usePosition } from "../../state/use-position";
import { database } from "../../store/database";
import { patchCatch } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { LOCATING_WORDS } from "../../words/locating";
import { showText } from "../../words/quantity";
import { whereOnPlan } from "../reach/where-near";

/** A fish put where the angler stands, by the device's own position: on request, and only then. */
export function OwnPlace({ fish, record, field }: { fish: Catch; record: ReachRecord | undefined; field: Field }) {
  const system = useSettings((settings) => settings.system);
  const [wanted, setWanted] = useState(false);
  const { state, last } = usePosition(wanted);
  const traced = record?.traced;
  if (!isPlaced(traced)) return null;
  if (!wanted)
    return (
      <button type="button" className="mt-1 mr-4 min-h-12 underline" onClick={() => setWanted(true)}>
        Caught where I stand
      </button>
    );
  const place = last && positionInReach(traced, last.at);
  const told = (metres: number) => showText(metres, "distance", system);
  const [x, y] = place ?? [0, 0];
  const off = place ? distanceFromReach(place, [field.nx * field.cell, field.ny * field.cell]) : 0;
  const away = last && off > last.accuracy;
  const use = async () => {
    const at = { x: Number(x.toFixed(1)), y: Number(y.toFixed(1)) };
    if (await perform(() => patchCatch(database(), fish, { place: at }), "The fish’s place is set.")) setWanted(false);
  };
  return (
    <div className="mt-3">
      <p role="status">
        {LOCATING_WORDS[state] ??
          (last &&
            place &&
            `${away ? `You’re ${told(off)} from this reach.` : `You’re ${whereOnPlan(field, place, system)}.`} Accurate to ${told(last.accuracy)}.`)}
      </p>
      <div className="mt-1 flex flex-wrap gap-2.5">
        {place && !away && (
          <Button className="min-h-12" onClick={() => act(use)}>
            Use this place
          </Button>
        )}
        <Button className="min-h-12" onClick={() => setWanted(false)}>
          Leave the place as it was
        </Button>
      </div>
    </div>
  );
}
