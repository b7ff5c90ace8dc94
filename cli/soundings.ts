import { readSoundings } from "../src/core/formats/soundings-file";
import { layReach } from "../src/core/flow/lay";
import { checkReach } from "../src/core/flow/reach";
import { survey } from "../src/core/flow/survey";
import { numberOption, only, readText } from "./arguments";
import type { Command } from "./commands";

export const soundings: Command = {
  usage: "FILE [--fall M_PER_M] [--heading DEGREES] [--hang M] [--join M] [--cell M] [--roughness N] [--keep-odd]",
  about: `Lays soundings (CSV, GPX, GeoJSON or an NMEA 0183 log) out as a reach. Output: reach (low-heron/reach@1, its bed of kind soundings), heading, length, breadth, spacing, density, join, gapShare, odd, rejected[], notes.
--fall is that of the water's surface, m per m (0.002 where not given); --heading is where the river runs to, degrees from north (without it the longest axis, from the first sounding to the last); --hang is how deep the transducer hangs, m.`,
  options: { fall: true, heading: true, hang: true, join: true, cell: true, roughness: true, "keep-odd": false },
  run: (args) => {
    const file = only(args, "a file of soundings");
    const read = readSoundings(readText(file), file);
    const optional = (name: string) => (args.values[name] === undefined ? undefined : numberOption(args, name));
    const fall = numberOption(args, "fall", 0.002);
    const { bed, heading, length, breadth, spacing, density, join, gaps, odd } = survey(read, {
      fall,
      heading: optional("heading"),
      hang: numberOption(args, "hang", 0),
      join: optional("join"),
      cell: optional("cell"),
      keepOdd: args.flags.has("keep-odd"),
    });
    const reach = checkReach(
      {
        schema: "low-heron/reach@1",
        id: "soundings",
        name: file,
        bed,
        roughness: numberOption(args, "roughness", 0.035),
        downstream: { kind: "normal", slope: fall },
      },
      file,
    );
    layReach(reach); // what cannot be laid is told now
    return {
      reach,
      heading,
      length,
      breadth,
      spacing,
      density,
      join,
      gapShare: gaps.share,
      odd,
      rejected: read.rejected,
      notes: read.notes,
    };
  },
};
