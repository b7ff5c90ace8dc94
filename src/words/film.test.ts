import type { FilmedWater } from "../core/film/film-reader";
import { agreementWords, filmedWords } from "./film";

const film = (change: Partial<FilmedWater> = {}): FilmedWater => ({
  arrows: Array.from({ length: 11 }, (_, k) => ({ x: k, y: 0, u: 0.1 * (k + 1), v: 0, quality: 0.5 })),
  seams: [],
  spacing: 0.5,
  window: 1,
  places: 20,
  indistinct: 4,
  unseen: 5,
  astray: 0,
  used: 90,
  lost: 0,
  ...change,
});

test("what a film shows, and what was left out of it", () => {
  expect(filmedWords(film(), "metric")).toBe(
    "Surface speed at 11 of 20 places: 0.20 m/s to 1.00 m/s for most. Left out: 5 hidden or in glare, 4 with nothing to follow. No seam: the speed changes too little across this water.",
  );
  expect(filmedWords(film({ unseen: 0, indistinct: 0 }), "us")).toMatch(/0\.7 ft\/s to 3\.3 ft\/s for most\. No seam/);
});

test("a camera that moved a lot is told, and water with nothing to follow", () => {
  expect(filmedWords(film({ used: 50, lost: 40 }), "metric")).toMatch(/The camera moved a lot/);
  expect(filmedWords(film({ used: 80, lost: 10 }), "metric")).not.toMatch(/camera/);
  expect(filmedWords(film({ arrows: [] }), "metric")).toMatch(/^No speeds could be read/);
});

test.each([
  [
    { inside: 90, of: 90, ratio: 1.01, alike: 0.84 },
    "At a typical place the model’s surface is as fast as the film; 84 % of places agree within a fifth.",
  ],
  [
    { inside: 80, of: 90, ratio: 1.2, alike: 0.4 },
    "At a typical place the model’s surface is 20 % faster than the film; 40 % of places agree within a fifth. 10 of 90 places lie outside its water.",
  ],
  [
    { inside: 90, of: 90, ratio: 0.8, alike: 0.4 },
    "At a typical place the model’s surface is 20 % slower than the film; 40 % of places agree within a fifth.",
  ],
  [{ inside: 0, of: 90, ratio: NaN, alike: 0 }, "It lies outside the water of this reach."],
])("%j", (agreement, text) => {
  expect(agreementWords(agreement)).toBe(text);
});
