import { HOUR, indexAtOrBefore, type Parameter, type Series } from "./series";

/** A reading that leaps away and back while the other measure of the water stands still. */
export interface LoneJump {
  parameter: Parameter;
  /** ms */
  at: number;
  /** As read, and the middle of its two neighbours, in the unit of the series. */
  value: number;
  around: number;
}

/** What stands still when a measure leaps alone: the level for discharge, and the other way. */
const WITNESS: Partial<Record<Parameter, Parameter>> = { discharge: "stage", stage: "discharge" };

/**
 * A leap is of so much of its neighbours, which agree within so much; stage, whose zero is anybody's, leaps by so many
 * metres. The witness has moved less than so much. Neighbours are no farther off than that. Common practice, no source.
 */
const LEAP = { share: 0.4, agree: 0.1, stage: 0.3, stageAgree: 0.05, within: 3 * HOUR };
const STILL = { share: 0.05, stage: 0.02 };

/** Lone leaps of discharge and stage, in order of time; where only one of them is read nothing can be said. */
export function loneJumps(series: readonly Series[]): LoneJump[] {
  return series
    .flatMap((one) => {
      const witness = series.find(({ parameter }) => parameter === WITNESS[one.parameter]);
      return witness ? leapsOf(one, witness) : [];
    })
    .sort((a, b) => a.at - b.at);
}

function leapsOf({ parameter, times, values }: Series, witness: Series): LoneJump[] {
  const out: LoneJump[] = [];
  const read = [...values.keys()].filter((k) => !Number.isNaN(values[k]!));
  for (let n = 1; n < read.length - 1; n++) {
    const [before, k, after] = [read[n - 1]!, read[n]!, read[n + 1]!];
    if (times[after]! - times[before]! > LEAP.within) continue;
    const around = (values[before]! + values[after]!) / 2;
    const apart = Math.abs(values[after]! - values[before]!);
    const leap = Math.abs(values[k]! - around);
    const leaps =
      parameter === "stage"
        ? leap > LEAP.stage && apart < LEAP.stageAgree
        : leap > LEAP.share * Math.abs(around) && apart < LEAP.agree * Math.abs(around);
    if (leaps && standsStill(witness, times[before]!, times[after]!))
      out.push({ parameter, at: times[k]!, value: values[k]!, around });
  }
  return out;
}

/** Has the witness true readings over the stretch, and do they all lie together? */
function standsStill({ parameter, times, values }: Series, from: number, to: number): boolean {
  let [low, high, count] = [Infinity, -Infinity, 0];
  for (let k = Math.max(0, indexAtOrBefore({ times } as Series, from)); k < times.length && times[k]! <= to; k++) {
    const value = values[k]!;
    if (Number.isNaN(value) || from - times[k]! > LEAP.within) continue;
    [low, high, count] = [Math.min(low, value), Math.max(high, value), count + 1];
  }
  return count >= 2 && high - low <= (parameter === "stage" ? STILL.stage : STILL.share * high);
}

/** A series with some of its readings left out: they become gaps. */
export function leftOut(series: Series, jumps: readonly Pick<LoneJump, "parameter" | "at">[]): Series {
  const instants = new Set(jumps.filter(({ parameter }) => parameter === series.parameter).map(({ at }) => at));
  if (instants.size === 0) return series;
  return { ...series, values: series.values.map((value, k) => (instants.has(series.times[k]!) ? NaN : value)) };
}
