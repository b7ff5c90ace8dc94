"use client";
import type { UnitSystem } from "../../words/quantity";
import type { Lie } from "../../core/fish/read";
import { isSought } from "../../core/fish/season";
import type { SeasonalHabits } from "../../core/fish/species-schema";
import { isTooWarm } from "../../core/gauge/warmth";
import { showText } from "../../words/quantity";
import { PHASE_NAMES, wayWords } from "../../words/species";
import { Select } from "../../widgets/select";
import { useSettings } from "../../state/settings";
import type { Fish } from "../../state/use-fishes";

/** The time of the fish's year: chosen, or read from the water's temperature and the date; what it means, in words. */
export function SeasonLine({
  fish,
  way,
  temperature,
  system,
  lies = [],
}: {
  fish: Fish;
  way: SeasonalHabits | undefined;
  temperature: number;
  system: UnitSystem;
  /** What the reach offers. */
  lies?: readonly Pick<Lie, "depth" | "focalSpeed">[];
}) {
  const { season, set } = useSettings();
  const phases = [...new Set((fish.species.seasons ?? []).map(({ phase }) => phase))];
  const hot = isTooWarm(fish.species, temperature);
  const nowhere = way && !way.leaveAlone && lies.length > 0 && !lies.some((lie) => isSought(way, lie));
  // A phase that this fish does not know reads as none.
  const value = season === "auto" || season === "usual" || phases.includes(season) ? season : "usual";
  return (
    <div className="mb-2">
      {phases.length > 0 && (
        <Select
          label="Season"
          value={value}
          onChange={(next) => set({ season: next as typeof season })}
          choices={[
            {
              value: "auto",
              label: season === "auto" ? `automatic (${way ? PHASE_NAMES[way.phase] : "normal"})` : "automatic",
            },
            { value: "usual", label: "normal" },
            ...phases.map((phase) => ({ value: phase, label: PHASE_NAMES[phase] })),
          ]}
        />
      )}
      {way && (
        <p className={`mt-1 text-sm ${way.leaveAlone ? "font-semibold" : "text-soft"}`}>
          {way.leaveAlone && <span aria-hidden>▲ </span>}
          {wayWords(fish.base, way)}
          {nowhere && " This reach has no such water now. The list shows the closest match."}
          {way.leaveAlone && season === "auto" && " The list shows fish that aren’t spawning."}
          {way.leaveAlone && season !== "auto" && " The list shows where they are, so you can keep off."}
        </p>
      )}
      {hot && (
        <p className="mt-1 text-sm font-semibold">
          <span aria-hidden>▲ </span>The water is {showText(temperature, "temperature", system)}: too warm for this
          fish. Leave it alone until the water cools. Local rules come first.
        </p>
      )}
    </div>
  );
}
