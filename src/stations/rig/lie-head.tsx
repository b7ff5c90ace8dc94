"use client";
import type { Lie } from "../../core/fish/read";
import type { Field } from "../../core/flow/grid";
import type { Numbered } from "../../scenario/lie-identity";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { Select } from "../../widgets/select";
import { placeWords } from "../../words/place";
import { showText } from "../../words/quantity";

/** Which lie, of which fish, in which water; and the choice of another. */
export function LieHead({ view, lie, shown }: { view: ScenarioView; lie: Numbered<Lie>; shown: Field }) {
  const { system, set } = useSettings();
  const { river, reading, field, conditions, fish, isNow } = view;
  // Until the asked flow is there the picture may be of another one: it is not called the flow now.
  const settled = field.settled && !reading.earlier;
  const whichFlow = settled
    ? isNow
      ? ", the flow now"
      : ""
    : `; ${showText(conditions.discharge, "discharge", system)} is still being worked out`;
  return (
    <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
      <div>
        <h1 className="text-2xl">
          Lie {lie.number}: {placeWords(lie.place)}
        </h1>
        <p className="text-soft">
          {fish.name} · {river.reach!.reach.name} at {showText(shown.discharge, "discharge", system)}
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
  );
}
