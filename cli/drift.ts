import { readReach } from "../src/core/flow/reach";
import { InputError } from "../src/core/quantity/fault";
import { driftThrough, parseDriftRequest } from "../src/scenario/drift";
import { readText } from "./arguments";
import type { Command } from "./command";
import { requestAsked } from "./request";
import { rigTold } from "./rig";
import { solveReach } from "./solve";

export const drift: Command = {
  usage: "REACH.json JSON",
  about: `Computes a drift through a solved reach: {discharge, cell?, from?: [x,y], landing: [x,y], rig: {method, species, tackle?, style?,
water?}, lie? (rank, 1), solve?}. The rig is for the lie's water unless you give water.
Output: path[]{t,x,y,z,bed} (m in the reach's own heights), contacts (touches of the bed), secondsInZone[]{lie,seconds},
mends, end. With solve: true it finds the landing (and float setting) that keeps the bait longest near the lie, cast
from where you can stand (from). atLie is the seconds of a cast at the lie itself.`,
  options: {},
  run: (args) => {
    const [file, json, more] = args.positional;
    if (file === undefined) throw new InputError("missing-argument", { what: "a reach file" });
    if (json === undefined) throw new InputError("missing-argument", { what: "a drift request" });
    if (more !== undefined) throw new InputError("too-many-arguments", { what: "a drift request" });
    const reach = readReach(readText(file), file);
    const request = parseDriftRequest(requestAsked(json));
    const field = solveReach({ reach, discharge: request.discharge, cell: request.cell ?? 1 }, args);
    const { advice, drift, secondsInZone, landing, from, way } = driftThrough(field, reach, request);
    return {
      discharge: field.discharge,
      verdict: field.verdict,
      path: drift.path,
      contacts: drift.contacts,
      mends: drift.mends,
      end: drift.end,
      secondsInZone,
      landing,
      from,
      ...("setting" in advice && { setting: advice.setting, holdBack: advice.holdBack }),
      ...(way && { seconds: way.cast.seconds, robust: way.cast.robust, atLie: way.cast.atLie }),
      rig: rigTold(advice),
    };
  },
};
