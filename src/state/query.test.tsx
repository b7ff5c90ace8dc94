import { QueryClientProvider } from "@tanstack/react-query";
import { act as settle, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { message } from "../core/quantity/message";
import { newQueryClient, useStage, valueOf } from "./query";

function inClient() {
  const client = newQueryClient();
  return function Client({ children }: { children: ReactNode }) {
    return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
  };
}

interface Question {
  key: string | undefined;
  kin?: string;
}

/** A stage whose answers come when they are let. */
function asked() {
  const waiting = new Map<string, (value: string) => void>();
  const gone: string[] = [];
  const hook = renderHook(
    ({ key, kin }: Question) =>
      useStage(
        "stage",
        key,
        (signal) =>
          new Promise<string>((resolve) => {
            waiting.set(key!, resolve);
            signal.addEventListener("abort", () => gone.push(key!));
          }),
        kin,
      ),
    { wrapper: inClient(), initialProps: { key: "a", kin: "bed" } as Question },
  );
  const answer = async (key: string, value: string) => {
    await waitFor(() => expect(waiting.has(key)).toBe(true));
    await settle(async () => waiting.get(key)!(value));
  };
  return { hook, answer, gone };
}

test("an answer stands under its own question alone", async () => {
  const { hook, answer, gone } = asked();
  expect(hook.result.current).toMatchObject({ value: undefined, pending: true });
  await answer("a", "of a");
  await waitFor(() => expect(hook.result.current).toMatchObject({ value: "of a", earlier: false, pending: false }));
  // Kin of the question before: its answer stays, and is said to be the earlier one.
  hook.rerender({ key: "b", kin: "bed" });
  expect(hook.result.current).toMatchObject({ value: "of a", earlier: true, pending: true });
  // Another bed: no answer of the old one is shown; what is no longer asked is ended.
  hook.rerender({ key: "c", kin: "other bed" });
  expect(hook.result.current).toMatchObject({ value: undefined, earlier: false });
  await waitFor(() => expect(gone).toEqual(["b"]));
  // A late answer to the earlier question changes nothing.
  await answer("b", "of b");
  expect(hook.result.current.value).toBeUndefined();
  await answer("c", "of c");
  await waitFor(() => expect(hook.result.current).toMatchObject({ value: "of c", earlier: false }));
  // Asked again, the kept answer is there at once.
  hook.rerender({ key: "a", kin: "bed" });
  expect(hook.result.current).toMatchObject({ value: "of a", earlier: false, pending: false });
  hook.rerender({ key: undefined, kin: "bed" });
  expect(hook.result.current).toMatchObject({ value: undefined, pending: false });
});

test("a refused question gives its fault as data, and is asked again when wanted", async () => {
  let refuse = true;
  const { result } = renderHook(
    () =>
      useStage("stage", "k", async () =>
        valueOf(refuse ? { ok: false, fault: message("record-gone") } : { ok: true, value: 7 }),
      ),
    { wrapper: inClient() },
  );
  await waitFor(() => expect(result.current.fault?.code).toBe("record-gone"));
  expect(result.current.value).toBeUndefined();
  refuse = false;
  await settle(async () => result.current.retry());
  await waitFor(() => expect(result.current).toMatchObject({ value: 7, fault: undefined }));
});
