import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { z } from "zod";
import { type Book, emptyBook, LATER_PARTS, PART_NAMES, type PartName, PARTS } from "../book/records";
import { InputError } from "../quantity/fault";
import { messageOf, pathOf, refuse } from "../quantity/issue";

/** The archive: a zip of JSON-lines parts with a manifest of counts and SHA-256 sums. One file holds everything. */

/** SHA-256 of bytes as lower-case hex; handed in, since it differs by house (browser or Node). */
export type Digest = (bytes: Uint8Array<ArrayBuffer>) => Promise<string>;

const manifestSchema = z.object({
  schema: z.literal("low-heron/archive@1"),
  written: z.iso.datetime({ offset: true }),
  parts: z.record(z.string(), z.object({ count: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) })),
});

/** Bounds against bombs, bytes. */
const LARGEST_PART = 200 * 1024 * 1024;
const LARGEST_ARCHIVE = 100 * 1024 * 1024;

export async function writeArchive(book: Book, written: string, digest: Digest): Promise<Uint8Array<ArrayBuffer>> {
  const files: Record<string, Uint8Array<ArrayBuffer>> = {};
  const parts: Record<string, { count: number; sha256: string }> = {};
  for (const name of PART_NAMES) {
    const bytes = strToU8(
      book[name].map((record) => JSON.stringify(record)).join("\n") + (book[name].length ? "\n" : ""),
    ) as Uint8Array<ArrayBuffer>;
    files[`${name}.jsonl`] = bytes;
    parts[name] = { count: book[name].length, sha256: await digest(bytes) };
  }
  files["manifest.json"] = strToU8(
    JSON.stringify({ schema: "low-heron/archive@1", written, parts }, null, 2),
  ) as Uint8Array<ArrayBuffer>;
  return zipSync(files, { level: 6 }) as Uint8Array<ArrayBuffer>;
}

/** Reads a whole archive or throws a located fault: nothing is half read. */
export async function readArchive(bytes: Uint8Array, digest: Digest, file?: string): Promise<Book> {
  if (bytes.length === 0) throw new InputError("empty-file", {}, { file });
  if (bytes.length > LARGEST_ARCHIVE) throw new InputError("archive-too-large", {}, { file });
  const files = unzip(bytes, file);
  const manifestBytes = files["manifest.json"];
  if (!manifestBytes) throw new InputError("no-manifest", {}, { file });
  const manifest = manifestSchema.safeParse(parseJson(strFromU8(manifestBytes), file, "manifest.json"));
  if (!manifest.success) refuse(manifest.error, "bad-manifest", { file });
  const book = emptyBook();
  for (const name of PART_NAMES)
    await readPart(name, files[`${name}.jsonl`], manifest.data.parts[name], book, digest, file);
  checkLinks(book, file);
  return book;
}

function unzip(bytes: Uint8Array, file: string | undefined): Record<string, Uint8Array> {
  try {
    return unzipSync(bytes, {
      filter: (entry) => {
        if (entry.originalSize > LARGEST_PART)
          throw new InputError(
            "part-too-large",
            { name: entry.name },
            {
              file,
              path: entry.name,
            },
          );
        return entry.name === "manifest.json" || PART_NAMES.some((name) => entry.name === `${name}.jsonl`);
      },
    });
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw new InputError("not-an-archive", {}, { file });
  }
}

async function readPart(
  name: PartName,
  bytes: Uint8Array | undefined,
  stated: { count: number; sha256: string } | undefined,
  book: Book,
  digest: Digest,
  file: string | undefined,
): Promise<void> {
  const path = `${name}.jsonl`;
  if (!bytes && !stated && LATER_PARTS.includes(name)) return;
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
  lines.forEach((line, index) => {
    const parsed = PARTS[name].safeParse(parseJson(line, file, path, index + 1));
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!;
      throw new InputError(
        "bad-record",
        { path, line: index + 1, field: pathOf(issue), issue: messageOf(issue) },
        { file, line: index + 1, path },
      );
    }
    (book[name] as unknown[]).push(parsed.data);
  });
}

function parseJson(text: string, file: string | undefined, path: string, line?: number): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new InputError("part-not-json", { path, line }, { file, line, path });
  }
}

/** Every catch must have its session, and every session its reach. */
function checkLinks(book: Book, file: string | undefined): void {
  const reaches = new Set(book.reaches.map((record) => record.id));
  const sessions = new Set(book.sessions.map((record) => record.id));
  const orphanSession = book.sessions.findIndex((session) => !reaches.has(session.reach));
  if (orphanSession >= 0)
    throw new InputError(
      "reach-missing",
      { id: book.sessions[orphanSession]!.id },
      { file, line: orphanSession + 1, path: "sessions.jsonl" },
    );
  const orphanCatch = book.catches.findIndex((one) => !sessions.has(one.session));
  if (orphanCatch >= 0)
    throw new InputError(
      "session-missing",
      { id: book.catches[orphanCatch]!.id },
      { file, line: orphanCatch + 1, path: "catches.jsonl" },
    );
}
