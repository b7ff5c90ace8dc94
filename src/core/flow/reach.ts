import { InputError } from "../quantity/fault";
import { refuse } from "../quantity/issue";
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
  const parsed = reachSchema.safeParse(data);
  if (!parsed.success) refuse(parsed.error, "bad-reach", { file });
  const reach = parsed.data;
  if (reach.bed.kind === "grid") {
    const cells = reach.bed.nx * reach.bed.ny;
    if (reach.bed.z.length !== cells)
      throw new InputError(
        "bed-count",
        { length: reach.bed.z.length, nx: reach.bed.nx, ny: reach.bed.ny, cells },
        { file, path: "bed.z" },
      );
    if (Array.isArray(reach.roughness) && reach.roughness.length !== cells)
      throw new InputError("roughness-count", { length: reach.roughness.length, cells }, { file, path: "roughness" });
  } else if (Array.isArray(reach.roughness)) {
    throw new InputError(
      "roughness-array",
      {},
      {
        file,
        path: "roughness",
      },
    );
  }
  if (reach.bed.kind === "template" && (2 * Math.PI * reach.bed.wiggle) / reach.bed.length > STEEPEST_SWING) {
    throw new InputError(
      "swing-folds",
      { wiggle: reach.bed.wiggle, length: reach.bed.length },
      { file, path: "bed.wiggle" },
    );
  }
  return reach;
}

function lineOfJsonError(text: string, error: Error): number | undefined {
  const position = /position (\d+)/.exec(error.message);
  return position ? text.slice(0, Number(position[1])).split("\n").length : undefined;
}
