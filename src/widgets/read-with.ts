import type { z } from "zod";

/** Reads a field's text by a schema: its value, or what is wrong with it. */
export const readWith =
  <T>(schema: z.ZodType<T, string>) =>
  (text: string): { ok: true; value: T } | { ok: false; fault: string } => {
    const parsed = schema.safeParse(text);
    return parsed.success ? { ok: true, value: parsed.data } : { ok: false, fault: parsed.error.issues[0]!.message };
  };
