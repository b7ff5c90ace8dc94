"use client";
import { Plus, Trash2, Undo2 } from "lucide-react";
import { useState } from "react";
import type { Feature } from "../../core/flow/reach";
import { SUBSTRATES } from "../../core/flow/substrate";
import { entryUnit, showText } from "../../core/quantity/show";
import { parseQuantity, type UnitSystem } from "../../core/quantity/units";
import { Button, FaultNote, Select, TextField } from "../../ui/parts";
import { Readings } from "./readings";
import { TemplateMeasures } from "./template-measures";
import type { ObjectEditor } from "./use-objects";

const KINDS = {
  boulder: "Stone",
  pier: "Pier or post",
  log: "Log",
  "log-jam": "Log jam",
  wall: "Wall",
  patch: "Patch of bottom",
  undercut: "Cut bank",
  overhang: "Overhanging tree",
} as const;
type Kind = keyof typeof KINDS;

export const objectName = (feature: Feature): string =>
  feature.name ?? (feature.kind === "patch" ? `Patch of ${feature.substrate}` : KINDS[feature.kind]);

/**
 * A new object in the middle of what is seen, of a usual size for a channel of that breadth. Common practice, no
 * source.
 */
function fresh(kind: Kind, x: number, y: number, breadth: number): Feature {
  const size = Math.max(1.5, 0.09 * breadth);
  switch (kind) {
    case "boulder":
      return { kind, x, y, diameter: size, height: 0.5 * size };
    case "pier":
      return { kind, x, y, diameter: size, height: 4 };
    case "log":
      return { kind, x, y, length: 4 * size, width: 1, angle: 60, height: 0.6 };
    case "log-jam":
      return { kind, x, y, length: 3.5 * size, width: 1.4 * size, angle: 60, height: 2.5 };
    case "wall":
      return { kind, x, from: 0, to: 0.4 * breadth, thickness: 1, height: 3 };
    case "patch":
      return { kind, x, y, length: 5 * size, width: 2.5 * size, angle: 0, substrate: "weed" };
    default:
      return { kind, x, y, length: 5 * size, width: 1.5, angle: 0 };
  }
}

const SIZES: Record<string, string> = {
  diameter: "Across",
  length: "Length",
  width: "Width",
  height: "Height over the bed",
  thickness: "Thickness",
  from: "From the left edge",
  to: "To",
};

/** The list of objects and the chosen one's measures: the plan's twin, for keys and screen readers. */
export function Objects({
  editor,
  length,
  breadth,
  system,
}: {
  editor: ObjectEditor;
  length: number;
  breadth: number;
  system: UnitSystem;
}) {
  const [kind, setKind] = useState<Kind>("boulder");
  const chosen = editor.chosen === undefined ? undefined : editor.features[editor.chosen];
  return (
    <section aria-label="Shape the bed" className="my-3 rounded-md border border-line p-4">
      <div className="flex flex-wrap items-end gap-2">
        <Select
          label="Put in"
          className="w-48"
          value={kind}
          onChange={(value) => setKind(value as Kind)}
          choices={Object.entries(KINDS).map(([value, label]) => ({ value, label }))}
        />
        <Button onClick={() => editor.add(fresh(kind, length / 2, breadth / 2, breadth))}>
          <Plus size={18} aria-hidden />
          Put it in
        </Button>
        <Button disabled={!editor.undo} onClick={editor.undo}>
          <Undo2 size={18} aria-hidden />
          Undo
        </Button>
        <p className="pb-2 text-sm text-soft">
          Drag an object on the plan, or move it by arrow keys. The flow is solved anew from what is there.
        </p>
      </div>
      {editor.template && <TemplateMeasures template={editor.template} system={system} onChange={editor.reshape} />}
      {editor.fault && (
        <div className="mt-3">
          <FaultNote message={editor.fault} todo="Nothing was changed." />
        </div>
      )}
      <ul className="mt-3 flex flex-wrap gap-2">
        {editor.features.map((feature, k) => (
          <li key={k}>
            <button
              type="button"
              aria-pressed={editor.chosen === k}
              onClick={() => editor.choose(k)}
              className={`min-h-10 rounded-md border px-3 ${editor.chosen === k ? "border-ink bg-ink text-paper" : "border-line hover:bg-deep"}`}
            >
              {objectName(feature)}
            </button>
          </li>
        ))}
      </ul>
      {editor.features.length === 0 && <p className="mt-2 text-soft">Nothing stands in this water yet.</p>}
      {chosen && editor.chosen !== undefined && (
        <Measures
          key={`${editor.chosen} ${JSON.stringify(chosen)}`}
          feature={chosen}
          system={system}
          onChange={(feature) => editor.change(editor.chosen!, feature)}
          onRemove={() => editor.remove(editor.chosen!)}
        />
      )}
      <Readings editor={editor} system={system} />
    </section>
  );
}

function Measures({
  feature,
  system,
  onChange,
  onRemove,
}: {
  feature: Feature;
  system: UnitSystem;
  onChange: (feature: Feature) => void;
  onRemove: () => void;
}) {
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<Record<string, string>>({});
  const own = feature as unknown as Record<string, number>;
  const keep = (key: string) => {
    const text = texts[key];
    if (text === undefined) return;
    const parsed = key === "angle" ? angle(text) : parseQuantity(text, "length", entryUnit("distance", system));
    if (!parsed.ok) return setFaults({ ...faults, [key]: parsed.message });
    if (!["from", "to", "angle"].includes(key) && parsed.value <= 0)
      return setFaults({ ...faults, [key]: "Give a size above 0." });
    onChange({ ...feature, [key]: parsed.value });
  };
  const field = (key: string, label: string, shown: string) => (
    <TextField
      key={key}
      label={label}
      className="w-32"
      value={texts[key] ?? shown}
      error={faults[key]}
      onChange={(event) => {
        setTexts({ ...texts, [key]: event.target.value });
        setFaults({ ...faults, [key]: "" });
      }}
      onBlur={() => keep(key)}
      onKeyDown={(event) => event.key === "Enter" && keep(key)}
    />
  );
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3">
      <TextField
        label="Name"
        className="w-40"
        maxLength={60}
        value={texts.name ?? feature.name ?? ""}
        onChange={(event) => setTexts({ ...texts, name: event.target.value })}
        onBlur={() => texts.name !== undefined && onChange({ ...feature, name: texts.name.trim() || undefined })}
      />
      {Object.entries(SIZES)
        .filter(([key]) => key in own)
        .map(([key, label]) => field(key, label, showText(own[key], "depth", system)))}
      {"angle" in feature && field("angle", "Turned, degrees", String(feature.angle))}
      {feature.kind === "patch" && (
        <Select
          label="Bottom"
          className="w-36"
          value={feature.substrate}
          onChange={(value) => onChange({ ...feature, substrate: value as typeof feature.substrate })}
          choices={SUBSTRATES.map((value) => ({ value, label: value }))}
        />
      )}
      <Button onClick={onRemove}>
        <Trash2 size={18} aria-hidden />
        Take it off
      </Button>
    </div>
  );
}

function angle(text: string): { ok: true; value: number } | { ok: false; message: string } {
  const value = Number(text.replace(",", ".").replace("°", ""));
  return Number.isFinite(value) && text.trim() !== ""
    ? { ok: true, value: ((((value + 180) % 360) + 360) % 360) - 180 }
    : { ok: false, message: `“${text}” is not a number of degrees.` };
}
