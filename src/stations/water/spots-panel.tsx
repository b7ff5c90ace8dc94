"use client";
import type { UnitSystem } from "../../words/quantity";
import type { WaterRecord } from "../../core/book/records";
import { bandState, type FishesWell } from "../../core/gauge/band";
import { drawDown } from "../../core/gauge/impounded";
import type { GaugeNow } from "../../core/gauge/summary";
import { show, showText } from "../../words/quantity";
import { Panel } from "../../widgets/panel";

const WORDS = { in: "● fishes now", under: "○ too low", over: "○ too high", unknown: "– not known" } as const;

/**
 * Spots with their "fishes well between", against the river now; and, on impounded water, what of the shore is bare.
 */
export function SpotsPanel({
  water,
  now,
  system,
}: {
  water: WaterRecord;
  now: GaugeNow | undefined;
  system: UnitSystem;
}) {
  const level = now?.stage ?? null;
  const down = water.fullPool !== null && level !== null ? drawDown(level, water.fullPool, water.beachSlope) : null;
  if (water.bands.length === 0 && water.fullPool === null) return null;
  const value = (band: FishesWell) =>
    band.measure === "discharge" ? (now?.discharge ?? null) : band.measure === "stage" ? level : (down?.below ?? null);
  return (
    <Panel title="Fishes well between" source="Your flow bands, compared with the river now.">
      {water.fullPool !== null && (
        <p className="mb-2">
          {down === null
            ? "Level below full pool: no stage reading."
            : down.below <= 0
              ? `${showText(-down.below, "depth", system)} above full pool: no beach.`
              : `${showText(down.below, "depth", system)} below full pool${down.beach === null ? "" : `, with about ${showText(down.beach, "distance", system)} of beach bare`}.`}
        </p>
      )}
      <ul className="divide-y divide-line border-y border-line">
        {water.bands.map((band, k) => {
          const state = bandState(band, value(band));
          return (
            <li key={k} className="flex flex-wrap items-baseline justify-between gap-x-4 py-2">
              <span>
                <span className="font-semibold">{band.spot}</span>{" "}
                <span className="text-soft">{bandWords(band, system)}</span>
              </span>
              <span className={state === "in" ? "font-semibold" : "text-soft"}>{WORDS[state]}</span>
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}

export function bandWords(band: FishesWell, system: UnitSystem): string {
  const kind = band.measure === "discharge" ? "discharge" : "depth";
  const text = (value: number) => showText(value, kind, system);
  const of = band.measure === "discharge" ? "" : band.measure === "stage" ? "stage " : "below full pool ";
  if (band.low !== null && band.high !== null)
    return `${of}${show(band.low, kind, system).figure} to ${text(band.high)}`;
  return band.low !== null
    ? `${of}from ${text(band.low)}`
    : band.high !== null
      ? `${of}up to ${text(band.high)}`
      : "any level";
}
