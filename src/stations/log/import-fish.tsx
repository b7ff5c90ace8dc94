"use client";
import { useMemo, useState } from "react";
import {
  CATCH_COLUMN_NAMES,
  type CatchColumn,
  catchColumns,
  type CatchMatch,
  datesOf,
  readCatches,
} from "../../core/formats/catches-csv";
import { DATE_ORDERS, type DateOrder } from "../../core/formats/date-order";
import { ianaZone, UTC } from "../../core/formats/instant";
import { asFault } from "../../core/quantity/answer";
import { act, perform } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { addCatches } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FaultNote } from "../../widgets/fault-note";
import { Refused } from "../../widgets/refused";
import { Select } from "../../widgets/select";
import { tellFault } from "../../words/messages";
import { entryUnit } from "../../words/quantity";
import { dayKey } from "../../words/river";
import { choicesOf, count } from "../../words/text";

const NAMES: Record<CatchColumn, string> = {
  at: "When",
  species: "Fish",
  length: "Length",
  weight: "Weight",
  girth: "Girth",
  lie: "Where",
  lure: "Lure or bait",
  colour: "Colour",
  piece: "Piece of bait",
  fin: "Fin",
  lost: "Lost",
  kept: "Kept",
  angler: "Whose",
  notes: "Notes",
};
const NONE = "none";

/** Fish of a table: its columns matched, shown what it would do, then taken in, all or none. */
export function ImportFish({
  name,
  text,
  river,
  onDone,
}: {
  name: string;
  text: string;
  river: River;
  onDone: () => void;
}) {
  const { system, species } = useSettings();
  const { list } = useFishes();
  const [reach, setReach] = useState(river.reach?.id ?? "");
  const start = useMemo(() => {
    try {
      return catchColumns(text, name);
    } catch (error) {
      return { fault: tellFault(asFault(error), system) };
    }
  }, [text, name, system]);
  const [order, setOrder] = useState<DateOrder | undefined>();
  const [match, setMatch] = useState<CatchMatch | undefined>("match" in start ? start.match : undefined);
  const found = useMemo(() => {
    if (!match) return undefined;
    const ids = new Map(
      list.flatMap(
        (one) =>
          [
            [one.id, one.id],
            [one.name.toLowerCase(), one.id],
          ] as const,
      ),
    );
    return readCatches(
      text,
      {
        match,
        zone: ianaZone(Intl.DateTimeFormat().resolvedOptions().timeZone) ?? UTC,
        dates: order,
        species: (cell) => ids.get(cell.toLowerCase()),
        usual: species,
        units: { length: entryUnit("fishLength", system), weight: entryUnit("fishMass", system) },
        now: clockNow(),
      },
      name,
    );
  }, [text, name, match, order, list, species, system]);
  const dates = useMemo(() => match && datesOf(text, match, name), [text, name, match]);
  if ("fault" in start) return <FaultNote message={start.fault} todo="Nothing was changed." />;
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onDone()}
      title={`Fish of ${name}`}
      about="Each day becomes a session whose hours are not known: such fish are in the log, and say nothing of rates."
    >
      <div className="grid grid-cols-2 gap-3">
        <Select
          label="Reach"
          value={reach}
          onChange={setReach}
          choices={choicesOf(
            river.reaches,
            (one) => one.id,
            (one) => one.reach.name,
          )}
        />
        {CATCH_COLUMN_NAMES.map((column) => (
          <Select
            key={column}
            label={NAMES[column]}
            value={match?.[column] == null ? NONE : String(match[column])}
            onChange={(value) => setMatch({ ...match!, [column]: value === NONE ? null : Number(value) })}
            choices={[
              { value: NONE, label: "not in the file" },
              ...start.header.map((head, k) => ({ value: String(k), label: head || `column ${k + 1}` })),
            ]}
          />
        ))}
      </div>
      {dates?.sample !== undefined && dates.order === undefined && (
        <Select
          label={`Its dates, such as ${dates.sample}, have`}
          className="mt-3"
          placeholder="say which comes first"
          value={order ?? ""}
          onChange={(value) => setOrder(DATE_ORDERS.find((one) => one === value))}
          choices={[
            { value: "dmy", label: "the day first" },
            { value: "mdy", label: "the month first" },
          ]}
        />
      )}
      {found && (
        <>
          <p role="status" className="mt-3">
            {count(found.lines.read, "fish", "fish")} can be taken in.
          </p>
          {found.rejected.length > 0 && <Refused rejected={found.rejected} lines={found.lines} system={system} />}
          <Button
            tone="ink"
            className="mt-3 min-h-12"
            disabled={found.drafts.length === 0 || !reach}
            onClick={() =>
              act(async () => {
                await perform(
                  () => addCatches(database(), reach, found.drafts, dayKey),
                  `${count(found.drafts.length, "fish", "fish")} of ${name} are in the book.`,
                );
                onDone();
              })
            }
          >
            Take them in
          </Button>
        </>
      )}
    </Dialog>
  );
}
