"use client";
import type { Template } from "../../core/flow/reach-schema";
import { CommitField } from "../../widgets/commit-field";
import { numberEntry, quantityEntry } from "../../words/entry";
import { entryText, entryUnit, type UnitSystem } from "../../words/quantity";
import { readWith } from "../../widgets/read-with";

export const MEASURES = {
  length: "Length",
  width: "Channel width",
  poolDepth: "Pool depth below the crest",
  wiggle: "Meander amplitude",
} as const;

/** The gradient of a reach in thousandths: the same figure in both units. */
export const fallLabel = (system: UnitSystem): string =>
  system === "us" ? "Gradient, ft per 1000 ft" : "Gradient, m per km";

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
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3">
      {(Object.keys(MEASURES) as (keyof typeof MEASURES)[]).map((key) => {
        const kind = key === "poolDepth" ? "depth" : "distance";
        return (
          <CommitField
            key={key}
            label={MEASURES[key]}
            className="w-44"
            shown={entryText(template[key], kind, system)}
            read={readWith(quantityEntry("length", entryUnit(kind, system)))}
            onKeep={(value: number) => onChange({ [key]: value })}
          />
        );
      })}
      <CommitField
        label={fallLabel(system)}
        className="w-44"
        shown={String(Number((template.slope * 1000).toFixed(2)))}
        read={readWith(numberEntry({ low: 0, open: true, beyond: "Enter a number above 0." }))}
        onKeep={(value: number) => onChange({ slope: value / 1000 })}
      />
    </div>
  );
}
