"use client";
import { useWaterClocks } from "../../state/water-clocks";
import { useMemo, useState } from "react";
import type { Found } from "../../core/book/log-filter";
import type { Catch } from "../../core/book/records";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import type { River } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { LOST_WORDS } from "../../words/fish";
import { showText, type UnitSystem } from "../../words/quantity";
import { ARROW, dayAndTime } from "../../words/river";
import { count } from "../../words/text";
import { BulkDialog } from "./bulk-dialog";

/** `zone` is its own water's. */
type Row = Found & { reach: string; name: string; zone: string | undefined };

/** Columns beside the hour, which always stands; those shown are the angler's choice. */
const COLUMNS = ["fish", "length", "weight", "lie", "lure", "flow", "clarity", "water", "reach", "angler"] as const;
type Column = (typeof COLUMNS)[number];
const AT_FIRST: readonly Column[] = ["fish", "length", "lie", "lure", "flow"];
const HEADERS: Record<Column, string> = {
  fish: "Fish",
  length: "Length",
  weight: "Weight",
  lie: "Spot",
  lure: "Took",
  flow: "Flow",
  clarity: "Visible to",
  water: "Water",
  reach: "Reach",
  angler: "Angler",
};

/** Every fish that passes, sorted by any column, many put right at once. */
export function FishTable({
  found,
  river,
  onOpen,
}: {
  found: readonly Found[];
  river: River;
  onOpen: (fish: Catch) => void;
}) {
  const { system } = useSettings();
  const { nameOf } = useFishes();
  const clocks = useWaterClocks();
  const [shown, setShown] = useState<readonly Column[]>(AT_FIRST);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [editing, setEditing] = useState(false);
  const rows = useMemo(() => {
    const reaches = new Map(river.reaches.map((one) => [one.id, one.reach.name]));
    return found.map((one): Row => ({
      ...one,
      reach: reaches.get(one.session?.reach ?? "") ?? "",
      name: nameOf(one.fish.species),
      zone: clocks.ofReach(one.session?.reach),
    }));
  }, [found, river.reaches, nameOf, clocks]);
  const columns = useMemo(() => columnsFor(shown, system, chosen, setChosen, onOpen), [shown, system, chosen, onOpen]);
  const ids = rows.filter(({ fish }) => chosen.has(fish.id)).map(({ fish }) => fish.id);
  return (
    <>
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <p role="status" className="text-soft">
          {count(rows.length, "fish", "fish")}
          {ids.length > 0 ? `, ${ids.length} of them chosen` : ""}
        </p>
        {rows.length > 0 && (
          <button
            type="button"
            className="min-h-11 underline"
            onClick={() => setChosen(ids.length === rows.length ? new Set() : new Set(rows.map(({ fish }) => fish.id)))}
          >
            {ids.length === rows.length ? "clear selection" : "select all"}
          </button>
        )}
        {ids.length > 0 && <Button onClick={() => setEditing(true)}>Edit {count(ids.length, "fish", "fish")}</Button>}
        <details className="relative ml-auto">
          <summary className="min-h-11 cursor-pointer content-center underline">Show columns</summary>
          <div className="absolute right-0 z-10 grid w-44 gap-1 rounded-md border border-line bg-paper p-3 shadow-lg">
            {COLUMNS.map((one) => (
              <label key={one} className="flex min-h-9 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={shown.includes(one)}
                  onChange={(event) =>
                    setShown(COLUMNS.filter((other) => (other === one ? event.target.checked : shown.includes(other))))
                  }
                />
                {HEADERS[one]}
              </label>
            ))}
          </div>
        </details>
      </div>
      {rows.length === 0 ? (
        <p className="rounded-md border border-line p-4">No fish match. Change the filters, or log one on Session.</p>
      ) : (
        <DataTable columns={columns} rows={rows} label="Fish" testId="fish-table" className="max-h-[60vh]" />
      )}
      {editing && (
        <BulkDialog
          ids={ids}
          onClose={() => {
            setEditing(false);
            setChosen(new Set());
          }}
        />
      )}
    </>
  );
}

