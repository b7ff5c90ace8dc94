"use client";
import { isWarmFor } from "../../state/use-cautions";
import { useLiveAnswer } from "../../state/live-answer";
import { useState } from "react";
import type { Bank as BankSide } from "../../core/book/bank-records";
import { judgeFish, keptToday } from "../../core/book/rules-for";
import { type Catch, FINS, SEAM_SIDES, TAKE_PHASES } from "../../core/book/records";
import { fishWeights } from "../../core/book/weights";
import { act, perform } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import type { Bank } from "../../state/use-bank";
import { useFishes } from "../../state/use-fishes";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { goOn, observe } from "../../store/bank";
import { database } from "../../store/database";
import { type CatchDetails, catchesAbout, patchCatch } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { CommitField } from "../../widgets/commit-field";
import { later } from "../../widgets/later";
import { readWith } from "../../widgets/read-with";
import { FIN_WORDS, PHASE_WORDS, SIDE_WORDS } from "../../words/fish";
import { entryText, entryUnit, showText } from "../../words/quantity";
import { clock, dayKey, stateWords } from "../../words/river";
import { judgedWords } from "../../words/rules";
import { sizeEntry } from "../log/catch-entries";
import { Photos } from "../log/photos";
import { FishSketch } from "./fish-sketch";
import { LastAction } from "./last-action";
import type { BankActions } from "./use-bank-action";

const CatchDialog = later(() => import("../log/catch-dialog").then((one) => one.CatchDialog));

const OwnPlace = later(() => import("./own-place").then((one) => one.OwnPlace));

/** The fish that was just landed: what decides first, the line through the fingers, and on. The rest can wait. */
export function Landed({
  bank,
  view,
  side,
  actions,
}: {
  bank: Bank;
  view: ScenarioView;
  /** Bank that is fished from; both where that is not known. */
  side: BankSide;
  actions: BankActions;
}) {
  const fish = bank.catches.findLast((one) => one.lost === undefined);
  const { session } = bank;
  const [whole, setWhole] = useState(false);
  if (!fish)
    return (
      <Button
        tone="next"
        className="min-h-16"
        onClick={() => act(() => perform(() => goOn(database(), session, clockNow())))}
      >
        Resume fishing
      </Button>
    );
  const say = (details: CatchDetails) => act(() => patchCatch(database(), fish, details));
  const on = (kept: boolean) =>
    actions.run(kept ? "kept" : "released", (at) => goOn(database(), session, at, { fish: fish.id, kept }));
  return (
    <section aria-label="The fish" className="mx-auto max-w-xl pb-4">
      <Title fish={fish} bank={bank} />
      <Judgement fish={fish} bank={bank} view={view} side={side} />
      <Size fish={fish} onSay={say} />
      <LineCheck bank={bank} fish={fish} />
      <div className="mt-3 grid gap-2.5">
        <Button tone="ink" className="min-h-16 text-xl" onClick={() => on(false)}>
          Released, repeat the cast
        </Button>
        <Button className="min-h-14" onClick={() => on(true)}>
          Kept, repeat the cast
        </Button>
      </div>
      <LastAction actions={actions} />
      <Facts fish={fish} onSay={say} />
      <Photos fish={fish.id} />
      {view.river.reach?.id === bank.session.reach && view.field.shown && (
        <OwnPlace fish={fish} record={view.river.reach} field={view.field.shown.field} />
      )}
      <button type="button" className="mt-1 min-h-12 underline" onClick={() => setWhole(true)}>
        All details
      </button>
      {whole && <CatchDialog fish={fish} onClose={() => setWhole(false)} />}
    </section>
  );
}

function Title({ fish, bank }: { fish: Catch; bank: Bank }) {
  const { nameOf } = useFishes();
  const { system } = useSettings();
  const at = Date.parse(fish.at);
  const first = bank.stretches.find((one) => one.lie === fish.lie);
  const minutes = first ? Math.round((at - Date.parse(first.start)) / 60_000) : undefined;
  return (
    <>
      <p className="text-soft tabular-nums">
        Landed {clock(at)}
        {fish.cast ? ` · cast ${fish.cast}` : ""}
        {minutes !== undefined ? ` · ${minutes} min after you arrived` : ""}
        {fish.angler ? ` · ${fish.angler}` : ""}
      </p>
      <h1 className="text-2xl">
        {nameOf(fish.species)}
        {fish.length !== null ? `, ${showText(fish.length, "fishLength", system)}` : ""}
      </h1>
      <FishSketch length={fish.length === null ? undefined : showText(fish.length, "fishLength", system)} />
    </>
  );
}

