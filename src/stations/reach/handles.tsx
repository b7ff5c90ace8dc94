"use client";
import type { KeyboardEvent } from "react";
import type { Identified } from "../../core/flow/feature-ids";
import { placeOf } from "../../core/flow/features";
import { useHeldTouch } from "../../widgets/held-touch";
import { nudgeOf, usePlanDrag } from "./drag-point";
import { FeatureShape } from "./features";
import { objectName } from "./object-kinds";
import type { BedEditor } from "./use-bed-editor";

/** The objects of the bed, to be dragged, nudged by arrow keys and taken off by Delete. */
export function Handles({
  editor,
  scale,
  where,
}: {
  editor: BedEditor;
  scale: number;
  /** Where a place is by what can be seen. */
  where: (place: readonly [number, number]) => string;
}) {
  return (
    <g>
      {editor.held.map((feature) => (
        <Handle key={feature.id} feature={feature} editor={editor} scale={scale} where={where} />
      ))}
    </g>
  );
}

function Handle({
  feature,
  editor,
  scale,
  where,
}: {
  feature: Identified;
  editor: BedEditor;
  scale: number;
  /** Where a place is by what can be seen. */
  where: (place: readonly [number, number]) => string;
}) {
  const { id } = feature;
  const bind = usePlanDrag(
    scale,
    (by) => {
      editor.choose(id);
      if (by[0] === 0 && by[1] === 0) editor.endPreview();
      else editor.preview({ id, by });
    },
    (by) => {
      editor.preview({ id, by });
      editor.move(id, by);
    },
  );
  const [x, y] = placeOf(feature);
  const chosen = editor.chosen === id;
  const onKey = (event: KeyboardEvent) => {
    const step = nudgeOf(event);
    if (step) editor.move(id, step);
    else if (event.key === "Delete" || event.key === "Backspace") editor.remove(id);
    else if (event.key === "Enter" || event.key === " ") editor.choose(id);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const held = useHeldTouch();
  return (
    <g
      ref={held}
      {...bind()}
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      className="cursor-grab touch-none"
      aria-label={`${objectName(feature)}, ${where([x, y])}; arrow keys move it, Delete removes it`}
      onKeyDown={onKey}
      onFocus={() => editor.choose(id)}
    >
      <circle cx={x * scale} cy={y * scale} r={22} fill="transparent" />
      <FeatureShape feature={feature} scale={scale} />
      <circle
        cx={x * scale}
        cy={y * scale}
        r={chosen ? 13 : 9}
        fill="none"
        stroke={chosen ? "var(--ochre)" : "var(--paper)"}
        strokeWidth={chosen ? 3 : 2}
      />
    </g>
  );
}
