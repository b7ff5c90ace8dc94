import type { Conditions } from "../../scenario/conditions";
import { clarityClass } from "../../core/gauge/clarity";
import { showText, type UnitSystem } from "../../words/quantity";
import { count } from "../../words/text";

/** What another flow is read with: how clear it is taken to be, and why; and that the warmth is today's. */
export function readWithWords({ visibleDepth, temperature, clarityFrom }: Conditions, system: UnitSystem): string {
  const seen = `${clarityClass(visibleDepth).replace("-", " ")}, the bed seen to ${showText(visibleDepth, "depth", system)}`;
  const when = clarityFrom.kind === "forecast" ? "as forecast" : "as today";
  return `Read as ${seen} (${why(clarityFrom)}), at ${showText(temperature, "temperature", system)}, ${when}.`;
}

function why(from: Conditions["clarityFrom"]): string {
  if (from.kind === "forecast") return "as forecast for that hour";
  if (from.kind === "today") return "as today: the record says too little of this flow";
  if (from.kind === "usual") return "taken for granted: no reading tells";
  if (from.kind === "now") return "as read now";
  const { usual } = from;
  const limb = usual.limb === "rising" ? " on the rise" : usual.limb === "falling" ? " on the fall" : "";
  const whose = usual.from === "reading" ? "of your own" : "of the gauge";
  return `the middle of ${count(usual.readings, "reading")} ${whose} at such a flow${limb}`;
}
