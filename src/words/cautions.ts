import type { Caution, CautionKind } from "../core/gauge/cautions";
import { speciesName } from "./species";
import { figureText, showText, type UnitSystem } from "./quantity";

const NAMES: Record<CautionKind, string> = {
  rising: "rising fast",
  "very-high": "very high water",
  thunder: "thunder",
  dam: "dam above",
  tide: "rising tide",
  dark: "dark",
  cold: "cold water",
  heat: "warm water",
  storm: "thunder forecast",
  wind: "strong wind",
  frost: "frost",
};

/** A caution in two words. */
export const cautionName = ({ kind }: Caution): string => NAMES[kind];

/** A caution in the words that every station uses. */
export function cautionWords(caution: Caution, system: UnitSystem): string {
  switch (caution.kind) {
    case "rising":
      return `Rising fast, ${
        "ratePerHour" in caution
          ? `${figureText(caution.ratePerHour * 100, 0)} %`
          : showText(caution.metresPerHour, "stage", system)
      } an hour: leave the water by the way you know.`;
    case "very-high":
      return `Very high for the season${caution.rising ? ", and rising" : ""}: only ${figureText(caution.exceedance * 100, 0)} % of days are this high. Stay out of the current and off undercut banks.`;
    case "thunder":
      return `Thunder: off the water, rod down, for another ${caution.minutesLeft} min.`;
    case "dam":
      return `Dam above: ${caution.note}. Know your way out before you wade. Leave when the water rises or colours.`;
    case "tide":
      return "The tide is coming in: leave bars that it cuts off first.";
    case "dark":
      return "Dark: don’t wade where you haven’t waded by day. Carry a light and a staff, and tell someone where you are.";
    case "heat":
      return `Water ${showText(caution.temperature, "temperature", system)}: too warm for ${speciesName(caution.fish).toLowerCase()}. Leave them until it cools. Local rules come first.`;
    case "storm":
      return "Thunder is forecast for this hour: stay off the water.";
    case "wind":
      return `Strong wind, up to ${showText(caution.speed, "wind", system)}: white caps and falling branches. No boat, no wading.`;
    case "frost":
      return `Frost, ${showText(caution.temperature, "temperature", system)}: stones and banks are icy. Never step onto ice.`;
    case "cold":
      return `Cold water, ${showText(caution.temperature, "temperature", system)}: it numbs hands in minutes. Wear a wading belt or life jacket, and don’t wade alone.`;
  }
}
