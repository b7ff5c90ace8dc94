import { Latest } from "./latest";

test("one job at a time, only the newest of those that wait, and a failed one stops nothing", async () => {
  const latest = new Latest();
  const done: number[] = [];
  let running = 0;
  const job = (n: number) => async () => {
    expect(++running).toBe(1);
    await new Promise((resolve) => setTimeout(resolve, 5));
    running--;
    if (n === 4) throw new Error("no");
    done.push(n);
  };
  for (const n of [1, 2, 3, 4]) latest.ask(job(n));
  await new Promise((resolve) => setTimeout(resolve, 30));
  latest.ask(job(5));
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(done).toEqual([1, 5]);
});
