"use client";
import { useWaterClocks, type WaterClocks } from "../../state/water-clocks";
import { addDays, addMonths, format, isSameMonth, parseISO, startOfMonth, startOfWeek } from "date-fns";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useMemo, useState } from "react";
import { bySession, rodHours } from "../../core/book/effort";
import type { BookView } from "../../state/use-book";
import { figureText } from "../../words/quantity";
import { dayKey } from "../../words/river";

const WEEK = ["Mo", "Tu", "We", "Th", "Fr", "Sa", "Su"];

/** A month of days: hours fished, fish landed, blanks as blanks; a day is pressed to see what it held. */
export function Calendar({ book, now, onDay }: { book: BookView; now: number; onDay: (day: string) => void }) {
  const [month, setMonth] = useState(() => startOfMonth(parseISO(dayKey(book.sessions[0]?.start ?? now))));
  const clocks = useWaterClocks();
  const days = useMemo(() => daysOf(book, now, clocks), [book, now, clocks]);
  const first = startOfWeek(month, { weekStartsOn: 1 });
  const weeks = Array.from({ length: 6 }, (_, week) =>
    Array.from({ length: 7 }, (_, day) => addDays(first, 7 * week + day)),
  );
  return (
    <section aria-label="Calendar" className="max-w-2xl">
      <div className="mb-2 flex items-center justify-between">
        <button
          type="button"
          aria-label="Previous month"
          className="grid size-11 place-items-center"
          onClick={() => setMonth(addMonths(month, -1))}
        >
          <ChevronLeft aria-hidden />
        </button>
        <h2 className="text-xl" aria-live="polite">
          {format(month, "LLLL yyyy")}
        </h2>
        <button
          type="button"
          aria-label="Next month"
          className="grid size-11 place-items-center"
          onClick={() => setMonth(addMonths(month, 1))}
        >
          <ChevronRight aria-hidden />
        </button>
      </div>
      <table className="w-full table-fixed border-collapse">
        <thead>
          <tr>
            {WEEK.map((day) => (
              <th key={day} scope="col" className="pb-1 text-sm font-normal text-soft">
                {day}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks
            .filter((week) => week.some((day) => isSameMonth(day, month)))
            .map((week) => (
              <tr key={week[0]!.getTime()}>
                {week.map((day) => {
                  const key = format(day, "yyyy-MM-dd");
                  const had = days.get(key);
                  const own = isSameMonth(day, month);
                  return (
                    <td key={key} className="h-16 border border-line p-0 align-top">
                      {had && own ? (
                        <button
                          type="button"
                          onClick={() => onDay(key)}
                          className={`block h-full w-full p-1 text-left ${had.fish > 0 ? "bg-reed-soft" : "bg-deep"}`}
                          aria-label={`${format(day, "d LLLL")}: ${had.fish} fish in ${figureText(had.hours, 1)} hours`}
                        >
                          <span className="text-sm">{format(day, "d")}</span>
                          <span className="block font-semibold">{had.fish > 0 ? `${had.fish} fish` : "blank"}</span>
                        </button>
                      ) : (
                        <span className={`block p-1 text-sm ${own ? "" : "text-soft"}`}>{format(day, "d")}</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}

function daysOf(
  { sessions, stretches, catches }: BookView,
  now: number,
  { ofReach }: WaterClocks,
): Map<string, { hours: number; fish: number }> {
  const days = new Map<string, { hours: number; fish: number }>();
  const dayOfSession = new Map<string, string>();
  const stretchesOf = bySession(stretches);
  for (const session of sessions) {
    const day = dayKey(session.start, ofReach(session.reach));
    dayOfSession.set(session.id, day);
    const had = days.get(day) ?? { hours: 0, fish: 0 };
    days.set(day, { ...had, hours: had.hours + rodHours(session, now, stretchesOf.get(session.id)) });
  }
  for (const fish of catches) {
    const day = dayOfSession.get(fish.session);
    const had = day === undefined ? undefined : days.get(day);
    if (had && fish.lost === undefined) had.fish++;
  }
  return days;
}
