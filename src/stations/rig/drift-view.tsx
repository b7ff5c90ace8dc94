"use client";
import { useState } from "react";
import type { Field } from "../../core/flow/grid";
import type { Way } from "../../core/rig/ways";
import type { StrikeZone } from "../../core/rig/strike-zone";
import type { Lie } from "../../core/fish/read";
import { figureText } from "../../words/quantity";
import { DriftAbove } from "./drift-above";
import { DriftSide } from "./drift-side";
import { usePlay } from "./use-play";
import { Button } from "../../widgets/button";

/** The drift of a way, played from above and from the side. */
export function DriftView({ way, lie, field, zone }: { way: Way; lie: Lie; field: Field; zone: StrikeZone }) {
  const [from, setFrom] = useState<"above" | "side">("above");
  const { path } = way.cast.drift;
  const last = path.at(-1)!.t;
  const play = usePlay(last);
  const k = Math.max(
    0,
    path.findIndex(({ t }) => t >= play.t),
  );
  return (
    <section aria-label="The drift" className="mt-5 print:hidden">
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <h2 className="mr-2 text-lg">The drift</h2>
        {(["above", "side"] as const).map((one) => (
          <Button
            key={one}
            aria-pressed={one === from}
            tone={one === from ? "ink" : "plain"}
            onClick={() => setFrom(one)}
          >
            {one === "above" ? "From above" : "From the side"}
          </Button>
        ))}
        <Button onClick={play.toggle}>{play.playing ? "Stop" : "Play"}</Button>
        <label className="flex min-h-11 grow items-center gap-2">
          <span className="sr-only">Seconds since it landed</span>
          <input
            type="range"
            min={0}
            max={last}
            step={0.25}
            value={play.t}
            onChange={(event) => play.seek(Number(event.target.value))}
            className="h-11 min-w-24 grow touch-pan-y accent-(--ochre)"
            aria-valuetext={`${figureText(play.t, 1)} seconds after landing`}
          />
          <span className="w-14 text-right tabular-nums">{figureText(play.t, 1)} s</span>
        </label>
      </div>
      {from === "above" ? (
        <DriftAbove way={way} lie={lie} field={field} zone={zone} at={k} />
      ) : (
        <DriftSide way={way} lie={lie} zone={zone} at={k} />
      )}
    </section>
  );
}
