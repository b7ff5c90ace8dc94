import fc from "fast-check";
import { messageText } from "../../words/messages";
import type { InputError } from "../quantity/fault";
import { csvTable } from "./csv";
import { readGaugeFile } from "./gauge-file";
import { elementLines, LineFinder, linesOf, LONGEST_LINE, MOST_LINES } from "./lines";
import { readPairs } from "./rating-csv";
import { readSoundings } from "./soundings-file";
import { nmeaSum } from "./nmea";
import { addLines, Tally } from "./tally";

const codeOf = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    return (error as InputError).fault.code;
  }
  return "none";
};
const sum = ({ read, gaps, rejected }: { read: number; gaps: number; rejected: number }) => read + gaps + rejected;
const hour = (k: number) => new Date(Date.UTC(2026, 0, 1) + k * 3_600_000).toISOString();
const told = (file: { rejected: { line: number; reason: Parameters<typeof messageText>[0] }[] }) =>
  file.rejected.map(({ line, reason }) => [line, reason.code]);

describe("lines", () => {
  test("end in LF, CR LF or CR, mixed as they will; a byte-order mark is no character of them", () => {
    expect(linesOf("\uFEFFa\r\nb\nc\rd\n\ne")).toEqual(["a", "b", "c", "d", "", "e"]);
    expect(linesOf("")).toEqual([""]);
  });

  test("too many are refused before they are parted", () => {
    expect(codeOf(() => linesOf("\n".repeat(MOST_LINES)))).toBe("too-many-lines");
    expect(codeOf(() => linesOf("\r".repeat(MOST_LINES)))).toBe("too-many-lines");
    expect(linesOf("\n".repeat(1000))).toHaveLength(1001);
  });

  test("the line of a place, and of the nth element of some names, prefixed or not", () => {
    const text = "ab\ncd\n\nef";
    expect([0, 2, 3, 6, 7, 9].map((index) => new LineFinder(text).lineAt(index))).toEqual([1, 1, 2, 3, 4, 4]);
    const lineOf = elementLines('<a>\n<x:pt n="1">\n<points/><pt>\n\n</pt><pt/></a>', ["pt"]);
    expect([0, 1, 2, 3].map(lineOf)).toEqual([2, 3, 5, 1]);
  });
});

describe("a tally", () => {
  test("a line with two reasons is one line; lists end, counts do not", () => {
    const tally = new Tally();
    tally.reject(3, { code: "a", values: {} });
    tally.reject(3, { code: "b", values: {} });
    tally.reject(2, { code: "c", values: {} });
    tally.read();
    tally.withdraw(1, "read", { code: "d", values: {} });
    tally.gap();
    expect(tally.counts).toEqual({ read: 0, gaps: 1, rejected: 3 });
    expect(tally.ordered().map(({ line }) => line)).toEqual([1, 2, 3, 3]);
    for (let k = 0; k < 6000; k++) tally.reject(10 + k, { code: "e", values: {} });
    expect([tally.counts.rejected, tally.rejected.length]).toEqual([6003, 5000]);
    expect(addLines(tally.counts, { read: 1, gaps: 2, rejected: 3 })).toEqual({ read: 1, gaps: 3, rejected: 6006 });
  });
});

