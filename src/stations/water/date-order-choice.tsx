"use client";
import { DATE_ORDERS, type DateOrder, isoDate } from "../../core/formats/date-order";
import type { PreviewColumn } from "../../core/formats/gauge-csv";
import { dayInUtc } from "../../words/river";

const NAMES: Record<DateOrder, string> = { dmy: "Day first", mdy: "Month first" };

/** Which comes first in the dates of a file, shown on its first rows both ways. */
export function DateOrderChoice({
  columns,
  value,
  busy,
  onChoose,
}: {
  columns: readonly PreviewColumn[];
  value: DateOrder | undefined;
  busy: boolean;
  onChoose: (order: DateOrder) => void;
}) {
  const samples = columns.find(({ match }) => match.as === "time")?.samples ?? [];
  return (
    <section className="rounded-md border border-line p-3">
      <h3>Are the dates day first or month first?</h3>
      <div role="group" aria-label="Date order" className="mt-2 grid gap-2 sm:grid-cols-2">
        {DATE_ORDERS.map((order) => (
          <button
            key={order}
            type="button"
            disabled={busy}
            aria-pressed={order === value}
            onClick={() => onChoose(order)}
            className={`min-h-11 rounded-md border px-3 py-2 text-left ${order === value ? "border-ink bg-ink text-paper" : "border-edge hover:bg-deep"}`}
          >
            <span className="block font-semibold">{NAMES[order]}</span>
            {samples.map((text, k) => (
              <span key={k} className="block text-sm">
                {text}: {readAs(text, order)}
              </span>
            ))}
          </button>
        ))}
      </div>
    </section>
  );
}

/** The day that a text means in an order. */
function readAs(text: string, order: DateOrder): string {
  const time = Date.parse(`${isoDate(text, order).slice(0, 10)}T12:00:00Z`);
  return Number.isNaN(time) ? "no date" : dayInUtc(time);
}
