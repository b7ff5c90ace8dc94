/** Runs work that pauses to its end without a pause; `onStep` hears of each. */
export function finish<Step, Result>(work: Generator<Step, Result>, onStep?: (step: Step) => void): Result {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    onStep?.(step.value);
  }
}

/** The same work, telling its steps otherwise. Ended early, it ends the work too, so that what it holds is let go. */
export function* telling<Step, Told, Result>(
  work: Generator<Step, Result>,
  tell: (step: Step) => Told,
): Generator<Told, Result> {
  try {
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      yield tell(step.value);
    }
  } finally {
    work.return(undefined as never);
  }
}
