import type { Conditions } from "../../scenario/conditions";
import { clarityClass } from "../../core/gauge/clarity";
import { showText, type UnitSystem } from "../../words/quantity";
import { count } from "../../words/text";

/** What another flow is read with: how clear it is taken to be, and why; and that the warmth is today's. */
export function readWithWords({ visibleDepth, temperature, clarityFrom }: Conditions, system: UnitSystem): string {
  const seen = `${clarityClass(visibleDepth).replace("-", " ")}, visible to ${showText(visibleDepth, "depth", system)}`;
  const when = clarityFrom.kind === "forecast" ? "as forecast" : "as today";
  return `Assumes ${seen} (${why(clarityFrom)}), at ${showText(temperature, "temperature", system)}, ${when}.`;
}

function why(from: Conditions["clarityFrom"]): string {
  if (from.kind === "forecast") return "as forecast for that hour";
  if (from.kind === "today") return "as today; too little data at this flow";
  if (from.kind === "usual") return "assumed; no reading";
  if (from.kind === "now") return "as read now";
  const { usual } = from;
  const limb = usual.limb === "rising" ? " when rising" : usual.limb === "falling" ? " when falling" : "";
  const whose = usual.from === "reading" ? "of your own" : "of the gauge";
  return `median of ${count(usual.readings, "reading")} ${whose} at this flow${limb}`;
}
