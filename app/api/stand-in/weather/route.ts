import { z } from "zod";
import { badQuery, bucket, tooMany } from "@/standins/admission";
import { RECORD_END, RECORD_START } from "@/standins/gauge";
import { weatherCsv } from "@/standins/weather";

/** A made-up weather service: an hourly CSV of three days before `at` and a forecast of six days after it. */
const query = z.object({ at: z.iso.datetime({ offset: true }) });

const admitted = bucket();

export function GET(request: Request): Response {
  if (!admitted(performance.now())) return tooMany();
  const given = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!given.success) return badQuery("Give at as an ISO 8601 time.");
  // The caller says what its hour is: the made-up river has its own.
  const at = Date.parse(given.data.at);
  if (at < RECORD_START || at > RECORD_END)
    return badQuery(
      `The demo weather runs from ${new Date(RECORD_START).toISOString()} to ${new Date(RECORD_END).toISOString()}.`,
    );
  return new Response(weatherCsv(at), {
    headers: { "content-type": "text/csv; charset=utf-8", "cache-control": "private, max-age=3600" },
  });
}
