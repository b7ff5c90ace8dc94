import { cancel, drive } from "./drive";

/** A job of so many steps, each as long as a slice. */
function* job(name: string, steps: number, log: string[]): Generator<number, string> {
  for (let k = 0; k < steps; k++) {
    const until = performance.now() + 25;
    while (performance.now() < until);
    log.push(`${name}${k}`);
    yield k;
  }
  return name;
}

test("of two jobs of one worker the older is ended, and neither waits for the other's message", async () => {
  const log: string[] = [];
  const first = drive(job("a", 40, log), () => undefined);
  const second = drive(job("b", 3, log), () => undefined);
  const outcomes = await Promise.all([first, second]);
  expect(outcomes).toEqual([
    { ok: false, cancelled: true },
    { ok: true, value: "b" },
  ]);
  expect(log.filter((one) => one.startsWith("a")).length).toBeLessThan(3);
});

test("a cancel ends what is under way, and the next job is heard", async () => {
  const log: string[] = [];
  const running = drive(job("a", 40, log), (step) => step === 1 && cancel());
  expect(await running).toEqual({ ok: false, cancelled: true });
  expect(await drive(job("c", 2, log), () => undefined)).toEqual({ ok: true, value: "c" });
});
