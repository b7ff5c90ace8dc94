/** A hole does not hold one fish in one place: lies that belong together, best first. */
export interface Hold {
  /** A letter: ranks are numbers. */
  name: string;
  /** Place of this lie in it: the first is taken first; when its fish is gone, the next one moves up. */
  place: number;
  /** Lies in it. */
  of: number;
}

/** Lies so near to one already in a hold belong to it, m. Common practice, no source. */
const TOGETHER = 8;

/** Lies told as one hold at most: the first, the second and the third. */
const MOST = 3;

/**
 * The hold of each lie, in their order: going down the ranks, each joins the nearest hold whose first lie is within
 * reach and which is not full, or begins its own.
 */
export function holdsOf(lies: readonly { x: number; y: number }[]): Hold[] {
  const of: number[] = [];
  let count = 0;
  lies.forEach(({ x, y }, k) => {
    let [near, least] = [-1, TOGETHER];
    for (let other = 0; other < k; other++) {
      const first = of.indexOf(of[other]!) === other;
      if (!first || of.filter((hold) => hold === of[other]).length >= MOST) continue;
      const distance = Math.hypot(lies[other]!.x - x, lies[other]!.y - y);
      if (distance < least) [near, least] = [other, distance];
    }
    of.push(near < 0 ? count++ : of[near]!);
  });
  return of.map((hold, k) => ({
    name: String.fromCharCode(65 + hold),
    place: of.slice(0, k + 1).filter((one) => one === hold).length,
    of: of.filter((one) => one === hold).length,
  }));
}
