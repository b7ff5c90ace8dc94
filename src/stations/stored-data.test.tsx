import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { readReach } from "../core/flow/reach";
import { demoBook } from "../demo/book";
import { DEMO_HOUR } from "../demo/hour";
import { saveFile } from "../state/files";
import { useNotices } from "../state/notices";
import type { River } from "../state/use-river";
import { writeBook } from "../store/book";
import { database } from "../store/database";
import { StoredData } from "./stored-data";

jest.mock("../state/files", () => ({ saveFile: jest.fn() }));

const book = demoBook(DEMO_HOUR);
const river = { reaches: book.reaches, stations: book.stations } as unknown as River;
beforeEach(async () => {
  await database().delete();
  await database().open();
  await writeBook(database(), book);
  useNotices.setState({ list: [] });
  jest.mocked(saveFile).mockClear();
});
const undo = async () => act(async () => useNotices.getState().list.at(-1)!.action!.run());

test("a reach goes out as a file that can be read again, is taken out, and comes back", async () => {
  const user = userEvent.setup();
  const { id, reach } = book.reaches[0]!;
  render(<StoredData river={river} />);
  await user.click(screen.getByRole("button", { name: `Save ${reach.name} as a reach file` }));
  const [name, text] = jest.mocked(saveFile).mock.calls[0]!;
  expect(name).toMatch(/^[a-z0-9-]+\.json$/);
  expect(readReach(text as string)).toEqual(reach);
  await user.click(screen.getByRole("button", { name: `Remove ${reach.name}` }));
  await waitFor(async () => expect((await database().reaches.get(id))!.deleted).toBe(true));
  expect(useNotices.getState().list.at(-1)!.text).toMatch(/Its sessions stay/);
  expect((await database().sessions.toArray()).every((one) => !one.deleted)).toBe(true);
  await undo();
  await waitFor(async () => expect((await database().reaches.get(id))!.deleted).toBeUndefined());
});

test("a gauge goes with its long record, and undo brings every reading back", async () => {
  const user = userEvent.setup();
  const station = book.stations[0]!;
  render(<StoredData river={river} />);
  await user.click(screen.getByRole("button", { name: `Remove the gauge ${station.name}` }));
  await waitFor(async () => expect((await database().stations.get(station.id))!.deleted).toBe(true));
  expect((await database().series.toArray()).every((one) => one.times.length === 0)).toBe(true);
  await undo();
  await waitFor(async () => expect((await database().stations.get(station.id))!.deleted).toBeUndefined());
  const back = await database().series.toArray();
  expect(back.map((one) => one.times.length)).toEqual(
    back.map((one) => book.series.find((own) => own.id === one.id)!.times.length),
  );
});

test("reaches and gauges can be named anew, with undo; no name at all is refused", async () => {
  const user = userEvent.setup();
  const [{ id, reach }, station] = [book.reaches[0]!, book.stations[0]!];
  render(<StoredData river={river} />);
  for (const [name, now] of [
    [reach.name, async () => (await database().reaches.get(id))!.reach.name],
    [station.name, async () => (await database().stations.get(station.id))!.name],
  ] as const) {
    await user.click(screen.getByRole("button", { name: `Rename ${name}` }));
    const field = screen.getByRole("textbox", { name: `Name of ${name}` });
    await user.clear(field);
    await user.keyboard("{Enter}");
    expect(screen.getByRole("alert")).toHaveTextContent("Enter a name.");
    await user.type(field, "  Mill run {Enter}");
    await waitFor(async () => expect(await now()).toBe("Mill run"));
    expect(useNotices.getState().list.at(-1)!.text).toBe(`${name} is Mill run now.`);
    await undo();
    await waitFor(async () => expect(await now()).toBe(name));
  }
});

test("two of one name are told apart", () => {
  const twice = { reaches: [book.reaches[0]!, { ...book.reaches[1]!, reach: book.reaches[0]!.reach }], stations: [] };
  render(<StoredData river={twice as unknown as River} />);
  const { name } = book.reaches[0]!.reach;
  expect(screen.getByText(`${name} (1)`)).toBeInTheDocument();
  expect(screen.getByRole("button", { name: `Remove ${name} (2)` })).toBeInTheDocument();
});

test("with nothing in the book there is nothing to show", () => {
  const { container } = render(<StoredData river={{ reaches: [], stations: [] } as unknown as River} />);
  expect(container).toBeEmptyDOMElement();
});
