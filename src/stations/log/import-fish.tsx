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
import { sameFish } from "../../core/book/clashes";
import type { Catch, ReachRecord } from "../../core/book/records";
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
import { faultText } from "../../words/messages";
import { entryUnit } from "../../words/quantity";
import { clockZone } from "../../words/clock-zone";
import { dayKey } from "../../words/river";
import { speciesMatcher } from "../../words/species-text";
import { choicesOf, count } from "../../words/text";

const NAMES: Record<CatchColumn, string> = {
  at: "Time",
  time: "Clock time",
  water: "Water",
  species: "Fish",
  length: "Length",
  weight: "Weight",
  girth: "Girth",
  lie: "Spot",
  lure: "Lure or bait",
  colour: "Colour",
  piece: "Piece of bait",
  fin: "Fin",
  lost: "Lost",
  kept: "Kept",
  angler: "Angler",
  notes: "Notes",
};
const NONE = "none";

/** The reach that a cell names, however it is written. */
function waterNamed(reaches: readonly ReachRecord[], cell: string): string | undefined {
  const key = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");
  return reaches.find(({ id, reach }) => id === cell || key(reach.name) === key(cell))?.id;
}

/** Fish of a table: its columns matched, shown what it would do, then taken in, all or none. */
export function ImportFish({
  name,
  text,
  river,
  known,
  onDone,
}: {
  name: string;
  text: string;
  river: River;
  onDone: () => void;
  known: readonly Catch[];
}) {
  const { system, species } = useSettings();
  const { list } = useFishes();
  const [reach, setReach] = useState(river.reach?.id ?? "");
  const start = useMemo(() => {
    try {
      return catchColumns(text, name);
    } catch (error) {
      return { fault: faultText(asFault(error), system) };
    }
  }, [text, name, system]);
  const [order, setOrder] = useState<DateOrder | undefined>();
  const [match, setMatch] = useState<CatchMatch | undefined>("match" in start ? start.match : undefined);
  const found = useMemo(() => {
    if (!match) return undefined;
    return readCatches(
      text,
      {
        match,
        zone: ianaZone(clockZone()) ?? UTC,
        dates: order,
        species: speciesMatcher(list),
        water: (cell) => waterNamed(river.reaches, cell),
        usual: species,
        units: { length: entryUnit("fishLength", system), weight: entryUnit("fishMass", system) },
        now: clockNow(),
      },
      name,
    );
  }, [text, name, match, order, list, species, system, river.reaches]);
  const [again, setAgain] = useState(false);
  const twice = found?.drafts.filter((one) => sameFish(one, known)) ?? [];
  const drafts = again ? (found?.drafts ?? []) : (found?.drafts ?? []).filter((one) => !twice.includes(one));
  const dates = useMemo(() => match && datesOf(text, match, name), [text, name, match]);
  if ("fault" in start) return <FaultNote message={start.fault} todo="Nothing changed." />;
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onDone()}
      title={`Import fish from ${name}`}
      about="Each day becomes a session without hours: its fish are in the log but don’t count in rates."
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
          placeholder="choose day or month first"
          value={order ?? ""}
          onChange={(value) => setOrder(DATE_ORDERS.find((one) => one === value))}
          choices={[
            { value: "dmy", label: "day first" },
            { value: "mdy", label: "month first" },
          ]}
        />
      )}
      {found && (
        <>
          <p role="status" className="mt-3">
            {count(drafts.length, "fish", "fish")} can be imported.
          </p>
          {twice.length > 0 && (
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0"
                checked={again}
                onChange={({ target }) => setAgain(target.checked)}
              />
              {count(twice.length, "fish", "fish")} {twice.length === 1 ? "is" : "are"} already in your log: same
              species, size and minute. Import {twice.length === 1 ? "it" : "them"} again
            </label>
          )}
          {found.rejected.length > 0 && <Refused rejected={found.rejected} lines={found.lines} system={system} />}
          <Button
            tone="ink"
            className="mt-3 min-h-12"
            disabled={drafts.length === 0 || !reach}
            onClick={() =>
              act(async () => {
                await perform(
                  () => addCatches(database(), reach, drafts, dayKey),
                  `Imported ${count(drafts.length, "fish", "fish")} from ${name}.`,
                );
                onDone();
              })
            }
          >
            Import fish
          </Button>
        </>
      )}
    </Dialog>
  );
}
