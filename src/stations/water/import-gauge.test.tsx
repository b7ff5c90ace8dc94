import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { waterApi } from "../../store/water-api";
import { ImportGauge } from "./import-gauge";

// Every press on a list takes its time in here.
jest.setTimeout(30_000);
const routes: string[] = [];
jest.mock("next/navigation", () => ({ useRouter: () => ({ push: (path: string) => routes.push(path) }) }));

// The worker's work, on this thread: jsdom has no workers.
jest.mock("../../store/water-client", () => ({
  waterWorker: { ask: (work: (one: unknown) => unknown) => Promise.resolve(work(apiOf())) },
}));
function apiOf() {
  return waterApi;
}

const give = async (name: string, text: string) => {
  const user = userEvent.setup();
  const file = new File([text], name, { type: "text/csv" });
  // jsdom's files cannot be read as text.
  const readable = { text: () => Promise.resolve(text), slice: () => readable };
  await user.upload(screen.getByLabelText("File"), Object.assign(file, readable));
  return user;
};
const closed = jest.fn();
beforeEach(async () => {
  closed.mockClear();
  routes.length = 0;
  await database().delete();
  await database().open();
  useSettings.setState({ columns: {}, system: "metric", station: null });
  render(<ImportGauge open onOpenChange={closed} stations={[]} />);
});

const GOOD =
  "time,discharge (m3/s)\n2026-01-01T00:00Z,3\n2026-01-01T01:00Z,three\n2026-01-01T02:00Z,Ice\n2026-01-01T03:00Z,4\n";

test("a file is shown with what it holds and what was refused, and kept only when that is said", async () => {
  const user = await give("weir.csv", GOOD);
  expect(await screen.findByRole("rowheader", { name: "discharge" })).toBeInTheDocument();
  expect(screen.getByText(/^Of \d+ data lines .*, 1 refused\.$/)).toBeInTheDocument();
  expect(screen.getByText(/line 3: .*three.* is not a number/)).toBeInTheDocument();
  expect(screen.getByText(/Ice × 1/)).toBeInTheDocument();
  expect(screen.getByLabelText("Name of the gauge")).toHaveValue("weir");
  expect(await database().stations.count()).toBe(0);
  await user.type(screen.getByLabelText("Latitude (for the light)"), "95");
  await user.click(screen.getByRole("button", { name: "Keep this record" }));
  expect(await screen.findByText("Degrees from −90 to 90.")).toBeInTheDocument();
  expect(await database().stations.count()).toBe(0);
  await user.clear(screen.getByLabelText("Latitude (for the light)"));
  await user.click(screen.getByRole("button", { name: "Keep this record" }));
  await waitFor(() => expect(closed).toHaveBeenCalledWith(false));
  const [station] = await database().stations.toArray();
  expect(station).toMatchObject({ name: "weir", latitude: null });
  expect(useSettings.getState().station).toBe(station!.id);
  expect(routes).toEqual(["/water"]);
});

test("a file that cannot be read is told with its line; columns that do not tell are matched by hand and remembered", async () => {
  await give("bad.csv", "time,discharge (m3/s)\n2026-01-01T00:00Z,-3\n");
  expect(await screen.findByRole("alert")).toHaveTextContent(/line 2/);
  expect(screen.queryByRole("button", { name: "Keep this record" })).toBeNull();
  const odd = "when measured;Pegel cm\n2026-01-01T00:00;60\n2026-01-01T01:00;61\n";
  const user = await give("odd.csv", odd);
  expect(await screen.findByText(/Say below what the columns hold/)).toBeInTheDocument();
  expect(screen.getByRole("button", { name: "Read it so" })).toBeDisabled();
  await user.click(screen.getByRole("combobox", { name: "What when measured holds" }));
  await user.click(await screen.findByRole("option", { name: "Time" }));
  await user.click(screen.getByRole("combobox", { name: "What Pegel cm holds" }));
  await user.click(await screen.findByRole("option", { name: "Stage" }));
  await user.click(screen.getByRole("combobox", { name: "Unit of Pegel cm" }));
  await user.click(await screen.findByRole("option", { name: "cm" }));
  await user.click(screen.getByRole("button", { name: "Read it so" }));
  expect(await screen.findByRole("row", { name: "stage 2 0 0.60 m 0.61 m" })).toBeInTheDocument();
  expect(Object.values(useSettings.getState().columns)).toHaveLength(1);
  // The next of its kind is read so by itself.
  await give("odd-2.csv", odd.replace("61", "75"));
  expect(await screen.findByRole("row", { name: "stage 2 0 0.60 m 0.75 m" })).toBeInTheDocument();
});
