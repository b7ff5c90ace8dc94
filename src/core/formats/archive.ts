import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { z } from "zod";
import { isPhotoFile, photoIn, photoOut } from "./archive-photos";
import { type Book, emptyBook, LATER_PARTS, PART_NAMES, type PartName } from "../book/log-contents";
import { LONGEST_PHOTO } from "../book/bank-records";
import { PARTS } from "../book/records";
import { InputError } from "../quantity/fault";
import type { Digest } from "./digest";
import { messageOf, pathOf, refuse } from "../quantity/issue";
import { type Message, message } from "../quantity/message";

/** The archive: a zip of JSON-lines parts with a manifest of counts and SHA-256 sums. One file holds everything. */

const SCHEMA = "low-heron/archive@1";
const manifestSchema = z.object({
  schema: z.literal(SCHEMA),
  written: z.iso.datetime({ offset: true }),
  parts: z.record(z.string(), z.object({ count: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) })),
});

/** Bounds against bombs, bytes: packed, and unpacked in all. */
const LARGEST_ARCHIVE = 150 * 1024 * 1024;
const LARGEST_UNPACKED = 150 * 1024 * 1024;
/** The same for photos: each, all, and how many. */
const PHOTOS = { largest: (LONGEST_PHOTO * 3) / 4, all: 300 * 1024 * 1024, most: 5000 };
/** Entries of a zip that are looked at. */
const MOST_ENTRIES = 100;

/** What an archive holds that is not taken: where it stands, and why. The rest of the book is read all the same. */
export interface SetAside {
  /** "catches.jsonl" */
  path: string;
  /** Line of the part, from 1; undefined for a whole part. */
  line: number | undefined;
  why: Message;
}

export interface ArchiveRead {
  book: Book;
  setAside: SetAside[];
}

/** Line of each record of a part, by its id. */
type Lines = Map<string, number>;

export async function writeArchive(book: Book, written: string, digest: Digest): Promise<Uint8Array<ArrayBuffer>> {
  const files: Record<string, Uint8Array<ArrayBuffer>> = {};
  const parts: Record<string, { count: number; sha256: string }> = {};
  const photos = await Promise.all(book.photos.map((one, index) => photoOut(one, index, digest)));
  for (const { file, bytes } of photos) files[file] = bytes;
  for (const name of PART_NAMES) {
    const records: readonly object[] = name === "photos" ? photos.map(({ line }) => line) : book[name];
    const bytes = strToU8(
      records.map((record) => JSON.stringify(record)).join("\n") + (records.length ? "\n" : ""),
    ) as Uint8Array<ArrayBuffer>;
    files[`${name}.jsonl`] = bytes;
    parts[name] = { count: book[name].length, sha256: await digest(bytes) };
  }
  files["manifest.json"] = strToU8(
    JSON.stringify({ schema: SCHEMA, written, parts }, null, 2),
  ) as Uint8Array<ArrayBuffer>;
  return zipSync(files, { level: 6 }) as Uint8Array<ArrayBuffer>;
}

/**
 * Reads an archive. A record that is not sound is set aside and told; a file that is damaged, or made by a newer
 * application, is refused whole with a located fault.
 */
export async function readArchive(bytes: Uint8Array, digest: Digest, file?: string): Promise<ArchiveRead> {
  if (bytes.length === 0) throw new InputError("empty-file", {}, { file });
  if (bytes.length > LARGEST_ARCHIVE) throw new InputError("archive-too-large", {}, { file });
  const read: ArchiveRead = { book: emptyBook(), setAside: [] };
  const files = unzip(bytes, file, read.setAside);
  const manifestBytes = files["manifest.json"];
  if (!manifestBytes) throw new InputError("no-manifest", {}, { file });
  const manifest = readManifest(parseJson(strFromU8(manifestBytes), file, "manifest.json"), file);
  const lines: Partial<Record<PartName, Lines>> = {};
  for (const name of PART_NAMES) lines[name] = await readPart(name, files, manifest.parts[name], read, digest, file);
  setOrphansAside(read, lines);
  return read;
}

function readManifest(data: unknown, file: string | undefined): z.infer<typeof manifestSchema> {
  const named = /^low-heron\/archive@(\d{1,6})$/.exec(
    String((data as { schema?: unknown } | null)?.schema).slice(0, 100),
  );
  if (named && Number(named[1]) > 1) throw new InputError("newer-archive", { version: Number(named[1]) }, { file });
  const manifest = manifestSchema.safeParse(data, { reportInput: true });
  if (!manifest.success) refuse(manifest.error, "bad-manifest", { file });
  return manifest.data;
}

const isKnown = (name: string): boolean =>
  name === "manifest.json" || PART_NAMES.some((part) => name === `${part}.jsonl`);

