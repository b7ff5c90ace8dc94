"use client";
import Link from "next/link";
import { useEffect, useMemo } from "react";
import { lieAt } from "../../scenario/lie-identity";
import { type Bank, useBank, useLitScreen, useSettled } from "../../state/use-bank";
import { useRigging } from "../../state/scenario/use-rigging";
import { type ScenarioView, useScenario } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { Always } from "../cautions";
import { FishOn, standOf } from "./fish-on";
import { Fishing } from "./fishing";
import { Landed } from "./landed";
import { useBankAction } from "./use-bank-action";
import { Starting } from "./starting";

/** Session: the hours on the bank, in one hand. */
export function SessionStation() {
  const view = useScenario();
  const bank = useBank();
  const { river } = view;
  const session = bank?.session;
  useSettled(session, river.minute);
  useLitScreen(session !== undefined);
  if (bank === undefined)
    return (
      <p role="status" className="p-6 text-soft">
        Opening the session …
      </p>
    );
  const elsewhere = session && river.reach && session.reach !== river.reach.id;
  return (
    <div className="mx-auto max-w-5xl">
      {!river.reach ? (
        <p className="rounded-md border border-line p-4">
          No reach yet.{" "}
          <Link href="/reach" className="underline">
            Add one on Reach
          </Link>
          , then fish it.
        </p>
      ) : (
        <>
          {elsewhere && <Elsewhere reach={session.reach} view={view} />}
          <AtSpot key={elsewhere ? "elsewhere" : "here"} view={view} bank={bank} here={!elsewhere} />
        </>
      )}
      {session && !session.on && <Always className="mx-auto max-w-xl border-t border-line pt-2" />}
    </div>
  );
}

/** The session at the lie that its first rod fishes, or at the one that is chosen before it begins. */
function AtSpot({ view, bank, here }: { view: ScenarioView; bank: Bank | null; here: boolean }) {
  const lies = here ? view.reading.value?.lies : undefined;
  const place = bank ? placeOf(bank) : undefined;
  const fished = bank ? place && lies && lieAt(lies, place) : view.lie;
  const at = useMemo(() => ({ ...view, lie: fished }), [view, fished]);
  const rigging = useRigging(at, fished);
  const actions = useBankAction();
  // What takes the place of the casts is read from its top.
  const stage = stageOf(bank);
  useEffect(() => {
    if (stage !== "casts") scrollTo(0, 0);
  }, [stage]);
  if (!bank) return <Starting view={at} lie={fished} rigging={rigging} />;
  if (bank.session.on) return <FishOn bank={bank} view={at} rigging={rigging} on={bank.session.on} actions={actions} />;
  if (stage === "landed")
    return <Landed bank={bank} view={at} actions={actions} side={standOf(rigging)?.whereabouts.bank?.side ?? "both"} />;
  return <Fishing bank={bank} view={at} rigging={rigging} actions={actions} />;
}

/** Where the rod in the hand fishes, or fished last. */
const placeOf = ({ open, stretches }: Bank) =>
  (open.find((one) => !one.fixed) ?? open[0] ?? stretches.at(-1))?.place ?? undefined;

const stageOf = (bank: Bank | null): "on" | "landed" | "casts" =>
  bank?.session.on ? "on" : bank?.session.paused?.why === "fish" ? "landed" : "casts";

/** Another reach is looked at than the one that is fished: its flow and lies are not those of the session. */
function Elsewhere({ reach, view }: { reach: string; view: ScenarioView }) {
  const set = useSettings((settings) => settings.set);
  const own = view.river.reaches.find((one) => one.id === reach);
  if (!own) return null;
  return (
    <p className="mx-auto mb-3 max-w-xl rounded-md border border-edge p-3">
      You fish {own.reach.name}, and {view.river.reach!.reach.name} is shown.{" "}
      <button type="button" className="min-h-11 underline" onClick={() => set({ reach, flow: null, lie: null })}>
        Back to {own.reach.name}
      </button>
    </p>
  );
}
