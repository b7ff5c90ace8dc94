"use client";
import { SlidersHorizontal } from "lucide-react";
import * as Popover from "radix-ui/popover";
import type { ReactNode } from "react";
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

const LIGHT_NOW = { day: "Light as now", twilight: "Dusk or dawn, as now", night: "Dark now: show daylight" } as const;

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
  const set = useSettings((settings) => settings.set);
  const fishes = useFishes();
  const shape = (
    <Toggle pressed={shaping} onPress={onShape}>
      Edit the bed
    </Toggle>
  );
  const light = <LightChoice now={river.light} />;
  const make = <Button onClick={onMake}>Add a reach</Button>;
  const own = river.reach && !river.reach.demo && river.stations.length > 0;
  // One row at every width: what does not fit stands behind its last button.
  return (
    <div className="mb-1 flex items-center gap-2">
      <ReachChoice river={river} />
      <Select
        label="Fish"
        hideLabel
        className="min-w-0 flex-1 sm:w-44 sm:flex-none"
        value={fish}
        onChange={(id) => set({ species: id, lie: null })}
        choices={choicesOf(
          fishes.list,
          (one) => one.id,
          (one) => one.name,
        )}
      />
      <div className="hidden items-center gap-2 xl:flex">
        <div className="w-40">{light}</div>
        <Layers />
      </div>
      {river.reach && <div className="hidden sm:block">{shape}</div>}
      <div className="ml-auto hidden xl:block">{make}</div>
      <div className={own ? "" : "xl:hidden"}>
        <More>
          <div className="xl:hidden">{light}</div>
          {own && <GaugeChoice river={river} />}
          <div className="flex flex-wrap gap-2 xl:hidden">
            <Layers />
          </div>
          <div className="flex flex-wrap gap-2">
            {river.reach && <div className="sm:hidden">{shape}</div>}
            <div className="xl:hidden">{make}</div>
          </div>
        </More>
      </div>
    </div>
  );
}

/** What the row has no room for. */
function More({ children }: { children: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="grid size-11 shrink-0 place-items-center rounded-md border border-edge hover:bg-deep">
        <SlidersHorizontal size={20} aria-hidden />
        <span className="sr-only">View options</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={12}
          className="z-30 grid w-[min(20rem,calc(100vw-1.5rem))] gap-3 rounded-md border border-edge bg-paper p-3 shadow-lg"
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function LightChoice({ now }: { now: River["light"] }) {
  const { light, set } = useSettings();
  return (
    <Select
      label="Light"
      hideLabel
      value={light}
      onChange={(value) => set({ light: value as typeof light })}
      choices={[
        { value: "auto", label: LIGHT_NOW[now] },
        { value: "day", label: "By day" },
        { value: "twilight", label: "Dusk or dawn" },
        { value: "night", label: "By night" },
      ]}
    />
  );
}

function ReachChoice({ river }: { river: River }) {
  const set = useSettings((settings) => settings.set);
  if (river.reaches.length === 0) return null;
  return (
    <Select
      label="Reach"
      hideLabel
      className="min-w-0 flex-1 sm:w-40 sm:flex-none"
      value={river.reach?.id ?? ""}
      onChange={(id) => set({ reach: id, station: null, flow: null, lie: null })}
      choices={choicesOf(
        river.reaches,
        (one) => one.id,
        (one) => one.reach.name,
      )}
    />
  );
}

const GaugeChoice = ({ river }: { river: River }) => (
  <Select
    label="Gauge of this reach"
    value={river.reach!.station ?? NONE}
    onChange={(id) => act(() => setGauge(database(), river.reach!.id, id === NONE ? null : id))}
    choices={gaugeChoices(river.stations)}
  />
);

const LAYERS = { wading: "Wading", depths: "Depths", structure: "Structure" } as const;

function Layers() {
  const { layer, set } = useSettings();
  return (Object.keys(LAYERS) as (keyof typeof LAYERS)[]).map((one) => (
    <Toggle key={one} pressed={layer === one} onPress={() => set({ layer: layer === one ? "none" : one })}>
      {LAYERS[one]}
    </Toggle>
  ));
}

function Toggle({ pressed, onPress, children }: { pressed: boolean; onPress: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      onClick={onPress}
      className={`min-h-11 rounded-md border border-edge px-3 whitespace-nowrap ${pressed ? "bg-ink text-paper" : "hover:bg-deep"}`}
    >
      {children}
    </button>
  );
}
