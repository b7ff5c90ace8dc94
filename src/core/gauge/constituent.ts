import { z } from "zod";
import { between } from "../quantity/checks";

/**
 * A harmonic constituent of a water's tide: its usual name (M2, S2, O1 ...), amplitude, m, and phase lag against UTC
 * (Greenwich), degrees.
 */
export const constituentSchema = z.strictObject({
  name: z.string().regex(/^[A-Z0-9a-z()]{1,8}$/),
  amplitude: between(0, 20),
  phase: between(-360, 360),
});
export type Constituent = z.infer<typeof constituentSchema>;
