import { type Field, sample } from "../flow/grid";
import type { Break } from "./cover";
import { heading } from "./streamline";

/** A break and the slack it leaves down-current. */
export interface Wake extends Break {
  /** How far below the break the water stays slow, m. */
  length: number;
  /** Speed of the water that meets it, and the least in its lee, m/s. */
  free: number;
  least: number;
}

/** The wake ends where the water has this share of the speed beside it again. Common practice, no source. */
const RECOVERED = 0.7;
/** The longest looked for, in widths of the break. */
const LONGEST = 8;

/** The wake of each break that stands in running water, longest first. */
export function findWakes(field: Field, breaks: readonly Break[]): Wake[] {
  return breaks.flatMap((one) => wakeOf(field, one) ?? []).sort((a, b) => b.length - a.length);
}

function wakeOf(field: Field, one: Break): Wake | undefined {
  const { nx, ny, cell, u, v } = field;
  const speed = (x: number, y: number) => Math.hypot(sample(u, nx, ny, cell, x, y), sample(v, nx, ny, cell, x, y));
  // The way of the current is that of the water passing on both sides of it.
  const ring = Array.from({ length: 16 }, (_, n) => (n * Math.PI) / 8).flatMap((a) => {
    const [x, y] = [one.x + 1.8 * (one.radius + cell) * Math.cos(a), one.y + 1.8 * (one.radius + cell) * Math.sin(a)];
    const way = heading(field, x, y);
    return way ? [{ way, speed: speed(x, y) }] : [];
  });
  if (ring.length < 4) return undefined;
  const sum = ring.reduce(([a, b], { way, speed: s }): [number, number] => [a + way[0] * s, b + way[1] * s], [0, 0] as [
    number,
    number,
  ]);
  const size = Math.hypot(sum[0], sum[1]);
  const free = Math.max(...ring.map((at) => at.speed));
  if (size < 1e-6 || free < 0.1) return undefined;
  const [tx, ty] = [sum[0] / size, sum[1] / size];
  let [length, least] = [0, free];
  for (let away = one.radius + cell / 2; away < one.radius + 2 * LONGEST * one.radius; away += cell / 2) {
    const [x, y] = [one.x + tx * away, one.y + ty * away];
    if (x < 0 || y < 0 || x > nx * cell || y > ny * cell) break;
    const here = speed(x, y);
    // Beside it: the faster of the two sides, clear of the wake.
    const beside = Math.max(
      ...[1, -1].map((sign) => speed(x - sign * ty * (2 * one.radius + 1), y + sign * tx * (2 * one.radius + 1))),
    );
    if (here > RECOVERED * beside) {
      // The slack may begin a little below it.
      if (length > 0 || away > 2.5 * one.radius + 1) break;
      continue;
    }
    least = Math.min(least, here);
    length = away - one.radius;
  }
  return length > 0 ? { ...one, length, free, least } : undefined;
}
