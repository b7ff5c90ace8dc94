import fc from "fast-check";
import { Queue } from "./queue";

const never = new AbortController().signal;
const soon = () => new Promise((resolve) => setTimeout(resolve, 5));

test("one job at a time, in their turn, and a failed one stops nothing", async () => {
  const queue = new Queue();
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
  const results = await Promise.allSettled([1, 2, 3].map((n) => queue.run(job(n), never)));
  expect(results.map(({ status }) => status)).toEqual(["fulfilled", "rejected", "fulfilled"]);
  expect(done).toEqual([1, 3]);
});

test("a job that nobody wants any more is passed over, and tells so", async () => {
  const queue = new Queue();
  const control = new AbortController();
  const first = queue.run(soon, never);
  let ran = false;
  const second = queue.run(async () => {
    ran = true;
    await soon();
  }, control.signal);
  control.abort();
  await expect(second).rejects.toMatchObject({ name: "AbortError" });
  await first;
  expect(ran).toBe(false);
});

test("whatever is asked, given up or fails, in any order: one job at a time, in turn, and none that was given up before", async () => {
  const job = fc.record({
    steps: fc.nat(3),
    fails: fc.boolean(),
    abortAfter: fc.option(fc.nat(6), { nil: undefined }),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(job, { maxLength: 8 }), async (jobs) => {
      const queue = new Queue();
      const begun: number[] = [];
      let running = 0;
      const controls = jobs.map(() => new AbortController());
      const results = jobs.map(({ steps, fails }, n) =>
        queue.run(async () => {
          expect(++running).toBe(1);
          expect(controls[n]!.signal.aborted).toBe(false);
          begun.push(n);
          for (let step = 0; step < steps; step++) await Promise.resolve();
          running--;
          if (fails) throw new Error("no");
          return n;
        }, controls[n]!.signal),
      );
      const settled = Promise.allSettled(results);
      for (let tick = 0; tick <= 6; tick++) {
        jobs.forEach(({ abortAfter }, n) => abortAfter === tick && controls[n]!.abort());
        await Promise.resolve();
      }
      const ended = await settled;
      expect(begun).toEqual([...begun].sort((a, b) => a - b));
      ended.forEach((one, n) => {
        // What was never given up runs; what did not run was given up.
        if (jobs[n]!.abortAfter === undefined) expect(begun).toContain(n);
        if (!begun.includes(n)) expect(one).toMatchObject({ status: "rejected", reason: { name: "AbortError" } });
        if (begun.includes(n) && jobs[n]!.abortAfter === undefined)
          expect(one.status).toBe(jobs[n]!.fails ? "rejected" : "fulfilled");
      });
    }),
    { numRuns: 200 },
  );
});
