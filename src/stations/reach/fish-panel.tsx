"use client";
import type { Catch } from "../../core/book/records";
import type { Lie } from "../../core/fish/read";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { database } from "../../store/database";
import { Panel } from "../../ui/parts";
import { say } from "../../ui/toasts";
import type { FishAgainstModel } from "../../ui/use-agreement";
import { dayAndTime } from "../../ui/words";
import type { Place } from "./probe";

/** As many fish are listed. */
const MOST = 8;

/** Puts a fish on the plan, or takes it off, with undo. */
async function put(fish: Catch, place: { x: number; y: number } | null, where: string): Promise<void> {
  await database().catches.update(fish.id, { place, updatedAt: new Date().toISOString() });
  say(`The fish is ${where}.`, {
    label: "Undo",
    run: () =>
      void database().catches.update(fish.id, { place: fish.place ?? null, updatedAt: new Date().toISOString() }),
  });
}

/** Fish of this reach against the model: where they were had, and how the places of their own day were ranked. */
export function FishPanel({
  catches,
  against,
  lie,
  probe,
  system,
  nameOf,
}: {
  catches: readonly Catch[];
  against: FishAgainstModel;
  lie: Lie;
  probe: Place | undefined;
  system: UnitSystem;
  nameOf: (id: string) => string;
}) {
  const { agreement, placed, waiting, beyond } = against;
  const listed = [...catches].sort((a, b) => b.at.localeCompare(a.at)).slice(0, MOST);
  return (
    <Panel
      title="Fish against the model"
      className="mt-6"
      source="Every fish that has a place on the plan is held against the model at the flow, clarity, temperature and light of its own day. By chance alone a fish would lie above half of the water on average. Anglers fish where they believe in, so this cannot tell a good model from a good habit."
    >
      {catches.length === 0 && <p className="text-soft">No fish from this reach in the book yet.</p>}
      {catches.length > 0 && !agreement && (
        <p className="text-soft">
          {waiting > 0
            ? "Waiting for the flows of those days to be solved …"
            : beyond > 0
              ? "Its fish with a place have no known flow, or one beyond those solved here."
              : "None of its fish has a place yet: choose a lie, or put the probe where it took, and press “put”."}
        </p>
      )}
      {agreement && (
        <p>
          <strong>
            {agreement.fish} fish with a place lay, on average, above {(agreement.mean * 100).toFixed(0)} % of the water
          </strong>{" "}
          as the model has it; by chance it would be 50 %
          {agreement.chance < 0.5 ? `, and chance does as well as this ${oneIn(agreement.chance)}` : ""}.{" "}
          {agreement.onLies} came from a lie; {agreement.expected.toFixed(1)} would by chance.
          {waiting > 0 && <span className="text-soft"> {waiting} more wait for the flow of their day.</span>}
          {beyond > 0 && (
            <span className="text-soft"> {beyond} have no known flow, or one beyond those solved here.</span>
          )}
        </p>
      )}
      {listed.length > 0 && (
        <ul className="mt-2 divide-y divide-line border-y border-line">
          {listed.map((fish) => {
            const known = placed.get(fish.id);
            return (
              <li key={fish.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
                <span className="min-w-0 flex-1 basis-52">
                  <span className="block">
                    {dayAndTime(fish.at)}: {nameOf(fish.species).toLowerCase()}
                    {fish.length ? `, ${showText(fish.length, "fishLength", system)}` : ""}
                    {fish.river?.discharge != null ? ` at ${showText(fish.river.discharge, "discharge", system)}` : ""}
                  </span>
                  <span className="block text-sm text-soft">
                    {fish.lie || "place not said"}
                    {fish.place
                      ? known
                        ? `: above ${(known.percentile * 100).toFixed(0)} % of the water that day${known.rank ? `, on lie ${known.rank}` : ", on no lie"}`
                        : ""
                      : "; not on the plan"}
                  </span>
                </span>
                {fish.place ? (
                  <button
                    type="button"
                    className="min-h-9 text-sm underline"
                    aria-label={`Take the fish of ${dayAndTime(fish.at)} off the plan`}
                    onClick={() => void put(fish, null, "off the plan")}
                  >
                    take off
                  </button>
                ) : (
                  <button
                    type="button"
                    className="min-h-9 text-sm underline"
                    aria-label={`Put the fish of ${dayAndTime(fish.at)} ${probe ? "at the probe" : `on lie ${lie.rank}`}`}
                    onClick={() =>
                      void put(
                        fish,
                        probe ? { x: round(probe[0]), y: round(probe[1]) } : { x: lie.x, y: lie.y },
                        probe ? "at the probe" : `on lie ${lie.rank}`,
                      )
                    }
                  >
                    {probe ? "put at the probe" : `put on lie ${lie.rank}`}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {catches.length > MOST && (
        <p className="mt-1 text-sm text-soft">
          The last {MOST} of {catches.length}.
        </p>
      )}
    </Panel>
  );
}

const round = (value: number): number => Math.round(value * 100) / 100;
const oneIn = (chance: number): string =>
  chance > 0.1
    ? `once in ${Math.round(1 / chance)} such lists`
    : chance < 0.001
      ? "less than once in a thousand such lists"
      : `once in ${Math.round(1 / chance)} such lists`;

/** Flows within this share in ln Q count as much the same. Common practice, no source. */
const ALIKE = 0.3;

/**
 * Placed fish on the plan, full: those had when the river ran much as it is shown; with `all` also the others, in
 * outline.
 */
export function FishMarks({
  catches,
  discharge,
  all,
  scale,
}: {
  catches: readonly Catch[];
  discharge: number;
  all: boolean;
  scale: number;
}) {
  return (
    <g>
      {catches
        .flatMap((one) => (one.place ? [{ ...one, place: one.place }] : []))
        .map((one) => {
          const near = one.river?.discharge != null && Math.abs(Math.log(one.river.discharge / discharge)) < ALIKE;
          if (!near && !all) return null;
          return (
            <g key={one.id} transform={`translate(${one.place.x * scale} ${one.place.y * scale})`}>
              <title>{dayAndTime(one.at)}</title>
              <path
                d="M-7 0Q-2 -4.5 4 0L8 -3.5V3.5L4 0Q-2 4.5 -7 0Z"
                fill={near ? "var(--clay)" : "var(--paper)"}
                stroke={near ? "var(--paper)" : "var(--ink)"}
                strokeWidth={near ? 1.4 : 1.2}
                paintOrder="stroke"
                strokeLinejoin="round"
              />
            </g>
          );
        })}
    </g>
  );
}
