import type { Feature, Template } from "../../core/flow/reach-schema";
import { centreline, templateSize } from "../../core/flow/template";

/** Stones spread down the run to both sides of its middle, and a jam on the pool's bank: common practice, no source. */
export function startingFeatures(template: Template, stones: number, jam: "left" | "right" | undefined): Feature[] {
  const { length, width } = template;
  const features = Array.from({ length: stones }, (_, k): Feature => {
    const x = length * (0.32 + (0.42 * k) / Math.max(1, stones - 1 || 1));
    const size = Math.max(1.6, width * (0.09 + 0.02 * (k % 3)));
    return {
      kind: "boulder",
      x,
      y: centreline(template, x) + width * 0.16 * (k % 2 ? 1 : -1),
      diameter: size,
      height: size * 0.45,
      name: `stone ${k + 1}`,
    };
  });
  if (jam) {
    const x = length * 0.58;
    const side = jam === "left" ? -1 : 1;
    const y = Math.min(templateSize(template).breadth, Math.max(0, centreline(template, x) + side * width * 0.38));
    features.push({
      kind: "log-jam",
      x,
      y,
      length: width * 0.32,
      width: Math.max(1.5, width * 0.11),
      angle: side * 65,
      height: template.poolDepth + 1,
      name: "log jam",
    });
  }
  return features;
}
