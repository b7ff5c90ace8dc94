import type { Photo } from "../book/bank-records";
import { type Message, message } from "../quantity/message";
import type { Digest } from "./digest";
import { fromBase64, toBase64 } from "./base64";

/** Photos lie beside the parts of an archive, each a file of its own with its sum in its record's line. */

/** "photos/12.jpg" */
export const isPhotoFile = (name: string): boolean => /^photos\/[1-9]\d{0,5}\.jpg$/.test(name);

/** A record's line without its picture, and the file that holds it. */
export async function photoOut(
  { data, ...record }: Photo,
  index: number,
  digest: Digest,
): Promise<{ line: object; file: string; bytes: Uint8Array<ArrayBuffer> }> {
  const bytes = fromBase64(data);
  const file = `photos/${index + 1}.jpg`;
  return { line: { ...record, file, sha256: await digest(bytes) }, file, bytes };
}

/** A line with its picture put back in, or why it has none. */
export async function photoIn(
  line: unknown,
  files: Readonly<Record<string, Uint8Array>>,
  digest: Digest,
): Promise<{ record: unknown } | { why: Message }> {
  if (typeof line !== "object" || line === null) return { record: line };
  const { file, sha256, ...record } = line as { file?: unknown; sha256?: unknown };
  const bytes = typeof file === "string" && isPhotoFile(file) ? files[file] : undefined;
  if (!bytes) return { why: message("photo-missing") };
  if ((await digest(Uint8Array.from(bytes))) !== sha256) return { why: message("photo-damaged") };
  return { record: { ...record, data: toBase64(bytes) } };
}
