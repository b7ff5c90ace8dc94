import type { Reach, Template } from "./reach-schema";
import { moved, placeOf } from "./features";
import { checkReach } from "./reach";
import { centreline, templateSize } from "./template";

/**
 * A reach of a template with some of its measures changed: objects keep their place by share of its length and of its
 * width; a normal slope follows the fall.
 */
export function reshaped(reach: Reach, change: Partial<Omit<Template, "kind">>): Reach {
  const { bed } = reach;
  if (bed.kind !== "template") return reach;
  const next: Template = { ...bed, ...change };
  const size = templateSize(next);
  const features = reach.features?.map((feature) => {
    const [x, y] = placeOf(feature);
    const toX = (x / bed.length) * next.length;
    const toY = centreline(next, toX) + ((y - centreline(bed, x)) / bed.width) * next.width;
    return moved(feature, toX - x, toY - y, [size.length, size.breadth]);
  });
  const downstream =
    reach.downstream.kind === "normal" && reach.downstream.slope === bed.slope
      ? { ...reach.downstream, slope: next.slope }
      : reach.downstream;
  return checkReach({ ...reach, bed: next, downstream, ...(features ? { features } : {}) });
}
