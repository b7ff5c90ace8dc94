"use client";
import { FALSE_SHARE, type Signal, type Verdict } from "../../core/book/signals";
import { useSettings } from "../../state/settings";
import { type Learning, useSignals } from "../../state/use-learn";
import { FaultNote } from "../../widgets/fault-note";
import { Panel } from "../../widgets/panel";
import { signalWords } from "../../words/learn";
import { faultText } from "../../words/messages";
import { figureText, type UnitSystem } from "../../words/quantity";
import { RATE_KIND_NAMES, rateLabel } from "../../words/rates";
import { capital } from "../../words/text";

const HEADINGS: readonly (readonly [Verdict, string])[] = [
  ["supported", "Your log supports"],
  ["no-sign", "No effect found"],
  ["too-few", "Not enough hours"],
];

/** Which properties the log supports, and what it would take to know of the others. */
export function Signals({ learning }: { learning: Learning }) {
  const { system } = useSettings();
  const signals = useSignals(learning);
  return (
    <>
      <h2 className="text-2xl">What the log shows</h2>
      <p className="max-w-3xl text-soft">
        Each factor is tested against your own sessions shuffled. Of those listed as supported, on average one in{" "}
        {figureText(1 / FALSE_SHARE, 0)} is chance. Air pressure and moon are tested like the rest.
      </p>
      {signals.fault && <FaultNote message={faultText(signals.fault, system)} onRetry={signals.retry} />}
      {signals.pending && !signals.value && <p className="mt-4 text-soft">Testing …</p>}
      {signals.value &&
        HEADINGS.map(([verdict, title]) => {
          const own = signals.value!.filter((one) => one.verdict === verdict);
          return (
            <Panel key={verdict} title={title} className="mt-6">
              {own.length === 0 ? (
                <p className="text-soft">Nothing.</p>
              ) : (
                <dl className="grid grid-cols-1 gap-x-6 gap-y-2 sm:grid-cols-[14rem_1fr]">
                  {own.map((one) => (
                    <Told key={one.kind} signal={one} system={system} />
                  ))}
                </dl>
              )}
            </Panel>
          );
        })}
    </>
  );
}

function Told({ signal, system }: { signal: Signal; system: UnitSystem }) {
  return (
    <>
      <dt className="font-semibold">{capital(RATE_KIND_NAMES[signal.kind])}</dt>
      <dd className={signal.verdict === "supported" ? "" : "text-soft"}>
        {signalWords(signal, signal.best ? capital(rateLabel(signal.best, signal.kind, system)) : undefined)}
      </dd>
    </>
  );
}
