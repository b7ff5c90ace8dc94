"use client";
import { isWarmFor } from "../../state/use-cautions";
import { useFishes } from "../../state/use-fishes";
import { useEffect, useMemo, useState } from "react";
import type { LostCause } from "../../core/book/records";
import { castsOf, visitOf } from "../../core/book/spot-so-far";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import type { Bank } from "../../state/use-bank";
import type { Rigging } from "../../state/scenario/use-rigging";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { endFight, noFish } from "../../store/bank";
import { database } from "../../store/database";
import { soundedNow } from "../../state/use-sounder";
import { landWords, pullWords } from "../../words/session";
import { FightPicture } from "./fight-picture";
import type { BankActions } from "./use-bank-action";

const CAUSES: readonly (readonly [LostCause, string])[] = [
  ["pulled-out", "Pulled out"],
  ["straightened", "Straightened"],
  ["broke", "Broke"],
  ["frayed", "Frayed"],
  ["snagged", "Snagged"],
  ["at-the-net", "At the net"],
];

/** A fish is on: nothing but what to do now, where to land it, and how it ended. */
export function FishOn({
  bank,
  view,
  rigging,
  on,
  actions,
}: {
  bank: Bank;
  view: ScenarioView;
  rigging: Rigging;
  on: NonNullable<Bank["session"]["on"]>;
  actions: BankActions;
}) {
  const system = useSettings((settings) => settings.system);
  const since = useSince(on.at);
  const { approach, way } = rigging;
  const stand = standOf(rigging);
  const fish = useFishes().of(bank.session.species);
  const warm = isWarmFor(fish.species, view.river);
  const { field } = view;
  const { session } = bank;
  const cast = useMemo(() => castsOf(visitOf(bank.stretches, on.rod)), [bank.stretches, on.rod]);
  const outcome = (told: string, lost?: LostCause) => {
    const sounded = soundedNow();
    const details = { ...(lost && { lost }), ...(cast > 0 && { cast }), ...(sounded && { sounded }) };
    actions.run(told, async (at) => (await endFight(database(), session, details, at)).undo);
  };
  return (
    <section
      aria-label="A fish is on"
      className="-mx-4 -mt-3 -mb-24 min-h-[calc(100dvh-9rem)] bg-[#1f2d36] px-4 pt-4 pb-24 text-[#f4f0e6] glare:bg-black glare:text-white sm:mx-0 sm:mb-0 sm:rounded-lg sm:p-6"
    >
      <p className="tabular-nums opacity-80">
        Fish on · {since}
        {bank.open.length > 0 || session.rods > 1 ? ` · rod ${on.rod}` : ""}
      </p>
      <h1 className="mt-1 text-3xl leading-tight">
        {warm ? "Don’t play it out: the water is too warm." : pullWords(approach.value?.wood)}
      </h1>
      <p className="mt-2 text-lg">{landWords(approach.value ? (stand?.landing ?? null) : undefined, system)}</p>
      {field.shown && stand && view.lie && (
        <FightPicture
          field={field.shown.field}
          features={view.request.features ?? []}
          stand={[stand.x, stand.y]}
          fish={[view.lie.x, view.lie.y]}
          landing={stand.landing}
        />
      )}
      <p className="mt-3 opacity-85">
        If it digs in: get downstream of it, or to its other side, and pull from behind. Don’t break off.{" "}
        {warm ? pullWords(approach.value?.wood) : ""} Wet hands, a rubber net, and keep the fish in the water while you
        decide.
      </p>
      <button
        type="button"
        onClick={() => outcome("landed")}
        className="mt-3 min-h-16 w-full rounded-lg bg-[#a4560a] text-2xl font-semibold text-white glare:bg-[#7a3300]"
      >
        Landed
      </button>
      <h2 className="mt-2 mb-1 text-base font-normal opacity-80">Lost, because</h2>
      <div className="grid grid-cols-3 gap-2">
        {CAUSES.map(([cause, label]) => (
          <button
            key={cause}
            type="button"
            onClick={() => outcome(`lost: ${label.toLowerCase()}`, cause)}
            className="min-h-14 rounded-lg border border-current px-1 font-semibold"
          >
            {label}
          </button>
        ))}
      </div>
      <button
        type="button"
        className="mt-3 min-h-12 underline"
        onClick={() => actions.run("false alarm", (at) => noFish(database(), session, at))}
      >
        False alarm
      </button>
      {!way && rigging.ways.pending && <p className="sr-only">Working out where to land it …</p>}
    </section>
  );
}

/** The stand that is fished from: of the way that was chosen, or the first. */
export function standOf({ approach, way }: Rigging) {
  const stands = approach.value?.stands ?? [];
  return stands.find(({ x, y }) => way && x === way.from[0] && y === way.from[1]) ?? stands[0];
}

/** "0:48" since an instant, each second. */
function useSince(instant: string): string {
  const [now, setNow] = useState(clockNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(clockNow()), 1000);
    return () => clearInterval(timer);
  }, []);
  const seconds = Math.max(0, Math.floor((now - Date.parse(instant)) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}
