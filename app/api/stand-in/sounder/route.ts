import { z } from "zod";
import { demoSounding } from "@/demo/sounding";
import { badQuery, bucket, tooMany } from "@/standins/admission";
import { liveSentences } from "@/standins/sounder";

/**
 * A made-up sounder and thermometer on board: NMEA 0183, once a second, for ten minutes at most; who wants more asks
 * again. `at` is the caller's hour, `temperature` its water, degC.
 */
const query = z.object({
  at: z.iso.datetime({ offset: true }),
  temperature: z.coerce.number().min(0).max(35).default(12),
});
const LONGEST = 600;
/** Streams open at once. */
const MOST = 4;
let open = 0;
const admitted = bucket();

export function GET(request: Request): Response {
  if (!admitted(performance.now()) || open >= MOST) return tooMany();
  const given = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!given.success) return badQuery("Give at as an ISO 8601 time, and temperature in degrees C.");
  const at = Date.parse(given.data.at);
  const sentences = liveSentences(demoSounding(at), Math.floor(at / 1000), given.data.temperature);
  const text = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  let [said, over] = [0, false];
  const stop = () => {
    if (over) return;
    over = true;
    open--;
    clearInterval(timer);
  };
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      open++;
      const say = () => {
        const next = sentences.next();
        if (next.done || said++ >= LONGEST) {
          stop();
          return controller.close();
        }
        controller.enqueue(text.encode(`${next.value.join("\r\n")}\r\n`));
      };
      say();
      timer = setInterval(say, 1000);
      request.signal.addEventListener("abort", stop);
    },
    cancel: stop,
  });
  return new Response(body, {
    headers: { "content-type": "text/plain; charset=us-ascii", "cache-control": "no-store" },
  });
}
