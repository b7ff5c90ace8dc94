import type { Caution } from "../core/gauge/cautions";
import { figureText, showText, type UnitSystem } from "./quantity";

/** A caution in the words that every station uses. */
export function cautionWords(caution: Caution, system: UnitSystem): string {
  switch (caution.kind) {
    case "rising":
      return `Rising fast, ${
        "ratePerHour" in caution
          ? `${figureText(caution.ratePerHour * 100, 0)} %`
          : showText(caution.metresPerHour, "stage", system)
      } an hour: leave the water, and go out by the way you know.`;
    case "very-high":
      return `Very high for the season${caution.rising ? ", and rising" : ""}: water like this is seen ${figureText(caution.exceedance * 100, 0)} % of the time. Stay out of the current, and off banks that it undercuts.`;
    case "thunder":
      return `Thunder: off the water, rod down, for another ${caution.minutesLeft} min after the clap you heard.`;
    case "dam":
      return `Dam above: ${caution.note}. Know the way out before you wade; when the water moves or colours, go.`;
    case "tide":
      return "The tide is making: know which bars it cuts off, and leave them first.";
    case "dark":
      return "Dark: stay out of water that you have not waded by day; a light, a staff, and somebody who knows where you are.";
    case "heat":
      return `${showText(caution.temperature, "temperature", system)}: leave trout and salmon alone in water this warm. Local rules stand.`;
    case "storm":
      return "Thunder is forecast for this hour: keep off the water; at the first clap go, rod down.";
    case "wind":
      return `Strong wind, up to ${showText(caution.speed, "wind", system)}: white caps on open water, branches down. No boat, and no wading where waves come in.`;
    case "frost":
      return `Frost, ${showText(caution.temperature, "temperature", system)}: ice on stones, banks and the rod’s rings. Never on to ice.`;
    case "cold":
      return `Cold water, ${showText(caution.temperature, "temperature", system)}: it takes breath and hands in minutes. Life jacket or dry layers, a staff and a belt, and not alone in high water.`;
  }
}
