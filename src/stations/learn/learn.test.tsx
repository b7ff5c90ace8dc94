import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { ratesIn } from "../../core/book/classes";
import { compareRates } from "../../core/book/rates";
import { smoothRate } from "../../core/book/smooth-rate";
import { stream } from "../../core/quantity/seeded";
import { effortOf } from "../../core/book/effort";
import { demoBook } from "../../demo/book";
import { DEMO_HOUR } from "../../demo/hour";
import { useSettings } from "../../state/settings";
import { writeBook } from "../../store/book";
import { database } from "../../store/database";
import { QueryClientProvider } from "@tanstack/react-query";
import { newQueryClient } from "../../state/query";
import { LearnStation } from "./station";

// The worker's work is done on the page here.
jest.mock("../../store/water-client", () => ({
  waterWorker: {
    ask: async (work: (api: unknown) => unknown) => work((await import("../../store/learn-api")).learnApi),
  },
}));

// What is drawn on a canvas is looked at in a real browser; here the figures count.
jest.mock("./smooth-chart", () => ({
  SmoothChart: ({ points }: { points: unknown[] }) => <p>{points.length} points</p>,
}));
jest.mock("./rate-chart", () => ({ RateChart: ({ labels }: { labels: string[] }) => <p>{labels.join("|")}</p> }));

const show = () =>
  render(
    <QueryClientProvider client={newQueryClient()}>
      <LearnStation />
    </QueryClientProvider>,
  );

const book = demoBook(DEMO_HOUR);
beforeEach(async () => {
  await database().delete();
  await database().open();
  useSettings.setState({
    demo: { loadedAt: Date.now(), reaches: book.reaches.map((one) => one.id) },
    system: "metric",
  });
});

test("the table holds the rates of the book, class by class, and says which is best so far", async () => {
  await writeBook(database(), book);
  show();
  const table = await screen.findByTestId("rates");
  const told = ratesIn("flow", effortOf(book.sessions, book.catches, DEMO_HOUR, undefined, book.stretches));
  await waitFor(() => expect(within(table).getAllByRole("row")).toHaveLength(told.classes.length + 1));
  const rows = within(table).getAllByRole("row").slice(1);
  told.classes.forEach((one, k) => {
    const cells = within(rows[k]!)
      .getAllByRole("cell")
      .map((cell) => cell.textContent);
    expect(cells[0]).toBe(one.hours.toFixed(1));
    expect(cells[1]).toBe(String(one.events));
    expect(cells[2]).toBe(one.hours > 0 ? (one.events / one.hours).toFixed(2) : "not fished");
    expect(cells[3]).toBe(one.rate === null ? "–" : one.rate.toFixed(2));
    expect(cells[4]).toBe(one.interval ? one.interval.map((end) => end.toFixed(2)).join(" to ") : "–");
  });
  const best = told.classes
    .filter((one) => one.rate !== null && one.hours >= 2)
    .reduce((a, b) => (b.rate! > a.rate! ? b : a));
  expect(screen.getByText(/Best so far/)).toHaveTextContent(`${best.rate!.toFixed(2)} an hour`);
  expect(screen.getByText(/includes demo sessions/)).toBeInTheDocument();
});

test("by another measure, and for one reach alone, the hours still add up", async () => {
  const user = userEvent.setup();
  await writeBook(database(), book);
  show();
  const table = await screen.findByTestId("rates");
  const hours = () =>
    within(table)
      .getAllByRole("row")
      .slice(1)
      .reduce((sum, row) => sum + Number(within(row).getAllByRole("cell")[0]!.textContent), 0);
  await waitFor(() => expect(hours()).toBeGreaterThan(0));
  const all = hours();
  await user.click(screen.getByRole("combobox", { name: "Group by" }));
  await user.click(await screen.findByRole("option", { name: "clarity" }));
  expect(await screen.findByRole("heading", { name: "Fish per hour by clarity" })).toBeInTheDocument();
  // Rounded to a tenth in each row.
  await waitFor(() => expect(Math.abs(hours() - all)).toBeLessThan(0.6));
  await user.click(screen.getByRole("combobox", { name: "Reach" }));
  await user.click(await screen.findByRole("option", { name: book.reaches[0]!.reach.name }));
  await waitFor(() => expect(hours()).toBeLessThan(all - 1));
  expect(hours()).toBeGreaterThan(1);
});

test("an empty book has nothing to teach, and says what to do", async () => {
  await writeBook(database(), { ...book, sessions: [], catches: [] });
  show();
  expect(await screen.findByText(/No data yet. Log a session/)).toBeInTheDocument();
});

test("along the flow, what the log shows and which of two gives more: each follows from the same hours", async () => {
  const user = userEvent.setup();
  await writeBook(database(), book);
  show();
  await screen.findByTestId("rates");
  const efforts = effortOf(book.sessions, book.catches, 0, undefined, book.stretches);
  await user.click(screen.getByRole("tab", { name: "By flow curve" }));
  const peak = smoothRate(efforts, stream(1))
    .filter((one) => one.rate !== null)
    .reduce((a, b) => (b.rate! > a.rate! ? b : a));
  expect(await screen.findByText(/Best at about/)).toHaveTextContent(`${peak.rate!.toFixed(2)} an hour`);
  await user.click(screen.getByRole("tab", { name: "Patterns" }));
  expect(await screen.findByRole("heading", { name: "Not enough hours" })).toBeInTheDocument();
  // Nobody said anything of the tide in the made-up book.
  const tide = (await screen.findByText("Tide")).nextElementSibling;
  expect(tide).toHaveTextContent("No data yet.");
  await user.click(screen.getByRole("tab", { name: "Compare" }));
  const [falling, steady] = ["falling", "steady"].map((trend) => efforts.filter((one) => one.river?.trend === trend));
  const { chance, one } = compareRates(falling!, steady!)!;
  const told = await screen.findByText(/% sure\)/);
  expect(told).toHaveTextContent(`${Math.round(100 * Math.max(chance, 1 - chance))} %`);
  expect(screen.getByText(/^Falling:/)).toHaveTextContent(`${one.events} fish in ${one.hours.toFixed(0)} h`);
});
