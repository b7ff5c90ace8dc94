import { expose } from "comlink";
import { type Fault, faultOf } from "../core/errors";
import { type GaugeFormat, readGaugeFile } from "../core/formats/gauge-file";
import type { GaugeFile } from "../core/formats/gauge-text";
import type { Field } from "../core/flow/grid";
import { type GaugeSummary, summariseGauge } from "../core/gauge/summary";
import { type Reading, type ReadOptions, readWater } from "../core/lies/read";
import { adviseRig, type RigAdvice, type RigRequest } from "../core/rig/advise";
import type { UnitSystem } from "../core/quantity/units";

export type Answer<T> = { ok: true; value: T } | { ok: false; fault: Fault };

function answer<T>(work: () => T): Answer<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    return { ok: false, fault: faultOf(error) };
  }
}

const api = {
  read: (field: Field, options: ReadOptions): Answer<Reading> => answer(() => readWater(field, options)),
  gauge: (text: string, options: { format?: GaugeFormat; zone?: string; file?: string }): Answer<{ file: GaugeFile; summary: GaugeSummary }> =>
    answer(() => {
      const file = readGaugeFile(text, options);
      return { file, summary: summariseGauge(file) };
    }),
  rig: (request: RigRequest, system: UnitSystem): Answer<RigAdvice> => answer(() => adviseRig(request, system)),
};

export type ReadApi = typeof api;
expose(api);
