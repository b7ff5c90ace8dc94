"use client";
import { Plus, Trash2, Undo2 } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { Identified } from "../../core/flow/feature-ids";
import type { Feature } from "../../core/flow/reach-schema";
import { SUBSTRATES } from "../../core/flow/substrate";
import { CommitField } from "../../widgets/commit-field";
import { Button } from "../../widgets/button";
import { NotKept } from "../not-kept";
import { Select } from "../../widgets/select";
import { numberEntry, quantityEntry, textEntry } from "../../words/entry";
import { entryText, entryUnit, type UnitSystem } from "../../words/quantity";
import { freshObject, OBJECT_KINDS, type ObjectKind, objectName } from "./object-kinds";
import { readWith } from "../../widgets/read-with";
import { Readings } from "./readings";
import { TemplateMeasures } from "./template-measures";
import type { BedEditor } from "./use-bed-editor";

/** The list of objects and the chosen one's measures: the plan's twin, for keys and screen readers. */
export function Objects({
  editor,
  length,
  breadth,
  system,
}: {
  editor: BedEditor;
  length: number;
  breadth: number;
  system: UnitSystem;
}) {
  const [kind, setKind] = useState<ObjectKind>("boulder");
  const chosen = editor.features.find((one) => one.id === editor.chosen);
  return (
    <section aria-label="Edit the bed" className="my-3 rounded-md border border-line p-4">
      <div className="flex flex-wrap items-end gap-2">
        <Select
          label="Object to add"
          className="w-48"
          value={kind}
          onChange={(value) => setKind(value as ObjectKind)}
          choices={Object.entries(OBJECT_KINDS).map(([value, label]) => ({ value, label }))}
        />
        <Button onClick={() => editor.add(freshObject(kind, length / 2, breadth / 2, breadth))}>
          <Plus size={18} aria-hidden />
          Add object
        </Button>
        <Button disabled={!editor.undo} onClick={editor.undo}>
          <Undo2 size={18} aria-hidden />
          Undo
        </Button>
        <Link
          href="/reach/film"
          className="inline-flex min-h-11 items-center rounded-md border border-edge px-4 font-semibold hover:bg-deep"
        >
          Film the water
        </Link>
        {editor.drawn && (
          <Link
            href={`/reach/draw?reach=${editor.drawn}`}
            className="inline-flex min-h-11 items-center rounded-md border border-edge px-4 font-semibold hover:bg-deep"
          >
            Change the drawing
          </Link>
        )}
        <p className="pb-2 text-sm text-soft">
          Drag objects on the plan or move them with the arrow keys. The flow then updates.
        </p>
      </div>
      {editor.template && <TemplateMeasures template={editor.template} system={system} onChange={editor.reshape} />}
      {editor.fault && (
        <div className="mt-3">
          <NotKept fault={editor.fault} />
        </div>
      )}
      <ul className="mt-3 flex flex-wrap gap-2">
        {editor.features.map((feature) => (
          <li key={feature.id}>
            <button
              type="button"
              aria-pressed={editor.chosen === feature.id}
              onClick={() => editor.choose(feature.id)}
              className={`min-h-11 rounded-md border px-3 ${editor.chosen === feature.id ? "border-ink bg-ink text-paper" : "border-edge hover:bg-deep"}`}
            >
              {objectName(feature)}
            </button>
          </li>
        ))}
      </ul>
      {editor.features.length === 0 && <p className="mt-2 text-soft">No objects here yet.</p>}
      {chosen && (
        <Measures
          key={chosen.id}
          feature={chosen}
          system={system}
          onChange={(fields) => editor.change(chosen.id, fields)}
          onRemove={() => editor.remove(chosen.id)}
        />
      )}
      <Readings editor={editor} system={system} />
    </section>
  );
}

const SIZES: Readonly<Record<string, string>> = {
  diameter: "Across",
  length: "Length",
  width: "Width",
  height: "Height above the bottom",
  thickness: "Thickness",
  from: "From the left edge",
  to: "To",
};
const ANYWHERE = new Set(["from", "to"]);

/** An angle within half a turn each way, degrees. */
const turned = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;

function Measures({
  feature,
  system,
  onChange,
  onRemove,
}: {
  feature: Identified;
  system: UnitSystem;
  onChange: (fields: Partial<Record<string, unknown>>) => void;
  onRemove: () => void;
}) {
  const own = feature as unknown as Record<string, number>;
  const size = quantityEntry("length", entryUnit("depth", system), {
    low: 0,
    open: true,
    beyond: "Enter a size above 0.",
  });
  const place = quantityEntry("length", entryUnit("depth", system));
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3">
      <CommitField
        label="Name"
        className="w-40"
        maxLength={60}
        shown={feature.name ?? ""}
        read={readWith(textEntry(60))}
        onKeep={(name: string) => onChange({ name: name || undefined })}
      />
      {Object.entries(SIZES)
        .filter(([key]) => key in own)
        .map(([key, label]) => (
          <CommitField
            key={key}
            label={label}
            className="w-32"
            shown={entryText(own[key]!, "depth", system)}
            read={readWith(ANYWHERE.has(key) ? place : size)}
            onKeep={(value: number) => onChange({ [key]: value })}
          />
        ))}
      {"angle" in feature && (
        <CommitField
          label="Rotation, degrees"
          className="w-32"
          shown={String(feature.angle)}
          read={readWith(numberEntry())}
          onKeep={(value: number) => onChange({ angle: turned(value) })}
        />
      )}
      {feature.kind === "patch" && (
        <Select
          label="Bottom"
          className="w-36"
          value={feature.substrate}
          onChange={(substrate) =>
            onChange({ substrate: substrate as Extract<Feature, { kind: "patch" }>["substrate"] })
          }
          choices={SUBSTRATES.map((value) => ({ value, label: value }))}
        />
      )}
      <Button onClick={onRemove}>
        <Trash2 size={18} aria-hidden />
        Remove object
      </Button>
    </div>
  );
}
