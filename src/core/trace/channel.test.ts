import fc from "fast-check";
import { alongAxis, channelBetween, evenly, isBetween, lengthOf, type Place, placeIn } from "./channel";

const fault = (run: () => unknown) => {
  try {
    run();
  } catch (error) {
    return (error as { fault: { code: string } }).fault.code;
  }
  return undefined;
};

/** A bend of a radius about (0, 0) between two angles, running to the right (clockwise as y grows to the right). */
const arc = (radius: number, from: number, to: number): Place[] =>
  Array.from({ length: 40 }, (_, k) => {
    const a = from + ((to - from) * k) / 39;
    return [radius * Math.cos(a), radius * Math.sin(a)];
  });

test("a straight channel: its width, no curvature, places along and across it", () => {
  const channel = channelBetween(
    [
      [0, 0],
      [100, 0],
    ],
    [
      [0, 12],
      [100, 12],
    ],
  );
  expect(channel.width.every((one) => Math.abs(one - 12) < 1e-9)).toBe(true);
  expect(channel.curvature.every((one) => Math.abs(one) < 1e-12)).toBe(true);
  expect(placeIn(channel, [30, 3])).toEqual({ s: expect.closeTo(30, 6), across: expect.closeTo(0.25, 9), edge: 3 });
  expect(isBetween(channel, [50, 11.9])).toBe(true);
  expect(isBetween(channel, [50, 12.1])).toBe(false);
  expect(
    alongAxis(
      channel,
      channel.axis.map((_, k) => k * channel.step),
      33.3,
    ),
  ).toBeCloseTo(33.3, 6);
});

test("a bend of a circle has the curvature of its radius, to the right above nought, and mirrored below", () => {
  // The middle is 50 m from the centre; it runs from the top to the right, its inside on the right.
  const right = channelBetween(arc(56, -1.5, 0), arc(44, -1.5, 0));
  const inner = [...right.curvature.slice(8, -8)];
  for (const one of inner) expect(one).toBeCloseTo(1 / 50, 3);
  const mirrored = (line: Place[]): Place[] => line.map(([x, y]) => [x, -y]);
  const left = channelBetween(mirrored(arc(44, -1.5, 0)), mirrored(arc(56, -1.5, 0)));
  for (const one of left.curvature.slice(8, -8)) expect(one).toBeCloseTo(-1 / 50, 3);
  expect(lengthOf(right.axis)).toBeCloseTo(75, 0);
});

test("what is no channel is refused by name", () => {
  const line: Place[] = [
    [0, 0],
    [50, 0],
  ];
  const other: Place[] = [
    [0, 9],
    [50, 9],
  ];
  expect(fault(() => channelBetween(line, [[0, 9]]))).toBe("bank-too-short");
  expect(fault(() => channelBetween([...line].reverse(), [...other].reverse()))).toBe("banks-cross");
  expect(fault(() => channelBetween(other, line))).toBe("banks-cross");
});

test("points at even distances lie on the line and keep its length, for any line", () => {
  const place = fc.tuple(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: -50, max: 50, noNaN: true }));
  fc.assert(
    fc.property(fc.array(place, { minLength: 2, maxLength: 12 }), fc.integer({ min: 2, max: 60 }), (line, count) => {
      const points = evenly(line, count);
      expect(points).toHaveLength(count);
      expect(points[0]![0]).toBeCloseTo(line[0]![0], 9);
      expect(points[0]![1]).toBeCloseTo(line[0]![1], 9);
      expect(lengthOf(points)).toBeLessThanOrEqual(lengthOf(line) + 1e-6);
      for (const [k, [x, y]] of points.slice(1).entries())
        expect(Math.hypot(x - points[k]![0], y - points[k]![1])).toBeLessThanOrEqual(
          lengthOf(line) / (count - 1) + 1e-6,
        );
    }),
  );
});
