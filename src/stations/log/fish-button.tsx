"use client";
import type { Catch } from "../../core/book/records";
import { showText, type UnitSystem } from "../../words/quantity";
import { LOST_WORDS } from "../../words/fish";
import { clock } from "../../words/river";

/** In the order in which they were caught. */
export const byTime = (a: Catch, b: Catch): number => Date.parse(a.at) - Date.parse(b.at);

/** A fish in a line; opens what can be said of it. */
export function FishButton({
  fish,
  zone,
  system,
  onOpen,
}: {
  fish: Catch;
  /** Of its water; undefined: that of the water looked at. */
  zone: string | undefined;
  system: UnitSystem;
  onOpen: (fish: Catch) => void;
}) {
  const parts = [
    fish.lost === undefined ? null : LOST_WORDS[fish.lost],
    fish.length === null ? null : showText(fish.length, "fishLength", system),
    fish.lie || null,
    fish.lure || null,
  ].filter(Boolean);
  return (
    <button
      type="button"
      onClick={() => onOpen(fish)}
      className="min-h-11 text-left underline decoration-line underline-offset-4 hover:decoration-ink"
    >
      {clock(Date.parse(fish.at), zone)} · {parts.length ? parts.join(", ") : "fish, no details yet"}
    </button>
  );
}
