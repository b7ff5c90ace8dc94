import { Body, Equator, Horizon, Observer } from "astronomy-engine";
import { shadowLength, sunOver } from "./shadow";
import { WINDOW, windowRadius } from "./sight";

/** What a fish sees, and where the sun stands, held against what is published and against another library. */

test("the window of a fish is 97.2 degrees wide and 2.26 times as broad as it lies deep (Snell; CRC Handbook: n 1.333)", () => {
  expect((2 * WINDOW * 180) / Math.PI).toBeCloseTo(97.2, 1);
  for (const depth of [0.3, 1, 2.5]) expect((2 * windowRadius(depth)) / depth).toBeCloseTo(2.26, 1);
});

test.each([
  ["2026-06-21T12:00:00Z", 53.2, -1.6],
  ["2026-03-20T08:30:00Z", 53.2, -1.6],
  ["2026-10-05T22:15:00Z", 44.5, -110.4],
  ["2026-01-10T02:00:00Z", -41.3, 174.8],
])(
  "shadows at %s fall where the sun of astronomy-engine (VSOP87) does not stand, as long as its height says",
  (at, latitude, longitude) => {
    const observer = new Observer(latitude, longitude, 0);
    const { ra, dec } = Equator(Body.Sun, new Date(at), observer, true, true);
    const { altitude, azimuth } = Horizon(new Date(at), observer, ra, dec);
    for (const bearing of [0, 75, 310]) {
      const sun = sunOver(Date.parse(at), latitude, longitude, bearing)!;
      expect(Math.abs(sun.altitude - altitude)).toBeLessThan(0.2);
      // The sun seen from the plan, whose x runs along the bearing and whose y to the right of it.
      const towards = ((azimuth - bearing) * Math.PI) / 180;
      expect(sun.shadows[0]).toBeCloseTo(-Math.cos(towards), 2);
      expect(sun.shadows[1]).toBeCloseTo(-Math.sin(towards), 2);
      expect(shadowLength(1.8, sun)).toBeCloseTo(Math.min(30, 1.8 / Math.tan((altitude * Math.PI) / 180)), 0);
    }
  },
);
