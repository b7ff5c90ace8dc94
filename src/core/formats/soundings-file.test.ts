import { messageText } from "../../words/messages";
import type { Message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { readSoundings } from "./soundings-file";
import { nmeaSum } from "./nmea";

const told = (rejected: readonly { line: number; reason: Message }[]) =>
  rejected.map(({ line, reason }) => ({ line, reason: messageText(reason) }));

const faultOf = (work: () => unknown) => {
  try {
    work();
  } catch (error) {
    return (error as InputError).fault;
  }
  throw new Error("nothing was refused");
};
const sentence = (body: string) => `$${body}*${nmeaSum(body)}`;

describe("soundings of an NMEA 0183 log", () => {
  // The two sentences that introductions to NMEA 0183 print, with their sums (GGA *47, RMC *6A). From memory.
  const GGA = "$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47";
  const RMC = "$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A";

  test("the sums of published sentences", () => {
    for (const line of [GGA, RMC]) expect(nmeaSum(line.slice(1, -3))).toBe(line.slice(-2));
  });

  test("degrees and minutes, the date of RMC, a depth between two positions", () => {
    const text = [
      RMC,
      sentence("SDDPT,2.40,0.35"),
      sentence("GPGGA,123521,4807.040,N,01131.000,E,1,08,0.9,545,M,46,M,,"),
    ].join("\r\n");
    const { soundings, frame, measure } = readSoundings(text);
    expect([frame, measure]).toEqual(["geographic", "depth"]);
    expect(soundings).toHaveLength(1);
    expect(soundings[0]!.b).toBeCloseTo(48 + 7.039 / 60, 8);
    expect(soundings[0]!.a).toBeCloseTo(11 + 31 / 60, 8);
    expect(soundings[0]!.value).toBeCloseTo(2.75, 10); // offset above zero: to the waterline
    // The published date is of the year 94, read as 2094: receivers write two figures.
    expect(new Date(soundings[0]!.time!).toISOString().slice(5, 19)).toBe("03-23T12:35:20");
  });

  test("depths in feet, below the transducer or the surface; lost bottoms, wrong sums and other text are told", () => {
    const text = [
      GGA,
      sentence("SDDBT,9.8,f,,M,,F"),
      sentence("SDDBS,,f,1.50,M,,F"),
      sentence("SDDPT,0.0,"),
      "$SDDPT,1.20,0.0*00",
      "hello",
    ].join("\n");
    const { soundings, rejected, notes } = readSoundings(text);
    expect(soundings.map(({ value, line }) => [Number(value.toFixed(4)), line])).toEqual([
      [2.987, 2],
      [1.5, 3],
    ]);
    expect(rejected.map(({ line }) => line)).toEqual([5, 6]);
    expect(messageText(rejected[0]!.reason)).toMatch(/sum/);
    expect(notes.map((note) => messageText(note)).join(" ")).toMatch(
      /1 depths were empty or 0.*1 depths are below the transducer/,
    );
  });

  test("a receiver without a fix, or no position at all, is refused", () => {
    expect(
      faultOf(() => readSoundings([sentence("GPGGA,123519,,,,,0,00,,,M,,M,,"), sentence("SDDPT,1.0,")].join("\n"))),
    ).toMatchObject({ code: "no-soundings", line: 1 });
  });

  test("the clock may pass midnight before a new date comes", () => {
    const at = (clock: string) => sentence(`GPGGA,${clock},5312.00000,N,00724.00000,W,1,08,0.9,,M,,M,,`);
    const { soundings } = readSoundings(
      [sentence("GPZDA,235958.00,24,11,2026,00,00"), at("235959"), sentence("SDDBS,,f,1.0,M,,F"), at("000001")].join(
        "\n",
      ),
    );
    expect(new Date(soundings[0]!.time!).toISOString()).toBe("2026-11-25T00:00:00.000Z");
    expect(soundings[0]!.a).toBeCloseTo(-7.4, 8);
  });
});

describe("soundings of other files", () => {
  test("CSV: latitude and longitude with depths in feet; a bad line is refused by its number", () => {
    const { soundings, rejected, frame } = readSoundings(
      "lat,lon,depth (ft),time\n53.2,-7.4,3.5,2026-06-01T10:00Z\n53.2,-7.4,deep,\n53.2,,2,\n",
    );
    expect(frame).toBe("geographic");
    expect(soundings).toEqual([{ a: -7.4, b: 53.2, value: 3.5 * 0.3048, time: Date.UTC(2026, 5, 1, 10), line: 2 }]);
    expect(told(rejected)).toEqual([
      { line: 3, reason: "it has no depth" },
      { line: 4, reason: "it has no position" },
    ]);
  });

  test("CSV: easting and northing with heights; x and y; and what is missing is said with the columns there are", () => {
    expect(readSoundings("easting;northing;z\n100;200;-1.5\n")).toMatchObject({
      frame: "projected",
      measure: "height",
      soundings: [{ a: 100, b: 200, value: -1.5 }],
    });
    expect(readSoundings("x,y,depth (m)\n1,2,0\n")).toMatchObject({
      frame: "reach",
      soundings: [{ a: 1, b: 2, value: 0 }],
    });
    expect(faultOf(() => readSoundings("place,depth\nhere,2\n"))).toMatchObject({ code: "no-place-columns", line: 1 });
    expect(faultOf(() => readSoundings("lat,lon,colour\n1,2,3\n"))).toMatchObject({ code: "no-depth-column" });
  });

  test("GPX: a depth among extensions or in a waypoint's name; an elevation is none", () => {
    const text = `<?xml version="1.0"?>
<gpx version="1.1" xmlns:m="urn:marks"><wpt lat="53.2" lon="-7.4"><name>1.2 m</name></wpt>
<trk><trkseg>
<trkpt lat="53.201" lon="-7.4"><ele>61</ele><time>2026-06-01T10:00:00Z</time><extensions><m:mark><m:depth>0.85</m:depth></m:mark></extensions></trkpt>
<trkpt lat="53.202" lon="-7.4"><ele>61</ele></trkpt>
</trkseg></trk></gpx>`;
    const { soundings, rejected } = readSoundings(text);
    expect(soundings.map(({ b, value }) => [b, value])).toEqual([
      [53.2, 1.2],
      [53.201, 0.85],
    ]);
    expect(told(rejected)).toEqual([{ line: 5, reason: "it has no depth" }]);
    expect(faultOf(() => readSoundings("<!DOCTYPE gpx []><gpx></gpx>")).code).toBe("doctype");
  });

  test("GeoJSON: points with a depth; lines and others are refused one by one", () => {
    const point = (depth: unknown) => ({
      type: "Feature",
      geometry: { type: "Point", coordinates: [-7.4, 53.2] },
      properties: { depth },
    });
    const { soundings, rejected } = readSoundings(
      JSON.stringify({
        type: "FeatureCollection",
        features: [
          point(1.1),
          point("x"),
          { type: "Feature", geometry: { type: "LineString", coordinates: [] }, properties: {} },
        ],
      }),
    );
    expect(soundings).toEqual([{ a: -7.4, b: 53.2, value: 1.1, line: 1 }]);
    expect(rejected.map(({ line }) => line)).toEqual([2, 3]);
    expect(faultOf(() => readSoundings('{"type":"Point"}')).code).toBe("not-geojson");
  });
});
