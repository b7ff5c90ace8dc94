import { stream } from "../quantity/seeded";
import { addPair, emptySpectra, emptySum, FURTHEST, SEARCH, shiftOf, spectraOf, TEMPLATE } from "./correlate";

/** Smooth blobs about the window's middle, moved by so much, px. */
function blobs(seed: number, [dx, dy]: readonly [number, number]): Float32Array {
  const random = stream(seed);
  const all = Array.from({ length: 30 }, () => [
    random() * SEARCH,
    random() * SEARCH,
    random() < 0.6 ? 1 : -1,
    1 + random(),
  ]);
  return Float32Array.from({ length: SEARCH * SEARCH }, (_, k) => {
    const [x, y] = [(k % SEARCH) + 0.5 - dx, Math.floor(k / SEARCH) + 0.5 - dy];
    return all.reduce(
      (sum, [bx, by, sign, size]) => sum + 40 * sign! * Math.exp(-((x - bx!) ** 2 + (y - by!) ** 2) / (2 * size! ** 2)),
      0,
    );
  });
}

const summed = (pairs: readonly (readonly [Float32Array, Float32Array])[]) => {
  const sum = emptySum();
  for (const [a, b] of pairs) {
    const [first, second] = [emptySpectra(), emptySpectra()];
    spectraOf(a, first);
    spectraOf(b, second);
    addPair(sum, first, second);
  }
  return sum;
};

test("the peak is where a sum over all shifts, written out, is highest", () => {
  const [a, b] = [blobs(3, [0, 0]), blobs(3, [4, -3])];
  const edge = (SEARCH - TEMPLATE) / 2;
  const inner = Array.from(
    { length: TEMPLATE ** 2 },
    (_, k) => a[(edge + Math.floor(k / TEMPLATE)) * SEARCH + edge + (k % TEMPLATE)]!,
  );
  const mean = inner.reduce((sum, one) => sum + one, 0) / inner.length;
  const all = b.reduce((sum, one) => sum + one, 0) / b.length;
  let best = { x: 0, y: 0, value: -Infinity };
  for (let y = -FURTHEST; y <= FURTHEST; y++)
    for (let x = -FURTHEST; x <= FURTHEST; x++) {
      let value = 0;
      inner.forEach((one, k) => {
        const [i, j] = [edge + (k % TEMPLATE) + x, edge + Math.floor(k / TEMPLATE) + y];
        value += (one - mean) * (b[j * SEARCH + i]! - all);
      });
      if (value > best.value) best = { x, y, value };
    }
  const shift = shiftOf(summed([[a, b]]))!;
  expect([Math.round(shift.x), Math.round(shift.y)]).toEqual([best.x, best.y]);
  expect([best.x, best.y]).toEqual([4, -3]);
});

test("shifts are found to a tenth of a pixel, by their root mean square, from a dozen pairs", () => {
  // Published: 0.1 px for particle images (Willert & Gharib 1991). Fixed seeds: a bound on the worst is chance.
  const random = stream(11);
  const errors = Array.from({ length: 20 }, (_, n) => {
    const [x, y] = [11 * random() - 5.5, 11 * random() - 5.5];
    const pairs = Array.from({ length: 12 }, (_, k) => {
      const seed = 100 * n + k;
      return [blobs(seed, [0, 0]), blobs(seed, [x, y])] as const;
    });
    const shift = shiftOf(summed(pairs))!;
    return [shift.x - x, shift.y - y];
  }).flat();
  const rms = Math.sqrt(errors.reduce((sum, one) => sum + one ** 2, 0) / errors.length);
  expect(rms).toBeLessThan(0.1);
  expect(Math.max(...errors.map(Math.abs))).toBeLessThan(0.5);
});

test("noise has no distinct peak; no pair has none at all", () => {
  const random = stream(5);
  const noise = () => Float32Array.from({ length: SEARCH * SEARCH }, () => random() - 0.5);
  expect(shiftOf(emptySum())).toBeUndefined();
  const many = Array.from({ length: 8 }, () => shiftOf(summed([[noise(), noise()]]))).filter(
    (one) => one !== undefined,
  );
  expect(many.every(({ correlation }) => correlation < 0.3)).toBe(true);
  expect(many.filter(({ ratio }) => ratio > 1.4).length).toBeLessThan(3);
});
