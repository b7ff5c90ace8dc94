import { z } from "zod";
import { gaugeCsv, RECORD_END, RECORD_START } from "@/standins/gauge";

/** A made-up gauge in place of an agency's service: hourly CSV from `from` to `to`, three years at most. */
const query = z.object({ from: z.iso.datetime({ offset: true }), to: z.iso.datetime({ offset: true }) });
const LONGEST = 3 * 366 * 86_400_000;

/** Requests answered in a burst, and how fast more are let in, a second. */
const BURST = 40;
const PER_SECOND = 5;
let [left, since] = [BURST, 0];

/** A leaky bucket for all callers together: the stand-in serves one application on this machine. */
function admitted(now: number): boolean {
  left = Math.min(BURST, left + ((now - since) / 1000) * PER_SECOND);
  since = now;
  if (left < 1) return false;
  left--;
  return true;
}

export function GET(request: Request): Response {
  if (!admitted(performance.now()))
    return Response.json(
      { error: { code: "too-many-requests", message: "The stand-in answers a few requests a second." } },
      { status: 429, headers: { "retry-after": "1" } },
    );
  const given = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!given.success) return fault("Give from and to as ISO 8601 instants.");
  const from = Math.max(RECORD_START, Date.parse(given.data.from));
  // The caller says what its hour is: the made-up river has its own.
  const to = Date.parse(given.data.to);
  if (to > RECORD_END) return fault(`The made-up record ends ${new Date(RECORD_END).toISOString()}.`);
  if (!(from <= to)) return fault("“from” must come before “to”, and “to” not before the record begins.");
  if (to - from > LONGEST) return fault("Three years at most in one request.");
  return new Response(gaugeCsv(from, to), {
    headers: { "content-type": "text/csv; charset=utf-8", "cache-control": "private, max-age=3600" },
  });
}

const fault = (message: string): Response => Response.json({ error: { code: "bad-query", message } }, { status: 400 });
