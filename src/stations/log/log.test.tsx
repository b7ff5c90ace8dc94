import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { act, render, renderHook, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { demoBook } from "../../demo/book";
import { DEMO_HOUR } from "../../demo/hour";
import { useNotices } from "../../state/notices";
import { useSettings } from "../../state/settings";
import { useBook } from "../../state/use-book";
import type { River } from "../../state/use-river";
import { writeBook } from "../../store/book";
import { database } from "../../store/database";
import { CatchDialog } from "./catch-dialog";
import { effortOf } from "../../core/book/effort";
import { logCatch, patchCatch, patchSession, startSession } from "../../store/sessions";
import { PastSession } from "./past-session";
import { SessionDialog } from "./session-dialog";
import { SessionRow } from "./session-row";
import { Calendar } from "./calendar";
import { WaterClocksOf } from "../../state/water-clocks";
import { setClockZone } from "../../words/clock-zone";

const routes: string[] = [];
let query = "";
jest.mock("next/navigation", () => ({
  useRouter: () => ({ replace: (path: string) => routes.push(path) }),
  useSearchParams: () => new URLSearchParams(query),
}));

const book = demoBook(DEMO_HOUR);
const reach = book.reaches[0]!;
const river = {
  reach,
  reaches: book.reaches,
  station: book.stations[0],
  minute: DEMO_HOUR,
  stale: false,
  now: { discharge: 6.66, trend: "falling" },
} as unknown as River;

beforeEach(async () => {
  query = "";
  routes.length = 0;
  await database().delete();
  await database().open();
  await writeBook(database(), { ...book, sessions: [], catches: [] });
  useNotices.setState({ list: [] });
  useSettings.setState({
    demo: { loadedAt: Date.now(), reaches: book.reaches.map((one) => one.id) },
    reach: reach.id,
    species: "brown-trout",
    system: "metric",
  });
});
const undo = async () => act(async () => useNotices.getState().list.at(-1)!.action!.run());

test("a session of before shows its fish in order of time whatever their zones, goes, and comes back", async () => {
  const user = userEvent.setup();
  const session = book.sessions[0]!;
  await writeBook(database(), { ...book, sessions: [session], catches: [] });
  const fish = book.catches.find((one) => one.session === session.id)!;
  // One hour apart as instants, the other way round as text.
  const catches = [
    { ...fish, id: "late", at: "2026-05-08T12:30:00+02:00", lure: "late fly" },
    { ...fish, id: "early", at: "2026-05-08T09:30:00Z", lure: "early fly" },
  ];
  render(
    <ul>
      <SessionRow
        session={session}
        catches={catches}
        river={river}
        system="us"
        onOpen={() => undefined}
        onCorrect={() => undefined}
      />
    </ul>,
  );
  const fishes = screen.getAllByRole("button", { name: /fly/ }).map((one) => one.textContent);
  expect(fishes[0]).toMatch(/early fly/);
  expect(screen.getByText(/cfs/)).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: /^Delete the session/ }));
  await waitFor(async () => expect((await database().sessions.get(session.id))!.deleted).toBe(true));
  await undo();
  await waitFor(async () => expect((await database().sessions.get(session.id))!.deleted).toBeUndefined());
});

test("a catch is filled in later: a wrong length is told, what is right is kept, and can be taken back", async () => {
  const user = userEvent.setup();
  const fish = { ...book.catches[0]!, length: null, lure: "", notes: "" };
  await writeBook(database(), { ...book, catches: [fish] });
  const closed = jest.fn();
  render(<CatchDialog fish={fish} onClose={closed} />);
  const length = screen.getByLabelText("Length");
  await user.type(length, "14 kg");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByRole("alert")).toBeInTheDocument();
  expect(closed).not.toHaveBeenCalled();
  await user.clear(length);
  await user.type(length, "14 in");
  await user.type(screen.getByLabelText("Lure or bait"), " grey nymph ");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect(await database().catches.get(fish.id)).toMatchObject({
    length: expect.closeTo(0.3556, 9) as number,
    lure: "grey nymph",
  });
  await undo();
  await waitFor(async () => expect(await database().catches.get(fish.id)).toMatchObject({ length: null, lure: "" }));
}, 20_000);