const CELLS: Record<Column, { value: (row: Row) => string | number; text: (row: Row, system: UnitSystem) => string }> =
  {
    fish: {
      value: ({ name }) => name,
      text: ({ name, fish }) => (fish.lost === undefined ? name : `${name}: ${LOST_WORDS[fish.lost]}`),
    },
    length: {
      value: ({ fish }) => fish.length ?? -1,
      text: ({ fish }, system) => (fish.length === null ? "–" : showText(fish.length, "fishLength", system)),
    },
    weight: {
      value: ({ fish }) => fish.weight ?? -1,
      text: ({ fish }, system) => (fish.weight === undefined ? "–" : showText(fish.weight, "fishMass", system)),
    },
    lie: { value: ({ fish }) => fish.lie, text: ({ fish }) => fish.lie || "–" },
    lure: {
      value: ({ fish }) => fish.lure,
      text: ({ fish }) => [fish.lure, fish.colour, fish.piece].filter(Boolean).join(", ") || "–",
    },
    flow: {
      value: ({ fish }) => fish.river?.discharge ?? -1,
      text: ({ fish: { river } }, system) =>
        river?.discharge == null
          ? "–"
          : `${showText(river.discharge, "discharge", system)} ${river.trend ? ARROW[river.trend] : ""}`,
    },
    clarity: {
      value: ({ fish }) => fish.river?.visibleDepth ?? -1,
      text: ({ fish: { river } }, system) =>
        river?.visibleDepth == null ? "–" : showText(river.visibleDepth, "depth", system),
    },
    water: {
      value: ({ fish }) => fish.river?.waterTemperature ?? -99,
      text: ({ fish: { river } }, system) =>
        river?.waterTemperature == null ? "–" : showText(river.waterTemperature, "temperature", system),
    },
    reach: { value: ({ reach }) => reach, text: ({ reach }) => reach || "–" },
    angler: { value: ({ fish }) => fish.angler ?? "", text: ({ fish }) => fish.angler || "me" },
  };

function columnsFor(
  shown: readonly Column[],
  system: UnitSystem,
  chosen: ReadonlySet<string>,
  onChoose: (chosen: ReadonlySet<string>) => void,
  onOpen: (fish: Catch) => void,
): ColumnDef<Row>[] {
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    onChoose(next);
  };
  return [
    {
      id: "at",
      header: "Time",
      accessorFn: ({ fish }) => Date.parse(fish.at),
      enableSorting: true,
      cell: ({ row: { original } }) => <TimeCell row={original} chosen={chosen} onToggle={toggle} onOpen={onOpen} />,
    },
    ...shown.map((name): ColumnDef<Row> => ({
      id: name,
      header: HEADERS[name],
      accessorFn: CELLS[name].value,
      enableSorting: true,
      cell: ({ row: { original } }) => CELLS[name].text(original, system),
    })),
  ];
}

/** When a fish was caught: told only for the rows in sight, since a clock costs more than a row. */
function TimeCell({
  row: { fish, zone },
  chosen,
  onToggle,
  onOpen,
}: {
  row: Row;
  chosen: ReadonlySet<string>;
  onToggle: (id: string) => void;
  onOpen: (fish: Catch) => void;
}) {
  const when = dayAndTime(fish.at, undefined, zone);
  return (
    <span className="flex items-center gap-2 whitespace-nowrap">
      <input
        type="checkbox"
        className="size-5"
        aria-label={`Select the fish of ${when}`}
        checked={chosen.has(fish.id)}
        onChange={() => onToggle(fish.id)}
      />
      <button type="button" className="text-left underline" onClick={() => onOpen(fish)}>
        {when}
      </button>
    </span>
  );
}