/** Keep or release, with the rule that decides. */
function Judgement({ fish, bank, view, side }: { fish: Catch; bank: Bank; view: ScenarioView; side: BankSide }) {
  const { system } = useSettings();
  const { of } = useFishes();
  // A bag is of a day, whatever the session.
  const kept = useLiveAnswer(
    async () => keptToday(await catchesAbout(database(), Date.parse(fish.at)), fish, dayKey),
    [fish.id, fish.at, fish.species, fish.angler],
  );
  if (kept === undefined) return null;
  const where = { reach: bank.session.reach, bank: side };
  const words = judgedWords(judgeFish(bank.rules, fish, where, kept, dayKey(fish.at)), fish.length !== null, system);
  const warm = isWarmFor(of(fish.species).species, view.river);
  return (
    <div role="status" className="my-2 border-l-4 border-double border-clay pl-3">
      <p className="text-lg font-semibold">{words.decision}</p>
      <p className="text-soft">{words.standing}</p>
      {warm && (
        <p className="font-semibold">
          ▲ The water is too warm for this fish. Release it at once and stop fishing for it.
        </p>
      )}
    </div>
  );
}

/** What decides, each kept as it is said. */
function Size({ fish, onSay }: { fish: Catch; onSay: (details: CatchDetails) => void }) {
  const { system } = useSettings();
  const { of } = useFishes();
  const weights =
    fish.length === null
      ? undefined
      : fishWeights({ species: of(fish.species).base, length: fish.length, lengthKind: fish.lengthKind });
  return (
    <div className="mt-2 grid gap-3">
      <div className="grid grid-cols-2 gap-3">
        <CommitField
          label={`Length, ${entryUnit("fishLength", system)}`}
          shown={fish.length === null ? "" : entryText(fish.length, "fishLength", system)}
          read={readWith(sizeEntry("fishLength", "length", 3.99, system))}
          onKeep={(length: number | null) => onSay({ length })}
        />
        <CommitField
          label={`Weight, ${entryUnit("fishMass", system)}`}
          hint={
            weights?.standardWeight
              ? `about ${showText(weights.standardWeight, "fishMass", system)} in average condition`
              : undefined
          }
          shown={fish.weight === undefined ? "" : entryText(fish.weight, "fishMass", system)}
          read={readWith(sizeEntry("fishMass", "mass", 499, system))}
          onKeep={(weight: number | null) => onSay({ weight: weight ?? undefined })}
        />
      </div>
      <Chips label="Adipose fin" values={FINS} words={FIN_WORDS} value={fish.fin} onPick={(fin) => onSay({ fin })} />
    </div>
  );
}

/** What can wait. */
function Facts({ fish, onSay }: { fish: Catch; onSay: (details: CatchDetails) => void }) {
  const { system } = useSettings();
  return (
    <div className="mt-4 grid gap-3">
      <Chips
        label="It took"
        values={TAKE_PHASES}
        words={PHASE_WORDS}
        value={fish.phase}
        onPick={(phase) => onSay({ phase })}
      />
      <Chips
        label="Side of the seam"
        values={SEAM_SIDES}
        words={SIDE_WORDS}
        value={fish.side}
        onPick={(side) => onSay({ side })}
      />
      <p className="text-soft">
        {[fish.lie, [fish.lure, fish.colour].filter(Boolean).join(", "), fish.piece].filter(Boolean).join(" · ")}
        {fish.river ? ` · ${stateWords(fish.river, system)}` : ""}
      </p>
    </div>
  );
}

/** One of a few, pressed again to take it back. */
function Chips<T extends string>({
  label,
  values,
  words,
  value,
  onPick,
}: {
  label: string;
  values: readonly T[];
  words: Record<T, string>;
  value: T | undefined;
  onPick: (value: T | undefined) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-soft">{label}</legend>
      <div className="flex flex-wrap gap-2">
        {values.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={value === one}
            onClick={() => onPick(value === one ? undefined : one)}
            className="min-h-12 rounded-md border border-edge px-3 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
          >
            {words[one]}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

/** After each fish: the last yards through the fingers. */
function LineCheck({ bank, fish }: { bank: Bank; fish: Catch }) {
  const done = bank.observations.find((one) => one.kind === "line" && Date.parse(one.at) >= Date.parse(fish.at));
  const note = (what: "smooth" | "retied") =>
    act(() =>
      perform(() =>
        observe(
          database(),
          bank.session,
          "line",
          { what, stretch: fish.stretch ?? null, lie: fish.lie, angler: fish.angler ?? "" },
          clockNow(),
        ),
      ),
    );
  return (
    <div className="mt-2">
      <p className="font-semibold">Check the last few yards of line.</p>
      {done ? (
        <p role="status" className="min-h-12 text-soft">
          {done.what === "smooth" ? "Smooth." : "Frayed: retied."}
        </p>
      ) : (
        <div className="mt-1 flex flex-wrap gap-2.5">
          <Button className="min-h-12" onClick={() => note("smooth")}>
            Line smooth
          </Button>
          <Button className="min-h-12" onClick={() => note("retied")}>
            Frayed: retied
          </Button>
        </div>
      )}
    </div>
  );
}
