"use client";
import type { Sieve } from "../../core/book/find";
import type { River } from "../../state/use-river";
import { useFishes } from "../../state/use-fishes";
import { TextField } from "../../widgets/field";
import { Select } from "../../widgets/select";
import { choicesOf } from "../../words/text";

const OUTCOMES = [
  { value: "all", label: "landed and lost" },
  { value: "landed", label: "landed" },
  { value: "lost", label: "lost" },
  { value: "kept", label: "kept" },
] as const;

/** What is looked for in the book. */
export function SieveBar({ sieve, onChange, river }: { sieve: Sieve; onChange: (sieve: Sieve) => void; river: River }) {
  const { list } = useFishes();
  return (
    <div role="search" className="mb-4 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-6">
      <TextField
        label="Look for"
        type="search"
        className="col-span-2 sm:col-span-1"
        value={sieve.text}
        onChange={(event) => onChange({ ...sieve, text: event.target.value })}
      />
      <Select
        label="On"
        value={sieve.reach ?? "any"}
        onChange={(reach) => onChange({ ...sieve, reach: reach === "any" ? null : reach })}
        choices={[
          { value: "any", label: "every reach" },
          ...choicesOf(
            river.reaches,
            (one) => one.id,
            (one) => one.reach.name,
          ),
        ]}
      />
      <Select
        label="Fish"
        value={sieve.species ?? "any"}
        onChange={(species) => onChange({ ...sieve, species: species === "any" ? null : species })}
        choices={[{ value: "any", label: "every kind" }, ...list.map((one) => ({ value: one.id, label: one.name }))]}
      />
      <Select
        label="That were"
        value={sieve.outcome}
        onChange={(outcome) => onChange({ ...sieve, outcome: outcome as Sieve["outcome"] })}
        choices={OUTCOMES}
      />
      <TextField
        label="From"
        type="date"
        value={sieve.from}
        onChange={(event) => onChange({ ...sieve, from: event.target.value })}
      />
      <TextField
        label="To"
        type="date"
        value={sieve.to}
        onChange={(event) => onChange({ ...sieve, to: event.target.value })}
      />
    </div>
  );
}
