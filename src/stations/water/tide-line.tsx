"use client";
import { useMemo } from "react";
import type { Constituent } from "../../core/gauge/constituent";
import { DAY, HOUR } from "../../core/gauge/series";
import { tideAt, tideTurns } from "../../core/gauge/tide";
import { showText, type UnitSystem } from "../../words/quantity";
import { moment } from "../../words/river";

/** What the tide does now, and its turns of the next day and a half. */
export function TideLine({ tide, now, system }: { tide: readonly Constituent[]; now: number; system: UnitSystem }) {
  const hour = Math.floor(now / HOUR);
  const turns = useMemo(() => tideTurns(tide, hour * HOUR, hour * HOUR + 1.5 * DAY), [tide, hour]);
  const state = tideAt(tide, now);
  if (!state) return null;
  return (
    <p className="mt-2">
      Tide: {state.flow};{" "}
      {turns
        .slice(0, 4)
        .map(
          (turn) =>
            `${turn.high ? "high" : "low"} ${moment(turn.time, now)} (${turn.level >= 0 ? "+" : "−"}${showText(Math.abs(turn.level), "depth", system)})`,
        )
        .join(", ")}
      . From your tide constituents; weather changes it.
    </p>
  );
}
