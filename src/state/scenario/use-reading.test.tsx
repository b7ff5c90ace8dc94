import { QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { speciesById } from "../../core/fish/species";
import type { Field } from "../../core/flow/grid";
import type { Reach } from "../../core/flow/reach-schema";
import { message } from "../../core/quantity/message";
import { conditionsOf } from "../../scenario/conditions";
import { readingRequest, type ReadingRequest } from "../../scenario/reading";
import { newQueryClient } from "../query";
import type { NamedField, Origin } from "./kept-fields";
import { useReading } from "./use-reading";

interface Job {
  discharge: number;
  answer: (outcome: unknown) => void;
}
let mockJobs: Job[] = [];
jest.mock("../../workers/clients", () => ({
  reader: {
    ask: (work: (api: unknown) => unknown) =>
      work({
        read: (field: { discharge: number }) =>
          new Promise((resolve) => mockJobs.push({ discharge: field.discharge, answer: resolve })),
      }),
  },
}));

let count = 0;
const reachOf = (): Reach => ({
  schema: "low-heron/reach@1",
  id: `reach-${count}`,
  name: "Run",
  roughness: 0.03,
  bed: { kind: "grid", nx: 4, ny: 3, cell: 1, z: new Array(12).fill(0) as number[] },
  downstream: { kind: "normal", slope: 0.003 },
});
const named = (discharge: number, origin: Origin = "solved", cell = 1): NamedField => ({
  key: `field-${discharge}-${cell}`,
  origin,
  field: { discharge, cell } as Field,
});
/** A reading whose lies are at these places down the reach, best first. */
const lies = (...places: number[]) => ({ ok: true, value: { lies: places.map((x) => ({ x, y: 5 })), seams: [] } });
const asked = (species: string, temperature = 12): ReadingRequest =>
  readingRequest(
    speciesById(species),
    { ...conditionsOf(undefined, undefined, undefined, { discharge: 5, light: "day" }), temperature },
    [],
  );

beforeEach(() => {
  mockJobs = [];
  count++;
});
interface Question {
  field: NamedField;
  request: ReadingRequest;
}
function read(first: Question) {
  const client = newQueryClient();
  const reach = reachOf();
  return renderHook(({ field, request }: Question) => useReading(field, reach, request), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    ),
    initialProps: first,
  });
}
const answer = async (n: number, outcome: unknown) => {
  await waitFor(() => expect(mockJobs.length).toBeGreaterThan(n));
  await act(async () => mockJobs[n]!.answer(outcome));
};
const numbers = (hook: ReturnType<typeof read>) => hook.result.current.value?.lies.map(({ number, x }) => [number, x]);
const trout = asked("brown-trout");

test("lie 3 stays the same place when the flow moves and its rank changes; a new place takes the next number", async () => {
  const hook = read({ field: named(5), request: trout });
  await answer(0, lies(10, 20, 30));
  await waitFor(() =>
    expect(numbers(hook)).toEqual([
      [1, 10],
      [2, 20],
      [3, 30],
    ]),
  );
  hook.rerender({ field: named(7), request: trout });
  // While the newer one is on its way the earlier is shown, and said to be it.
  expect(hook.result.current).toMatchObject({ earlier: true, pending: true });
  expect(numbers(hook)).toEqual([
    [1, 10],
    [2, 20],
    [3, 30],
  ]);
  await answer(1, lies(31, 45, 11));
  await waitFor(() => expect(hook.result.current.earlier).toBe(false));
  expect(numbers(hook)).toEqual([
    [3, 31],
    [4, 45],
    [1, 11],
  ]);
  hook.rerender({ field: named(5), request: trout });
  expect(numbers(hook)).toEqual([
    [1, 10],
    [2, 20],
    [3, 30],
  ]);
});

test("a first picture on coarse cells gives no number away", async () => {
  const hook = read({ field: named(5, "coarse", 4), request: trout });
  await answer(0, lies(50, 10));
  await waitFor(() =>
    expect(numbers(hook)).toEqual([
      [1, 50],
      [2, 10],
    ]),
  );
  hook.rerender({ field: named(5), request: trout });
  await answer(1, lies(10, 20));
  await waitFor(() =>
    expect(numbers(hook)).toEqual([
      [1, 10],
      [2, 20],
    ]),
  );
});

test("a whole field of a flow near by does give its numbers away: they are the same places at the asked flow", async () => {
  const hook = read({ field: named(5, "nearest"), request: trout });
  await answer(0, lies(10, 20));
  await waitFor(() =>
    expect(numbers(hook)).toEqual([
      [1, 10],
      [2, 20],
    ]),
  );
  hook.rerender({ field: named(6), request: trout });
  await answer(1, lies(20, 10));
  await waitFor(() =>
    expect(numbers(hook)).toEqual([
      [2, 20],
      [1, 10],
    ]),
  );
});

test("another fish, or other water for it, is another question: no earlier answer is shown, and numbers are its own", async () => {
  const hook = read({ field: named(5), request: trout });
  await answer(0, lies(10, 20));
  await waitFor(() => expect(numbers(hook)).toHaveLength(2));
  for (const request of [asked("walleye"), asked("brown-trout", 4)]) {
    hook.rerender({ field: named(5), request });
    expect(hook.result.current).toMatchObject({ value: undefined, earlier: false });
  }
  // The question that nobody asks any more is passed over before the worker hears of it.
  await answer(1, lies(20, 40));
  await waitFor(() =>
    expect(numbers(hook)).toEqual([
      [2, 20],
      [3, 40],
    ]),
  );
});

test("what the worker refuses is a fault in its place, and can be asked again", async () => {
  const hook = read({ field: named(5), request: trout });
  await answer(0, { ok: false, fault: message("worker-lost") });
  await waitFor(() => expect(hook.result.current.fault).toMatchObject({ code: "worker-lost" }));
  act(() => hook.result.current.retry());
  await answer(1, lies(10));
  await waitFor(() => expect(numbers(hook)).toEqual([[1, 10]]));
  expect(hook.result.current.fault).toBeUndefined();
});
