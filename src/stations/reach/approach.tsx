"use client";
import type { BoatStand } from "../../core/approach/boat";
import { type Fall, FALLS } from "../../core/approach/landing";
import { LONGEST_SHADOW } from "../../core/approach/shadow";
import type { Stand } from "../../core/approach/stands";
import { showText } from "../../core/quantity/show";
import type { Target } from "../../core/approach/targets";
import type { UnitSystem } from "../../core/quantity/units";
import { Select } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import type { Stands } from "../../ui/use-stands";

const SCHOOLS = {
  "from-below": {
    name: "From below",
    why: "Fish look up-current: come from behind, cast upstream, and let it come down to them.",
  },
  "from-above": {
    name: "From above",
    why: "Across and down: the current works the lure and holds it in front of the fish.",
  },
  "from-boat": {
    name: "From a boat",
    why: "Anchored up-current of it, the lie behind the boat, 45 degrees off at most; on a ledge, right on the step.",
  },
} as const;
const FALL_NAMES: Record<Fall, string> = { light: "a lightly shot bait", jig: "a 1/16 oz jig", heavy: "a heavy head" };
const COMPASS = ["north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"] as const;
const UNKNOWN = "unknown";

/** Where to stand or anchor for the chosen lie, by school, and the casts in their order, in words. */
export function ApproachPanel({
  lie,
  found,
  sunKnown,
  bearing,
  onBearing,
  system,
}: {
  lie: number;
  found: Stands;
  sunKnown: boolean;
  bearing: number | undefined;
  onBearing: (bearing: number | undefined) => void;
  system: UnitSystem;
}) {
  const { school, fall, set } = useSettings();
  const stand = found.stands.find((one) => one.school === school);
  const casts = school === "from-boat" ? found.boat?.casts : stand?.casts;
  return (
    <section aria-label={`Approach to lie ${lie}`} className="mt-5">
      <h2 className="mb-2 text-lg">Approach to lie {lie}</h2>
      <div role="group" aria-label="School" className="mb-2 flex flex-wrap gap-2">
        {(Object.keys(SCHOOLS) as (keyof typeof SCHOOLS)[]).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === school}
            onClick={() => set({ school: one })}
            className={`min-h-10 rounded-md border px-3 ${one === school ? "border-ink bg-ink text-paper" : "border-line hover:bg-deep"}`}
          >
            {SCHOOLS[one].name}
          </button>
        ))}
      </div>
      <p className="text-sm text-soft">{SCHOOLS[school].why}</p>
      {school === "from-boat" ? (
        <BoatWords boat={found.boat} system={system} />
      ) : stand ? (
        <StandWords stand={stand} sunKnown={sunKnown} system={system} />
      ) : (
        <p className="mt-2">
          No place from which it can be reached this way: the water in range is too deep or too strong to stand in, or
          the banks too high.
        </p>
      )}
      {casts && <Casts casts={casts} system={system} />}
      <div className="mt-3 grid gap-2 sm:grid-cols-2">
        <Select
          label="It sinks like"
          value={fall}
          onChange={(value) => set({ fall: value as Fall })}
          choices={(Object.keys(FALLS) as Fall[]).map((value) => ({ value, label: FALL_NAMES[value] }))}
        />
        <Select
          label="The reach runs towards"
          value={bearing === undefined ? UNKNOWN : String(Math.round(bearing / 45) % 8)}
          onChange={(value) => onBearing(value === UNKNOWN ? undefined : Number(value) * 45)}
          choices={[
            { value: UNKNOWN, label: "not known: no shadows" },
            ...COMPASS.map((name, k) => ({
              value: String(k),
              label:
                bearing !== undefined && Math.round(bearing / 45) % 8 === k && bearing % 45 !== 0
                  ? `${name} (${bearing.toFixed(0)}°)`
                  : name,
            })),
          ]}
        />
      </div>
    </section>
  );
}