describe("a CSV accounts for every line", () => {
  test("a stray quote costs its own line, not all that follow", () => {
    const rows = Array.from({ length: 1000 }, (_, k) => `${hour(k)},${k === 100 ? '"5.2' : "5.2"}`);
    const file = readGaugeFile(`time,discharge (m3/s)\n${rows.join("\n")}\n`);
    expect(file.series[0]!.values).toHaveLength(999);
    expect(file.lines).toEqual({ read: 999, gaps: 0, rejected: 1 });
    expect(told(file)).toEqual([[102, "stray-quote-line"]]);
    const inside = readGaugeFile(`time,stage (m)\n${hour(0)},"1.2"x\n${hour(1)},1.3\n`);
    expect(told(inside)).toEqual([[2, "stray-quote-line"]]);
  });

  test("mixed line ends lose nothing", () => {
    const rows = Array.from({ length: 300 }, (_, k) => `${hour(k)},${k}${["\n", "\r\n", "\r"][k % 3]}`);
    const file = readGaugeFile(`time,discharge (m3/s)\r\n${rows.join("")}`);
    expect(file.series[0]!.values).toHaveLength(300);
    expect(file.lines).toEqual({ read: 300, gaps: 0, rejected: 0 });
  });

  test("a decimal comma among commas, more cells than the header, an instant again, a cell that begins with #: each told", () => {
    const file = readGaugeFile(
      [
        "time,discharge (m3/s),note",
        `${hour(0)},5,75,high`,
        `${hour(1)},"5,75",quoted`,
        `${hour(2)},6,,,`,
        `${hour(2)},7,again`,
        `#${hour(3)},8,marked`,
        "# a word between",
        ",,",
        `${hour(4)},,nothing`,
        `${hour(5)},Ice,frozen`,
        `${hour(6)},high,words`,
        "",
      ].join("\n"),
    );
    expect(told(file)).toEqual([
      [2, "long-line"],
      [4, "repeated-instant"],
      [6, "not-iso"],
      [11, "not-a-reading"],
    ]);
    expect(Array.from(file.series[0]!.values)).toEqual([5.75, 7, NaN, NaN, NaN]);
    expect(file.lines).toEqual({ read: 2, gaps: 3, rejected: 4 });
  });

  test("a quoted cell may run over lines, and the numbers of the lines after it stay true", () => {
    const file = readGaugeFile(
      `time,stage (m),note\n${hour(0)},1,"two\nlines"\n${hour(1)},x,\n${hour(2)},2,"""so"""\n`,
    );
    expect(told(file)).toEqual([[4, "not-a-reading"]]);
    expect(file.lines).toEqual({ read: 2, gaps: 0, rejected: 1 });
  });

  test("bounds: a header or line without end, too many columns", () => {
    expect(codeOf(() => csvTable(`${"a".repeat(LONGEST_LINE + 1)}\n1\n`))).toBe("line-too-long");
    expect(codeOf(() => csvTable(`time,${" ".repeat(300)}\n1,2\n`))).toBe("header-too-long");
    expect(codeOf(() => csvTable(`${"a,".repeat(400)}\n`))).toBe("too-many-columns");
    expect(codeOf(() => csvTable('time,"stage\n1,2\n'))).toBe("stray-quote");
    const long = readGaugeFile(`time,stage (m)\n${hour(0)},${"9".repeat(LONGEST_LINE)}\n${hour(1)},2\n`);
    expect(told(long)).toEqual([[2, "long-text-line"]]);
  });

  test("whatever the lines are, read, gaps and rejected add up to the data lines (property)", () => {
    const cell = fc.oneof(
      fc.constantFrom("5", "5.5", "Ice", "", "-3", "x", '"5', '"5,7"', "#", " ", "5;6", hour(1), hour(2), hour(3)),
      fc.string({ maxLength: 6 }).map((text) => text.replaceAll(/["\r\n\u2028\u2029]/g, "")),
    );
    const line = fc.array(cell, { minLength: 1, maxLength: 4 }).map((cells) => cells.join(","));
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), fc.constantFrom("\n", "\r\n", "\r"), (lines, end) => {
        const all = ["time,discharge (m3/s),stage (m)", `${hour(0)},1,1`, ...lines];
        const file = readGaugeFile(all.join(end));
        // Quotes never pair over lines here: a line has one of them or two.
        const odd = lines.filter((one) => (one.split('"').length - 1) % 2 === 1).length;
        const data = all.slice(1).filter((one) => one.trim() !== "" && (!one.startsWith("#") || one.includes(",")));
        if (odd <= 1) expect(sum(file.lines)).toBe(data.length);
        else expect(sum(file.lines)).toBeLessThanOrEqual(data.length);
        expect(new Set(file.rejected.map((one) => one.line)).size).toBe(file.lines.rejected);
      }),
      { numRuns: 400 },
    );
  });
});

