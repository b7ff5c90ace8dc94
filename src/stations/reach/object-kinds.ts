import type { Feature } from "../../core/flow/reach-schema";

/** What can be put on a bed. */
export const OBJECT_KINDS = {
  boulder: "Stone",
  pier: "Pier or post",
  log: "Log",
  "log-jam": "Log jam",
  wall: "Wall",
  patch: "Bottom patch",
  undercut: "Cut bank",
  overhang: "Overhanging tree",
} as const;
export type ObjectKind = keyof typeof OBJECT_KINDS;

export const objectName = (feature: Feature): string =>
  feature.name ?? (feature.kind === "patch" ? `Bottom: ${feature.substrate}` : OBJECT_KINDS[feature.kind]);

/** A new object at a place, of a usual size for a channel of that breadth, m. Common practice, no source. */
export function freshObject(kind: ObjectKind, x: number, y: number, breadth: number): Feature {
  const size = Math.max(1.5, 0.09 * breadth);
  switch (kind) {
    case "boulder":
      return { kind, x, y, diameter: size, height: 0.5 * size };
    case "pier":
      return { kind, x, y, diameter: size, height: 4 };
    case "log":
      return { kind, x, y, length: 4 * size, width: 1, angle: 60, height: 0.6 };
    case "log-jam":
      return { kind, x, y, length: 3.5 * size, width: 1.4 * size, angle: 60, height: 2.5 };
    case "wall":
      return { kind, x, from: 0, to: 0.4 * breadth, thickness: 1, height: 3 };
    case "patch":
      return { kind, x, y, length: 5 * size, width: 2.5 * size, angle: 0, substrate: "weed" };
    default:
      return { kind, x, y, length: 5 * size, width: 1.5, angle: 0 };
  }
}
