import { evenly, lengthOf, type Place, projectOn } from "./channel";

/** Places along the middle at which banks are set, m apart; never fewer or more than so many. */
const SPACING = 3;
const [FEWEST, MOST] = [8, 600];

/**
 * Banks from a line down the middle and lines across it: at each place half the width that the lines across say there,
 * straight between them along the river, even beyond the first and the last. x and y as in the middle, north up: the
 * left bank lies to the left of who looks down the line.
 */
export function banksAbout(
  middle: readonly Place[],
  across: readonly (readonly [Place, Place])[],
): { left: Place[]; right: Place[] } {
  const total = lengthOf(middle);
  const count = Math.min(MOST, Math.max(FEWEST, Math.round(total / SPACING) + 1));
  const axis = evenly(middle, count);
  const step = total / (count - 1);
  const widths = across
    .map(([a, b]) => ({
      s: projectOn(axis, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]).at * step,
      width: Math.hypot(a[0] - b[0], a[1] - b[1]),
    }))
    .sort((a, b) => a.s - b.s);
  const widthAt = (s: number) => {
    const after = widths.findIndex((one) => one.s >= s);
    if (after <= 0) return widths.at(after)!.width;
    const [a, b] = [widths[after - 1]!, widths[after]!];
    return a.width + ((s - a.s) / (b.s - a.s || 1)) * (b.width - a.width);
  };
  const bank = (side: 1 | -1) =>
    axis.map(([x, y], k): Place => {
      const [a, b] = [axis[Math.max(0, k - 1)]!, axis[Math.min(count - 1, k + 1)]!];
      const span = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const half = (side * widthAt(k * step)) / 2;
      return [x - (half * (b[1] - a[1])) / span, y + (half * (b[0] - a[0])) / span];
    });
  return { left: bank(1), right: bank(-1) };
}
