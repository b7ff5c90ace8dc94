"use client";
import type { UnitSystem } from "../../words/quantity";
import type { Template } from "../../core/flow/reach-schema";
import { useState } from "react";
import { centreline, templateSize } from "../../core/flow/template";
import { showText } from "../../words/quantity";
import { DragPoint } from "./drag-point";
import type { BedEditor } from "./use-bed-editor";

type Measures = Pick<Template, "length" | "width" | "wiggle">;

/** Least measures a drag may leave, m. */
const LEAST = { length: 20, width: 3, wiggle: 0 };
const rounded = (value: number, least: number): number => Math.max(least, Number(value.toFixed(1)));

/**
 * Handles of a template on the plan: its foot for the length, its right edge for the width, its first swing for the
 * bend; a dashed outline shows what it will be.
 */
export function TemplateHandles({
  template,
  scale,
  system,
  editor,
}: {
  template: Template;
  scale: number;
  system: UnitSystem;
  editor: BedEditor;
}) {
  const [draft, setDraft] = useState<Measures | undefined>();
  const { length, width, wiggle } = template;
  const centre = (x: number) => centreline(template, x);
  const handles: {
    key: keyof Measures;
    label: string;
    place: [number, number];
    value: (place: readonly [number, number]) => number;
    icon: string;
  }[] = [
    {
      key: "length",
      label: `Reach length, ${showText(length, "distance", system)}`,
      place: [length - 3, centre(length)],
      value: ([x]) => x + 3,
      icon: "M-5 0H5M1 -4 5 0 1 4",
    },
    {
      key: "width",
      label: `Channel width, ${showText(width, "distance", system)}`,
      place: [length / 2, centre(length / 2) + width / 2],
      value: ([, y]) => 2 * (y - centre(length / 2)),
      icon: "M0 -5V5M-4 -1 0 -5 4 -1M-4 1 0 5 4 1",
    },
    {
      key: "wiggle",
      label: `Meander amplitude, ${showText(wiggle, "distance", system)}`,
      place: [length / 4, centre(length / 4)],
      value: ([, y]) => wiggle - (y - centre(length / 4)),
      icon: "M-6 3C-3 -6 3 -6 6 3",
    },
  ];
  const changed = (key: keyof Measures, value: number): Measures => ({
    length,
    width,
    wiggle,
    [key]: rounded(value, LEAST[key]),
  });
  return (
    <g>
      {draft && <Outline template={{ ...template, ...draft }} from={template} scale={scale} />}
      {handles.map(({ key, label, place, value, icon }) => (
        <DragPoint
          key={key}
          place={place}
          scale={scale}
          label={label}
          onDrag={(at) => {
            const next = changed(key, value(at));
            setDraft(next);
            editor.preview({ [key]: next[key] });
          }}
          onCancel={() => {
            setDraft(undefined);
            editor.endPreview();
          }}
          onDrop={(at) => {
            setDraft(undefined);
            editor.reshape({ [key]: changed(key, value(at))[key] });
          }}
        >
          <rect
            x={-11}
            y={-11}
            width={22}
            height={22}
            rx={5}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
          <path
            d={icon}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.8}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        </DragPoint>
      ))}
    </g>
  );
}

/** The edges of the channel as they will be, about the same middle. */
function Outline({ template, from, scale }: { template: Template; from: Template; scale: number }) {
  const shift = (templateSize(from).breadth - templateSize(template).breadth) / 2;
  const edge = (side: 1 | -1) =>
    Array.from({ length: 61 }, (_, k) => (k / 60) * template.length)
      .map(
        (x, k) =>
          `${k ? "L" : "M"}${(x * scale).toFixed(1)} ${((centreline(template, x) + shift + (side * template.width) / 2) * scale).toFixed(1)}`,
      )
      .join("");
  return <path d={`${edge(-1)}${edge(1)}`} fill="none" stroke="var(--ochre)" strokeWidth={2} strokeDasharray="7 4" />;
}
