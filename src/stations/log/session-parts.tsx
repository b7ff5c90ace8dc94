"use client";
import { useLiveAnswer } from "../../state/live-answer";
import type { Observation, EffortInterval } from "../../core/book/bank-records";
import { hoursOf } from "../../core/book/effort";
import type { Session } from "../../core/book/records";
import { act, perform } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import { removeObservation } from "../../store/bank";
import { database } from "../../store/database";
import { patchStretch } from "../../store/effort-intervals";
import { CommitField } from "../../widgets/commit-field";
import { readWith } from "../../widgets/read-with";
import { textEntry } from "../../words/entry";
import { figureText, showText, type UnitSystem } from "../../words/quantity";
import { clock } from "../../words/river";
import { observationWords } from "../../words/session";
import { count } from "../../words/text";

/** What a session was made of: its stretches, each put right in its place, and what was noted. */
export function SessionParts({ session, zone }: { session: Session; zone: string | undefined }) {
  const system = useSettings((settings) => settings.system);
  const parts = useLiveAnswer(async () => {
    const of = { session: session.id };
    const [stretches, observations] = await Promise.all([
      database().stretches.where(of).toArray(),
      database().observations.where(of).toArray(),
    ]);
    return {
      stretches: stretches.filter((one) => !one.deleted).sort(byStart),
      observations: observations.filter((one) => !one.deleted).sort((a, b) => Date.parse(a.at) - Date.parse(b.at)),
    };
  }, [session.id]);
  if (!parts || parts.stretches.length + parts.observations.length === 0) return null;
  return (
    <>
      {parts.stretches.length > 0 && (
        <section aria-label="Spots fished" className="mt-5">
          <h3 className="mb-1">Spot by spot</h3>
          <ul className="grid gap-3">
            {parts.stretches.map((one) => (
              <Line key={one.id} stretch={one} zone={zone} system={system} />
            ))}
          </ul>
        </section>
      )}
      {parts.observations.length > 0 && (
        <section aria-label="Notes" className="mt-5">
          <h3 className="mb-1">Notes</h3>
          <ul className="divide-y divide-line">
            {parts.observations.map((one) => (
              <Note key={one.id} observation={one} zone={zone} />
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

const byStart = (a: EffortInterval, b: EffortInterval): number =>
  Date.parse(a.start) - Date.parse(b.start) || a.rod - b.rod;

function Line({ stretch, zone, system }: { stretch: EffortInterval; zone: string | undefined; system: UnitSystem }) {
  const casts = stretch.casts.reduce((sum, one) => sum + one.count, 0);
  const keep = (field: "lie" | "lure") => (value: string) =>
    act(() => perform(() => patchStretch(database(), stretch.id, { [field]: value }), "Spot updated."));
  const read = readWith(textEntry(120));
  return (
    <li className="rounded-md border border-line p-3">
      <p className="text-soft tabular-nums">
        {[
          `${clock(Date.parse(stretch.start), zone)} to ${stretch.end ? clock(Date.parse(stretch.end), zone) : "now"}`,
          `rod ${stretch.rod}${stretch.angler ? `, ${stretch.angler}` : ""}${stretch.fixed ? ", laid" : ""}`,
          `${figureText(hoursOf(stretch, clockNow()), 1)} h`,
          casts > 0 ? count(casts, "cast") : "",
          stretch.river?.discharge == null ? "" : showText(stretch.river.discharge, "discharge", system),
        ]
          .filter(Boolean)
          .join(" · ")}
      </p>
      <div className="mt-1 grid gap-2 sm:grid-cols-2">
        <CommitField label="Spot" maxLength={120} shown={stretch.lie} read={read} onKeep={keep("lie")} />
        <CommitField label="Lure or bait" maxLength={120} shown={stretch.lure} read={read} onKeep={keep("lure")} />
      </div>
    </li>
  );
}

const Note = ({ observation, zone }: { observation: Observation; zone: string | undefined }) => (
  <li className="flex items-center gap-3">
    <span className="flex-1">
      {clock(Date.parse(observation.at), zone)} {observationWords(observation)}
    </span>
    <button
      type="button"
      className="min-h-11 text-sm text-soft underline"
      aria-label={`Delete the note of ${clock(Date.parse(observation.at), zone)}`}
      onClick={() => act(() => perform(() => removeObservation(database(), observation.id), "Note deleted."))}
    >
      remove
    </button>
  </li>
);
