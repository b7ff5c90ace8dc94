import { clientOf } from "./client";

/** A worker as far as the client sees it. */
class Fake extends EventTarget {
  ended = false;
  postMessage() {}
  start() {}
  terminate() {
    this.ended = true;
  }
}

test("a worker that breaks down is told to those who wait, ended, and made anew for the next", async () => {
  const made: Fake[] = [];
  const client = clientOf<object>(() => {
    const fake = new Fake();
    made.push(fake);
    return fake as unknown as Worker;
  });
  expect(made).toHaveLength(0);
  const waiting = client.ask(() => new Promise(() => undefined));
  expect(made).toHaveLength(1);
  made[0]!.dispatchEvent(new Event("error"));
  await expect(waiting).rejects.toMatchObject({ fault: { code: "worker-lost" } });
  expect(made[0]!.ended).toBe(true);
  await expect(client.ask(async () => 7)).resolves.toBe(7);
  expect(made).toHaveLength(2);
  // A late word from the one that is gone does not end the new one.
  made[0]!.dispatchEvent(new Event("error"));
  await expect(client.ask(async () => 8)).resolves.toBe(8);
  expect(made).toHaveLength(2);
  expect(made[1]!.ended).toBe(false);
});

test("while it runs, all ask the same worker", async () => {
  let made = 0;
  const client = clientOf<object>(() => {
    made++;
    return new Fake() as unknown as Worker;
  });
  await Promise.all([client.ask(async () => 1), client.ask(async () => 2)]);
  expect(made).toBe(1);
});
