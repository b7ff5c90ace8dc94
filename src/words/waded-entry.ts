import { z } from "zod";
import { waderDepth } from "../core/trace/wader-depth";

/** A depth in any unit or by a wader's own body, so tall, m; a bare number is in the unit. */
export const wadedEntry = (unit: string, height: number) =>
  z.string().transform((text, context) => {
    const depth = waderDepth(/[a-z]/i.test(text) ? text : `${text} ${unit}`, height);
    if (depth !== undefined) return depth;
    context.addIssue({ code: "custom", message: "Enter a depth, such as 0.6 m, 2 ft or knee." });
    return z.NEVER;
  });

/** What such a field takes besides numbers. */
export const WADED_HINT = "Or ankle, shin, knee, thigh, waist, chest";
