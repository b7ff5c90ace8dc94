"use client";
import type { Drill } from "../../core/fish/species-record";
import { type Wading, WADING } from "../../core/water/wading";
import type { UnitSystem } from "../../words/quantity";
import { type Fall, FALLS } from "../../core/approach/landing";
import { LONGEST_SHADOW } from "../../core/approach/shadow";
import { figureText, showText } from "../../words/quantity";
import type { NoStand } from "../../core/approach/stands";
import type { Target } from "../../core/approach/targets";
import { FaultNote } from "../../widgets/fault-note";
import { Select } from "../../widgets/select";
import { messageText } from "../../words/messages";
import { count } from "../../words/text";
import { whereaboutsWords } from "../../words/place";
import { useSettings } from "../../state/settings";
import type { Approach } from "../../scenario/approach";
import type { Stage } from "../../state/query";

const SCHOOLS = {
  "from-below": {
    name: "From below",
    why: "Fish face upstream. Come from behind, cast upstream and let it drift down to them.",
  },
  "from-above": {
    name: "From above",
    why: "Cast across and down. The current works the lure in front of the fish.",
  },
  "from-boat": {
    name: "From a boat",
    why: "Anchor upstream with the lie behind the boat, at most 45° off. On a ledge, anchor right over the step.",
  },
} as const;
/** The same ways for fish that are not drifted to. */
const OTHER_WHY: Record<Exclude<Drill, "drift">, Partial<Record<keyof typeof SCHOOLS, string>>> = {
  walk: {
    "from-below": "Cast upstream past it, let it sink, then work it along the bottom slightly faster than the current.",
    "from-above": "Cast across and down. Let it touch and lift along the bottom past the fish.",
  },
  soak: {
    "from-below": "Cast upstream past it and let the sinker hold. Keep the line tight.",
    "from-above": "Cast down to it and let the sinker hold. The straight line shows each bite.",
  },
};
const NO_STAND: Record<NoStand, string> = {
  water:
    "You can’t reach it this way: the water in range is too deep or strong to stand in, or the banks are too high.",
  wood: "You can’t reach it this way: every line to it runs through wood.",
  dry: "You can’t reach it this way: every line to it crosses dry ground or stone.",
  "nearer-lie": "You can only reach it over a nearer lie. Fish that one first.",
};
const FALL_NAMES: Record<Fall, string> = { light: "a lightly shot bait", jig: "a 1/16 oz jig", heavy: "a heavy head" };
const COMPASS = ["north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"] as const;
const UNKNOWN = "unknown";

