"use client";
import Link from "next/link";
import type { Caution } from "../../core/gauge/cautions";
import { MINUTE } from "../../core/gauge/series";
import { type Change, isWindTried } from "../../core/plan/changes";
import type { Plan, PlanWindow } from "../../core/plan/plan";
import { usePreferences } from "../../state/use-preferences";
import { useSettings } from "../../state/settings";
import { nearestWater } from "../../scenario/plan-lies";
import { useMinute } from "../../state/clock";
import type { LiesThen } from "../../state/use-plan";
import { cautionWords } from "../../words/cautions";
import { placeWords } from "../../words/place";
import { inSentence } from "../../words/text";
import { changeWords, factorWords, rainWords } from "../../words/plan";
import { clock } from "../../words/river";
import { windowName } from "./answer";

/** Reasons that are told: of those, what moves the answer most. */
const TOLD = 6;

/** Rain from which a river may answer before then, mm. Common practice, no source. */
const MUCH_RAIN = 8;

/** Why there and then, what would change it, what to do after a blank, and when to leave. */
export function Why({
  plan,
  first,
  changes,
  nameOf,
  lies,
  onRig,
  told,
}: {
  plan: Plan;
  first: PlanWindow;
  changes: readonly Change[];
  nameOf: (reach: string) => string;
  lies: readonly LiesThen[] | undefined;
  /** Chooses the lie to start at; undefined where none is known, or nobody is to go. */
  onRig: (() => void) | undefined;
  /** Kinds of cautions that are told above already. */
  told: readonly Caution["kind"][];
  /** What a dam above the first water does. */
}) {
  const { system, height } = useSettings();
  const { travel } = usePreferences();
  const now = useMinute();
  const reasons = first.factors.map((one) => factorWords(one, first, system, height)).filter(Boolean);
  const away = travel[first.reach];
  return (
    <div className="mt-4 grid grid-cols-1 gap-x-10 gap-y-5 lg:grid-cols-3">
      <section>
        <h2 className="mb-1 text-lg">Why {nameOf(first.reach)}</h2>
        <ul className="grid gap-1">
          {reasons.slice(0, TOLD).map((one) => (
            <li key={one}>{one}.</li>
          ))}
        </ul>
      </section>
      <section>
        <h2 className="mb-1 text-lg">What would change it</h2>
        <ul className="grid gap-1">
          {changes.map((one) => (
            <li key={one.path}>{changeWords(one, nameOf, system, now)}</li>
          ))}
          {changes.length === 0 && (
            <li>
              {isWindTried(first)
                ? "A higher or lower flow, or a fresh wind, gives the same answer."
                : "A higher or lower flow gives the same answer."}
            </li>
          )}
          {first.rain !== null && first.rain >= MUCH_RAIN && <li>{rainWords(first.rain, system)}</li>}
          <AfterBlanks plan={plan} first={first} lies={lies} nameOf={nameOf} />
        </ul>
      </section>
      <section>
        <h2 className="mb-1 text-lg">
          {away === undefined ? "Going there" : `Leave home ${clock(first.from - away * MINUTE)}`}
        </h2>
        {first.cautions
          .filter(({ kind }) => !told.includes(kind))
          .map((one) => (
            <p key={one.kind}>
              <span aria-hidden>▲ </span>
              {cautionWords(one, system)}
            </p>
          ))}
        {away === undefined && <p className="text-soft">Add the travel time to see when to leave.</p>}
        <p className="text-soft">Check access and private land yourself. Local rules come first.</p>
        {onRig && (
          <Link
            href="/rig"
            onClick={onRig}
            className="mt-2 flex min-h-12 items-center justify-between rounded-md bg-ink px-4 font-semibold text-paper print:hidden"
          >
            Rig for this spot <span aria-hidden>→</span>
          </Link>
        )}
      </section>
    </div>
  );
}

/** A blank hour: the next lie, then the next water. */
function AfterBlanks({
  plan,
  first,
  lies,
  nameOf,
}: {
  plan: Plan;
  first: PlanWindow;
  lies: readonly LiesThen[] | undefined;
  nameOf: (reach: string) => string;
}) {
  const next = nearestWater(lies ?? [], first)?.lies[1];
  const now = useMinute();
  const other = plan.windows.find((one) => one.reach !== first.reach);
  return (
    <>
      {next && <li>Nothing in the first hour? Move to {inSentence(placeWords(next.place))}.</li>}
      {other && (
        <li>
          Still nothing? Try another water: {nameOf(other.reach)}, {windowName(other, now)}.
        </li>
      )}
    </>
  );
}
