"use client";
import { useState } from "react";
import type { Template } from "../../core/flow/reach";
import { entryUnit, showText } from "../../core/quantity/show";
import { parseQuantity, type UnitSystem } from "../../core/quantity/units";
import { TextField } from "../../ui/parts";

export const MEASURES = {
  length: "Length",
  width: "Width of the channel",
  poolDepth: "Deepest part under the crest by",
  wiggle: "Swing to each side",
} as const;
type Key = keyof typeof MEASURES;

/** The measures of a template in words, the handles' twin: kept when the field is left. */
export function TemplateMeasures({
  template,
  system,
  onChange,
}: {
  template: Template;
  system: UnitSystem;
  onChange: (change: Partial<Omit<Template, "kind">>) => void;
}) {
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<Record<string, string>>({});
  const type = (key: string, text: string) => {
    setTexts({ ...texts, [key]: text });
    setFaults({ ...faults, [key]: "" });
  };
  const keep = (key: Key | "slope") => {
    const text = texts[key];
    if (text === undefined) return;
    const fall = Number(text.replace(",", ".")) / 1000;
    const parsed =
      key === "slope"
        ? fall > 0
          ? { ok: true as const, value: fall }
          : { ok: false as const, message: "Give a number above 0." }
        : parseQuantity(text, "length", entryUnit(key === "poolDepth" ? "depth" : "distance", system));
    if (!parsed.ok) return setFaults({ ...faults, [key]: parsed.message });
    setTexts(Object.fromEntries(Object.entries(texts).filter(([one]) => one !== key)));
    if (Math.abs(parsed.value - template[key]) > 1e-6) onChange({ [key]: parsed.value });
  };
  const field = (key: Key | "slope", label: string, shown: string) => (
    <TextField
      key={key}
      label={label}
      className="w-44"
      value={texts[key] ?? shown}
      error={faults[key]}
      onChange={(event) => type(key, event.target.value)}
      onBlur={() => keep(key)}
      onKeyDown={(event) => event.key === "Enter" && keep(key)}
    />
  );
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3">
      {(Object.keys(MEASURES) as Key[]).map((key) =>
        field(key, MEASURES[key], showText(template[key], key === "poolDepth" ? "depth" : "distance", system)),
      )}
      {field("slope", "Fall, m in a kilometre", String(Number((template.slope * 1000).toFixed(2))))}
    </div>
  );
}