/** Where to stand or anchor for the chosen lie, by school, and the casts in their order, in words. */
export function ApproachPanel({
  lie,
  wading,
  approach,
  sunKnown,
  bearing,
  onBearing,
}: {
  lie: number;
  wading: Pick<Wading, "safe" | "caution" | "stayOut">;
  approach: Stage<Approach>;
  sunKnown: boolean;
  bearing: number | undefined;
  onBearing: (bearing: number | undefined) => void;
}) {
  const { school, fall, system, set } = useSettings();
  const found = approach.value;
  const stand = found?.stands.find((one) => one.school === school);
  const casts = school === "from-boat" ? found?.boat?.casts : stand?.casts;
  return (
    <section aria-label={`Approach to lie ${lie}`} className="mt-5">
      <h2 className="mb-2 text-lg">Approach to lie {lie}</h2>
      <div role="group" aria-label="Direction of approach" className="mb-2 flex flex-wrap gap-2">
        {(Object.keys(SCHOOLS) as (keyof typeof SCHOOLS)[]).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === school}
            onClick={() => set({ school: one })}
            className={`min-h-11 rounded-md border px-3 ${one === school ? "border-ink bg-ink text-paper" : "border-edge hover:bg-deep"}`}
          >
            {SCHOOLS[one].name}
          </button>
        ))}
      </div>
      <p className="text-sm text-soft">
        {(found && found.timing.drill !== "drift" && OTHER_WHY[found.timing.drill][school]) || SCHOOLS[school].why}
      </p>
      {approach.fault && <FaultNote message={messageText(approach.fault, system)} onRetry={approach.retry} />}
      {!found && !approach.fault && (
        <p role="status" className="text-soft">
          {approach.pending ? "Looking for a place to stand …" : "Waiting for the flow."}
        </p>
      )}
      {found && !found.left && <p className="mt-2">{wadingWords(wading)}</p>}
      {found && <Found found={found} stand={stand} sunKnown={sunKnown} />}
      {found && casts && <Casts casts={casts} drill={found.timing.drill} system={system} />}
      <div className="mt-3 grid gap-2 sm:grid-cols-2">
        <Select
          label="Sinks like"
          value={fall}
          onChange={(value) => set({ fall: value as Fall })}
          choices={(Object.keys(FALLS) as Fall[]).map((value) => ({ value, label: FALL_NAMES[value] }))}
        />
        <Select
          label="River flows towards"
          value={bearing === undefined ? UNKNOWN : String(Math.round(bearing / 45) % 8)}
          onChange={(value) => onBearing(value === UNKNOWN ? undefined : Number(value) * 45)}
          choices={[
            { value: UNKNOWN, label: "unknown (no shadows)" },
            ...COMPASS.map((name, k) => ({
              value: String(k),
              label:
                bearing !== undefined && Math.round(bearing / 45) % 8 === k && bearing % 45 !== 0
                  ? `${name} (${figureText(bearing, 0)}°)`
                  : name,
            })),
          ]}
        />
      </div>
    </section>
  );
}

/** How much of the water can be waded at the flow looked at, before anybody is told where to stand. */
function wadingWords({ safe, caution, stayOut }: Pick<Wading, "safe" | "caution" | "stayOut">): string {
  const all = safe + caution + stayOut;
  const share = (area: number) => `${figureText((100 * area) / Math.max(all, 1e-9), 0)} %`;
  return `Of this water ${share(safe)} is easy wading at this flow, ${share(caution)} needs care, and ${share(stayOut)} is dangerous: stay out.`;
}

/** Where to stand or anchor; nobody is sent to a river that is to be left. */
function Found({
  found,
  stand,
  sunKnown,
}: {
  found: Approach;
  stand: Approach["stands"][number] | undefined;
  sunKnown: boolean;
}) {
  const { school, system } = useSettings();
  if (found.left)
    return <p className="font-semibold">▲ Leave the water now. No place to stand, anchor or wade is shown.</p>;
  if (school === "from-boat") return <BoatWords boat={found.boat} system={system} />;
  if (stand) return <StandWords stand={stand} sunKnown={sunKnown} system={system} />;
  return <p className="text-soft">{NO_STAND[found.none[school] ?? "water"]}</p>;
}

function StandWords({
  stand,
  sunKnown,
  system,
}: {
  stand: Approach["stands"][number];
  sunKnown: boolean;
  system: UnitSystem;
}) {
  const far = (value: number) => showText(value, "distance", system);
  const shadow =
    stand.shadow &&
    (stand.shadow.length < LONGEST_SHADOW ? far(stand.shadow.length) : `${far(LONGEST_SHADOW)} or more`);
  return (
    <ul className="mt-2 grid gap-1">
      <li>
        <strong>
          {stand.wadingDepth > 0 ? `Stand ${showText(stand.wadingDepth, "depth", system)} deep` : "Stand on the bank"}
        </strong>
        , {far(stand.distance)} from the lie: {whereaboutsWords(stand.whereabouts, system)}.
      </li>
      <li>
        {stand.hidden
          ? `It can’t see you: standing, you are hidden beyond ${far(stand.hiddenFrom)} away${stand.distance < stand.hiddenFrom ? ", closer in coloured water" : ""}.`
          : `It can see you there. Keep ${far(stand.hiddenFrom)} away, or crouch and keep ${far(stand.crouchedFrom)} away.`}{" "}
        {stand.backed ? "The bank or trees behind hide your outline." : "You stand out against the sky there."}
      </li>
      {stand.shadow && (
        <li>
          {stand.shadow.reaches
            ? `▲ Your shadow, ${shadow} long, falls on the lie. Keep low, or wait for cloud.`
            : `Your shadow, ${shadow} long, misses the lie.`}
        </li>
      )}
      {!stand.shadow && sunKnown && <li className="text-soft">The sun is down, so no shadow.</li>}
      {stand.wadingDepth > 0 && (
        <li>
          On the way, depth × speed is {showText(stand.hazard, "unitDischarge", system)} at most
          {stand.hazard >= WADING.value.strong
            ? ". Strong water: only with a staff and a way out"
            : stand.hazard >= WADING.value.careful
              ? ". Take care"
              : ": easy"}
          .
        </li>
      )}
      <li className="text-sm text-soft">Depth and speed are modelled. They don’t promise a safe wade.</li>
    </ul>
  );
}

