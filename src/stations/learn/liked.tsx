"use client";
import { act } from "../../state/act";
import { usePreferences } from "../../state/use-preferences";
import { database } from "../../store/database";
import { setLiking } from "../../store/preferences";
import { useMemo } from "react";
import { type Liking, PRIOR_FISH } from "../../core/book/preference";
import { clockNow } from "../../state/clock";
import { useFishes } from "../../state/use-fishes";
import { usePreference } from "../../state/use-preference";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { FaultNote } from "../../widgets/fault-note";
import { Panel } from "../../widgets/panel";
import { likingName, trialWords } from "../../words/learn";
import { faultText } from "../../words/messages";
import { figureText, type UnitSystem } from "../../words/quantity";
import { dayOnly } from "../../words/river";
import { capital } from "../../words/text";

const columnsIn = (system: UnitSystem): ColumnDef<Liking>[] => [
  { id: "place", header: "Spots", cell: ({ row }) => capital(likingName(row.original.key, system)) },
  { id: "fish", header: "Fish", cell: ({ row }) => figureText(row.original.fish, 0) },
  {
    id: "expected",
    header: "Model",
    cell: ({ row }) => figureText(row.original.expected, 1),
  },
  { id: "factor", header: "Adjusted to", cell: ({ row }) => `× ${figureText(row.original.factor, 2)}` },
];

/** Where this river's fish differ from the model, whether that helps, and the switch. */
export function Liked({ station }: { station: string | null }) {
  const { species, system } = useSettings();
  const { likings } = usePreferences();
  const fishes = useFishes();
  const fish = fishes.of(species);
  const learnt = usePreference(fish.id, station, true);
  const columns = useMemo(() => columnsIn(system), [system]);
  const { on = false, from = null } = likings[fish.id] ?? {};
  const set = (change: Parameters<typeof setLiking>[2]) => act(() => setLiking(database(), fish.id, change));
  const found = learnt.value;
  const rows = useMemo(
    () =>
      [...(found?.preference.likings ?? [])]
        .filter((one) => one.fish > 0 || one.expected >= 0.5)
        .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor))),
    [found],
  );
  return (
    <>
      <h2 className="text-2xl">Where {fish.name.toLowerCase()} on this reach differ from the model</h2>
      <p className="max-w-3xl text-soft">
        Each spot you fished, blank or not, is compared with what its score predicted. Kinds of spots, depths and speeds
        are adjusted. The model counts as {figureText(PRIOR_FISH.value, 0)} fish in each class, so two of yours don’t
        overrule it.
      </p>
      {learnt.fault && <FaultNote message={faultText(learnt.fault, system)} onRetry={learnt.retry} />}
      {found && (
        <p className="mt-3" role="status">
          {figureText(found.preference.fish, 0)} fish in {figureText(found.preference.hours, 0)} h at modelled spots
          {from ? ` since ${dayOnly(from)}` : ""}. {trialWords(found.trial)}
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <Button aria-pressed={on} tone={on ? "ink" : "plain"} onClick={() => set({ on: !on })}>
          {on ? "Rank lies by the model only" : "Rank lies by your fish too"}
        </Button>
        {from === null ? (
          <Button
            onClick={() => set({ from: new Date(clockNow()).toISOString() })}
            disabled={!found || found.preference.hours === 0}
          >
            Restart learning today
          </Button>
        ) : (
          <Button onClick={() => set({ from: null })}>Learn from the whole log</Button>
        )}
      </div>
      {found && rows.length === 0 && (
        <p className="mt-4 rounded-md border border-line p-4">
          No modelled spot fished yet. Start sessions at a lie on Session.
        </p>
      )}
      {rows.length > 0 && (
        <Panel title="Before and after" className="mt-6">
          <DataTable columns={columns} rows={rows} testId="likings" label="The model and your fish" />
        </Panel>
      )}
    </>
  );
}
