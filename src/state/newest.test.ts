import { newest } from "./newest";

const tick = () => new Promise((resolve) => setTimeout(resolve, 0));

test("one at a time; the begun is finished, the overtaken passed over, the newest never lost", async () => {
  const done: number[] = [];
  const ends: (() => void)[] = [];
  const ask = newest<number>(async (value) => {
    await new Promise<void>((resolve) => ends.push(resolve));
    done.push(value);
  });
  ask(1);
  ask(2);
  ask(3);
  expect(ends).toHaveLength(1);
  ends[0]!();
  await tick();
  expect(done).toEqual([1]);
  expect(ends).toHaveLength(2);
  ends[1]!();
  await tick();
  expect(done).toEqual([1, 3]);
  ask(4);
  expect(ends).toHaveLength(3);
});

test("a newer value that came while a job failed is done all the same", async () => {
  const done: number[] = [];
  let fail!: (error: Error) => void;
  const ask = newest<number>(async (value) => {
    if (value === 1) await new Promise<void>((_, reject) => (fail = reject));
    done.push(value);
  });
  ask(1);
  ask(2);
  ask(3);
  fail(new Error("no"));
  await tick();
  expect(done).toEqual([3]);
  ask(4);
  await tick();
  expect(done).toEqual([3, 4]);
});

test("after a job that failed the next is done all the same", async () => {
  const done: number[] = [];
  const ask = newest<number>(async (value) => {
    if (value === 1) throw new Error("no");
    done.push(value);
  });
  ask(1);
  await tick();
  ask(2);
  await tick();
  expect(done).toEqual([2]);
});