const CASTS_HEADING: Record<Drill, string> = {
  drift: "Casts, nearest fish first",
  walk: "Lines, nearest first",
  soak: "Where to place the bait",
};

/** Where one target lies. */
const targetWords = ({ line, name }: Target): string =>
  ({
    seam: `${name} along the seam above the lie`,
    lie: `${name} in the current of the lie`,
    lane: `${name}, a step beside the lie`,
    bait: "a step upstream of the lie",
  })[line];

/** The targets in the order in which they are fished. */
function Casts({ casts, drill, system }: { casts: readonly Target[]; drill: Drill; system: UnitSystem }) {
  const far = (value: number) => showText(value, "distance", system);
  const each = drill === "soak" ? "bait" : "cast";
  return (
    <>
      <h3 className="mt-3 font-semibold">{CASTS_HEADING[drill]}</h3>
      <ol className="grid gap-0.5">
        {casts.map((cast, k) => (
          <li key={k}>
            <span className="font-semibold">{k + 1}.</span> {targetWords(cast)}: {count(cast.casts, each)},{" "}
            {cast.landing.swept < 0.3
              ? "land on it"
              : `land ${far(cast.landing.swept)} upstream; on the bottom in ${figureText(cast.landing.seconds, 1)} s`}
            {cast.landing.short ? " (too high: use a heavier one)" : ""}.
          </li>
        ))}
      </ol>
      {drill === "drift" && (
        <p className="text-sm text-soft">
          {count(
            casts.reduce((sum, one) => sum + one.casts, 0),
            each,
          )}{" "}
          in all. Then take a step and repeat.
        </p>
      )}
    </>
  );
}

function BoatWords({ boat, system }: { boat: Approach["boat"]; system: UnitSystem }) {
  const far = (value: number) => showText(value, "distance", system);
  if (!boat)
    return (
      <p className="mt-2">
        No place to anchor for this lie: the water is too shallow, still or strong, or wood or nearer fish are in the
        way.
      </p>
    );
  return (
    <ul className="mt-2 grid gap-1">
      <li>
        <strong>Boat {whereaboutsWords(boat.whereabouts, system)}</strong>: {far(boat.distance)} upstream of the lie,{" "}
        {boat.off < 5 ? "straight behind the boat" : `${figureText(boat.off, 0)}° off straight behind it`}, in{" "}
        {showText(boat.depth, "depth", system)} of {showText(boat.speed, "speed", system)} water.
      </li>
      {boat.onLedge && <li>Anchor right over the step: a few feet off and nothing bites.</li>}
      <li>
        Anchor {far(Math.hypot(boat.anchor[0] - boat.x, boat.anchor[1] - boat.y))} farther upstream, with{" "}
        {far(boat.rope)} of rope.
      </li>
      <li>
        {boat.hidden
          ? `Seated, it can’t see you (beyond ${far(boat.hiddenFrom)} away).`
          : `It sees the boat there. Keep ${far(boat.hiddenFrom)} away, sit low and stay quiet.`}
      </li>
      <li className="text-sm text-soft">
        Anchor from the bow, never from the stern in current. Wear life jackets and the kill cord. Follow local boat
        rules.
      </li>
    </ul>
  );
}
