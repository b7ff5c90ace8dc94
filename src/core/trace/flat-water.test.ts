import { madeHeights } from "../../testing/made-heights";
import { type Channel, lengthOf, type Place, placeIn } from "./channel";
import { flatWater, type HeightGrid } from "./flat-water";

/** How far along the true channel, and at which share across it, a place of the grid lies. */
const inTruth = (channel: Channel, origin: Place, { cell }: HeightGrid, [x, y]: Place) =>
  placeIn(channel, [origin[0] + x * cell, origin[1] - 20 + y * cell]);

test.each([1, 2, 3, 4, 5, 6])(
  "made-up river %i is found by its surface: its middle, its width, its fall and its way",
  (seed) => {
    const { river, grid } = madeHeights(seed);
    const found = flatWater(grid);
    const { channel, origin } = river;
    const places = found.middle.map((at) => inTruth(channel, origin, grid, at));
    // Within a fifth of the width of the true middle, most of it; and downstream.
    const off = places.map(({ across }) => Math.abs(across - 0.5)).sort((a, b) => a - b);
    expect(off[Math.floor(0.8 * off.length)]).toBeLessThan(0.2);
    expect(places.at(-1)!.s).toBeGreaterThan(places[0]!.s + 0.6 * (channel.axis.length - 1) * channel.step);
    expect(found.slope! / river.slope).toBeGreaterThan(0.8);
    expect(found.slope! / river.slope).toBeLessThan(1.2);
    const widths = found.widths.map((line) => lengthOf(line) * grid.cell).sort((a, b) => a - b);
    const median = widths[Math.floor(widths.length / 2)]!;
    expect(median / channel.meanWidth).toBeGreaterThan(0.8);
    expect(median / channel.meanWidth).toBeLessThan(1.15);
    expect(found.level).toBeCloseTo(100 - river.slope * places[0]!.s, 1);
  },
);

test("an island is found; level water says no slope; rough ground holds no river", () => {
  const { river, grid } = madeHeights(3);
  const { nx, cell } = grid;
  const at = river.channel.axis[Math.floor(river.channel.axis.length / 2)]!;
  const [x, y] = [(at[0] - river.origin[0]) / cell, (at[1] - river.origin[1] + 20) / cell];
  const island = { ...grid, z: grid.z.slice() };
  const flat = { ...grid, z: grid.z.slice() };
  grid.z.forEach((_, k) => {
    if (Math.hypot((k % nx) + 0.5 - x, Math.floor(k / nx) + 0.5 - y) < 2.5) island.z[k]! += 0.8;
  });
  const { islands } = flatWater(island);
  expect(islands).toHaveLength(1);
  const middle = islands[0]!.reduce(([a, b], [c, d]) => [a + c / 12, b + d / 12], [0, 0]);
  expect(Math.hypot(middle[0]! - x, middle[1]! - y)).toBeLessThan(1.5);
  // Laid level by whoever made the grid: the same water without its fall.
  flat.z.forEach((height, k) => {
    flat.z[k] = height + river.slope * ((k % nx) * cell);
  });
  const level = flatWater(flat).slope;
  expect(level === null || level < river.slope / 5).toBe(true);
  const rough = { ...grid, z: grid.z.map((_, k) => 100 + ((k * 7919) % 101) / 100) };
  expect(() => flatWater(rough)).toThrow("no-flat-water");
});
