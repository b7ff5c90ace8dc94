import "@testing-library/jest-dom";
import "fake-indexeddb/auto";
import { render, screen, waitFor } from "@testing-library/react";
import { IDBObjectStore } from "fake-indexeddb";
import { InputError } from "../core/quantity/fault";
import { MemoryBanner } from "./memory-banner";
import { writeBook } from "../store/book";
import { database } from "../store/database";
import { waterApi } from "../store/water-api";
import { demoBook } from "../demo/book";
import { DEMO_HOUR } from "../demo/hour";
import { gaugeCsv } from "../standins/gauge";
import { addPastSession } from "../store/sessions";
import { act, perform, unkept } from "../state/act";
import { setUnsaved, useMemoryDay } from "../state/memory-day";
import { useNotices } from "../state/notices";

const said = () => useNotices.getState().list;
const own = { put: IDBObjectStore.prototype.put, add: IDBObjectStore.prototype.add };
/** Writes of the browser's own book fail from here on. */
function fillDisk(): void {
  const full = function (): never {
    throw new DOMException("no room", "QuotaExceededError");
  };
  IDBObjectStore.prototype.put = full;
  IDBObjectStore.prototype.add = full;
}
const makeRoom = () => {
  Object.assign(IDBObjectStore.prototype, own);
};
afterEach(makeRoom);

const book = demoBook(DEMO_HOUR);
const reach = book.reaches[0]!.id;
const session = () =>
  addPastSession(database(), { reach, species: "brown-trout", rods: 1, notes: "", start: 0, end: 3_600_000 });

beforeAll(async () => {
  await writeBook(database(), { ...book, series: [], sessions: [], catches: [] });
});

test("the worker tells a full disk as one, and keeps what was opened for another try", async () => {
  const file = new File([gaugeCsv(DEMO_HOUR - 36e5 * 5, DEMO_HOUR)], "gauge.csv");
  Object.defineProperty(file, "text", { value: () => Promise.resolve(gaugeCsv(DEMO_HOUR - 36e5 * 5, DEMO_HOUR)) });
  const target = { name: "Own", zone: "UTC", latitude: null, longitude: null };
  expect(await waterApi.open([file], { zone: "UTC" })).toMatchObject({ ok: true });
  fillDisk();
  const refused = await waterApi.keep([file], { zone: "UTC" }, target);
  expect(refused).toMatchObject({ ok: false, fault: { code: "disk-full" } });
  expect(unkept(Object.assign(new Error(), refused), () => Promise.resolve()).inMemory).toBeDefined();
  makeRoom();
  expect(await waterApi.keep([file], { zone: "UTC" }, target)).toMatchObject({ ok: true });
  // And a worker that was begun anew reads it again.
  expect(await waterApi.keep([file], { zone: "UTC" }, target)).toMatchObject({ ok: true });
});

test("a write that fails is told with its ways on: tried again it is done; told once, every entry waits", async () => {
  fillDisk();
  expect(await perform(session, "Session saved.")).toBe(false);
  expect(await perform(session, "Session saved.")).toBe(false);
  expect(said()).toHaveLength(1);
  expect(said()[0]).toMatchObject({
    fault: true,
    waiting: 2,
    action: { label: "Retry" },
    other: { label: "Use a temporary log" },
  });
  makeRoom();
  said()[0]!.action!.run();
  await waitFor(() => expect(said().at(-1)!.text).toBe("Session saved."));
  await waitFor(async () => expect(await database().sessions.count()).toBe(2));
});

test("an entry that failed waits, however much is said after it", () => {
  useNotices.setState({ list: [] });
  const { say, wait } = useNotices.getState();
  const run = jest.fn();
  wait("The disk is full.", { label: "Retry", run });
  for (let k = 0; k < 6; k++) say(`Said ${k}`);
  say("Another fault", undefined, true);
  expect(said().map((one) => one.text)).toEqual(["The disk is full.", "Said 4", "Said 5", "Another fault"]);
  // Told again without an entry of its own, it keeps the one that waits.
  say("The disk is full.", undefined, true);
  said()[0]!.action!.run();
  expect(run).toHaveBeenCalledTimes(1);
  expect(said()[0]!.waiting).toBe(1);
});

test("what is wrong with the entry itself has no such ways: it would be wrong again", () => {
  expect(unkept(new InputError("record-gone"), () => Promise.resolve()).inMemory).toBeUndefined();
});

test("in memory the book goes on with all that was there, says so, and says when it is saved", async () => {
  const disk = database();
  useNotices.setState({ list: [] });
  render(<MemoryBanner />);
  expect(screen.queryByRole("region", { name: "Temporary log" })).not.toBeInTheDocument();
  fillDisk();
  act(session);
  await waitFor(() => expect(said()).toHaveLength(1));
  makeRoom();
  // Another entry waits, of another fault, and a dialog's is tried: the change is made once, and all three are kept.
  useNotices.getState().wait("Another fault", { label: "Retry", run: () => act(session) });
  const [failed] = said();
  useNotices.getState().drop(failed!.id);
  failed!.other!.run();
  unkept(new DOMException("full", "QuotaExceededError"), session).inMemory!();
  await waitFor(() => expect(useMemoryDay.getState().inMemory).toBe(true));
  expect(database()).not.toBe(disk);
  await waitFor(async () => expect(await database().sessions.count()).toBe(5));
  expect(await database().reaches.count()).toBe(book.reaches.length);
  expect(await disk.sessions.count()).toBe(2);
  expect(useMemoryDay.getState()).toMatchObject({ copied: true, turn: 1 });

  expect(await screen.findByRole("region", { name: "Temporary log" })).toHaveTextContent(
    "It is lost when this page closes",
  );
  const leaving = () => {
    const event = new Event("beforeunload", { cancelable: true });
    window.dispatchEvent(event);
    return event.defaultPrevented;
  };
  expect(leaving()).toBe(true);
  setUnsaved(false);
  await waitFor(() => expect(screen.getByRole("region")).toHaveTextContent("It is backed up so far"));
  expect(leaving()).toBe(false);
  await session();
  await waitFor(() => expect(screen.getByRole("region")).toHaveTextContent("It is lost when this page closes"));
});
