"use client";
import { useWaterClocks } from "../../state/water-clocks";
import { rodHours } from "../../core/book/effort";
import type { EffortInterval } from "../../core/book/bank-records";
import type { Catch, Session } from "../../core/book/records";
import { clarityClass } from "../../core/gauge/clarity";
import { act, perform } from "../../state/act";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { removeSession } from "../../store/sessions";
import { figureText, showText, type UnitSystem } from "../../words/quantity";
import { ARROW, dayAndTime } from "../../words/river";
import { byTime, FishButton } from "./fish-button";

/** One session of the book: when, at what water, and what came of it. */
export function SessionRow({
  session,
  catches,
  stretches = [],
  river,
  system,
  onOpen,
  onCorrect,
}: {
  session: Session;
  catches: Catch[];
  stretches?: readonly EffortInterval[];
  river: River;
  system: UnitSystem;
  onOpen: (fish: Catch) => void;
  onCorrect: (session: Session) => void;
}) {
  const zone = useWaterClocks().ofReach(session.reach);
  const when = dayAndTime(session.start, river.minute, zone);
  const state = session.river;
  const clarity = state?.visibleDepth == null ? null : clarityClass(state.visibleDepth);
  const remove = () => act(() => perform(() => removeSession(database(), session.id), "Session deleted."));
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] gap-x-4 gap-y-1 py-3 sm:grid-cols-[13rem_14rem_minmax(0,1fr)_auto]">
      <div>
        <p className="font-semibold">{when}</p>
        <p className="text-sm text-soft">
          {river.reaches.find((one) => one.id === session.reach)?.reach.name ?? "deleted reach"},{" "}
          {session.hoursKnown === false
            ? "hours not counted"
            : `${figureText(rodHours(session, river.minute, stretches), 1)} h`}
        </p>
      </div>
      <div>
        {state?.discharge != null ? (
          <p>
            {showText(state.discharge, "discharge", system)}{" "}
            {state.trend && (
              <>
                <span aria-hidden>{ARROW[state.trend]}</span>
                <span className="sr-only">{state.trend}</span>
              </>
            )}
          </p>
        ) : (
          <p className="text-soft">no gauge reading</p>
        )}
        <p className="text-sm text-soft">
          {[clarity, state?.waterTemperature == null ? null : showText(state.waterTemperature, "temperature", system)]
            .filter(Boolean)
            .join(", ")}
        </p>
      </div>
      <div className="order-last col-span-3 sm:order-none sm:col-span-1">
        {!catches.some(({ lost }) => lost === undefined) && <p className="text-soft">blank</p>}
        {catches.length > 0 && (
          <ul>
            {catches.toSorted(byTime).map((fish) => (
              <li key={fish.id}>
                <FishButton fish={fish} zone={zone} system={system} onOpen={onOpen} />
              </li>
            ))}
          </ul>
        )}
      </div>
      <span className="flex flex-wrap justify-end self-start">
        <button
          type="button"
          onClick={() => onCorrect(session)}
          className="min-h-11 min-w-11 px-2 text-sm text-soft underline"
          aria-label={`Edit the session of ${when}`}
        >
          edit
        </button>
        <button
          type="button"
          onClick={remove}
          className="min-h-11 min-w-11 px-2 text-sm text-soft underline"
          aria-label={`Delete the session of ${when}`}
        >
          delete
        </button>
      </span>
    </li>
  );
}
