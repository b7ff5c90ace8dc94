import { createHash } from "node:crypto";
import { demoBook } from "../../demo/book";
import { sampleCatch, sampleRiver } from "../../testing/book-samples";
import { readArchive, writeArchive } from "../formats/archive";
import { strToU8, unzipSync, zipSync } from "fflate";
import { ratesIn } from "./classes";
import { effortOf, rodHours } from "./effort";
import { flowBands, garwood, ratesBy } from "./rates";
import { emptyBook } from "./log-contents";
import type { Catch, Session } from "./records";

const sha256 = (bytes: Uint8Array) => Promise.resolve(createHash("sha256").update(bytes).digest("hex"));
const now = Date.UTC(2026, 9, 1);

const session = (id: string, hours: number, discharge: number | null, change: Partial<Session> = {}): Session => ({
  schema: "low-heron/session@1",
  id,
  updatedAt: "2026-09-01T00:00:00Z",
  reach: "r",
  start: "2026-09-01T08:00:00Z",
  end: new Date(Date.UTC(2026, 8, 1, 8) + hours * 3_600_000).toISOString(),
  rods: 1,
  species: "brown-trout",
  notes: "",
  river: discharge === null ? null : sampleRiver({ at: "2026-09-01T08:00:00Z", discharge }),
  ...change,
});
const fish = (id: string, of: string, change: Partial<Catch> = {}) =>
  sampleCatch(id, of, { at: "2026-09-01T09:00:00Z", ...change });

test("exact Poisson limits (Garwood 1936): 10 events 4.795 to 18.39 at 95 %; 0 events 3.689", () => {
  const [low, high] = garwood(10, 0.95);
  expect(low).toBeCloseTo(4.795, 3);
  expect(high).toBeCloseTo(18.39, 2);
  expect(garwood(0, 0.95)[1]).toBeCloseTo(3.689, 3);
});

test("blanks count as hours; two rods fish twice; the running session counts to now; what was removed does not count", () => {
  const sessions = [session("a", 2, 5), session("b", 3, 5, { rods: 2 }), session("c", 1, 5, { deleted: true })];
  const rates = ratesIn("flow", effortOf(sessions, [fish("f", "a"), fish("g", "a", { deleted: true })], now));
  expect(rates.total).toEqual({ hours: 8, events: 1 });
  expect(rodHours(session("d", 0, 5, { end: null }), Date.UTC(2026, 8, 1, 9, 30))).toBe(1.5);
});

test("bands cover all flows fished, hours add up, an unfished band has no rate, and an unknown flow its own class", () => {
  const efforts = effortOf([session("a", 2, 2.2), session("b", 2, 14), session("c", 1, null)], [fish("f", "b")], now);
  const bands = flowBands(efforts);
  expect(bands[0]!.low).toBeLessThanOrEqual(2.2);
  expect(bands.at(-1)!.high).toBeGreaterThan(14);
  const rates = ratesBy(efforts, bands, (effort) => effort.river?.discharge ?? null);
  expect(rates.classes.reduce((sum, one) => sum + one.hours, 0)).toBe(5);
  expect(rates.classes.at(-1)).toMatchObject({ key: "unknown", hours: 1 });
  const empty = rates.classes.find((one) => one.hours === 0)!;
  expect([empty.rate, empty.interval]).toEqual([null, null]);
});

test("the made-up season is the same for the same instant, has blanks, and rates by flow peak near its made-up truth of 6 m3/s", () => {
  const book = demoBook(now);
  expect(demoBook(now)).toEqual(book);
  expect(book.sessions.length).toBeGreaterThan(35);
  const blanks = book.sessions.filter((one) => !book.catches.some((caught) => caught.session === one.id));
  expect(blanks.length).toBeGreaterThan(5);
  const { classes } = ratesIn("flow", effortOf(book.sessions, book.catches, now));
  const best = classes.filter((one) => one.hours > 4).sort((a, b) => b.rate! - a.rate!)[0]!;
  expect(best.low).toBeLessThan(8);
  expect(best.high).toBeGreaterThan(3);
});

test("an archive gives back the book it was made of", async () => {
  const book = demoBook(now);
  const read = await readArchive(await writeArchive(book, new Date(now).toISOString(), sha256), sha256);
  expect(read).toEqual({ book, setAside: [] });
});

test.each<[string, (files: Record<string, Uint8Array>) => void, string]>([
  [
    "a changed byte",
    (files) =>
      (files["catches.jsonl"] = strToU8(new TextDecoder().decode(files["catches.jsonl"]).replace("brown", "green"))),
    "bad-sum",
  ],
  ["a missing part", (files) => delete files["sessions.jsonl"], "missing-part"],
  ["no manifest", (files) => delete files["manifest.json"], "no-manifest"],
])("an archive with %s is refused whole", async (_, spoil, code) => {
  const files = unzipSync(await writeArchive({ ...emptyBook(), catches: [] }, new Date(now).toISOString(), sha256));
  spoil(files);
  if (code === "bad-sum") files["catches.jsonl"] = strToU8("x\n");
  await expect(readArchive(zipSync(files), sha256)).rejects.toMatchObject({ fault: { code } });
});

test("a catch without its session is set aside; a file that is no zip is refused", async () => {
  const orphan = await writeArchive(
    { ...emptyBook(), catches: [fish("f", "nowhere")] },
    new Date(now).toISOString(),
    sha256,
  );
  const { book, setAside } = await readArchive(orphan, sha256);
  expect(book.catches).toEqual([]);
  expect(setAside).toMatchObject([{ path: "catches.jsonl", line: 1, why: { code: "session-missing" } }]);
  await expect(readArchive(strToU8("hello there, not a zip"), sha256)).rejects.toMatchObject({
    fault: { code: "not-an-archive" },
  });
  await expect(readArchive(new Uint8Array(), sha256)).rejects.toMatchObject({ fault: { code: "empty-file" } });
});
