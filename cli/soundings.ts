import { readSoundings } from "../src/core/formats/soundings-file";
import { rasteriseReach } from "../src/core/flow/rasterise";
import { checkReach } from "../src/core/flow/reach";
import { survey } from "../src/core/flow/survey";
import { messageText } from "../src/words/messages";
import { numberOption, only, readText } from "./arguments";
import type { Command } from "./command";

export const soundings: Command = {
  usage:
    "FILE [--slope M_PER_M] [--heading DEGREES] [--draft M] [--max-edge M] [--cell M] [--roughness N] [--keep-outliers]",
  about: `Lays soundings (CSV, GPX, GeoJSON or an NMEA 0183 log) out as a reach. Output: reach (low-heron/reach@1, its bed of kind soundings), heading, length, breadth, spacing, density, maximumEdge, gapShare, outliers, rejected[], lines, notes.
--slope is that of the water's surface, m per m (0.002 where not given); --heading is where the river runs to, degrees from north (without it the longest axis, from the first sounding to the last); --draft is the depth of the transducer under the surface, m; --max-edge is the longest side of a triangle that is believed, m; --keep-outliers keeps soundings that stand out from their neighbours.`,
  options: {
    slope: true,
    heading: true,
    draft: true,
    "max-edge": true,
    cell: true,
    roughness: true,
    "keep-outliers": false,
  },
  run: (args) => {
    const file = only(args, "a file of soundings");
    const read = readSoundings(readText(file), file);
    const optional = (name: string) => (args.values[name] === undefined ? undefined : numberOption(args, name));
    const slope = numberOption(args, "slope", 0.002);
    const { bed, heading, length, breadth, spacing, density, maximumEdge, gaps, outliers } = survey(read, {
      waterSurfaceSlope: slope,
      heading: optional("heading"),
      transducerDraft: numberOption(args, "draft", 0),
      maximumEdge: optional("max-edge"),
      cell: optional("cell"),
      keepOutliers: args.flags.has("keep-outliers"),
    });
    const reach = checkReach(
      {
        schema: "low-heron/reach@1",
        id: "soundings",
        name: file,
        bed,
        roughness: numberOption(args, "roughness", 0.035),
        downstream: { kind: "normal", slope },
      },
      file,
    );
    rasteriseReach(reach); // what cannot be laid is told now
    return {
      reach,
      heading,
      length,
      breadth,
      spacing,
      density,
      maximumEdge,
      gapShare: gaps.share,
      outliers,
      lines: read.lines,
      rejected: read.rejected.map(({ line, reason }) => ({ line, reason: messageText(reason) })),
      notes: read.notes.map((note) => messageText(note)),
    };
  },
};
