import { markedPlace } from "../trace/on-the-way";
import { readTracks } from "./tracks";

/** As GPX 1.1 has it (topografix.com/GPX/1/1). */
const GPX = `<?xml version="1.0"?>
<gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1">
  <wpt lat="52.0001" lon="-1.0002"><name>knee</name></wpt>
  <wpt lat="52.0002" lon="-1.0003"><name>head of pool</name></wpt>
  <trk><name>left side</name>
    <trkseg><trkpt lat="52" lon="-1"><time>2026-05-01T10:00:00Z</time></trkpt>
    <trkpt lat="52.0001" lon="-1"><time>2026-05-01T10:00:05Z</time></trkpt></trkseg>
    <trkseg><trkpt lat="52.0002" lon="-1"/><trkpt lat="500" lon="-1"/></trkseg>
  </trk>
  <rte><name>right side</name><rtept lat="52" lon="-1.001"/><rtept lat="52.0001" lon="-1.001"/></rte>
</gpx>`;
const code = (run: () => unknown) => {
  try {
    run();
  } catch (error) {
    return (error as { fault: { code: string } }).fault.code;
  }
  return undefined;
};

test("tracks with their times, routes and places of a GPX file; a place that is none is counted", () => {
  const { tracks, places, refused } = readTracks(GPX);
  expect(tracks.map(({ name, fixes }) => [name, fixes.length])).toEqual([
    ["left side", 3],
    ["right side", 2],
  ]);
  expect(tracks[0]!.fixes[1]).toEqual({ at: [-1, 52.0001], time: Date.UTC(2026, 4, 1, 10, 0, 5) });
  expect(places).toEqual([
    { at: [-1.0002, 52.0001], name: "knee" },
    { at: [-1.0003, 52.0002], name: "head of pool" },
  ]);
  expect(refused).toBe(1);
});

test("the same from GeoJSON (RFC 7946); a file without a line or a place is told", () => {
  const feature = (geometry: unknown, name = "") => ({ type: "Feature", geometry, properties: { name } });
  const file = (features: unknown[]) => JSON.stringify({ type: "FeatureCollection", features });
  const line = {
    type: "LineString",
    coordinates: [
      [-1, 52],
      [-1, 52.001],
      ["x", 3],
    ],
  };
  const both = readTracks(
    file([
      feature(line, "left"),
      feature({
        type: "MultiLineString",
        coordinates: [
          [
            [-1, 52],
            [-1, 52.1],
          ],
          [[-1, 52.2]],
        ],
      }),
      feature({ type: "Point", coordinates: [-1, 52, 80] }, "stone"),
      feature({ type: "Polygon", coordinates: [] }),
    ]),
  );
  expect(both.tracks.map(({ fixes }) => fixes.length)).toEqual([2, 3]);
  expect(both.places).toEqual([{ at: [-1, 52], name: "stone" }]);
  expect(both.refused).toBe(2);
  expect(code(() => readTracks(file([])))).toBe("no-tracks");
  expect(code(() => readTracks("<gpx><metadata/></gpx>"))).toBe("no-tracks");
  expect(code(() => readTracks("hello"))).toBe("not-json");
});

test("what was marked on the way is known by its name", () => {
  expect(["0.6 m", "depth: 2 ft", "Waist"].map((name) => markedPlace(name))).toEqual([
    { kind: "depth", measures: { depth: 0.6 } },
    { kind: "depth", measures: { depth: expect.closeTo(0.61, 2) } },
    { kind: "depth", measures: { depth: 1 } },
  ]);
  expect(
    ["Big rock", "head of pool", "tail", "second riffle", "car park", ""].map((name) => markedPlace(name)?.kind),
  ).toEqual(["boulder", "pool-head", "pool-tail", "riffle", undefined, undefined]);
});
