import { act, renderHook } from "@testing-library/react";
import { InputError } from "../core/quantity/fault";
import { useNotices } from "./notices";
import { useSave } from "./use-save";

beforeEach(() => useNotices.setState({ list: [] }));

test("what is saved is said, with its undo, and the dialog closes", async () => {
  let closed = 0;
  const { result } = renderHook(() => useSave(() => closed++));
  await act(() =>
    result.current.save(
      async () => async () => undefined,
      () => "Kept.",
    ),
  );
  expect(closed).toBe(1);
  expect(useNotices.getState().list).toMatchObject([{ text: "Kept.", action: { label: "Undo" } }]);
  expect(result.current).toMatchObject({ fault: undefined, busy: false });
});

test("what cannot be saved keeps the dialog open with its fault, until it can", async () => {
  let closed = 0;
  const { result } = renderHook(() => useSave(() => closed++));
  await act(() => result.current.save(() => Promise.reject(new InputError("record-gone")), "Kept."));
  expect(closed).toBe(0);
  expect(result.current.fault?.text).toMatch(/no longer in the log/);
  // It would be wrong in memory as well.
  expect(result.current.fault?.inMemory).toBeUndefined();
  expect(useNotices.getState().list).toEqual([]);
  await act(() => result.current.save(async () => undefined, "Kept."));
  expect(result.current.fault).toBeUndefined();
  expect(closed).toBe(1);
  expect(useNotices.getState().list[0]!.action).toBeUndefined();
});