function StandWords({ stand, sunKnown, system }: { stand: Stand; sunKnown: boolean; system: UnitSystem }) {
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
        , {far(stand.distance)} from the lie: {far(stand.x)} down the reach, {far(stand.y)} from its left edge.
      </li>
      <li>
        {stand.hidden
          ? `Outside its window: upright, you are out of its sight from ${far(stand.hiddenFrom)} off${stand.distance < stand.hiddenFrom ? ", and nearer in water as coloured as this" : ""}.`
          : `It can see you there: keep ${far(stand.hiddenFrom)} off, or crouch: then ${far(stand.crouchedFrom)} will do.`}{" "}
        {stand.backed ? "The bank or trees behind hide your outline." : "You stand against the sky there."}
      </li>
      {stand.shadow && (
        <li>
          {stand.shadow.reaches
            ? `▲ Your shadow, ${shadow} long, falls on the lie: keep low, or wait for cloud.`
            : `Your shadow, ${shadow} long now, falls clear of it.`}
        </li>
      )}
      {!stand.shadow && sunKnown && <li className="text-soft">The sun is down: no shadow.</li>}
      {stand.wadingDepth > 0 && (
        <li>
          On the way depth × speed is {showText(stand.hazard, "unitDischarge", system)} at most
          {stand.hazard >= 0.6
            ? ": strong water, only with a staff and a way out"
            : stand.hazard >= 0.3
              ? ": with care"
              : ": easy"}
          .
        </li>
      )}
      <li className="text-sm text-soft">Depth and speed are the model’s, and no promise of a safe wade.</li>
    </ul>
  );
}

/** The targets in the order in which they are fished. */
function Casts({ casts, system }: { casts: readonly Target[]; system: UnitSystem }) {
  const far = (value: number) => showText(value, "distance", system);
  return (
    <>
      <h3 className="mt-3 font-semibold">Casts, nearer fish first</h3>
      <ol className="grid gap-0.5">
        {casts.map((cast, k) => (
          <li key={k}>
            <span className="font-semibold">{k + 1}.</span>{" "}
            {cast.line === "seam" ? `${cast.name} on the seam before it` : `${cast.name} on its own line`}: {cast.casts}{" "}
            cast{cast.casts === 1 ? "" : "s"},{" "}
            {cast.landing.swept < 0.3
              ? "land on it"
              : `land ${far(cast.landing.swept)} up-current; down in ${cast.landing.seconds.toFixed(1)} s`}
            {cast.landing.short ? " (it will come too high: take a heavier one)" : ""}.
          </li>
        ))}
      </ol>
      <p className="text-sm text-soft">Then a step, and again.</p>
    </>
  );
}

function BoatWords({ boat, system }: { boat: BoatStand | undefined; system: UnitSystem }) {
  const far = (value: number) => showText(value, "distance", system);
  if (!boat)
    return (
      <p className="mt-2">
        No water in range that a boat could be anchored in for this lie: too thin, too still or too strong.
      </p>
    );
  return (
    <ul className="mt-2 grid gap-1">
      <li>
        <strong>
          Boat at {far(boat.x)} down the reach, {far(boat.y)} from its left edge
        </strong>
        : {far(boat.distance)} up-current of the lie,{" "}
        {boat.off < 5 ? "straight behind the boat" : `${boat.off.toFixed(0)}° off straight behind it`}, in{" "}
        {showText(boat.depth, "depth", system)} of {showText(boat.speed, "speed", system)} water.
      </li>
      {boat.onLedge && <li>Right on the step that it lies on: a few feet off it and nothing bites.</li>}
      <li>
        Anchor {far(Math.hypot(boat.anchor[0] - boat.x, boat.anchor[1] - boat.y))} farther up, on {far(boat.rope)} of
        rope.
      </li>
      <li>
        {boat.hidden
          ? `Seated, you are outside its window (from ${far(boat.hiddenFrom)} off).`
          : `It sees the boat there: keep ${far(boat.hiddenFrom)} off, sit low, stay quiet.`}
      </li>
      <li className="text-sm text-soft">
        Anchor from the bow, never from the stern in current; life jackets on, kill cord fixed; local rules on boats and
        anchoring stand.
      </li>
    </ul>
  );
}

