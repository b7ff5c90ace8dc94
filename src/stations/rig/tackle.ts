import { z } from "zod";
import { DENSITY, type Metal } from "../../core/rig/drag";
import { FLOAT_TACKLE } from "../../core/rig/float";
import { SHOTTINGS } from "../../core/rig/shot";
import type { OwnTackle } from "../../scenario/rig";
import { optional, quantityEntry } from "../../words/entry";
import { entryText, entryUnit, rangeText, type UnitSystem } from "../../words/quantity";

export const AUTO = "auto";
export const METALS: readonly Metal[] = ["tin", "tungsten", "bismuth", "lead"];

/** What the angler says of the tackle, from the fields to what the rig is worked out with. */
export const tackleSchema = (system: UnitSystem) =>
  z
    .object({
      capacity: optional(quantityEntry("mass", "g", { low: 0.0002, high: 0.03, beyond: "From 0.2 to 30 g." })),
      line: quantityEntry("length", "mm", { low: 0.00005, high: 0.002, beyond: "From 0.05 to 2 mm." }),
      leader: quantityEntry("length", entryUnit("depth", system), {
        low: 0.1,
        high: 3,
        beyond: rangeText(0.1, 3, "depth", system),
      }),
      metal: z.enum(Object.keys(DENSITY) as [Metal, ...Metal[]]),
      shotting: z.enum([AUTO, ...SHOTTINGS]),
    })
    .transform(({ capacity, line, leader, metal, shotting }): OwnTackle => ({
      tackle: { ...(capacity !== null && { capacity: capacity * 1000 }), lineDiameter: line, leader, metal },
      style: shotting === AUTO ? {} : { shotting },
    }));
export type TackleEntries = z.input<ReturnType<typeof tackleSchema>>;

/** The tackle to begin with, as it stands in the fields. */
export const tackleEntries = (system: UnitSystem): TackleEntries => ({
  capacity: "",
  line: "0.2 mm",
  leader: entryText(FLOAT_TACKLE.value.leader, "depth", system),
  metal: FLOAT_TACKLE.value.metal,
  shotting: AUTO,
});
