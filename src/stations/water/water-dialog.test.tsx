import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { act, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { demoBook } from "../../demo/book";
import { DEMO_HOUR } from "../../demo/hour";
import { useNotices } from "../../state/notices";
import { useSettings } from "../../state/settings";
import { writeBook } from "../../store/book";
import { database } from "../../store/database";
import { blankWater, keepWater } from "../../store/gauges";
import { WaterDialog } from "./water-dialog";

const book = demoBook(DEMO_HOUR);
const station = book.stations[0]!;
const closed = jest.fn();

beforeEach(async () => {
  closed.mockClear();
  await database().delete();
  await database().open();
  await writeBook(database(), { ...book, waters: [], sessions: [], catches: [] });
  useNotices.setState({ list: [] });
  useSettings.setState({ system: "metric" });
  render(<WaterDialog station={station} water={blankWater(station.id)} reach={book.reaches[0]} onClose={closed} />);
});
const water = () => database().waters.get(station.id);
const keep = (user: ReturnType<typeof userEvent.setup>) => user.click(screen.getByRole("button", { name: "Save" }));

test("what is wrong is told beside its field and nothing is kept; mended, it is kept, and undo takes it back", async () => {
  const user = userEvent.setup();
  await user.type(screen.getByLabelText("Altitude"), "9000 m");
  await user.type(screen.getByLabelText("Dam upstream: how it releases"), "siren first");
  await keep(user);
  expect(await screen.findByText(/^From −430 to 6.?000 m\.$/)).toBeInTheDocument();
  expect(await water()).toBeUndefined();
  await user.clear(screen.getByLabelText("Altitude"));
  await user.type(screen.getByLabelText("Altitude"), "400 ft");
  await keep(user);
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect(await water()).toMatchObject({ altitude: expect.closeTo(121.92, 6) as number, damNote: "siren first" });
  await act(async () => useNotices.getState().list.at(-1)!.action!.run());
  await waitFor(async () => expect(await water()).toMatchObject({ altitude: null, damNote: "" }));
});

test("while it is open another tab says something else: both are kept", async () => {
  const user = userEvent.setup();
  await keepWater(database(), station.id, undefined, { water: { damNote: "from elsewhere" } });
  await user.type(screen.getByLabelText("Altitude"), "80 m");
  await keep(user);
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect(await water()).toMatchObject({ altitude: 80, damNote: "from elsewhere" });
});

test("a band needs a spot and a bound, its first under its second; it can be taken out again", async () => {
  const user = userEvent.setup();
  const add = () => user.click(screen.getByRole("button", { name: "Add band" }));
  await add();
  expect(await screen.findByText("Name the spot.")).toBeInTheDocument();
  await user.type(screen.getByLabelText("Spot"), "Back eddy");
  await add();
  expect(await screen.findByText("Enter at least one limit.")).toBeInTheDocument();
  await user.type(screen.getByLabelText("From"), "4");
  await user.type(screen.getByLabelText("To"), "2 m3/s");
  await add();
  expect(await screen.findByText("The first must be below the second.")).toBeInTheDocument();
  await user.clear(screen.getByLabelText("From"));
  await user.type(screen.getByLabelText("From"), "0.5");
  await add();
  const item = await screen.findByRole("listitem");
  expect(item).toHaveTextContent("Back eddy: 0.50 to 2.0 m³/s");
  await keep(user);
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect((await water())!.bands).toEqual([{ spot: "Back eddy", measure: "discharge", low: 0.5, high: 2 }]);
  await user.click(within(item).getByRole("button", { name: "Remove Back eddy" }));
  expect(screen.queryByRole("listitem")).toBeNull();
});

test("the rating says its curve while it is written; how the reach takes its flow is kept with the reach", async () => {
  const user = userEvent.setup();
  await user.type(
    screen.getByLabelText(/^Rating: measured stage/),
    "0.3, 0.48{Enter}0.5, 1.92{Enter}0.8, 5.88{Enter}1.1, 12",
  );
  expect(await screen.findByText(/^Q = 12\.0 .*4 pairs/)).toBeInTheDocument();
  await user.type(screen.getByLabelText(/^Catchment of/), "0.4");
  await user.type(screen.getByLabelText("Or the distance along the river to it"), "6000 m");
  await user.type(screen.getByLabelText("Mean speed of the water"), "0.5 m/s");
  await keep(user);
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect((await water())!.gaugings).toHaveLength(4);
  expect((await database().reaches.get(book.reaches[0]!.id))!.transfer).toEqual({ areaRatio: 0.4, lag: 2 });
});
