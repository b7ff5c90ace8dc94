"use client";
import { useState, type KeyboardEvent, type PointerEvent } from "react";
import { moved, placeOf } from "../../core/flow/features";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { nudgeOf } from "./drag-point";
import { FeatureShape } from "./features";
import { objectName } from "./objects";
import type { ObjectEditor } from "./use-objects";

/** The objects of the bed, to be dragged, nudged by arrow keys and taken off by Delete. */
export function Handles({
  editor,
  scale,
  size,
  system,
}: {
  editor: ObjectEditor;
  scale: number;
  size: readonly [number, number];
  system: UnitSystem;
}) {
  const [drag, setDrag] = useState<{ index: number; from: [number, number]; by: [number, number] } | undefined>();
  const onKey = (event: KeyboardEvent, index: number) => {
    const feature = editor.features[index]!;
    const by = nudgeOf(event);
    if (by) editor.change(index, moved(feature, by[0], by[1], size));
    else if (event.key === "Delete" || event.key === "Backspace") editor.remove(index);
    else if (event.key === "Enter" || event.key === " ") editor.choose(index);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const grab = (event: PointerEvent<SVGGElement>, index: number) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    editor.choose(index);
    setDrag({ index, from: [event.clientX, event.clientY], by: [0, 0] });
  };
  const move = (event: PointerEvent) =>
    setDrag(
      (now) => now && { ...now, by: [(event.clientX - now.from[0]) / scale, (event.clientY - now.from[1]) / scale] },
    );
  const drop = () => {
    if (drag && Math.hypot(...drag.by) * scale > 2)
      editor.change(drag.index, moved(editor.features[drag.index]!, drag.by[0], drag.by[1], size));
    setDrag(undefined);
  };
  return (
    <g>
      {editor.features.map((own, index) => {
        const feature = drag?.index === index ? moved(own, drag.by[0], drag.by[1], size) : own;
        const [x, y] = placeOf(feature);
        const chosen = editor.chosen === index;
        return (
          <g
            key={index}
            role="button"
            tabIndex={0}
            aria-pressed={chosen}
            className="cursor-grab touch-none"
            aria-label={`${objectName(feature)}, ${showText(x, "distance", system)} down the reach, ${showText(y, "distance", system)} from its left edge; arrow keys move it, Delete takes it off`}
            onPointerDown={(event) => grab(event, index)}
            onPointerMove={drag?.index === index ? move : undefined}
            onPointerUp={drop}
            onPointerCancel={() => setDrag(undefined)}
            onKeyDown={(event) => onKey(event, index)}
            onFocus={() => editor.choose(index)}
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
      })}
    </g>
  );
}
