import { message } from "../quantity/message";
import { linesOf } from "./lines";
import { dayOf, depthOf, type Fix, fixOf, nmeaSum, sentenceOf } from "./nmea";
import { SoundingsGathering, type SoundingsFile } from "./soundings-text";

export const looksLikeNmea = (text: string): boolean =>
  /^\s*(?:\S+\s+)?[$!][A-Z]{2}[A-Z]{3},/m.test(text.slice(0, 4000));

/**
 * Soundings of an NMEA 0183 log: positions of GGA, RMC or GLL, depths of DPT, DBS or DBT. A depth between two positions
 * lies between them
 * by its share of the sentences. Depths are below the surface where the sentence says so (DBS, or DPT with its offset
 * to the waterline),
 * otherwise below the transducer, which the notes then say. Sentences with a wrong sum are refused.
 */
export function readSoundingsNmea(text: string, file?: string): SoundingsFile {
  const gathering = new SoundingsGathering("geographic", "depth", file);
  let last: Fix | undefined;
  let waiting: { line: number; depth: number }[] = [];
  let day: number | undefined;
  let [lost, belowTransducer, unsummed] = [0, 0, 0];
  const place = (next: Fix | undefined) => {
    waiting.forEach(({ line, depth }, k) => {
      if (!last && !next) return gathering.reject(line, message("no-position"));
      const [a, b] = [last ?? next!, next ?? last!];
      const t = (k + 1) / (waiting.length + 1);
      const time = a.time !== undefined && b.time !== undefined ? a.time + t * (b.time - a.time) : undefined;
      gathering.take(
        line,
        a.longitude + t * (b.longitude - a.longitude),
        a.latitude + t * (b.latitude - a.latitude),
        depth,
        time,
      );
    });
    waiting = [];
  };
  linesOf(text, file).forEach((whole, k) => {
    const line = k + 1;
    const raw = whole.trimEnd();
    const sentence = sentenceOf(raw);
    if (!sentence) {
      if (raw !== "" && !raw.startsWith("#")) gathering.reject(line, message("not-nmea"));
      return;
    }
    const { body, kind, sum, parts } = sentence;
    // Sentences that say nothing of place or depth are read as what they are.
    if (!/^(GGA|RMC|GLL|ZDA|DPT|DBS|DBT)$/.test(kind)) return gathering.tally.read();
    if (sum === undefined) unsummed++;
    else if (nmeaSum(body) !== sum.toUpperCase())
      return gathering.reject(line, message("bad-checksum", { sum, right: nmeaSum(body) }));
    const depth = depthOf(kind, parts);
    if (depth) {
      if (depth.value === 0 || Number.isNaN(depth.value)) {
        lost++;
        gathering.tally.gap();
      } else {
        if (depth.below === "transducer") belowTransducer++;
        waiting.push({ line, depth: depth.value });
      }
      return;
    }
    if (kind === "ZDA" || kind === "RMC") day = dayOf(kind, parts) ?? day;
    if (kind === "ZDA") return gathering.tally.read();
    const fix = fixOf(kind, parts, day, last?.time);
    if (fix === "none") return gathering.reject(line, message("no-fix"));
    if (fix === "bad") return gathering.reject(line, message("bad-position"));
    gathering.tally.read();
    place(fix);
    last = fix;
  });
  place(undefined);
  if (lost > 0) gathering.notes.push(message("lost-bottom", { lost }));
  if (belowTransducer > 0) gathering.notes.push(message("below-transducer", { belowTransducer }));
  if (unsummed > 0) gathering.notes.push(message("no-checksum", { unsummed }));
  return gathering.finish();
}
