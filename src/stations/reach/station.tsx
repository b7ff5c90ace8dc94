"use client";
import { useState } from "react";
import { roundFlow } from "../../scenario/field";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import { readWithWords } from "./read-as";
import { showText, type UnitSystem } from "../../words/quantity";
import { HOLDS_KEY, NOT_AHEAD } from "../../words/robustness";
import { Panel } from "../../widgets/panel";
import { BedPanels } from "./bed-panels";
import { FishPanel } from "./fish-panel";
import { FlowSlider } from "./flow-slider";
import { GroundBar, useHere } from "./ground-bar";
import { LieList } from "./lie-list";
import { ReachMap } from "./plan";
import { SeasonLine } from "./season-line";
import { SectionPanel } from "./section-panel";
import { Status } from "./status";
import { ReachToolbar } from "./toolbar";
import { useWantedDepths } from "./use-wanted-depths";
import { readyShaping } from "./use-bed-editor";
import { useUnderlay } from "./use-underlay";
import { type ReachView, useReachView } from "./use-reach-view";
import { WaterWords } from "./water-words";
import { whereNear } from "./where-near";
import { WhyPanel } from "./why-panel";
import { later, laterDialog } from "../../widgets/later";
import type { Lie } from "../../core/fish/read";
import type { Feature } from "../../core/flow/reach-schema";
import type { Numbered } from "../../scenario/lie-identity";
import { kindWords } from "../../words/lie";
import { placeWords, whereaboutsWords } from "../../words/place";
import { seasonWords } from "../../words/river";
import { inSentence } from "../../words/text";

const NO_FEATURES: readonly Feature[] = [];
const NewReach = laterDialog(() => import("./new-reach").then((one) => one.NewReach));
const SoundingsDialog = laterDialog(() => import("./soundings-dialog").then((one) => one.SoundingsDialog));
const ProfileDialog = later(() => import("./profile-dialog").then((one) => one.ProfileDialog));

/** Reach: the river from above at a flow, its seams, its lies. */
export function ReachStation() {
  const view = useReachView();
  const [making, setMaking] = useState<"reach" | "soundings" | undefined>();
  const [shaping, setShaping] = useState(false);
  const { river, fish } = view.scenario;
  const system = useSettings((settings) => settings.system);
  const close = (open: boolean) => !open && setMaking(undefined);
  return (
    <div className="mx-auto max-w-[1400px]">
      <h1 className="sr-only">
        {river.reach
          ? `${river.reach.reach.name} at ${showText(view.scenario.conditions.discharge, "discharge", system)}`
          : "Reach"}
      </h1>
      <ReachToolbar
        river={river}
        fish={fish.id}
        shaping={shaping}
        onShape={() => {
          act(readyShaping);
          view.editor?.endPreview();
          setShaping(!shaping);
        }}
        onMake={() => setMaking("reach")}
      />
      {river.reach ? (
        <Looked view={view} shaping={shaping} />
      ) : (
        <p className="rounded-md border border-line p-4">
          No reach yet. Add one from a template, or open a reach file.
        </p>
      )}
      <NewReach
        open={making === "reach"}
        onOpenChange={close}
        stations={river.stations}
        onSoundings={() => setMaking("soundings")}
      />
      <SoundingsDialog open={making === "soundings"} onOpenChange={close} stations={river.stations} />
    </div>
  );
}

