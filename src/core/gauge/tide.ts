import { createTidePredictor } from "@neaps/tide-predictor";
import { type Constituent, constituentSchema } from "./constituent";
import { numberIn } from "../quantity/number";
import { InputError } from "../quantity/fault";
import { tideBetween, type TideState, type TideTurn } from "./tide-state";

/** High and low waters between two instants, by the harmonic method (Schureman 1958; the tide-predictor library). */
export function tideTurns(constituents: readonly Constituent[], from: number, to: number): TideTurn[] {
  if (constituents.length === 0) return [];
  return predictor(constituents)
    .getExtremesPrediction({ start: new Date(from), end: new Date(to) })
    .map((turn): TideTurn => ({ time: turn.time.getTime(), high: turn.high, level: turn.level }));
}

const predictor = (constituents: readonly Constituent[]) =>
  createTidePredictor(constituents.map((one) => ({ ...one })));

/** Flooding, ebbing or slack at an instant, and the turn to come; null without a turn in the next day and a half. */
export const tideAt = (constituents: readonly Constituent[], at: number): TideState | null =>
  tideBetween(tideTurns(constituents, at - 36 * 3_600_000, at + 36 * 3_600_000), at);

/**
 * Reads what an angler types or pastes: a line each, name, amplitude (in units of `unit` m), phase (degrees), parted by
 * spaces, commas or semicolons.
 */
export function readConstituents(text: string, unit = 1): Constituent[] {
  const out: Constituent[] = [];
  text.split(/\r?\n/).forEach((line, index) => {
    const trimmed = line.trim();
    if (trimmed === "" || trimmed.startsWith("#") || /^name\b/i.test(trimmed)) return;
    const [name = "", amplitude = "", phase = ""] = trimmed.split(/[\s,;]+/);
    const parsed = constituentSchema.safeParse({
      name,
      amplitude: Number((numberIn(amplitude) * unit).toPrecision(8)),
      phase: numberIn(phase),
    });
    if (!parsed.success) throw new InputError("bad-constituent", { number: index + 1 }, { line: index + 1 });
    out.push(parsed.data);
  });
  return out;
}
