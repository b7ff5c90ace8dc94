"use client";
import type { Lie } from "../../core/fish/read";
import type { Field } from "../../core/flow/grid";
import { roughnessHeight } from "../../core/flow/profile";
import { message } from "../../core/quantity/message";
import { CAST, tipOver } from "../../core/rig/rod";
import { secondRod } from "../../core/rig/second-rod";
import { strikeZone } from "../../core/rig/strike-zone";
import type { Numbered } from "../../scenario/lie-identity";
import { roughnessAt } from "../../scenario/rig";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { FaultNote } from "../../widgets/fault-note";
import { castLines } from "../../words/cast";
import { setWords, wayName } from "../../words/methods";
import { messageText, faultText } from "../../words/messages";
import { inSentence } from "../../words/text";
import { ChoicesPanel } from "./choices-panel";
import { DriftView } from "./drift-view";
import { LadderTable } from "./ladder-table";
import { LearnedPanel } from "./learned-panel";
import { LieHead } from "./lie-head";
import { RigCard } from "./rig-card";
import { SeenPanel } from "./seen-panel";
import { SideView } from "./side-view";
import { TackleBox } from "./tackle-box";
import { type Rigging, useRigging } from "../../state/scenario/use-rigging";
import { WaysTable } from "./ways-table";

/** The chosen lie of a reading, the ways to fish it, and the rig of one of them. */
export function Chosen({ view, lie, shown }: { view: ScenarioView; lie: Numbered<Lie>; shown: Field }) {
  const rigging = useRigging(view, lie);
  const { advice, way, ways, box } = rigging;
  const { conditions, fish, living } = view;
  const system = useSettings((settings) => settings.system);
  const water = {
    depth: lie.depth,
    meanSpeed: lie.meanSpeed,
    bedRoughness: roughnessHeight(roughnessAt(shown, lie), lie.depth),
  };
  return (
    <>
      <LieHead view={view} lie={lie} shown={shown} />
      <Faults rigging={rigging} />
      <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[1.45fr_1fr]">
        <div className="order-last min-w-0 lg:order-none print:hidden">
          {advice && (
            <>
              <SideView
                lie={lie}
                advice={advice}
                water={water}
                visibleDepth={conditions.visibleDepth}
                rod={{
                  towards: way?.school === "from-above" ? -1 : 1,
                  distance: way ? Math.hypot(lie.x - way.from[0], lie.y - way.from[1]) : CAST,
                  tip: tipOver(advice.line.rod),
                }}
                system={system}
              />
              <p className="mt-1 mb-4 text-sm text-soft">
                To scale, current to the right: speed from bottom to surface, the rig, and the fish at its depth.
              </p>
            </>
          )}
          {way && ways.value && <WaysTable ways={ways.value.ways} without={ways.value.without} chosen={way} />}
          {advice && "ladder" in advice && advice.ladder.length > 1 && <LadderTable advice={advice} system={system} />}
          {way && (
            <DriftView
              key={`${way.method}${way.cast.landing.join()}`}
              way={way}
              lie={lie}
              field={shown}
              zone={strikeZone(living.species, conditions, way.method)}
            />
          )}
        </div>
        <div>
          {advice ? (
            <>
              <RigCard
                advice={advice}
                cast={castOf(rigging, lie, system)}
                changes={advice.changes}
                second={secondOf(rigging, system)}
                system={system}
              />
              <Why reasons={advice.reasons.map((one) => messageText(one, system))} />
            </>
          ) : (
            <p role="status" className="p-6 text-soft">
              {rigging.rig.fault || ways.fault ? "" : "Working out every method …"}
            </p>
          )}
        </div>
      </div>
      {rigging.asked && <ChoicesPanel asked={rigging.asked} timing={rigging.timing} />}
      {advice && "ladder" in advice && advice.ladder.length > 1 && <LearnedPanel advice={advice} lie={lie} />}
      <SeenPanel />
      {box && <TackleBox box={box} base={fish.base} fish={fish.name} />}
    </>
  );
}

function Faults({ rigging: { ways, rig, approach } }: { rigging: Rigging }) {
  const system = useSettings((settings) => settings.system);
  const stage = [approach, ways, rig].find(({ fault }) => fault !== undefined);
  if (!stage?.fault) return null;
  return (
    <FaultNote
      message={faultText(stage.fault, system)}
      todo="Change the tackle or choose another lie."
      onRetry={stage.retry}
    />
  );
}

/** Where to stand, where it lands and what the hand does; why there is no cast, where there is none. */
function castOf({ way, approach, ways }: Rigging, lie: Lie, system: Parameters<typeof castLines>[2]): string[] {
  if (approach.value?.left) return ["▲ Leave the water now. No casts are shown."];
  if (!way) return ways.value ? [messageText(message("no-cast"), system)] : [];
  const stand = approach.value?.stands.find(({ x, y }) => x === way.from[0] && y === way.from[1]);
  return castLines(way, lie, system, stand?.whereabouts);
}

function secondOf({ way, ways }: Rigging, system: Parameters<typeof castLines>[2]): string | undefined {
  const second = way && ways.value && secondRod(ways.value.ways, way);
  return second && `${wayName(second)}: ${inSentence(setWords(second, system))}`;
}

const Why = ({ reasons }: { reasons: readonly string[] }) => (
  <details className="mt-3 print:hidden">
    <summary className="min-h-11 cursor-pointer py-2 text-lg font-semibold">Why</summary>
    <ul className="grid gap-1.5 text-[15px]">
      {reasons.map((reason) => (
        <li key={reason}>{reason}</li>
      ))}
    </ul>
    <p className="mt-2 text-sm text-soft">
      Rig: force balance in a log velocity profile, and drifts through the modelled flow. Lure: common practice. Trust
      your own log over both.
    </p>
  </details>
);
