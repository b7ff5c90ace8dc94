"use client";
import { choicesOf } from "../../words/text";
import { useLiveAnswer } from "../../state/live-answer";
import { useMemo, useState } from "react";
import { HORIZON } from "../../core/gauge/forecast";
import { type RightWindow, rightWindow } from "../../core/gauge/right-window";
import { HOUR } from "../../core/gauge/series";
import { lastInstant } from "../../core/gauge/summary";
import { type FlowLimits, flowLimits, stateNow, verdictOf } from "../../core/gauge/verdict";
import type { Outlook } from "../../core/gauge/outlook";
import { database } from "../../store/database";
import { blankWater } from "../../store/gauges";
import type { Stage } from "../../state/query";
import { useSettings } from "../../state/settings";
import { useOutlook, useSkill } from "../../state/use-outlook";
import { gaugedFlow, type River, useRiver } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { Select } from "../../widgets/select";
import { faultText } from "../../words/messages";
import type { UnitSystem } from "../../words/quantity";
import { nowWords } from "../../words/river";
import { verdictWords, windowWords } from "../../words/verdict";
import { RecessionPanel } from "./recession-panel";
import { NowFigures } from "./now-figures";
import { ReadingsPanel } from "./readings-panel";
import { SkyPanel } from "./sky-panel";
import { SpotsPanel } from "./spots-panel";
import { WarmthPanel } from "./warmth-panel";
import { later, laterDialog } from "../../widgets/later";

/** Charts are the heaviest part of the station: its figures are there before them. */
const Chart = later(() => import("./chart").then((one) => one.Chart), <div className="h-[420px]" />);
const ImportGauge = laterDialog(() => import("./import-gauge").then((one) => one.ImportGauge));
const WaterDialog = later(() => import("./water-dialog").then((one) => one.WaterDialog));

/** Water: what the river is doing, what it will do, and when to go. */
export function WaterStation() {
  const { system, station: picked } = useSettings();
  const river = useRiver(picked);
  const [dialog, setDialog] = useState<"import" | "water" | undefined>();
  const { station, gauge, now } = river;
  const water = useWater(station?.id);
  const at = now && Date.parse(now.at);
  // The outlook is worked out anew when a reading comes, not each minute.
  const last = gauge ? (lastInstant(gauge) ?? undefined) : undefined;
  const outlook = useOutlook(gauge, last, river.atReach);
  const window = useRightWindow(outlook.value, water);
  const skill = useSkill(gauge, river.atReach, Boolean(outlook.value));
  return (
    <div className="mx-auto max-w-6xl">
      <Heading river={river} onDialog={setDialog}>
        {water && <Verdict river={river} limits={flowLimits(water.bands)} window={window} system={system} />}
      </Heading>
      {now && gauge && (
        <NowFigures now={now} gauge={gauge} outlook={outlook.value} stale={river.stale} system={system} />
      )}
      {gauge && at !== undefined ? (
        <Chart river={river} outlook={outlook.value} window={window} at={at} system={system} />
      ) : (
        <p className="mt-6 rounded-md border border-line p-4">
          {station
            ? "This gauge has no readings yet."
            : "Open a gauge file to see the river’s flow here. You can use reaches without one, at any flow."}
        </p>
      )}
      {gauge && at !== undefined && water && (
        <div className="mt-8 grid grid-cols-1 items-start gap-x-10 gap-y-8 lg:grid-cols-2">
          <div className="grid grid-cols-1 gap-8">
            <Ahead outlook={outlook}>
              {(found) => (
                <>
                  <RecessionPanel outlook={found} skill={skill.value} now={at} system={system} />
                  {skill.fault && <FaultNote message={faultText(skill.fault, system)} onRetry={skill.retry} />}
                  {now && now.waterTemperature !== null && (
                    <WarmthPanel
                      temperature={now.waterTemperature}
                      outlook={found}
                      altitude={water.altitude}
                      now={at}
                      system={system}
                    />
                  )}
                </>
              )}
            </Ahead>
          </div>
          <div className="grid grid-cols-1 gap-8">
            <SkyPanel
              place={placeOf(station)}
              barometer={outlook.value?.barometer ?? null}
              tide={water.constituents}
              now={river.minute}
              system={system}
            />
            <SpotsPanel water={water} now={now} system={system} />
            <ReadingsPanel
              station={station!.id}
              reach={river.reach}
              fit={gauge.clarityFit}
              flow={gaugedFlow(river)}
              system={system}
            />
          </div>
        </div>
      )}
      <ImportGauge
        open={dialog === "import"}
        onOpenChange={(open) => setDialog(open ? "import" : undefined)}
        stations={river.stations}
      />
      {dialog === "water" && station && water && (
        <WaterDialog
          station={station}
          water={water}
          reach={river.reach?.station === station.id ? river.reach : undefined}
          onClose={() => setDialog(undefined)}
        />
      )}
    </div>
  );
}

