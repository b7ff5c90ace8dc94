import type { FieldReading } from "../core/book/records";
import { levelWords } from "./level-marks";
import { showText, type UnitSystem } from "./quantity";

/** What was read, in a few words: "visible to 0.80 m", "water 12.3 °C", "water 12 cm over “staff”". */
export function ownReadingWords(
  { kind, value, error, mark = "" }: Pick<FieldReading, "kind" | "value" | "error" | "mark">,
  system: UnitSystem,
): string {
  if (kind === "clarity") return `visible to ${showText(value, "depth", system)}`;
  if (kind === "temperature") return `water ${showText(value, "temperature", system)}`;
  if (kind === "level") return levelWords({ level: value, mark }, system);
  return `${showText(value, "discharge", system)}${error === null ? "" : ` ±${Math.round(error * 100)} %`}`;
}

/** The same on a plan, where there is room for a figure alone: "12.3 °C", "+12 cm", "sight 0.80 m". */
export function shortReading({ kind, value }: Pick<FieldReading, "kind" | "value">, system: UnitSystem): string {
  if (kind === "clarity") return `sight ${showText(value, "depth", system)}`;
  if (kind === "temperature") return showText(value, "temperature", system);
  if (kind === "level") return `${value < 0 ? "−" : "+"}${showText(Math.abs(value), "smallLength", system)}`;
  return showText(value, "discharge", system);
}