test("a lost fish counts for no rate, and can be made a landed one", async () => {
  await startSession(database(), reach.id, "brown-trout", DEMO_HOUR);
  const [session] = await database().sessions.toArray();
  await logCatch(database(), session!, { lost: "broke" }, DEMO_HOUR + 60_000);
  const [fish] = await database().catches.toArray();
  expect(fish).toMatchObject({ lost: "broke", length: null });
  const sessions = await database().sessions.toArray();
  expect(effortOf(sessions, [fish!], DEMO_HOUR + 3_600_000)[0]!.catches).toEqual([]);
  await patchCatch(database(), fish!, { lost: undefined, weight: 0.5 });
  expect(effortOf(sessions, await database().catches.toArray(), DEMO_HOUR + 3_600_000)[0]!.catches).toHaveLength(1);
}, 20_000);

test("everything of a fish is put right; only what was touched is written, and its kind's weight is told", async () => {
  const user = userEvent.setup();
  const session = book.sessions[0]!;
  const [one] = book.catches.filter((fish) => fish.session === session.id);
  const fish = { ...one!, species: "brown-trout", length: 0.35, lure: "before" };
  await writeBook(database(), { ...book, catches: [fish] });
  const closed = jest.fn();
  render(<CatchDialog fish={fish} onClose={closed} />);
  expect(screen.getByRole("status")).toHaveTextContent("Standard weight at this length: 0.46 kg.");
  await user.type(screen.getByLabelText("Weight"), "500 g");
  await user.type(screen.getByLabelText("Girth"), "18 cm");
  await waitFor(() => expect(screen.getByRole("status")).toHaveTextContent(/10\d % of it, by your guess/));
  // Another hand says the lure meanwhile.
  await patchCatch(database(), fish, { lure: "grey nymph" });
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  const kept = (await database().catches.get(fish.id))!;
  expect(kept).toMatchObject({ weight: 0.5, weighed: false, girth: 0.18, lure: "grey nymph", length: 0.35 });
  expect(kept.at).toBe(fish.at);
}, 20_000);

test("a session is put right: rods and hours; a fish is added to it; moved in time it takes the river of that hour", async () => {
  const user = userEvent.setup();
  const session = book.sessions[3]!;
  await writeBook(database(), { ...book, sessions: [session], catches: [] });
  const closed = jest.fn();
  const { unmount } = render(<SessionDialog session={session} onClose={closed} />);
  await user.clear(screen.getByLabelText("Rods"));
  await user.type(screen.getByLabelText("Rods"), "9");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByText("Enter 1 to 6 rods.")).toBeInTheDocument();
  await user.clear(screen.getByLabelText("Rods"));
  await user.type(screen.getByLabelText("Rods"), "2");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  const kept = (await database().sessions.get(session.id))!;
  expect(kept).toMatchObject({ rods: 2, start: session.start, end: session.end, river: session.river });
  unmount();
  const earlier = Date.parse(session.start) - 86_400_000;
  await patchSession(database(), kept, { start: earlier });
  const moved = (await database().sessions.get(session.id))!;
  expect(Date.parse(moved.river!.at)).toBeLessThanOrEqual(earlier + 3_600_000);
  expect(moved.river!.discharge).not.toBe(session.river!.discharge);
  render(<SessionDialog session={moved} onClose={closed} />);
  await user.click(screen.getByRole("button", { name: "Add a fish" }));
  await waitFor(async () => expect(await database().catches.count()).toBe(1));
  expect((await database().catches.toArray())[0]).toMatchObject({ session: session.id, at: session.end });
}, 20_000);