const placeOf = (station: River["station"]) =>
  station?.latitude != null && station.longitude != null
    ? { latitude: station.latitude, longitude: station.longitude }
    : undefined;

/** What is known of the water of a gauge: blank until something was said; undefined until the database has answered. */
function useWater(station: string | undefined) {
  const stored = useLiveAnswer(
    async () => (station ? ((await database().waters.get(station)) ?? null) : null),
    [station],
  );
  return useMemo(
    () => (stored && !stored.deleted ? stored : station && stored !== undefined ? blankWater(station) : undefined),
    [stored, station],
  );
}

/** Hours ahead that a window is looked for in. */
const WINDOW_HOURS = HORIZON / HOUR;

/** When the river is likely to be right, within the angler's own limits; undefined until the forecast is there. */
const useRightWindow = (outlook: Outlook | null | undefined, water: ReturnType<typeof useWater>) =>
  useMemo(
    () => (outlook?.flow && water ? rightWindow(outlook, flowLimits(water.bands), WINDOW_HOURS) : undefined),
    [outlook, water],
  );

/** Is the river right, and when will it be, in two sentences. */
function Verdict({
  river: { now, stale },
  limits,
  window,
  system,
}: {
  river: River;
  limits: FlowLimits;
  window: RightWindow | null | undefined;
  system: UnitSystem;
}) {
  if (!now || stale) return null;
  const judged = verdictOf(stateNow(now), limits);
  return (
    <p className="mt-1" aria-live="polite">
      {judged && <strong>{verdictWords(judged, system)} </strong>}
      {window !== undefined && windowWords(window, Date.parse(now.at))}
    </p>
  );
}

/** The gauge by name, the river in a sentence, and what can be opened. */
function Heading({
  river,
  onDialog,
  children,
}: {
  river: River;
  onDialog: (dialog: "import" | "water") => void;
  children: React.ReactNode;
}) {
  const { system, height, set } = useSettings();
  const { station, now } = river;
  return (
    <div className="mb-4 flex flex-wrap items-start justify-between gap-3">
      <div className="max-w-2xl">
        <h1 className="text-2xl">{station?.name ?? "No gauge for this reach"}</h1>
        {now && <p className="mt-1 text-lg">{nowWords(now, { stale: river.stale, system, height })}</p>}
        {children}
      </div>
      <div className="flex flex-wrap items-end gap-2">
        {river.stations.length > 1 && station && (
          <Select
            label="Gauge"
            hideLabel
            className="w-56"
            value={station.id}
            onChange={(id) => set({ station: id })}
            choices={choicesOf(
              river.stations,
              (one) => one.id,
              (one) => one.name,
            )}
          />
        )}
        {station && <Button onClick={() => onDialog("water")}>Water settings</Button>}
        <Button onClick={() => onDialog("import")}>Open a gauge file</Button>
      </div>
    </div>
  );
}

/** What hangs on the outlook: while it is worked out, when that failed, and when it is there. */
function Ahead({
  outlook,
  children,
}: {
  outlook: Stage<Outlook | null>;
  children: (found: Outlook) => React.ReactNode;
}) {
  const system = useSettings((settings) => settings.system);
  if (outlook.fault) return <FaultNote message={faultText(outlook.fault, system)} onRetry={outlook.retry} />;
  if (outlook.value) return children(outlook.value);
  return outlook.value === null ? null : (
    <p role="status" className="text-soft">
      Working out the forecast …
    </p>
  );
}
