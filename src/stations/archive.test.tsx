import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { createHash } from "node:crypto";
import { render, screen, waitFor } from "@testing-library/react";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
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

// Whole books are taken in here.
jest.setTimeout(30_000);
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
  await user.upload(screen.getByLabelText("Backup file"), file);
  return user;
};

test("an archive is shown before it is taken in; left, nothing is changed; taken, all of it is there", async () => {
  const file = await fileOf(await writeArchive(book, "2026-05-14T15:00:00Z", digest));
  render(<Archive />);
  const user = await give(file);
  expect(await screen.findByText(`sessions: ${book.sessions.length} new`)).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Cancel" }));
  expect(await live()).toBe(0);
  await give(file);
  await user.click(await screen.findByRole("button", { name: "Restore" }));
  await waitFor(async () => expect(await live()).toBe(book.sessions.length));
  // The demo river has its own hour again.
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
  await user.click(await screen.findByRole("button", { name: "Restore" }));
  await waitFor(() => expect(screen.queryByRole("button", { name: "Restore" })).toBeNull());
  expect(await live()).toBe(0);
  user = await give(file);
  expect(await screen.findByRole("radio", { name: /^Merge: keep the newest/ })).toBeChecked();
  await user.click(screen.getByRole("radio", { name: /^Restore it exactly: \d+ records deleted since come back$/ }));
  await user.click(screen.getByRole("button", { name: "Restore" }));
  await waitFor(async () => expect(await live()).toBe(book.sessions.length));
});

test("what is no archive is told, and nothing is changed", async () => {
  render(<Archive />);
  await give(await fileOf(new TextEncoder().encode("not a zip")));
  expect(await screen.findByRole("alert")).toHaveTextContent("Nothing changed.");
  expect(screen.queryByRole("button", { name: "Restore" })).toBeNull();
});

test("what joins, what was removed there and what cannot be taken is said before; of what stays nothing", async () => {
  await writeBook(database(), book);
  const later = "2027-01-01T00:00:00.000Z";
  const [series, ...others] = book.series;
  const files = unzipSync(
    await writeArchive(
      {
        ...book,
        series: [
          {
            ...series!,
            updatedAt: later,
            times: [series!.times.at(-1)! + 3_600_000],
            values: [5.5],
            stamps: [later],
            marks: [0],
          },
          ...others,
        ],
        sessions: book.sessions.map((one, k) => (k === 0 ? { ...one, deleted: true, updatedAt: later } : one)),
      },
      later,
      digest,
    ),
  );
  const manifest = JSON.parse(strFromU8(files["manifest.json"]!)) as { parts: { catches: { sha256: string } } };
  const lines = strFromU8(files["catches.jsonl"]!).split("\n");
  files["catches.jsonl"] = strToU8([lines[0]!.replace(/"length":[^,]+/, '"length":9'), ...lines.slice(1)].join("\n"));
  manifest.parts.catches.sha256 = await digest(files["catches.jsonl"]);
  files["manifest.json"] = strToU8(JSON.stringify(manifest));
  render(<Archive />);
  const user = await give(await fileOf(zipSync(files)));
  expect(await screen.findByText(`series: 1 merged with yours, ${others.length} unchanged`)).toBeInTheDocument();
  expect(
    screen.getByText(`sessions: 1 deleted there since, ${book.sessions.length - 1} unchanged`),
  ).toBeInTheDocument();
  expect(screen.queryByText(/^catches:/)).toBeNull();
  expect(
    screen.getByText(/^catches\.jsonl, line 1: length: .* was found, but it must be under 4$/),
  ).toBeInTheDocument();
  const before = (await database().series.get(series!.id))!.times.length;
  await user.click(screen.getByRole("button", { name: "Restore" }));
  await waitFor(async () => expect((await database().series.get(series!.id))!.times.length).toBe(before + 1));
  expect(await live()).toBe(book.sessions.length - 1);
});
