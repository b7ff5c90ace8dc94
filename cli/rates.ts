import { createHash } from "node:crypto";
import { ratesIn, rateKind } from "../src/core/book/classes";
import { effortOf } from "../src/core/book/effort";
import { readArchive } from "../src/core/formats/archive";
import { setAsideWords } from "../src/words/archive";
import { rateLabel } from "../src/words/rates";
import { only, readBytes } from "./arguments";
import type { Command } from "./command";

export const sha256: (bytes: Uint8Array) => Promise<string> = (bytes) =>
  Promise.resolve(createHash("sha256").update(bytes).digest("hex"));

export const rates: Command = {
  usage: "ARCHIVE [--by flow|exceedance|trend|clarity|temperature] [--species S]",
  about: `Catch per rod-hour in classes, with an 80 % interval (gamma-Poisson, weak prior at the log's own mean). Blanks count as effort.
A session that still runs counts to its last catch. Classes with no effort have rate and interval null: not fished, not zero.`,
  options: { by: true, species: true },
  run: async (args) => {
    const file = only(args, "an archive");
    const kind = rateKind(args.values.by ?? "flow");
    const { book, setAside } = await readArchive(readBytes(file), sha256, file);
    for (const one of setAside) process.stderr.write(`${setAsideWords(one)}\n`);
    const last = book.catches.reduce((latest, one) => Math.max(latest, Date.parse(one.at)), 0);
    const { classes, total } = ratesIn(
      kind,
      effortOf(book.sessions, book.catches, last, args.values.species, book.stretches),
    );
    return { classes: classes.map((one) => ({ label: rateLabel(one, kind, "metric"), ...one })), total };
  },
};