/** The reach that is looked at: plan, what it says, the flow, and the lies. */
function Looked({ view, shaping }: { view: ReachView; shaping: boolean }) {
  const { system, set } = useSettings();
  const { scenario, scale, precomputed } = view;
  const { river, field, conditions } = scenario;
  const underlay = useUnderlay(river.reach);
  const [through, setThrough] = useState(0.5);
  const locator = useHere(river.reach);
  const wanted = useWantedDepths(view);
  return (
    <>
      <div className="-mx-4 lg:-mx-6">
        {field.shown ? (
          <ReachMap
            view={view}
            shown={field.shown.field}
            editor={shaping ? view.editor : undefined}
            underlay={underlay && { ...underlay, through }}
            here={locator.here}
            wanted={shaping ? undefined : wanted.stage.value?.places}
          />
        ) : (
          <div className="grid h-60 place-items-center text-soft">{field.fault ? "" : "Working out the flow …"}</div>
        )}
      </div>
      <GroundBar
        view={view}
        slider={underlay && { through, onChange: setThrough }}
        locator={locator}
        wanted={shaping ? undefined : wanted}
      />
      {!shaping && scenario.lie && <ChosenLie lie={scenario.lie} system={system} />}
      <BedPanels view={view} shaping={shaping} wanted={wanted} />
      <FlowSlider
        flow={conditions.discharge}
        scale={scale}
        solved={field.solved.map((one) => one.discharge)}
        precomputed={precomputed.flows}
        now={river.now?.discharge ?? null}
        at={{
          solving: field.progress !== undefined,
          season: scenario.isNow && river.now ? seasonWords(river.now) : undefined,
        }}
        system={system}
        onChange={(q) => set({ flow: q })}
        onNow={() => set({ flow: null })}
      >
        <Status view={scenario} />
      </FlowSlider>
      {!scenario.isNow && river.now?.discharge != null && !river.stale && (
        <p role="status" className="mt-2 text-soft">
          {readWithWords(conditions, system)}
        </p>
      )}
      <Lies view={view} />
    </>
  );
}

/** The lie that was pressed, beside the plan. */
function ChosenLie({ lie, system }: { lie: Numbered<Lie>; system: UnitSystem }) {
  return (
    <div className="mt-1 flex items-baseline gap-x-4">
      <p role="status">
        <strong>
          Lie {lie.number}: {inSentence(placeWords(lie.place))}
        </strong>{" "}
        <span className="text-sm text-soft">
          {kindWords(lie)}, {whereaboutsWords(lie.whereabouts, system)}
        </span>
      </p>
      <a href="#why-this-lie" aria-label="Why this lie" className="tap ml-auto shrink-0 underline lg:hidden">
        why
      </a>
    </div>
  );
}

/** The lies in words, the chosen one in full, and fish against the model. */
function Lies({ view }: { view: ReachView }) {
  const { system, ahead, set } = useSettings();
  const { nameOf } = useFishes();
  const [changing, setChanging] = useState(false);
  const { scenario, fishHere, against, probe } = view;
  const { fish, living, conditions, lie } = scenario;
  const reading = scenario.reading.value;
  if (!reading) return null;
  const where = (place: readonly [number, number]) =>
    whereNear(reading.of.field, scenario.river.reach?.reach.features ?? NO_FEATURES, place, system);
  if (!lie)
    return (
      <>
        <p className="mt-4 rounded-md border border-line p-4">
          No spot stands out for a {fish.name.toLowerCase()} at{" "}
          {showText(roundFlow(reading.of.field.discharge), "discharge", system)}: the water is too shallow, too fast or
          all much the same.
        </p>
        <WaterWords reading={reading} system={system} where={where} />
      </>
    );
  return (
    <>
      <div className="mt-3 grid gap-x-8 gap-y-6 lg:grid-cols-[1.1fr_1.1fr_1fr]">
        <Panel
          className="flex flex-col"
          title={`Lies for ${fish.name.toLowerCase()}`}
          aside={
            <button type="button" className="-my-3 min-h-11 text-sm underline" onClick={() => setChanging(true)}>
              {fish.profile ? "Edit this species" : "Customise this species"}
            </button>
          }
        >
          <SeasonLine
            fish={fish}
            way={living.way}
            temperature={conditions.temperature}
            system={system}
            lies={reading.lies}
          />
          <LieList
            lies={reading.lies}
            chosen={lie.number}
            robustness={view.robustness}
            onChoose={({ x, y }) => set({ lie: { x, y } })}
            system={system}
          />
          {view.robustness && <p className="mt-2 text-sm text-soft">{HOLDS_KEY}</p>}
          {!view.robustness && ahead === "none" && <p className="mt-2 text-sm text-soft">{NOT_AHEAD}</p>}
          <div className="mt-auto">
            <WaterWords reading={reading} system={system} where={where} />
          </div>
        </Panel>
        <SectionPanel view={view} reading={reading} lie={lie} />
        <WhyPanel view={view} lie={lie} />
      </div>
      <FishPanel catches={fishHere} against={against} lie={lie} probe={probe.place} system={system} nameOf={nameOf} />
      {changing && <ProfileDialog key={fish.id} fish={fish} onClose={() => setChanging(false)} />}
    </>
  );
}
