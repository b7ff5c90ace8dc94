/** The attack on books: archives spoilt, and devices that have gone apart. */
import { isDeepStrictEqual } from "node:util";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { mergeBooks, renewed } from "../../src/core/book/merge";
import { type Book, emptyBook } from "../../src/core/book/log-contents";
import { sampleObservation, sampleRule, sampleSeries, sampleStretch } from "../../src/testing/book-samples";
import { toBase64 } from "../../src/core/formats/base64";
import { asRecorded, datedAt, joinSeries } from "../../src/core/book/series-join";
import { stampAfter } from "../../src/core/book/versions";
import { readArchive, writeArchive } from "../../src/core/formats/archive";
import { demoBook } from "../../src/demo/book";
import { damagedBytes, damagedData, pick, type Random } from "./mutate";
import { NOW, digest, type Part, wrongFault, taken } from "./part";

/** Hours on the bank, a rule and a photo. */
const bankBook = (session: string, fish: string): Pick<Book, "stretches" | "observations" | "rules" | "photos"> => ({
  stretches: [0, 1, 2].map((k) =>
    sampleStretch(`e${k}`, { session, rod: k + 1, lie: "jam", casts: [{ line: 1, zone: "near", count: k }] }),
  ),
  observations: [0, 1, 2].map((k) => sampleObservation(`o${k}`, { session, count: k, notes: "seen" })),
  rules: [sampleRule("r", { bag: 2, slot: { from: 0.4, to: 0.6 }, expires: "2027-01-01" })],
  photos: [0, 1].map((k) => ({
    schema: "low-heron/photo@1",
    id: `p${k}`,
    updatedAt: new Date(NOW).toISOString(),
    catch: fish,
    taken: null,
    width: 4,
    height: 3,
    data: toBase64(
      Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, ...Array.from({ length: 400 }, (_, i) => (i * 37 + k) % 251)]),
    ),
    place: null,
  })),
});

export const archives: Part = {
  name: "archives",
  share: 0.1,
  trial: () => {
    const full = demoBook(NOW);
    const book: Book = {
      ...full,
      ...bankBook(full.sessions[0]!.id, full.catches[0]!.id),
      series: full.series.map((one) => ({
        ...one,
        ...asRecorded(
          datedAt(
            one.stamps[0]!,
            Float64Array.from(one.times.slice(0, 30)),
            Float64Array.from(one.values.slice(0, 30), (v) => v ?? NaN),
          ),
        ),
      })),
    };
    const made = writeArchive(book, new Date(NOW).toISOString(), digest);
    return async (random) => {
      const bytes = await made;
      const spoilt = random() < 0.5 ? damagedBytes(bytes, random) : await respoilt(bytes, random);
      try {
        const read = await readArchive(spoilt, digest);
        taken.count++;
        const again = await readArchive(await writeArchive(read.book, new Date(NOW).toISOString(), digest), digest);
        return again.setAside.length > 0 ? `read once, and not again: ${again.setAside[0]!.path}` : undefined;
      } catch (error) {
        return wrongFault(error);
      }
    };
  },
};

/** An archive whose parts are spoilt and whose sums are right again. */
async function respoilt(bytes: Uint8Array, random: Random): Promise<Uint8Array> {
  const files = unzipSync(bytes);
  const manifest = JSON.parse(strFromU8(files["manifest.json"]!)) as {
    parts: Record<string, { count: number; sha256: string }>;
  };
  const name = pick(Object.keys(manifest.parts), random);
  const lines = strFromU8(files[`${name}.jsonl`]!).split("\n").filter(Boolean);
  const spoilt = lines.map((line) => (random() < 0.3 ? JSON.stringify(damagedData(JSON.parse(line), random)) : line));
  files[`${name}.jsonl`] = strToU8(spoilt.map((line) => `${line}\n`).join(""));
  manifest.parts[name] = { count: spoilt.length, sha256: await digest(files[`${name}.jsonl`]!) };
  files["manifest.json"] = strToU8(JSON.stringify(manifest));
  return zipSync(files, { level: 0 });
}

/** Parts whose records have notes, edited on both devices. */
const EDITED = ["sessions", "catches", "observations", "rules"] as const;

export const merges: Part = {
  name: "merges of divergent books",
  share: 0.05,
  trial: () => {
    const full = demoBook(NOW);
    const base: Book = {
      ...emptyBook(),
      ...bankBook(full.sessions[0]!.id, full.catches[0]!.id),
      sessions: full.sessions.slice(0, 4),
      catches: full.catches.slice(0, 6),
    };
    const made = sampleSeries(NOW);
    const series = (hours: readonly number[], stamp: string) =>
      made(
        hours.map((hour) => [hour, hour % 5]),
        stamp,
      );
    const edited = (book: Book, random: Random): Book => {
      const out: Book = { ...book, series: [...book.series] };
      for (const part of EDITED) (out[part] as unknown[]) = [...book[part]];
      for (let turn = Math.floor(random() * 12); turn > 0; turn--) {
        const clock = NOW + Math.floor((random() - 0.3) * 5) * 1000;
        const part = pick(EDITED, random);
        const at = Math.floor(random() * out[part].length);
        const own = out[part][at]!;
        const stamp = stampAfter(clock, own.updatedAt);
        const changed =
          random() < 0.3
            ? { ...own, deleted: true, updatedAt: stamp }
            : renewed({ ...own, notes: String(random()) }, stamp);
        (out[part] as unknown[])[at] = changed;
        const from = Math.floor(random() * 40);
        const before = out.series[0];
        const came = stampAfter(clock, before?.updatedAt);
        const given =
          random() < 0.15
            ? { ...series([], came), deleted: true, cleared: came }
            : series([from, from + 1, from + 2], came);
        out.series = [before ? joinSeries(before, given) : given];
      }
      return out;
    };
    return (random) => {
      taken.count++;
      const [a, b, c] = [edited(base, random), edited(base, random), edited(base, random)];
      const one = mergeBooks(mergeBooks(a, b), c);
      if (!isDeepStrictEqual(one, mergeBooks(c, mergeBooks(b, a)))) return "merges do not commute";
      if (!isDeepStrictEqual(one, mergeBooks(mergeBooks(c, a), mergeBooks(b, b)))) return "merges hang on their order";
      return undefined;
    };
  },
};
