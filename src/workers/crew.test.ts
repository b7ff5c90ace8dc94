import { SINGLE } from "../core/flow/kernel";
import { crewOf } from "./crew";
import type { Enlisted } from "./crew.worker";

const made = () => {
  const sent: Enlisted[][] = [];
  const make = () => {
    const own: Enlisted[] = [];
    sent.push(own);
    return { postMessage: (one: Enlisted) => own.push(one) } as unknown as Worker;
  };
  return { sent, make };
};

test.each([
  ["two cores: one solves, one is the page's", 2, true, undefined],
  ["three cores: two solve", 3, true, 1],
  ["four: three solve", 4, true, 2],
  ["many: four solve", 16, true, 3],
  ["one core", 1, true, undefined],
  ["a page that may not share memory", 16, false, undefined],
])("%s", (_, cores, isolated, size) => {
  expect(crewOf(cores, isolated, made().make)?.size).toBe(size);
});

test("threads are made when first wanted, as many as the solve takes, and kept for the next", () => {
  const { sent, make } = made();
  const crew = crewOf(16, true, make)!;
  expect(sent).toHaveLength(0);
  const memory = new WebAssembly.Memory({ initial: 1, maximum: 2, shared: true });
  const compiled = new WebAssembly.Module(Uint8Array.from(atob(SINGLE.bytes), (letter) => letter.charCodeAt(0)));
  crew.serve(compiled, memory, 3);
  expect(sent.map((own) => own.map(({ thread }) => thread))).toEqual([[1], [2]]);
  crew.serve(compiled, memory, 2);
  expect(sent.map((own) => own.length)).toEqual([2, 1]);
});
