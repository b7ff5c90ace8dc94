"use client";
import { useState } from "react";
import { type Georeference, georeferenceOf, type Scale } from "../../core/trace/georeference";
import { draw, takeTool, useDrawing } from "../../state/drawing";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { CommitField } from "../../widgets/commit-field";
import { Panel } from "../../widgets/panel";
import { readWith } from "../../widgets/read-with";
import { Select } from "../../widgets/select";
import { numberEntry, quantityEntry } from "../../words/entry";
import { positionEntry } from "../../words/position-entry";
import { entryText, entryUnit, figureText, showText, type UnitSystem } from "../../words/quantity";

const WAYS = { length: "A known distance", points: "Two known places", file: "From the file" } as const;
type Way = keyof typeof WAYS;

/** Scale and north of the picture: by a known distance, by two known places, or as its own file says. */
export function ScalePanel() {
  const { drawing, ends } = useDrawing();
  const system = useSettings((settings) => settings.system);
  const { scale } = drawing;
  const own = scale.kind === "unknown" ? undefined : scale.kind;
  const [chosen, setChosen] = useState<Way | undefined>();
  const way = chosen ?? own ?? "length";
  const ground = georeferenceOf(scale);
  const ways = (Object.keys(WAYS) as Way[]).filter((one) => one !== "file" || scale.kind === "file");
  return (
    <Panel title="Scale and north" className="mt-6">
      <Select
        label="Set the scale by"
        value={way}
        onChange={(value) => setChosen(value as Way)}
        choices={ways.map((value) => ({ value, label: WAYS[value] }))}
      />
      {way !== "file" && (
        <div className="mt-3 flex flex-wrap gap-2">
          <Button onClick={() => takeTool("scale-a")}>{ends.a ? "Set A again" : "Set point A"}</Button>
          <Button onClick={() => takeTool("scale-b")} disabled={!ends.a}>
            {ends.b ? "Set B again" : "Set point B"}
          </Button>
        </div>
      )}
      {way === "length" && ends.a && ends.b && <ByLength a={ends.a} b={ends.b} scale={scale} system={system} />}
      {way === "points" && ends.a && ends.b && (
        <ByPlaces key={`${ends.a.join()} ${ends.b.join()}`} a={ends.a} b={ends.b} scale={scale} />
      )}
      <p role="status" className="mt-2 text-sm text-soft">
        {scaleWords(ground, drawing.sheet.width, system)}
      </p>
    </Panel>
  );
}

function scaleWords(ground: Georeference | undefined, width: number, system: UnitSystem): string {
  if (!ground) return "No scale yet. Set points A and B on two things you know, such as the ends of a bridge.";
  const across = `The picture is ${showText(ground.unit * width, "distance", system)} wide.`;
  return ground.origin ? `${across} Its place on the map is known.` : `${across} Its place on the map isn’t known.`;
}

const onSheet = ([x, y]: readonly [number, number]): [number, number] => [x, y];

/** The distance between the two points, and how the picture is turned. */
function ByLength({
  a,
  b,
  scale,
  system,
}: {
  a: readonly [number, number];
  b: readonly [number, number];
  scale: Scale;
  system: UnitSystem;
}) {
  const own = scale.kind === "length" ? scale : undefined;
  const set = (change: { metres?: number; north?: number; at?: [number, number] | null }) =>
    draw((now) => ({
      ...now,
      scale: {
        kind: "length",
        from: onSheet(a),
        to: onSheet(b),
        metres: own?.metres ?? 1,
        north: own?.north ?? 0,
        at: own?.at ?? null,
        ...change,
      },
    }));
  const length = quantityEntry("length", entryUnit("distance", system), {
    low: 0,
    open: true,
    high: 100_000,
    beyond: "Enter a distance above 0.",
  });
  return (
    <div className="mt-3 grid gap-3 sm:grid-cols-2">
      <CommitField
        label="Distance from A to B"
        shown={own ? entryText(own.metres, "distance", system) : ""}
        read={readWith(length)}
        onKeep={(metres: number) => set({ metres })}
      />
      {own && (
        <CommitField
          label="North, degrees clockwise from up"
          hint="0 where north is up"
          shown={figureText(own.north, 0)}
          read={readWith(numberEntry({ low: -360, high: 360, beyond: "Degrees from −360 to 360." }))}
          onKeep={(north: number) => set({ north })}
        />
      )}
    </div>
  );
}

/** The two points by latitude and longitude. */
function ByPlaces({ a, b, scale }: { a: readonly [number, number]; b: readonly [number, number]; scale: Scale }) {
  const own = scale.kind === "points" ? scale : undefined;
  const [typed, setTyped] = useState<{ a?: readonly [number, number]; b?: readonly [number, number] }>({
    a: own?.a.position,
    b: own?.b.position,
  });
  const set = (which: "a" | "b", position: readonly [number, number]) => {
    const next = { ...typed, [which]: position };
    setTyped(next);
    if (!next.a || !next.b) return;
    const [pa, pb] = [next.a, next.b];
    draw((now) => ({
      ...now,
      scale: {
        kind: "points",
        a: { on: onSheet(a), position: onSheet(pa) },
        b: { on: onSheet(b), position: onSheet(pb) },
      },
    }));
  };
  return (
    <div className="mt-3 grid gap-3">
      {(["a", "b"] as const).map((which) => (
        <CommitField
          key={which}
          label={`Latitude and longitude of ${which.toUpperCase()}`}
          hint="Such as 52.1034, −1.2210"
          shown={typed[which] ? `${typed[which][1]}, ${typed[which][0]}` : ""}
          read={readWith(positionEntry)}
          onKeep={(position: [number, number]) => set(which, position)}
        />
      ))}
    </div>
  );
}