const at = (x: number, y: number, scale: number): string => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`;
const moved = (x: number, y: number, scale: number): string => `translate(${at(x, y, scale).replace(" ", ",")})`;

/** The stand, the way to it and the casts, on the plan: landing points as crosses up-current of their targets. */
export function ApproachMarks({ stand, scale }: { stand: Stand; scale: number }) {
  const middle = stand.casts.find((cast) => cast.line === "lie" && cast.name === "middle") ?? stand.casts[0];
  return (
    <g aria-hidden fill="none">
      {stand.path.length > 1 && (
        <path
          d={`M${stand.path.map(([x, y]) => at(x, y, scale)).join("L")}`}
          stroke="var(--paper)"
          strokeWidth={4}
          strokeOpacity={0.6}
          strokeLinejoin="round"
        />
      )}
      {stand.path.length > 1 && (
        <path
          d={`M${stand.path.map(([x, y]) => at(x, y, scale)).join("L")}`}
          stroke="var(--ink)"
          strokeWidth={2}
          strokeDasharray="1 5"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
      {middle && (
        <path
          d={`M${at(stand.x, stand.y, scale)}L${at(...middle.landing.point, scale)}`}
          stroke="var(--water-fast)"
          strokeWidth={1.6}
          strokeDasharray="8 5"
        />
      )}
      <CastMarks casts={stand.casts} scale={scale} />
      <g transform={moved(stand.x, stand.y, scale)}>
        <circle r={11} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
        {[
          [-3.4, 1.2, -8],
          [3.4, -1.2, 8],
        ].map(([x, y, turn]) => (
          <g key={x} transform={`translate(${x},${y}) rotate(${turn})`} fill="var(--ink)">
            <ellipse cy={-1.8} rx={2.2} ry={3.4} />
            <ellipse cy={4} rx={1.7} ry={1.7} />
          </g>
        ))}
      </g>
    </g>
  );
}

/** Targets, and crosses up-current of them where the lure must land. */
function CastMarks({ casts, scale }: { casts: readonly Target[]; scale: number }) {
  return (
    <>
      {casts.map((cast, k) => (
        <g key={k}>
          {cast.landing.swept > 0.4 && (
            <path
              d={`M${at(...cast.landing.point, scale)}L${at(cast.x, cast.y, scale)}`}
              stroke="var(--ink)"
              strokeWidth={1}
              strokeDasharray="2 2"
            />
          )}
          {cast.landing.swept > 0.4 && (
            <path
              transform={moved(...cast.landing.point, scale)}
              d="M-4 -4L4 4M-4 4L4 -4"
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
          )}
          <g transform={moved(cast.x, cast.y, scale)}>
            <circle r={6} stroke="var(--paper)" strokeWidth={3} strokeOpacity={0.6} />
            <circle
              r={6}
              stroke="var(--ink)"
              strokeWidth={1.4}
              strokeDasharray={cast.line === "seam" ? "3 2" : undefined}
            />
          </g>
        </g>
      ))}
    </>
  );
}

/** The boat, bow up-current, its rope and its anchor. */
export function BoatMarks({ boat, lie, scale }: { boat: BoatStand; lie: { x: number; y: number }; scale: number }) {
  const turn = (Math.atan2(boat.anchor[1] - boat.y, boat.anchor[0] - boat.x) * 180) / Math.PI;
  return (
    <g aria-hidden fill="none">
      <path d={`M${at(boat.x, boat.y, scale)}L${at(...boat.anchor, scale)}`} stroke="var(--ink)" strokeWidth={1.6} />
      <circle
        cx={boat.anchor[0] * scale}
        cy={boat.anchor[1] * scale}
        r={3.5}
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth={1.5}
      />
      <path
        d={`M${at(boat.x, boat.y, scale)}L${at(lie.x, lie.y, scale)}`}
        stroke="var(--water-fast)"
        strokeWidth={1.6}
        strokeDasharray="8 5"
      />
      <CastMarks casts={boat.casts} scale={scale} />
      <path
        transform={`${moved(boat.x, boat.y, scale)} rotate(${turn.toFixed(1)})`}
        d="M-15 -6L4 -7Q15 -5 19 0Q15 5 4 7L-15 6Z"
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
    </g>
  );
}
