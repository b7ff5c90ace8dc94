import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { createHash } from "node:crypto";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { writeArchive } from "../core/formats/archive";
import { demoBook } from "../demo/book";
import { DEMO_HOUR } from "../demo/hour";
import { useSettings } from "../state/settings";
import { removeDemo, writeBook } from "../store/book";
import { database } from "../store/database";
import { Archive } from "./archive";

const digest = async (bytes: Uint8Array) => createHash("sha256").update(bytes).digest("hex");
jest.mock("../state/files", () => ({
  saveFile: jest.fn(),
  sha256: (bytes: Uint8Array) => Promise.resolve(createHashOf(bytes)),
}));
function createHashOf(bytes: Uint8Array): string {
  return createHash("sha256").update(bytes).digest("hex");
}

const book = demoBook(DEMO_HOUR);
const fileOf = async (bytes: Uint8Array) => {
  const file = new File([], "book.zip", { type: "application/zip" });
  return Object.assign(file, { arrayBuffer: async () => bytes.slice().buffer });
};
beforeEach(async () => {
  await database().delete();
  await database().open();
  useSettings.setState({ demo: null, demoRemoved: true });
});
const live = async () => (await database().sessions.toArray()).filter((one) => !one.deleted).length;
const give = async (file: File) => {
  const user = userEvent.setup();
  await user.upload(screen.getByLabelText("Archive file"), file);
  return user;
};

test("an archive is shown before it is taken in; left, nothing is changed; taken, all of it is there", async () => {
  const file = await fileOf(await writeArchive(book, "2026-05-14T15:00:00Z", digest));
  render(<Archive />);
  const user = await give(file);
  expect(
    await screen.findByText(`sessions: ${book.sessions.length} new, 0 newer than yours, 0 left as they are`),
  ).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Leave it" }));
  expect(await live()).toBe(0);
  await give(file);
  await user.click(await screen.findByRole("button", { name: "Take it in" }));
  await waitFor(async () => expect(await live()).toBe(book.sessions.length));
  // The made-up river has its own hour again.
  await waitFor(() =>
    expect(useSettings.getState().demo?.reaches.toSorted()).toEqual(book.reaches.map((one) => one.id).sort()),
  );
});

test("what was removed here since stays removed, unless it is wanted back", async () => {
  const file = await fileOf(await writeArchive(book, "2026-05-14T15:00:00Z", digest));
  await writeBook(database(), book);
  await removeDemo(database());
  render(<Archive />);
  let user = await give(file);
  await user.click(await screen.findByRole("button", { name: "Take it in" }));
  await waitFor(() => expect(screen.queryByRole("button", { name: "Take it in" })).toBeNull());
  expect(await live()).toBe(0);
  user = await give(file);
  await user.click(
    await screen.findByRole("checkbox", { name: /^Bring back \d+ records of it that were removed here since$/ }),
  );
  await user.click(screen.getByRole("button", { name: "Take it in" }));
  await waitFor(async () => expect(await live()).toBe(book.sessions.length));
});

test("what is no archive is told, and nothing is changed", async () => {
  render(<Archive />);
  await give(await fileOf(new TextEncoder().encode("not a zip")));
  expect(await screen.findByRole("alert")).toHaveTextContent("Nothing was changed.");
  expect(screen.queryByRole("button", { name: "Take it in" })).toBeNull();
});
