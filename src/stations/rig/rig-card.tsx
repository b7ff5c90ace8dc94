"use client";
import { useMemo } from "react";
import type { Lie } from "../../core/fish/read";
import type { RigAdvice } from "../../core/rig/advise";
import type { Placed } from "../../core/rig/shot";
import { type ColumnDef, DataTable } from "../../widgets/data-table";
import { show, showText, type UnitSystem } from "../../words/quantity";
import { rigWords } from "../../words/rig";
import { capital } from "../../words/text";
import { Swatch } from "./swatch";

const shotColumns = (system: UnitSystem): ColumnDef<Placed>[] => [
  { id: "shot", header: "Shot", cell: ({ row }) => `${row.original.count} × ${row.original.size}` },
  { id: "below", header: "Under the float", cell: ({ row }) => showText(row.original.below, "depth", system) },
  {
    id: "weight",
    header: "Weight",
    cell: ({ row: { original } }) => showText((original.grams * original.count) / 1000, "shotMass", system),
  },
];

/** What to tie on and how deep: to be read at arm's length. */
export function RigCard({ lie, advice, system }: { lie: Lie; advice: RigAdvice; system: UnitSystem }) {
  const setting = show(advice.setting, "depth", system);
  const words = rigWords(advice, system);
  const columns = useMemo(() => shotColumns(system), [system]);
  return (
    <section
      aria-label="Rig card"
      className="break-inside-avoid rounded-lg border-2 border-ink p-5 print:border print:p-3 print:text-sm"
    >
      {words.cautions.map((text) => (
        <p key={text} className="mb-3 border-l-4 border-double border-clay pl-3 font-semibold">
          <span aria-hidden>▲ </span>
          {text}
        </p>
      ))}
      <p className="text-soft">Float to lowest shot</p>
      <p className="text-5xl font-bold" data-testid="setting">
        {setting.figure}
        <span className="ml-2 text-2xl font-normal">{setting.unit}</span>
      </p>
      <p className="mt-1">
        in {showText(lie.depth, "depth", system)} of water
        {advice.holdBack > 0
          ? `; hold back to ${Math.round((1 - advice.holdBack) * 100)} % of the surface pace`
          : "; let it run free"}
      </p>
      <h2 className="mt-4 text-lg">{capital(words.lure.category)}</h2>
      <p>{words.lure.size}</p>
      {advice.lure.category !== "small-jig" && (
        <p className="mt-1 text-sm text-soft">Dressing the hook, or changing to a jig: colours in this order.</p>
      )}
      <ol className="mt-2 flex flex-wrap gap-x-4 gap-y-1" aria-label="Colours, best first">
        {words.lure.colours.map((colour, k) => (
          <li key={colour} className="flex items-center gap-2">
            <Swatch colour={colour} />
            {k + 1}. {colour}
          </li>
        ))}
      </ol>
      <h2 className="mt-4 text-lg">
        Shot, {advice.shotting}, under a float that carries {showText(advice.capacity / 1000, "lureMass", system)}
      </h2>
      <DataTable columns={columns} rows={advice.shot} label="Shot on the line" />
      <h2 className="mt-4 text-lg">Why</h2>
      <ul className="mt-1 grid gap-1.5 text-[15px]">
        {words.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      <p className="mt-3 text-sm text-soft">
        Float: line in equilibrium with the log profile. Lure: rules of the craft. Your own log outranks both.
      </p>
    </section>
  );
}
