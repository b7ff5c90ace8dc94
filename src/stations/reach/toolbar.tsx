"use client";
import { choicesOf } from "../../words/text";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { setGauge } from "../../store/reaches";
import { gaugeChoices, NONE } from "./gauge-choices";
import { Button } from "../../widgets/button";
import { Select } from "../../widgets/select";

const LIGHT_NOW = { day: "Light as now", twilight: "Dusk or dawn, as now", night: "Dark now: by day" } as const;

/** What is looked at: reach, gauge, fish, light and layers. */
export function ReachToolbar({
  river,
  fish,
  shaping,
  onShape,
  onMake,
}: {
  river: River;
  fish: string;
  shaping: boolean;
  onShape: () => void;
  onMake: () => void;
}) {
  const { light, set } = useSettings();
  const fishes = useFishes();
  return (
    <div className="mb-3 flex flex-wrap items-end gap-3">
      <ReachChoice river={river} />
      <Select
        label="Fish"
        hideLabel
        className="min-w-36 flex-1 sm:w-44 sm:flex-none"
        value={fish}
        onChange={(id) => set({ species: id, lie: null })}
        choices={fishes.list.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <Select
        label="Light"
        hideLabel
        className="min-w-36 flex-1 sm:w-40 sm:flex-none"
        value={light}
        onChange={(value) => set({ light: value as typeof light })}
        choices={[
          { value: "auto", label: LIGHT_NOW[river.light] },
          { value: "day", label: "By day" },
          { value: "twilight", label: "Dusk or dawn" },
          { value: "night", label: "By night" },
        ]}
      />
      <Layers />
      {river.reach && (
        <Toggle pressed={shaping} onPress={onShape}>
          Shape the bed
        </Toggle>
      )}
      <Button className="flex-1 px-2! sm:ml-auto sm:flex-none sm:px-4!" onClick={onMake}>
        Make a reach
      </Button>
    </div>
  );
}

function ReachChoice({ river }: { river: River }) {
  const set = useSettings((settings) => settings.set);
  const record = river.reach;
  return (
    <>
      {river.reaches.length > 0 && (
        <Select
          label="Reach"
          hideLabel
          className="min-w-36 flex-1 sm:w-40 sm:flex-none"
          value={record?.id ?? ""}
          onChange={(id) => set({ reach: id, station: null, flow: null, lie: null })}
          choices={choicesOf(
            river.reaches,
            (one) => one.id,
            (one) => one.reach.name,
          )}
        />
      )}
      {record && !record.demo && river.stations.length > 0 && (
        <Select
          label="Gauge of this reach"
          hideLabel
          className="min-w-36 flex-1 sm:w-48 sm:flex-none"
          value={record.station ?? NONE}
          onChange={(id) => act(() => setGauge(database(), record.id, id === NONE ? null : id))}
          choices={gaugeChoices(river.stations)}
        />
      )}
    </>
  );
}

function Layers() {
  const { showWading, showDepths, showStructure, set } = useSettings();
  return (
    <>
      <Toggle pressed={showWading} onPress={() => set({ showWading: !showWading })}>
        Wading
      </Toggle>
      <Toggle pressed={showDepths} onPress={() => set({ showDepths: !showDepths })}>
        Depths
      </Toggle>
      <Toggle pressed={showStructure} onPress={() => set({ showStructure: !showStructure })}>
        Structure
      </Toggle>
    </>
  );
}

function Toggle({ pressed, onPress, children }: { pressed: boolean; onPress: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      onClick={onPress}
      className={`min-h-11 flex-1 rounded-md border border-line px-2 sm:flex-none sm:px-3 ${pressed ? "bg-ink text-paper" : "hover:bg-deep"}`}
    >
      {children}
    </button>
  );
}
