import "fake-indexeddb/auto";
import { renderHook, waitFor } from "@testing-library/react";
import { flowsBetween } from "../../core/flow/precomputed";
import { sampleRun } from "../../testing/reach-samples";
import { message } from "../../core/quantity/message";
import type { FieldRequest } from "../../scenario/field";
import { bedKey } from "../../scenario/field";
import { database } from "../../store/database";
import { solvedFlows } from "../../store/fields";
import { useSettings } from "../settings";
import { usePrecomputed } from "./use-precomputed";

/** How often each flow was asked for, and what is wrong with it. */
const mockAsked = new Map<number, number>();
let mockFault: (discharge: number, time: number) => string | undefined = () => undefined;
jest.mock("../../workers/clients", () => ({
  solveInBackground: (_: number, { discharge, cell }: FieldRequest) => {
    const time = (mockAsked.get(discharge) ?? 0) + 1;
    mockAsked.set(discharge, time);
    const code = mockFault(discharge, time);
    const cells = { nx: 2, ny: 1, cell, discharge, verdict: "converged", massError: 0, steps: 1 };
    const layers = ["bed", "roughness", "depth", "u", "v", "speedDeviation"];
    const field = { ...cells, ...Object.fromEntries(layers.map((name) => [name, new Float32Array(2)])) };
    return Promise.resolve(code ? { ok: false, fault: message(code) } : { ok: true, value: field });
  },
}));

const RANGE = [4, 9] as const;
const FLOWS = flowsBetween(...RANGE);
const reach = { ...sampleRun, features: [], id: "ahead" };

beforeEach(async () => {
  mockAsked.clear();
  useSettings.setState({ ahead: "all" });
  await database().delete();
  await database().open();
});

const solved = async () => (await solvedFlows(database(), bedKey(reach))).map(({ discharge }) => discharge);
const idle = { timeout: 8000 };

test("a worker that broke down says nothing of the bed: its flow is asked for once more, and solved", async () => {
  mockFault = (discharge, time) => (discharge === FLOWS[1] && time === 1 ? "worker-lost" : undefined);
  const { unmount } = renderHook(() => usePrecomputed(reach, RANGE, 6, false));
  await waitFor(async () => expect((await solved()).sort()).toEqual([...FLOWS].sort()), idle);
  expect(mockAsked.get(FLOWS[1]!)).toBe(2);
  unmount();
}, 15_000);

test("one that breaks down at each try is left alone after the second, and a bed that carries no flow after the first", async () => {
  mockFault = (discharge) =>
    discharge === FLOWS[0] ? "worker-lost" : discharge === FLOWS[1] ? "no-outlet" : undefined;
  const { unmount } = renderHook(() => usePrecomputed(reach, RANGE, 6, false));
  await waitFor(async () => expect((await solved()).sort()).toEqual(FLOWS.slice(2).sort()), idle);
  await waitFor(() => expect(mockAsked.get(FLOWS[0]!)).toBe(2), idle);
  expect(mockAsked.get(FLOWS[1]!)).toBe(1);
  unmount();
}, 15_000);
