import { act, renderHook, waitFor } from "@testing-library/react";
import type { Field } from "../../core/flow/grid";
import type { Reach } from "../../core/flow/reach-schema";
import { message } from "../../core/quantity/message";
import type { FieldRequest } from "../../scenario/field";
import type { Outcome } from "../../workers/drive";
import type { NamedField } from "./kept-fields";
import { dropDraft, setDraft, useDraft } from "./shaping";
import type { NumberedReading } from "./use-reading";
import { useDraftOf, useLive } from "./use-live";

let mockAsked: { request: FieldRequest; before: Field; answer: (outcome: Outcome<Field>) => void }[] = [];
jest.mock("../../workers/clients", () => ({
  followInWorker: (request: never, before: never) =>
    new Promise((answer) => {
      mockAsked.push({ request, before, answer });
    }),
}));

const fieldOf = (name: number) => ({ cell: 2, discharge: name }) as Field;
const reachOf = (length: number, id = "r"): Reach => ({
  schema: "low-heron/reach@1",
  id,
  name: "Run",
  roughness: 0.035,
  bed: { kind: "template", template: "bend", length, width: 14, poolDepth: 1.2, slope: 0.003, wiggle: 2, cell: 0.5 },
  downstream: { kind: "normal", slope: 0.003 },
});
const start = { key: "k", field: fieldOf(1), origin: "solved" } as const;
/** Read at once, under the name of its field. */
const read = async (shown: NamedField) => ({ key: `read ${shown.field.discharge}` }) as NumberedReading;
const answer = async (outcome: Outcome<Field>) => act(async () => mockAsked.at(-1)!.answer(outcome));

beforeEach(() => {
  mockAsked = [];
  act(dropDraft);
});

test("one picture at a time, each from the one before, always of the newest bed under the hand", async () => {
  const { result, rerender } = renderHook(({ draft }) => useLive(draft, 9, start, read), {
    initialProps: { draft: reachOf(60) as Reach | undefined },
  });
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  expect(mockAsked[0]!.before).toBe(start.field);
  // The hand moves on twice while the first is worked out: only the last is asked for.
  rerender({ draft: reachOf(61) });
  rerender({ draft: reachOf(62) });
  expect(mockAsked).toHaveLength(1);
  await answer({ ok: true, value: fieldOf(2) });
  expect(mockAsked).toHaveLength(2);
  expect((mockAsked[1]!.request.reach.bed as { length: number }).length).toBe(62);
  expect(mockAsked[1]!.before.discharge).toBe(2);
  expect(result.current).toMatchObject({
    shown: { origin: "live", field: { discharge: 2 } },
    reading: { key: "read 2" },
  });
  const first = result.current!.shown.key;
  await answer({ ok: true, value: fieldOf(3) });
  expect(result.current!.shown.key).not.toBe(first);
  // Let go: nothing live is shown, and nothing more is asked.
  rerender({ draft: undefined });
  expect(result.current).toBeUndefined();
  const asked = mockAsked.length;
  await answer({ ok: true, value: fieldOf(4) });
  expect(mockAsked).toHaveLength(asked);
});

test("a still hand is followed for a while only; a bed that cannot carry the flow leaves the picture before", async () => {
  const { result, rerender } = renderHook(({ draft }) => useLive(draft, 9, start, read), {
    initialProps: { draft: reachOf(60) },
  });
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  for (let k = 0; k < 30; k++) await answer({ ok: true, value: fieldOf(10 + k) });
  expect(mockAsked.length).toBeGreaterThan(4);
  expect(mockAsked.length).toBeLessThan(15);
  const shown = result.current!.shown.key;
  const before = mockAsked.length;
  rerender({ draft: reachOf(70) });
  await waitFor(() => expect(mockAsked.length).toBe(before + 1));
  await answer({ ok: false, cancelled: false, fault: message("no-inlet") });
  expect(result.current === undefined || result.current.shown.key !== shown).toBe(true);
  expect(mockAsked.length).toBe(before + 1);
});

test("without a field to start from nothing is asked", () => {
  renderHook(() => useLive(reachOf(60), 9, undefined, read));
  renderHook(() => useLive(reachOf(60), undefined, start, read));
  expect(mockAsked).toHaveLength(0);
});

test("the bed under the hand is one of this reach, and other than the book's", () => {
  const { result, rerender } = renderHook(({ reach }) => useDraftOf(reach), { initialProps: { reach: reachOf(60) } });
  expect(result.current).toBeUndefined();
  act(() => setDraft({ reach: reachOf(66), over: reachOf(60) }));
  expect(result.current).toMatchObject({ bed: { length: 66 } });
  // Kept: the book has it now. What is changed afterwards is no longer under the hand, nor is the bed of before.
  for (const length of [66, 70, 60]) {
    rerender({ reach: reachOf(length) });
    expect(result.current).toBeUndefined();
  }
  expect(useDraft.getState().draft).toBeUndefined();
  act(() => setDraft({ reach: reachOf(66), over: reachOf(60) }));
  rerender({ reach: reachOf(60, "another") });
  expect(result.current).toBeUndefined();
});
