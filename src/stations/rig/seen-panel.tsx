"use client";
import { useSettings } from "../../state/settings";
import { CommitField } from "../../widgets/commit-field";
import { Panel } from "../../widgets/panel";
import { readWith } from "../../widgets/read-with";
import { Select } from "../../widgets/select";
import { optional, quantityEntry } from "../../words/entry";
import { entryText, entryUnit, rangeText } from "../../words/quantity";

const PREY_CHOICES = [
  { value: "none", label: "nothing seen" },
  { value: "insects", label: "insects under the stones" },
  { value: "crayfish", label: "crayfish" },
  { value: "bait-fish", label: "bait fish" },
  { value: "worms", label: "worms washed in" },
];
const SNAG_CHOICES = [
  { value: "auto", label: "as on the reach" },
  { value: "none", label: "clean bottom" },
  { value: "some", label: "some snags" },
  { value: "many", label: "many snags" },
];
const SCHOOL_CHOICES = [
  { value: "dark-first", label: "dark first" },
  { value: "bright-first", label: "bright first" },
];
const FALL_CHOICES = [
  { value: "semi-slack", label: "on a semi-slack line" },
  { value: "slack", label: "on a slack line" },
  { value: "tight", label: "on a tight line" },
];
const SHOT_CHOICES = [
  { value: "auto", label: "automatic" },
  { value: "tapered", label: "tapered" },
  { value: "bulk", label: "in bulk" },
  { value: "even", label: "even" },
];

/** What is chosen from a list, by the setting that keeps it. */
const CHOICES = [
  { name: "snags", label: "Bottom", choices: SNAG_CHOICES },
  { name: "prey", label: "Food seen", choices: PREY_CHOICES },
  { name: "colours", label: "In coloured water", choices: SCHOOL_CHOICES },
  { name: "letDown", label: "Fall", choices: FALL_CHOICES },
  { name: "shotting", label: "Shot", choices: SHOT_CHOICES },
] as const;

/** What no gauge tells: wind, snags, weed, food; and how it is fished today. Each changes the rig or its reasons. */
export function SeenPanel() {
  const settings = useSettings();
  const { system, set, preyLength } = settings;
  const wind = quantityEntry("speed", entryUnit("wind", system), {
    low: 0,
    high: 40,
    beyond: rangeText(0, 40, "wind", system),
  });
  const length = optional(
    quantityEntry("length", entryUnit("smallLength", system), {
      low: 0.005,
      high: 0.4,
      beyond: rangeText(0.005, 0.4, "smallLength", system),
    }),
  );
  return (
    <Panel title="What you see and how you fish" className="mt-6 print:hidden">
      <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-4">
        <CommitField
          label="Wind"
          shown={entryText(settings.wind, "wind", system)}
          read={readWith(wind)}
          onKeep={(value: number) => set({ wind: value })}
        />
        <CommitField
          label="Food length"
          shown={preyLength === null ? "" : entryText(preyLength, "smallLength", system)}
          read={readWith(length)}
          onKeep={(value: number | null) => set({ preyLength: value })}
        />
        {CHOICES.map(({ name, label, choices }) => (
          <Select
            key={name}
            label={label}
            value={settings[name]}
            onChange={(value) => set({ [name]: value })}
            choices={choices}
          />
        ))}
      </div>
      <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <Tick label="Weed" on={settings.weed} onChange={(weed) => set({ weed })} />
        <Tick label="Pike about" on={settings.teeth} onChange={(teeth) => set({ teeth })} />
        <Tick label="Tough day" on={settings.tough} onChange={(tough) => set({ tough })} />
        <Tick label="Short bites" on={settings.short} onChange={(short) => set({ short })} />
        <Tick label="Live bait" on={settings.liveBait} onChange={(liveBait) => set({ liveBait })} />
        <Tick label="Two jigs" on={settings.tandem} onChange={(tandem) => set({ tandem })} />
      </div>
    </Panel>
  );
}

const Tick = ({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) => (
  <label className="flex min-h-11 items-center gap-2">
    <input type="checkbox" className="size-5" checked={on} onChange={(event) => onChange(event.target.checked)} />
    {label}
  </label>
);
