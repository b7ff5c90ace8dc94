import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { LevelDialog } from "./level-dialog";

const closed = jest.fn();
beforeEach(async () => {
  closed.mockClear();
  await database().delete();
  await database().open();
  useSettings.setState({ system: "metric" });
});

test("a level with its flow is kept; the next is two presses, on the same mark", async () => {
  const user = userEvent.setup();
  const first = render(<LevelDialog station="g" reach={null} flow={6.5} onClose={closed} />);
  await user.type(await screen.findByLabelText("Mark"), "flat stone");
  await user.type(screen.getByLabelText("Water over it, cm"), "12");
  expect(screen.getByLabelText("Flow now, if you know it")).toHaveValue("6.5 m³/s");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalledTimes(1));
  first.unmount();
  render(<LevelDialog station="g" reach={null} flow={null} onClose={closed} />);
  expect(await screen.findByLabelText("Mark")).toHaveValue("flat stone");
  await user.click(screen.getByRole("button", { name: "It is just covered" }));
  await waitFor(() => expect(closed).toHaveBeenCalledTimes(2));
  const kept = (await database().readings.toArray()).map(({ kind, value, mark, flow, station }) => ({
    kind,
    value,
    mark,
    flow,
    station,
  }));
  expect(kept).toHaveLength(2);
  expect(kept).toContainEqual({ kind: "level", value: 0.12, mark: "flat stone", flow: 6.5, station: "g" });
  expect(kept).toContainEqual({ kind: "level", value: 0, mark: "flat stone", flow: undefined, station: "g" });
});

test("what is no level is told, and nothing is kept", async () => {
  const user = userEvent.setup();
  render(<LevelDialog station={null} reach="r" flow={null} onClose={closed} />);
  await user.type(await screen.findByLabelText("Water over it, cm"), "wet");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByText("“wet” doesn’t start with a number.")).toBeInTheDocument();
  expect(screen.getByText("Name the mark, such as flat stone or staff.")).toBeInTheDocument();
  expect(await database().readings.count()).toBe(0);
});
