import { createHash } from "node:crypto";
import { XMLParser } from "fast-xml-parser";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import Papa from "papaparse";
import { DEMO_REACHES } from "../../demo/river";
import { type Book, emptyBook } from "../book/log-contents";
import { sampleCatch, sampleObservation, sampleRule, sampleSession, sampleStretch } from "../../testing/book-samples";
import { readArchive, writeArchive } from "./archive";
import { fromBase64, toBase64 } from "./base64";
import { catchColumns, type CatchReading, readCatches, writeCatches, writeEffort } from "./catches-csv";
import { UTC } from "./instant";
import { nmeaSum } from "./nmea";
import { heard, NOTHING } from "./nmea-live";
import { onEarth, spotsOf, writeGeoJson, writeGpx } from "./spots-out";

const AT = "2026-05-01T06:00:00.000Z";
const digest = (bytes: Uint8Array) => Promise.resolve(createHash("sha256").update(bytes).digest("hex"));
const reach = { ...DEMO_REACHES[0]!, latitude: 53.2, longitude: -7.4, bearing: 90 };
const JPEG = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, ...Array.from({ length: 3000 }, (_, k) => (k * 7919) % 251)]);
const book: Book = {
  ...emptyBook(),
  reaches: [{ schema: "low-heron/reach-record@1", id: reach.id, updatedAt: AT, station: null, reach }],
  sessions: [sampleSession("s", { reach: reach.id, partners: ["Ana"] })],
  catches: [sampleCatch("f", "s", { stretch: "e", rod: 1, side: "slow" })],
  stretches: [sampleStretch("e", { casts: [{ line: 1, zone: "near", count: 3 }] })],
  observations: [sampleObservation("o", { kind: "others", count: 4, withFish: 1 })],
  rules: [sampleRule("r", { reach: reach.id, slot: { from: 0.4, to: 0.6 } })],
  photos: [
    {
      schema: "low-heron/photo@1",
      id: "p",
      updatedAt: AT,
      catch: "f",
      taken: AT,
      width: 4,
      height: 3,
      data: toBase64(JPEG),
      place: null,
    },
  ],
};

describe("an archive with a day on the bank", () => {
  test("gives back what it was made of; photos lie beside as they are", async () => {
    const bytes = await writeArchive(book, AT, digest);
    expect(await readArchive(bytes, digest)).toEqual({ book, setAside: [] });
    const files = unzipSync(bytes);
    expect(files["photos/1.jpg"]).toEqual(JPEG);
    expect(strFromU8(files["photos.jsonl"]!)).not.toContain('"data"');
  });

  test("a photo that is not there, or not the one that was saved, is set aside with its line; the rest is read", async () => {
    const files = unzipSync(await writeArchive(book, AT, digest));
    const codes = async (change: (own: typeof files) => void) => {
      const own = { ...files };
      change(own);
      const read = await readArchive(zipSync(own), digest);
      expect(read.book.catches).toEqual(book.catches);
      return read.setAside.map(({ path, line, why }) => `${path}:${line} ${why.code}`);
    };
    expect(await codes((own) => delete own["photos/1.jpg"])).toEqual(["photos.jsonl:1 photo-missing"]);
    expect(await codes((own) => (own["photos/1.jpg"] = JPEG.slice(0, -1)))).toEqual(["photos.jsonl:1 photo-damaged"]);
    expect(await codes((own) => (own["photos/../x.jpg"] = JPEG))).toEqual(["photos/../x.jpg:undefined unknown-part"]);
  });

  test("what belongs to nothing is set aside; no photo that is no JPEG, none that is too large", async () => {
    const orphans = { ...book, sessions: [], catches: [] };
    const read = await readArchive(await writeArchive(orphans, AT, digest), digest);
    expect(read.setAside.map(({ path }) => path).sort()).toEqual([
      "observations.jsonl",
      "photos.jsonl",
      "stretches.jsonl",
    ]);
    const gif = { ...book, photos: [{ ...book.photos[0]!, data: toBase64(strToU8("GIF89a")) }] };
    const other = await readArchive(await writeArchive(gif, AT, digest), digest);
    expect(other.setAside.map(({ why }) => why.code)).toEqual(["bad-record"]);
    const large = { ...book, photos: [{ ...book.photos[0]!, data: toBase64(new Uint8Array(800_000)) }] };
    await expect(readArchive(await writeArchive(large, AT, digest), digest)).rejects.toMatchObject({
      fault: { code: "part-too-large" },
    });
  });

  test("base 64 is that of Node's own", () => {
    expect(toBase64(JPEG)).toBe(Buffer.from(JPEG).toString("base64"));
    expect(fromBase64(Buffer.from(JPEG).toString("base64"))).toEqual(JPEG);
  });
});

