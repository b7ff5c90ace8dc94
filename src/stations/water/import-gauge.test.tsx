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
let shown: ReturnType<typeof render>;
beforeEach(async () => {
  closed.mockClear();
  routes.length = 0;
  await database().delete();
  await database().open();
  useSettings.setState({ columns: {}, system: "metric", station: null });
  shown = render(<ImportGauge open onOpenChange={closed} stations={[]} />);
});

const GOOD =
  "time,discharge (m3/s)\n2026-01-01T00:00Z,3\n2026-01-01T01:00Z,three\n2026-01-01T02:00Z,Ice\n2026-01-01T03:00Z,4\n";

test("a file is shown with what it holds and what was refused, and kept only when that is said", async () => {
  const user = await give("weir.csv", GOOD);
  expect(await screen.findByRole("rowheader", { name: "discharge" })).toBeInTheDocument();
  expect(screen.getByText(/^Of \d+ data lines .*, 1 rejected\.$/)).toBeInTheDocument();
  expect(screen.getByText(/line 3: .*three.* is not a number/)).toBeInTheDocument();
  expect(screen.getByText(/Ice × 1/)).toBeInTheDocument();
  expect(screen.getByLabelText("Gauge name")).toHaveValue("weir");
  expect(await database().stations.count()).toBe(0);
  await user.type(screen.getByLabelText("Latitude (for the light)"), "95");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByText("Degrees from −90 to 90.")).toBeInTheDocument();
  expect(await database().stations.count()).toBe(0);
  await user.clear(screen.getByLabelText("Latitude (for the light)"));
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalledWith(false));
  const [station] = await database().stations.toArray();
  expect(station).toMatchObject({ name: "weir", latitude: null });
  expect(useSettings.getState().station).toBe(station!.id);
  expect(routes).toEqual(["/water"]);
});

test("a file that cannot be read is told with its line; columns that do not tell are matched by hand and remembered", async () => {
  await give("bad.csv", "time,discharge (m3/s)\n2026-01-01T00:00Z,-3\n");
  expect(await screen.findByRole("alert")).toHaveTextContent(/line 2/);
  expect(screen.queryByRole("button", { name: "Save" })).toBeNull();
  const odd = "when measured;Pegel cm\n2026-01-01T00:00;60\n2026-01-01T01:00;61\n";
  const user = await give("odd.csv", odd);
  expect(await screen.findByText(/Match the columns below/)).toBeInTheDocument();
  expect(screen.getByRole("button", { name: "Apply columns" })).toBeDisabled();
  await user.click(screen.getByRole("combobox", { name: "What when measured holds" }));
  await user.click(await screen.findByRole("option", { name: "Time" }));
  await user.click(screen.getByRole("combobox", { name: "What Pegel cm holds" }));
  await user.click(await screen.findByRole("option", { name: "Stage" }));
  await user.click(screen.getByRole("combobox", { name: "Unit of Pegel cm" }));
  await user.click(await screen.findByRole("option", { name: "cm" }));
  await user.click(screen.getByRole("button", { name: "Apply columns" }));
  expect(await screen.findByRole("row", { name: "stage 2 none 0.60 m 0.61 m" })).toBeInTheDocument();
  expect(Object.values(useSettings.getState().columns)).toHaveLength(1);
  // The next of its kind is read so by itself.
  await give("odd-2.csv", odd.replace("61", "75"));
  expect(await screen.findByRole("row", { name: "stage 2 none 0.60 m 0.75 m" })).toBeInTheDocument();
});

const hours = (values: readonly (string | number)[], day = 3, month = 4) =>
  values.map((value, k) => `${month}/${day}/2026 ${k}:00,${value}`).join("\n");

test("dates that could have the day or month first are asked about, on the first rows; the answer holds", async () => {
  const user = await give("odd.csv", `time,flow (cfs)\n${hours([90, 91, 92])}\n`);
  expect(await screen.findByRole("alert")).toHaveTextContent(/could be day first or month first/);
  expect(screen.queryByRole("button", { name: "Save" })).toBeNull();
  expect(screen.getByRole("button", { name: /^Day first.*Mar.*2026/ })).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: /^Month first.*Apr.*2026/ }));
  expect(await screen.findByText(/were read with the month first/)).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalledWith(false));
  const [series] = await database().series.toArray();
  expect(new Date(series!.times[0]!).getMonth()).toBe(3);
});

test("a column without a unit is asked for; what is out of line is marked and can be left out", async () => {
  const rows = [4, 4.1, 40, 4.1, 4].map((q, k) => `2026-05-01T0${k}:00Z,${q},0.5`).join("\n");
  const user = await give("bare.csv", `time,flow,stage (m)\n${rows}\n`);
  expect(await screen.findByRole("alert")).toHaveTextContent(/“flow” gives no unit. Choose its unit/);
  expect(screen.getByRole("button", { name: "Apply columns" })).toBeDisabled();
  await user.click(screen.getByRole("combobox", { name: "Unit of flow" }));
  await user.click(await screen.findByRole("option", { name: "m3/s" }));
  await user.click(screen.getByRole("button", { name: "Apply columns" }));
  expect(await screen.findByText(/discharge 40.* m³\/s between readings of 4\.1/)).toBeInTheDocument();
  await user.click(screen.getByRole("checkbox", { name: /Remove it \(leaves a gap/ }));
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalledWith(false));
  const flow = (await database().series.toArray()).find(({ parameter }) => parameter === "discharge");
  expect([...flow!.values]).toEqual([4, 4.1, NaN, 4.1, 4]);
});

test("a record taken in again goes to its own gauge by itself; one that lies in the future is refused", async () => {
  const rows = Array.from({ length: 12 }, (_, k) => `2026-05-01T${String(k).padStart(2, "0")}:00Z,${4 + k / 10}`);
  const text = `time,discharge (m3/s)\n${rows.join("\n")}\n`;
  const user = await give("weir.csv", text);
  await user.click(await screen.findByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalledWith(false));
  shown.unmount();
  const stations = await database().stations.toArray();
  render(<ImportGauge open onOpenChange={closed} stations={stations} />);
  await give("another name.csv", text.replace("4.5", "4.6"));
  expect(await screen.findByRole("combobox", { name: /^Add to gauge \(matched by/ })).toHaveTextContent("weir");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalledTimes(2));
  expect(await database().stations.count()).toBe(1);
  await give("later.csv", `time,discharge (m3/s)\n2099-01-01T00:00Z,3\n`);
  expect(await screen.findByRole("alert")).toHaveTextContent(
    "The whole record is in the future: it starts on 2099-01-01.",
  );
});
