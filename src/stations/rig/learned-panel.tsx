"use client";
import { useState } from "react";
import type { BottomAdvice, JigAdvice } from "../../core/rig/advice";
import { dropArea } from "../../core/rig/drop-area";
import { learnedFrom } from "../../core/rig/learned";
import { useSettings } from "../../state/settings";
import { useLearned } from "../../state/use-chosen";
import { Button } from "../../widgets/button";
import { CommitField } from "../../widgets/commit-field";
import { Panel } from "../../widgets/panel";
import { readWith } from "../../widgets/read-with";
import { numberEntry, optional, quantityEntry } from "../../words/entry";
import { methodName } from "../../words/methods";
import { entryText, entryUnit, figureText, rangeText, showText } from "../../words/quantity";

/** Seconds of a drop that can be timed by hand. */
const SECONDS = { low: 0.3, high: 60 };
const DEPTHS = { low: 0.3, high: 30 };

/** What the bottom says: a weight that never touches, or drags, and one timed drop, move this rig's own figures. */
export function LearnedPanel({ advice, lie }: { advice: BottomAdvice | JigAdvice; lie: { depth: number } }) {
  const system = useSettings((settings) => settings.system);
  const { learned, learn } = useLearned(advice.method);
  const name = methodName(advice.method).toLowerCase();
  const moved = learned.pull !== 1 || learned.dragArea !== undefined;
  return (
    <Panel title={`What the bottom says: ${name}`} className="mt-6 print:hidden">
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => learn((now) => learnedFrom(now, "never-touches"))}>It never touches</Button>
        <Button onClick={() => learn((now) => learnedFrom(now, "drags"))}>It drags</Button>
        {moved && <Button onClick={() => learn(undefined)}>Reset your correction</Button>}
      </div>
      {"falling" in advice && <TimedDrop advice={advice} depth={lie.depth} />}
      <p className="mt-2 text-sm text-soft">
        {learned.pull === 1
          ? "No correction yet: the pull of the line is as modelled."
          : `Your correction: the line pulls ${figureText(learned.pull, 2)} times as hard as modelled.`}
        {learned.dragArea !== undefined &&
          "falling" in advice &&
          ` Your timed drop: it falls ${showText(advice.fall, "speed", system)}.`}
      </p>
    </Panel>
  );
}

/** One drop in still or slow water, timed: it sets how fast this lure falls. */
function TimedDrop({ advice, depth }: { advice: JigAdvice; depth: number }) {
  const system = useSettings((settings) => settings.system);
  const { learn } = useLearned(advice.method);
  const [fallen, setFallen] = useState(depth);
  const [refused, setRefused] = useState(false);
  const depthEntry = quantityEntry("length", entryUnit("depth", system), {
    ...DEPTHS,
    beyond: rangeText(DEPTHS.low, DEPTHS.high, "depth", system),
  });
  const secondsEntry = optional(
    numberEntry({ ...SECONDS, beyond: `Enter ${SECONDS.low} to ${SECONDS.high} seconds.` }),
  );
  const take = (seconds: number | null) => {
    if (seconds === null) return;
    const dragArea = dropArea(advice.falling, { depth: fallen, seconds });
    setRefused(dragArea === undefined);
    if (dragArea !== undefined) learn((now) => ({ ...now, dragArea }));
  };
  return (
    <fieldset className="mt-3 grid max-w-md grid-cols-2 gap-3">
      <legend className="mb-1 text-sm text-soft">Time one drop with this head</legend>
      <CommitField
        label="It fell"
        shown={entryText(fallen, "depth", system)}
        read={readWith(depthEntry)}
        onKeep={setFallen}
      />
      <CommitField label="In seconds" shown="" read={readWith(secondsEntry)} onKeep={take} />
      {refused && (
        <p role="alert" className="col-span-2 text-sm">
          That is faster than the bare head falls. Check the depth and the seconds.
        </p>
      )}
    </fieldset>
  );
}
