import "@testing-library/jest-dom";
import { act, render, screen } from "@testing-library/react";
import { useMemoryDay } from "../state/memory-day";
import { useNotices } from "../state/notices";
import { MemoryBanner } from "./memory-banner";

const MINUTE = 60_000;
const said = () => useNotices.getState().list;

test("what is unsaved is reminded of every twenty minutes, once at a time, and not when it is saved", () => {
  jest.useFakeTimers();
  useMemoryDay.setState({ inMemory: true, copied: true, unsaved: true });
  const { unmount } = render(<MemoryBanner />);
  act(() => jest.advanceTimersByTime(19 * MINUTE));
  expect(said()).toEqual([]);
  act(() => jest.advanceTimersByTime(61 * MINUTE));
  expect(said()).toMatchObject([{ fault: true, waiting: 0, action: { label: "Save a backup" } }]);
  act(() => useMemoryDay.setState({ unsaved: false }));
  expect(said()).toEqual([]);
  act(() => jest.advanceTimersByTime(60 * MINUTE));
  expect(said()).toEqual([]);
  expect(screen.getByRole("region", { name: "Temporary log" })).toHaveTextContent("It is backed up so far");
  unmount();
  jest.useRealTimers();
});
