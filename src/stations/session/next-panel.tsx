"use client";
import Link from "next/link";
import { type NextStep, nextStep, type SpotSoFar } from "../../core/tactics/next-step";
import { MINUTE } from "../../core/gauge/series";
import { message, type Message } from "../../core/quantity/message";
import type { Colour } from "../../core/tactics/lure-kinds";
import type { Fished, EffortInterval, RigRecord } from "../../core/book/bank-records";
import { useSettings } from "../../state/settings";
import type { Bank } from "../../state/use-bank";
import type { Rigging } from "../../state/scenario/use-rigging";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { changeRig, observe } from "../../store/bank";
import { database } from "../../store/database";
import { fishSpot } from "../../store/effort-intervals";
import { Button } from "../../widgets/button";
import { setWords, wayName } from "../../words/methods";
import { messageText } from "../../words/messages";
import { COLOUR_NAMES } from "../../words/rig";
import { LINE_WORDS, ZONE_WORDS } from "../../words/session";
import type { UnitSystem } from "../../words/quantity";
import type { Retrieve } from "../../core/tactics/retrieve-kinds";
import type { Style } from "../../core/tactics/time";
import { capital, inSentence } from "../../words/text";
import type { nextTarget } from "./cast-plan";
import { useKey } from "./use-key";
import { isRigged, spotOf, tackleOf } from "./fished-by";
import { MoveDialogButton } from "./move-dialog";
import type { BankActions } from "./use-bank-action";

/** How long it has been fished, what to do next and why: taken, or overruled. */
export function NextPanel({
  bank,
  view,
  rigging,
  rod,
  soFar,
  next,
  actions,
}: {
  bank: Bank;
  view: ScenarioView;
  rigging: Rigging;
  rod: EffortInterval | undefined;
  soFar: SpotSoFar;
  next: ReturnType<typeof nextTarget>;
  actions: BankActions;
}) {
  const { system, style } = useSettings();
  const { way } = rigging;
  const timing = timingOf(rigging, rod);
  const { other, step } = stepOf(rigging, rod, soFar, style);
  const wanted = toTieOn(view, rigging, rod, soFar, system);
  const said = { stretch: rod?.id ?? null, lie: rod?.lie ?? "", place: rod?.place ?? null, angler: rod?.angler ?? "" };
  const answer = (change: Message, accepted: boolean) => {
    if (!rod) return;
    actions.run(accepted ? `changed: ${messageText(change, system)}` : "not changed", (at) => {
      const noted = { ...said, what: change.code, notes: messageText(change, system), accepted, count: soFar.casts };
      if (!accepted) return observe(database(), bank.session, "change", noted, at);
      return changeRig(database(), bank.session, rod.rod, changed(change, rod, other, view, system), noted, at);
    });
  };
  useKey("n", () => step?.kind === "change" && answer(step.what, true));
  return (
    <div>
      {timing && (
        <div className="flex items-center gap-3 py-1">
          <p className="shrink-0 whitespace-nowrap tabular-nums">
            <strong>
              {Math.floor(soFar.minutes)} of {timing.minutes} minutes
            </strong>
          </p>
          <progress
            aria-label="Time for this spot"
            className="h-4 w-full"
            max={timing.minutes}
            value={Math.min(timing.minutes, soFar.minutes)}
          />
        </div>
      )}
      {next && (
        <p className="text-soft">
          Next cast: {LINE_WORDS[next.line.name]}, {ZONE_WORDS[next.place.zone]}.
        </p>
      )}
      {rod && !rod.lie && (view.reading.value?.lies.length ?? 0) > 0 && (
        <p className="mb-2 border-t border-line pt-2">
          Lies are ready.{" "}
          <MoveDialogButton name="Say where you are" bank={bank} view={view} rod={rod} actions={actions} />
        </p>
      )}
      {wanted && rod ? (
        <TieOn
          rod={rod}
          wanted={wanted}
          words={way ? `${wayName(way)}: ${inSentence(setWords(way, system))}` : wanted.lure}
          onTied={() =>
            actions.run("rigged as on the card", (at) => fishSpot(database(), bank.session, rod.rod, wanted, at))
          }
        />
      ) : (
        step && <Step step={step} bank={bank} view={view} rod={rod} actions={actions} onAnswer={answer} />
      )}
    </div>
  );
}

/** How long the spot is given with what is on the rod. */
const timingOf = ({ approach, timing }: Rigging, rod: EffortInterval | undefined) =>
  approach.value && timing(rod?.method, rod?.rig?.retrieve ?? undefined);

