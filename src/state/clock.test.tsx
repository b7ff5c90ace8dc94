import { act, renderHook } from "@testing-library/react";
import { DEMO_HOUR } from "../demo/hour";
import { clockNow, useDemoClock, useMinute } from "./clock";
import { useSettings } from "./settings";

const LOADED = Date.UTC(2031, 0, 5, 9);
beforeEach(() => {
  jest.useFakeTimers({ now: LOADED + 90_000 });
  useSettings.setState({ demo: null, reach: null });
});
afterEach(() => jest.useRealTimers());

test("without the demo river the clock is the device's", () => {
  expect(clockNow()).toBe(LOADED + 90_000);
  expect(renderHook(() => useDemoClock()).result.current).toBe(false);
});

test("the demo river has its own hour, whatever the wall clock says, and runs on from there", () => {
  useSettings.setState({ demo: { loadedAt: LOADED, reaches: ["a"] }, reach: "a" });
  expect(clockNow()).toBe(DEMO_HOUR + 90_000);
  const { result } = renderHook(() => useMinute());
  expect(result.current).toBe(DEMO_HOUR + 90_000);
  act(() => {
    jest.advanceTimersByTime(60_000);
  });
  expect(result.current).toBe(DEMO_HOUR + 150_000);
});

test("with a reach of one's own chosen the device's clock speaks again, at once", () => {
  useSettings.setState({ demo: { loadedAt: LOADED, reaches: ["a"] }, reach: "a" });
  const { result } = renderHook(() => useMinute());
  act(() => {
    useSettings.setState({ reach: "mine" });
  });
  expect(result.current).toBe(LOADED + 90_000);
  act(() => {
    useSettings.setState({ reach: null });
  });
  expect(result.current).toBe(DEMO_HOUR + 90_000);
});
