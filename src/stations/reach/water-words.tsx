"use client";
import { useState } from "react";
import type { UnitSystem } from "../../words/quantity";
import type { ReachReading } from "../../scenario/reading";
import { tellStructure } from "../../words/structure";
import { lengthOf } from "../../core/water/polyline";
import { capital, count } from "../../words/text";
import { showText } from "../../words/quantity";

const HEADINGS = {
  "foam line": "Foam lines",
  break: "Breaks and their slack",
  ledge: "Ledges",
  corner: "Corners facing the current",
  pool: "Pools",
  bottom: "Where the bottom changes",
} as const;
/** Where the structure holds each kind. */
const HELD = {
  "foam line": "foam",
  break: "wakes",
  ledge: "ledges",
  corner: "corners",
  pool: "pools",
  bottom: "bottoms",
} as const;
/** As many of a kind are told. */
const MOST = 6;

interface WaterWordsProps {
  reading: Pick<ReachReading, "seams" | "eddies" | "structure">;
  system: UnitSystem;
  /** Where a place is by what can be seen. */
  where: (place: readonly [number, number]) => string;
}

/** Everything that the plan marks, in words; places are told, which takes a moment, when it is opened. */
export function WaterWords(props: WaterWordsProps) {
  const [open, setOpen] = useState(false);
  const { seams, eddies, structure } = props.reading;
  const kinds = (Object.keys(HEADINGS) as (keyof typeof HEADINGS)[]).filter((kind) => structure[HELD[kind]].length > 0);
  return (
    <details className="mt-3" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 font-semibold">
        The water in words: {count(seams.length, "seam")}, {count(eddies.length, "eddy", "eddies")}
        {kinds.length > 0 && `, ${kinds.map((kind) => HEADINGS[kind].toLowerCase()).join(", ")}`}
      </summary>
      {open && <Told {...props} kinds={kinds} />}
    </details>
  );
}

function Told({ reading, system, where, kinds }: WaterWordsProps & { kinds: readonly (keyof typeof HEADINGS)[] }) {
  const { seams, eddies } = reading;
  const told = tellStructure(reading.structure, system, where);
  const far = (value: number) => showText(value, "distance", system);
  return (
    <>
      {seams.length === 0 && <p className="mt-1 text-soft">No clear seam at this flow.</p>}
      {seams.length > 0 && (
        <Kind
          name="Seams"
          lines={seams.map(
            (seam) =>
              `From ${where(seam.points[0]!)}, ${far(lengthOf(seam))} long: ${showText(seam.speedDifference, "speed", system)} difference, slow on the ${seam.slowSide}, ${seam.sharpness > 0.8 ? "sharp" : seam.sharpness > 0.4 ? "plain" : "soft"}.`,
          )}
        />
      )}
      {eddies.length > 0 && (
        <Kind
          name="Eddies"
          lines={eddies.map(
            (eddy) =>
              `${capital(where([eddy.x, eddy.y]))}: ${showText(eddy.area, "area", system)}, turning ${eddy.turns}, back at up to ${showText(eddy.returnSpeed, "speed", system)}.`,
          )}
        />
      )}
      {kinds.map((kind) => (
        <Kind
          key={kind}
          name={HEADINGS[kind]}
          lines={told.filter((one) => one.kind === kind).map(({ words }) => words)}
        />
      ))}
    </>
  );
}

function Kind({ name, lines }: { name: string; lines: readonly string[] }) {
  return (
    <>
      <h3 className="mt-2 text-sm font-semibold">{name}</h3>
      <ul className="grid gap-1 text-sm">
        {lines.slice(0, MOST).map((line, k) => (
          <li key={k}>{line}</li>
        ))}
      </ul>
      {lines.length > MOST && <p className="text-sm text-soft">and {lines.length - MOST} smaller.</p>}
    </>
  );
}
