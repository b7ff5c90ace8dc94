"use client";
import { useMemo } from "react";
import { type PlaceGiven, placesOf } from "../../core/book/places";
import type { BookView } from "../../state/use-book";
import { useWaterClocks } from "../../state/water-clocks";
import type { River } from "../../state/use-river";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { figureText } from "../../words/quantity";
import { dayOnly } from "../../words/river";

/** Days by the clock of the reach's own water. */
const columnsFor = (zone: string | undefined): ColumnDef<PlaceGiven>[] => [
  { id: "lie", header: "Spot", accessorKey: "lie", enableSorting: true },
  { id: "landed", header: "Landed", accessorKey: "landed", enableSorting: true },
  { id: "lost", header: "Lost", accessorKey: "lost", enableSorting: true },
  {
    id: "hours",
    header: "Hours counted",
    accessorKey: "hours",
    enableSorting: true,
    cell: ({ row: { original } }) => (original.hours > 0 ? figureText(original.hours, 1) : "not counted"),
  },
  {
    id: "last",
    header: "Last fish",
    accessorFn: ({ last }) => (last ? Date.parse(last) : 0),
    enableSorting: true,
    cell: ({ row: { original } }) => (original.last ? dayOnly(original.last, zone) : "–"),
  },
];

/** The places of each reach with what they have given, without a map. */
export function Places({ book, river }: { book: BookView; river: River }) {
  const clocks = useWaterClocks();
  const lists = useMemo(
    () =>
      river.reaches.map((reach) => ({
        reach,
        columns: columnsFor(clocks.ofReach(reach.id)),
        places: placesOf(reach.id, book.sessions, book.stretches, book.catches, river.minute),
      })),
    [book, river.reaches, river.minute, clocks],
  );
  const known = lists.filter(({ places }) => places.length > 0);
  if (known.length === 0) return <p className="rounded-md border border-line p-4">No named spots yet.</p>;
  return known.map(({ reach, places, columns }) => (
    <section key={reach.id} className="mb-6">
      <h2 className="mb-1 text-xl">{reach.reach.name}</h2>
      <DataTable columns={columns} rows={places} label={`Spots on ${reach.reach.name}`} />
    </section>
  ));
}
