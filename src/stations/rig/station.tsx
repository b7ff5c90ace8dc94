"use client";
import Link from "next/link";
import { useScenario } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { FaultNote } from "../../widgets/fault-note";
import { faultText } from "../../words/messages";
import { Chosen } from "./chosen";

/** Rig: every way to fish the chosen lie, what to tie on, how deep, and whether it gets there. */
export function RigStation() {
  const view = useScenario();
  const system = useSettings((settings) => settings.system);
  const { lie, field, reading, river } = view;
  const fault = field.fault ?? reading.fault;
  return (
    <div className="mx-auto max-w-6xl">
      {!river.reach ? (
        <p className="rounded-md border border-line p-4">
          No reach yet.{" "}
          <Link href="/reach" className="underline">
            Add one on Reach.
          </Link>
        </p>
      ) : fault ? (
        <FaultNote
          message={faultText(fault, system)}
          todo="Choose another flow on Reach."
          onRetry={field.fault ? field.retry : reading.retry}
        />
      ) : lie && reading.value ? (
        <Chosen view={view} lie={lie} shown={reading.value.of.field} />
      ) : (
        <p role="status" className="p-6 text-soft">
          {reading.value ? "No lie at this flow. Choose another flow on Reach." : "Working out the flow and the lies …"}
        </p>
      )}
    </div>
  );
}
