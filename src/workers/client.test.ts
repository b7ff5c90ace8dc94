import { clientOf } from "./client";
import { untilAborted } from "./until-aborted";

/** A worker as far as the client sees it; asked whether it lives it answers as comlink would, unless it hangs. */
class Fake extends EventTarget {
  ended = false;
  asked = 0;
  constructor(public hangs = false) {
    super();
  }
  postMessage({ id }: { id: string }) {
    this.asked++;
    const data = { id, type: "RAW", value: undefined };
    if (!this.hangs) queueMicrotask(() => this.dispatchEvent(new MessageEvent("message", { data })));
  }
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

describe("the watchdog", () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const never = () => new Promise<never>(() => undefined);

  test("one that never starts is borne for half a minute, since it may come over a slow network; then told, and made anew", async () => {
    const made: Fake[] = [];
    const client = clientOf<object>(() => {
      made.push(new Fake(made.length === 0));
      return made.at(-1) as unknown as Worker;
    }, 3);
    const waiting = client.ask(never);
    const told = expect(waiting).rejects.toMatchObject({ fault: { code: "worker-lost" } });
    await jest.advanceTimersByTimeAsync(30_900);
    expect(made[0]!.ended).toBe(false);
    await jest.advanceTimersByTimeAsync(1100);
    expect(made[0]!.ended).toBe(true);
    await told;
    await expect(client.ask(async () => 7)).resolves.toBe(7);
    expect(made).toHaveLength(2);
  });

  test("one that has answered and then hangs is ended after its own few beats", async () => {
    const fake = new Fake();
    const client = clientOf<object>(() => fake as unknown as Worker, 3);
    const told = expect(client.ask(never)).rejects.toMatchObject({ fault: { code: "worker-lost" } });
    await jest.advanceTimersByTimeAsync(2500);
    fake.hangs = true;
    await jest.advanceTimersByTimeAsync(3000);
    expect(fake.ended).toBe(false);
    await jest.advanceTimersByTimeAsync(2000);
    expect(fake.ended).toBe(true);
    await told;
  });

  test("one that answers may work as long as it likes; one of whom nothing is wanted is not asked", async () => {
    const fake = new Fake();
    const client = clientOf<object>(() => fake as unknown as Worker, 3);
    let finish!: () => void;
    const waiting = client.ask(() => new Promise<void>((resolve) => (finish = resolve)));
    await jest.advanceTimersByTimeAsync(600_000);
    expect([fake.ended, fake.asked > 100]).toEqual([false, true]);
    finish();
    await waiting;
    const before = fake.asked;
    await jest.advanceTimersByTimeAsync(60_000);
    expect(fake.asked).toBe(before);
  });

  test("stop always stops: work that does not hear it is ended with its worker, within a second", async () => {
    const fake = new Fake(true);
    const client = clientOf<object>(() => fake as unknown as Worker) as unknown as Parameters<typeof untilAborted>[0];
    const control = new AbortController();
    const waiting = untilAborted(client, control.signal, () => client.ask(never));
    await jest.advanceTimersByTimeAsync(5000);
    control.abort();
    await jest.advanceTimersByTimeAsync(1000);
    await expect(waiting).resolves.toEqual({ ok: false, cancelled: true });
    expect(fake.ended).toBe(true);
  });

  test("what is asked meanwhile is not lost with the worker that a stop has ended: the next one is asked for it", async () => {
    const made: Fake[] = [];
    const client = clientOf<object>(() => {
      made.push(new Fake(made.length === 0));
      return made.at(-1) as unknown as Worker;
    }) as unknown as Parameters<typeof untilAborted>[0];
    const [first, second] = [new AbortController(), new AbortController()];
    const stopped = untilAborted(client, first.signal, () => client.ask(never));
    first.abort();
    const next = untilAborted(client, second.signal, () =>
      client.ask(() => (made.length < 2 ? never() : Promise.resolve({ ok: true, value: 7 } as const))),
    );
    await jest.advanceTimersByTimeAsync(1000);
    await expect(stopped).resolves.toEqual({ ok: false, cancelled: true });
    await expect(next).resolves.toEqual({ ok: true, value: 7 });
    expect(made.map(({ ended }) => ended)).toEqual([true, false]);
  });

  test("one that hears it goes on living", async () => {
    const fake = new Fake();
    const client = clientOf<object>(() => fake as unknown as Worker) as unknown as Parameters<typeof untilAborted>[0];
    const control = new AbortController();
    let stop!: (value: { ok: false; cancelled: true }) => void;
    const waiting = untilAborted(client, control.signal, () =>
      client.ask(() => new Promise((resolve) => (stop = resolve))),
    );
    control.abort();
    stop({ ok: false, cancelled: true });
    await expect(waiting).resolves.toEqual({ ok: false, cancelled: true });
    await jest.advanceTimersByTimeAsync(5000);
    expect(fake.ended).toBe(false);
  });
});
