/** ULID-like ids: time first, so that they sort by age; random after (Crockford base 32). */
const ALPHABET = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";

export function newId(now: number = Date.now()): string {
  let time = "";
  for (let rest = now, k = 0; k < 10; k++, rest = Math.floor(rest / 32)) time = ALPHABET[rest % 32] + time;
  const random = crypto.getRandomValues(new Uint8Array(16));
  return time + Array.from(random, (byte) => ALPHABET[byte % 32]).join("");
}
