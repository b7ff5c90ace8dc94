import { InputError } from "../src/core/quantity/fault";
import { readArchive, writeArchive } from "../src/core/formats/archive";
import { writeCatches } from "../src/core/formats/catches-csv";
import { readGaugeFile } from "../src/core/formats/gauge-file";
import { writeGauge } from "../src/core/formats/gauge-out";
import { spotsOf, writeGeoJson, writeGpx } from "../src/core/formats/spots-out";
import { setAsideWords } from "../src/words/archive";
import { choiceOption, demandOption, only, readBytes } from "./arguments";
import { type Command, WholeFile } from "./command";
import { writeOut } from "./flow";
import { sha256 } from "./rates";

const KINDS = ["csv", "gpx", "geojson", "archive"] as const;

export const convert: Command = {
  usage: "FILE --to csv|gpx|geojson|archive [--out F]",
  about: `Converts an archive to CSV (its fish), to GPX or GeoJSON (fish and marks with coordinates), or to the current format.
Converts any gauge file to CSV. Writes to standard output, or to --out and prints {out, bytes}.
Skips damaged records and lists them on standard error.`,
  options: { to: true, out: true },
  run: async (args) => {
    const file = only(args, "a file");
    demandOption(args, "to");
    const to = choiceOption(args, "to", KINDS, "csv");
    const bytes = readBytes(file);
    const content = isZip(bytes) ? await ofArchive(bytes, to, file) : ofGauge(bytes, to, file);
    const { out } = args.values;
    if (out === undefined) return new WholeFile(content);
    writeOut(out, content);
    return { out, bytes: Buffer.byteLength(content) };
  },
};

/** "PK", as every zip begins. */
const isZip = (bytes: Buffer): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

async function ofArchive(bytes: Buffer, to: (typeof KINDS)[number], file: string): Promise<string | Uint8Array> {
  const { book, setAside } = await readArchive(bytes, sha256, file);
  for (const one of setAside) process.stderr.write(`${setAsideWords(one)}\n`);
  if (to === "archive") return writeArchive(book, new Date().toISOString(), sha256);
  const alive = book.catches.filter((one) => !one.deleted);
  if (to === "csv")
    return writeCatches(alive, book.sessions, (id) => book.reaches.find((one) => one.id === id)?.reach.name ?? "");
  const { spots } = spotsOf(alive, book.observations, book.sessions, book.reaches);
  return to === "gpx" ? writeGpx(spots) : writeGeoJson(spots);
}

function ofGauge(bytes: Buffer, to: (typeof KINDS)[number], file: string): string {
  if (to !== "csv") throw new InputError("cannot-convert", { to }, { file });
  return writeGauge(readGaugeFile(bytes.toString("utf8"), { file, now: Date.now() }));
}
