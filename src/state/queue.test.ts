import { Queue } from "./queue";

const never = new AbortController().signal;
const soon = () => new Promise((resolve) => setTimeout(resolve, 5));

test("one job at a time, in their turn, and a failed one stops nothing", async () => {
  const lane = new Queue();
  let running = 0;
  const done: number[] = [];
  const job = (n: number) => async () => {
    expect(++running).toBe(1);
    await soon();
    running--;
    if (n === 2) throw new Error("no");
    done.push(n);
    return n;
  };
  const results = await Promise.allSettled([1, 2, 3].map((n) => lane.run(job(n), never)));
  expect(results.map(({ status }) => status)).toEqual(["fulfilled", "rejected", "fulfilled"]);
  expect(done).toEqual([1, 3]);
});

test("a job that nobody wants any more is passed over, and tells so", async () => {
  const lane = new Queue();
  const control = new AbortController();
  const first = lane.run(soon, never);
  let ran = false;
  const second = lane.run(async () => {
    ran = true;
    await soon();
  }, control.signal);
  control.abort();
  await expect(second).rejects.toMatchObject({ name: "AbortError" });
  await first;
  expect(ran).toBe(false);
});
