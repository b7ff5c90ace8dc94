import { setClockZone } from "./clock-zone";
import { localMoment } from "./river";
import { LATITUDE, endAfter, momentEntry, numberEntry, optional, quantityEntry, textEntry } from "./entry";

const said = (result: { success: boolean; error?: { issues: { message: string }[] } }) =>
  result.error?.issues[0]?.message;

describe("a quantity", () => {
  const depth = quantityEntry("length", "ft", { low: 0, open: true, high: 3, beyond: "From 0 to 3 m." });

  test.each([
    ["3'6\"", 1.0668],
    ["1.1 m", 1.1],
    ["2", 0.6096],
    ["0,5 m", 0.5],
  ])("“%s” becomes %d m", (text, value) => {
    expect(depth.parse(text)).toBeCloseTo(value, 6);
  });

  test("its limits hold at both ends, the open one excluded", () => {
    expect(said(depth.safeParse("0 m"))).toBe("From 0 to 3 m.");
    expect(said(depth.safeParse("-1 m"))).toBe("From 0 to 3 m.");
    expect(depth.parse("3 m")).toBe(3);
    expect(depth.parse("0.001 m")).toBe(0.001);
    expect(said(depth.safeParse("3.01 m"))).toBe("From 0 to 3 m.");
  });

  test("an ambiguous comma is asked about, another kind of unit refused", () => {
    expect(said(depth.safeParse("1,200 m"))).toMatch(/could be/);
    expect(said(depth.safeParse("3 kg"))).toBeTruthy();
    expect(said(depth.safeParse("deep"))).toBe("“deep” doesn’t start with a number.");
    expect(said(depth.safeParse(""))).toBeTruthy();
  });
});

test("a number takes a degree sign, and keeps to its limits at both ends", () => {
  const latitude = numberEntry(LATITUDE);
  expect(latitude.parse("53.2°")).toBe(53.2);
  expect(latitude.parse("-90")).toBe(-90);
  expect(latitude.parse("90")).toBe(90);
  expect(said(latitude.safeParse("90.01"))).toBe(LATITUDE.beyond);
  expect(said(latitude.safeParse("-90.01"))).toBe(LATITUDE.beyond);
});

test("an optional field may be empty, and is read like any other where it is not", () => {
  const maybe = optional(numberEntry({ low: 1, beyond: "At least 1." }));
  expect(maybe.parse("  ")).toBeNull();
  expect(maybe.parse("2")).toBe(2);
  expect(said(maybe.safeParse("0"))).toBe("At least 1.");
});

test("text is trimmed, and held to its length", () => {
  expect(textEntry(5).parse(" pool ")).toBe("pool");
  expect(said(textEntry(5).safeParse("longer"))).toMatch(/At most 5/);
});

describe("a moment by the water's clock", () => {
  afterEach(() => setClockZone(undefined));

  test("is of its zone wherever the device is, or is asked for", () => {
    setClockZone("America/New_York");
    expect(momentEntry().parse("2026-05-14T14:40")).toBe(Date.UTC(2026, 4, 14, 18, 40));
    setClockZone("Pacific/Auckland");
    expect(momentEntry().parse("2026-05-14T14:40")).toBe(Date.UTC(2026, 4, 14, 2, 40));
    expect(said(momentEntry().safeParse(""))).toBe("Give a date and a time.");
  });

  test("shown and read back it is the same instant, in both passes of autumn's repeated hour", () => {
    setClockZone("Europe/Dublin");
    for (let at = Date.UTC(2026, 9, 24, 23); at < Date.UTC(2026, 9, 25, 4); at += 15 * 60_000)
      expect(momentEntry(at).parse(localMoment(at))).toBe(at);
  });

  test("an end in that hour never comes before its start", () => {
    setClockZone("Europe/Dublin");
    const [start, end] = [momentEntry().parse("2026-10-25T01:45"), momentEntry().parse("2026-10-25T01:15")];
    expect(end).toBeLessThan(start);
    expect(endAfter(start, end) - start).toBe(30 * 60_000);
    // An end that is simply wrong stays so.
    expect(endAfter(start, start - 7_200_000)).toBe(start - 7_200_000);
  });
});
