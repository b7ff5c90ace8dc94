import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import { type ColumnDef, DataTable } from "./data-table";

interface Day {
  name: string;
  flow: number;
}
const columns: ColumnDef<Day>[] = [
  { id: "name", header: "Day", cell: ({ row }) => row.original.name },
  { id: "flow", header: "Flow", cell: ({ row }) => row.original.flow.toFixed(1) },
];
const days = (n: number): Day[] => Array.from({ length: n }, (_, k) => ({ name: `day ${k}`, flow: k / 2 }));

test("a short table draws every row, and the first column names it", () => {
  render(<DataTable columns={columns} rows={days(3)} label="Days" />);
  const table = screen.getByRole("table", { name: "Days" });
  expect(within(table).getAllByRole("row")).toHaveLength(4);
  expect(within(table).getByRole("rowheader", { name: "day 2" })).toBeInTheDocument();
  expect(
    within(table)
      .getAllByRole("columnheader")
      .map((one) => one.textContent),
  ).toEqual(["Day", "Flow"]);
});

test("a long table draws a part, says how long it is, and can be scrolled by keys", () => {
  render(<DataTable columns={columns} rows={days(5000)} label="Days" />);
  const table = screen.getByRole("table", { name: "Days" });
  expect(table).toHaveAttribute("aria-rowcount", "5001");
  expect(within(table).queryAllByRole("rowheader").length).toBeLessThan(200);
  expect(table.parentElement).toHaveAttribute("tabindex", "0");
});
