/** Bytes as base 64 and back (RFC 4648), by what browsers and Node both have. */

/** Bytes turned at once: more arguments than that some engines refuse. */
const AT_ONCE = 0x8000;

export function toBase64(bytes: Uint8Array): string {
  let text = "";
  for (let k = 0; k < bytes.length; k += AT_ONCE) text += String.fromCharCode(...bytes.subarray(k, k + AT_ONCE));
  return btoa(text);
}

export const fromBase64 = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text), (char) => char.charCodeAt(0));
