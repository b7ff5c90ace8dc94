"use client";
import { changeFilm, type FilmDraft, type KnownBy } from "../../state/film";
import { useSettings } from "../../state/settings";
import { CommitField } from "../../widgets/commit-field";
import { Panel } from "../../widgets/panel";
import { readWith } from "../../widgets/read-with";
import { Select } from "../../widgets/select";
import { numberEntry, quantityEntry } from "../../words/entry";
import { entryText, entryUnit, figureText } from "../../words/quantity";

const WAYS: Record<KnownBy, string> = {
  distances: "Four points and their distances",
  level: "Two points and a level line",
};
const ALL = ["ab", "bc", "cd", "da", "ac"] as const;

/** What is known of the ground that the film shows. */
export function GroundPanel({ draft, busy }: { draft: FilmDraft; busy: boolean }) {
  const system = useSettings((settings) => settings.system);
  const { knownBy, distances, fieldOfView } = draft;
  const length = quantityEntry("length", entryUnit("distance", system), {
    low: 0,
    open: true,
    high: 300,
    beyond: "Enter a distance above 0, at most 300 m.",
  });
  return (
    <Panel title="Known points" className="mt-6">
      <fieldset disabled={busy}>
        <Select
          label="Known by"
          value={knownBy}
          onChange={(value) => changeFilm({ knownBy: value as KnownBy })}
          choices={Object.entries(WAYS).map(([value, label]) => ({ value, label }))}
        />
        <p className="mt-2 text-sm text-soft">
          {knownBy === "distances"
            ? "Put A to D at the water’s edge, round the water, on things that stand still. Measure the four sides and A to C."
            : "Put A and B on things at the water’s edge. Put the level line on the horizon, or on the far bank at the height of your eye. The square corners mark the water."}
        </p>
        <div className="mt-3 grid grid-cols-2 gap-3">
          {(knownBy === "distances" ? ALL : ALL.slice(0, 1)).map((side) => (
            <CommitField
              key={side}
              label={`${side[0]!.toUpperCase()} to ${side[1]!.toUpperCase()}`}
              shown={distances[side] === null ? "" : entryText(distances[side], "distance", system)}
              read={readWith(length)}
              onKeep={(metres: number) => changeFilm({ distances: { ...distances, [side]: metres } })}
            />
          ))}
          {knownBy === "level" && (
            <CommitField
              label="Field of view, degrees"
              hint="A phone’s main camera: about 66 across"
              shown={figureText(fieldOfView, 0)}
              read={readWith(numberEntry({ low: 10, high: 130, beyond: "Degrees from 10 to 130." }))}
              onKeep={(degrees: number) => changeFilm({ fieldOfView: degrees })}
            />
          )}
        </div>
      </fieldset>
    </Panel>
  );
}
