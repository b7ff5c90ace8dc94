"use client";
import type { UnitSystem } from "../../words/quantity";
import type { Catch } from "../../core/book/records";
import type { Lie } from "../../core/fish/read";
import { figureText, showText } from "../../words/quantity";
import { database } from "../../store/database";
import { useSettings } from "../../state/settings";
import { Panel } from "../../widgets/panel";
import { act, perform } from "../../state/act";
import type { FishAgainstModel } from "../../state/scenario/use-agreement";
import { patchCatch } from "../../store/sessions";
import type { Numbered } from "../../scenario/lie-identity";
import { dayAndTime } from "../../words/river";
import type { Place } from "./probe";

/** As many fish are listed. */
const MOST = 8;

/** Puts a fish on the plan, or takes it off, with undo. */
const put = (fish: Catch, place: { x: number; y: number } | null, where: string): void =>
  act(() => perform(() => patchCatch(database(), fish, { place }), `The fish is ${where}.`));

/** Fish of this reach against the model: where they were had, and how the places of their own day were ranked. */
export function FishPanel({
  catches,
  against,
  lie,
  probe,
  system,
  nameOf,
}: {
  catches: readonly Catch[];
  against: FishAgainstModel;
  lie: Numbered<Lie>;
  probe: Place | undefined;
  system: UnitSystem;
  nameOf: (id: string) => string;
}) {
  const { agreement, placed, waiting, beyond } = against;
  const ahead = useSettings((settings) => settings.ahead === "all");
  const listed = [...catches].sort((a, b) => Date.parse(b.at) - Date.parse(a.at)).slice(0, MOST);
  return (
    <Panel
      title="Fish against the model"
      className="mt-6"
      source="Each fish with a position is compared with the model for its own day. By chance the average is 50 %. Anglers fish where they expect fish, so a high score may show habit, not a good model."
    >
      {catches.length === 0 && <p className="text-soft">No fish logged on this reach yet.</p>}
      {catches.length > 0 && !agreement && (
        <p className="text-soft">
          {waiting > 0
            ? ahead
              ? "Working out the flows of those days …"
              : "To save battery, those days’ flows aren’t worked out. Change that in Settings."
            : beyond > 0
              ? "Fish with a position have no known flow, or a flow outside the range here."
              : "No fish has a position yet. Choose a lie or move the probe to where it took, then add the fish there."}
        </p>
      )}
      {agreement && (
        <p>
          <strong>
            {agreement.fish} fish with a position held, on average, in better water than{" "}
            {figureText(agreement.mean * 100, 0)} % of the water
          </strong>{" "}
          of the reach; chance gives 50 %
          {agreement.pValue < 0.5 ? `; chance does this well ${oneIn(agreement.pValue)}` : ""}. {agreement.onLies} came
          from a lie; {figureText(agreement.expected, 1)} expected by chance.
          {waiting > 0 && <span className="text-soft"> {waiting} more are waiting for their day’s flow.</span>}
          {beyond > 0 && (
            <span className="text-soft"> {beyond} have no known flow, or a flow outside the range here.</span>
          )}
        </p>
      )}
      {listed.length > 0 && (
        <ul className="mt-2 divide-y divide-line border-y border-line">
          {listed.map((fish) => {
            const known = placed.get(fish.id);
            return (
              <li key={fish.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
                <span className="min-w-0 flex-1 basis-52">
                  <span className="block">
                    {dayAndTime(fish.at)}: {nameOf(fish.species).toLowerCase()}
                    {fish.length ? `, ${showText(fish.length, "fishLength", system)}` : ""}
                    {fish.river?.discharge != null ? ` at ${showText(fish.river.discharge, "discharge", system)}` : ""}
                  </span>
                  <span className="block text-sm text-soft">
                    {fish.lie || "no position"}
                    {fish.place
                      ? known
                        ? `: better than ${figureText(known.percentile * 100, 0)} % of the water that day${known.rank ? ", on a lie" : ", not on a lie"}`
                        : ""
                      : "; no position"}
                  </span>
                </span>
                {fish.place ? (
                  <button
                    type="button"
                    className="min-h-11 text-sm underline"
                    aria-label={`Remove the fish of ${dayAndTime(fish.at)} from the plan`}
                    onClick={() => put(fish, null, "removed from the plan")}
                  >
                    remove
                  </button>
                ) : (
                  <button
                    type="button"
                    className="min-h-11 text-sm underline"
                    aria-label={`Add the fish of ${dayAndTime(fish.at)} ${probe ? "at the probe" : `on lie ${lie.number}`}`}
                    onClick={() =>
                      put(
                        fish,
                        probe ? { x: round(probe[0]), y: round(probe[1]) } : { x: lie.x, y: lie.y },
                        probe ? "at the probe" : `on lie ${lie.number}`,
                      )
                    }
                  >
                    {probe ? "add at the probe" : `add on lie ${lie.number}`}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {catches.length > MOST && (
        <p className="mt-1 text-sm text-soft">
          The last {MOST} of {catches.length}.
        </p>
      )}
    </Panel>
  );
}

const round = (value: number): number => Math.round(value * 100) / 100;
const oneIn = (chance: number): string =>
  chance > 0.1
    ? `once in ${Math.round(1 / chance)} such lists`
    : chance < 0.001
      ? "less than once in a thousand such lists"
      : `once in ${Math.round(1 / chance)} such lists`;
