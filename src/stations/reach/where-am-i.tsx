"use client";
import type { Lie } from "../../core/fish/read";
import { distanceFromReach } from "../../core/trace/place-in-reach";
import { lieAt, type Numbered } from "../../scenario/lie-identity";
import type { Locating } from "../../state/use-position";
import { useSettings } from "../../state/settings";
import { LOCATING_WORDS } from "../../words/locating";
import { showText, type UnitSystem } from "../../words/quantity";

/** Where the angler is on the plan, m, and the radius that holds them two times in three, m. */
export interface Here {
  place: readonly [number, number];
  accuracy: number;
}

/** Nearer than this to a lie the angler is on it, m; a phone is seldom surer. Own choice. */
const ON_IT = 3;
/** Below this nobody would walk differently, m. */
const LITTLE = 1;

/** "8 m downstream, 3 m to the right": from one place to another, right and left looking downstream. */
function wayWords([fromX, fromY]: Here["place"], to: { x: number; y: number }, system: UnitSystem): string {
  const [along, across] = [to.x - fromX, to.y - fromY];
  const parts = [
    Math.abs(along) >= LITTLE &&
      `${showText(Math.abs(along), "distance", system)} ${along > 0 ? "downstream" : "upstream"}`,
    Math.abs(across) >= LITTLE &&
      `${showText(Math.abs(across), "distance", system)} towards the ${across > 0 ? "right" : "left"} bank`,
  ].filter((part) => part !== false);
  return parts.length > 0 ? parts.join(", ") : "here";
}

/** The angler's own place in words: on which lie, or how far it is to the chosen one and to where to stand. */
export function WhereAmI({
  state,
  here,
  size,
  lies,
  lie,
  stand,
  onHide,
}: {
  state: Locating;
  here: Here | undefined;
  /** Of the reach, m. */
  size: readonly [number, number];
  lies: readonly Numbered<Lie>[];
  lie: Numbered<Lie> | undefined;
  stand: { x: number; y: number } | undefined;
  onHide: () => void;
}) {
  const system = useSettings((settings) => settings.system);
  return (
    <p role="status" className="mt-2">
      {LOCATING_WORDS[state] ?? (here && hereWords(here, { size, lies, lie, stand }, system))}{" "}
      <button type="button" className="min-h-11 text-sm underline" onClick={onHide}>
        hide my place
      </button>
    </p>
  );
}

function hereWords(
  { place, accuracy }: Here,
  {
    size,
    lies,
    lie,
    stand,
  }: {
    size: readonly [number, number];
    lies: readonly Numbered<Lie>[];
    lie: Numbered<Lie> | undefined;
    stand: { x: number; y: number } | undefined;
  },
  system: UnitSystem,
): string {
  const sure = `Accurate to ${showText(accuracy, "distance", system)}.`;
  const [x, y] = place;
  const off = distanceFromReach(place, size);
  if (off > accuracy) return `You’re ${showText(off, "distance", system)} from this reach. ${sure}`;
  const own = lieAt(lies, { x, y }, ON_IT);
  const on = own && accuracy <= 2 * ON_IT ? `You’re on lie ${own.number}. ` : "";
  const to = lie && lie.number !== own?.number ? `Lie ${lie.number}: ${wayWords(place, lie, system)}. ` : "";
  const from = stand ? `Stand: ${wayWords(place, stand, system)}. ` : "";
  return `${on}${to}${from}${sure}`;
}

/** A dot with the circle that the angler is in two times in three. */
export const HereMark = ({ here: { place, accuracy }, scale }: { here: Here; scale: number }) => (
  <g transform={`translate(${place[0] * scale} ${place[1] * scale})`} aria-hidden>
    <circle r={accuracy * scale} fill="var(--ochre)" fillOpacity={0.14} stroke="var(--ochre)" strokeDasharray="3 4" />
    <circle r={7} fill="var(--ochre)" stroke="var(--paper)" strokeWidth={2.5} />
  </g>
);