/** What is to be done next, with another way that suits the place. */
function stepOf(rigging: Rigging, rod: EffortInterval | undefined, soFar: SpotSoFar, style: Style) {
  const { advice, ways, way } = rigging;
  const timing = timingOf(rigging, rod);
  const other = ways.value?.ways.find((one) => one.method !== (rod?.method ?? way?.method));
  const another = other && message("try-other", { method: wayName(other) });
  // Small changes are those of what is on the rod, not of what the card would tie on.
  const own = rod?.method ? ways.value?.ways.find((one) => one.method === rod.method)?.advice : advice;
  const of = own ?? (advice?.method === rod?.method ? advice : undefined);
  return { other, step: timing && nextStep(soFar, timing, style, of ? of.changes : [], another) };
}

/** The rig of the card, where nothing has been cast yet and something else is on. */
function toTieOn(
  { lie, reading }: ScenarioView,
  { advice, way }: Rigging,
  rod: EffortInterval | undefined,
  soFar: SpotSoFar,
  system: UnitSystem,
): (Partial<Fished> & { lure: string }) | undefined {
  if (!lie || !advice || !rod || soFar.casts > 0 || soFar.changes.length > 0) return undefined;
  const wanted = { ...spotOf(lie, reading.value?.lies ?? [lie]), ...tackleOf(advice, lie, system, way) };
  return rod.lie === wanted.lie && !isRigged(rod, wanted) ? wanted : undefined;
}

function TieOn({
  rod,
  wanted,
  words,
  onTied,
}: {
  rod: EffortInterval;
  wanted: Partial<Fished>;
  words: string;
  onTied: () => void;
}) {
  return (
    <div className="border-t border-line pt-2">
      <p className="text-lg font-semibold">
        {rod.lure ? "For this spot: " : "Tie on: "}
        {[wanted.lure, wanted.colour].filter(Boolean).join(", ")}
      </p>
      <p className="text-soft">
        {words}.{" "}
        <Link href="/rig" className="underline">
          Full rig card
        </Link>
      </p>
      <Button tone="ink" className="mt-2 min-h-12" onClick={onTied}>
        Tied on
      </Button>
    </div>
  );
}

/** When a spot that is rested is taken up again. */
const untilOf = (step: NextStep, now: number): string => new Date(now + (step.back ?? 0) * MINUTE).toISOString();

function Step({
  step,
  bank,
  view,
  rod,
  actions,
  onAnswer,
}: {
  step: NextStep;
  bank: Bank;
  view: ScenarioView;
  rod: EffortInterval | undefined;
  actions: BankActions;
  onAnswer: (change: Message, accepted: boolean) => void;
}) {
  const { system } = useSettings();
  const what = capital(messageText(step.what, system));
  return (
    <div className="border-t border-line pt-2" data-testid="next-step">
      <p className="text-lg font-semibold">{what}.</p>
      <p className="text-soft">{messageText(step.why, system)}</p>
      {step.kind === "change" && (
        <div className="mt-2 flex gap-2.5">
          <Button tone="ink" className="min-h-12" onClick={() => onAnswer(step.what, true)}>
            Done
          </Button>
          <Button className="min-h-12" onClick={() => onAnswer(step.what, false)}>
            Not now
          </Button>
        </div>
      )}
      {(step.kind === "move" || step.kind === "rest") && (
        <div className="mt-2">
          <MoveDialogButton
            bank={bank}
            view={view}
            rod={rod}
            actions={actions}
            rest={step.kind === "rest" ? (now: number) => untilOf(step, now) : undefined}
          />
        </div>
      )}
    </div>
  );
}

/** The rig of a rod with one thing changed; nothing where its rig is not known. */
const rigged = ({ rig }: EffortInterval, change: Partial<RigRecord>): Partial<Fished> =>
  rig ? { rig: { ...rig, ...change } } : {};

/** What a change makes of what is fished. */
function changed(
  change: Message,
  rod: EffortInterval,
  other: NonNullable<Rigging["ways"]["value"]>["ways"][number] | undefined,
  view: ScenarioView,
  system: Parameters<typeof tackleOf>[2],
): Partial<Fished> {
  switch (change.code) {
    case "try-colour":
      return { colour: COLOUR_NAMES[change.values.colour as Colour] ?? String(change.values.colour) };
    case "try-deeper":
      return { depth: Math.round(Number(change.values.setting) * 100) / 100 };
    case "try-other":
      return other && view.lie ? tackleOf(other.advice, view.lie, system, other) : {};
    case "try-retrieve":
      return rigged(rod, { retrieve: change.values.retrieve as Retrieve });
    case "try-lighter-head":
    case "try-heavier-head":
      return rigged(rod, { grams: Number(change.values.grams) });
    case "try-shot-more":
    case "try-shot-less": {
      const by = Number(change.values.grams) * (change.code === "try-shot-more" ? 1 : -1);
      return rod.rig?.grams == null ? {} : rigged(rod, { grams: Math.max(0, rod.rig.grams + by) });
    }
    case "try-longer-leader":
      return rigged(rod, { leader: Number(change.values.leader) });
    // A size, a rod tip: it stands in the note of the change.
    default:
      return {};
  }
}
