import "fake-indexeddb/auto";
import { act, renderHook, waitFor } from "@testing-library/react";
import { demoBook } from "../demo/book";
import { DEMO_HOUR } from "../demo/hour";
import { writeBook } from "../store/book";
import { database } from "../store/database";
import { addReading } from "../store/gauges";
import { removeReach } from "../store/reaches";
import { useSettings } from "./settings";
import { useSafety } from "./use-cautions";
import { useRiver } from "./use-river";

const HOUR = 3_600_000;
const book = demoBook(DEMO_HOUR);
const [first, second] = book.reaches;
const station = book.stations[0]!;

const clockAt = (hoursLater: number) =>
  useSettings.setState({
    demo: { loadedAt: Date.now() - hoursLater * HOUR, reaches: book.reaches.map((one) => one.id) },
  });
beforeEach(async () => {
  await database().delete();
  await database().open();
  await writeBook(database(), book);
  clockAt(0);
  useSettings.setState({ reach: first!.id, thunderAt: null });
});
const river = (other: string | null = null) => {
  const { result } = renderHook(() => {
    const own = useRiver(other);
    return { ...own, safety: useSafety(own) };
  });
  return result;
};

test("the river is that of the chosen reach, at the demo's hour, with the light there", async () => {
  const result = river();
  expect(result.current.ready).toBe(false);
  await waitFor(() => expect(result.current.now).toBeDefined());
  expect(result.current).toMatchObject({ ready: true, stale: false, light: "day" });
  expect(result.current.reach!.id).toBe(first!.id);
  expect(result.current.now!.trend).toBe("falling");
  expect(Math.abs(result.current.minute - DEMO_HOUR)).toBeLessThan(60_000);
});

test("a reach that is gone gives way to the first that is there", async () => {
  useSettings.setState({ reach: second!.id });
  const result = river();
  await waitFor(() => expect(result.current.reach?.id).toBe(second!.id));
  await removeReach(database(), second!.id);
  await waitFor(() => expect(result.current.reach?.id).toBe(first!.id));
  expect(result.current.reaches).toHaveLength(book.reaches.length - 1);
});

test("a record that ended more than six hours ago is told as it ended, and gives no caution of now", async () => {
  const dead = { ...book, waters: [] };
  await database().delete();
  await database().open();
  await writeBook(database(), dead);
  clockAt(6.5);
  const result = river();
  await waitFor(() => expect(result.current.now).toBeDefined());
  expect(result.current.stale).toBe(true);
  // The last reading's own hour, not that of the clock.
  expect(Date.parse(result.current.now!.at)).toBeLessThanOrEqual(DEMO_HOUR);
  const kinds = result.current.safety.cautions.map((one) => one.kind);
  expect(kinds).not.toContain("cold");
  expect(kinds).not.toContain("rising");
});

test("thunder heard sends everybody off the water for half an hour by the clock of the river", async () => {
  useSettings.setState({ thunderAt: DEMO_HOUR - 10 * 60_000 });
  const result = river();
  await waitFor(() => expect(result.current.now).toBeDefined());
  expect(result.current.safety.leave).toBe(true);
  expect(result.current.safety.cautions[0]).toMatchObject({ kind: "thunder" });
  act(() => {
    useSettings.setState({ thunderAt: DEMO_HOUR - 31 * 60_000 });
  });
  await waitFor(() => expect(result.current.safety.leave).toBe(false));
});

test("without a gauge the angler's own readings tell of the water, and caution; old ones do not", async () => {
  await database().reaches.update(first!.id, { station: null });
  const read = (hours: number) =>
    addReading(database(), {
      station: null,
      reach: first!.id,
      at: new Date(DEMO_HOUR - hours * HOUR).toISOString(),
      kind: "temperature",
      value: 25,
      error: null,
      how: "",
    });
  await read(7);
  const result = river();
  await waitFor(() => expect(result.current.reach?.station).toBeNull());
  expect(result.current.now).toBeUndefined();
  await read(1);
  await waitFor(() => expect(result.current.now?.waterTemperature).toBe(25));
  expect(result.current).toMatchObject({ stale: false, gauge: undefined, now: { discharge: null, stage: null } });
  expect(result.current.safety.cautions.map(({ kind }) => kind)).toContain("heat");
});

test("Water may look at another gauge; one that is not there is passed over", async () => {
  const result = river("nowhere");
  await waitFor(() => expect(result.current.station?.id).toBe(station.id));
  const own = river(station.id);
  await waitFor(() => expect(own.current.gauge).toBeDefined());
  // Looking at the gauge itself nothing is transferred to a reach.
  expect(own.current.atReach).toBeUndefined();
});
