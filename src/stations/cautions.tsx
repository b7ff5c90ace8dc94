"use client";
import { Zap } from "lucide-react";
import { clockNow } from "../state/clock";
import { useSettings } from "../state/settings";
import type { Safety } from "../state/use-cautions";
import { cautionWords } from "../words/cautions";

/**
 * What is to be heeded now, in the same words on every station that sends someone to the water; `always` adds what
 * always holds.
 */
export function Cautions({ safety, always = false }: { safety: Safety; always?: boolean }) {
  const { system } = useSettings();
  const { cautions, leave } = safety;
  return (
    <section aria-label="Cautions" className={cautions.length > 0 || always ? "mb-2" : ""}>
      {cautions.length > 0 && (
        <ul
          role={leave ? "alert" : undefined}
          className={`grid gap-1 rounded-md px-3 py-2 text-sm font-semibold sm:text-base sm:leading-snug ${leave ? "border-4 border-clay" : "border-2 border-clay"}`}
        >
          {cautions.map((one) => (
            <li key={one.kind}>
              <span aria-hidden>▲ </span>
              <span className="sr-only">Caution: </span>
              {cautionWords(one, system)}
            </li>
          ))}
        </ul>
      )}
      {always && <Always safety={safety} className={cautions.length > 0 ? "mt-1" : ""} />}
    </section>
  );
}

/** What always holds, with the button for a clap of thunder. */
export function Always({ safety, className = "" }: { safety: Safety; className?: string }) {
  const { thunderAt, set } = useSettings();
  const thunder = safety.cautions.some(({ kind }) => kind === "thunder");
  return (
    <p className={`flex flex-wrap items-center gap-x-3 text-sm text-soft ${className}`}>
      <span className="min-w-0 flex-1 basis-80">
        Always: thunder heard, off the water with the rod down, until half an hour after the last clap. No wading where
        depth times speed is in doubt. Local rules and licences stand above all of this.
      </span>
      <button
        type="button"
        className="inline-flex min-h-11 items-center gap-1.5 rounded-md border border-edge px-3 text-ink hover:bg-deep print:hidden"
        onClick={() => set({ thunderAt: clockNow() })}
      >
        <Zap size={16} aria-hidden />
        {thunder ? "Thunder again" : "I hear thunder"}
      </button>
      {thunder && thunderAt !== null && (
        <button type="button" className="min-h-11 underline" onClick={() => set({ thunderAt: null })}>
          That was none
        </button>
      )}
    </p>
  );
}
