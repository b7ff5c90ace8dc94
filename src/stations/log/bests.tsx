"use client";
import { useWaterClocks } from "../../state/water-clocks";
import { bestsOf } from "../../core/book/log-filter";
import type { Catch } from "../../core/book/records";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import { showText } from "../../words/quantity";
import { dayOnly } from "../../words/river";
import { count } from "../../words/text";

/** The longest and the heaviest of each kind. */
export function Bests({ catches, onOpen }: { catches: readonly Catch[]; onOpen: (fish: Catch) => void }) {
  const { system } = useSettings();
  const { nameOf } = useFishes();
  const clocks = useWaterClocks();
  const bests = bestsOf(catches);
  if (bests.length === 0) return <p className="rounded-md border border-line p-4">No fish landed yet.</p>;
  const one = (fish: Catch | undefined, text: string) =>
    fish && (
      <button type="button" className="min-h-11 text-left underline" onClick={() => onOpen(fish)}>
        {text}, {dayOnly(fish.at, clocks.ofSession(fish.session))}
      </button>
    );
  return (
    <ul className="grid gap-3 sm:grid-cols-2">
      {bests.map(({ species, count: many, longest, heaviest }) => (
        <li key={species} className="rounded-md border border-line p-4">
          <h2 className="text-xl">{nameOf(species)}</h2>
          <p className="text-soft">{count(many, "fish", "fish")} landed</p>
          <dl className="grid grid-cols-[6rem_1fr] items-baseline">
            <dt className="text-soft">longest</dt>
            <dd>{one(longest, showText(longest?.length ?? null, "fishLength", system)) ?? "none measured"}</dd>
            <dt className="text-soft">heaviest</dt>
            <dd>{one(heaviest, showText(heaviest?.weight ?? null, "fishMass", system)) ?? "none weighed"}</dd>
          </dl>
        </li>
      ))}
    </ul>
  );
}