function unzip(bytes: Uint8Array, file: string | undefined, setAside: SetAside[]): Record<string, Uint8Array> {
  const seen = new Set<string>();
  let [unpacked, entries, photos, pictured] = [0, 0, 0, 0];
  try {
    return unzipSync(bytes, {
      // Heard before anything is unpacked.
      filter: ({ name, originalSize }) => {
        if (isPhotoFile(name)) {
          pictured += originalSize;
          if (++photos > PHOTOS.most || !(originalSize <= PHOTOS.largest) || !(pictured <= PHOTOS.all))
            throw new InputError("part-too-large", { name }, { file, path: name });
          return true;
        }
        if (++entries > MOST_ENTRIES) throw new InputError("too-many-entries", { most: MOST_ENTRIES }, { file });
        if (!isKnown(name)) {
          setAside.push({ path: name.slice(0, 100), line: undefined, why: message("unknown-part") });
          return false;
        }
        if (seen.has(name)) throw new InputError("part-twice", { name }, { file, path: name });
        seen.add(name);
        unpacked += originalSize;
        if (!(unpacked <= LARGEST_UNPACKED)) throw new InputError("part-too-large", { name }, { file, path: name });
        return true;
      },
    });
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw new InputError("not-an-archive", {}, { file });
  }
}

async function readPart(
  name: PartName,
  files: Readonly<Record<string, Uint8Array>>,
  stated: { count: number; sha256: string } | undefined,
  { book, setAside }: ArchiveRead,
  digest: Digest,
  file: string | undefined,
): Promise<Lines> {
  const ids: Lines = new Map();
  const path = `${name}.jsonl`;
  const bytes = files[path];
  if (!bytes && !stated && LATER_PARTS.includes(name)) return ids;
  if (!bytes || !stated) throw new InputError("missing-part", { path }, { file, path });
  if ((await digest(Uint8Array.from(bytes))) !== stated.sha256)
    throw new InputError(
      "bad-sum",
      { path },
      {
        file,
        path,
      },
    );
  const lines = strFromU8(bytes)
    .split("\n")
    .filter((line) => line !== "");
  if (lines.length !== stated.count)
    throw new InputError("bad-count", { path, length: lines.length, count: stated.count }, { file, path });
  for (const [index, text] of lines.entries()) {
    const record = await readRecord(name, text, ids, (line) => photoIn(line, files, digest));
    if ("why" in record) setAside.push({ path, line: index + 1, why: record.why });
    else {
      ids.set(record.id, index + 1);
      (book[name] as unknown[]).push(record);
    }
  }
  return ids;
}

/** A record of a line, or why there is none. */
async function readRecord(
  name: PartName,
  text: string,
  ids: Lines,
  withPicture: (line: unknown) => ReturnType<typeof photoIn>,
): Promise<{ id: string } | { why: Message }> {
  const data = jsonOf(text);
  if (data === undefined) return { why: message("record-not-json") };
  const whole = name === "photos" ? await withPicture(data) : { record: data };
  if ("why" in whole) return whole;
  const parsed = PARTS[name].safeParse(whole.record, { reportInput: true });
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    return { why: message("bad-record", { field: pathOf(issue), issue: messageOf(issue) }) };
  }
  const { id } = parsed.data;
  return ids.has(id) ? { why: message("record-twice", { id }) } : parsed.data;
}

const jsonOf = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
};

function parseJson(text: string, file: string | undefined, path: string): unknown {
  const data = jsonOf(text);
  if (data === undefined) throw new InputError("part-not-json", { path }, { file, path });
  return data;
}

/** Every catch, stretch and observation must have its session, every session its reach, every photo its catch. */
function setOrphansAside({ book, setAside }: ArchiveRead, lines: Partial<Record<PartName, Lines>>): void {
  const keep = <T extends { id: string }>(
    part: PartName,
    records: T[],
    of: (one: T) => string,
    known: Set<string>,
    code: string,
  ) =>
    records.filter((one) => {
      if (known.has(of(one))) return true;
      setAside.push({ path: `${part}.jsonl`, line: lines[part]?.get(one.id), why: message(code, { id: one.id }) });
      return false;
    });
  const reaches = new Set(book.reaches.map((one) => one.id));
  book.sessions = keep("sessions", book.sessions, (one) => one.reach, reaches, "reach-missing");
  const sessions = new Set(book.sessions.map((one) => one.id));
  book.catches = keep("catches", book.catches, (one) => one.session, sessions, "session-missing");
  book.stretches = keep("stretches", book.stretches, (one) => one.session, sessions, "session-missing");
  book.observations = keep("observations", book.observations, (one) => one.session, sessions, "session-missing");
  const fish = new Set(book.catches.map((one) => one.id));
  book.photos = keep("photos", book.photos, (one) => one.catch, fish, "catch-missing");
}
