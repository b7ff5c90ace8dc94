"use client";
import {
  type ColumnDef,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  type Row,
  type SortingState,
  useReactTable,
} from "@tanstack/react-table";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useRef, useState } from "react";

export type { ColumnDef } from "@tanstack/react-table";

/** Rows above which only those in view are drawn. */
const DRAW_ALL = 80;
const ROW_HEIGHT = 36;

/** A table of figures; long ones draw only the rows in view. The first column names its row. */
export function DataTable<T>({
  columns,
  rows,
  caption,
  label,
  className = "",
  wide = false,
  testId,
}: {
  columns: ColumnDef<T>[];
  rows: T[];
  caption?: string;
  label?: string;
  className?: string;
  /** Scrolls sideways where its columns would be squeezed. */
  wide?: boolean;
  testId?: string;
}) {
  const [sorting, setSorting] = useState<SortingState>([]);
  // The table library's functions are made anew on purpose; nothing here hands them on.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    defaultColumn: { enableSorting: false },
  });
  const box = useRef<HTMLDivElement>(null);
  const all = table.getRowModel().rows;
  const long = all.length > DRAW_ALL;
  const virtual = useVirtualizer({
    count: all.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    enabled: long,
  });
  const inView = virtual.getVirtualItems();
  const shown = long ? inView.map(({ index }) => all[index]!) : all;
  const before = long ? (inView[0]?.start ?? 0) : 0;
  const after = long ? virtual.getTotalSize() - (inView.at(-1)?.end ?? 0) : 0;
  return (
    <div
      ref={box}
      className={`overflow-auto ${long ? "max-h-96" : ""} ${className}`}
      tabIndex={long || wide ? 0 : undefined}
    >
      <table
        className={`w-full text-left ${wide ? "min-w-2xl" : ""}`}
        aria-label={label}
        aria-rowcount={all.length + 1}
        data-testid={testId}
      >
        {caption && <caption className="mb-1 text-left text-sm text-soft">{caption}</caption>}
        <thead className={long ? "sticky top-0 bg-paper" : ""}>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b-2 border-ink text-sm text-soft">
              {group.headers.map((header) => (
                <th
                  key={header.id}
                  scope="col"
                  className="py-1.5 pr-3 font-normal wrap-break-word"
                  aria-sort={
                    header.column.getIsSorted() === false
                      ? undefined
                      : header.column.getIsSorted() === "asc"
                        ? "ascending"
                        : "descending"
                  }
                >
                  {header.column.getCanSort() ? (
                    <button type="button" className="underline" onClick={header.column.getToggleSortingHandler()}>
                      {flexRender(header.column.columnDef.header, header.getContext())}
                    </button>
                  ) : (
                    flexRender(header.column.columnDef.header, header.getContext())
                  )}
                </th>
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          {before > 0 && <Gap height={before} span={columns.length} />}
          {shown.map((row) => (
            <Line key={row.id} row={row} />
          ))}
          {after > 0 && <Gap height={after} span={columns.length} />}
        </tbody>
      </table>
    </div>
  );
}

/** Room of the rows that are not drawn. */
const Gap = ({ height, span }: { height: number; span: number }) => (
  <tr aria-hidden>
    <td colSpan={span} style={{ height, padding: 0 }} />
  </tr>
);

function Line<T>({ row }: { row: Row<T> }) {
  return (
    <tr className="border-b border-line" aria-rowindex={row.index + 2}>
      {row.getVisibleCells().map((cell, k) =>
        k === 0 ? (
          <th key={cell.id} scope="row" className="py-1.5 pr-3 font-semibold">
            {flexRender(cell.column.columnDef.cell, cell.getContext())}
          </th>
        ) : (
          <td key={cell.id} className="py-1.5 pr-3">
            {flexRender(cell.column.columnDef.cell, cell.getContext())}
          </td>
        ),
      )}
    </tr>
  );
}
