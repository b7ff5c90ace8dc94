/** Requests answered in a burst, and how fast more are let in, a second. */
const BURST = 40;
const PER_SECOND = 5;

/** A leaky bucket for all callers together: a stand-in serves one application on this machine. */
export function bucket(): (now: number) => boolean {
  let [left, since] = [BURST, 0];
  return (now) => {
    left = Math.min(BURST, left + ((now - since) / 1000) * PER_SECOND);
    since = now;
    if (left < 1) return false;
    left--;
    return true;
  };
}

export const tooMany = (): Response =>
  Response.json(
    { error: { code: "too-many-requests", message: "The stand-in answers a few requests a second." } },
    { status: 429, headers: { "retry-after": "1" } },
  );

export const badQuery = (message: string): Response =>
  Response.json({ error: { code: "bad-query", message } }, { status: 400 });
