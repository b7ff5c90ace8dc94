"use client";
import { useState } from "react";
import type { ReachRecord } from "../../core/book/records";
import { DAY } from "../../core/gauge/series";
import { act } from "../../state/act";
import { usePreferences } from "../../state/use-preferences";
import { database } from "../../store/database";
import { setTravelTime } from "../../store/preferences";
import { useFishes } from "../../state/use-fishes";
import { useSettings } from "../../state/settings";
import type { River } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { TextField } from "../../widgets/field";
import { Select } from "../../widgets/select";
import { dayAfter, dayBounds } from "../../core/quantity/local-time";
import { clockZone } from "../../words/clock-zone";
import { dayKey } from "../../words/river";
import { choicesOf } from "../../words/text";
import { WeatherDialog } from "./weather-dialog";

const WHEN = ["today", "tomorrow", "three-days", "five-days"] as const;
export type When = (typeof WHEN)[number];

const WHEN_NAMES: Record<When, string> = {
  today: "Today",
  tomorrow: "Tomorrow",
  "three-days": "The next three days",
  "five-days": "The next five days",
};

/** The hours that are asked about: of the water's own days, none of them over. */
export function spanOf(when: When, now: number): { from: number; to: number } {
  const midnight = (days: number) => dayBounds(dayAfter(dayKey(now), days), clockZone())[0];
  const ends: Record<When, [number, number]> = {
    today: [now, midnight(1)],
    tomorrow: [midnight(1), midnight(2)],
    "three-days": [now, midnight(3)],
    "five-days": [now, Math.min(midnight(5), now + 5 * DAY)],
  };
  const [from, to] = ends[when];
  return { from, to };
}

const LIMITS = [null, 15, 30, 45, 60, 90, 120, 180, 240];
const limitName = (minutes: number | null): string =>
  minutes === null ? "any distance" : minutes < 60 ? `${minutes} min` : `${minutes / 60} h`;

/** Which days, which fish, and how far. */
export function PlanFilters({
  when,
  onWhen,
  river: { reaches, stations },
}: {
  when: When;
  onWhen: (when: When) => void;
  river: Pick<River, "reaches" | "stations">;
}) {
  const { species, farthest, set } = useSettings();
  const fishes = useFishes();
  const [open, setOpen] = useState<"distances" | "weather" | null>(null);
  const close = () => setOpen(null);
  return (
    <div className="my-4 grid grid-cols-2 items-end gap-3 lg:grid-cols-[1fr_1fr_1fr_auto_auto] print:hidden">
      <Select
        label="Days"
        value={when}
        onChange={(value) => onWhen(value as When)}
        choices={WHEN.map((value) => ({ value, label: WHEN_NAMES[value] }))}
      />
      <Select
        label="Fish"
        value={fishes.of(species).id}
        onChange={(value) => set({ species: value })}
        choices={choicesOf(
          fishes.list,
          (one) => one.id,
          (one) => one.name,
        )}
      />
      <div className="max-lg:col-span-2">
        <Select
          label="Travel limit"
          value={String(farthest)}
          onChange={(value) => set({ farthest: value === "null" ? null : Number(value) })}
          choices={LIMITS.map((one) => ({ value: String(one), label: limitName(one) }))}
        />
      </div>
      <Button className="max-sm:px-2" onClick={() => setOpen("distances")}>
        Travel times
      </Button>
      <Button onClick={() => setOpen("weather")}>Weather</Button>
      {open === "distances" && <Distances reaches={reaches} onClose={close} />}
      {open === "weather" && <WeatherDialog stations={stations} onClose={close} />}
    </div>
  );
}

const MOST_MINUTES = 6000;

/** How long it takes to each reach. */
function Distances({ reaches, onClose }: { reaches: readonly ReachRecord[]; onClose: () => void }) {
  return (
    <Dialog open onOpenChange={onClose} title="Travel times">
      <p className="mb-3 text-soft">
        Minutes from home to each reach. A reach without a time is never left out as too far.
      </p>
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
        {reaches.map(({ id, reach }) => (
          <Distance key={id} id={id} name={reach.name} />
        ))}
      </div>
    </Dialog>
  );
}

/** Minutes to one reach: what is no number of minutes is told, and what was kept before stays. */
function Distance({ id, name }: { id: string; name: string }) {
  const { travel } = usePreferences();
  const [text, setText] = useState(travel[id] === undefined ? "" : String(travel[id]));
  const minutes = Number(text);
  const sound = text.trim() === "" || (Number.isFinite(minutes) && minutes >= 0 && minutes <= MOST_MINUTES);
  const enter = (typed: string) => {
    setText(typed);
    const value = Number(typed);
    if (typed.trim() === "") act(() => setTravelTime(database(), id, null));
    else if (Number.isFinite(value) && value >= 0 && value <= MOST_MINUTES)
      act(() => setTravelTime(database(), id, Math.round(value)));
  };
  return (
    <TextField
      label={name}
      value={text}
      inputMode="numeric"
      maxLength={6}
      error={sound ? undefined : `Enter minutes from 0 to ${MOST_MINUTES}.`}
      onChange={(event) => enter(event.target.value)}
    />
  );
}