describe("fish as CSV", () => {
  const catches = [
    sampleCatch("1", "s", { lie: "=HYPERLINK(1)", length: 0.31, weight: 0.3, lure: 'a "red" one, small', kept: true }),
    sampleCatch("2", "s", { lost: "broke", notes: "two\nlines", river: null }),
  ];
  const reading: Omit<CatchReading, "match"> = {
    zone: UTC,
    dates: undefined,
    species: (text) => (/trout/i.test(text) ? "brown-trout" : undefined),
    usual: "brown-trout",
    units: { length: "cm", weight: "kg" },
    now: Date.parse("2026-12-01T00:00:00Z"),
  };

  test("goes out formula-proof, and comes in again as it was (read by papaparse besides)", () => {
    const text = writeCatches(catches, book.sessions, () => "@reach");
    const rows = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
    expect(rows).toHaveLength(2);
    expect(rows[0]!.lie).toBe("'=HYPERLINK(1)");
    expect(rows[0]!.reach).toBe("'@reach");
    const { match } = catchColumns(text);
    const back = readCatches(text, { ...reading, match, units: { length: "m", weight: "kg" } });
    expect(back.rejected).toEqual([]);
    expect(back.drafts).toMatchObject([
      {
        lie: "=HYPERLINK(1)",
        length: 0.31,
        weight: 0.3,
        lure: 'a "red" one, small',
        kept: true,
        at: Date.parse(AT) - 6 * 3_600_000,
      },
      { lost: "broke", notes: "two\nlines", length: null },
    ]);
  });

  test("columns are found by their names in any order and unit; each line that is no fish is refused with its number", () => {
    const text = [
      "Where;Fish;Caught;Size;Weight",
      "jam;Brown trout;2026-05-01T10:00:00Z;14 in;1 lb",
      "jam;Brown trout;yesterday;30;",
      "jam;Bream;2026-05-01T10:00:00Z;30;",
      "jam;;2026-05-01T10:00:00Z;7 m;",
      "jam;;2027-05-01T10:00:00Z;30;",
      "jam;;2026-05-01T10:00:00Z;long;",
      "tail;;2026-05-01T11:00:00Z;30;",
    ].join("\n");
    const { match } = catchColumns(text);
    expect(match).toMatchObject({ lie: 0, species: 1, at: 2, length: 3, weight: 4, lure: null });
    const { drafts, rejected, lines } = readCatches(text, { ...reading, match });
    expect(drafts).toMatchObject([
      { lie: "jam", length: expect.closeTo(0.3556, 6) as number, weight: expect.closeTo(0.4536, 4) as number },
      { lie: "tail", species: "brown-trout", length: 0.3 },
    ]);
    expect(rejected.map(({ line, reason }) => `${line} ${reason.code}`)).toEqual([
      "3 not-iso",
      "4 catch-no-species",
      "5 cell-measure",
      "6 catch-in-future",
      "7 cell-measure",
    ]);
    expect(lines.read + lines.gaps + lines.rejected).toBe(7);
  });

  test("dates of either order are not guessed: told by line until it is said which, or where the file tells it", () => {
    const { match } = catchColumns("when,size\n3/4/2026,30");
    const read = (text: string, dates?: "dmy" | "mdy") => readCatches(text, { ...reading, match, dates });
    const either = "when,size\n3/4/2026 10:00,30\n\n5/4/2026 3:30 pm,31\n";
    expect(read(either).rejected.map(({ line, reason }) => `${line} ${reason.code}`)).toEqual([
      "2 catch-either-date",
      "4 catch-either-date",
    ]);
    const times = (text: string, dates?: "dmy" | "mdy") =>
      read(text, dates).drafts.map(({ at }) => new Date(at).toISOString().slice(0, 16));
    expect(times(either, "dmy")).toEqual(["2026-04-03T10:00", "2026-04-05T15:30"]);
    expect(times(either, "mdy")).toEqual(["2026-03-04T10:00", "2026-05-04T15:30"]);
    // The thirteenth tells.
    expect(times("when,size\n3/4/2026,30\n13/4/2026,31\n")).toEqual(["2026-04-03T00:00", "2026-04-13T00:00"]);
  });

  test("hours go out by stretch, with all of a session where it has none", () => {
    const sessions = [sampleSession("s", { end: AT }), sampleSession("t", { end: AT })];
    const rig = { retrieve: "hop" as const, grams: 7.1, leader: 0.5, size: "1/4 oz", castAngle: 80 };
    const stretches = [sampleStretch("e", { end: AT, casts: [{ line: 1, zone: "far", count: 7 }], lie: "jam", rig })];
    const rows = Papa.parse<Record<string, string>>(
      writeEffort(sessions, stretches, () => "R", 0),
      {
        header: true,
        skipEmptyLines: true,
      },
    ).data;
    expect(rows.map((row) => [row.session, row.lie, row.casts, Number(row.rodHours)])).toEqual([
      ["s", "jam", "7", 6],
      ["t", "", "", 6],
    ]);
    // The rig in columns of its own, and each row as long as the header.
    expect(rows.map((row) => [row.retrieve, row["rig (g)"], row["leader (m)"], row["castAngle (deg)"]])).toEqual([
      ["hop", "7.1", "0.5", "80"],
      ["", "", "", ""],
    ]);
    for (const row of rows) expect(row).not.toHaveProperty("__parsed_extra");
    expect(rows.map(({ trend }) => trend)).toEqual(rows.map(() => expect.stringMatching(/^(|rising|steady|falling)$/)));
    const fish = Papa.parse<Record<string, string>>(
      writeCatches([sampleCatch("f", "s", { rig })], sessions, () => "R"),
      { header: true, skipEmptyLines: true },
    ).data[0]!;
    expect([fish.retrieve, fish["rig (g)"], fish["castAngle (deg)"]]).toEqual(["hop", "7.1", "80"]);
  });
});

