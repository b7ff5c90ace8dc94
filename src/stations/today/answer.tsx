"use client";
import type { Lie } from "../../core/fish/read";
import type { Plan, PlanWindow } from "../../core/plan/plan";
import { useSettings } from "../../state/settings";
import { placeWords } from "../../words/place";
import { airWords } from "../../words/sky";
import { capital, inSentence } from "../../words/text";
import { stateWords } from "../../words/plan";
import { clock, dayAndTime, moment } from "../../words/river";

/** "today 14:10 to 17:00". */
export const windowName = ({ from, to }: Pick<PlanWindow, "from" | "to">, now: number): string =>
  `${moment(from, now)} to ${clock(to)}`;

/** The answer in one sentence; or that there is none, and why not now. */
export function Answer({
  plan,
  nameOf,
  lie,
  leave,
  reach,
  now,
  pending,
}: {
  plan: Plan | undefined;
  nameOf: (reach: string) => string;
  lie: Lie | undefined;
  leave: boolean;
  /** The reach that the cautions are of. */
  reach: string | undefined;
  now: number;
  /** Something of the plan is still on its way: that nothing is left is not known yet. */
  pending: boolean;
}) {
  const { system, height } = useSettings();
  const first = plan?.windows[0];
  if (!plan) return <h1 className="text-2xl">Where to go</h1>;
  if (!first && pending) return <h1 className="text-2xl">Where to go</h1>;
  if (!first)
    return (
      <div>
        <h1 className="text-2xl">Nowhere to go in these hours</h1>
        <p className="text-soft">Choose other days, or see below why each reach is left out.</p>
      </div>
    );
  const air = airWords(first.weather, system);
  const notNow = leave && first.reach === reach;
  return (
    <div className="min-w-[min(20rem,100%)] flex-1">
      <h1 className="text-2xl">
        {notNow ? "Not now. " : ""}
        {nameOf(first.reach)}, {windowName(first, now)}
      </h1>
      <p className="hidden print:block">{dayAndTime(first.from)}</p>
      <p className="text-lg leading-snug">
        {stateWords(first, system, height)}
        {first.prime ? ": prime" : ""}.{air && ` ${capital(air)}.`}
        {lie && !notNow && ` Start: ${inSentence(placeWords(lie.place))}.`}
      </p>
    </div>
  );
}