test("a session already over must end after it began, by now, and not last for days", async () => {
  const user = userEvent.setup();
  const closed = jest.fn();
  render(<PastSession river={river} onClose={closed} />);
  const dialog = within(screen.getByRole("dialog"));
  const [from, to] = [dialog.getByLabelText("From"), dialog.getByLabelText("To")];
  const set = async (field: HTMLElement, text: string) => {
    await user.clear(field);
    await user.type(field, text);
  };
  const keep = () => user.click(dialog.getByRole("button", { name: "Save session" }));
  for (const [start, end, said] of [
    ["2026-05-13T10:00", "2026-05-13T09:00", "The end must come after the start."],
    ["2026-05-13T10:00", "2031-05-13T12:00", "The end is in the future."],
    ["2026-05-09T10:00", "2026-05-13T09:00", /Longer than two days/],
  ] as const) {
    await set(from, start);
    await set(to, end);
    await keep();
    expect(await dialog.findByText(said)).toBeInTheDocument();
  }
  await set(from, "2026-05-13T10:00");
  await set(to, "2026-05-13T13:00");
  await keep();
  await waitFor(() => expect(closed).toHaveBeenCalled());
  const [session] = await database().sessions.toArray();
  expect(Date.parse(session!.end!) - Date.parse(session!.start)).toBe(3 * 3_600_000);
  expect(session!.river!.discharge).toBeGreaterThan(0);
});

test("what was fished on another water is told, and corrected, by the clock of that water", async () => {
  const [home, far] = ["Europe/London", "America/Los_Angeles"];
  setClockZone(home);
  const user = userEvent.setup();
  // Evening in the west is the next morning at home.
  const session = { ...book.sessions[0]!, start: "2026-05-09T02:30:00Z", end: "2026-05-09T04:00:00Z" };
  const fish = { ...book.catches[0]!, session: session.id, at: "2026-05-09T03:15:00Z", lure: "fly" };
  await writeBook(database(), { ...book, sessions: [session], catches: [fish] });
  await database().stations.toCollection().modify({ zone: far });
  const sessions = [session];
  const closed = jest.fn();
  const { unmount } = render(
    <WaterClocksOf sessions={sessions}>
      <SessionRow
        session={session}
        catches={[fish]}
        river={river}
        system="metric"
        onOpen={() => undefined}
        onCorrect={() => undefined}
      />
      <Calendar
        book={{ ready: true, sessions, catches: [fish], stretches: [], running: undefined }}
        now={DEMO_HOUR}
        onDay={closed}
      />
    </WaterClocksOf>,
  );
  expect(await screen.findByText(/(8 May|May 8), (19:30|7:30\sPM).*(PDT|GMT-7)/)).toBeInTheDocument();
  expect(screen.getByRole("button", { name: /^(20:15|8:15\sPM) .*fly/ })).toBeInTheDocument();
  expect(await screen.findByRole("button", { name: /^8 May: 1 fish in/ })).toBeInTheDocument();
  unmount();
  render(
    <WaterClocksOf sessions={sessions}>
      <SessionDialog session={session} onClose={closed} />
    </WaterClocksOf>,
  );
  await waitFor(() => expect(screen.getByLabelText("From")).toHaveValue("2026-05-08T19:30"));
  const from = screen.getByLabelText("From");
  await user.clear(from);
  await user.type(from, "2026-05-08T18:30");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect(Date.parse((await database().sessions.get(session.id))!.start)).toBe(Date.UTC(2026, 4, 9, 1, 30));
  setClockZone(undefined);
});

test("the book is newest first by instant, and what is removed is not in it", async () => {
  const [a, b, c] = book.sessions;
  await writeBook(database(), {
    ...book,
    catches: [],
    sessions: [
      { ...a!, start: "2026-05-08T12:30:00+02:00", end: "2026-05-08T14:00:00+02:00" },
      { ...b!, start: "2026-05-08T11:00:00Z", end: null },
      { ...c!, deleted: true },
    ],
  });
  const { result } = renderHook(() => useBook());
  await waitFor(() => expect(result.current.ready).toBe(true));
  expect(result.current.sessions.map((one) => one.id)).toEqual([b!.id, a!.id]);
  expect(result.current.running!.id).toBe(b!.id);
});
