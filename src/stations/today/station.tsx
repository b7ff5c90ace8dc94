"use client";
import { useCallback, useMemo, useState } from "react";
import { DAY } from "../../core/gauge/series";
import type { Lie } from "../../core/fish/read";
import { changesOf } from "../../core/plan/changes";
import type { Plan, PlanWindow } from "../../core/plan/plan";
import { roundFlow } from "../../scenario/field";
import { nearestWater } from "../../scenario/plan-lies";
import { saveFile } from "../../state/files";
import { type Settings, useSettings } from "../../state/settings";
import { act } from "../../state/act";
import { type Safety, useSafety } from "../../state/use-cautions";
import { useFishes } from "../../state/use-fishes";
import { calendarFile, type Planning, usePlan } from "../../state/use-plan";
import { type River, useRiver } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { faultText } from "../../words/messages";
import { placeWords } from "../../words/place";
import { factorWords, planNoteWords, removedWords } from "../../words/plan";
import { dayKey } from "../../words/river";
import { Always } from "../cautions";
import { Answer } from "./answer";
import { PlanFilters, spanOf, type When } from "./plan-filters";
import { FirstSteps } from "./first-steps";
import { Hours } from "./hours";
import { Stalks } from "./stalks";
import { Why } from "./why";

/** Today: where to go, when, and why; and what would change that. */
export function TodayStation() {
  const { species: fish, system } = useSettings();
  const river = useRiver();
  const safety = useSafety(river);
  const fishes = useFishes();
  const [when, setWhen] = useState<When>("today");
  // The span is of the half hour: it does not move with each minute.
  const start = Math.floor(river.minute / (DAY / 48)) * (DAY / 48);
  const span = useMemo(() => spanOf(when, start), [when, start]);
  const species = fishes.of(fish).species;
  const planning = usePlan(river, species, span);
  const { plan, reaches, stages } = planning;
  const nameOf = useCallback((id: string) => reaches.find((one) => one.id === id)?.name ?? id, [reaches]);
  const first = plan?.windows[0];
  const fault = stages.find((stage) => stage.fault);
  const then = useThen(planning, first);
  if (river.ready && (river.reaches.length === 0 || river.stations.length === 0)) return <FirstSteps river={river} />;
  return (
    <div className="mx-auto max-w-6xl">
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
        <Answer
          plan={plan}
          nameOf={nameOf}
          lie={then}
          leave={safety.leave}
          reach={river.reach?.id}
          now={river.minute}
          pending={stages.some((stage) => stage.pending)}
        />
        {first && (
          <div className="flex gap-2 print:hidden">
            <Button onClick={() => print()}>Print</Button>
            <Button onClick={() => act(() => toCalendar(first, then, nameOf, river.minute))}>To calendar</Button>
          </div>
        )}
      </div>
      <PlanFilters when={when} onWhen={setWhen} river={river} />
      {fault?.fault && <FaultNote message={faultText(fault.fault, system)} onRetry={fault.retry} />}
      {!plan && !fault && (
        <p role="status" className="mt-6 text-soft">
          Working out the forecast …
        </p>
      )}
      {plan && (
        <Planned
          planning={planning}
          plan={plan}
          first={first}
          lie={then}
          river={river}
          safety={safety}
          nameOf={nameOf}
        />
      )}
      <Always className="mt-6" />
    </div>
  );
}

/** What was worked out: stalks, reasons, and every window in figures. */
function Planned({
  planning: { reaches, ask, lies },
  plan,
  first,
  lie,
  river,
  safety,
  nameOf,
}: {
  planning: Planning;
  plan: Plan;
  first: PlanWindow | undefined;
  lie: Lie | undefined;
  river: River;
  safety: Safety;
  nameOf: (reach: string) => string;
}) {
  const { system, set } = useSettings();
  const changes = useMemo(() => (ask ? changesOf(reaches, ask, plan) : []), [reaches, ask, plan]);
  const notThere = safety.leave && first?.reach === river.reach?.id;
  return (
    <>
      {plan.days.length > 0 && (
        <Stalks plan={plan} reaches={reaches} now={river.minute} system={system} chosen={first} />
      )}
      {lies.pending && (
        <p role="status" className="mt-1 text-sm text-soft">
          Some reaches are still being worked out. Their lies are not counted yet.
        </p>
      )}
      {first && (
        <Why
          plan={plan}
          first={first}
          changes={changes}
          nameOf={nameOf}
          lies={lies.value?.[first.reach]}
          told={first.reach === river.reach?.id ? safety.cautions.map(({ kind }) => kind) : []}
          onRig={
            lie && !notThere
              ? () => set({ reach: first.reach, lie: { x: lie.x, y: lie.y }, ...carried(first, lie, river.minute) })
              : undefined
          }
        />
      )}
      <LeftOut plan={plan} nameOf={nameOf} now={river.minute} />
      {plan.windows.length > 0 && <Hours plan={plan} nameOf={nameOf} />}
    </>
  );
}

/** A plan's hours and flow for the other stations: the river now where its window has begun. */
function carried(first: PlanWindow, { place }: Lie, now: number): Pick<Settings, "flow" | "planned"> {
  const { reach, from, to, visibleDepth, temperature } = first;
  if (from <= now) return { flow: null, planned: null };
  const discharge = roundFlow(first.discharge);
  return { flow: discharge, planned: { reach, from, to, discharge, visibleDepth, temperature, place } };
}

const LeftOut = ({ plan, nameOf, now }: { plan: Plan; nameOf: (reach: string) => string; now: number }) => (
  <ul className="mt-4 text-sm text-soft">
    {plan.removed.map((one) => (
      <li key={one.reach}>
        {nameOf(one.reach)} is left out: {removedWords(one.reason)}.
      </li>
    ))}
    {plan.notes.map((note) => (
      <li key={`${note.reach} ${note.what}`}>
        {nameOf(note.reach)}: {planNoteWords(note, now)}
      </li>
    ))}
  </ul>
);

/** Saves the first window as a calendar file, with its reasons. */
async function toCalendar(
  first: PlanWindow,
  lie: Lie | undefined,
  nameOf: (reach: string) => string,
  now: number,
): Promise<void> {
  const { system, height } = useSettings.getState();
  const reasons = first.factors.map((one) => factorWords(one, first, system, height)).filter(Boolean);
  const name = nameOf(first.reach);
  const entry = {
    id: `${first.reach}-${first.from}`,
    start: first.from,
    end: first.to,
    summary: name,
    location: name,
    description: [...reasons, ...(lie ? [`Start at: ${placeWords(lie.place)}`] : [])].join("\n"),
  };
  saveFile(`low-heron-${dayKey(first.from)}.ics`, await calendarFile([entry], now), "text/calendar");
}

/** The lie to start at: the best at the flow that the window has. */
function useThen({ lies }: Planning, window: PlanWindow | undefined) {
  return useMemo(() => {
    const known = window && lies.value?.[window.reach];
    if (!known) return undefined;
    return nearestWater(known, window)?.lies[0];
  }, [lies.value, window]);
}
