"use client";
import Link from "next/link";
import type { Lie } from "../../core/fish/read";
import type { Field } from "../../core/flow/grid";
import type { Numbered } from "../../scenario/lie-identity";
import { rigRequest, roughnessAt } from "../../scenario/rig";
import { useRig } from "../../state/scenario/use-rig";
import { type ScenarioView, useScenario } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { useEntryForm } from "../../widgets/form";
import { FaultNote } from "../../widgets/fault-note";
import { Select } from "../../widgets/select";
import { tellFault } from "../../words/messages";
import { placeWords } from "../../words/place";
import { showText } from "../../words/quantity";
import { Cautions } from "../cautions";
import { RigCard } from "./rig-card";
import { SideView } from "./side-view";
import { tackleEntries, tackleSchema } from "./tackle";
import { TackleForm } from "./tackle-form";

/** Rig: what to tie on for the chosen lie, and how deep. */
export function RigStation() {
  const view = useScenario();
  const system = useSettings((settings) => settings.system);
  const { lie, field, reading, river, safety } = view;
  const fault = field.fault ?? reading.fault;
  return (
    <div className="mx-auto max-w-6xl">
      <Cautions safety={safety} />
      {!river.reach ? (
        <p className="rounded-md border border-line p-4">
          No reach in the book yet.{" "}
          <Link href="/reach" className="underline">
            Make one on Reach.
          </Link>
        </p>
      ) : fault ? (
        <FaultNote
          message={tellFault(fault, system)}
          todo="Pick another flow on Reach."
          onRetry={field.fault ? field.retry : reading.retry}
        />
      ) : lie && reading.value ? (
        <Chosen view={view} lie={lie} shown={reading.value.of.field} />
      ) : (
        <p role="status" className="p-6 text-soft">
          {reading.value ? "No lie at this flow. Pick another flow on Reach." : "Working out the flow and the lies …"}
        </p>
      )}
    </div>
  );
}

/** The chosen lie of a reading, and the rig for it. */
function Chosen({ view, lie, shown }: { view: ScenarioView; lie: Numbered<Lie>; shown: Field }) {
  const { system, set } = useSettings();
  const { river, reading, field, conditions, fish, isNow } = view;
  const schema = tackleSchema(system);
  const form = useEntryForm(schema, tackleEntries(system), "onChange");
  const own = schema.safeParse(form.watch());
  const request = own.success ? rigRequest(shown, lie, conditions, fish.base, own.data) : undefined;
  const rig = useRig(request);
  // Until the asked flow is there the picture may be of another one: it is not called the flow now.
  const settled = field.settled && !reading.earlier;
  const whichFlow = settled
    ? isNow
      ? ", the flow now"
      : ""
    : `; ${showText(conditions.discharge, "discharge", system)} is still being worked out`;
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-2xl">
            Lie {lie.number}: {placeWords(lie.place)}
          </h1>
          <p className="text-soft">
            {river.reach!.reach.name} at {showText(shown.discharge, "discharge", system)}
            {whichFlow}
          </p>
        </div>
        <Select
          label="Lie"
          className="w-full sm:w-72 print:hidden"
          value={String(lie.number)}
          onChange={(number) => {
            const one = reading.value!.lies.find((other) => String(other.number) === number);
            if (one) set({ lie: { x: one.x, y: one.y } });
          }}
          choices={reading.value!.lies.map((one) => ({
            value: String(one.number),
            label: `${one.number}. ${placeWords(one.place)}`,
          }))}
        />
      </div>
      {rig.fault && (
        <FaultNote
          message={tellFault(rig.fault, system)}
          todo="Change the tackle, or pick another lie."
          onRetry={rig.retry}
        />
      )}
      <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1.25fr_1fr]">
        <div className="order-last lg:order-none print:hidden">
          {rig.value && (
            <>
              <SideView
                lie={lie}
                rig={rig.value}
                roughness={roughnessAt(shown, lie)}
                visibleDepth={conditions.visibleDepth}
                system={system}
              />
              <p className="mt-1 text-sm text-soft">
                To scale. Left: how the current runs from bed to surface (log profile). Darker below: not seen from
                above.
              </p>
            </>
          )}
          <TackleForm form={form} />
        </div>
        {rig.value ? (
          <RigCard lie={lie} advice={rig.value} system={system} />
        ) : (
          <p role="status" className="p-6 text-soft">
            {own.success ? (rig.fault ? "" : "Working out the rig …") : "Mend the tackle, and the rig is worked out."}
          </p>
        )}
      </div>
    </>
  );
}
