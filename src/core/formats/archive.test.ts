import { createHash } from "node:crypto";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { DEMO_REACHES } from "../../demo/river";
import { type Book, emptyBook } from "../book/log-contents";
import type { ReachRecord } from "../book/records";
import { sampleCatch, sampleSession } from "../../testing/book-samples";
import type { InputError } from "../quantity/fault";
import { readArchive, writeArchive } from "./archive";

const digest = (bytes: Uint8Array) => Promise.resolve(createHash("sha256").update(bytes).digest("hex"));
const AT = "2026-10-01T00:00:00.000Z";
const reach: ReachRecord = {
  schema: "low-heron/reach-record@1",
  id: DEMO_REACHES[0]!.id,
  updatedAt: AT,
  station: null,
  reach: DEMO_REACHES[0]!,
};
const session = (id: string) => sampleSession(id, { reach: reach.id });
const fish = (id: string, of = "s") => sampleCatch(id, of);
const book: Book = { ...emptyBook(), reaches: [reach], sessions: [session("s")], catches: [fish("a"), fish("b")] };
const packed = (own: Book = book) => writeArchive(own, AT, digest);

/** An archive with its files changed; sums and counts made right again. */
async function respoilt(change: (files: Record<string, Uint8Array>) => void, own: Book = book): Promise<Uint8Array> {
  const files = unzipSync(await packed(own));
  change(files);
  const manifest = JSON.parse(strFromU8(files["manifest.json"]!)) as {
    parts: Record<string, { count: number; sha256: string }>;
  };
  for (const name of Object.keys(manifest.parts)) {
    const bytes = files[`${name}.jsonl`]!;
    const count = strFromU8(bytes)
      .split("\n")
      .filter((line) => line !== "").length;
    manifest.parts[name] = { count, sha256: await digest(bytes) };
  }
  files["manifest.json"] = strToU8(JSON.stringify(manifest));
  return zipSync(files);
}
const lines = (...all: unknown[]) => strToU8(`${all.map((one) => JSON.stringify(one)).join("\n")}\n`);
const codeOf = async (bytes: Uint8Array): Promise<string> => {
  try {
    await readArchive(bytes, digest);
  } catch (error) {
    return (error as InputError).fault.code;
  }
  return "none";
};

test("one bad record is set aside and told, the rest of the book is there", async () => {
  const bytes = await respoilt((files) => {
    files["catches.jsonl"] = strToU8(
      `${strFromU8(lines(fish("a"), { ...fish("long"), length: 7 }))}{"half\n${strFromU8(lines(fish("b"), fish("a"), fish("lost", "none")))}`,
    );
  });
  const read = await readArchive(bytes, digest);
  expect(read.book.catches.map((one) => one.id)).toEqual(["a", "b"]);
  expect(read.book.sessions).toHaveLength(1);
  expect(read.setAside).toMatchObject([
    { path: "catches.jsonl", line: 2, why: { code: "bad-record", values: { field: "length" } } },
    { path: "catches.jsonl", line: 3, why: { code: "record-not-json" } },
    { path: "catches.jsonl", line: 5, why: { code: "record-twice", values: { id: "a" } } },
    { path: "catches.jsonl", line: 6, why: { code: "session-missing", values: { id: "lost" } } },
  ]);
});

test.each<[string, ReachRecord, string, string]>([
  [
    "a bed whose heights do not match its cells",
    { ...reach, reach: { ...reach.reach, bed: { kind: "grid", nx: 4, ny: 3, cell: 1, z: [1, 2] } } },
    "bed-count",
    "reach.bed.z",
  ],
  [
    "roughness of another number of cells",
    { ...reach, reach: { ...reach.reach, roughness: [0.03] } },
    "roughness-array",
    "reach.roughness",
  ],
  ["a record whose id is not its reach's", { ...reach, id: "other" }, "not-the-reach", "reach.id"],
])("%s is refused by name, and what hangs on it with it", async (_, wrong, code, field) => {
  const read = await readArchive(await packed({ ...book, reaches: [wrong] }), digest);
  expect(read.setAside[0]).toMatchObject({
    path: "reaches.jsonl",
    line: 1,
    why: { values: { field, issue: { code } } },
  });
  expect(read.setAside.slice(1).map((one) => one.why.code)).toEqual([
    "reach-missing",
    "session-missing",
    "session-missing",
  ]);
  expect([read.book.reaches, read.book.sessions, read.book.catches]).toEqual([[], [], []]);
});

test("a part that is not known is told by its name, and nothing of it is unpacked", async () => {
  const files = unzipSync(await packed());
  const read = await readArchive(zipSync({ ...files, "../photos.jsonl": strToU8("x") }), digest);
  expect(read.setAside).toMatchObject([{ path: "../photos.jsonl", why: { code: "unknown-part" } }]);
  expect(read.book).toEqual(book);
});

test("a newer archive is told as newer; a stranger one is not an archive", async () => {
  const as = async (schema: unknown) => {
    const files = unzipSync(await packed());
    const manifest = JSON.parse(strFromU8(files["manifest.json"]!)) as object;
    return zipSync({ ...files, "manifest.json": strToU8(JSON.stringify({ ...manifest, schema })) });
  };
  expect(await codeOf(await as("low-heron/archive@2"))).toBe("newer-archive");
  expect(await codeOf(await as("low-heron/archive@1"))).toBe("none");
  expect(await codeOf(await as("low-heron/archive@0"))).toBe("bad-manifest");
  expect(await codeOf(await as(null))).toBe("bad-manifest");
  expect(await codeOf(await as("x".repeat(1e6)))).toBe("bad-manifest");
});

test("bombs are refused before they are unpacked", async () => {
  const files = unzipSync(await packed());
  // 160 MB of nothing packs to 160 kB.
  const bomb = zipSync({ ...files, "catches.jsonl": new Uint8Array(160 * 1024 * 1024) }, { level: 1 });
  expect(bomb.length).toBeLessThan(2e6);
  expect(await codeOf(bomb)).toBe("part-too-large");
  const crowd = Object.fromEntries(Array.from({ length: 200 }, (_, k) => [`f${k}`, strToU8("x")]));
  expect(await codeOf(zipSync({ ...crowd, ...files }))).toBe("too-many-entries");
  // The same part named again and again in the directory: overlapping entries of one run of bytes.
  const twice = zipSync({ "catches.jsonl": strToU8("x"), "catches.jsonm": strToU8("y") });
  const name = strToU8("catches.jsonm");
  for (let k = 0; k + name.length <= twice.length; k++)
    if (name.every((byte, i) => twice[k + i] === byte)) twice[k + name.length - 1] = "l".charCodeAt(0);
  expect(await codeOf(twice)).toBe("part-twice");
});

test("a damaged or truncated zip ends in a fault, wherever it is cut", async () => {
  const bytes = await packed();
  for (let cut = 0; cut < bytes.length; cut += 61) expect(await codeOf(bytes.slice(0, cut))).not.toBe("none");
});
