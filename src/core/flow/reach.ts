import { InputError } from "../quantity/fault";
import { refuse } from "../quantity/issue";
import type { Message } from "../quantity/message";
import { type Reach, reachSchema } from "./reach-schema";

/** Reads a reach from its JSON text; every fault is located by its path. */
export function readReach(text: string, file?: string): Reach {
  if (text.trim() === "") throw new InputError("empty-file", {}, { file });
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new InputError(
      "not-json",
      { message: (error as Error).message },
      {
        file,
        line: lineOfJsonError(text, error as Error),
      },
    );
  }
  return checkReach(data, file);
}

/** Steepest slope of the centreline against the reach's axis. Common practice, no source. */
const STEEPEST_SWING = 1.2;

export function checkReach(data: unknown, file?: string): Reach {
  if (data && typeof data === "object" && !("downstream" in data && data.downstream)) {
    throw new InputError("no-outlet", {}, { file, path: "downstream" });
  }
  const parsed = reachSchema.safeParse(data, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-reach", { file });
  const unfit = unfitReach(parsed.data);
  if (unfit) throw new InputError(unfit.code, unfit.values, { file, path: unfit.path });
  return parsed.data;
}

/** What does not fit together in a reach whose fields are each as they should be; null where all does. */
export function unfitReach({
  bed,
  roughness,
}: Reach): { code: string; values: Message["values"]; path: string } | null {
  if (bed.kind === "grid") {
    const cells = bed.nx * bed.ny;
    for (const [path, { length }] of [
      ["bed.z", bed.z],
      ["bed.deviation", bed.deviation ?? bed.z],
    ] as const)
      if (length !== cells) return { code: "bed-count", values: { length, nx: bed.nx, ny: bed.ny, cells }, path };
    if (Array.isArray(roughness) && roughness.length !== cells)
      return { code: "roughness-count", values: { length: roughness.length, cells }, path: "roughness" };
  } else if (Array.isArray(roughness)) return { code: "roughness-array", values: {}, path: "roughness" };
  if (bed.kind === "template" && (2 * Math.PI * bed.wiggle) / bed.length > STEEPEST_SWING)
    return { code: "swing-folds", values: { wiggle: bed.wiggle, length: bed.length }, path: "bed.wiggle" };
  return null;
}

function lineOfJsonError(text: string, error: Error): number | undefined {
  const position = /position (\d+)/.exec(error.message);
  return position ? text.slice(0, Number(position[1])).split("\n").length : undefined;
}
