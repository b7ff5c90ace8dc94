"use client";
import { Trash2 } from "lucide-react";
import { useMemo } from "react";
import { measureMark, nameMark, removeMark, turnMark } from "../../core/trace/edit";
import { isWhole, type Mark, markKind, type Measure, measureOf } from "../../core/trace/marks";
import { choose, draw, useDrawing } from "../../state/drawing";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { CommitField } from "../../widgets/commit-field";
import { Panel } from "../../widgets/panel";
import { readWith } from "../../widgets/read-with";
import { MEASURE_WORDS } from "../../words/drawing";
import { quantityEntry, textEntry } from "../../words/entry";
import { entryText, entryUnit, showText } from "../../words/quantity";
import { WADED_HINT, wadedEntry } from "../../words/waded-entry";
import { markName, numbersOf } from "./mark-name";

/** All that is drawn, in words: the sheet's twin for keys and screen readers; the chosen one's name and measures. */
export function MarkList() {
  const { drawing, chosen } = useDrawing();
  const system = useSettings((settings) => settings.system);
  const { marks } = drawing;
  const mark = marks.find((one) => one.id === chosen);
  const numbers = useMemo(() => numbersOf(marks), [marks]);
  const numberOf = (one: Mark) => numbers.get(one.id)!;
  return (
    <Panel title="Drawn so far" className="mt-6">
      {marks.length === 0 && <p className="text-soft">Nothing yet. Begin with the banks.</p>}
      <ul className="flex flex-wrap gap-2">
        {marks.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              aria-pressed={chosen === one.id}
              onClick={() => choose(one.id)}
              className={`min-h-11 rounded-md border px-3 ${chosen === one.id ? "border-ink bg-ink text-paper" : "border-edge hover:bg-deep"}`}
            >
              {markName(one, numberOf(one))}
              {one.kind === "depth" && `, ${showText(measureOf(one, "depth"), "depth", system)}`}
              {one.discharge !== undefined && ` at ${showText(one.discharge, "discharge", system)}`}
              {!isWhole(one) && ", unfinished"}
            </button>
          </li>
        ))}
      </ul>
      {mark && <Chosen key={mark.id} mark={mark} title={markName(mark, numberOf(mark))} />}
    </Panel>
  );
}

function Chosen({ mark, title }: { mark: Mark; title: string }) {
  const { system, height } = useSettings();
  const kind = markKind(mark.kind);
  const measures = Object.keys(kind.measures) as Measure[];
  const bank = mark.kind === "left-bank" || mark.kind === "right-bank" || mark.kind === "middle";
  return (
    <section aria-label={title} className="mt-3 rounded-md border border-line p-4">
      <h3 className="font-semibold">{title}</h3>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {measures.map((measure) => (
          <CommitField
            key={measure}
            label={MEASURE_WORDS[measure]}
            hint={measure === "depth" ? WADED_HINT : undefined}
            shown={entryText(measureOf(mark, measure), "depth", system)}
            read={readWith(measure === "depth" ? wadedEntry(entryUnit("depth", system), height) : sizeEntry(system))}
            onKeep={(value: number) => draw((now) => measureMark(now, mark.id, measure, value))}
          />
        ))}
        {!kind.single && mark.kind !== "width" && mark.kind !== "depth" && (
          <CommitField
            label="Name"
            maxLength={60}
            shown={mark.name ?? ""}
            read={readWith(textEntry(60))}
            onKeep={(name: string) => draw((now) => nameMark(now, mark.id, name))}
          />
        )}
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        {bank && (
          <Button onClick={() => draw((now) => turnMark(now, mark.id))}>Swap upstream and downstream ends</Button>
        )}
        <Button onClick={() => draw((now) => removeMark(now, mark.id))}>
          <Trash2 size={18} aria-hidden />
          Delete
        </Button>
      </div>
    </section>
  );
}

const sizeEntry = (system: "metric" | "us") =>
  quantityEntry("length", entryUnit("depth", system), {
    low: 0,
    open: true,
    high: 100,
    beyond: "Enter a size above 0.",
  });
