"use client";
import { useState } from "react";
import type { LogFilter } from "../../core/book/log-filter";
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
export function SieveBar({
  sieve,
  onChange,
  river,
}: {
  sieve: LogFilter;
  onChange: (sieve: LogFilter) => void;
  river: River;
}) {
  const { list } = useFishes();
  // On a phone the rest comes when it is asked for, and stays while it sifts.
  const [wide, setWide] = useState(false);
  const sifts =
    sieve.reach !== null || sieve.species !== null || sieve.outcome !== "all" || Boolean(sieve.from || sieve.to);
  const rest = wide || sifts ? "" : "hidden sm:block";
  return (
    <div role="search" className="mb-4 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-6">
      <TextField
        label="Search"
        type="search"
        className="sm:col-span-1"
        value={sieve.text}
        onChange={(event) => onChange({ ...sieve, text: event.target.value })}
      />
      <button
        type="button"
        aria-expanded={wide || sifts}
        className="min-h-11 self-end justify-self-start underline sm:hidden"
        onClick={() => setWide(!wide)}
      >
        {wide ? "less" : "by reach, species, date"}
      </button>
      <Select
        label="Reach"
        className={rest}
        value={sieve.reach ?? "any"}
        onChange={(reach) => onChange({ ...sieve, reach: reach === "any" ? null : reach })}
        choices={[
          { value: "any", label: "all reaches" },
          ...choicesOf(
            river.reaches,
            (one) => one.id,
            (one) => one.reach.name,
          ),
        ]}
      />
      <Select
        label="Fish"
        className={rest}
        value={sieve.species ?? "any"}
        onChange={(species) => onChange({ ...sieve, species: species === "any" ? null : species })}
        choices={[{ value: "any", label: "all species" }, ...list.map((one) => ({ value: one.id, label: one.name }))]}
      />
      <Select
        label="Landed or lost"
        className={rest}
        value={sieve.outcome}
        onChange={(outcome) => onChange({ ...sieve, outcome: outcome as LogFilter["outcome"] })}
        choices={OUTCOMES}
      />
      <TextField
        label="From"
        type="date"
        className={rest}
        value={sieve.from}
        onChange={(event) => onChange({ ...sieve, from: event.target.value })}
      />
      <TextField
        label="To"
        type="date"
        className={rest}
        value={sieve.to}
        onChange={(event) => onChange({ ...sieve, to: event.target.value })}
      />
    </div>
  );
}