describe("places for maps elsewhere", () => {
  test("a reach that runs east: x is east of its upper end, y south of it (a degree of latitude is 111.3 km there)", () => {
    const at = onEarth(reach, { x: 100, y: 50 })!;
    // Lengths of a degree at 53.2: 111 290 m and 66 820 m (WGS 84, from memory; a tenth of a per cent).
    expect((reach.latitude - at.latitude) * 111_290).toBeCloseTo(50, 0);
    expect((at.longitude - reach.longitude) * 66_820).toBeCloseTo(100, 0);
    expect(onEarth({ ...reach, bearing: undefined }, { x: 1, y: 1 })).toBeUndefined();
  });

  test("GPX 1.1 that another parser reads, whatever stands in a name; GeoJSON with longitude first (RFC 7946)", () => {
    const catches = [
      sampleCatch("1", "s", { lie: 'jam <&"\u0001>', place: { x: 10, y: 5 } }),
      sampleCatch("2", "s"),
      sampleCatch("3", "s", { place: { x: 10, y: 5 }, deleted: true }),
    ];
    const mark = sampleObservation("m", {
      kind: "mark",
      notes: "hump",
      sounded: { depth: 2, waterTemperature: null, latitude: 10, longitude: 20 },
    });
    const { spots, placeless } = spotsOf(catches, [mark, sampleObservation("b")], book.sessions, book.reaches);
    expect([spots.map(({ kind }) => kind), placeless]).toEqual([["catch", "mark"], 1]);
    const parsed = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: "" }).parse(writeGpx(spots)) as {
      gpx: { version: string; wpt: { lat: string; lon: string; name: string }[] };
    };
    expect(parsed.gpx.version).toBe("1.1");
    expect(parsed.gpx.wpt.map(({ name }) => name)).toEqual(['jam <&">', "hump"]);
    expect([Number(parsed.gpx.wpt[1]!.lat), Number(parsed.gpx.wpt[1]!.lon)]).toEqual([10, 20]);
    const json = JSON.parse(writeGeoJson(spots)) as { features: { geometry: { coordinates: number[] } }[] };
    expect(json.features[1]!.geometry.coordinates).toEqual([20, 10]);
  });
});

describe("a device on board", () => {
  const said = (body: string) => `$${body}*${nmeaSum(body)}`;
  test("is heard sentence by sentence; a wrong sum changes nothing, a lost bottom leaves none", () => {
    // Depth, position and temperature sentences as NMEA 0183 has them (the position is that standard's own example).
    const lines = [
      said("GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,"),
      said("SDDPT,2.40,0.3"),
      said("YXMTW,12.5,C"),
    ];
    const now = lines.reduce(heard, NOTHING);
    expect(now).toEqual({
      depth: expect.closeTo(2.7, 9) as number,
      waterTemperature: 12.5,
      latitude: expect.closeTo(48.1173, 4) as number,
      longitude: expect.closeTo(11.516667, 5) as number,
    });
    expect(heard(now, "$SDDPT,9.9,0.0*00")).toBe(now);
    expect(heard(now, "noise")).toBe(now);
    expect(heard(now, said("SDDPT,0.0,0.0")).depth).toBeNull();
    expect(heard(now, said("YXMTW,54.5,F")).waterTemperature).toBeCloseTo(12.5, 9);
    expect(heard(now, said("YXMTW,99,C"))).toBe(now);
    expect(heard(now, said("GPGGA,123519,,,,,0,00,,,M,,M,,")).latitude).toBeNull();
  });
});
