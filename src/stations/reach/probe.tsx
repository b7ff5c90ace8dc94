"use client";
import type { UnitSystem } from "../../words/quantity";
import { type KeyboardEvent, useState } from "react";
import type { Field } from "../../core/flow/grid";
import { probeAt } from "../../core/flow/probe";
import { figureText, showText } from "../../words/quantity";
import { nudgeOf } from "./drag-point";

export type Place = readonly [number, number];

/** Where the probe is held, in this reach, and how it is moved by keys. */
export function useProbe(reach: string | undefined) {
  const [state, setState] = useState<{ reach: string; at: Place } | undefined>();
  const place = state && state.reach === reach ? state.at : undefined;
  const put = (at: Place | undefined) => setState(at && reach ? { reach, at } : undefined);
  return { place, put };
}

export function probeKeys(
  event: KeyboardEvent,
  place: Place | undefined,
  field: Field,
  put: (place: Place | undefined) => void,
): void {
  if (event.key === "Escape") return put(undefined);
  const by = nudgeOf(event);
  if (!by || event.target !== event.currentTarget) return;
  event.preventDefault();
  const [length, breadth] = [field.nx * field.cell, field.ny * field.cell];
  const [x, y] = place ?? [length / 2, breadth / 2];
  put([Math.min(length, Math.max(0, x + by[0])), Math.min(breadth, Math.max(0, y + by[1]))]);
}

/** The probe on the plan. */
export function ProbeMark({ place, scale }: { place: Place; scale: number }) {
  return (
    <g transform={`translate(${place[0] * scale} ${place[1] * scale})`} aria-hidden>
      <circle r={7} fill="none" stroke="var(--paper)" strokeWidth={4} />
      <circle r={7} fill="none" stroke="var(--ochre)" strokeWidth={2} />
      <path d="M0 -13V-4M0 13V4M-13 0H-4M13 0H4" stroke="var(--ochre)" strokeWidth={2} />
    </g>
  );
}

/** What the probe reads, in words. */
export function ProbeWords({
  field,
  where,
  place,
  system,
  onLift,
  onRead,
}: {
  field: Field;
  /** Where it stands by what can be seen. */
  where: string;
  place: Place;
  system: UnitSystem;
  onLift: () => void;
  onRead?: () => void;
}) {
  const probe = probeAt(field, place[0], place[1]);
  return (
    <p className="mb-2" role="status">
      <span className="text-soft">Probe, {where}: </span>
      {probe.depth === 0 ? (
        "dry ground. "
      ) : (
        <>
          <strong>{showText(probe.depth, "depth", system)} deep</strong>; {showText(probe.surface, "speed", system)} at
          the surface, {showText(probe.mean, "speed", system)} on average, {showText(probe.nearBed, "speed", system)}{" "}
          near the bottom; {direction(probe.heading)}
          {probe.pulse > 0.05 && `, pulsing by ${showText(probe.pulse, "speed", system)}`}; Froude number{" "}
          {figureText(probe.froude, 2)}, Manning’s n {figureText(probe.roughness, 3)}.{" "}
        </>
      )}
      {onRead && (
        <button type="button" className="mr-3 min-h-11 text-sm underline" onClick={onRead}>
          add a reading here
        </button>
      )}
      <button type="button" className="min-h-11 text-sm underline" onClick={onLift}>
        hide probe
      </button>
    </p>
  );
}

function direction(heading: number): string {
  const away = Math.abs(heading);
  if (away < 15) return "flowing downstream";
  if (away > 165) return "flowing back upstream";
  return `${away > 90 ? "back upstream" : "downstream"} towards the ${heading > 0 ? "right" : "left"} bank`;
}
