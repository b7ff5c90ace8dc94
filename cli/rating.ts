import { readPairs } from "../src/core/formats/rating-csv";
import { fitRating } from "../src/core/gauge/rating";
import { messageText } from "../src/words/messages";
import { only, readText } from "./arguments";
import type { Command } from "./command";

export const rating: Command = {
  usage: "FILE.csv",
  about: `Fits Q = C (h - h0)^b to measured pairs: a CSV with a stage and a discharge column (units in the header; m and m3/s without).
Output: C, h0, b, standardError, count, maxGauged, rejected[], lines. standardError is that of ln Q (n - 3 degrees of freedom; null with three pairs).`,
  options: {},
  run: (args) => {
    const file = only(args, "a CSV of stage and discharge");
    const { gaugings, rejected, lines } = readPairs(readText(file), file);
    return {
      ...fitRating(gaugings),
      lines,
      rejected: rejected.map(({ line, reason }) => ({ line, reason: messageText(reason) })),
    };
  },
};
