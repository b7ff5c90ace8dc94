import type { LiePlace, Whereabouts } from "../core/fish/lie-place";
import { showText, type UnitSystem } from "./quantity";
import type { BreakName } from "../core/water/cover";

const BREAKS = { stone: "stone", wood: "log jam", wall: "wall" } as const;

/** "the split stone", "the log jam". */
export const breakName = (one: BreakName): string => `the ${one.name ?? BREAKS[one.kind]}`;

const PARTS = {
  corner: "Corner facing the current",
  slot: "Slot below the riffle",
  ledge: "On the ledge",
  "bottom-edge": "Where hard bottom meets soft",
  head: "Head of the pool",
  tail: "Tail of the pool",
  deep: "Deep of the pool",
  "riffle-pocket": "Pocket in the riffle",
  run: "Even run",
} as const;

/** What a lie is called by. */
export function placeWords(place: LiePlace): string {
  switch (place.kind) {
    case "above":
      return `Cushion above ${breakName(place.break)}`;
    case "below":
      return `Slack below ${breakName(place.break)}`;
    case "behind":
      return `Behind ${breakName(place.break)}`;
    case "beside":
      return `Beside ${breakName(place.break)}`;
    case "seam-edge":
      return `Edge of the fast water, slack on the ${place.side}`;
    case "seam-off":
      return `Seam off ${breakName(place.break)}`;
    case "bank-edge":
      return `Soft edge by the ${place.side} bank`;
    default:
      return PARTS[place.kind];
  }
}

/** Where a place is by what can be seen: "4 m off the right bank, 2 m below the split stone". */
export function whereaboutsWords({ bank, mark }: Whereabouts, system: UnitSystem): string {
  const text = (distance: number) => showText(distance, "distance", system);
  const parts = [
    bank && (bank.distance < 0.5 ? `at the ${bank.side} bank` : `${text(bank.distance)} off the ${bank.side} bank`),
    mark &&
      (mark.way === "beside"
        ? `level with ${breakName(mark.break)}, ${text(mark.distance)} from it`
        : `${text(mark.distance)} ${mark.way} ${breakName(mark.break)}`),
  ];
  return parts.filter((part) => part !== null).join(", ");
}
