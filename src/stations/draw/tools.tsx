"use client";
import { Check, Redo2, Undo2 } from "lucide-react";
import { MARK_NAMES, markKind, type MarkName } from "../../core/trace/marks";
import { endLine, redoDrawing, takeTool, undoDrawing, useDrawing } from "../../state/drawing";
import { Button } from "../../widgets/button";
import { MARK_WORDS } from "../../words/drawing";

const GROUPS: readonly { name: string; kinds: readonly MarkName[] }[] = [
  { name: "The water", kinds: ["left-bank", "right-bank", "middle", "width", "island"] },
  { name: "The bed", kinds: ["depth", "riffle", "pool-head", "pool", "pool-tail", "deep-side"] },
  {
    name: "What’s in it",
    kinds: MARK_NAMES.filter((kind) =>
      ["boulder", "log", "log-jam", "wall", "weed", "overhang", "undercut", "inflow"].includes(kind),
    ),
  },
];

/** What a tap draws, and the way back. */
export function Tools() {
  const { tool, open, past, future, drawing } = useDrawing();
  const line = drawing.marks.find((one) => one.id === open);
  const kind = tool === "move" || tool.startsWith("scale") ? undefined : (tool as MarkName);
  return (
    <section aria-label="Tools" className="mt-3">
      <div className="flex flex-wrap items-center gap-2">
        <Button disabled={past.length === 0} onClick={undoDrawing}>
          <Undo2 size={18} aria-hidden />
          Undo
        </Button>
        <Button disabled={future.length === 0} onClick={redoDrawing}>
          <Redo2 size={18} aria-hidden />
          Redo
        </Button>
        <Chip pressed={tool === "move"} onPress={() => takeTool("move")}>
          Select and move
        </Chip>
        {line && (
          <Button tone="next" onClick={endLine}>
            <Check size={18} aria-hidden />
            {markKind(line.kind).geometry === "area" ? "Close the shape" : "Finish the line"}
          </Button>
        )}
      </div>
      <p role="status" className="mt-2 min-h-6">
        {hintOf(tool, kind, line?.places.length)}
      </p>
      {GROUPS.map(({ name, kinds }) => (
        <div key={name} role="group" aria-label={name} className="mt-2">
          <p className="text-sm text-soft">{name}</p>
          <div className="mt-1 flex flex-wrap gap-2">
            {kinds.map((one) => (
              <Chip key={one} pressed={tool === one} onPress={() => takeTool(one)}>
                {MARK_WORDS[one].name}
              </Chip>
            ))}
          </div>
        </div>
      ))}
    </section>
  );
}

function hintOf(tool: string, kind: MarkName | undefined, places: number | undefined): string {
  if (tool.startsWith("scale")) return `Tap point ${tool === "scale-a" ? "A" : "B"} of the scale on the picture.`;
  if (!kind) return "Choose what to draw. Drag a point to move it.";
  return places === undefined
    ? MARK_WORDS[kind].how
    : `${MARK_WORDS[kind].name}: ${places} ${places === 1 ? "point" : "points"}.`;
}

function Chip({ pressed, onPress, children }: { pressed: boolean; onPress: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      onClick={onPress}
      className={`min-h-11 rounded-md border px-3 ${pressed ? "border-ink bg-ink text-paper" : "border-edge bg-paper hover:bg-deep"}`}
    >
      {children}
    </button>
  );
}
