import "fake-indexeddb/auto";
import { QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import type { Field } from "../../core/flow/grid";
import { sampleRun } from "../../testing/reach-samples";
import type { Reach } from "../../core/flow/reach-schema";
import type { Progress } from "../../core/flow/steady";
import { message } from "../../core/quantity/message";
import type { FieldRequest } from "../../scenario/field";
import { database } from "../../store/database";
import type { Outcome } from "../../workers/drive";
import { newQueryClient } from "../query";
import { useField } from "./use-field";

/** What the worker was asked last, to be answered when the test says so. */
interface Job {
  request: FieldRequest;
  near: Field | undefined;
  onProgress: (progress: Progress) => void;
  signal: AbortSignal;
  answer: (outcome: Outcome<Field>) => void;
}
let mockJobs: Job[] = [];
jest.mock("../../workers/clients", () => ({
  solveInWorker: (request: never, near: never, onProgress: never, signal: AbortSignal) =>
    new Promise((resolve) => {
      mockJobs.push({ request, near, onProgress, signal, answer: resolve });
      signal.addEventListener("abort", () => resolve({ ok: false, cancelled: true }));
    }),
}));

const fieldOf = (discharge: number, cell = 0.5): Field => ({
  nx: 4,
  ny: 3,
  cell,
  discharge,
  bed: new Float32Array(12),
  roughness: new Float32Array(12),
  depth: new Float32Array(12).fill(1),
  u: new Float32Array(12),
  v: new Float32Array(12),
  speedDeviation: new Float32Array(12),
  verdict: "converged",
  massError: 0,
  steps: 1,
});
let count = 0;
const reachOf = (change: Partial<Reach> = {}): Reach => ({
  ...sampleRun,
  features: [],
  id: `reach-${count}`,
  ...change,
});

beforeEach(async () => {
  mockJobs = [];
  count++;
  await database().delete();
  await database().open();
});

function shown(reach: Reach, flow: number) {
  const client = newQueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  return renderHook(({ reach: one, flow: wanted }) => useField(one, wanted), {
    wrapper,
    initialProps: { reach, flow },
  });
}
const job = async (n: number): Promise<Job> => {
  await waitFor(() => expect(mockJobs.length).toBeGreaterThan(n), { timeout: 3000 });
  return mockJobs[n]!;
};
const answer = async (n: number, outcome: Outcome<Field>) => {
  const asked = await job(n);
  await act(async () => asked.answer(outcome));
};

test("a first picture on coarse cells, then the field; it is kept, and read from there the next time", async () => {
  const reach = reachOf();
  const { result, unmount } = shown(reach, 5.004);
  const asked = await job(0);
  // Flows are solved at three figures.
  expect(asked.request.discharge).toBe(5);
  expect(result.current).toMatchObject({ settled: false, shown: undefined });
  await act(async () => asked.onProgress({ done: 0.3, picture: fieldOf(5, 2) } as never));
  expect(result.current).toMatchObject({ progress: 0.3, shown: { origin: "coarse", field: { cell: 2 } } });
  await answer(0, { ok: true, value: fieldOf(5) });
  await waitFor(() => expect(result.current).toMatchObject({ settled: true, shown: { origin: "solved" } }));
  await waitFor(() => expect(result.current.solved).toEqual([{ discharge: 5, cell: 0.5 }]));
  unmount();
  const again = shown(reach, 5);
  await waitFor(() => expect(again.result.current.settled).toBe(true));
  expect(mockJobs).toHaveLength(1);
});

test("another flow on the same bed: what was shown stands, said to be the nearest, and the solver starts from it", async () => {
  const reach = reachOf();
  const { result, rerender } = shown(reach, 5);
  await answer(0, { ok: true, value: fieldOf(5) });
  await waitFor(() => expect(result.current.settled).toBe(true));
  rerender({ reach, flow: 6 });
  expect(result.current).toMatchObject({ settled: false, shown: { origin: "nearest", field: { discharge: 5 } } });
  const asked = await job(1);
  expect(asked.near).toMatchObject({ discharge: 5 });
  await answer(1, { ok: true, value: fieldOf(6) });
  await waitFor(() => expect(result.current).toMatchObject({ settled: true, shown: { field: { discharge: 6 } } }));
  // Back to the first: it is there at once.
  rerender({ reach, flow: 5 });
  expect(result.current).toMatchObject({ settled: true, shown: { origin: "solved", field: { discharge: 5 } } });
  expect(mockJobs).toHaveLength(2);
});

test("a bed that changes under a hand never leaves the plan blank, and never shows the old bed's field as the new one's", async () => {
  const reach = reachOf();
  const { result, rerender } = shown(reach, 5);
  await act(async () => (await job(0)).onProgress({ done: 0.1, picture: fieldOf(5, 2) } as never));
  for (let step = 1; step <= 3; step++) {
    const features = [{ kind: "boulder", id: "a", x: 20 + step, y: 9, diameter: 2, height: 1 }] as never;
    rerender({ reach: { ...reach, features }, flow: 5 });
    expect(result.current).toMatchObject({ settled: false, shown: { origin: "earlier-bed" } });
  }
  // Nobody asks for the beds that were passed through any more.
  const asked = await job(1);
  await waitFor(() => expect(mockJobs.slice(0, -1).every((one) => one.signal.aborted)).toBe(true));
  expect(asked.request.reach.features).toHaveLength(1);
  await answer(mockJobs.length - 1, { ok: true, value: fieldOf(5) });
  await waitFor(() => expect(result.current).toMatchObject({ settled: true, shown: { origin: "solved" } }));
});

test("solving can be stopped and taken up again; a fault is told and can be tried again", async () => {
  const { result } = shown(reachOf(), 5);
  await job(0);
  act(() => result.current.cancel());
  await waitFor(() => expect(result.current).toMatchObject({ cancelled: true, progress: undefined }));
  act(() => result.current.retry());
  await answer(1, { ok: false, cancelled: false, fault: message("worker-lost") });
  await waitFor(() => expect(result.current.fault).toMatchObject({ code: "worker-lost" }));
  act(() => result.current.retry());
  await answer(2, { ok: true, value: fieldOf(5) });
  await waitFor(() => expect(result.current).toMatchObject({ settled: true, fault: undefined, cancelled: false }));
});

test("until the flow is known nothing is solved for a guess", async () => {
  const { result } = renderHook(() => useField(reachOf(), undefined), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={newQueryClient()}>{children}</QueryClientProvider>
    ),
  });
  expect(result.current).toMatchObject({ shown: undefined, settled: false, progress: undefined });
  expect(mockJobs).toHaveLength(0);
});
