import { asFault } from "../core/quantity/answer";
import type { Fault } from "../core/quantity/fault";

/** What came of long work: its value, a cancel, or a fault. */
export type Outcome<T> =
  { ok: true; value: T } | { ok: false; cancelled: true } | { ok: false; cancelled: false; fault: Fault };

/** Slices of work end after this long, ms, so that a cancel is heard. */
const SLICE = 20;
let wanted = 0;
/** While a hand shapes the bed, solving waits until it has been still for so long, ms. */
const HAND = 300;
let handUntil = 0;

// A message to itself lets others in at once, where a timer would wait 4 ms each time. Messages come in the order in
// which they were sent, so that of two jobs each is woken by its own.
const channel = new MessageChannel();
const breathing: (() => void)[] = [];
const breathe = (): Promise<void> =>
  new Promise((resolve) => {
    breathing.push(resolve);
    channel.port1.onmessage = () => {
      breathing.shift()?.();
      // Nobody listens, so that a program which has nothing else to do can end.
      if (breathing.length === 0) channel.port1.onmessage = null;
    };
    channel.port2.postMessage(0);
  });

/** Ends what is under way. */
export function cancel(): void {
  wanted++;
}

/** A hand moves: what is under way waits. */
export function giveWay(): void {
  handUntil = performance.now() + HAND;
}

/** Runs work in slices until its end, or until a newer job or a cancel has taken its ticket. */
export async function drive<Step, Result>(
  work: Generator<Step, Result>,
  onStep: (step: Step, sliceEnds: boolean) => unknown,
): Promise<Outcome<Result>> {
  const ticket = ++wanted;
  try {
    let until = performance.now() + SLICE;
    for (;;) {
      const step = work.next();
      if (step.done) return { ok: true, value: step.value };
      const ends = performance.now() >= until;
      onStep(step.value, ends);
      if (!ends) continue;
      await breathe();
      while (performance.now() < handUntil && ticket === wanted)
        await new Promise((resolve) => setTimeout(resolve, HAND / 6));
      if (ticket !== wanted) {
        // Lets the solver's threads go.
        work.return(undefined as never);
        return { ok: false, cancelled: true };
      }
      until = performance.now() + SLICE;
    }
  } catch (error) {
    return { ok: false, cancelled: false, fault: asFault(error) };
  }
}
