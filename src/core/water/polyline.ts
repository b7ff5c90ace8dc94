/** Lines of points on the plan, m. */
type Point = readonly [number, number];
export interface Line {
  points: readonly Point[];
}

export function lengthOf({ points }: Line): number {
  let sum = 0;
  for (let k = 1; k < points.length; k++)
    sum += Math.hypot(points[k]![0] - points[k - 1]![0], points[k]![1] - points[k - 1]![1]);
  return sum;
}

/** Distance from (x, y) to the nearest of some lines, m, and which; Infinity without lines. */
export function nearestLine<T extends Line>(
  lines: readonly T[],
  x: number,
  y: number,
): { distance: number; line: T | undefined } {
  let distance = Infinity;
  let line: T | undefined;
  for (const candidate of lines) {
    for (let k = 1; k < candidate.points.length; k++) {
      const [[ax, ay], [bx, by]] = [candidate.points[k - 1]!, candidate.points[k]!];
      const length2 = (bx - ax) ** 2 + (by - ay) ** 2;
      const t = length2 > 0 ? Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length2)) : 0;
      const d = Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay));
      if (d < distance) {
        distance = d;
        line = candidate;
      }
    }
  }
  return { distance, line };
}

/**
 * Does (x, y) lie to the right of the stretch of a line nearest to it, looking along the line? y grows to the right of
 * x.
 */
export function rightOf({ points }: Line, x: number, y: number): boolean {
  let best = 1;
  let least = Infinity;
  for (let k = 1; k < points.length; k++) {
    const d = Math.hypot(x - points[k]![0], y - points[k]![1]);
    if (d < least) {
      least = d;
      best = k;
    }
  }
  const [[ax, ay], [bx, by]] = [points[best - 1]!, points[best]!];
  return (bx - ax) * (y - ay) - (by - ay) * (x - ax) > 0;
}

/**
 * How far the points of a line lie from the nearest of others, m: the middle one of the distances. For telling how far
 * lines have moved.
 */
export function shiftOf(line: Line, others: readonly Line[]): number {
  const far = line.points.map(([x, y]) => nearestLine(others, x, y).distance).sort((a, b) => a - b);
  return far[Math.floor(far.length / 2)]!;
}
