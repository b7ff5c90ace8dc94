import { createHash } from "node:crypto";
import { surroundingsOf, seriesOfRecord } from "../src/core/book/surroundings";
import { type Surroundings, ratesIn, rateKind } from "../src/core/book/classes";
import { RATE_KINDS, SI_SCALE } from "../src/core/book/rate-terms";
import { effortOf } from "../src/core/book/effort";
import type { Book } from "../src/core/book/log-contents";
import { signalsOf } from "../src/core/book/signals";
import { readArchive } from "../src/core/formats/archive";
import { InputError } from "../src/core/quantity/fault";
import { stream } from "../src/core/quantity/seeded";
import { setAsideWords } from "../src/words/archive";
import { rateLabel } from "../src/words/rates";
import { only, readBytes } from "./arguments";
import type { Command } from "./command";

export const sha256: (bytes: Uint8Array) => Promise<string> = (bytes) =>
  Promise.resolve(createHash("sha256").update(bytes).digest("hex"));

/** An archive's book; what of it is not sound is told on standard error. */
export async function bookOf(file: string): Promise<Book> {
  const { book, setAside } = await readArchive(readBytes(file), sha256, file);
  for (const one of setAside) process.stderr.write(`${setAsideWords(one)}\n`);
  return book;
}

/** Hours and months of a zone's clock. */
export function clockIn(zone: string): Surroundings["clockOf"] {
  try {
    const format = new Intl.DateTimeFormat("en-GB", {
      timeZone: zone,
      hour: "2-digit",
      minute: "2-digit",
      month: "numeric",
      hourCycle: "h23",
    });
    return (at) => {
      const part = new Map(format.formatToParts(at).map(({ type, value }) => [type, Number(value)]));
      return { hour: part.get("hour")! + part.get("minute")! / 60, month: part.get("month")! - 1 };
    };
  } catch {
    throw new InputError("unknown-zone", { zone: zone.slice(0, 100) }, { path: "--zone" });
  }
}

const SEED = 1;

export const rates: Command = {
  usage: `ARCHIVE [--by ${RATE_KINDS.join("|")}] [--species S] [--zone IANA] [--signals]`,
  about: `Catch per rod-hour in classes, with an 80 % interval (negative binomial over sessions, weak prior of the other classes'
fishing). Blanks count as effort. A session that still runs counts to its last catch.
Classes with no effort have rate and interval null: not fished, not zero.
Hours of the day are those of --zone, or of the first gauge's zone, or UTC.
--signals adds signals[]{kind, verdict: supported|no-sign|too-few, p, hours, wanted, best}: which properties the log
supports, with the share of false ones held to a tenth (Benjamini and Hochberg).`,
  options: { by: true, species: true, zone: true, signals: false },
  run: async (args) => {
    const kind = rateKind(args.values.by ?? "flow");
    const book = await bookOf(only(args, "an archive"));
    const last = book.catches.reduce((latest, one) => Math.max(latest, Date.parse(one.at)), 0);
    const efforts = effortOf(book.sessions, book.catches, last, args.values.species, book.stretches);
    const pressures = book.series.filter((one) => one.parameter === "airPressure" && !one.deleted);
    const around = surroundingsOf(
      book,
      new Map(pressures.map((one) => [one.station, seriesOfRecord(one)])),
      clockIn(args.values.zone ?? (book.stations.find((one) => !one.deleted)?.zone || "UTC")),
    );
    const { classes, total } = ratesIn(kind, efforts, SI_SCALE, around);
    return {
      classes: classes.map((one) => ({
        label: rateLabel(one, kind, "metric"),
        ...one,
        counted: one.hours > 0 ? one.events / one.hours : null,
      })),
      total,
      ...(args.flags.has("signals") && {
        signals: signalsOf(RATE_KINDS, efforts, SI_SCALE, around, stream(SEED)),
      }),
    };
  },
};
