import { z } from "zod";
import { badQuery, bucket, tooMany } from "@/standins/admission";
import { gaugeCsv, RECORD_END, RECORD_START } from "@/standins/gauge";

/** A made-up gauge in place of an agency's service: hourly CSV from `from` to `to`, three years at most. */
const query = z.object({ from: z.iso.datetime({ offset: true }), to: z.iso.datetime({ offset: true }) });
const LONGEST = 3 * 366 * 86_400_000;

const admitted = bucket();

export function GET(request: Request): Response {
  if (!admitted(performance.now())) return tooMany();
  const given = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!given.success) return badQuery("Give from and to as ISO 8601 times.");
  const from = Math.max(RECORD_START, Date.parse(given.data.from));
  // The caller says what its hour is: the made-up river has its own.
  const to = Date.parse(given.data.to);
  if (to > RECORD_END) return badQuery(`The demo record ends ${new Date(RECORD_END).toISOString()}.`);
  if (!(from <= to)) return badQuery("“from” must be before “to”, and “to” must be within the record.");
  if (to - from > LONGEST) return badQuery("Request at most three years.");
  return new Response(gaugeCsv(from, to), {
    headers: { "content-type": "text/csv; charset=utf-8", "cache-control": "private, max-age=3600" },
  });
}
