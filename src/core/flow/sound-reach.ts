import { withFeatureIds } from "./feature-ids";
import { rasteriseReach } from "./rasterise";
import { checkReach } from "./reach";
import type { Reach } from "./reach-schema";

/** A reach that can be laid, with ids on its objects. @throws InputError, located, otherwise */
export function soundReach(reach: Reach): Reach {
  const checked = withFeatureIds(checkReach(reach));
  rasteriseReach(checked);
  return checked;
}