describe("other readers account for their lines too", () => {
  test("RDB: cells beyond the header, an instant again, a line without end", () => {
    const file = readGaugeFile(
      [
        "# made up",
        "agency_cd\tsite_no\tdatetime\ttz_cd\t1_00065\t1_00065_cd",
        "5s\t15s\t20d\t6s\t14n\t10s",
        "USGS\t1\t2026-01-01 00:00\tUTC\t4.1\tP",
        "USGS\t1\t2026-01-01 01:00\tUTC\t4.1\tP\textra",
        "USGS\t1\t2026-01-01 00:00\tUTC\t4.2\tP",
        `USGS\t1\t2026-01-01 02:00\tUTC\t4.2\t${"P".repeat(LONGEST_LINE)}`,
        "USGS\t1\t2026-01-01 03:00\tUTC\tIce\tP",
        "USGS\t2\t2026-01-01 03:00\tUTC\t4.4\tP",
      ].join("\r\n"),
    );
    expect(told(file)).toEqual([
      [4, "repeated-instant"],
      [5, "long-line"],
      [7, "long-text-line"],
      [9, "other-station"],
    ]);
    expect(file.lines).toEqual({ read: 1, gaps: 1, rejected: 4 });
  });

  test("pairs: each line a pair or told", () => {
    const { gaugings, rejected, lines } = readPairs("0.4,1\n0.6,x\n0.8,-2\n,\n1.2,9\n99999,5\n1,2,3\n");
    expect(gaugings).toHaveLength(2);
    expect(rejected.map(({ line, reason }) => [line, reason.code])).toEqual([
      [2, "not-a-pair"],
      [3, "pair-discharge"],
      [6, "impossible-pair"],
      [7, "long-line"],
    ]);
    expect(lines).toEqual({ read: 2, gaps: 1, rejected: 4 });
  });

  test("soundings: places off the earth and heights of none are refused", () => {
    const file = readSoundings("x,y,z\n1,2,3\n1e300,2,3\n1,2,1e17\n1,2\n,,\n3,4,5\n");
    expect(file.soundings).toHaveLength(2);
    expect(told(file)).toEqual([
      [3, "not-on-earth"],
      [4, "impossible-height"],
      [5, "short-line"],
    ]);
    expect(file.lines).toEqual({ read: 2, gaps: 1, rejected: 3 });
  });

  test("NMEA: sentences read, a lost bottom as a gap, the rest told", () => {
    const sentence = (body: string) => `$${body}*${nmeaSum(body)}`;
    const file = readSoundings(
      [
        sentence("GPGLL,5312.3456,N,00612.3456,W,120000,A"),
        sentence("SDDPT,1.5,0.2"),
        sentence("SDDPT,0,0.2"),
        sentence("GPGSV,1,1,00"),
        "$SDDPT,1.5,0.2*00",
        " ".repeat(60_000),
        `$SDDPT,${" ".repeat(60_000)}x`,
        sentence("GPGLL,5312.3466,N,00612.3456,W,120001,A"),
      ].join("\n"),
    );
    expect(told(file)).toEqual([
      [5, "bad-checksum"],
      [7, "not-nmea"],
    ]);
    expect(file.lines).toEqual({ read: 4, gaps: 1, rejected: 2 });
  });

  test("a long track without depths is refused with its first line, and not place by place through the whole text", () => {
    const track = Array.from({ length: 8000 }, (_, k) => `<trkpt lat="53.1" lon="-6.${1000 + k}"></trkpt>`).join("\n");
    const gpx = `<gpx>\n<trk><trkseg>\n${track}\n</trkseg></trk></gpx>`;
    expect(codeOf(() => readSoundings(gpx))).toBe("no-soundings");
    const some = readSoundings(gpx.replace("></trkpt>", "><name>1.2 m</name></trkpt>"));
    expect(some.lines).toEqual({ read: 1, gaps: 0, rejected: 7999 });
    expect(some.rejected[0]!.line).toBe(4);
  });
});
