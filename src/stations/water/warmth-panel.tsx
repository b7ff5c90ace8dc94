"use client";
import type { UnitSystem } from "../../words/quantity";
import { pressureAtAltitude, oxygenSaturation } from "../../core/gauge/oxygen";
import type { Outlook } from "../../core/gauge/outlook";
import { WARMTH, warmthClass, type WarmthKind } from "../../core/gauge/warmth";
import { figureText, show, showText, spanText } from "../../words/quantity";
import { WARMTH_KIND_NAMES, WARMTH_NAMES } from "../../words/water";
import { Figure } from "../../widgets/figure";
import { Panel } from "../../widgets/panel";
import { clock, moment } from "../../words/river";

const KINDS = Object.entries(WARMTH_KIND_NAMES) as [WarmthKind, string][];

/** Temperature now and to come, and what the water can hold of oxygen. */
export function WarmthPanel({
  temperature,
  outlook,
  altitude,
  now,
  system,
}: {
  temperature: number;
  outlook: Outlook;
  altitude: number | null;
  now: number;
  system: UnitSystem;
}) {
  const { swing, barometer } = outlook;
  const pressure = altitude === null ? (barometer?.pressure ?? undefined) : pressureAtAltitude(altitude);
  const oxygen = oxygenSaturation(temperature, pressure);
  const ahead = outlook.temperature;
  const warmest = ahead?.reduce((a, b) => (b.median > a.median ? b : a));
  const shown = show(temperature, "temperature", system);
  return (
    <Panel title="Temperature and oxygen">
      <div className="grid grid-cols-2 gap-4">
        <Figure
          label="Water"
          figure={shown.figure}
          unit={shown.unit}
          note={
            swing
              ? `varies by ${showText(2 * swing.amplitude, "temperatureDifference", system)} a day, warmest at about ${clock(swing.warmest)}; ${trend(swing.driftPerDay, system)}`
              : "too few readings for its daily swing"
          }
          source="Read at the gauge. A daily wave and a straight line are fitted to the last four days."
        />
        <Figure
          label="Oxygen at saturation"
          figure={figureText(oxygen, 1)}
          unit="mg/L"
          note={
            altitude === null
              ? barometer
                ? "at the gauge’s air pressure"
                : "at sea level; add the altitude in water settings"
              : `at ${showText(altitude, "altitude", system)} altitude`
          }
          source="Fresh water saturation by Benson & Krause 1980 (Standard Methods 4500-O), corrected for pressure. The river may hold less near weed, still water or drains."
        />
      </div>
      {ahead && warmest && (
        <p className="mt-3">
          Next two days: {showText(Math.min(...ahead.map((one) => one.median)), "temperature", system)} to{" "}
          {showText(warmest.median, "temperature", system)}, warmest {moment(warmest.time, now)}
          {Number.isNaN(warmest.low)
            ? ""
            : ` (${spanText(warmest.low, warmest.high, "temperature", system)}, by its errors in the last sixty days)`}
          .
        </p>
      )}
      <ul className="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-soft">
        {KINDS.map(([kind, name]) => (
          <li key={kind}>
            {name}: <strong className="text-ink">{WARMTH_NAMES[warmthClass(temperature, kind)]}</strong>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-soft">
        Common practice: trout and salmon {showText(WARMTH.value["trout-and-salmon"].good[0], "temperature", system)} to{" "}
        {showText(WARMTH.value["trout-and-salmon"].good[1], "temperature", system)} good; leave them alone from{" "}
        {showText(WARMTH.value["trout-and-salmon"].stop, "temperature", system)}.
      </p>
    </Panel>
  );
}

const trend = (perDay: number, system: UnitSystem): string =>
  Math.abs(perDay) < 0.1
    ? "steady from day to day"
    : `${perDay > 0 ? "warming" : "cooling"} ${showText(Math.abs(perDay), "temperatureDifference", system)} a day`;
