import { expose } from "comlink";
import { type Answer, answer } from "../core/answer";
import type { Field } from "../core/flow/grid";
import { type Reading, type ReadOptions, readWater } from "../core/lies/read";
import { adviseRig, type RigAdvice, type RigRequest } from "../core/rig/advise";
import type { UnitSystem } from "../core/quantity/units";

const api = {
  read: (field: Field, options: ReadOptions): Answer<Reading> => answer(() => readWater(field, options)),
  rig: (request: RigRequest, system: UnitSystem): Answer<RigAdvice> => answer(() => adviseRig(request, system)),
};

export type ReadApi = typeof api;
expose(api);
