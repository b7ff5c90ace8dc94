import { waitFor } from "@testing-library/react";
import { InputError } from "../core/quantity/fault";
import { act, perform, unkept } from "./act";
import { useNotices } from "./notices";

beforeEach(() => useNotices.setState({ list: [] }));
const said = () => useNotices.getState().list;
const textOf = (error: unknown) => unkept(error, () => Promise.resolve()).text;

test("work that fails is told as a fault that stays", async () => {
  act(() => Promise.reject(new InputError("record-gone")));
  await waitFor(() => expect(said()).toHaveLength(1));
  expect(said()[0]).toMatchObject({ fault: true, text: expect.stringContaining("no longer in the log") as string });
});

test("work that throws before it begins is told too", async () => {
  act(() => {
    throw new Error("nothing to hold on to");
  });
  await waitFor(() => expect(said()[0]?.fault).toBe(true));
});

test("a full disk is told in plain words, wherever the browser hides its name", () => {
  const full = new DOMException("no", "QuotaExceededError");
  expect(textOf(full)).toMatch(/storage is full/);
  expect(textOf(Object.assign(new Error("abort"), { name: "AbortError", inner: full }))).toMatch(/storage is full/);
  expect(textOf(new Error("strange"))).toMatch(/couldn’t save this: strange/);
});

test("a command that is done is said with its undo; undoing runs it, and its failure is told", async () => {
  const done: string[] = [];
  expect(
    await perform(
      async () => async () => {
        done.push("undone");
      },
      "Done.",
      () => done.push("after"),
    ),
  ).toBe(true);
  const [notice] = said();
  expect(notice).toMatchObject({ text: "Done.", fault: false });
  notice!.action!.run();
  await waitFor(() => expect(done).toEqual(["undone", "after"]));
  await perform(async () => () => Promise.reject(new InputError("record-gone")), "Again.");
  said().at(-1)!.action!.run();
  await waitFor(() => expect(said().at(-1)!.fault).toBe(true));
});

test("a command that fails is told and says so", async () => {
  expect(await perform(() => Promise.reject(new InputError("record-gone")), "Done.")).toBe(false);
  expect(said().map((one) => one.fault)).toEqual([true]);
});
