"use client";
import { type KeyboardEvent, type MouseEvent, useEffect, useRef, useState } from "react";
import type { Field } from "../../core/flow/grid";
import { useSettings } from "../../state/settings";
import { useColours } from "../../widgets/colours";
import { showText } from "../../words/quantity";
import { Banks } from "./banks";
import { Foam } from "./foam";
import { PlanMarks } from "./plan-marks";
import { type Place, probeKeys } from "./probe";
import type { BedEditor } from "./use-bed-editor";
import type { ReachView } from "./use-reach-view";
import type { Underlay } from "./use-underlay";
import { useZoom } from "./use-zoom";
import { useFilm } from "../../state/film";
import { later } from "../../widgets/later";
import { useWidth } from "../../widgets/use-width";
import { WantedMark } from "./wanted-mark";
import { type Here, HereMark } from "./where-am-i";
import { WaterCanvas } from "./water-canvas";
import { ZoomButtons } from "./zoom-buttons";

const FilmOnPlan = later(() => import("../film/film-on-plan").then((one) => one.FilmOnPlan));

/** Fewest pixels a metre: a phone shows part of the reach and scrolls; a desk shows it whole. */
const LEAST_SCALE = 6;
/** On a phone held sideways the plan leaves room for slider and verdict: at most so much of the screen's height. */
const SIDEWAYS = 0.55;

/** Whoever asks for less motion is taken there at once. */
const glide = (): ScrollBehavior =>
  window.matchMedia("(prefers-reduced-motion: reduce)").matches ? "instant" : "smooth";

/** Height that the plan may take, px: all that it needs, but on a phone held sideways. */
function useHighest(): number {
  const [highest, setHighest] = useState(Infinity);
  useEffect(() => {
    const low = window.matchMedia("(orientation: landscape) and (max-height: 31rem)");
    const measure = () => setHighest(low.matches ? SIDEWAYS * window.innerHeight : Infinity);
    measure();
    window.addEventListener("resize", measure);
    return () => window.removeEventListener("resize", measure);
  }, []);
  return highest;
}

/**
 * The river from above. Flow runs to the right; the left bank is on top, as it is to someone looking down-current.
 * While the bed is shaped, `editor` lets its objects be taken hold of.
 */
export function ReachMap({
  view,
  shown,
  editor,
  underlay,
  here,
  wanted,
}: {
  view: ReachView;
  shown: Field;
  editor: BedEditor | undefined;
  /** The picture under the water, and how far that lets it through, 0 to 1. */
  underlay: (Underlay & { through: number }) | undefined;
  /** Where the angler is, if they asked. */
  here: Here | undefined;
  /** Where depths would help most. */
  wanted: readonly Place[] | undefined;
}) {
  const system = useSettings((settings) => settings.system);
  const colours = useColours();
  const { ref: outer, width } = useWidth();
  const box = useRef<HTMLDivElement>(null);
  const zoom = useZoom(box);
  const [length, breadth] = [shown.nx * shown.cell, shown.ny * shown.cell];
  const highest = useHighest();
  const whole = Math.max(Math.min(width / length, highest / breadth), LEAST_SCALE);
  const scale = whole * zoom.factor;
  const { probe } = view;
  const measured = useFilm((state) => state.measured);
  const filmed = measured?.reach !== undefined && measured.reach === view.scenario.river.reach?.id;
  const x = view.scenario.lie?.x;
  const shaping = editor !== undefined;
  const located = here !== undefined;
  const filmedAt = filmed ? measured.placement?.at[0] : undefined;
  // The lie is kept in sight, or the angler's own place or a film when it is first there; not under a hand that shapes
  // the bed, or what it reaches for would slip away.
  const seen = useRef(here?.place[0]);
  useEffect(() => {
    seen.current = here?.place[0] ?? filmedAt;
  });
  useEffect(() => {
    const element = box.current;
    const at = located || filmed ? seen.current : x;
    if (element && !shaping && at !== undefined && element.scrollWidth > element.clientWidth + 4)
      element.scrollTo({ left: at * scale - element.clientWidth / 2, behavior: glide() });
  }, [x, scale, shaping, located, filmed]);
  const onKey = (event: KeyboardEvent) => {
    if (event.key === "+" || event.key === "=") zoom.inward?.();
    else if (event.key === "-") zoom.outward?.();
    else if (event.key === "0") zoom.whole();
    else probeKeys(event, probe.place, shown, probe.put);
  };
  const onClick = (event: MouseEvent<SVGSVGElement>) => {
    if (editor || zoom.panned() || (event.target as Element).closest("[role=button]")) return;
    const frame = event.currentTarget.getBoundingClientRect();
    probe.put([(event.clientX - frame.left) / scale, (event.clientY - frame.top) / scale]);
  };
  return (
    <div ref={outer} className="relative">
      <div
        ref={box}
        className="overflow-auto"
        style={{ maxHeight: zoom.factor > 1 ? Math.max(360, breadth * whole * 1.4) : undefined }}
        tabIndex={0}
        role="group"
        onKeyDown={onKey}
        aria-label={`The reach from above, ${showText(length, "distance", system)} long. The list below has the same lies. Arrow keys move a probe, plus and minus zoom`}
      >
        {width > 0 && (
          <div className="relative" style={{ width: length * scale, height: breadth * scale }}>
            <Banks field={shown} scale={scale} />
            {underlay && underlay.through > 0 && (
              <svg width={length * scale} height={breadth * scale} aria-hidden className="absolute inset-0">
                <image
                  href={underlay.url}
                  width={underlay.width}
                  height={underlay.height}
                  transform={`scale(${scale}) matrix(${underlay.matrix.join(" ")})`}
                />
              </svg>
            )}
            <div style={{ opacity: underlay && 1 - underlay.through }}>
              <WaterCanvas field={shown} scale={scale} colours={colours} />
            </div>
            <Foam field={shown} scale={scale} colours={colours} />
            <svg width={length * scale} height={breadth * scale} className="absolute inset-0" onClick={onClick}>
              <PlanMarks view={view} shown={shown} editor={editor} scale={scale} />
              {wanted?.map((place, k) => (
                <WantedMark key={k} place={place} number={k + 1} scale={scale} />
              ))}
              {filmed && !editor && <FilmOnPlan measured={measured} scale={scale} />}
              {here && <HereMark here={here} scale={scale} />}
            </svg>
          </div>
        )}
      </div>
      <ZoomButtons zoom={zoom} whole="The whole reach" />
    </div>
  );
}
