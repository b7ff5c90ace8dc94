import { SINGLE } from "../core/flow/kernel";
import type { ThreadTask } from "../core/flow/thread-pool";
import { ThreadWorkers, helpersFor } from "./thread-workers";

test.each([
  ["two cores: one solves, one is the page's", 2, true, 0],
  ["three cores: two solve", 3, true, 1],
  ["four: three solve", 4, true, 2],
  ["many: four solve", 16, true, 3],
  ["one core", 1, true, 0],
  ["a page that may not share memory", 16, false, 0],
])("%s", (_, cores, isolated, count) => {
  expect(helpersFor(cores, isolated)).toBe(count);
});

/** Workers that say what they are told to say. */
function made() {
  const workers: { sent: ThreadTask[]; say: (what: "message" | "error") => void }[] = [];
  const make = () => {
    const listeners = { message: [] as (() => void)[], error: [] as (() => void)[] };
    const sent: ThreadTask[] = [];
    workers.push({ sent, say: (what) => listeners[what].splice(0).forEach((listener) => listener()) });
    return {
      postMessage: (one: ThreadTask) => sent.push(one),
      addEventListener: (what: "message" | "error", listener: () => void) => listeners[what].push(listener),
    } as unknown as Worker;
  };
  return { workers, helpers: new ThreadWorkers(make) };
}

test("a helper counts from when it says that it runs: until then nobody waits for it", () => {
  const { workers, helpers } = made();
  expect(helpers.pool.size).toBe(0);
  helpers.enlist(2);
  helpers.enlist(2);
  expect(workers).toHaveLength(2);
  expect(helpers.pool.size).toBe(0);
  workers[1]!.say("message");
  expect(helpers.pool.size).toBe(1);
  workers[0]!.say("message");
  const memory = new WebAssembly.Memory({ initial: 1, maximum: 2, shared: true });
  const compiled = new WebAssembly.Module(Uint8Array.from(atob(SINGLE.bytes), (letter) => letter.charCodeAt(0)));
  helpers.pool.serve(compiled, memory, 3);
  expect([...workers].reverse().map(({ sent }) => sent.map(({ thread }) => thread))).toEqual([[1], [2]]);
  // One that breaks down is not counted on again.
  workers[1]!.say("error");
  expect(helpers.pool.size).toBe(1);
  helpers.pool.serve(compiled, memory, 2);
  expect(workers[0]!.sent.map(({ thread }) => thread)).toEqual([2, 1]);
});
