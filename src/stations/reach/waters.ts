import type { TemplateName } from "../../core/flow/template-waters";

/** The kinds of water that a reach can be made from. */
export const WATERS: Record<TemplateName, string> = {
  "riffle-run-pool": "Riffle, run and pool",
  bend: "Bend",
  "boulder-garden": "Boulder garden",
  "weed-glide": "Long glide with weed",
  "two-channels": "Ledge with two channels",
  "sand-bar": "Sand bar with stumps",
  backwater: "Mouth of a backwater",
  sluice: "Pool below a sluice",
  "tributary-mouth": "Mouth of a tributary",
};
