import { InputError } from "../src/core/errors";
import { type GaugeFormat, readGaugeFile } from "../src/core/formats/gauge-file";
import { summariseGauge } from "../src/core/gauge/summary";
import { instantOption, only, readText } from "./arguments";
import type { Command } from "./commands";

const FORMATS = ["auto", "csv", "rdb"];

export const gauge: Command = {
  usage: "FILE [--format auto|csv|rdb] [--at ISO] [--zone IANA]",
  about: `Reads a gauge file and says what the river is doing. Output: station, series[], rejected[], codes, notes, now, recession.
exceedance is the fraction (0..1) of the season's record at or above the discharge; ratePerHour is d(ln Q)/dt, 1/h.
Times without an offset are read in --zone, or as UTC. Bad lines are listed in rejected; agency codes such as Ice count as missing.`,
  options: { format: true, at: true, zone: true },
  run: (args) => {
    const file = only(args, "a gauge file");
    const format = args.values.format ?? "auto";
    if (!FORMATS.includes(format)) throw new InputError("unknown-format", `--format must be one of ${FORMATS.join(", ")}.`, { path: "--format" });
    const at = instantOption(args, "at");
    const record = readGaugeFile(readText(file), { format: format as GaugeFormat, zone: args.values.zone, file });
    const { station, series, now, recession } = summariseGauge(record, at);
    return { station, series, rejected: record.rejected, codes: record.codes, notes: record.notes, now, recession };
  },
};
